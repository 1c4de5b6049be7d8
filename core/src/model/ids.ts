import { z } from 'zod'

/** Client-made UUID, version 7, so that a repeated request changes nothing and rows sort by time. */
export const Id = z.uuid()

/** Handbook measure ID: M00 to M49. */
export const MeasureId = z.string().regex(/^M[0-4]\d$/, 'a measure ID is M00 to M49')
export type MeasureId = z.infer<typeof MeasureId>

/** Gear families and other items (handbook 5.2 and 5.5). */
export const FamilyId = z.enum([
  'H01',
  'H02',
  'H03',
  'H04',
  'H05',
  'H06',
  'H07',
  'H08',
  'H09',
  'H10',
  'H11',
  'H12',
  'H13',
  'H14',
  'H15',
  'H16',
  'H17',
  'H18',
  'H19',
  'H20',
  'H21',
  'H22',
  'H23',
  'H24',
  'C1',
  'C2',
  'C3',
  'C4',
  'C5',
  'B1',
  'B2',
  'B3',
  'K1',
  'K2',
  'K3',
  'K4',
])
export type FamilyId = z.infer<typeof FamilyId>

export const Day = z.iso.date()
/** Date and time with an offset, ISO 8601. */
export const Moment = z.iso.datetime({ offset: true })

/** A name or short line as typed: trimmed, at most `longest` characters. */
export const line = (longest: number) => z.string().trim().max(longest)
