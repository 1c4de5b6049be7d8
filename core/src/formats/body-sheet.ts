import { z } from 'zod'
import { measures } from '../measures/index.ts'
import { Day, DogFields, DogNote, Id, Mark, Moment, Reading, line } from '../model/index.ts'
import { writeCsv } from './csv.ts'
import type { ReadDocument } from './read-document.ts'

/**
 * One dog's body sheet as a document of its own: who it is, every reading with its circumstances, every strike and
 * restoring, visit by visit, and the notes. Documented in docs/formats.md; its JSON Schema is made from this.
 */
export const BodySheet = z.object({
  format: z.literal('merry-tailor/body-sheet'),
  version: z.literal(1),
  dog: DogFields.omit({ ownerId: true }).extend({ id: Id, createdAt: Moment }),
  owner: z.object({ name: line(80).min(1), contact: line(200) }).nullable(),
  visits: z
    .array(
      z.object({
        ticketId: Id,
        openedAt: Moment,
        by: line(60),
        readings: z.array(Reading.omit({ struck: true })).max(5000),
        marks: z.array(Mark).max(10000),
      }),
    )
    .max(500),
  notes: z.array(DogNote.extend({ on: Day })).max(500),
})
export type BodySheet = z.infer<typeof BodySheet>

/** JSON Schema (2020-12) of the body sheet, for whoever wants to read or write one. */
export const bodySheetSchema = (): object => z.toJSONSchema(BodySheet, { target: 'draft-2020-12' })

export const bodySheetToJson = (sheet: BodySheet): string => `${JSON.stringify(BodySheet.parse(sheet), null, 2)}\n`

/** Reads a body sheet; every bad field is named by its path, and nothing is taken in half. Never throws. */
export function bodySheetFromJson(text: string): ReadDocument<BodySheet> {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return { ok: false, problems: [{ at: 'file', message: 'this is not JSON' }] }
  }
  const read = BodySheet.safeParse(data)
  if (!read.success) {
    return { ok: false, problems: read.error.issues.slice(0, 50).map((issue) => ({ at: issue.path.join('.') || 'file', message: issue.message })) }
  }
  const unknown = read.data.visits.flatMap((visit) => visit.readings).find((reading) => !measures[reading.measure])
  if (unknown) return { ok: false, problems: [{ at: 'visits', message: `${unknown.measure} is no measure of the catalogue` }] }
  return { ok: true, value: read.data }
}

const HEAD = [
  'dog',
  'taken at',
  'measure',
  'name',
  'place',
  'as typed',
  'millimetres or kilograms',
  'side',
  'counts',
  'struck because',
  'method',
  'definition',
  'school',
  'coat',
  'stance in doubt',
  'chalk mark',
  'dewclaw',
  'remark',
  'measured by',
  'held by',
  'reading',
]

/** Every reading as a row, for a spreadsheet; formulas are guarded. */
export function bodySheetToCsv(sheet: BodySheet): string {
  const rows = sheet.visits.flatMap((visit) =>
    visit.readings.map((reading) => {
      const last = visit.marks.findLast((mark) => mark.about === reading.id)
      const struck = last?.kind === 'struck'
      return [
        sheet.dog.name,
        reading.takenAt,
        reading.measure,
        measures[reading.measure]?.name ?? '',
        reading.place ?? '',
        reading.asTyped,
        String(Number(reading.mm.toFixed(4))),
        reading.side,
        struck ? 'no' : 'yes',
        struck ? last.why : '',
        reading.method,
        String(reading.definition),
        reading.school ?? '',
        reading.coat ?? '',
        reading.postureDoubt,
        reading.chalkMark ? 'yes' : '',
        reading.dewclaw ?? '',
        reading.remark,
        reading.by,
        reading.heldBy,
        reading.id,
      ]
    }),
  )
  return writeCsv([HEAD, ...rows])
}
