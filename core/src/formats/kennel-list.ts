import type { MeasureId } from '../model/index.ts'
import { z } from 'zod'
import { isMeasureId, measures } from '../measures/index.ts'
import { CoatClass, Day, Id, Moment, NewDog, NewReading, Sex, line, type Dog } from '../model/schemas.ts'
import { parseLength, parseWeight, type LengthUnit } from '../units/index.ts'
import { readCsv, writeCsv } from './csv.ts'
import { weightUnitIn, type WeightUnit } from './weight-span.ts'

/** A dog of a kennel list with the readings that came with it, ready to be stored. */
export const KennelDog = z.object({
  dog: NewDog.omit({ at: true, ownerId: true }),
  owner: line(80),
  readings: z.array(NewReading).max(60),
})
export type KennelDog = z.infer<typeof KennelDog>

/** What is sent to store a whole list: all or nothing. Ids are made by the client, so that sending twice changes nothing. */
export const KennelImport = z.object({
  at: Moment,
  by: line(60),
  dogs: z
    .array(KennelDog.extend({ id: Id, ownerId: Id.nullable(), ticketId: Id, readingIds: z.array(Id).max(60) }))
    .min(1)
    .max(5000),
})
export type KennelImport = z.infer<typeof KennelImport>

export interface CellProblem {
  /** Line of the file, 1 the first, and the column's title. */
  line: number
  column: string
  message: string
}

export interface KennelList {
  rows: { line: number; value: KennelDog | null; cells: Record<string, string> }[]
  columns: string[]
  problems: CellProblem[]
}

/** Columns a list is written out with; two more are read. */
const WRITTEN = ['name', 'breed', 'cross with', 'sex', 'born', 'weight', 'coat', 'owner', 'notes'] as const
const COLUMNS = [...WRITTEN, 'measured', 'by'] as const
type Column = (typeof COLUMNS)[number]

/** What people call these columns. */
const CALLED: Readonly<Record<string, Column>> = {
  dog: 'name',
  "dog's name": 'name',
  dob: 'born',
  birth: 'born',
  birthday: 'born',
  'date of birth': 'born',
  gender: 'sex',
  cross: 'cross with',
  comments: 'notes',
  comment: 'notes',
  remarks: 'notes',
  kennel: 'owner',
  'measured on': 'measured',
  date: 'measured',
  'measured by': 'by',
}

/** The column a title names; `weight lbs` and `weight (kg)` name their unit too. */
function plainColumn(title: string): Column | null {
  const known = COLUMNS.find((column) => column === title) ?? CALLED[title]
  return known ?? (/^weight\b/.test(title) && weightUnitIn(title) !== null ? 'weight' : null)
}

/** Most rows taken at once. */
export const KENNEL_ROWS = 5000

const SEXES: Readonly<Record<string, Sex>> = { m: 'male', male: 'male', dog: 'male', f: 'female', female: 'female', bitch: 'female' }

interface MeasureColumn {
  id: MeasureId
  unit: LengthUnit
  half: boolean
}

/** `M07`, `M07 in`, `M01 half cm`: a measure, its unit, and whether one side is given. */
function measureColumn(title: string, unit: LengthUnit): MeasureColumn | null {
  const found = /^(m[0-4]\d)(?:\s+(half))?(?:\s+\(?(in|cm|mm|kg|lb)\)?)?$/i.exec(title)
  const id = found?.[1]?.toUpperCase()
  if (!id || !isMeasureId(id)) return null
  const said = found?.[3]?.toLowerCase()
  return { id, half: found?.[2] !== undefined, unit: said === 'in' || said === 'cm' || said === 'mm' ? said : unit }
}

export interface KennelAbout {
  unit: LengthUnit
  /** Moment of bringing the list in, and who does. */
  at: string
  by: string
  /** Day these numbers were taken, where no column says it, `YYYY-MM-DD`; `null`: nobody knows. Left out: today, by `by`. */
  measured?: string | null
  /** Order of days such as 04/05/2019; `null` or left out: asked. */
  dayOrder?: 'dmy' | 'mdy' | null
  /** Of weights that name none; `null`: asked. Left out: kilograms. */
  weightUnit?: WeightUnit | null
}

