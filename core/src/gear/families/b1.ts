import { family } from '../family.ts'
import { bootSymptoms } from '../shared/boot-symptoms.ts'
import { bootChecks } from '../shared/boot-checks.ts'
import { boot, pawTapes } from '../shared/boot.ts'
import { bootDress } from '../shared/dressing.ts'
import { graph } from '../shared/straps.ts'

/** Sled booties. Source: handbook 3.4, 5.5, 6.2, from memory, unverified. */
export const b1 = family({
  ...boot,
  id: 'B1',
  build: 'Unlined cloth, strap.',
  right: 'Snow, ice, ice balls, small cuts; used up.',
  wrong: 'Asphalt.',
  tapes: { stock: pawTapes },
  between: { rule: 'down', because: 'cloth-gives' },
  checks: bootChecks,
  symptoms: bootSymptoms,
  parts: graph([], null, { around: 'paws' }),
  dressing: bootDress,
})
