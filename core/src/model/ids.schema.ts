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

/**
 * Signs that turn the order of what follows, and controls: one of them in a name turns a docket's numbers round.
 * Source: UAX #9, explicit directional formatting characters (value from memory).
 */
const UNSEEN = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069]/g

/** A name or short line as typed: on one line, nothing unseen in it, trimmed, at most `longest` characters. */
export const line = (longest: number) =>
  z
    .string()
    .overwrite((text) => text.replaceAll(UNSEEN, '').replaceAll(/[\t\r\n\u2028\u2029]+/g, ' '))
    .trim()
    .max(longest)

/** Notes as typed: like a line, and its line ends stay. */
export const notes = (longest: number) =>
  z
    .string()
    .overwrite((text) => text.replaceAll(UNSEEN, ''))
    .trim()
    .max(longest)
