import { family } from '../family.ts'
import { crossBackRig } from '../shared/rigs.ts'
import { pullingDress } from '../shared/dressing.ts'
import { endsAtTail } from '../shared/ends-at-tail.ts'
import { fullLength } from '../shared/full-length.ts'
import { pulling } from '../shared/pulling.ts'
import { crossBack, graph, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Cross-back, sliding tug loop. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h18 = family({
  ...pulling,
  ...endsAtTail,
  id: 'H18',
  build: 'The loop travels sideways at the rear end.',
  right: 'Side-to-side movement in front of a bike.',
  wrong: 'Where nothing swings.',
  kin: ['full-length', 'ends-at-tail', 'over-the-head'],
  suits: {
    'front-of-runner': works(),
    'bike-front': first(),
    'ski-front': works(),
    'sled-team': first(),
    'wheel-place': conditions(),
    cart: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { swings: 'for', 'near-the-load': 'against' },
  sides: { D21: { B: 'against' }, D22: { B: 'for' } },
  tapes: fullLength,
  parts: graph([...crossBack, strap('bar', ['tail', 'tailSide'])], 'tail', { rings: ['tailSide'] }),
  rig: crossBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
