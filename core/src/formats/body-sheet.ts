import { z } from 'zod'
import { measures } from '../measures/index.ts'
import { Day, DogFields, DogNote, Id, Mark, Moment, Reading, line } from '../model/schemas.ts'
import { readCsv, writeCsv } from './csv.ts'
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
        readings: z.array(Reading.omit({ struck: true, on: true })).max(5000),
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

const READING_HEAD = [
  'visit',
  'taken at',
  'measure',
  'name',
  'place',
  'as typed',
  'unit',
  'millimetres or kilograms',
  'side',
  'counts',
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
] as const
const VISIT_HEAD = ['visit', 'opened at', 'by'] as const
const MARK_HEAD = ['visit', 'mark', 'reading', 'kind', 'why', 'at', 'by'] as const
const NOTE_HEAD = ['note', 'kind', 'text', 'on', 'over', 'at', 'by'] as const

const DOG_FACTS = [
  'id',
  'name',
  'breed',
  'crossWith',
  'sex',
  'born',
  'ageMonths',
  'ageSaidOn',
  'weightKg',
  'coat',
  'flatFace',
  'sparing',
  'notes',
  'createdAt',
] as const satisfies readonly (keyof BodySheet['dog'])[]

/**
 * The body sheet for a spreadsheet: five tables under each other, an empty line between. First facts of the dog, a name
 * and a value to a line; then visits, readings, marks and notes, each with its head. Formulas are guarded.
 */
export function bodySheetToCsv(sheet: BodySheet): string {
  const facts = [
    ['format', sheet.format],
    ['version', String(sheet.version)],
    ...DOG_FACTS.map((key) => [key, String(sheet.dog[key] ?? '')]),
    ['owner', sheet.owner?.name ?? ''],
    ['contact', sheet.owner?.contact ?? ''],
  ]
  const visits = sheet.visits.map((visit) => [visit.ticketId, visit.openedAt, visit.by])
  const readings = sheet.visits.flatMap((visit) =>
    visit.readings.map((reading) => [
      visit.ticketId,
      reading.takenAt,
      reading.measure,
      measures[reading.measure]?.name ?? '',
      reading.place ?? '',
      reading.asTyped,
      reading.unit,
      String(reading.mm),
      reading.side,
      visit.marks.findLast((mark) => mark.about === reading.id)?.kind === 'struck' ? 'no' : 'yes',
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
    ]),
  )
  const marks = sheet.visits.flatMap((visit) => visit.marks.map((mark) => [visit.ticketId, mark.id, mark.about, mark.kind, mark.why, mark.at, mark.by]))
  const notes = sheet.notes.map((note) => [note.id, note.kind, note.text, note.on, note.over ?? '', note.at, note.by])
  return [facts, [[...VISIT_HEAD], ...visits], [[...READING_HEAD], ...readings], [[...MARK_HEAD], ...marks], [[...NOTE_HEAD], ...notes]]
    .map(writeCsv)
    .join('\r\n')
}

/** Rows of one table under its head, up to the next empty line, each as a record with its line in the file. */
function tableUnder(rows: readonly string[][], head: readonly string[]): { line: number; cell: (name: string) => string }[] {
  const start = rows.findIndex((row) => head.every((name, i) => row[i]?.trim() === name))
  if (start < 0) return []
  const end = rows.findIndex((row, i) => i > start && row.every((cell) => cell.trim() === ''))
  return rows.slice(start + 1, end < 0 ? undefined : end).map((row, i) => ({ line: start + i + 2, cell: (name) => row[head.indexOf(name)] ?? '' }))
}

const orNull = (text: string): string | null => (text === '' ? null : text)
const numberOrNull = (text: string): number | null => (text === '' ? null : Number(text))
const flagOrNull = (text: string): boolean | null => (text === '' ? null : text === 'true')

/** Reads what `bodySheetToCsv` writes: the same sheet again, or every bad field by its path. Never throws. */
export function bodySheetFromCsv(text: string): ReadDocument<BodySheet> {
  const { rows } = readCsv(text)
  const facts = new Map(
    rows
      .slice(
        0,
        Math.max(
          0,
          rows.findIndex((row) => row.every((cell) => cell === '')),
        ),
      )
      .map((row) => [row[0] ?? '', row[1] ?? '']),
  )
  const fact = (name: string): string => facts.get(name) ?? ''
  if (fact('format') !== 'merry-tailor/body-sheet') return { ok: false, problems: [{ at: 'format', message: 'this is no body sheet' }] }
  const marks = tableUnder(rows, MARK_HEAD)
  const readings = tableUnder(rows, READING_HEAD)
  const sheet = {
    format: fact('format'),
    version: Number(fact('version')),
    dog: {
      id: fact('id'),
      name: fact('name'),
      breed: fact('breed'),
      crossWith: fact('crossWith'),
      sex: orNull(fact('sex')),
      born: orNull(fact('born')),
      ageMonths: numberOrNull(fact('ageMonths')),
      ageSaidOn: orNull(fact('ageSaidOn')),
      weightKg: numberOrNull(fact('weightKg')),
      coat: orNull(fact('coat')),
      flatFace: flagOrNull(fact('flatFace')),
      sparing: fact('sparing') === 'true',
      notes: fact('notes'),
      createdAt: fact('createdAt'),
    },
    owner: fact('owner') === '' ? null : { name: fact('owner'), contact: fact('contact') },
    visits: tableUnder(rows, VISIT_HEAD).map(({ cell: visit }) => ({
      ticketId: visit('visit'),
      openedAt: visit('opened at'),
      by: visit('by'),
      readings: readings
        .filter(({ cell }) => cell('visit') === visit('visit'))
        .map(({ cell }) => ({
          id: cell('reading'),
          measure: cell('measure'),
          mm: Number(cell('millimetres or kilograms')),
          side: cell('side'),
          asTyped: cell('as typed'),
          unit: cell('unit'),
          takenAt: cell('taken at'),
          by: cell('measured by'),
          place: orNull(cell('place')),
          definition: Number(cell('definition')),
          school: orNull(cell('school')),
          method: cell('method'),
          coat: orNull(cell('coat')),
          postureDoubt: cell('stance in doubt'),
          chalkMark: cell('chalk mark') === 'yes',
          dewclaw: orNull(cell('dewclaw')),
          remark: cell('remark'),
          heldBy: cell('held by'),
          // A tracing stays in its own book.
          tracingId: null,
        })),
      marks: marks
        .filter(({ cell }) => cell('visit') === visit('visit'))
        .map(({ cell }) => ({
          id: cell('mark'),
          what: 'reading',
          about: cell('reading'),
          kind: cell('kind'),
          why: cell('why'),
          at: cell('at'),
          by: cell('by'),
        })),
    })),
    notes: tableUnder(rows, NOTE_HEAD).map(({ cell }) => ({
      id: cell('note'),
      kind: cell('kind'),
      text: cell('text'),
      on: cell('on'),
      over: orNull(cell('over')),
      at: cell('at'),
      by: cell('by'),
    })),
  }
  return bodySheetFromJson(JSON.stringify(sheet))
}
