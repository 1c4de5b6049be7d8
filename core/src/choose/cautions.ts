import { addMonths, format, parseISO } from 'date-fns'
import { families, type Shelf } from '../gear/index.ts'
import type { Activity, Dog, DogNoteKind, FamilyId } from '../model/index.ts'
import { ageInMonths, findBreed, stillGrows } from '../reference/index.ts'
import { cautionKey, type BoundAct, type Caution, type CautionCode, type CautionLevel, type CautionSubject } from './caution.ts'

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
/** Degrees Fahrenheit and percent of humidity together, past which care is asked for. Source: facts 6, from memory, unverified. */
const HUMID_SUM = 130

const LOADS: readonly Activity[] = ['bike-front', 'sled-team', 'wheel-place', 'weight-drag', 'cart', 'ski-front', 'front-of-runner']
const BIKES: readonly Activity[] = ['bike-front', 'bike-side']
/** Injury, stitches and whelping: one record, whether by the switch of before or by a note. Source: handbook 5.6. */
export const SPARING_NOTES: readonly DogNoteKind[] = ['injury', 'stitches', 'surgery', 'pregnant']

/** A breed of giants, or as heavy as one. */
export function isGiant(dog: Pick<Dog, 'breed' | 'crossWith' | 'weightKg'>): boolean {
  const reference = [dog.breed, dog.crossWith].map(findBreed)
  return reference.some((breed) => breed?.build === 'giant') || (dog.weightKg ?? 0) >= GIANT_KG
}

/** Has the dog a flat face: as its record says, else as its breeds usually have. */
export const hasFlatFace = (dog: Pick<Dog, 'flatFace' | 'breed' | 'crossWith'>): boolean =>
  dog.flatFace ?? [dog.breed, dog.crossWith].some((name) => findBreed(name)?.flatFace === true)

/** Is the dog to be spared: by its record or by a note that is not over. */
export const isSpared = (dog: Pick<Dog, 'sparing'> | null, openNotes: readonly DogNoteKind[]): boolean =>
  dog?.sparing === true || openNotes.some((kind) => SPARING_NOTES.includes(kind))

/** Months before load and bike for this dog: 18, for giants 24. */
const loadMonths = (dog: Pick<Dog, 'breed' | 'crossWith' | 'weightKg'>): number => (isGiant(dog) ? GIANT_LOAD_MONTHS : LOAD_MONTHS)

/** The day from which load and bike are no longer forbidden by age alone, `YYYY-MM-DD`; `null` where the age is not known. */
export function loadFrom(dog: CautionSubject['dog'], on: string): string | null {
  const months = dog ? ageInMonths(dog, on) : null
  return dog === null || months === null ? null : format(addMonths(parseISO(on), Math.max(0, loadMonths(dog) - months)), 'yyyy-MM-dd')
}

const WORN_AS_CLOTHES: readonly Shelf[] = ['coat', 'boot']
const shelfOf = (family: FamilyId): Shelf => families[family].shelf
const isHarness = (family: FamilyId): boolean => shelfOf(family) !== 'crate' && !WORN_AS_CLOTHES.includes(shelfOf(family))

type Add = (code: CautionCode, level: CautionLevel, binds?: BoundAct[], facts?: Caution['facts']) => void

/**
 * In the car what restrains is judged: the crash-tested harness by what trails from it, a travel crate by how it is held,
 * another harness or crate as no restraint. Coats and boots are no question of it (handbook 5.5, 5.6, common practice).
 */
function inTheCar(wanted: readonly FamilyId[], rides: boolean, add: Add): void {
  const restraints = wanted.filter((family) => families[family].activities.car === 'first')
  for (const family of restraints) add('tether', 'confirm', [], { family })
  if (!rides || restraints.length > 0) return
  if (wanted.includes('K2')) add('crate-held-fast', 'confirm', [], { family: 'K2' })
  else for (const family of wanted) if (!WORN_AS_CLOTHES.includes(shelfOf(family))) add('not-for-car', 'stop', ['car'], { family })
}

/** Air and humidity: over the limit a stop for pulling and at a bike, to confirm beside a runner; unknown, the rule alone. */
function inTheHeat({ activities, airC, humidity }: CautionSubject, pulls: boolean, bound: BoundAct[], add: Add): void {
  const sport = pulls || bound.includes('bike')
  const beside = activities.includes('beside-runner')
  if (!sport && !beside) return
  const facts = { maxC: PULL_MAX_C }
  if (airC === null || airC === undefined) {
    if (sport) add('heat', 'note', [], facts)
    return
  }
  const air = { ...facts, airC, ...(humidity === null || humidity === undefined ? {} : { humidity }) }
  if (airC > PULL_MAX_C) {
    if (sport) add('heat', 'stop', bound, air)
    else add('heat', 'confirm', [], air)
  } else if (air.humidity !== undefined && airC * 1.8 + 32 + air.humidity > HUMID_SUM) add('humid', 'confirm', [], air)
  else if (sport) add('heat', 'note', [], air)
}