/**
 * Reads a kennel list, one dog to a row. The first row names the columns: name, breed, cross with, sex, born, weight,
 * coat, owner, notes and measures by ID with their unit (`M01 half in`, `M07 cm`). Every bad cell is named; the row's
 * other cells are kept for showing, and nothing is to be stored while one is bad. Never throws.
 */
export function readKennelList(text: string, about: KennelAbout): KennelList {
  const { unit } = about
  const { rows: lines, problems: broken } = readCsv(text)
  const head = (lines[0] ?? []).map((title) => title.trim())
  const titles = head.map((title) => title.toLowerCase())
  const problems: CellProblem[] = broken.map((each) => ({ ...each, column: '' }))
  const columns = titles.map((title) => ({
    plain: plainColumn(title),
    measure: measureColumn(title, unit),
  }))
  titles.forEach((title, i) => {
    const column = columns[i]
    if (title !== '' && titles.indexOf(title) < i) problems.push({ line: 1, column: head[i] ?? '', message: 'this column stands twice' })
    if (column?.measure?.half && !measures[column.measure.id]?.doubling) {
      problems.push({ line: 1, column: head[i] ?? '', message: `${measures[column.measure.id]?.name ?? ''} is never taken on one side and doubled` })
    }
    if (column?.measure && (measures[column.measure.id]?.places.length ?? 0) > 0) {
      problems.push({ line: 1, column: head[i] ?? '', message: `${measures[column.measure.id]?.name ?? ''} is four paws or more; take it on the bench` })
    }
  })
  const has = (name: Column): boolean => columns.some((column) => column.plain === name)
  if (!has('name')) problems.push({ line: 1, column: 'name', message: 'one column must be "name"' })
  const body = lines.slice(1)
  if (body.length > KENNEL_ROWS) problems.push({ line: KENNEL_ROWS + 2, column: '', message: `more than ${KENNEL_ROWS} dogs; split the list` })

  const rows = body.slice(0, KENNEL_ROWS).flatMap((cells, i) => {
    const lineNumber = i + 2
    if (cells.every((cell) => cell.trim() === '')) return []
    const before = problems.length
    const wrong = (column: string, message: string): void => {
      problems.push({ line: lineNumber, column, message })
    }
    if (cells.length > head.length && cells.slice(head.length).some((cell) => cell.trim() !== '')) wrong('', 'more cells than columns')
    const cellOf = (column: Column): string => (cells[columns.findIndex((each) => each.plain === column)] ?? '').trim()
    const weightAt = columns.findIndex((each) => each.plain === 'weight')
    // A column nobody knows is kept as a note, under its own title.
    const kept = head.flatMap((title, c) =>
      title !== '' && !columns[c]?.plain && !columns[c]?.measure && (cells[c] ?? '').trim() !== '' ? [`${title}: ${(cells[c] ?? '').trim()}`] : [],
    )
    const fields = dogOf(cellOf, wrong, { ...about, weightUnit: weightUnitIn(titles[weightAt] ?? '') ?? about.weightUnit }, kept)
    const taken = takenOf(cellOf, wrong, about)
    const readings: NewReading[] = []
    columns.forEach(({ measure }, c) => {
      const cell = (cells[c] ?? '').trim()
      if (!measure || cell === '') return
      const reading = readingOf(measure, cell, taken)
      if (typeof reading === 'string') wrong(head[c] ?? '', reading)
      else readings.push(reading)
    })
    const shown = Object.fromEntries(head.map((title, c) => [title, (cells[c] ?? '').trim()]))
    const good = problems.length === before && fields !== null
    return [{ line: lineNumber, cells: shown, value: good ? { dog: fields, owner: cellOf('owner'), readings } : null }]
  })
  if (rows.length === 0) problems.push({ line: 2, column: '', message: 'no dog in this list' })
  return { rows, columns: head, problems }
}

