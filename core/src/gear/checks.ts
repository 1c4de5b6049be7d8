import type { FamilyId } from '../model/index.ts'
import type { Check, WornAbout } from './checks-and-symptoms.ts'
import { allFamilies, families } from './families/index.ts'
import { isGeneral } from './shared/every-harness.ts'

/**
 * The checks of handbook 7.2 for one family, in the order a hand makes them. What cannot be on this dog or build is left
 * out: a sheath on a female, eight fingers on a panel harness, a dewclaw where none is,
 * left against right on three legs. What is not known is asked.
 */
export function checksFor(family: FamilyId, about: WornAbout = {}): readonly Check[] {
  const { checks } = families[family]
  const { sex = null, build = null, dewclaw = null, threeLegs = false } = about
  if (sex === null && build === null && dewclaw === null && !threeLegs) return checks
  return checks.filter(
    ({ only = {} }) =>
      (only.sex === undefined || sex === null || sex === only.sex) &&
      (only.build === undefined || build === null || build === only.build) &&
      (only.dewclaw === undefined || dewclaw !== false) &&
      (only.fourLegs === undefined || !threeLegs),
  )
}

/** Has the family checks of its own, beside those of every harness? */
export const hasOwnChecks = (family: FamilyId): boolean => families[family].checks.some((check) => !isGeneral(check))

const byId = new Map<string, Check>()
// The first family that has it says it for all; what a kind words otherwise is its own.
for (const { checks } of allFamilies) for (const check of checks) if (!byId.has(check.id)) byId.set(check.id, check)

/** A check by the name records keep it under. */
export const checkById = (id: string): Check | undefined => byId.get(id)
