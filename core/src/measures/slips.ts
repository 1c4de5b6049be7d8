import type { Dog, Reading } from '../model/index.ts'
import { findBreed } from '../reference/index.ts'
import { KG_PER_POUND, MM_PER_UNIT } from '../units/index.ts'
import { toleranceMm, USUAL_RULES, type AgreeRules } from './agree.ts'
import { measureIds } from './catalogue.ts'
import { digitsChangedOver, firstNumber } from './digits-changed-over.ts'
import type { Finding, LikelyCause } from './finding.ts'

type Value = (id: string) => number | undefined
export type SlipSubject = Pick<Dog, 'breed' | 'crossWith' | 'sex' | 'weightKg'>

/**
 * Usual share of the largest girth, over dogs of all builds: wide marks, good only for telling a wrong unit or swapped
 * digits. From the handbook's one sled dog (V01 to V05) where it has them, the rest from memory, unverified.
 */
const SHARE_OF_GIRTH: Readonly<Record<string, number>> = {
  M01: 0.86,
  M02: 0.62,
  M03: 0.72,
  M04: 0.56,
  M05: 0.22,
  M06: 0.43,
  M07: 1,
  M08: 0.96,
  M10: 0.54,
  M11: 0.4,
  M12: 0.32,
  M13: 0.84,
  M14: 0.74,
  M15: 0.83,
  M16: 0.79,
  M17: 0.74,
  M18: 0.74,
  M19: 0.36,
  M20: 0.19,
  M21: 0.82,
  M22: 0.74,
  M23: 0.78,
  M25: 0.42,
  M26: 0.27,
  M29: 0.9,
  M39: 0.95,
  M42: 1.25,
  M43: 0.42,
  M44: 0.29,
  M45: 0.8,
}
/** Girth of a dog of `kg`, mm: 254 mm times the cube root. Withers height to girth by build. From memory, unverified. */
const GIRTH_PER_ROOT_KG = 254
const GIRTH_TO_HEIGHT = { usual: 1.25, 'long-low': 2 } as const

/** Off by more than this factor (logarithm) a number is asked about; explained within this, a cause is named. */
const ODD = Math.log(1.75)
const EXPLAINED = Math.log(1.28)
const SWAP_ODD = Math.log(1.45)

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0

/** The girths that each other tape, the weight and the breed speak for, mm. */
function girthsOf(value: Value, about: SlipSubject | null, without: string): number[] {
  const girths = Object.entries(SHARE_OF_GIRTH).flatMap(([id, share]) => {
    const mm = id === without ? undefined : value(id)
    return mm === undefined ? [] : [mm / share]
  })
  const kg = value('M00') ?? about?.weightKg ?? undefined
  if (kg !== undefined && without !== 'M00') girths.push(GIRTH_PER_ROOT_KG * Math.cbrt(kg))
  const breed = about ? findBreed(about.breed) : undefined
  const heights = breed ? (about?.sex === 'female' ? (breed.femaleCm ?? breed.maleCm) : (breed.maleCm ?? breed.femaleCm)) : undefined
  const height = heights ? (heights[0] ?? heights[1]) : null
  if (height) girths.push(height * 10 * (breed?.build === 'long-low' ? GIRTH_TO_HEIGHT['long-low'] : GIRTH_TO_HEIGHT.usual))
  return girths
}

const MM_OF = { ...MM_PER_UNIT, kg: 1, lb: KG_PER_POUND } as const

interface Slip {
  cause: LikelyCause
  would: number
}

const FACTORS: readonly { cause: LikelyCause; factor: number }[] = [
  { cause: 'centimetres-as-inches', factor: 1 / 2.54 },
  { cause: 'inches-as-centimetres', factor: 2.54 },
  { cause: 'decimal-place', factor: 0.1 },
  { cause: 'decimal-place', factor: 10 },
  { cause: 'half', factor: 2 },
  { cause: 'double', factor: 0.5 },
]

/** A reading's length with both sides. */
const fullLength = ({ mm, side }: Pick<Reading, 'mm' | 'side'>): number => (side === 'one' ? 2 * mm : mm)

/** What each slip would make of a reading, full length. */
function slipsOf(reading: Pick<Reading, 'asTyped' | 'mm' | 'unit' | 'side'>): Slip[] {
  const bySlip = FACTORS.filter(
    // A number in inches was never "inches typed as centimetres".
    ({ cause }) => (cause !== 'centimetres-as-inches' || reading.unit === 'in') && (cause !== 'inches-as-centimetres' || reading.unit !== 'in'),
  ).map(({ cause, factor }) => ({ cause, would: fullLength(reading) * factor }))
  const swapped = digitsChangedOver(firstNumber(reading.asTyped), reading.mm, MM_OF[reading.unit])
  return [...bySlip, ...swapped.map((mm) => ({ cause: 'swapped-digits' as const, would: fullLength({ ...reading, mm }) }))]
}

/**
 * Numbers that no dog of this kind has: beside the other tapes, the weight and the breed they are far too long or
 * short, and one slip of unit, decimal place, digits or doubling would explain it. Lengths only.
 */
