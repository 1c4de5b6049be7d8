import type {
  Acknowledgement,
  Activity,
  DogFields,
  DogNoteKind,
  FamilyId,
  ItemWay,
  LengthUnit,
  NewAsWritten,
  NewObservation,
  NewReading,
  School,
} from '@merry-tailor/core'
import { spinnaker } from './two-years.ts'

/**
 * Autumn at the quay of Marrowick, the ferry town of the Fennar Isles: an outfitter's workshop between the mail shed
 * and the harbour stairs. Town, people, makers and dogs are invented; so is every number.
 */
export interface OwnerStory {
  key: string
  name: string
  contact: string
  notes?: string
}

export type DogStory = { key: string; owner: string; ageDays: number } & Pick<DogFields, 'name'> & Partial<Omit<DogFields, 'name' | 'born' | 'ownerId'>>

/** Measure and how it was typed; `one` side is as taken. `struck` gives the reason. */
export interface ReadingStory {
  measure: string
  typed: string
  one?: true
  struck?: string
  by?: string
  with?: Partial<Pick<NewReading, 'place' | 'method' | 'coat' | 'chalkMark' | 'postureDoubt' | 'heldBy' | 'dewclaw' | 'remark'>>
}

export interface RoundStory {
  label: string
  changed?: string
  /** Minutes after the ticket's clock. */
  after: number
  seen: [check: string, state: NewObservation['state'], grade: NewObservation['grade'], typed?: string][]
  symptoms?: [id: string, remedy: number | null][]
}

export interface ItemStory {
  family: FamilyId
  way: ItemWay
  school?: School
  choice?: { table: string; labels: string[]; overruled?: { advised: string; why: string } }
  rounds?: RoundStory[]
}

export interface TicketStory {
  dog: string | null
  /** Days before today the ticket was opened, and at what time. */
  daysAgo: number
  clock: string
  activities: Activity[]
  /** Days from today. */
  needed?: number
  promised?: number
  unit: LengthUnit
  items: ItemStory[]
  readings: ReadingStory[]
  asWritten?: Pick<NewAsWritten, 'letters' | 'asWritten' | 'came' | 'wanted' | 'remark'>[]
  wholeBody?: true
  acknowledged?: Pick<Acknowledgement, 'kind' | 'code' | 'text' | 'reason'>[]
  closed?: true
  nextLook?: number
  notes?: string
}

export const fitters = ['Ylva', 'Orrin'] as const

/** Everybody's fingers are different; mm. */
export const gauges: Readonly<Record<(typeof fitters)[number], { indexMm: number; twoMm: number; fourMm: number; handMm: number }>> = {
  Ylva: { indexMm: 14.2, twoMm: 32.6, fourMm: 68.4, handMm: 23.1 },
  Orrin: { indexMm: 17.3, twoMm: 39.4, fourMm: 83.7, handMm: 28.6 },
}

export interface NoteStory {
  dog: string
  kind: DogNoteKind
  text: string
  daysAgo: number
  overDaysAgo?: number
}

export const notes: readonly NoteStory[] = [
  { dog: 'spinnaker', kind: 'scar', text: 'Left flank, from the fence at the church. Healed, feel for it under the girth strap.', daysAgo: 402 },
  { dog: 'spinnaker', kind: 'coat-change', text: 'Into winter coat.', daysAgo: 11 },
  { dog: 'lodestar', kind: 'stitches', text: 'Right fore pad.', daysAgo: 150, overDaysAgo: 128 },
  { dog: 'samphire', kind: 'lump', text: 'Size of a pea, left armpit; the vet knows it.', daysAgo: 33 },
  { dog: 'thrift', kind: 'chafe', text: 'Behind the left elbow after the long hike.', daysAgo: 4 },
]

