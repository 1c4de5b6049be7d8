import { KG_PER_POUND } from './constants.ts'

export type ParsedWeight = { ok: true; kg: number } | { ok: false; problem: 'empty' | 'unreadable' | 'not-positive' | 'too-heavy' }

/** No dog weighs more than this; a larger number is a slip of the decimal point. */
const HEAVIEST_KG = 150

/**
 * Reads `27.3`, `27,3 kg`, `54 lb`, `54 lbs`. Never throws.
 *
 * @param bare what a number without a unit means: the shop's own unit, where the shop reads it itself
 */
export function parseWeight(text: string, bare: 'kg' | 'lb' = 'kg'): ParsedWeight {
  const plain = text.normalize('NFKC').trim().toLowerCase()
  if (plain === '') return { ok: false, problem: 'empty' }
  const match = /^(-?\d+(?:[.,]\d*)?)\s*(kg|lbs?|pounds?)?\.?$/.exec(plain)
  if (!match?.[1]) return { ok: false, problem: 'unreadable' }
  const amount = Number(match[1].replace(',', '.'))
  const kg = (match[2] ?? bare) === 'kg' ? amount : amount * KG_PER_POUND
  if (kg <= 0) return { ok: false, problem: 'not-positive' }
  if (kg > HEAVIEST_KG) return { ok: false, problem: 'too-heavy' }
  return { ok: true, kg }
}

/** `27.3 kg` in kilograms, to one decimal, half up; `60.2 lb` when the shop reads inches. */
export function formatWeight(kg: number, unit: 'kg' | 'lb' = 'kg'): string {
  const amount = unit === 'kg' ? kg : kg / KG_PER_POUND
  return `${(Math.floor(amount * 10 + 0.5 + 1e-9) / 10).toString()} ${unit}`
}
