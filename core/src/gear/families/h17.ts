import { family } from '../family.ts'
import { crossBackRig } from '../shared/rigs.ts'
import { pullingDress } from '../shared/dressing.ts'
import { endsAtTail } from '../shared/ends-at-tail.ts'
import { fullLength } from '../shared/full-length.ts'
import { pulling } from '../shared/pulling.ts'
import { crossBack, graph, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Cross-back with side hooks. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h17 = family({
  ...pulling,
  ...endsAtTail,
  id: 'H17',
  build: 'Hooks left and right for a tug off the middle.',
  right: 'Counters crabbing.',
  wrong: 'As a crutch for good: a side pull can hide pain or a trail cause.',
  kin: ['full-length', 'ends-at-tail', 'over-the-head'],
  suits: {
    'bike-front': works(),
    'bike-side': works(),
    'sled-team': first('for a dog that crabs, over distance'),
    'wheel-place': conditions(),
    cart: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { crabs: 'for', 'near-the-load': 'against' },
  sides: { D21: { B: 'against' }, D24: { B: 'for' } },
  tapes: fullLength,
  parts: graph([...crossBack, strap('link', ['loin', 'tailSide'])], 'tail', { rings: ['tailSide', 'loin'] }),
  rig: crossBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
