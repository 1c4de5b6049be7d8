import type { CAR_BUILDS, FamilyId, PullState } from '../model/index.ts'

/**
 * How a check may be answered by a number. `flat`: fingers lying flat under a strap, a count or the strap's slack.
 * `wide`: a distance along the body, in finger widths or a length. `gap`: a signed length, 0 at the landmark.
 */
export type CheckGauge =
  | { kind: 'flat'; passFingers: readonly [number, number]; looseFails: boolean }
  | { kind: 'wide'; passFingers: readonly [number, number]; passMm: readonly [number, number] }
  | { kind: 'gap'; passMm: readonly [number, number]; doubtMm: number }

/** Symptoms of handbook 7.3 by their numbers. */
export const SYMPTOM_IDS = [
  'S01', 'S02', 'S03', 'S04', 'S05', 'S06', 'S07', 'S08', 'S09', 'S10', 'S11', 'S12', 'S13', 'S14', 'S15', 'S16', 'S17', 'S18', 'S19', 'S20', 'S21',
  'S22', 'S23', 'S24', 'S25', 'S26', 'S27', 'S28', 'S29', 'S30', 'S31', 'S32', 'S33', 'S34', 'S35', 'S36', 'S37',
  'S38', 'S39', 'S40', 'S41', 'S42', 'S43', 'S44',
  'S45', 'S46', 'S47', 'S48', 'S49', 'S50',
  'S51', 'S52', 'S53', 'S54', 'S55', 'S56', 'S57', 'S58', 'S59', 'S60', 'S61', 'S62',
  'S63', 'S64', 'S65', 'S66', 'S67', 'S68', 'S69',
  'S70', 'S71', 'S72', 'S73', 'S74',
] as const // prettier-ignore
export type SymptomId = (typeof SYMPTOM_IDS)[number]

/** What a hand can check on a dressed dog, by the names records keep. */
export const CHECK_IDS = [
  'y-on-breastbone',
  'top-at-withers',
  'blade-free',
  'girth-strap-behind-elbow',
  'girth-strap-on-rib',
  'under-every-strap',
  'no-sway',
  'sides-equal',
  'throat-and-belly-clear',
  'pulling-neck',
  'neck-opening-at-withers',
  'v-on-breastbone',
  'sides-on-ribs',
  'clear-of-armpit',
  'tug-at-tail-base',
  'cross-sides-equal',
  'cross-throat-and-belly-clear',
  'end-below-tail',
  'hips-free',
  'ends-mid-back',
  'snap-off-the-back',
  'girth-on-bone',
  'keel-ends-on-bone',
  'breastbone-covered',
  'plate-level',
  'armpit-in-step',
  'ring-on-the-back',
  'plate-wide-end-rear',
  'ring-on-the-chest',
  'collar-link',
  'lead-both-ends',
  'sits-below-neck',
  'girth-and-belly-fingers',
  'belly-strap-behind-ribs',
  'traces-even',
  'cinch-under-traces',
  'fingers-under-cinch',
  'rear-traces-equal',
  'shaft-loops-level',
  'loop-passes-no-stop',
  'bar-off-the-hocks',
  'belly-band-holds',
  'release-drilled',
  'hangs-level',
  'front-eight-fingers',
  'back-one-hand',
  'straps-in-line',
  'centred',
  'neck-not-tight',
  'buckles-tugged',
  'tails-rolled',
  'starts-under-collar',
  'ends-before-tail',
  'band-keeps-it',
  'band-lets-walk',
  'sheath-free',
  'belly-rib',
  'sleeve-at-wrist',
  'drop-at-elbows',
  'band-on-its-ring',
  'hood-over-ears',
  'opening-passes-head',
  'drawn-in',
  'leg-ends-off-toes',
  'hind-room',
  'collar-cord-last',
  'toes-near-the-end',
  'turns-not-by-hand',
  'strap-off-dewclaw',
  'finger-under-strap',
  'stands-in-it',
  'turns-in-it',
  'lies-in-it',
] as const
export type CheckId = (typeof CHECK_IDS)[number]

export type CarBuild = (typeof CAR_BUILDS)[number]

/** What is known of the dog and the piece it wears, as far as checks depend on it. */
export interface WornAbout {
  sex?: 'male' | 'female' | null
  build?: string | null
  /** Has the leg a dewclaw; `null` where nobody looked. */
  dewclaw?: boolean | null
  /** On three legs straps slide to the empty side: its sides are not judged against each other. */
  threeLegs?: boolean
}

export interface Check {
  id: CheckId
  /** The family it was written for. */
  family: FamilyId
  name: string
  /** What to do with the hand, in a sentence. */
  how: string
  /** What is right. */
  pass: string
  /** Slack, pulling or moving: in which state it says something. Answers of one state never count for another. */
  states: readonly PullState[]
  gauge?: CheckGauge
  /** On which dog or build alone it can be: unknown, it is asked all the same. */
  only?: { sex?: 'male'; build?: CarBuild; dewclaw?: true; fourLegs?: true }
  /** Symptoms to look at when it does not hold. */
  symptoms: readonly SymptomId[]
}

/** A adjust, R resize, C change style, P procedure (handbook 7.3). */
export type RemedyKind = 'adjust' | 'resize' | 'change' | 'procedure'

export interface Remedy {
  /** Its name among the remedies of its symptom: records keep it, so it never changes. */
  code: string
  kind: RemedyKind
  do: string
}

/** A symptom as a family's file has it. */
export interface FamilySymptom {
  id: SymptomId
  name: string
  cause: string
  /** Tried from first to last. */
  remedies: readonly Remedy[]
  /** Stop and refit at once. */
  stop?: true
  /** Tolerance or the normal look: noted, no trouble. */
  harmless?: true
}

export interface Symptom extends FamilySymptom {
  /** Families whose files have it. */
  families: readonly FamilyId[]
}

const remedy =
  (kind: RemedyKind) =>
  (code: string, what: string): Remedy => ({ code, kind, do: what })

export const adjust = remedy('adjust')
export const resize = remedy('resize')
export const change = remedy('change')
export const procedure = remedy('procedure')

/** What a miss would do on the dog: the check of handbook 7.2 it endangers and the symptom of 7.3 to expect. */
export interface Danger {
  /** Id of the check where the family has it as a check of its own, else `null`. */
  check: CheckId | null
  symptom: SymptomId
}

/** By measure. `small`: the gear is too small there (the dog lies over the band); `big`: too big. `null`: 7.3 names nothing. */
export type Dangers = Readonly<Record<string, { small: Danger | null; big: Danger | null }>>

export const danger = (symptom: SymptomId, check: CheckId | null = null): Danger => ({ check, symptom })
