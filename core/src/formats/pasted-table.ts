import { isPossibleBand, measures } from '../measures/index.ts'
import { SizeTable, type Band } from '../model/schemas.ts'
import type { LengthUnit } from '../units/index.ts'
import { readCsv } from './csv.ts'
import type { DocumentProblem, ReadDocument } from './read-document.ts'
import { parseSpan } from './span.ts'
import { parseWeightSpan, weightUnitIn, type WeightUnit } from './weight-span.ts'

/** Cells as they stood in a spreadsheet: the first row names the columns. */
export interface Pasted {
  head: string[]
  rows: string[][]
}

/** What a column of a maker's table stands for. `unjudged`: no path of ours; kept by name, nothing is judged by it. */
export type ColumnMeaning =
  | { kind: 'size' }
  | { kind: 'range'; measure: string }
  | { kind: 'from'; measure: string }
  | { kind: 'to'; measure: string }
  | { kind: 'strap'; name: string }
  | { kind: 'tested' }
  | { kind: 'unjudged' }

/** A column's meaning as far as its title says it; `ask`: the word means several paths, somebody has to say which. */
export interface ColumnGuess {
  title: string
  meaning: ColumnMeaning | null
  /** Paths makers have been known to mean by this word, likeliest first. */
  ask: string[]
}

const MOST_SIZES = 60
const MOST_COLUMNS = 60

/**
 * Words on makers' tables and the paths they may mean; a word with one path alone is taken as that. "Length" and "neck"
 * are never taken for granted (handbook 3.3 and 13, D01 to D06).
 */
const WORDS: readonly (readonly [RegExp, readonly string[]])[] = [
  [/^(?:size|label|größe|groesse|taille|maat|storlek)$/i, []],
  [/harness neck/i, ['M01']],
  [/collar/i, ['M02']],
  [/neck|hals|nacke/i, ['M01', 'M02', 'M03']],
  [/sternum/i, ['M06']],
  [/girth|chest (?:ring|circ)|brustumfang|bröst/i, ['M07', 'M08', 'M09']],
  [/chest|breast/i, ['M07', 'M08', 'M06', 'M19', 'M20']],
  [/waist|taille|belly ring/i, ['M22', 'M21', 'M29']],
  [/back/i, ['M14', 'M15', 'M16']],
  [/length|länge|längd|lengte/i, ['M14', 'M13', 'M15', 'M16', 'M12', 'M10', 'M06']],
  [/paw width/i, ['M32', 'M34']],
  [/paw length/i, ['M33', 'M35']],
  [/head/i, ['M04']],
  [/weight|gewicht/i, ['M00']],
]

/** Unnamed lines from one point to another, as makers letter them. */
const LINES = ['M14', 'M16', 'M13', 'M12'] as const

/** The paths a word or a letter of somebody else's may mean, likeliest first; for a bare letter the lines a body has. */
export function pathsOf(word: string): readonly string[] {
  const found = WORDS.slice(1).find(([pattern]) => pattern.test(word))?.[1] ?? []
  return found.length > 0 ? found.slice(0, 4) : LINES
}

/** Reads cells pasted from a spreadsheet or a text table: tabs, semicolons or commas between them. Never throws. */
export function readPasted(text: string): ReadDocument<Pasted> {
  const { rows, problems } = readCsv(text)
  const filled = rows.map((cells) => cells.map((cell) => cell.trim())).filter((cells) => cells.some((cell) => cell !== ''))
  if (problems.length > 0) return { ok: false, problems: problems.map(({ line, message }) => ({ at: `row ${line}`, message })) }
  const [head, ...body] = filled
  if (!head || body.length === 0) return { ok: false, problems: [{ at: 'cells', message: 'copy the row of titles and at least one size' }] }
  if (body.length > MOST_SIZES)
    return { ok: false, problems: [{ at: 'cells', message: `${body.length.toLocaleString('en')} rows; a size table has at most ${MOST_SIZES} sizes` }] }
  if (head.length > MOST_COLUMNS) return { ok: false, problems: [{ at: 'cells', message: `${head.length} columns; at most ${MOST_COLUMNS}` }] }
  return { ok: true, value: { head, rows: body } }
}

