import type { FamilyId } from '../model/index.ts'
import type { Check } from './checks-and-symptoms.ts'
import { allFamilies, families } from './families/index.ts'
import { isGeneral } from './shared/every-harness.ts'

/** The checks of handbook 7.2 for one family, in the order a hand makes them; coats, boots and crates have none yet. */
export const checksFor = (family: FamilyId): readonly Check[] => families[family].checks

/** Has the family checks of its own, beside those of every harness? */
export const hasOwnChecks = (family: FamilyId): boolean => families[family].checks.some((check) => !isGeneral(check))

const byId = new Map<string, Check>()
// The first family that has it says it for all; what a kind words otherwise is its own.
for (const { checks } of allFamilies) for (const check of checks) if (!byId.has(check.id)) byId.set(check.id, check)

/** A check by the name records keep it under. */
export const checkById = (id: string): Check | undefined => byId.get(id)