/** When and by whom a row's numbers were taken: by its own cells, else as it was said of the whole list. */
function takenOf(cell: (column: Column) => string, wrong: (column: string, message: string) => void, about: KennelAbout): Taken {
  const today = about.at.slice(0, 10)
  const own = cell('measured')
  const day = own === '' ? (about.measured === undefined ? today : about.measured) : dayOf(own, about, 'measured', wrong)
  if (day !== null && day > today) wrong('measured', `"${own}" has not come yet`)
  // Only who brings a list in today, of today's numbers, took them: others say so in a column of their own.
  const by = cell('by').slice(0, 60) || (own === '' && about.measured === undefined ? about.by : '')
  return { at: day === null || day === today ? about.at : `${day}T12:00:00Z`, by, remark: day === null ? 'From a list, day not known' : 'From a kennel list' }
}

interface Taken {
  at: string
  by: string
  remark: string
}

/** A day as lists have them; `null` where it is none, and then it is said why. */
function dayOf(text: string, { dayOrder = null }: KennelAbout, column: Column, wrong: (column: string, message: string) => void): string | null {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text)
  const [, a, b, year] = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/.exec(text) ?? []
  let day: [string, string, string] | null = iso?.[1] && iso[2] && iso[3] ? [iso[1], iso[2], iso[3]] : null
  if (a && b && year) {
    const dotted = text.includes('.')
    const order = dotted || Number(a) > 12 ? 'dmy' : Number(b) > 12 ? 'mdy' : dayOrder
    if (order === null) {
      wrong(column, `"${text}": day first or month first?`)
      return null
    }
    day = order === 'dmy' ? [year, b, a] : [year, a, b]
  }
  const read = day && `${day[0]}-${day[1].padStart(2, '0')}-${day[2].padStart(2, '0')}`
  if (read && Day.safeParse(read).success) return read
  wrong(column, `"${text}" is no day; write 2024-03-31`)
  return null
}

/** A year alone is a birth year: about so many months, counted from its middle. */
function bornOf(
  text: string,
  about: KennelAbout,
  wrong: (column: string, message: string) => void,
): Pick<KennelDog['dog'], 'born' | 'ageMonths' | 'ageSaidOn'> {
  if (text === '') return { born: null }
  const today = about.at.slice(0, 10)
  if (/^\d{4}$/.test(text)) {
    const months = (Number(today.slice(0, 4)) - Number(text)) * 12 + Number(today.slice(5, 7)) - 7
    if (months < 0 || months > 360) wrong('born', `"${text}" is no birth year`)
    else return { born: null, ageMonths: months, ageSaidOn: today }
    return { born: null }
  }
  return { born: dayOf(text, about, 'born', wrong) }
}

