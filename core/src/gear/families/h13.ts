import { family } from '../family.ts'
import { openBackRig } from '../shared/rigs.ts'
import { pullingDress } from '../shared/dressing.ts'
import { endsAtTail } from '../shared/ends-at-tail.ts'
import { fullLength } from '../shared/full-length.ts'
import { pulling } from '../shared/pulling.ts'
import { graph, pullNeck, side } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Open-back. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h13 = family({
  ...pulling,
  ...endsAtTail,
  id: 'H13',
  build: 'Y front, sides, back free, end piece only.',
  right: 'For strongly flexing backs; touches other places.',
  wrong: 'For hard load: light padding. Feel the armpits.',
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
  meets: { flexes: 'for', 'near-the-load': 'against' },
  sides: { D21: { B: 'for' } },
  tapes: fullLength,
  parts: graph([pullNeck, side], 'tail'),
  rig: openBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
