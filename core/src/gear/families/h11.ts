import { family } from '../family.ts'
import { crossBackRig } from '../shared/rigs.ts'
import { pullingDress } from '../shared/dressing.ts'
import { endsAtTail } from '../shared/ends-at-tail.ts'
import { fullLength } from '../shared/full-length.ts'
import { pulling } from '../shared/pulling.ts'
import { crossBack, graph } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Full cross-back. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h11 = family({
  ...pulling,
  ...endsAtTail,
  id: 'H11',
  build: 'Fixed sewn, padded neck, straps crossing on the back, side straps on the ribs, tug loop at the tail.',
  right: 'The whole body goes into the harness; the load lies along the ribs.',
  wrong: 'Short backs and thick necks: it can be a foot too long. Where the X holds the spine. Lines that rise steeply.',
  kin: ['full-length', 'ends-at-tail', 'over-the-head'],
  suits: {
    'beside-runner': conditions(),
    'front-of-runner': works(),
    'bike-front': first(),
    'bike-side': conditions(),
    'ski-front': works(),
    'sled-team': first(),
    'wheel-place': conditions(),
    'weight-drag': conditions(),
    cart: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { flexes: 'against', 'near-the-load': 'against' },
  sides: { D21: { A: 'for', B: 'against' }, D22: { B: 'for' } },
  tapes: fullLength,
  parts: graph(crossBack, 'tail'),
  rig: crossBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