/** What each column's title says of it. The first column is the size names unless another says so. */
export function guessColumns({ head }: Pasted): ColumnGuess[] {
  const sizeAt = Math.max(
    0,
    head.findIndex((title) => WORDS[0]?.[0].test(title)),
  )
  return head.map((title, i): ColumnGuess => {
    if (i === sizeAt) return { title, meaning: { kind: 'size' }, ask: [] }
    const id = /\bM[0-4]\d\b/i.exec(title)?.[0].toUpperCase()
    const end = /\b(?:from|min|von|smallest)\b/i.test(title) ? 'from' : /\b(?:to|max|bis|largest)\b/i.test(title) ? 'to' : 'range'
    const meant = (measure: string): ColumnMeaning => ({ kind: end, measure })
    if (id && measures[id]) return { title, meaning: meant(id), ask: [] }
    if (/tested/i.test(title)) return { title, meaning: { kind: 'tested' }, ask: [] }
    const strap = /^strap\s+(.+)$/i.exec(title)?.[1]
    if (strap) return { title, meaning: { kind: 'strap', name: strap }, ask: [] }
    const paths = WORDS.find(([word]) => word.test(title))?.[1] ?? []
    return paths.length === 1 && paths[0] ? { title, meaning: meant(paths[0]), ask: [] } : { title, meaning: null, ask: [...paths] }
  })
}

export interface PastedAbout {
  /** Of cells that carry none of their own; `null`: not said. */
  unit: LengthUnit | null
  columns: readonly (ColumnMeaning | null)[]
  /** Of weights that name none, in their cells or their column's title; `null`, or left out: not said. */
  weightUnit?: WeightUnit | null
  /** By column: where its open cells (`20+`, `up to 36`) end, mm; `null` or left out: not said, and then it is asked. */
  opens?: readonly ({ fromMm?: number | null; toMm?: number | null } | null)[]
  /** Somebody said that sizes which fall or are equal stand as the maker prints them. */
  sureOfOrder?: boolean
  /** A single number reaches this far down and up, mm; `null`: a single number is refused. */
  giveMm: number | null
  table: Pick<SizeTable, 'id' | 'version' | 'name' | 'maker' | 'family' | 'way' | 'between'> & Partial<Pick<SizeTable, 'school' | 'lead' | 'rules' | 'price'>>
}

/** Sizes that fall, or are equal to the one before, on a measure: asked, since a cell may have slipped a row. */
function outOfOrder(sizes: SizeTable['sizes']): DocumentProblem[] {
  return sizes.slice(1).flatMap((size, i) => {
    const before = sizes[i]
    return Object.entries(size.bands).flatMap(([id, band]) => {
      const last = (before?.bands as Record<string, Band | undefined> | undefined)?.[id]
      if (!last) return []
      const [now, then] = [band[0] + band[1], last[0] + last[1]]
      if (now > then) return []
      return [
        {
          at: 'order',
          message: `“${size.label}” is ${now === then ? 'the same as' : 'smaller than'} “${before?.label ?? ''}” in ${id}: is that as the maker prints it?`,
        },
      ]
    })
  })
}

/**
 * A size table from pasted cells and what their columns mean. Nothing is converted from one path to another: a column no
 * path was named for is kept by its title and judges nothing. Every bad cell is named; nothing is half taken in.
 */
