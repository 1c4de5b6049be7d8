import type {
  GarmentPlan,
  Acknowledgement,
  Activity,
  DogFields,
  DogNoteKind,
  FamilyId,
  ItemWay,
  LengthUnit,
  MeasureId,
  NewAsWritten,
  NewObservation,
  NewReading,
  Outing,
  PairSetUp,
  School,
  SetUp,
  SetUpLoad,
  TeamPlace,
  Trait,
} from '@merry-tailor/core'

/** How the demonstration is told: people, dogs, tickets and notes as data, in the words and units of the bench. */
export interface OwnerStory {
  key: string
  name: string
  contact: string
  notes?: string
}

export type DogStory = { key: string; owner: string; ageDays: number } & Pick<DogFields, 'name'> & Partial<Omit<DogFields, 'name' | 'born' | 'ownerId'>>

/** Measure and how it was typed; `one` side is as taken. `struck` gives the reason. */
export interface ReadingStory {
  measure: MeasureId
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
  /** Straps set before it: part, side, and how long as typed. */
  set?: [strap: string, side: 'left' | 'right' | 'both', typed: string][]
  /** Answers; `as-foretold`: made up about what was foretold, as often right as the shop's are. */
  seen: [check: string, state: NewObservation['state'], grade: NewObservation['grade'], typed?: string][] | 'as-foretold'
  symptoms?: [id: string, remedy: string | null][]
}

export interface ItemStory {
  family: FamilyId
  way: ItemWay
  school?: School
  /** A piece of the shop's own, by its tag. */
  piece?: string
  /** A crate of the usual series, by its label. */
  crate?: string
  choice?: { table: string; labels: string[]; overruled?: { advised: string; why: string } }
  rounds?: RoundStory[]
  /** How it is cut or knitted, as it was kept. */
  pattern?: GarmentPlan
}

/** What an item draws, as it was locked. */
export interface SetUpStory {
  family: FamilyId
  rig: string
  loads: SetUpLoad[]
  surface: string
  gradePercent: number
  lasts: 'long' | 'short'
  rearMm: { left: number; right: number }
  route?: SetUp['route']
  /** The dog beside, by its key. */
  pair?: Omit<PairSetUp, 'dogId'> & { dog: string }
  minutes: Record<string, number>
  /** Minutes after the ticket’s clock. */
  after: number
}

export interface OutingStory {
  dog: string
  daysAgo: number
  rung: Outing['rung']
  calm: boolean
  loadKg?: number
  minutes: number
  rig?: string
  note?: string
}

export interface TicketStory {
  dog: string | null
  /** Days before today the ticket was opened, and at what time. */
  daysAgo: number
  clock: string
  activities: Activity[]
  traits?: Trait[]
  teamPlace?: TeamPlace
  budget?: number
  airC?: number
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
  setUps?: SetUpStory[]
}

export interface NoteStory {
  dog: string
  kind: DogNoteKind
  text: string
  daysAgo: number
  overDaysAgo?: number
}
