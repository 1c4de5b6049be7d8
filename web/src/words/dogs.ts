import { ageInMonths, formatWeight, type Activity, type CoatClass, type Dog, type Trait } from '@merry-tailor/core'

export function ageWords(months: number | null): string {
  if (months === null) return ''
  if (months < 1) return 'under a month'
  if (months < 24) return `${months} ${months === 1 ? 'month' : 'months'}`
  return `${Math.floor(months / 12)} years`
}

export const breedWords = (dog: Pick<Dog, 'breed' | 'crossWith'>): string => [dog.breed, dog.crossWith].filter(Boolean).join(' × ')

/** Breed, age and weight in one line, as far as they are known. */
export function dogLine(dog: Dog, on: string): string {
  const parts = [breedWords(dog), ageWords(ageInMonths(dog, on)), dog.weightKg ? formatWeight(dog.weightKg) : '']
  return parts.filter(Boolean).join(', ') || 'Nothing asked yet'
}

const COATS: Readonly<Record<CoatClass, string>> = {
  smooth: 'Smooth',
  'short-double': 'Short double',
  'thick-double': 'Thick double',
  wire: 'Wire',
  curly: 'Curly',
  long: 'Long',
  hairless: 'Hairless',
}
export const coatName = (coat: CoatClass): string => COATS[coat]

const TRAITS: Readonly<Record<Trait, string>> = {
  crabs: 'Crabs sideways',
  swings: 'Swings side to side',
  flexes: 'Flexes its back strongly',
  'sits-close': 'Runs close to the load',
  'head-shy': 'Fights the head opening',
  wriggles: 'Wriggles at dressing',
  chews: 'Chews what it wears',
  'backs-out': 'Backs out',
  'three-legs': 'Three legs',
}
export const traitName = (trait: Trait): string => TRAITS[trait]

const ACTIVITIES: Readonly<Record<Activity, string>> = {
  stroll: 'Stroll',
  'learning-puller': 'Puller, learning',
  'long-hike': 'Long hike',
  scramble: 'Scramble or lift',
  'beside-runner': 'Beside a runner',
  'front-of-runner': 'In front of a runner',
  'bike-front': 'Bike or scooter, dog in front',
  'bike-side': 'Bike, side arm',
  'ski-front': 'Ski, dog in front',
  'sled-team': 'Sled team',
  'wheel-place': 'Wheel place',
  'weight-drag': 'Weight drag',
  cart: 'Cart with shafts',
  tracking: 'Tracking, protection',
  car: 'Car',
}
export const activityName = (activity: Activity): string => ACTIVITIES[activity]