export const owners: readonly OwnerStory[] = [
  { key: 'runa', name: 'Runa Aldermoor', contact: 'Harbour office, pier 2', notes: 'Asks for the docket on paper.' },
  { key: 'ketil', name: 'Ketil Brandwick', contact: 'Mail shed, mornings' },
  { key: 'signe', name: 'Signe Orlaskerry', contact: 'Team yard above the church' },
  { key: 'hanne', name: 'Hanne Toftness', contact: 'Wool shop, Netloft Lane' },
  { key: 'jory', name: 'Jory Penhallan', contact: 'House-boat Limpet, inner basin' },
  { key: 'asta', name: 'Asta Vindholm', contact: 'Ferry crew, every second week' },
  { key: 'bram', name: 'Bram Oskeray', contact: 'Fell hut, writes by the Tuesday boat' },
  { key: 'eirun', name: 'Eirun Maskelay', contact: 'Lighthouse cottages, 4' },
  { key: 'tove', name: 'Tove Ramsdrift', contact: 'Bakery, back door' },
]

export const dogs: readonly DogStory[] = [
  {
    key: 'halyard',
    name: 'Halyard',
    owner: 'runa',
    breed: 'German Shepherd Dog',
    sex: 'male',
    ageDays: 1540,
    weightKg: 35.6,
    coat: 'thick-double',
    flatFace: false,
    notes: 'Harbour patrol. Steady on the table, dislikes the far pier’s horn.',
  },
  {
    key: 'bilberry',
    name: 'Bilberry',
    owner: 'signe',
    breed: 'Siberian Husky',
    sex: 'female',
    ageDays: 1130,
    weightKg: 20.7,
    coat: 'thick-double',
    flatFace: false,
    notes: 'Swing place. Leans into the tape.',
  },
  {
    key: 'marlin',
    name: 'Marlin',
    owner: 'signe',
    breed: 'Greenland Dog',
    crossWith: 'Siberian Husky',
    sex: 'male',
    ageDays: 1890,
    weightKg: 31.3,
    coat: 'thick-double',
    flatFace: false,
    notes: 'Short in the back, heavy in front.',
  },
  {
    key: 'lodestar',
    name: 'Lodestar',
    owner: 'signe',
    breed: 'Fennar racing cross',
    sex: 'female',
    ageDays: 860,
    weightKg: 22.4,
    coat: 'short-double',
    flatFace: false,
    notes: 'Lead dog.',
  },
  {
    key: 'oakum',
    name: 'Oakum',
    owner: 'signe',
    breed: 'Fennar racing cross',
    sex: 'male',
    ageDays: 2480,
    weightKg: 24.1,
    coat: 'short-double',
    flatFace: false,
    notes: 'Four kilos lighter since spring, by the vet’s plan.',
  },
  {
    key: 'skiff',
    name: 'Skiff',
    owner: 'jory',
    breed: 'Golden Retriever',
    sex: 'female',
    ageDays: 158,
    weightKg: 14.6,
    coat: 'long',
    flatFace: false,
    notes: 'Lives aboard. Still growing.',
  },
  {
    key: 'anvil',
    name: 'Anvil',
    owner: 'ketil',
    breed: 'Greater Swiss Mountain Dog',
    sex: 'male',
    ageDays: 1710,
    weightKg: 54.8,
    coat: 'short-double',
    flatFace: false,
    notes: 'Walks the mail round beside the cart.',
  },
  {
    key: 'dulse',
    name: 'Dulse',
    owner: 'bram',
    breed: 'Border Collie',
    crossWith: 'Bearded Collie',
    sex: 'female',
    ageDays: 1250,
    weightKg: 18.3,
    coat: 'long',
    flatFace: false,
  },
  {
    key: 'pebble',
    name: 'Pebble',
    owner: 'hanne',
    breed: 'Border Terrier',
    sex: 'female',
    ageDays: 2210,
    weightKg: 6.3,
    coat: 'wire',
    flatFace: false,
    notes: 'Knitting hands nearby keep her calm.',
  },
  {
    key: 'harebell',
    name: 'Harebell',
    owner: 'eirun',
    breed: 'Whippet',
    sex: 'female',
    ageDays: 980,
    weightKg: 13.2,
    coat: 'smooth',
    flatFace: false,
    notes: 'Deep chest, thin skin.',
  },
  {
    key: 'sextant',
    name: 'Sextant',
    owner: 'asta',
    breed: 'Labrador Retriever',
    sex: 'male',
    ageDays: 1430,
    weightKg: 31.9,
    coat: 'short-double',
    flatFace: false,
    notes: 'Crosses with the ferry.',
  },
  {
    key: 'thrift',
    name: 'Thrift',
    owner: 'bram',
    breed: 'Finnish Lapphund',
    sex: 'male',
    ageDays: 1990,
    weightKg: 19.4,
    coat: 'thick-double',
    flatFace: false,
  },
  {
    key: 'cockle',
    name: 'Cockle',
    owner: 'tove',
    breed: 'Pug',
    sex: 'male',
    ageDays: 1020,
    weightKg: 8.4,
    coat: 'smooth',
    flatFace: true,
    notes: 'Snores. Wants harness, not collar.',
  },
  {
    key: 'samphire',
    name: 'Samphire',
    owner: 'eirun',
    breed: 'Dachshund',
    sex: 'female',
    ageDays: 1620,
    weightKg: 8.1,
    coat: 'wire',
    flatFace: false,
    notes: 'Long and low, rubs behind the elbow.',
  },
  spinnaker.dog,
]

