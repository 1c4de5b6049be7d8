import { steps } from '../dressing-steps.ts'
import { family } from '../family.ts'
import { longYRig } from '../shared/rigs.ts'
import { longYSymptoms } from '../shared/pulling-symptoms.ts'
import { longYChecks } from '../shared/pulling-checks.ts'
import { overhead } from '../shared/dressing.ts'
import { pulling } from '../shared/pulling.ts'
import { walkingY } from '../shared/walking.ts'
import { girthSet, graph, neckRing, pad, set, sternum, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'
import { check } from '../wanted-tapes.ts'

/** Long Y for pulling. Source: handbook 5.2 to 5.4, 8.6, common practice; tapes as the walking Y and a back length to check the pull point, ours. */
export const h02 = family({
  ...pulling,
  id: 'H02',
  build: 'Padded Y, straps running back, pull point far behind; for line and elastic.',
  right: 'Spreads the pull over the upper body, off the windpipe; the blade stays uncovered; with an elastic line it spares both bodies.',
  wrong: 'With neck or length off: it chokes or drags on the hips. Needless for strolls.',
  kin: ['over-the-head'],
  suits: {
    stroll: works(),
    'learning-puller': conditions(),
    'long-hike': works(),
    scramble: wrong(),
    'beside-runner': works(),
    'front-of-runner': first(),
    'bike-front': first(),
    'bike-side': works(),
    'ski-front': first(),
    'sled-team': works(),
    'wheel-place': wrong(),
    'weight-drag': wrong(),
    cart: wrong(),
    tracking: works(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: conditions(),
  meets: {},
  sides: {},
  tapes: { stock: [...walkingY, ...check('M14')] },
  parts: graph(
    [{ ...neckRing, ...set }, sternum, strap('side', ['girthLow', 'chestSide', 'sideHalf', 'backHalf'], pad), strap('back', ['withers', 'backHalf']), girthSet],
    'backHalf',
  ),
  checks: longYChecks,
  symptoms: longYSymptoms,
  pull: 'mid-back',
  line: 'half-back',
  rig: longYRig,
  head: 'set',
  dressing: { ...overhead, off: steps('line-off', 'buckle', 'leg', 'head'), release: steps('line-off', 'buckle', 'head') },
})
