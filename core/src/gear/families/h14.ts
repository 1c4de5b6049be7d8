import { family } from '../family.ts'
import { halfBackRig } from '../shared/rigs.ts'
import { halfBackSymptoms } from '../shared/pulling-symptoms.ts'
import { halfBackChecks } from '../shared/pulling-checks.ts'
import { pullingDress } from '../shared/dressing.ts'
import { stockLength } from '../shared/full-length.ts'
import { endsElsewhere, pulling } from '../shared/pulling.ts'
import { graph, pad, pullNeck, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Half-back. Source: handbook 5.2 to 5.4, 8.6, common practice; tapes: a neck, with a body length to check, ours. */
export const h14 = family({
  ...pulling,
  dangers: endsElsewhere,
  id: 'H14',
  build: 'Ends mid-back, tug loop, for lines that rise.',
  right: 'The line comes in above the tail; the clip does not beat the back.',
  wrong: 'For a low sled hitch, and for extremely strong pullers.',
  kin: ['over-the-head'],
  suits: {
    'long-hike': works('on a pulling walk'),
    'beside-runner': works(),
    'front-of-runner': first(),
    'bike-front': works(),
    'bike-side': conditions(),
    'ski-front': first(),
    'sled-team': wrong(),
    'wheel-place': wrong(),
    'weight-drag': wrong(),
    cart: wrong(),
    tracking: works(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { 'near-the-load': 'against' },
  sides: { D22: { A: 'for' } },
  tapes: { stock: stockLength },
  parts: graph(
    [pullNeck, strap('side', ['lump', 'betweenLegs', 'chestSide', 'sideHalf', 'backHalf'], pad), strap('back', ['aheadOfWithers', 'crossFore', 'backHalf'])],
    'backHalf',
  ),
  checks: halfBackChecks,
  symptoms: halfBackSymptoms,
  pull: 'mid-back',
  line: 'half-back',
  rig: halfBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
