import type { Acknowledgement, Activity, Dog, DogNoteKind, FamilyId } from '../model/index.ts'

export type CautionCode =
  | 'growing-no-load'
  | 'growing-light-only'
  | 'growing-refit'
  | 'age-unknown'
  | 'flat-face-no-draught'
  | 'flat-face-y-low'
  | 'flat-face-crate'
  | 'flat-face-hood'
  | 'sparing'
  | 'heat'
  | 'humid'
  | 'windpipe'
  | 'soft-tissue'
  | 'first-outings'
  | 'front-clip'
  | 'running-in-front'
  | 'not-for-car'
  | 'tether'
  | 'crate-held-fast'
  | 'carrier-rules'
  | 'crate-no-punishment'
  | 'not-for-draught'
  | 'buy-from-workers'
  | 'unattended'

/** What a stop forbids. Measuring and sizing are never bound; `wear` is the piece itself. */
export type BoundAct = 'load' | 'bike' | 'car' | 'measuring-stress' | 'wear'

/**
 * A `stop` binds an act and needs a reason to overrule; to `confirm` is one line at the moment it matters; a `note` is
 * for the docket and asks for nothing.
 */
export type CautionLevel = 'stop' | 'confirm' | 'note'

export interface Caution {
  code: CautionCode
  level: CautionLevel
  binds: BoundAct[]
  /** Numbers the sentence needs; `family` where it is about one piece. */
  facts: { months?: number; fromMonths?: number; maxC?: number; airC?: number; humidity?: number; family?: FamilyId }
}

export interface CautionSubject {
  dog: Pick<Dog, 'born' | 'ageMonths' | 'ageSaidOn' | 'flatFace' | 'breed' | 'crossWith' | 'sparing' | 'weightKg'> | null
  activities: readonly Activity[]
  families: readonly FamilyId[]
  /** Day the question is asked on, `YYYY-MM-DD`. */
  on: string
  /** Air at the work, degrees Celsius, and its humidity, percent, where they are known. */
  airC?: number | null
  humidity?: number | null
  /** Kinds of the dog's notes that are not over. */
  openNotes?: readonly DogNoteKind[]
  /** The dog pulls, not only goes in front. */
  pulls?: boolean | null
  /** It will ride, in a crate or car, or fly. */
  rides?: boolean
  flies?: boolean
}

/** What names one caution among those of a ticket: a stop of one piece is not that of another. */
export const cautionKey = ({ code, facts }: Pick<Caution, 'code' | 'facts'>): string => (facts.family === undefined ? code : `${code}:${facts.family}`)

/**
 * The newest word on a caution that still counts; `undefined` while it is unread. A word kept under the bare code, as
 * before pieces had stops of their own, stands for the first of that code. A stop is only answered by a word about a stop.
 */
export function readOf(caution: Caution, all: readonly Caution[], acknowledgements: readonly Acknowledgement[]): Acknowledgement | undefined {
  const first = all.find((each) => each.code === caution.code)
  return acknowledgements.findLast(
    (ack) =>
      !ack.struck &&
      (caution.level !== 'stop' || ack.kind === 'stop') &&
      (ack.code === cautionKey(caution) || (ack.code === caution.code && first !== undefined && cautionKey(first) === cautionKey(caution))),
  )
}

/** How a word begins that heeds a stop rather than overrules it. */
export const HEEDED = 'Heeded:'
export const isHeeded = ({ reason }: Pick<Acknowledgement, 'reason'>): boolean => reason.startsWith(HEEDED)
