import { FAMILY_IDS, type Activity, type FamilyId } from '../model/index.ts'
import { families } from './families/index.ts'
import type { Kin, Shelf } from './family.ts'
import type { Suits } from './suits.ts'

/** How a family suits one activity. */
export const suits = (family: FamilyId, activity: Activity): Suits => families[family].activities[activity]

/** Does it share this with its kin? */
export const isKin = (family: FamilyId, kin: Kin): boolean => families[family].kin.includes(kin)

const HARNESS: readonly Shelf[] = ['walking', 'pulling', 'drafting', 'car']

/** Is it worn to be held or to pull by, and not for warmth, paws or rest? */
export const isHarness = (family: FamilyId): boolean => HARNESS.includes(families[family].shelf)

/** Every harness, in the order of the handbook. */
export const harnessIds: readonly FamilyId[] = FAMILY_IDS.filter(isHarness)

/** Is this family made to one of the two measuring schools? */
export const hasSchools = (family: FamilyId): boolean => families[family].tapes.made !== undefined