const LEVELS: readonly CautionLevel[] = ['stop', 'confirm', 'note']

/**
 * The cautions of handbook 5.6 that apply to this dog, work, day and gear: stops, then what is to confirm, then notes.
 * What is about a piece is one entry for each piece, its family in `facts.family`; what is about dog or day one in all.
 *
 * A stop binds an act (load, bike, car, wearing the piece), never measuring or sizing. Local rules, carriers and the
 * veterinarian go before all.
 */
export function cautionsFor(subject: CautionSubject): Caution[] {
  const { dog, activities, families: wanted, on, openNotes = [] } = subject
  const found: Caution[] = []
  const add: Add = (code, level, binds = [], facts = {}) => void found.push({ code, level, binds, facts })
  const pulls = wanted.some((family) => families[family].pulls) || activities.some((activity) => LOADS.includes(activity))
  const bikes = activities.some((activity) => BIKES.includes(activity))
  const bound: BoundAct[] = [...(pulls ? (['load'] as const) : []), ...(bikes ? (['bike'] as const) : [])]
  const crates = wanted.filter((family) => shelfOf(family) === 'crate')

  if (dog) {
    const months = ageInMonths(dog, on)
    const fromMonths = loadMonths(dog)
    if (months !== null && months < fromMonths) {
      if (bound.length > 0 && months < LIGHT_MONTHS) add('growing-no-load', 'stop', bound, { months, fromMonths })
      else if (bound.length > 0) add('growing-light-only', 'stop', bound, { months, fromMonths })
    }
    if (months !== null && stillGrows(dog, on)) add('growing-refit', 'note', [], { months })
    if (months === null && bound.length > 0) add('age-unknown', 'confirm', [], { fromMonths })
    if (hasFlatFace(dog)) {
      if (bound.length > 0) add('flat-face-no-draught', 'stop', bound)
      else if (wanted.some(isHarness) || wanted.length === 0) add('flat-face-y-low', 'note')
      for (const family of crates) if (family === 'K2') add('flat-face-crate', 'confirm', [], { family })
      if (wanted.includes('C3')) add('flat-face-hood', 'confirm', [], { family: 'C3' })
    }
    for (const family of wanted) {
      if (family !== 'H08') continue
      if (months !== null && months < fromMonths) add('front-clip', 'stop', ['wear'], { family, months, fromMonths })
      else add('front-clip', 'confirm', [], { family })
    }
  } else for (const family of wanted) if (family === 'H08') add('front-clip', 'confirm', [], { family })
  if (isSpared(dog, openNotes)) {
    if (bound.length > 0) add('sparing', 'stop', [...bound, 'measuring-stress'])
    else add('sparing', 'confirm', ['measuring-stress'])
  }
  inTheHeat(subject, pulls, bound, add)
  inTheCar(wanted, activities.includes('car') || subject.rides === true, add)
  if (subject.flies === true && (crates.length > 0 || wanted.length === 0)) add('carrier-rules', 'confirm')

  for (const family of wanted) {
    const cells = families[family].activities
    const others = wanted.filter((other) => other !== family)
    const covered = (activity: Activity): boolean => others.some((other) => ['first', 'works', 'conditions'].includes(families[other].activities[activity]))
    // Work that another piece on the ticket is made for is no misuse of this one.
    const uncovered = activities.filter((activity) => activity !== 'car' && cells[activity] === 'wrong' && !covered(activity))
    if (uncovered.length > 0) add('not-for-draught', 'stop', bikes ? ['load', 'bike'] : ['load'], { family })
    else if (family === 'H10' && activities.includes('front-of-runner') && !covered('front-of-runner')) {
      if (subject.pulls === true) add('running-in-front', 'stop', ['load'], { family })
      else add('running-in-front', 'confirm', [], { family })
    }
  }
  if (pulls) {
    add('soft-tissue', 'note')
    add('first-outings', 'note')
    add('buy-from-workers', 'note')
  }
  if (wanted.some(isHarness)) add('windpipe', 'note')
  if (crates.length > 0) add('crate-no-punishment', 'note')
  if (wanted.some((family) => shelfOf(family) !== 'crate')) add('unattended', 'note')
  const unique = found.filter((each, i) => found.findIndex((other) => cautionKey(other) === cautionKey(each)) === i)
  return unique.sort((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level))
}
