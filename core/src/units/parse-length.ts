import { LONGEST_MM, MM_PER_UNIT, type LengthUnit } from './constants.ts'

export type LengthProblem = 'empty' | 'unreadable' | 'not-positive' | 'too-long'

export type ParsedLength = { ok: true; mm: number; unit: LengthUnit } | { ok: false; problem: LengthProblem }

/** Fractions that have a sign of their own. Unicode: Number Forms and Latin-1. */
const FRACTION_SIGNS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅐': '1/7',
  '⅑': '1/9',
  '⅒': '1/10',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const UNIT_WORDS: Readonly<Record<string, LengthUnit>> = {
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  cm: 'cm',
  mm: 'mm',
}

/** 3 m to the nearest eighth, so that what was shown in inches can be read back. */
const LONGEST_INCHES = 118.125

const NUMBER = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/
const MIXED = /^(?:(\d+)(?:\s+|-|\s*-\s+))?(\d+)\s*\/\s*(\d+)$/
const UNIT_AT_END = /^(.*?)\s*("|inches|inch|in|cm|mm)\.?$/
const FEET = /^(.*?)\s*(?:'|ft\.?|feet|foot)\s*(.*)$/

/** One form for every way of writing the same sign: full-width digits, primes, odd spaces, fraction slashes, dashes. */
function plainSigns(text: string): string {
  return text
    .replace(/[¼½¾⅐-⅞]/gu, (sign) => ` ${FRACTION_SIGNS[sign] ?? sign} `)
    .normalize('NFKC')
    .replace(/[⁄∕]/gu, '/')
    .replace(/[′‘’]/gu, "'")
    .replace(/''|[″“”]/gu, '"')
    .replace(/[‐‑‒–—−]/gu, '-')
    .replace(/\s+/gu, ' ')
    .trim()
    .toLowerCase()
}

/** A whole number, a decimal or a mixed number; `null` when it is none. A fraction of one or more is a slip. */
function parseQuantity(text: string): number | null {
  if (NUMBER.test(text)) return Number(text.replace(',', '.'))
  const mixed = MIXED.exec(text)
  if (!mixed) return null
  const [, whole = '0', numerator, denominator] = mixed
  const [n, d] = [Number(numerator), Number(denominator)]
  if (d === 0 || n >= d) return null
  return Number(whole) + n / d
}

/**
 * Reads a length as a fitter types it.
 *
 * Takes `13 1/2`, `13-1/2`, `13½`, `13.5"`, `1' 1 1/2"`, `1 ft 1.5 in`, `34,5cm`, `345mm`, full-width digits and odd
 * spaces. A comma is a decimal comma. `unit` is meant where the text names none.
 *
 * @returns millimetres and the unit the text was written in, or the problem: `empty`, `unreadable`, `not-positive`
 *   (zero or a minus sign), `too-long` (over 3 m). Never throws.
 */
export function parseLength(text: string, unit: LengthUnit): ParsedLength {
  let rest = plainSigns(text)
  if (rest === '') return { ok: false, problem: 'empty' }

  let sign = 1
  if (rest.startsWith('-') || rest.startsWith('+')) {
    sign = rest.startsWith('-') ? -1 : 1
    rest = rest.slice(1).trim()
  }

  let spoken: LengthUnit | undefined
  const tail = UNIT_AT_END.exec(rest)
  if (tail?.[2] !== undefined) {
    spoken = UNIT_WORDS[tail[2]]
    rest = (tail[1] ?? '').trim()
  }

  let amount: number | null
  const feet = FEET.exec(rest)
  if (feet) {
    const inches = (feet[2] ?? '').replace(/^-\s*/, '').trim()
    const footCount = parseQuantity((feet[1] ?? '').trim())
    const inchCount = inches === '' ? 0 : parseQuantity(inches)
    const wellFormed = (spoken === undefined || (spoken === 'in' && inches !== '')) && inchCount !== null
    amount = footCount === null || !wellFormed || inchCount >= 12 ? null : footCount * 12 + inchCount
    spoken = 'in'
  } else {
    amount = parseQuantity(rest)
  }

  if (amount === null || !Number.isFinite(amount)) return { ok: false, problem: 'unreadable' }
  const meant = spoken ?? unit
  const mm = sign * amount * MM_PER_UNIT[meant]
  if (mm <= 0) return { ok: false, problem: 'not-positive' }
  if (mm > (meant === 'in' ? LONGEST_INCHES * MM_PER_UNIT.in : LONGEST_MM)) return { ok: false, problem: 'too-long' }
  return { ok: true, mm, unit: meant }
}