const paw = (measure: string, place: NewReading['place'], ...typed: string[]): ReadingStory[] =>
  typed.map((each) => ({ measure, typed: each, with: { place, method: 'tracing' } }))

const walkingY = (labels: string[]): NonNullable<ItemStory['choice']> => ({ table: 'skerrywright-walking-y', labels })

export const tickets: readonly TicketStory[] = [
  // A neck that was doubled twice: the half was doubled by hand, then doubled again.
  {
    dog: 'halyard',
    daysAgo: 0,
    clock: '08:10',
    activities: ['tracking', 'stroll'],
    needed: 9,
    promised: 0,
    unit: 'in',
    items: [{ family: 'H01', way: 'stock' }],
    readings: [
      { measure: 'M01', typed: '25 3/8', one: true },
      { measure: 'M06', typed: '12 3/8' },
      { measure: 'M06', typed: '12 1/2' },
      { measure: 'M07', typed: '30 1/8' },
    ],
  },
  // Between two sizes at the neck and in the gap of the length.
  {
    dog: 'bilberry',
    daysAgo: 2,
    clock: '15:40',
    activities: ['sled-team'],
    needed: 54,
    promised: 2,
    unit: 'in',
    items: [{ family: 'H11', way: 'undecided' }],
    readings: [
      { measure: 'M01', typed: '11 3/8', one: true },
      { measure: 'M01', typed: '11 3/8', one: true },
      { measure: 'M10', typed: '15 5/8' },
      { measure: 'M10', typed: '15 3/4' },
      { measure: 'M12', typed: '11 1/2' },
      { measure: 'M12', typed: '11 3/8' },
      { measure: 'M13', typed: '26 7/8' },
      { measure: 'M13', typed: '27 1/8' },
      { measure: 'M11', typed: '11 1/4' },
      { measure: 'M11', typed: '11 1/8' },
      { measure: 'M14', typed: '22 3/8' },
      { measure: 'M14', typed: '22 1/4' },
    ],
    acknowledged: [{ kind: 'caution', code: 'heat', text: 'Pulling stops above about 10 °C, sooner when it is humid.', reason: '' }],
  },
  // Neck says one size, length another.
  {
    dog: 'marlin',
    daysAgo: 6,
    clock: '10:20',
    activities: ['sled-team'],
    needed: 54,
    promised: -2,
    unit: 'cm',
    items: [
      {
        family: 'H11',
        way: 'stock',
        choice: { table: 'rimefold-cross-back', labels: ['Fir'], overruled: { advised: 'made to measure', why: 'On the rack, to see it pulled back by hand' } },
        rounds: [
          {
            label: 'Fir',
            after: 45,
            seen: [
              ['pulling-neck', 'slack', 'holds', '2 fingers'],
              ['pulling-neck', 'pulling', 'holds', '2 fingers'],
              ['v-on-breastbone', 'pulling', 'holds', '-0,5 cm'],
              ['tug-at-tail-base', 'pulling', 'fails', '9 cm'],
            ],
            symptoms: [['S06', 0]],
          },
        ],
      },
    ],
    readings: [
      { measure: 'M01', typed: '33,1 cm', one: true, by: 'Orrin' },
      { measure: 'M01', typed: '33,3 cm', one: true, by: 'Orrin' },
      { measure: 'M13', typed: '63,5 cm', by: 'Orrin' },
      { measure: 'M13', typed: '64 cm', by: 'Orrin' },
    ],
  },
  {
    dog: 'lodestar',
    daysAgo: 5,
    clock: '11:00',
    activities: ['sled-team'],
    needed: 73,
    promised: 12,
    unit: 'in',
    items: [{ family: 'H11', way: 'made', school: 'A', choice: { table: 'ternwing-made-a', labels: ['To measure'] } }],
    readings: [
      { measure: 'M01', typed: '10 3/4', one: true },
      { measure: 'M01', typed: '10 7/8', one: true },
      { measure: 'M10', typed: '16 3/8' },
      { measure: 'M10', typed: '16 1/4' },
      { measure: 'M12', typed: '11 1/8' },
      { measure: 'M12', typed: '11 1/4' },
    ],
  },
  // Slimmed: last spring's tapes are on the closed ticket below.
  {
    dog: 'oakum',
    daysAgo: 1,
    clock: '09:15',
    activities: ['sled-team'],
    needed: 54,
    promised: 6,
    unit: 'in',
    items: [
      {
        family: 'H11',
        way: 'stock',
        choice: { table: 'rimefold-cross-back', labels: ['Elm'] },
        rounds: [
          {
            label: 'Elm',
            after: 30,
            seen: [
              ['pulling-neck', 'slack', 'fails', '4 fingers'],
              ['v-on-breastbone', 'pulling', 'fails', '-1 3/4'],
              ['tug-at-tail-base', 'pulling', 'fails', '2 1/4'],
            ],
            symptoms: [
              ['S02', 1],
              ['S06', null],
            ],
          },
        ],
      },
    ],
    readings: [
      { measure: 'M01', typed: '10 7/8', one: true },
      { measure: 'M01', typed: '11', one: true },
      { measure: 'M13', typed: '26 3/8' },
    ],
  },
  {
    dog: 'oakum',
    daysAgo: 196,
    clock: '14:00',
    activities: ['sled-team'],
    unit: 'in',
    closed: true,
    nextLook: -120,
    items: [
      {
        family: 'H11',
        way: 'stock',
        choice: { table: 'rimefold-cross-back', labels: ['Elm'] },
        rounds: [
          {
            label: 'Elm',
            after: 40,
            seen: [
              ['pulling-neck', 'slack', 'holds', '2 fingers'],
              ['pulling-neck', 'pulling', 'holds', '1 finger'],
              ['neck-opening-at-withers', 'pulling', 'holds'],
              ['v-on-breastbone', 'pulling', 'holds', '-1/4'],
              ['sides-on-ribs', 'pulling', 'holds', '1'],
              ['clear-of-armpit', 'pulling', 'holds'],
              ['clear-of-armpit', 'moving', 'holds'],
              ['tug-at-tail-base', 'pulling', 'holds', '-3/8'],
              ['cross-sides-equal', 'slack', 'holds'],
              ['cross-throat-and-belly-clear', 'pulling', 'holds'],
            ],
          },
        ],
      },
    ],
    readings: [
      { measure: 'M01', typed: '11 7/8', one: true },
      { measure: 'M01', typed: '12', one: true },
      { measure: 'M13', typed: '27 5/8' },
      { measure: 'M13', typed: '27 3/4' },
    ],
  },
  // A growing dog that is wanted in the team: the stop binds the load, not the tape.
  {
    dog: 'skiff',
    daysAgo: 3,
    clock: '16:30',
    activities: ['stroll', 'sled-team'],
    needed: 20,
    promised: 5,
    unit: 'cm',
    items: [{ family: 'H01', way: 'stock' }],
    readings: [
      { measure: 'M07', typed: '55,5' },
      { measure: 'M07', typed: '56,5' },
    ],
  },
  {
    dog: 'anvil',
    daysAgo: 0,
    clock: '07:50',
    activities: ['stroll', 'long-hike'],
    needed: 3,
    promised: 0,
    unit: 'cm',
    items: [{ family: 'H01', way: 'quick-ship' }],
    readings: [
      { measure: 'M01', typed: '37,5', one: true },
      { measure: 'M01', typed: '37', one: true },
      { measure: 'M06', typed: '35,9' },
      { measure: 'M06', typed: '37,5' },
      { measure: 'M07', typed: '97' },
      { measure: 'M07', typed: '98,5' },
    ],
  },
  {
    dog: 'dulse',
    daysAgo: 4,
    clock: '13:20',
    activities: ['long-hike'],
    needed: 0,
    promised: 0,
    unit: 'in',
    items: [
      {
        family: 'H01',
        way: 'stock',
        choice: walkingY(['Gull']),
        rounds: [
          {
            label: 'Gull',
            after: 35,
            seen: [['under-every-strap', 'slack', 'fails', '1 finger']],
            symptoms: [['S26', 0]],
          },
          {
            label: 'Gull',
            after: 50,
            changed: 'Girth strap let out on both sides',
            seen: [
              ['y-on-breastbone', 'slack', 'holds', '-1/4'],
              ['y-on-breastbone', 'pulling', 'holds', '0'],
              ['top-at-withers', 'slack', 'holds'],
              ['blade-free', 'moving', 'holds'],
              ['girth-strap-behind-elbow', 'slack', 'holds', '2 1/2 fingers'],
              ['girth-strap-on-rib', 'slack', 'holds'],
              ['under-every-strap', 'slack', 'holds', '2 fingers'],
              ['no-sway', 'slack', 'holds'],
              ['sides-equal', 'slack', 'holds'],
              ['throat-and-belly-clear', 'slack', 'holds'],
              ['throat-and-belly-clear', 'pulling', 'holds'],
            ],
          },
        ],
      },
    ],
    readings: [
      { measure: 'M01', typed: '9 1/4', one: true },
      { measure: 'M01', typed: '9 3/8', one: true },
      { measure: 'M06', typed: '9 1/8' },
      { measure: 'M06', typed: '8 7/8', struck: 'Dog dropped its head' },
      { measure: 'M06', typed: '9 1/4' },
      { measure: 'M07', typed: '23 7/8' },
      { measure: 'M07', typed: '24 1/8' },
    ],
  },
  {
    dog: 'pebble',
    daysAgo: 8,
    clock: '10:45',
    activities: ['stroll'],
    needed: 4,
    promised: -1,
    unit: 'cm',
    items: [
      {
        family: 'H01',
        way: 'stock',
        choice: walkingY(['Wren']),
        rounds: [
          {
            label: 'Wren',
            after: 25,
            seen: [
              ['y-on-breastbone', 'slack', 'holds', '-0,5 cm'],
              ['girth-strap-behind-elbow', 'slack', 'fails', '1 finger'],
              ['under-every-strap', 'slack', 'holds', '2 fingers'],
            ],
            symptoms: [['S28', 0]],
          },
        ],
      },
    ],
    readings: [
      { measure: 'M01', typed: '16,5', one: true },
      { measure: 'M01', typed: '16,3', one: true },
      { measure: 'M06', typed: '14,5' },
      { measure: 'M06', typed: '14,2' },
      { measure: 'M07', typed: '42,5' },
      { measure: 'M07', typed: '43' },
    ],
  },
  {
    dog: 'harebell',
    daysAgo: 1,
    clock: '12:10',
    activities: ['stroll', 'beside-runner'],
    needed: 16,
    promised: 8,
    unit: 'cm',
    items: [{ family: 'H01', way: 'undecided' }],
    readings: [
      { measure: 'M01', typed: '21', one: true },
      { measure: 'M01', typed: '22,5', one: true },
      { measure: 'M06', typed: '22,5' },
      { measure: 'M06', typed: '22,2' },
    ],
  },
  {
    dog: 'sextant',
    daysAgo: 0,
    clock: '09:05',
    activities: ['stroll', 'bike-front'],
    needed: 61,
    promised: 10,
    unit: 'cm',
    items: [
      { family: 'H01', way: 'stock' },
      { family: 'H11', way: 'made', school: 'B' },
    ],
    readings: [
      { measure: 'M01', typed: '28,5', one: true },
      { measure: 'M06', typed: '28,2' },
      { measure: 'M06', typed: '28,5' },
    ],
  },
  {
    dog: 'thrift',
    daysAgo: 41,
    clock: '11:30',
    activities: ['long-hike'],
    unit: 'in',
    closed: true,
    nextLook: 20,
    items: [
      {
        family: 'H01',
        way: 'stock',
        choice: walkingY(['Gull']),
        rounds: [
          {
            label: 'Gull',
            after: 20,
            seen: [
              ['y-on-breastbone', 'slack', 'holds', '-1/8'],
              ['y-on-breastbone', 'pulling', 'holds', '0'],
              ['top-at-withers', 'slack', 'holds'],
              ['blade-free', 'moving', 'holds'],
              ['girth-strap-behind-elbow', 'slack', 'holds', '2 fingers'],
              ['girth-strap-on-rib', 'slack', 'holds'],
              ['under-every-strap', 'slack', 'holds', '2 fingers'],
              ['no-sway', 'slack', 'holds'],
              ['sides-equal', 'slack', 'holds'],
              ['throat-and-belly-clear', 'slack', 'holds'],
              ['throat-and-belly-clear', 'pulling', 'holds'],
            ],
          },
        ],
      },
    ],
    readings: [
      { measure: 'M01', typed: '9 5/8', one: true },
      { measure: 'M01', typed: '9 3/4', one: true },
      { measure: 'M06', typed: '9' },
      { measure: 'M06', typed: '9 1/8' },
      { measure: 'M07', typed: '24 3/8' },
      { measure: 'M07', typed: '24 5/8' },
    ],
  },
  {
    dog: 'cockle',
    daysAgo: 0,
    clock: '10:00',
    activities: ['stroll'],
    needed: 14,
    promised: 14,
    unit: 'in',
    items: [],
    readings: [],
  },
  {
    dog: 'samphire',
    daysAgo: 2,
    clock: '17:05',
    activities: ['stroll', 'long-hike'],
    needed: 18,
    promised: 9,
    unit: 'cm',
    items: [{ family: 'H01', way: 'made' }],
    readings: [
      { measure: 'M01', typed: '18,8', one: true },
      { measure: 'M01', typed: '18,6', one: true },
      { measure: 'M06', typed: '18' },
      { measure: 'M06', typed: '17,7' },
      { measure: 'M07', typed: '46' },
      { measure: 'M07', typed: '46,5' },
    ],
  },
  {
    dog: null,
    daysAgo: 0,
    clock: '10:35',
    activities: [],
    unit: 'in',
    items: [{ family: 'H01', way: 'stock' }],
    readings: [{ measure: 'M07', typed: '27 1/4' }],
    notes: 'Off the noon ferry, grey dog, waits outside.',
  },
  // Boots: four paws, each its own; one hind paw still to take.
  {
    dog: 'thrift',
    daysAgo: 1,
    clock: '13:20',
    activities: ['long-hike'],
    needed: 16,
    promised: 7,
    unit: 'cm',
    items: [{ family: 'B2', way: 'stock' }],
    readings: [
      ...paw('M32', 'front-left', '6,1', '6,2'),
      ...paw('M33', 'front-left', '7,4', '7,3'),
      ...paw('M32', 'front-right', '6,2', '6,1'),
      ...paw('M33', 'front-right', '7,3', '7,4'),
      ...paw('M34', 'rear-left', '5,6', '5,7'),
      ...paw('M35', 'rear-left', '6,8', '6,9'),
    ],
  },
  // A winter coat ordered by mail: numbers under the sender's own letters wait for an answer.
  {
    dog: 'pebble',
    daysAgo: 2,
    clock: '09:40',
    activities: ['stroll'],
    needed: 44,
    promised: 30,
    unit: 'cm',
    items: [{ family: 'C3', way: 'made' }],
    readings: [{ measure: 'M00', typed: '6,2 kg', with: { method: 'scale' } }],
    asWritten: [
      { letters: 'A–B', asWritten: '38', came: 'mail', wanted: 'M16', remark: 'Tuesday boat; no drawing with it' },
      { letters: 'neck', asWritten: '26,5 cm', came: 'mail', wanted: 'M03', remark: '' },
      { letters: 'length', asWritten: '41', came: 'phone', wanted: null, remark: 'Said over the phone, from where to where not known' },
    ],
  },
  ...spinnaker.tickets,
]