function dogOf(
  cell: (column: Column) => string,
  wrong: (column: string, message: string) => void,
  about: KennelAbout,
  kept: readonly string[],
): KennelDog['dog'] | null {
  const sexText = cell('sex').toLowerCase()
  const sex = sexText === '' ? null : SEXES[sexText]
  if (sex === undefined) wrong('sex', `"${cell('sex')}" is neither male nor female`)
  const weightText = cell('weight')
  const { weightUnit } = about
  if (weightText !== '' && weightUnit === null && !/[a-z]/i.test(weightText)) wrong('weight', `"${weightText}": kilograms or pounds?`)
  const weight = weightText === '' ? null : parseWeight(weightText, weightUnit ?? 'kg')
  if (weight && !weight.ok) wrong('weight', `"${weightText}" is no weight; try 27.3 or 60 lb`)
  const coatText = cell('coat').toLowerCase().replace(/\s+/g, '-')
  const coat = coatText === '' ? null : CoatClass.safeParse(coatText)
  if (coat && !coat.success) wrong('coat', `"${cell('coat')}" is none of ${CoatClass.options.join(', ')}`)
  const read = NewDog.omit({ at: true, ownerId: true }).safeParse({
    name: cell('name'),
    breed: cell('breed'),
    crossWith: cell('cross with'),
    sex: sex ?? null,
    ...bornOf(cell('born'), about, wrong),
    weightKg: weight?.ok ? weight.kg : null,
    coat: coat?.success ? coat.data : null,
    notes: [cell('notes'), ...kept].filter(Boolean).join('; ').slice(0, 2000),
  })
  if (read.success) {
    if (cell('owner').length > 80) wrong('owner', 'longer than 80 signs')
    return read.data
  }
  for (const issue of read.error.issues) {
    const field = String(issue.path[0] ?? '')
    const column = field === 'crossWith' ? 'cross with' : field === 'weightKg' ? 'weight' : field
    const message =
      field === 'name' && cell('name') === '' ? 'a dog needs a name' : field === 'born' ? `"${cell('born')}" is no day; write 2024-03-31` : issue.message
    wrong(column, message)
  }
  return null
}

function readingOf(column: MeasureColumn, cell: string, { at, by, remark }: Taken): NewReading | string {
  if (column.id === 'M00') {
    const kg = parseWeight(cell)
    return kg.ok
      ? { measure: 'M00', mm: kg.kg, side: 'both', asTyped: cell.slice(0, 40), unit: /lb|pound/i.test(cell) ? 'lb' : 'kg', method: 'scale', takenAt: at, by }
      : `"${cell}" is no weight; try 27.3 or 60 lb`
  }
  const read = parseLength(cell, column.unit)
  if (!read.ok) return read.problem === 'too-long' ? `"${cell}" is longer than 3 m` : `"${cell}" is no length; try 13 1/2 or 34.5 cm`
  return {
    measure: column.id,
    mm: read.mm,
    side: column.half ? 'one' : 'both',
    asTyped: cell.slice(0, 40),
    unit: read.unit,
    method: 'tape',
    takenAt: at,
    by,
    remark,
  }
}

/** A dog as a row of a kennel list: what is known of it, and its agreed values in mm (M00 kg) by measure. */
export interface KennelRow {
  dog: Pick<Dog, 'name' | 'breed' | 'crossWith' | 'sex' | 'born' | 'weightKg' | 'coat' | 'notes'>
  owner: string
  values: Readonly<Record<string, number>>
}

/** A kennel list as CSV, in centimetres and kilograms, formulas guarded: it can be brought in as it is. */
export function kennelListToCsv(rows: readonly KennelRow[]): string {
  const ids = Object.keys(measures).filter((id) => (measures[id]?.places.length ?? 0) === 0 && rows.some((row) => row.values[id] !== undefined))
  const number = (value: number): string => String(Number(value.toFixed(3)))
  return writeCsv([
    [...WRITTEN, ...ids.map((id) => (id === 'M00' ? 'M00 kg' : `${id} cm`))],
    ...rows.map(({ dog, owner, values }) => [
      dog.name,
      dog.breed,
      dog.crossWith,
      dog.sex ?? '',
      dog.born ?? '',
      dog.weightKg === null ? '' : `${number(dog.weightKg)} kg`,
      dog.coat ?? '',
      owner,
      dog.notes,
      ...ids.map((id) => (values[id] === undefined ? '' : id === 'M00' ? `${number(values[id])} kg` : number(values[id] / 10))),
    ]),
  ])
}

/** An empty list to fill in: the columns and one example row of invented data. */
export const kennelTemplate = (): string =>
  writeCsv([
    [...WRITTEN, 'M01 half cm', 'M07 cm', 'M13 cm'],
    ['Example', 'Siberian Husky', '', 'female', '2023-04-18', '21.2 kg', 'thick-double', 'Owner’s name', '', '27.6', '69.8', '78.4'],
  ])
