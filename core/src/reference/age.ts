import { mean } from 'simple-statistics'
import type { Dog } from '../model/index.ts'
import { ageInMonths } from './age-in-months.ts'
import type { Breed, BreedRange } from './breeds.ts'
import { findBreed } from './find-breed.ts'

/** Months until a dog of no known breed counts as grown, and one of giant weight. Source: handbook 4.8, from memory, unverified. */
export const GROWN_MONTHS = 18
const GIANT_KG = 45

/** Grown weight from which a class begins, kg, and the months in which it is grown: upper ends of facts 7, from memory, unverified. */
const CLASSES: readonly (readonly [fromKg: number, months: number])[] = [
  [GIANT_KG, 24],
  [25, 15],
  [10, 12],
  [0, 10],
]
/** Grown weight of a breed whose standard states none, by its build and height. Ours, unverified. */
const HEIGHT_KG: readonly (readonly [fromCm: number, kg: number])[] = [
  [72, 50],
  [55, 30],
  [33, 15],
  [0, 7],
]

const middle = ([from, to]: BreedRange): number => ((from ?? to ?? 0) + (to ?? from ?? 0)) / 2
const meanOf = (ranges: readonly (BreedRange | undefined)[]): number | null => {
  const known = ranges.flatMap((range) => (range ? [middle(range)] : []))
  return known.length === 0 ? null : mean(known)
}

function grownKg({ build, maleKg, femaleKg, maleCm, femaleCm }: Breed, sex: Dog['sex'] | undefined): number {
  const own = <T>(male: T, female: T): T[] => (sex === 'male' ? [male ?? female] : sex === 'female' ? [female ?? male] : [male, female])
  const kg = meanOf(own(maleKg, femaleKg))
  if (kg !== null) return kg
  if (build === 'giant') return GIANT_KG
  if (build === 'toy') return 4
  const cm = meanOf(own(maleCm, femaleCm)) ?? 55
  return HEIGHT_KG.find(([from]) => cm >= from)?.[1] ?? 15
}

type Grows = Pick<Dog, 'born' | 'ageMonths' | 'ageSaidOn'> & Partial<Pick<Dog, 'breed' | 'crossWith' | 'weightKg' | 'sex'>>

/**
 * Months until this dog counts as grown, by the class of its grown weight: its breed's, of a cross the heavier. A weight
 * now may make the class larger, never smaller, since the dog may still grow; of no known breed as handbook 4.8 says.
 */
export function grownMonths({ breed, crossWith, weightKg, sex }: Partial<Pick<Dog, 'breed' | 'crossWith' | 'weightKg' | 'sex'>>): number {
  const known = [breed, crossWith].flatMap((name) => (name ? (findBreed(name) ?? []) : []))
  const now = weightKg ?? 0
  if (known.length === 0) return now >= GIANT_KG ? 24 : GROWN_MONTHS
  const kg = Math.max(now, ...known.map((each) => grownKg(each, sex)))
  return CLASSES.find(([from]) => kg >= from)?.[1] ?? GROWN_MONTHS
}

/** Whether a dog still grows on a day; a dog of unknown age is taken as grown. */
export function stillGrows(dog: Grows | null, on: string): boolean {
  const months = dog ? ageInMonths(dog, on) : null
  return dog !== null && months !== null && months < grownMonths(dog)
}
