import { GRAVITY, KG_PER_POUND } from '../units/index.ts'

/** What a standard named on a label says, and what it does not say of a dog. */
export interface Claim {
  id: 'us-child-sled' | 'un-child-sled' | 'belt' | 'luggage' | 'cargo' | 'lashing'
  source: string
  /** Codes of sentences; the interface words them. */
  says: string
  saysNot: string
  /** How a label names it. */
  named: RegExp
}

/** No standard here certifies a dog’s restraint. Sources by number, values from memory. */
export const CLAIMS: readonly Claim[] = [
  { id: 'us-child-sled', source: '49 CFR 571.213', says: 'sled-48', saysNot: 'for-children', named: /\b(?:fmvss\s*)?213\b/i },
  { id: 'un-child-sled', source: 'UN R44, R129', says: 'sled-50', saysNot: 'for-children', named: /\b(?:ece|un)?[\s-]*r\s*(?:44|129)\b|i-size/i },
  {
    id: 'belt',
    source: 'UN R16, 49 CFR 571.209',
    says: 'webbing-strength',
    saysNot: 'part-not-whole',
    named: /\bece[\s-]*r?\s*16\b|\bun[\s-]*r\s*16\b|\br\s*16\b|\b(?:fmvss\s*)?209\b|seat[\s-]?belt webbing/i,
  },
  { id: 'luggage', source: 'UN R17 Annex 9', says: 'blocks-18', saysNot: 'seat-back-only', named: /\br\s*17\b|luggage retention/i },
  { id: 'cargo', source: 'ISO 27955, ISO 27956, DIN 75410', says: 'lashing-points', saysNot: 'car-not-harness', named: /\b2795[56]\b|\b75410\b/i },
  { id: 'lashing', source: 'EN 12195-2', says: 'webbing-strength', saysNot: 'part-not-whole', named: /\b12195\b|lashing capacity/i },
]

export interface ReadClaim {
  speedKmh: number | null
  massKg: number | null
  forceN: number | null
  standards: Claim['id'][]
}

const MPH_KMH = 1.609344
/** Source: NIST SP 811, value from memory. */
const LBF_N = KG_PER_POUND * GRAVITY
/** No dog weighs more: so many pounds are a strength. Ours. */
const HEAVIEST_LB = 330

const NUMBER = String.raw`(\d{1,3}(?:[,\s]\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?)`
const FORCE_WORDS = String.raw`\s*(?:-?\s*(?:f\b|force)|(?:of\s+)?(?:force|tensile|breaking|break|strength|load))`

/** “4,000” is four thousand; “1,5” is one and a half. */
const numberOf = (text: string): number => Number(/[,\s]\d{3}(?!\d)/.test(text) ? text.replace(/[,\s](?=\d{3})/g, '') : text.replace(',', '.'))

const first = (text: string, unit: string): number | null => {
  const match = new RegExp(`${NUMBER}\\s*-?\\s*${unit}`, 'i').exec(text)
  return match?.[1] === undefined ? null : numberOf(match[1])
}

/**
 * What a maker’s claim says in numbers; what it does not say is `null`. Nothing is taken from a bare number.
 *
 * @param text as it stands on a label: “crash tested at 30 mph with a 75 lb dummy, webbing 4,000 lbf”
 */
export function readClaim(text: string): ReadClaim {
  const plain = text.normalize('NFKC')
  const mph = first(plain, String.raw`(?:mph\b|miles?\s*(?:per|an)\s*hour)`)
  const kmh = first(plain, String.raw`(?:km\s*/\s*h\b|kmh\b|kph\b|kilomet(?:er|re)s?\s*(?:per|an)\s*hour)`)
  const lbf = first(plain, String.raw`(?:lb|lbs|pounds?)${FORCE_WORDS}`)
  const withoutForce = plain.replace(new RegExp(`${NUMBER}\\s*-?\\s*(?:lb|lbs|pounds?)${FORCE_WORDS}`, 'gi'), ' ')
  const lb = first(withoutForce, String.raw`(?:lbs?\b|pounds?\b)`)
  const kn = first(plain, String.raw`kN\b`)
  const dan = first(plain, String.raw`daN\b`)
  const n = first(plain.replace(/\d[\d.,\s]*(?:kN|daN)\b/gi, ' '), String.raw`(?:N\b|newtons?\b)`)
  const kg = first(plain, String.raw`(?:kg\b|kilos?\b|kilograms?\b)`)
  const asForce = lb !== null && lb > HEAVIEST_LB
  return {
    speedKmh: kmh ?? (mph === null ? null : mph * MPH_KMH),
    massKg: kg ?? (lb === null || asForce ? null : lb * KG_PER_POUND),
    forceN: kn !== null ? kn * 1000 : dan !== null ? dan * 10 : n !== null ? n : lbf !== null ? lbf * LBF_N : asForce ? lb * LBF_N : null,
    standards: CLAIMS.filter(({ named }) => named.test(plain)).map(({ id }) => id),
  }
}