export function oddNumbers(value: Value, readings: readonly Reading[], about: SlipSubject | null): Finding[] {
  const kept = readings.filter((reading) => !reading.struck && reading.place === null)
  return [...new Set(kept.map((reading) => reading.measure))].flatMap((measure): Finding[] => {
    const share = SHARE_OF_GIRTH[measure]
    const mm = value(measure)
    const last = kept.filter((reading) => reading.measure === measure).at(-1)
    if (share === undefined || mm === undefined || !last) return []
    const girths = girthsOf(value, about, measure)
    if (girths.length === 0) return []
    const expected = share * median(girths)
    const off = Math.abs(Math.log(mm / expected))
    if (off < SWAP_ODD) return []
    const explained = slipsOf(last)
      .map((slip) => ({ ...slip, left: Math.abs(Math.log(slip.would / expected)) }))
      .filter((slip) => slip.left < EXPLAINED && (off >= ODD || slip.cause === 'swapped-digits'))
      .sort((a, b) => a.left - b.left)
    const best = explained[0]
    // Without a slip that explains it only a number from another world is asked about.
    if (!best && off < 2 * ODD) return []
    return [
      {
        rule: 'odd-number',
        measures: [measure],
        byMm: Math.abs(mm - expected),
        because: { code: 'odd-number', limit: expected, found: mm, ...(best ? { would: best.would } : {}) },
        ask: [...new Set(explained.map((slip) => slip.cause)), 'wrong-place', 'dog-is-so'],
      },
    ]
  })
}

/** So many of the newest readings of a tape are held against each other: a slip is asked about while it is fresh. */
const FRESH = 6

/** Two readings of one tape that differ by exactly one slip: the strongest sign there is. */
export function readingSlips(readings: readonly Reading[], rules: AgreeRules = USUAL_RULES): Finding[] {
  const byTape = new Map<string, Reading[]>()
  for (const reading of readings) {
    if (reading.struck || !(reading.mm > 0)) continue
    const key = `${reading.measure}/${reading.place ?? ''}`
    byTape.set(key, [...(byTape.get(key) ?? []).slice(1 - FRESH), reading])
  }
  const found: Finding[] = []
  for (const list of byTape.values()) {
    const slip = list.flatMap((one, i) => list.slice(i + 1).map((two) => slipBetween(one, two, rules))).find((each) => each !== null)
    if (slip && !found.some((each) => each.measures[0] === slip.measures[0])) found.push(slip)
  }
  return found
}

function slipBetween(one: Reading, two: Reading, rules: AgreeRules): Finding | null {
  const [a, b] = [fullLength(one), fullLength(two)]
  if (Math.abs(a - b) <= toleranceMm(a, rules, one.measure)) return null
  const off = (slip: Slip & { against: number }): number => Math.abs(slip.would - slip.against)
  const [slip] = [...slipsOf(two).map((each) => ({ ...each, against: a })), ...slipsOf(one).map((each) => ({ ...each, against: b }))]
    .filter((each) => off(each) <= toleranceMm(each.against, rules, one.measure))
    .sort((left, right) => off(left) - off(right))
  if (!slip) return null
  return {
    rule: 'readings-slip',
    measures: [one.measure],
    byMm: Math.abs(a - b),
    because: { code: 'readings-slip', limit: a, found: b, would: slip.against },
    ask: [slip.cause],
  }
}

/** A weight outside half to double of what the breed's standard states, or a unit away from the weight known. */
export function oddWeights(value: Value, about: SlipSubject | null): Finding[] {
  const kg = value('M00')
  if (kg === undefined || !about) return []
  const breed = findBreed(about.breed)
  const range = breed ? (about.sex === 'female' ? (breed.femaleKg ?? breed.maleKg) : (breed.maleKg ?? breed.femaleKg)) : undefined
  const known = range ? Math.sqrt((range[0] ?? range[1] ?? 1) * (range[1] ?? range[0] ?? 1)) : about.weightKg
  if (!known) return []
  const off = Math.log(kg / known)
  if (Math.abs(off) < Math.log(1.6)) return []
  const asPounds = Math.abs(Math.log((kg * KG_PER_POUND) / known)) < EXPLAINED
  const asKilograms = Math.abs(Math.log(kg / KG_PER_POUND / known)) < EXPLAINED
  return [
    {
      rule: 'odd-weight',
      measures: ['M00'],
      byMm: Math.abs(kg - known),
      because: { code: 'odd-weight', limit: known, found: kg, ...(asPounds ? { would: kg * KG_PER_POUND } : asKilograms ? { would: kg / KG_PER_POUND } : {}) },
      ask: [...(asPounds ? (['pounds-as-kilograms'] as const) : asKilograms ? (['kilograms-as-pounds'] as const) : []), 'old-weight', 'dog-is-so'],
    },
  ]
}

/** Left and right of one measure may differ by a centimetre. Source: handbook 3.3, from memory, unverified. */
const SIDES_MM = 10

/** Left and right of any pair, the paws' too: a dog that does not stand square, or lameness to tell the owner of. */
export function sidesDiffer(value: Value, places: (measure: string) => readonly (readonly [string, string])[]): Finding[] {
  return measureIds.flatMap((measure) =>
    places(measure).flatMap(([left, right]): Finding[] => {
      const [a, b] = [value(`${measure}/${left}`), value(`${measure}/${right}`)]
      if (a === undefined || b === undefined || Math.abs(a - b) <= SIDES_MM) return []
      return [
        {
          rule: 'sides-differ',
          measures: [measure],
          byMm: Math.abs(a - b),
          because: { code: 'sides-differ', limit: a, found: b, place: left },
          ask: ['not-square', 'lame'],
        },
      ]
    }),
  )
}
