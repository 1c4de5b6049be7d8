import type { CoatClass, Sex } from '../model/index.ts'
import { findBreed, type Breed, type Build } from '../reference/index.ts'
import { buildTypes, type Ears, type TailCarriage } from './build-types.ts'

/** What is known of a dog beside its readings. Everything may be missing. */
export interface About {
  breed?: string | null
  crossWith?: string | null
  build?: Build | null
  sex?: Sex | null
  weightKg?: number | null
  ageMonths?: number | null
  coat?: CoatClass | null
  flatFace?: boolean | null
}

export interface Kind {
  /** The builds it may be of, the likeliest first; two for a cross of two. Empty: not known. */
  builds: Build[]
  breed: Breed | undefined
  flatFace: boolean
  coat: CoatClass | null
  /** `null`: not known from the breed; the readings or the likeliest build decide. */
  ears: Ears | null
  tail: TailCarriage | null
  /** Not grown: the breed's heights and weights say nothing yet. */
  growing: boolean
  sex: Sex | null
  weightKg: number | null
}

/** Breeds whose ears or tail are not those of their build. Source: from memory, unverified. */
const ERECT = [
  'Pembroke', 'Cardigan', 'Vallhund', 'Skye', 'Scottish Terrier', 'West Highland', 'Cairn', 'Australian Terrier', 'Norwich', 'French Bulldog', 'Boston', 'Bull Terrier',
  'Schipperke', 'Podenco', 'Pharaoh', 'Cirneco', 'Basenji', 'Xoloitzcuintle', 'Peruvian', 'Yorkshire', 'German Pinscher', 'Kleinspitz', 'Zwergspitz', 'Dobermann', 'Canaan',
] // prettier-ignore
const DROP = [
  'Old English', 'Bearded', 'Briard', 'Puli', 'Polish Lowland', 'Bergamasco', 'Bouvier', 'Rough Collie', 'Smooth Collie', 'Shetland', 'Border Collie', 'Australian Shepherd',
  'Appenzeller', 'Entlebuch', 'Poodle', 'Bichon', 'Maltese', 'Bolognese', 'Havanese', 'Coton', 'Löwchen', 'Cavalier', 'King Charles', 'Pekingese', 'Pug', 'Shih Tzu', 'Lhasa',
  'Tibetan Spaniel', 'Japanese Chin', 'Affenpinscher', 'Griffon', 'Staffordshire Bull',
] // prettier-ignore
const CURLED = ['Pug', 'Basenji', 'Schipperke', 'Kleinspitz', 'Zwergspitz', 'Shih Tzu', 'Lhasa', 'Pekingese', 'Tibetan', 'Maltese', 'Havanese', 'Finnish Spitz']
const LOW = ['Cavalier', 'King Charles', 'Boston', 'French Bulldog', 'Bull Terrier', 'Bulldog', 'Pembroke', 'Yorkshire']

/** How long the longest of the names is that the breed's name has in it: a longer one says more of it. */
const named = (names: readonly string[], breed: Breed | undefined): number =>
  breed === undefined ? 0 : Math.max(0, ...names.filter((name) => breed.name.includes(name)).map((name) => name.length))
const among = (names: readonly string[], breed: Breed | undefined): boolean => named(names, breed) > 0

/** Grown, as far as the form cares: heights stand by about a year. Source: common practice. */
const GROWN_MONTHS = 12

/** Reads what is known into what the form needs. */
export function kindOf(about: About | null): Kind {
  const breed = about?.breed ? findBreed(about.breed) : undefined
  const other = about?.crossWith ? findBreed(about.crossWith) : undefined
  const builds = [...new Set([about?.build, breed?.build, other?.build].filter((build): build is Build => build != null && build in buildTypes))]
  const alone = other ? undefined : breed
  const kg = about?.weightKg
  return {
    builds,
    breed: alone,
    flatFace: about?.flatFace ?? alone?.flatFace ?? false,
    coat: about?.coat ?? alone?.coat ?? null,
    ears:
      named(ERECT, alone) > named(DROP, alone) ? 'erect' : among(DROP, alone) ? 'drop' : builds.length === 1 && builds[0] ? buildTypes[builds[0]].ears : null,
    tail: among(CURLED, alone) ? 'curled' : among(LOW, alone) ? 'low' : builds[0] ? buildTypes[builds[0]].tail : null,
    growing: typeof about?.ageMonths === 'number' && about.ageMonths < GROWN_MONTHS,
    sex: about?.sex ?? null,
    weightKg: typeof kg === 'number' && Number.isFinite(kg) && kg > 0 ? kg : null,
  }
}
