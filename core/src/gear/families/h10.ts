import { danger } from '../checks-and-symptoms.ts'
import { family } from '../family.ts'
import { runningRig } from '../shared/rigs.ts'
import { steps } from '../dressing-steps.ts'
import { overhead } from '../shared/dressing.ts'
import { walkingSymptoms } from '../shared/walking-symptoms.ts'
import { runningChecks } from '../shared/walking-checks.ts'
import { walking, walkingY } from '../shared/walking.ts'
import { girth, graph, neckRing, set, sternum, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Running, broad plate. Source: handbook 5.2 to 5.4, 6.2 (between sizes), common practice; tapes as the walking Y, ours. */
export const h10 = family({
  ...walking,
  id: 'H10',
  build: 'Four adjusters, plate between the legs, not for hard pull.',
  right: 'Broad plate beside the runner; many dogs fit one size.',
  wrong: 'For a dog that pulls in front.',
  kin: ['over-the-head'],
  suits: {
    stroll: works(),
    'learning-puller': conditions(),
    'long-hike': works(),
    scramble: wrong(),
    'beside-runner': first(),
    'front-of-runner': conditions('while the dog does not pull'),
    'bike-front': wrong(),
    'bike-side': works(),
    'ski-front': wrong(),
    'sled-team': wrong(),
    'wheel-place': wrong(),
    'weight-drag': wrong(),
    cart: wrong(),
    tracking: works(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: works(),
  meets: {},
  sides: {},
  tapes: { stock: walkingY },
  between: { rule: 'up', because: 'plate-clears-armpit' },
  parts: graph([{ ...neckRing, ...set }, { ...girth, ...set }, strap('back', ['withers', 'girthTop'], set), { ...sternum, ...set }], 'girthTop', {
    panels: [{ kind: 'plate', outline: ['lump', 'blade', 'plateSide', 'girthLow', 'betweenLegs'] }],
  }),
  checks: runningChecks,
  symptoms: walkingSymptoms,
  // The plate has a symptom of its own: between sizes.
  dangers: { ...walking.dangers, M06: { small: danger('S31', 'girth-strap-behind-elbow'), big: danger('S29', 'girth-strap-on-rib') } },
  pull: 'withers',
  line: null,
  rig: runningRig,
  head: 'set',
  dressing: { ...overhead, set: steps('loosen-all', ['tighten', 'neck'], ['tighten', 'girth'], 'check-in-step') },
})
