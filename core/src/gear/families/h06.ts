import { family } from '../family.ts'
import { stepInRig } from '../shared/rigs.ts'
import { plateStepInSymptoms } from '../shared/walking-symptoms.ts'
import { plateStepInChecks } from '../shared/walking-checks.ts'
import { stepIn } from '../shared/dressing.ts'
import { petVest, walking } from '../shared/walking.ts'
import { graph, nearGirth, set, strap } from '../shared/straps.ts'
import { conditions, noLoad, works, wrong } from '../suits.ts'

/** Plate, step-in style. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h06 = family({
  ...walking,
  id: 'H06',
  build: 'As the step-in, with a plate, wide end to the rear.',
  right: 'Light; the plate spreads the strap.',
  wrong: 'For pullers and long tours: bare straps and buckles rub after about half an hour.',
  kin: [],
  suits: {
    stroll: works(),
    'learning-puller': wrong(),
    'long-hike': conditions(),
    scramble: wrong(),
    'beside-runner': wrong(),
    ...noLoad,
    tracking: wrong(),
    car: wrong(),
  },
  puppy: conditions(),
  flatFace: works(),
  meets: { wriggles: 'for' },
  sides: {},
  tapes: { stock: petVest },
  parts: graph([strap('front', ['lump', 'front', 'nearGirthTop']), { ...nearGirth, ...set }], 'nearGirthTop', {
    panels: [{ kind: 'plate', outline: ['lump', 'blade', 'plateSide', 'girthLow', 'betweenLegs'] }],
  }),
  checks: plateStepInChecks,
  symptoms: plateStepInSymptoms,
  pull: 'withers',
  line: null,
  rig: stepInRig,
  head: 'none',
  dressing: stepIn,
})
