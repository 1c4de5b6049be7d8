import { KG_PER_POUND } from '../units/index.ts'

export type WeightUnit = 'kg' | 'lb'
export type ReadWeights = { ok: true; band: [number, number] | null; kg: number } | { ok: false; says: string }

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`
const UNIT = String.raw`(kgs?|kilos?|lbs?|pounds?|#)?`
const SPAN = new RegExp(String.raw`^${NUMBER}\s*${UNIT}(?:\s*(?:-|to|bis|\/)\s*${NUMBER}\s*${UNIT})?\.?$`)

const unitIn = (word: string | undefined): WeightUnit | null => (word === undefined ? null : /^k/.test(word) ? 'kg' : 'lb')

/** The unit a column's title names for its weights; `null` where it names none. */
export const weightUnitIn = (title: string): WeightUnit | null => (/\blbs?\b|pound/i.test(title) ? 'lb' : /\bkgs?\b|kilo/i.test(title) ? 'kg' : null)

/**
 * A weight cell of a maker's table: one weight, or two of one range. A unit behind the second number counts for both.
 *
 * @param unit of cells that name none; `null`: not said, and then nothing is taken for granted
 * @returns kilograms (`band` null for one number), or what the cell says that cannot be used
 */
export function parseWeightSpan(cell: string, unit: WeightUnit | null): ReadWeights {
  const text = cell
    .normalize('NFKC')
    .replace(/[‐‑‒–—−]/gu, '-')
    .trim()
    .toLowerCase()
  const [, a, unitA, b, unitB] = SPAN.exec(text) ?? []
  if (a === undefined) return { ok: false, says: 'is no weight' }
  const spoken = unitIn(unitB) ?? unitIn(unitA) ?? unit
  if (spoken === null) return { ok: false, says: 'has no unit' }
  const kg = (digits: string, own: WeightUnit | null): number => Number(digits.replace(',', '.')) * ((own ?? spoken) === 'kg' ? 1 : KG_PER_POUND)
  const from = kg(a, unitIn(unitA))
  if (b === undefined) return { ok: true, band: null, kg: from }
  const to = kg(b, unitIn(unitB))
  return from > to ? { ok: false, says: 'runs from the larger to the smaller' } : { ok: true, band: [from, to], kg: from }
}
