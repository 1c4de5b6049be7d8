import { families, type Shelf } from '../gear/index.ts'
import type { Acknowledgement, Activity, Dog, FamilyId } from '../model/index.ts'
import { ageInMonths, findBreed } from '../reference/index.ts'

export type CautionCode =
  | 'growing-no-load'
  | 'growing-light-only'
  | 'growing-refit'
  | 'age-unknown'
  | 'flat-face-no-draught'
  | 'flat-face-y-low'
  | 'sparing'
  | 'heat'
  | 'windpipe'
  | 'soft-tissue'
  | 'first-outings'
  | 'not-for-car'
  | 'tether'
  | 'crate-held-fast'
  | 'not-for-draught'
  | 'buy-from-workers'
  | 'unattended'

/** What a stop forbids. Measuring and sizing are never bound. */
export type BoundAct = 'load' | 'bike' | 'car' | 'measuring-stress'

export interface Caution {
  code: CautionCode
  level: 'caution' | 'stop'
  binds: BoundAct[]
  /** Numbers the sentence needs. */
  facts: { months?: number; fromMonths?: number; maxC?: number; family?: FamilyId }
}

export interface CautionSubject {
  dog: Pick<Dog, 'born' | 'ageMonths' | 'ageSaidOn' | 'flatFace' | 'breed' | 'crossWith' | 'sparing' | 'weightKg'> | null
  activities: readonly Activity[]
  families: readonly FamilyId[]
  /** Day the question is asked on, `YYYY-MM-DD`. */
  on: string
}

/**
 * Months before work. Light line-out from 12, loads and bike from 18, giants from 24.
 * Source: handbook 5.6, from memory, unverified; a veterinarian's word goes before it.
 */
export const LIGHT_MONTHS = 12
const LOAD_MONTHS = 18
const GIANT_LOAD_MONTHS = 24
/** Giant: grown weight from here, kg. Source: from memory, unverified. */
const GIANT_KG = 45
/** Upper temperature for pulling. Source: handbook V18, common practice. */
export const PULL_MAX_C = 10

const LOADS: readonly Activity[] = ['bike-front', 'sled-team', 'wheel-place', 'weight-drag', 'cart', 'ski-front', 'front-of-runner']
const BIKES: readonly Activity[] = ['bike-front', 'bike-side']

/** What names one caution among those of a ticket: a stop of one piece is not that of another. */
export const cautionKey = ({ code, facts }: Pick<Caution, 'code' | 'facts'>): string => (facts.family === undefined ? code : `${code}:${facts.family}`)

/**
 * The newest word on a caution that still counts; `undefined` while it is unread. A word kept under the bare code, as
 * before pieces had stops of their own, stands for the first of that code.
 */
export function readOf(caution: Caution, all: readonly Caution[], acknowledgements: readonly Acknowledgement[]): Acknowledgement | undefined {
  const first = all.find((each) => each.code === caution.code)
  return acknowledgements.findLast(
    (ack) =>
      !ack.struck && (ack.code === cautionKey(caution) || (ack.code === caution.code && first !== undefined && cautionKey(first) === cautionKey(caution))),
  )
}

/** A breed of giants, or as heavy as one. */
export function isGiant(dog: Pick<Dog, 'breed' | 'crossWith' | 'weightKg'>): boolean {
  const reference = [dog.breed, dog.crossWith].map(findBreed)
  return reference.some((breed) => breed?.build === 'giant') || (dog.weightKg ?? 0) >= GIANT_KG
}

/** Has the dog a flat face: as its record says, else as its breeds usually have. */
export const hasFlatFace = (dog: Pick<Dog, 'flatFace' | 'breed' | 'crossWith'>): boolean =>
  dog.flatFace ?? [dog.breed, dog.crossWith].some((name) => findBreed(name)?.flatFace === true)

