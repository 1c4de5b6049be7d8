import { family } from '../family.ts'
import { wireCrateSymptoms } from '../shared/crate-symptoms.ts'
import { crateChecks } from '../shared/crate-checks.ts'
import { crate, crateTapes } from '../shared/crate.ts'
import { graph } from '../shared/straps.ts'

/** Wire crate. Source: handbook 5.5, 10.1, common practice; tapes (3.4) from memory, unverified. */
export const k1 = family({
  ...crate,
  id: 'K1',
  build: 'Wire, usually two doors, a tray; takes a divider.',
  right: 'Home, puppy with divider; a pen clips on.',
  wrong: 'Folded often: the joints loosen.',
  tapes: { stock: crateTapes },
  checks: crateChecks,
  symptoms: wireCrateSymptoms,
  parts: graph([], null, { around: 'bars' }),
})
