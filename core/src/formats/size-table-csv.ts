import { keysOf } from '../model/index.ts'
import { isPossibleBand, measures } from '../measures/index.ts'
import { SizeTable } from '../model/schemas.ts'
import { MM_PER_UNIT, parseLength, type LengthUnit } from '../units/index.ts'
import { parseWeightSpan, weightUnitIn, type WeightUnit } from './weight-span.ts'
import { readCsv, writeCsv } from './csv.ts'
import type { DocumentProblem, ReadDocument } from './read-document.ts'

/** Facts and sixty sizes are far fewer. */
const LONGEST = 200
const HEAD = ['id', 'version', 'name', 'maker', 'family', 'way', 'school', 'between'] as const
/** Facts a maker may state; empty where nothing is said. */
const MORE = ['fingers', 'cut', 'price', 'build', 'claim', 'strap words', 'unjudged', 'retired'] as const
const LEAD = ['lead weeks', 'peak months', 'peak weeks'] as const

/** A length in the table's unit with as many digits as bring the same millimetre value back. */
const inUnit = (mm: number, unit: LengthUnit): string => String(Number((mm / MM_PER_UNIT[unit]).toFixed(6)))

/**
 * A size table as CSV (RFC 4180). First the document's own facts, a name and a value to a line; then an empty line;
 * then the sizes: `size` and two columns for each measure, `M01 from` and `M01 to`, in the table's unit.
 */
export function sizeTableToCsv(table: SizeTable): string {
  const ids = [...new Set(table.sizes.flatMap((size) => keysOf(size.bands)))].sort()
  const { lead } = table
  const facts = [
    ...HEAD.map((key) => [key, String(table[key] ?? '')]),
    ['unit', table.unit],
    ...(ids.includes('M00') ? [['weight unit', 'kg']] : []),
    ['lead weeks', `${lead.minWeeks}-${lead.maxWeeks}`],
    ['peak months', lead.peak?.months.join(' ') ?? ''],
    ['peak weeks', lead.peak ? `${lead.peak.minWeeks}-${lead.peak.maxWeeks}` : ''],
    ...MORE.map((key) => [key, moreText(table, key)]).filter(([, text]) => text !== ''),
  ]
  const straps = [...new Set(table.sizes.flatMap((size) => Object.keys(size.straps ?? {})))].sort()
  const tested = table.sizes.some((size) => size.testedKg !== undefined)
  const rows = table.sizes.map((size) => [
    size.label,
    ...ids.flatMap((id) => {
      const band = size.bands[id]
      if (!band) return ['', '']
      return id === 'M00' ? band.map(String) : [inUnit(band[0], table.unit), inUnit(band[1], table.unit)]
    }),
    ...straps.flatMap((name) => {
      const strap = size.straps?.[name]
      return strap ? [inUnit(strap[0], table.unit), inUnit(strap[1], table.unit)] : ['', '']
    }),
    ...(tested ? [size.testedKg === undefined ? '' : String(size.testedKg)] : []),
  ])
  const head = ['size', ...ids.flatMap((id) => [`${id} from`, `${id} to`]), ...straps.flatMap((name) => [`strap ${name} from`, `strap ${name} to`])]
  const sizes = [[...head, ...(tested ? ['tested kg'] : [])], ...rows]
  return `${writeCsv(facts)}\r\n${writeCsv(sizes)}`
}

function moreText({ rules, price, build, claim, strapWords, unjudged, retired }: SizeTable, key: (typeof MORE)[number]): string {
  if (key === 'fingers') return rules?.fingers?.join('-') ?? ''
  if (key === 'cut') return rules?.cut ?? ''
  if (key === 'price') return price?.join('-') ?? ''
  if (key === 'retired') return retired ?? ''
  if (key === 'build') return build ?? ''
  if (key === 'claim') return claim ?? ''
  if (key === 'strap words')
    return Object.entries(strapWords ?? {})
      .map(([word, strap]) => `${word} = ${strap ?? ''}`.trim())
      .join(' | ')
  return unjudged?.join(' | ') ?? ''
}

