import { z } from 'zod'

/** Client-made UUID, version 7, so that a repeated request changes nothing and rows sort by time. */
export const Id = z.uuid()

/** Handbook measure ID: M00 to M49. */
export const MeasureId = z.string().regex(/^M[0-4]\d$/, 'a measure ID is M00 to M49')
export type MeasureId = z.infer<typeof MeasureId>

/** Gear families this shop can work so far (handbook 5.2). */
export const FamilyId = z.enum(['H01', 'H11'])
export type FamilyId = z.infer<typeof FamilyId>

export const Day = z.iso.date()
/** Date and time with an offset, ISO 8601. */
export const Moment = z.iso.datetime({ offset: true })

/** A name or short line as typed: trimmed, at most `longest` characters. */
export const line = (longest: number) => z.string().trim().max(longest)
