import type { Band } from '../model/schemas.ts'
import { MM_PER_UNIT, parseLength, type LengthUnit } from '../units/index.ts'

/** `open`: one end is said, the other is not: `up` for `20+`, `down` for `up to 36`. */
export type ReadSpan = { ok: true; band: Band | null; mm: number } | { ok: false; says: string; open?: { way: 'up' | 'down'; mm: number } }

/** Denominators of an inch tape: with another one a slash stands between two numbers. */
const TAPE_DENOMINATORS = [2, 4, 8, 16, 32]
/** Two units in one cell are rounded each on its own: half an inch apart is still one length. */
const ROUNDED_MM = 0.5 * MM_PER_UNIT.in

const UNIT = /(?:mm|cm|inches|inch|in|")$/
const NUMBER = String.raw`\d+(?:[.,]\d+)?`
const SLASH = /^(\d+)\s*\/\s*(\d+)\s*(mm|cm|inches|inch|in|")?$/
const GIVE = new RegExp(String.raw`^(${NUMBER})\s*(?:±|\+\/-|\+-)\s*(${NUMBER})\s*(mm|cm|inches|inch|in|")?$`)
const ASIDE = /^(.+?)\s*\((.+)\)$/
const OPEN = /^(?:up to|under|over|from|min|max|bis|ab|<|>|≤|≥)|(?:\+|and up|and over)\s*(?:mm|cm|inches|inch|in|")?$/

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))
const refused = (says: string): ReadSpan => ({ ok: false, says })

/** One sign for every way of writing the same thing; "about" says nothing a table could use. */
const sameSigns = (cell: string): string =>
  cell
    .normalize('NFC')
    .replace(/[“”″]|''/gu, '"')
    .replace(/[‐‑‒–—−]/gu, '-')
    .replace(/[⁄∕]/gu, '/')
    .replace(/\s+/gu, ' ')
    .trim()
    .toLowerCase()
    .replace(/(?<=[\d¼½¾⅛⅜⅝⅞ ])ins\b/gu, 'in')
    .replace(/^(?:from|von) (?=.*\b(?:to|bis)\b)/u, '')
    .replace(/^(?:~|≈|ca\.?|circa|about|approx\.?)\s*/u, '')

/** From the smaller to the larger, or the words for the other way round. */
const between = (from: number, to: number): ReadSpan => (from > to ? refused('runs from the larger to the smaller') : { ok: true, band: [from, to], mm: from })

/** Every place where a cell may be cut into two lengths: a word or two dots first, then each dash. */
function* cuts(text: string): Generator<[string, string]> {
  for (const mark of [/\s*(?:\bto\b|\bbis\b|\.\.\.?|…)\s*/gu, /\s*-\s*/gu])
    for (const { index, 0: all } of text.matchAll(mark)) if (index > 0) yield [text.slice(0, index), text.slice(index + all.length)]
}

/** A slash between two whole numbers: in centimetres a range; in inches a fraction where a tape has it. */
function slashed(text: string, unit: LengthUnit | null): ReadSpan | null {
  const [, a, b, own] = SLASH.exec(text) ?? []
  if (a === undefined || b === undefined) return null
  const spoken = own ? (own === 'cm' || own === 'mm' ? own : 'in') : unit
  if (spoken === null) return refused('has no unit')
  const [n, d] = [Number(a), Number(b)]
  if (spoken === 'in' && TAPE_DENOMINATORS.includes(d)) {
    if (n < d && gcd(n, d) === 1) return null
    return n < d ? refused(`may be ${n} to ${d} or a fraction: write which`) : refused('runs from the larger to the smaller')
  }
  const read = [a, b].map((each) => parseLength(each, spoken))
  const [from, to] = read.map((each) => (each.ok ? each.mm : null)) as [number | null, number | null]
  return from === null || to === null ? refused('is no length') : between(from, to)
}

/**
 * A cell of a maker's table: one length, or two of one range.
 *
 * Reads `45-52`, `7-9"`, `9½-11`, `18 1/2 to 20 in`, `45 – 52 cm`, `40/45 cm`, `40 ± 2 cm`, `~30 cm`, `30 cm (12 in)`; a
 * unit behind the second number counts for both. Of two units the table's own counts, or the first; the other has to agree.
 *
 * @param unit of cells that name none; `null`: not said.
 * @returns the band and its smaller end in mm (`band` null for one number), or what the cell says that cannot be used.
 */
export function parseSpan(cell: string, unit: LengthUnit | null): ReadSpan {
  const text = sameSigns(cell)
  const [, first, second] = ASIDE.exec(text) ?? []
  if (first !== undefined && second !== undefined && UNIT.test(second)) {
    const [a, b] = [parseSpan(first, unit), parseSpan(second, unit)]
    if (!a.ok || !b.ok) return a.ok ? b : a
    const ends = ({ band, mm }: { band: Band | null; mm: number }): Band => band ?? [mm, mm]
    if (ends(a).some((end, i) => Math.abs(end - (ends(b)[i] ?? end)) > ROUNDED_MM)) return refused('says two lengths that differ')
    return unit !== null && unitOf(second) === unit && unitOf(first) !== unit ? b : a
  }
  const slash = slashed(text, unit)
  if (slash) return slash
  const give = GIVE.exec(text)
  if (give?.[1] && give[2]) {
    const [mid, by] = [give[1], give[2]].map((part) => one(part, give[3], unit))
    if (mid === 'unit') return refused('has no unit')
    return typeof mid === 'number' && typeof by === 'number' && by < mid ? between(mid - by, mid + by) : refused('is no length')
  }
  if (OPEN.test(text)) return openEnd(text, unit)
  const own = UNIT.exec(text)?.[0]
  // `18-3/4` is one length as fitters write it, not a range.
  if (parseLength(text, unit ?? 'mm').ok) {
    const mm = one(text, own, unit)
    return mm === 'unit' ? refused('has no unit') : mm === null ? refused('is no length') : { ok: true, band: null, mm }
  }
  for (const parts of cuts(text)) {
    const [from, to] = parts.map((part) => one(part, own, unit))
    if (from === 'unit' || to === 'unit') return refused('has no unit')
    if (typeof from === 'number' && typeof to === 'number') return between(from, to)
  }
  return refused('is no length')
}

/** A cell with one end: which way it is open, and from where. */
function openEnd(text: string, unit: LengthUnit | null): ReadSpan {
  const way = /^(?:up to|under|max|bis|<|≤)/.test(text) ? 'down' : 'up'
  const bare = text
    .replace(/^(?:up to|under|over|from|min|max|bis|ab|<|>|≤|≥)\.?\s*/, '')
    .replace(/(?:\+|and up|and over)\s*(?=(?:mm|cm|inches|inch|in|")?$)/, '')
  const mm = one(bare.trim(), UNIT.exec(bare)?.[0], unit)
  if (mm === 'unit') return refused('has no unit')
  return mm === null ? refused('is no length') : { ok: false, says: 'has an open end: how far does it go?', open: { way, mm } }
}

/** The unit a cell names at its end. */
function unitOf(text: string): LengthUnit | null {
  const word = UNIT.exec(text)?.[0]
  return word === undefined ? null : word === 'cm' || word === 'mm' ? word : 'in'
}

/** One length in mm; `unit` where nobody says which; null where it is none. */
function one(text: string, own: string | undefined, unit: LengthUnit | null): number | 'unit' | null {
  const withUnit = UNIT.test(text) || !own ? text : `${text} ${own}`
  if (!UNIT.test(withUnit) && unit === null) return parseLength(text, 'mm').ok ? 'unit' : null
  const read = parseLength(withUnit, unit ?? 'mm')
  return read.ok ? read.mm : null
}
