import { isPossibleBand, measures } from '../measures/index.ts'
import { keysOf, type Piece } from '../model/index.ts'
import { FamilyId, PieceFields } from '../model/schemas.ts'
import { MM_PER_UNIT, parseLength, type LengthUnit } from '../units/index.ts'
import { readCsv, writeCsv } from './csv.ts'
import type { DocumentProblem, ReadDocument } from './read-document.ts'

/** One piece of a list: what is written on it, and what it measures laid flat, mm. */
export type PieceFlat = Pick<PieceFields, 'tag' | 'family' | 'maker' | 'label' | 'flat'>

const HEAD = ['tag', 'family', 'maker', 'label', 'unit'] as const
/** A shop has far fewer. */
const LONGEST = 2000

const inUnit = (mm: number, unit: LengthUnit): string => String(Number((mm / MM_PER_UNIT[unit]).toFixed(4)))

/**
 * Pieces laid flat as CSV (docs/formats.md): a piece a line, two columns a measure, shortest and longest setting, in the
 * unit of the line.
 */
export function piecesToCsv(pieces: readonly Pick<Piece, keyof PieceFlat>[], unit: LengthUnit): string {
  const ids = [...new Set(pieces.flatMap(({ flat }) => keysOf(flat)))].sort()
  return writeCsv([
    [...HEAD, ...ids.flatMap((id) => [`${id} from`, `${id} to`])],
    ...pieces.map(({ tag, family, maker, label, flat }) => [
      tag,
      family,
      maker,
      label,
      unit,
      ...ids.flatMap((id) => {
        const band = flat[id]
        return band ? [inUnit(band[0], unit), inUnit(band[1], unit)] : ['', '']
      }),
    ]),
  ])
}

type Column = (typeof HEAD)[number] | { id: string; end: 0 | 1 }

function columnOf(title: string): Column | null {
  const plain = title.trim()
  const fact = HEAD.find((each) => each === plain.toLowerCase())
  if (fact) return fact
  const match = /^(M\d\d) (from|to)$/i.exec(plain)
  const id = match?.[1]?.toUpperCase() ?? ''
  return match && measures[id] ? { id, end: match[2]?.toLowerCase() === 'from' ? 0 : 1 } : null
}

/** Pieces laid flat from CSV; every bad cell is named, and with one nothing is read. An empty cell says nothing of its measure. */
export function piecesFromCsv(text: string): ReadDocument<PieceFlat[]> {
  const { rows, problems: broken } = readCsv(text)
  const problems: DocumentProblem[] = broken.map(({ line, message }) => ({ at: `line ${line}`, message }))
  if (rows.length > LONGEST) return { ok: false, problems: [{ at: 'file', message: `more than ${LONGEST} lines` }] }
  const columns = (rows[0] ?? []).map((title, i) => {
    const column = columnOf(title)
    if (!column && title.trim() !== '')
      problems.push({ at: `line 1, column ${i + 1}`, message: `"${title}" is no fact of a piece, and no measure with from or to` })
    return column
  })
  for (const need of ['tag', 'family', 'unit'] as const) if (!columns.includes(need)) problems.push({ at: 'line 1', message: `a column "${need}" is missing` })
  if (problems.length > 0) return { ok: false, problems }
  const named = new Map<string, number>()
  const pieces = rows.slice(1).flatMap((cells, row): PieceFlat[] => {
    if (cells.every((cell) => cell.trim() === '')) return []
    const line = row + 2
    const fact = (name: (typeof HEAD)[number]): string => (cells[columns.indexOf(name)] ?? '').trim()
    const bad = (message: string, column?: number): void =>
      void problems.push({ at: column === undefined ? `line ${line}` : `line ${line}, column ${column + 1}`, message })
    const unit = fact('unit')
    const known = unit === 'in' || unit === 'cm' || unit === 'mm'
    if (!known) bad(`the unit is in, cm or mm, not "${unit}"`, columns.indexOf('unit'))
    const family = FamilyId.safeParse(fact('family'))
    if (!family.success) bad(`"${fact('family')}" is no kind`, columns.indexOf('family'))
    const before = named.get(fact('tag').toLowerCase())
    if (before !== undefined) bad(`"${fact('tag')}" is also the tag of line ${before}`, columns.indexOf('tag'))
    named.set(fact('tag').toLowerCase(), line)
    const flat: Record<string, [number, number]> = {}
    columns.forEach((column, i) => {
      const cell = (cells[i] ?? '').trim()
      if (!column || typeof column === 'string' || cell === '' || !known) return
      const read = parseLength(unit === 'mm' && /^[\d.,]+$/.test(cell) ? `${cell} mm` : cell, unit === 'in' ? 'in' : 'cm')
      if (!read.ok) bad(`"${cell}" is no length`, i)
      else (flat[column.id] ??= [Number.NaN, Number.NaN])[column.end] = read.mm
    })
    for (const [id, band] of Object.entries(flat)) {
      // A piece that cannot be set has one length.
      if (Number.isNaN(band[1])) band[1] = band[0]
      if (Number.isNaN(band[0])) bad(`${id} has a longest setting alone`)
      else if (band[0] > band[1]) bad(`${id} runs from the longer to the shorter`)
      else if (!isPossibleBand(id, band)) bad(`${id} lies where no dog does: look at its unit`)
    }
    if (!family.success) return []
    const fields = PieceFields.pick({ tag: true, family: true, maker: true, label: true, flat: true }).safeParse({
      tag: fact('tag'),
      family: family.data,
      maker: fact('maker'),
      label: fact('label'),
      flat,
    })
    if (!fields.success) {
      if (!problems.some(({ at }) => at.startsWith(`line ${line}`))) bad(fact('tag') === '' ? 'a piece has a tag' : 'a name is too long')
      return []
    }
    return [fields.data]
  })
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: pieces }
}