type Column = { kind: 'band' | 'strap'; id: string; end: 0 | 1 } | { kind: 'tested' } | null

function columnOf(title: string): Column {
  if (/^tested kg$/i.test(title)) return { kind: 'tested' }
  const strap = /^strap\s+(.+)\s+(from|to)$/i.exec(title)
  if (strap?.[1]) return { kind: 'strap', id: strap[1], end: strap[2]?.toLowerCase() === 'from' ? 0 : 1 }
  const band = /^(M[0-4]\d)\s+(from|to)(?:\s+(?:kg|lb))?$/i.exec(title)
  const id = band?.[1]?.toUpperCase()
  return id && measures[id] ? { kind: 'band', id, end: band?.[2]?.toLowerCase() === 'from' ? 0 : 1 } : null
}

function readWeeks(text: string): [number, number] | null {
  const match = /^(\d+(?:\.\d+)?)(?:\s*[-–]\s*(\d+(?:\.\d+)?))?$/.exec(text.trim())
  return match?.[1] ? [Number(match[1]), Number(match[2] ?? match[1])] : null
}

/** Reads what `sizeTableToCsv` writes, or a hand-made sheet of the same shape. Bad cells are named by line and column. */
export function sizeTableFromCsv(text: string): ReadDocument<SizeTable> {
  const parsed = readCsv(text)
  const problems: DocumentProblem[] = []
  const lines = parsed.rows.map((cells) => cells.map((cell) => cell.trim()))
  const start = lines.findIndex((cells) => cells[0]?.toLowerCase() === 'size')
  if (lines.length > LONGEST)
    return { ok: false, problems: [{ at: 'file', message: `${lines.length.toLocaleString('en')} lines; a size table has at most 60 sizes` }] }
  if (start < 0) return { ok: false, problems: [{ at: 'file', message: 'no line begins with "size"' }] }

  const facts = new Map(lines.slice(0, start).map((cells) => [cells[0]?.toLowerCase() ?? '', cells[1] ?? '']))
  const unitText = facts.get('unit') ?? ''
  if (!(unitText in MM_PER_UNIT)) problems.push({ at: 'unit', message: 'the unit is in, cm or mm' })
  const unit = (unitText in MM_PER_UNIT ? unitText : 'mm') as LengthUnit

  const weightText = (facts.get('weight unit') ?? '').toLowerCase()
  const weightUnit: WeightUnit | null = weightText === 'kg' || weightText === 'lb' ? weightText : null
  if (weightText !== '' && weightUnit === null) problems.push({ at: 'weight unit', message: 'the weight unit is kg or lb' })

  const columns = (lines[start] ?? []).slice(1).map((title, i) => {
    const column = columnOf(title)
    if (title !== '' && !column) problems.push({ at: `line ${start + 1}, column ${i + 2}`, message: `"${title}" is not a measure with from or to` })
    return column
  })

  const named = new Map<string, number>()
  const sizes = lines.slice(start + 1).flatMap((cells, row) => {
    if (cells.every((cell) => cell === '')) return []
    const bands: Record<string, [number, number]> = {}
    const straps: Record<string, [number, number]> = {}
    let testedKg: number | undefined
    columns.forEach((column, i) => {
      const cell = cells[i + 1] ?? ''
      if (!column || cell === '') return
      const at = `line ${start + row + 2}, column ${i + 2}`
      if (column.kind === 'tested') {
        testedKg = Number(cell.replace(',', '.'))
        if (!(testedKg > 0)) problems.push({ at, message: `"${cell}" is no weight` })
        return
      }
      if (column.kind === 'band' && column.id === 'M00') {
        const weight = parseWeightSpan(cell, weightUnitIn(lines[start]?.[i + 1] ?? '') ?? weightUnit)
        if (weight.ok) (bands['M00'] ??= [Number.NaN, Number.NaN])[column.end] = weight.kg
        else
          problems.push({
            at,
            message:
              weight.says === 'has no unit'
                ? `"${cell}" may be kilograms or pounds: add a line "weight unit,kg" or "weight unit,lb"`
                : `"${cell}" ${weight.says}`,
          })
        return
      }
      const read = parseLength(cell, unit)
      if (!read.ok) problems.push({ at, message: `"${cell}" is no length` })
      else ((column.kind === 'band' ? bands : straps)[column.id] ??= [Number.NaN, Number.NaN])[column.end] = read.mm
    })
    for (const [id, band] of [...Object.entries(bands), ...Object.entries(straps)]) {
      if (band.some(Number.isNaN)) problems.push({ at: `line ${start + row + 2}`, message: `${id} lacks one end of its band` })
      else if (band[0] > band[1]) problems.push({ at: `line ${start + row + 2}`, message: `${id} runs from the larger to the smaller` })
      else if (id in bands && unitText in MM_PER_UNIT && !isPossibleBand(id, band))
        problems.push({ at: `line ${start + row + 2}`, message: `${id} lies where no dog does: look at its unit` })
    }
    const label = cells[0] ?? ''
    const before = named.get(label)
    if (before !== undefined) problems.push({ at: `line ${start + row + 2}`, message: `"${label}" is also the name of line ${before}` })
    named.set(label, before ?? start + row + 2)
    return [
      {
        label,
        bands,
        ...(Object.keys(straps).length > 0 ? { straps } : {}),
        ...(testedKg === undefined ? {} : { testedKg }),
      },
    ]
  })

  const [lead, months, peakWeeks] = LEAD.map((key) => facts.get(key) ?? '')
  const weeks = readWeeks(lead ?? '')
  if (!weeks) problems.push({ at: 'lead weeks', message: 'weeks are written as 4 or 4-6' })
  const peak = months ? readWeeks(peakWeeks ?? '') : null
  if (months && !peak) problems.push({ at: 'peak weeks', message: 'weeks are written as 6 or 6-10' })
  const fingers = readWeeks(facts.get('fingers') ?? '')
  if (facts.get('fingers') && !fingers) problems.push({ at: 'fingers', message: 'fingers are written as 2 or 1-2' })
  const price = readWeeks(facts.get('price') ?? '')
  if (facts.get('price') && !price) problems.push({ at: 'price', message: 'a price is written as 30 or 30-45' })
  if (problems.length > 0) return { ok: false, problems }
  const cut = facts.get('cut')
  const unjudged = (facts.get('unjudged') ?? '')
    .split('|')
    .map((title) => title.trim())
    .filter(Boolean)

  const strapWords = Object.fromEntries(
    (facts.get('strap words') ?? '')
      .split('|')
      .map((pair) => pair.split('=').map((side) => side.trim()))
      .flatMap(([word, strap]): [string, string | null][] => (word ? [[word, strap ? strap : null]] : [])),
  )

  const read = SizeTable.safeParse({
    ...Object.fromEntries(HEAD.map((key) => [key, facts.get(key) ?? ''])),
    version: Number(facts.get('version') || '1'),
    school: facts.get('school') || undefined,
    between: facts.get('between') || null,
    unit,
    sizes,
    ...(fingers || cut ? { rules: { ...(fingers ? { fingers } : {}), ...(cut ? { cut } : {}) } } : {}),
    ...(price ? { price } : {}),
    ...(facts.get('build') ? { build: facts.get('build') } : {}),
    ...(facts.get('claim') ? { claim: facts.get('claim') } : {}),
    ...(Object.keys(strapWords).length > 0 ? { strapWords } : {}),
    ...(unjudged.length > 0 ? { unjudged } : {}),
    retired: facts.get('retired') || undefined,
    lead: {
      minWeeks: weeks?.[0],
      maxWeeks: weeks?.[1],
      ...(peak && months ? { peak: { months: months.split(/[\s,]+/).map(Number), minWeeks: peak[0], maxWeeks: peak[1] } } : {}),
    },
  })
  if (read.success) return { ok: true, value: read.data }
  return { ok: false, problems: read.error.issues.map((issue) => ({ at: issue.path.join('.') || 'file', message: issue.message })) }
}
