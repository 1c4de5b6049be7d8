import { family } from '../family.ts'
import { travelCrateSymptoms } from '../shared/crate-symptoms.ts'
import { crateChecks } from '../shared/crate-checks.ts'
import { crate, crateTapes } from '../shared/crate.ts'
import { graph } from '../shared/straps.ts'

/** Travel crate, rigid. Source: handbook 5.5, 10.1, common practice; tapes (3.4) from memory, unverified. */
export const k2 = family({
  ...crate,
  id: 'K2',
  build: 'Two half shells, one metal door, two side windows.',
  right: 'Car, vet, flight if it is to the carrier’s rules.',
  wrong: 'Puppy training: no divider, little space.',
  tapes: { stock: crateTapes },
  checks: crateChecks,
  symptoms: travelCrateSymptoms,
  parts: graph([], null, { around: 'shell' }),
})
