import { median } from 'simple-statistics'
import type { Dog, Reading } from '../model/index.ts'
import { findBreed, stillGrows, type Build } from '../reference/index.ts'
import { KG_PER_POUND, MM_PER_UNIT } from '../units/index.ts'
import { toleranceMm, USUAL_RULES, type AgreeRules } from './agree.ts'
import { boundsOf, isPossible } from './bounds.ts'
import { measureIds, measures } from './catalogue.ts'
import { digitsChangedOver, firstNumber } from './digits-changed-over.ts'
import type { Finding, LikelyCause } from './finding.ts'
import { sharedMeasures, usualShares } from './usual-shares.ts'

type Value = (id: string) => number | undefined
export type SlipSubject = Pick<Dog, 'breed' | 'crossWith' | 'sex' | 'weightKg'> & Partial<Pick<Dog, 'born' | 'ageMonths' | 'ageSaidOn'>>

/** Girth of a dog of `kg`, mm: 254 mm times the cube root. Withers height to girth by build. From memory, unverified. */
const GIRTH_PER_ROOT_KG = 254
const GIRTH_TO_HEIGHT = { usual: 1.25, 'long-low': 2 } as const

/** Off by more than this factor (logarithm) a number is asked about; explained within this, a cause is named. */
const ODD = Math.log(1.75)
const EXPLAINED = Math.log(1.28)
const SWAP_ODD = Math.log(1.45)

/** The dog as the questions see it: its builds, and whether it still grows on the day. */
export interface Asked {
  about: SlipSubject | null
  builds: readonly Build[]
  grows: boolean
}

/** What is asked of a dog on a day; of an unknown age it counts as grown. */
export function askedOf(about: SlipSubject | null, on: string | null): Asked {
  const builds = [...new Set([about?.breed, about?.crossWith].flatMap((name) => (name ? (findBreed(name)?.build ?? []) : [])))]
  const age = about && { born: about.born ?? null, ageMonths: about.ageMonths ?? null, ageSaidOn: about.ageSaidOn ?? null }
  return { about, builds, grows: about !== null && age !== null && on !== null && stillGrows({ ...about, ...age }, on) }
}

/** The girths that each other tape, the weight and, of a grown dog, the breed speak for, mm. */
function girthsOf(value: Value, { about, builds, grows }: Asked, without: readonly string[]): number[] {
  const girths = sharedMeasures.flatMap((id) => {
    const mm = without.includes(id) ? undefined : value(id)
    return mm === undefined ? [] : [mm / (usualShares(id, builds)[0] ?? 1)]
  })
  const kg = value('M00') ?? about?.weightKg ?? undefined
  if (kg !== undefined && !without.includes('M00')) girths.push(GIRTH_PER_ROOT_KG * Math.cbrt(kg))
  // A breed's standard is of grown dogs.
  const breed = about && !grows ? findBreed(about.breed) : undefined
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
function slipsOf(reading: Pick<Reading, 'measure' | 'asTyped' | 'mm' | 'unit' | 'side'>): Slip[] {
  const doubles = measures[reading.measure]?.doubling ?? false
  const bySlip = FACTORS.filter(
    // A number in inches was never "inches typed as centimetres"; half and twice are only of what is doubled at all.
    ({ cause }) =>
      (doubles || (cause !== 'half' && cause !== 'double')) &&
      (cause !== 'centimetres-as-inches' || reading.unit === 'in') &&
      (cause !== 'inches-as-centimetres' || reading.unit !== 'in'),
  ).map(({ cause, factor }) => ({ cause, would: fullLength(reading) * factor }))
  const swapped = digitsChangedOver(firstNumber(reading.asTyped), reading.mm, MM_OF[reading.unit])
  return [...bySlip, ...swapped.map((mm) => ({ cause: 'swapped-digits' as const, would: fullLength({ ...reading, mm }) }))]
}

/** What each cause would make of a number, the best of each. */
const wouldsOf = (slips: readonly Slip[]): Finding['woulds'] => Object.fromEntries([...slips].reverse().map(({ cause, would }) => [cause, would]))

const keptOf = (readings: readonly Reading[]): Reading[] => readings.filter((reading) => !reading.struck && reading.place === null)

/** How far a value lies off what is expected of this dog, by the nearest of the shares its builds allow: logarithm, signed. */
function offBy(measure: string, mm: number, girth: number, builds: readonly Build[]): { off: number; expected: number } {
  const all = usualShares(measure, builds).map((share) => ({ off: Math.log(mm / (share * girth)), expected: share * girth }))
  return all.reduce((best, each) => (Math.abs(each.off) < Math.abs(best.off) ? each : best), all[0] ?? { off: 0, expected: mm })
}

/**
 * Numbers that no dog of this kind has: beside the other tapes, the weight and the breed they are far too long or
 * short, and one slip of unit, decimal place, digits or doubling would explain it. Lengths only.
 */
export function oddNumbers(value: Value, readings: readonly Reading[], asked: Asked): Finding[] {
  const kept = keptOf(readings)
  return [...new Set(kept.map((reading) => reading.measure))].flatMap((measure): Finding[] => {
    const mm = value(measure)
    const last = kept.filter((reading) => reading.measure === measure).at(-1)
    if (usualShares(measure, []).length === 0 || mm === undefined || !last) return []
    const girths = girthsOf(value, asked, [measure])
    if (girths.length === 0) return []
    const { off: signed, expected } = offBy(measure, mm, median(girths), asked.builds)
    const off = Math.abs(signed)
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
        woulds: wouldsOf(explained),
      },
    ]
  })
}

