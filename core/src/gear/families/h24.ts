import { family } from '../family.ts'
import { carRig } from '../shared/rigs.ts'
import { steps, tighten } from '../dressing-steps.ts'
import { carSymptoms } from '../shared/car-symptoms.ts'
import { carChecks } from '../shared/car-checks.ts'
import { girth, graph, pad, setBothSides, strap } from '../shared/straps.ts'
import { conditions, first, noLoad, works, wrong } from '../suits.ts'
import { must, oneOf } from '../wanted-tapes.ts'

/** Car harness. Source: handbook 3.4, 5.2 to 5.4, 8.4, common practice; between sizes and the order of measures from memory, unverified. */
export const h24 = family({
  id: 'H24',
  build: 'Strength-rated metal parts, padded panel, loop for the vehicle belt.',
  right: 'Keeps the dog in its seat and lets it stand, sit and lie; both sides buckled.',
  wrong: 'For sport. The walking ring is only for the way to the car; no tether on in the drive. One that was not tested dynamically.',
  shelf: 'car',
  kin: ['over-the-head'],
  suits: {
    stroll: conditions('for a short walk on the lead'),
    'long-hike': wrong(),
    scramble: wrong(),
    'beside-runner': wrong(),
    ...noLoad,
    tracking: wrong(),
    car: first(),
  },
  puppy: works('refitted as it grows'),
  flatFace: works(),
  meets: {},
  sides: {},
  tapes: { stock: [...must('M07', 'M00'), ...oneOf('M01', 'M02', 'must')] },
  decides: ['M07', 'M01', 'M02', 'M00'],
  between: { rule: 'up', because: 'larger-ring' },
  parts: graph(
    [strap('front', ['lump', 'front', 'withers'], { ...pad, ...setBothSides }), { ...girth, ...setBothSides }, strap('back', ['withers', 'girthTop'], pad)],
    'girthTop',
    {
      panels: [{ kind: 'plate', outline: ['front', 'lump', 'betweenLegs', 'girthLow', 'chestSide', 'blade'] }],
    },
  ),
  checks: carChecks,
  symptoms: carSymptoms,
  // Eight fingers in front are a rule of the two-buckle type, a couple of the panel (V41, V42): no symptom follows from a size alone.
  dangers: {},
  pull: 'withers',
  line: null,
  rig: carRig,
  head: 'set',
  dressing: {
    on: steps('marked-side-up', 'panel-between-forelegs', ['straps-home-and-tug', 'left'], ['straps-home-and-tug', 'right']),
    off: steps('away-from-traffic', 'both-buckles'),
    release: steps('away-from-traffic', 'both-buckles'),
    set: [
      ...tighten('girth, rear part of each side', 'girth, front part of each side'),
      ...steps('tails-in'),
      ...tighten('neck, a little on each side in turn'),
    ],
  },
  dressingOfBuild: {
    'two-buckle': {
      on: steps('thumbs-in-rings', 'leg-right-side', ['buckle', 'both'], 'centre-it'),
      off: steps('away-from-traffic', 'both-buckles'),
      release: steps('away-from-traffic', 'both-buckles'),
      set: steps(['tighten', 'straps'], ['meet-in-line', 'upper and lower straps'], 'fix-keepers'),
    },
  },
})