const WORN_AS_CLOTHES: readonly Shelf[] = ['coat', 'boot']
const isHarness = (family: FamilyId): boolean => families[family].shelf !== 'crate' && !WORN_AS_CLOTHES.includes(families[family].shelf)

type Add = (code: CautionCode, level: Caution['level'], binds?: BoundAct[]) => void

/**
 * In the car what restrains is judged: the crash-tested harness by what trails from it, a travel crate by how it is held,
 * another harness or crate as no restraint. Coats and boots are no question of it (handbook 5.5, 5.6, common practice).
 */
function inTheCar(wanted: readonly FamilyId[], add: Add): void {
  const restrains = wanted.filter((family) => !WORN_AS_CLOTHES.includes(families[family].shelf))
  if (restrains.some((family) => families[family].activities.car === 'first')) add('tether', 'stop', ['car'])
  else if (restrains.includes('K2')) add('crate-held-fast', 'caution')
  else if (restrains.length > 0) add('not-for-car', 'stop', ['car'])
}

/**
 * The cautions of handbook 5.6 that apply to this dog, purpose and gear, stops first.
 *
 * A stop binds an act (load, bike, car), never measuring or sizing. Local rules and the veterinarian go before all.
 */
export function cautionsFor({ dog, activities, families: wanted, on }: CautionSubject): Caution[] {
  const found: Caution[] = []
  const add = (code: CautionCode, level: Caution['level'], binds: BoundAct[] = [], facts: Caution['facts'] = {}): void => {
    found.push({ code, level, binds, facts })
  }
  const pulls = wanted.some((family) => families[family].pulls) || activities.some((activity) => LOADS.includes(activity))
  const bikes = activities.some((activity) => BIKES.includes(activity))
  const bound: BoundAct[] = [...(pulls ? (['load'] as const) : []), ...(bikes ? (['bike'] as const) : [])]

  if (dog) {
    const months = ageInMonths(dog, on)
    const fromMonths = isGiant(dog) ? GIANT_LOAD_MONTHS : LOAD_MONTHS
    if (months !== null && months < fromMonths) {
      if (bound.length > 0 && months < LIGHT_MONTHS) add('growing-no-load', 'stop', bound, { months, fromMonths })
      else if (bound.length > 0) add('growing-light-only', 'stop', bound, { months, fromMonths })
      add('growing-refit', 'caution', [], { months })
    }
    if (months === null && bound.length > 0) add('age-unknown', 'caution')
    if (hasFlatFace(dog)) {
      if (bound.length > 0) add('flat-face-no-draught', 'stop', bound)
      else add('flat-face-y-low', 'caution')
    }
    if (dog.sparing) add('sparing', pulls ? 'stop' : 'caution', pulls ? ['load', 'measuring-stress'] : ['measuring-stress'])
  }
  if (activities.includes('car')) inTheCar(wanted, add)
  for (const family of wanted) {
    const left = activities.filter((activity) => activity !== 'car' && families[family].activities[activity] === 'wrong')
    // Work that another piece on the ticket is made for is no misuse of this one.
    const uncovered = left.filter((activity) => !wanted.some((other) => ['first', 'works', 'conditions'].includes(families[other].activities[activity])))
    if (uncovered.length > 0) {
      add('not-for-draught', 'stop', bikes ? ['load', 'bike'] : ['load'], { family })
    }
  }
  if (pulls) {
    add('heat', 'caution', [], { maxC: PULL_MAX_C })
    add('soft-tissue', 'caution')
    add('first-outings', 'caution')
    add('buy-from-workers', 'caution')
  }
  if (wanted.some(isHarness)) add('windpipe', 'caution')
  if (wanted.some((family) => families[family].shelf !== 'crate')) add('unattended', 'caution')
  const unique = found.filter((each, i) => found.findIndex((other) => cautionKey(other) === cautionKey(each)) === i)
  return unique.sort((a, b) => Number(b.level === 'stop') - Number(a.level === 'stop'))
}
