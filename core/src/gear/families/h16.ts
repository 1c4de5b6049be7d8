import { family } from '../family.ts'
import { crossBackRig } from '../shared/rigs.ts'
import { pullingDress } from '../shared/dressing.ts'
import { endsAtTail } from '../shared/ends-at-tail.ts'
import { fullLength } from '../shared/full-length.ts'
import { pulling } from '../shared/pulling.ts'
import { crossBack, graph, pad, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Cross-back with chest piece. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h16 = family({
  ...pulling,
  ...endsAtTail,
  id: 'H16',
  build: 'Small bridge under the chest, long padding.',
  right: 'Deep narrow chests: it does not wander.',
  wrong: 'For broad fluffy dogs, which need neither bridge nor rear padding.',
  kin: ['full-length', 'ends-at-tail', 'over-the-head'],
  suits: {
    'front-of-runner': works(),
    'bike-front': works(),
    'ski-front': works(),
    'sled-team': first('for deep chests'),
    'wheel-place': conditions(),
    cart: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { 'near-the-load': 'against', 'deep-narrow-chest': 'for', 'thick-coat': 'against' },
  sides: { D21: { B: 'against' } },
  tapes: fullLength,
  parts: graph([...crossBack, strap('belly', ['chestSide', 'girthLow'], pad)], 'tail'),
  rig: crossBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
