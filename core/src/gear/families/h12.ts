import { family } from '../family.ts'
import { crossBackRig } from '../shared/rigs.ts'
import { pullingDress } from '../shared/dressing.ts'
import { endsAtTail } from '../shared/ends-at-tail.ts'
import { fullLength } from '../shared/full-length.ts'
import { pulling } from '../shared/pulling.ts'
import { backLong, graph, pullNeck, side, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** H-back. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h12 = family({
  ...pulling,
  ...endsAtTail,
  id: 'H12',
  build: 'As the full cross-back, with a cross-bar instead of the X.',
  right: 'As the cross-back, without the cross on the spine.',
  wrong: 'Short backs and thick necks, as the cross-back.',
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
  meets: { 'near-the-load': 'against' },
  sides: { D21: { B: 'for' } },
  tapes: fullLength,
  parts: graph([pullNeck, side, backLong, strap('bar', ['backHalf', 'ribs'])], 'tail'),
  rig: crossBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
