import { family } from '../family.ts'
import { bootSymptoms } from '../shared/boot-symptoms.ts'
import { bootChecks } from '../shared/boot-checks.ts'
import { boot, pawTapes } from '../shared/boot.ts'
import { bootDress } from '../shared/dressing.ts'
import { graph } from '../shared/straps.ts'
import { check } from '../wanted-tapes.ts'

/** Trail boots. Source: handbook 3.4, 5.5, 6.2, from memory, unverified. */
export const b2 = family({
  ...boot,
  id: 'B2',
  build: 'Rubber sole.',
  right: 'Rock, hot or salted ground, injuries.',
  wrong: 'The wrong width; hours without a break; deep snow without a gaiter.',
  tapes: { stock: [...pawTapes, ...check('M38')] },
  checks: bootChecks,
  symptoms: bootSymptoms,
  parts: graph([], null, { around: 'paws' }),
  dressing: bootDress,
})
