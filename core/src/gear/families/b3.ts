import { family } from '../family.ts'
import { bootSymptoms } from '../shared/boot-symptoms.ts'
import { bootChecks } from '../shared/boot-checks.ts'
import { boot, pawTapes } from '../shared/boot.ts'
import { bootDress } from '../shared/dressing.ts'
import { graph } from '../shared/straps.ts'

/** Indoor grip socks. Source: handbook 3.4, 5.5, 6.2, from memory, unverified. */
export const b3 = family({
  ...boot,
  id: 'B3',
  build: 'Grip sock or unlined rubber boot.',
  right: 'Old dogs on floors; salt.',
  wrong: 'Long wear: moisture.',
  tapes: { stock: pawTapes },
  checks: bootChecks,
  symptoms: bootSymptoms,
  parts: graph([], null, { around: 'paws' }),
  dressing: bootDress,
})
