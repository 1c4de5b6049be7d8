import { family } from '../family.ts'
import { halfBackRig } from '../shared/rigs.ts'
import { halfBackSymptoms } from '../shared/pulling-symptoms.ts'
import { halfBackChecks } from '../shared/pulling-checks.ts'
import { pullingDress } from '../shared/dressing.ts'
import { stockLength } from '../shared/full-length.ts'
import { endsElsewhere, pulling } from '../shared/pulling.ts'
import { graph, pad, pullNeck, strap } from '../shared/straps.ts'
import { first, works, wrong } from '../suits.ts'

/** Half-back, rotating side pull. Source: handbook 5.2 to 5.4, 8.6, common practice; tapes: a neck, with a body length to check, ours. */
export const h15 = family({
  ...pulling,
  dangers: endsElsewhere,
  id: 'H15',
  build: 'Top piece slides so that the line may leave sideways.',
  right: 'For dogs that put in more with a sideways line.',
  wrong: 'For dogs that cannot put full force into it.',
  kin: ['over-the-head'],
  suits: {
    'long-hike': first('on a pulling walk'),
    'beside-runner': works(),
    'front-of-runner': works(),
    'bike-front': works(),
    'bike-side': works(),
    'ski-front': works(),
    'sled-team': first('over distance'),
    'wheel-place': wrong(),
    'weight-drag': wrong(),
    cart: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { 'near-the-load': 'against' },
  sides: { D24: { B: 'for' } },
  tapes: { stock: stockLength },
  parts: graph(
    [
      pullNeck,
      strap('side', ['lump', 'betweenLegs', 'chestSide', 'sideHalf', 'backHalf'], pad),
      strap('back', ['aheadOfWithers', 'crossFore', 'backHalf']),
      strap('bar', ['backHalf', 'crossRearSide', 'sideHalf']),
    ],
    'backHalf',
    { rings: ['crossRearSide'] },
  ),
  checks: halfBackChecks,
  symptoms: halfBackSymptoms,
  pull: 'mid-back',
  line: 'half-back',
  rig: halfBackRig,
  head: 'fixed',
  dressing: pullingDress,
})
