import { z } from 'zod'
import { FAMILY_IDS } from './lists.ts'

/** Client-made UUID, version 7, so that a repeated request changes nothing and rows sort by time. */
export const Id = z.uuid()

/** Handbook measure ID: M00 to M49. */
export const MeasureId = z.string().regex(/^M[0-4]\d$/, 'a measure ID is M00 to M49') as unknown as z.ZodType<MeasureId, MeasureId>
type Digit = '0' | '1' | '2' | '3' | '4' | '5' | '6' | '7' | '8' | '9'
export type MeasureId = `M${'0' | '1' | '2' | '3' | '4'}${Digit}`

/** Handbook symptom ID. */
export const SymptomId = z.string().regex(/^S\d\d$/, 'a symptom ID is S01 to S73')

export const FamilyId = z.enum(FAMILY_IDS)
export type FamilyId = z.infer<typeof FamilyId>

export const Day = z.iso.date()
/** Date and time with an offset, ISO 8601. */
export const Moment = z.iso.datetime({ offset: true })

/** A name or short line as typed: trimmed, at most `longest` characters. */
export const line = (longest: number) => z.string().trim().max(longest)
