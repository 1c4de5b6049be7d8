import type { FamilyId } from '../model/index.ts'
import type { Danger } from './checks-and-symptoms.ts'
import { families } from './families/index.ts'

/** What to expect when a size misses on a measure; `null` where the handbook names nothing. */
export const endangeredBy = (family: FamilyId, measure: string, way: 'small' | 'big'): Danger | null => families[family].dangers[measure]?.[way] ?? null