/** Numbers no dog has at all, whoever it is; the other unit, the point or the doubling is named where it would explain them. */
export function outOfBounds(value: Value, readings: readonly Reading[]): Finding[] {
  const kept = readings.filter((reading) => !reading.struck)
  const keyOf = ({ measure, place }: Reading): string => (place === null ? measure : `${measure}/${place}`)
  return [...new Set(kept.map(keyOf))].flatMap((key): Finding[] => {
    const last = kept.findLast((reading) => keyOf(reading) === key)
    const found = value(key)
    const bounds = last ? boundsOf(last.measure) : null
    if (found === undefined || bounds === null || !last || isPossible(last.measure, found)) return []
    const slips = (last.measure === 'M00' ? [] : slipsOf(last)).filter(({ would }) => isPossible(last.measure, would))
    const limit = found > bounds[1] ? bounds[1] : bounds[0]
    return [
      {
        rule: 'out-of-bounds',
        measures: [last.measure],
        byMm: Math.abs(found - limit),
        because: { code: 'out-of-bounds', limit, found, ...(slips[0] ? { would: slips[0].would } : {}), ...(last.place ? { place: last.place } : {}) },
        ask: [...new Set(slips.map(({ cause }) => cause)), 'wrong-place'],
        woulds: wouldsOf(slips),
      },
    ]
  })
}

/** So many tapes off by one and the same unit are one slip, not so many (handbook 12, row 33). */
const ALL_FROM = 3
/** How near to one inch in centimetres the middle of them lies, and how wide they may scatter: logarithms. Ours, unverified. */
const NEAR_UNIT = 0.3
const SCATTER = 0.42

/**
 * One unit for all: every length typed in one unit lies 2.54 times too long or too short beside the weight and the
 * breed, or where no dog is. One question, about all of them.
 */
export function unitOfAll(value: Value, readings: readonly Reading[], asked: Asked): Finding[] {
  const kept = keptOf(readings).filter((reading) => reading.measure !== 'M00' && usualShares(reading.measure, []).length > 0)
  for (const inches of [true, false]) {
    const ids = [...new Set(kept.filter((reading) => (reading.unit === 'in') === inches).map((reading) => reading.measure))].filter(
      (id) => value(id) !== undefined,
    )
    if (ids.length < ALL_FROM) continue
    const factor = inches ? 1 / 2.54 : 2.54
    const girths = girthsOf(value, asked, ids)
    const offs = girths.length === 0 ? [] : ids.map((id) => offBy(id, value(id) ?? 1, median(girths), asked.builds).off + Math.log(factor))
    const byDog = offs.length > 0 && Math.abs(median(offs)) < NEAR_UNIT && Math.max(...offs) - Math.min(...offs) < 2 * SCATTER
    const would = (id: string): number => (value(id) ?? 0) * factor
    const outside = ids.filter((id) => !isPossible(id, value(id) ?? 0))
    const byBounds = girths.length === 0 && outside.length > 0 && ids.every((id) => isPossible(id, would(id)))
    const [first] = outside.length > 0 ? outside : ids
    if ((!byDog && !byBounds) || first === undefined) continue
    const cause = inches ? ('centimetres-as-inches' as const) : ('inches-as-centimetres' as const)
    return [
      {
        rule: 'unit-of-all',
        measures: [first, ...ids.filter((id) => id !== first)],
        byMm: Math.abs((value(first) ?? 0) - would(first)),
        because: { code: 'unit-of-all', found: value(first) ?? 0, would: would(first) },
        ask: [cause, 'dog-is-so'],
        woulds: { [cause]: would(first) },
      },
    ]
  }
  return []
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
export function oddWeights(value: Value, { about, grows }: Asked): Finding[] {
  const kg = value('M00')
  if (kg === undefined || !about) return []
  // A standard's weight is a grown dog's.
  const breed = grows ? undefined : findBreed(about.breed)
  const range = breed ? (about.sex === 'female' ? (breed.femaleKg ?? breed.maleKg) : (breed.maleKg ?? breed.femaleKg)) : undefined
  const known = range ? Math.sqrt((range[0] ?? range[1] ?? 1) * (range[1] ?? range[0] ?? 1)) : grows ? null : about.weightKg
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
