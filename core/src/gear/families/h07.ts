import { family } from '../family.ts'
import { dualStrapRig } from '../shared/rigs.ts'
import { steps } from '../dressing-steps.ts'
import { overhead } from '../shared/dressing.ts'
import { petSymptoms } from '../shared/walking-symptoms.ts'
import { petChecks } from '../shared/walking-checks.ts'
import { petVestOverHead, walking } from '../shared/walking.ts'
import { girthSet, graph, set, strap } from '../shared/straps.ts'
import { conditions, noLoad, works, wrong } from '../suits.ts'

/** Dual strap, overhead. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h07 = family({
  ...walking,
  id: 'H07',
  build: 'Neck ring over the head, one side buckle.',
  right: 'Adjustable, cheap.',
  wrong: 'Put on the wrong way round: find the leash ring first.',
  kin: ['over-the-head'],
  suits: {
    stroll: works(),
    'learning-puller': conditions(),
    'long-hike': works(),
    scramble: wrong(),
    'beside-runner': wrong(),
    ...noLoad,
    tracking: conditions(),
    car: wrong(),
  },
  puppy: conditions(),
  flatFace: conditions(),
  meets: { 'backs-out': 'against' },
  sides: {},
  tapes: { stock: petVestOverHead },
  parts: graph([strap('neck-ring', ['collarFront', 'collarTop'], set), strap('back', ['collarTop', 'withers', 'girthTop']), girthSet], 'girthTop'),
  checks: petChecks,
  symptoms: petSymptoms,
  pull: 'withers',
  line: null,
  rig: dualStrapRig,
  head: 'set',
  dressing: { ...overhead, on: steps('find-the-loose-ring', 'ring-up', 'over-the-head', 'foreleg-through', 'buckle-the-other-side') },
})
