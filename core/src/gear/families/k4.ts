import { family } from '../family.ts'
import { penSymptoms } from '../shared/crate-symptoms.ts'
import { penChecks } from '../shared/crate-checks.ts'
import { crate } from '../shared/crate.ts'
import { graph } from '../shared/straps.ts'
import { check } from '../wanted-tapes.ts'

/** Exercise pen. Source: handbook 5.5, 10.1, common practice; tapes (3.4) from memory, unverified. */
export const k4 = family({
  ...crate,
  id: 'K4',
  build: 'Panels of several heights; clips to the wire crate.',
  right: 'More room while people work.',
  wrong: 'Jumpers and climbers.',
  tapes: { stock: check('M45', 'M42') },
  checks: penChecks,
  symptoms: penSymptoms,
  parts: graph([], null, { around: 'pen' }),
})
