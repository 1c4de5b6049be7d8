import {
  ageInMonths,
  formatWeight,
  type Activity,
  type CoatClass,
  type Dog,
  type DogNoteKind,
  type Footing,
  type Job,
  type Need,
  type Trait,
} from '@merry-tailor/core'

export function ageWords(months: number | null): string {
  if (months === null) return ''
  if (months < 1) return 'under a month'
  if (months < 24) return `${months} ${months === 1 ? 'month' : 'months'}`
  return `${Math.floor(months / 12)} years`
}

export const breedWords = (dog: Pick<Dog, 'breed' | 'crossWith'>): string => [dog.breed, dog.crossWith].filter(Boolean).join(' × ')

/** Breed, age and weight in one line, as far as they are known. */
export function dogLine(dog: Pick<Dog, 'breed' | 'crossWith' | 'born' | 'ageMonths' | 'ageSaidOn' | 'weightKg'>, on: string, unit: 'in' | 'cm' = 'cm'): string {
  const parts = [breedWords(dog), ageWords(ageInMonths(dog, on)), dog.weightKg ? formatWeight(dog.weightKg, unit === 'in' ? 'lb' : 'kg') : '']
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

const NOTE_KINDS: Readonly<Record<DogNoteKind, string>> = {
  injury: 'Injury',
  lump: 'Lump',
  scar: 'Scar',
  stitches: 'Stitches',
  pregnant: 'In whelp',
  whelped: 'Whelped',
  neutered: 'Neutered',
  surgery: 'Surgery',
  'lay-off': 'Long lay-off',
  'missing-limb': 'Missing limb',
  'coat-change': 'Coat change',
  chafe: 'Chafed',
  cough: 'Coughed in gear',
  gait: 'Gait changed',
  'refuses-gear': 'Refuses gear',
  other: 'Note',
}
export const noteKindName = (kind: DogNoteKind): string => NOTE_KINDS[kind]

const NEEDS: Readonly<Record<Need, string>> = {
  dry: 'Keep dry',
  warm: 'Keep warm',
  ride: 'Ride in a crate or car',
  fly: 'Fly',
  paws: 'Guard its paws',
  home: 'Sleep and train at home',
}
export const needName = (need: Need): string => NEEDS[need]

const FOOTINGS: Readonly<Record<Footing, string>> = { snow: 'Snow and ice', rock: 'Rock', hot: 'Hot ground', salt: 'Salted roads', indoor: 'Floors indoors' }
/** The same in the few letters a switch has room for. */
export const FOOTING_OPTIONS: readonly { value: Footing; label: string }[] = [
  { value: 'snow', label: 'Snow, ice' },
  { value: 'rock', label: 'Rock' },
  { value: 'hot', label: 'Hot ground' },
  { value: 'salt', label: 'Salt' },
  { value: 'indoor', label: 'Indoors' },
]
export const footingName = (footing: Footing): string => FOOTINGS[footing]

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

/** What the dog will do or needs, in a word. */
export const jobName = (job: Job): string => (job in NEEDS ? needName(job as Need) : activityName(job as Activity))
