import { family } from '../family.ts'
import { travelCrateSymptoms } from '../shared/crate-symptoms.ts'
import { crateChecks } from '../shared/crate-checks.ts'
import { crate, crateTapes } from '../shared/crate.ts'
import { graph } from '../shared/straps.ts'

/** Soft crate. Source: handbook 5.5, 10.1, common practice; tapes (3.4) from memory, unverified. */
export const k3 = family({
  ...crate,
  id: 'K3',
  build: 'Frame and mesh, pockets.',
  right: 'Camping and trips with trained dogs.',
  wrong: 'Daily use, chewers, untrained dogs.',
  tapes: { stock: crateTapes },
  checks: crateChecks,
  symptoms: travelCrateSymptoms,
  parts: graph([], null, { around: 'mesh' }),
})