export function tableFromPasted(
  { head, rows }: Pasted,
  { unit, weightUnit = null, opens = [], sureOfOrder = false, columns, giveMm, table }: PastedAbout,
): ReadDocument<SizeTable> {
  const problems: DocumentProblem[] = []
  const sizeAt = columns.findIndex((column) => column?.kind === 'size')
  if (sizeAt < 0) problems.push({ at: 'columns', message: 'say which column has the size names' })
  const named = columns.flatMap((column) => (column && 'measure' in column ? [`${column.measure} ${column.kind === 'range' ? 'both ends' : column.kind}`] : []))
  const twice = named.find((name, i) => named.indexOf(name) !== i)
  if (twice) problems.push({ at: 'columns', message: `two columns are said to be ${twice}` })
  if (!columns.some((column) => column && 'measure' in column)) problems.push({ at: 'columns', message: 'say of at least one column which path it is' })
  const seen = new Map<string, number>()
  const noUnit: string[] = []
  const noWeightUnit: string[] = []
  const sizes = rows.map((cells, r): SizeTable['sizes'][number] => {
    const label = sizeAt < 0 ? '' : (cells[sizeAt] ?? '')
    const at = (c: number): string => `row ${r + 2}, “${head[c] ?? `column ${c + 1}`}”`
    if (sizeAt >= 0 && label === '') problems.push({ at: `row ${r + 2}`, message: 'this size has no name' })
    else if (seen.has(label)) problems.push({ at: `row ${r + 2}`, message: `“${label}” is also the name of row ${seen.get(label)}` })
    else seen.set(label, r + 2)
    const bands: Record<string, [number, number]> = {}
    const straps: Record<string, [number, number]> = {}
    let testedKg: number | undefined
    columns.forEach((column, c) => {
      const cell = (cells[c] ?? '').trim()
      if (!column || cell === '' || cell === '-' || cell === '–' || column.kind === 'size' || column.kind === 'unjudged') return
      if (column.kind === 'tested' || ('measure' in column && column.measure === 'M00')) {
        const weight = parseWeightSpan(cell, weightUnitIn(head[c] ?? '') ?? weightUnit)
        if (!weight.ok) {
          if (weight.says === 'has no unit') noWeightUnit.push(at(c))
          else problems.push({ at: at(c), message: `“${cell}” ${weight.says}` })
        } else if (column.kind === 'tested') testedKg = weight.band?.[1] ?? weight.kg
        else if (column.kind === 'range') {
          if (weight.band) bands['M00'] = weight.band
          else problems.push({ at: at(c), message: `“${cell}” is one weight: write from and to` })
        } else (bands['M00'] ??= [Number.NaN, Number.NaN])[column.kind === 'from' ? 0 : 1] = weight.kg
        return
      }
      const read = parseSpan(cell, unit)
      if (!read.ok && read.open && (column.kind === 'range' || column.kind === 'strap')) {
        const end = read.open.way === 'up' ? opens[c]?.toMm : opens[c]?.fromMm
        if (end === null || end === undefined)
          problems.push({ at: `open ${c} ${read.open.way}`, message: `${at(c)}: “${cell}” has an open end: how far does it go?` })
        else if (read.open.way === 'up' ? end < read.open.mm : end > read.open.mm)
          problems.push({ at: `open ${c} ${read.open.way}`, message: `“${cell}” already lies beyond that` })
        else if (column.kind === 'strap') straps[column.name] = read.open.way === 'up' ? [read.open.mm, end] : [end, read.open.mm]
        else bands[column.measure] = read.open.way === 'up' ? [read.open.mm, end] : [end, read.open.mm]
        return
      }
      if (!read.ok) {
        if (read.says === 'has no unit') noUnit.push(at(c))
        else problems.push({ at: at(c), message: `“${cell}” ${read.says}` })
        return
      }
      if (column.kind === 'range' || column.kind === 'strap') {
        const band = read.band ?? (giveMm === null ? null : ([Math.max(1, read.mm - giveMm), read.mm + giveMm] as Band))
        if (!band) problems.push({ at: at(c), message: `“${cell}” is one number: say how far it gives, or write from and to` })
        else if (column.kind === 'strap') straps[column.name] = band
        else bands[column.measure] = band
      } else (bands[column.measure] ??= [Number.NaN, Number.NaN])[column.kind === 'from' ? 0 : 1] = read.mm
    })
    for (const [id, band] of Object.entries(bands)) {
      if (band.some(Number.isNaN)) problems.push({ at: `row ${r + 2}`, message: `${id} lacks one end` })
      else if (band[0] > band[1]) problems.push({ at: `row ${r + 2}`, message: `${id} runs from the larger to the smaller` })
      else if (!isPossibleBand(id, band)) {
        const c = columns.findIndex((column) => column && 'measure' in column && column.measure === id)
        problems.push({ at: at(c), message: `“${cells[c] ?? ''}” lies where no dog does: look at its unit and its path` })
      }
    }
    return { label, bands, ...(Object.keys(straps).length > 0 ? { straps } : {}), ...(testedKg === undefined ? {} : { testedKg }) }
  })
  if (!sureOfOrder && problems.length === 0) problems.push(...outOfOrder(sizes))
  if (noWeightUnit.length > 0) problems.unshift({ at: 'weight unit', message: 'say whether the weights are kilograms or pounds' })
  if (noUnit.length > 0) problems.unshift({ at: 'unit', message: 'say whether these are inches or centimetres' })
  if (problems.length > 0) return { ok: false, problems }
  const unjudged = head.filter((title, c) => (columns[c] === null || columns[c]?.kind === 'unjudged') && title !== '')
  const read = SizeTable.safeParse({ lead: { minWeeks: 0, maxWeeks: 0 }, ...table, unit: unit ?? 'mm', sizes, ...(unjudged.length > 0 ? { unjudged } : {}) })
  if (read.success) return { ok: true, value: read.data }
  return { ok: false, problems: read.error.issues.map((issue) => ({ at: issue.path.join('.') || 'table', message: issue.message })) }
}
