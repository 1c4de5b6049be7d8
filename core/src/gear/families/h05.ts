import { family } from '../family.ts'
import { vestRig } from '../shared/rigs.ts'
import { petSymptoms } from '../shared/walking-symptoms.ts'
import { petChecks } from '../shared/walking-checks.ts'
import { overhead } from '../shared/dressing.ts'
import { petVestOverHead, walking } from '../shared/walking.ts'
import { girthSet, graph, strap } from '../shared/straps.ts'
import { conditions, noLoad, works, wrong } from '../suits.ts'

/** Vest. Source: handbook 3.4, 5.2 to 5.4, common practice; up where it would not pass the head (6.2) from memory, unverified. */
export const h05 = family({
  ...walking,
  id: 'H05',
  build: 'Fabric body, head opening usually fixed, one buckle.',
  right: 'Quickest to dress, soft.',
  wrong: 'Where the neck was not measured: it cannot be adjusted. Warm in summer.',
  kin: ['over-the-head'],
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
  meets: { wriggles: 'for', chews: 'against', 'backs-out': 'against' },
  sides: {},
  tapes: { stock: petVestOverHead },
  decides: ['M01', 'M02', 'M04', 'M06', 'M07'],
  between: { rule: 'up', because: 'must-pass-the-head' },
  parts: graph([strap('neck-ring', ['lump', 'front', 'withers']), girthSet], 'girthTop', {
    panels: [{ kind: 'cloth', outline: ['withers', 'front', 'lump', 'betweenLegs', 'girthLow', 'girthSide', 'girthTop'] }],
  }),
  checks: petChecks,
  symptoms: petSymptoms,
  pull: 'withers',
  line: null,
  rig: vestRig,
  head: 'fixed',
  dressing: overhead,
})
