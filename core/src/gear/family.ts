import { ACTIVITIES, type Activity, type FamilyId, type DisagreementId, type MeasureId } from '../model/index.ts'
import type { CarBuild, Check, Dangers, FamilySymptom } from './checks-and-symptoms.ts'
import type { Dressing } from './dressing-steps.ts'
import { FAMILY_NAMES } from './family-names.ts'
import type { StrapRig } from './rig.ts'
import type { StrapGraph } from './strap-graph.ts'
import type { Suit, Suits } from './suits.ts'
import type { WantedTapes } from './wanted-tapes.ts'

/** What shelf an item stands on. */
export type Shelf = 'walking' | 'pulling' | 'drafting' | 'car' | 'coat' | 'boot' | 'crate'

/**
 * What families share by name. `full-length`: tapes and schools of a whole pulling body. `ends-at-tail`: the same that end
 * at the tail base, with their checks and their line. `over-the-head`: dressed over the head (handbook 8.4).
 */
export type Kin = 'full-length' | 'ends-at-tail' | 'over-the-head'

/** Where along the back a harness lets the pull leave. */
export type PullPlace = 'withers' | 'mid-back' | 'tail-base' | 'below-tail' | 'side-ring' | 'bar-eye' | 'chest-ring'

/** Which kind of harness stands a line's angle. */
export type HitchBand = 'wheel' | 'full-length' | 'half-back' | 'too-steep'

/** What to do between two sizes, and why. `room`: the size in which the value lies nearer the middle. */
export interface BetweenSizes {
  rule: 'down' | 'up' | 'room'
  because:
    | 'seats-under-tension'
    | 'adjuster-middle'
    | 'room-both-ways'
    | 'plate-clears-armpit'
    | 'cords-do-the-rest'
    | 'must-pass-the-head'
    | 'grows-into-it'
    | 'width-decides'
    | 'cloth-gives'
    | 'larger-ring'
    | 'stand-turn-lie'
}

/** A way of going, a body or a temper that speaks for a family or against it (handbook 5.4, 6.4). */
export type Meets =
  | 'crabs'
  | 'swings'
  | 'flexes'
  | 'near-the-load'
  | 'deep-narrow-chest'
  | 'short-back-thick-neck'
  | 'tucked-up'
  | 'three-legs'
  | 'wriggles'
  | 'chews'
  | 'thick-coat'
  | 'backs-out'

/** What one side of a disagreement (handbook 13) says of a family; `never` makes it wrong, not only conditional. */
export type SideSays = 'for' | 'against' | 'never'

/** All the house knows of one family. */
export interface FamilyFile {
  id: FamilyId
  shelf: Shelf
  /** Its build in one line. */
  build: string
  /** Handbook 5.4 and 5.5: why right, why wrong, in a sentence each. */
  right: string
  wrong: string
  kin: readonly Kin[]
  /** Handbook 5.3: what it suits, and when. An activity not named is pointless in it. */
  suits: Readonly<Partial<Record<Activity, Suit>>>
  /** The puppy and flat-face columns of 5.3: at best so on such a dog; `null` where nobody asks. */
  puppy: Suit | null
  flatFace: Suit | null
  meets: Readonly<Partial<Record<Meets, 'for' | 'against'>>>
  sides: Readonly<Partial<Record<DisagreementId, Readonly<Partial<Record<'A' | 'B', SideSays>>>>>>
  tapes: WantedTapes
  /** Measures in the order in which they win (handbook 6.3). */
  decides: readonly MeasureId[]
  between: BetweenSizes
  /** The same for a dog that still grows, where it differs. */
  betweenGrowing?: BetweenSizes
  /** Its parts: straps, rings and sliders, and where they run. */
  parts: StrapGraph
  /** The straps that decide where it lies on a dog; none on coats, boots and crates. */
  rig?: StrapRig
  /** What a hand checks on the dressed dog (handbook 7.2), in the order a hand makes it. */
  checks: readonly Check[]
  /** What can show on it (handbook 7.3). */
  symptoms: readonly FamilySymptom[]
  /** What a miss on a measure does. */
  dangers: Dangers
  /** Where the pull leaves (handbook 8.6), and the line it is made for; `null` where none is known. */
  pull: PullPlace | null
  line: HitchBand | null
  /** The opening for the head: sewn, set at the dog, or none; `null` where there is nothing to say. */
  head: 'fixed' | 'set' | 'none' | null
  /** How it goes on, off and is set (handbook 8.2, 8.4); of another build where that goes on otherwise. */
  dressing: Dressing
  dressingOfBuild?: Readonly<Partial<Record<CarBuild, Dressing>>>
}

export interface Family extends FamilyFile {
  name: string
  /** Bears a load: binds the cautions about growing bones, heat and flat faces. */
  pulls: boolean
  /** The rank by activity, every one named. */
  activities: Readonly<Record<Activity, Suits>>
}

/** A family from its file. */
export const family = (file: FamilyFile): Family => ({
  ...file,
  name: FAMILY_NAMES[file.id],
  pulls: file.shelf === 'pulling' || file.shelf === 'drafting',
  activities: Object.fromEntries(ACTIVITIES.map((activity) => [activity, file.suits[activity]?.rank ?? 'pointless'])) as Record<Activity, Suits>,
})
