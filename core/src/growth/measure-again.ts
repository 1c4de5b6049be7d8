import { differenceInCalendarDays, parseISO } from 'date-fns'
import { ageInMonths, grownMonths } from '../reference/index.ts'
import { families } from '../gear/index.ts'
import type { Activity, Dog, DogNote, FamilyId, School } from '../model/index.ts'

/** What is remembered of one dog, enough to say whether its tapes still hold. */
export interface MeasuredRecord {
  born: string | null
  /** Age in months on `ageSaidOn` where no birth date is known. */
  ageMonths: number | null
  ageSaidOn: string | null
  /** What it may grow to. */
  breed?: string
  crossWith?: string
  sex?: Dog['sex']
  /** Day of the newest reading that counts; `null` when the dog was never measured. */
  measuredOn: string | null
  /** Weight at the newest measuring and the newest weight known, kg. */
  weightThenKg: number | null
  weightNowKg: number | null
  notes: readonly Pick<DogNote, 'kind' | 'on' | 'over'>[]
  /** Symptoms seen on the dog after the newest measuring. */
  symptoms: readonly string[]
  worn: readonly FamilyId[]
  /** Activities, schools and makers measured for, and asked for since. */
  measuredFor: { activities: readonly Activity[]; schools: readonly School[]; makers: readonly string[] }
  askedSince: { activities: readonly Activity[]; schools: readonly School[]; makers: readonly string[] }
}

/** Why a dog is to be measured again; `now` before the gear is used again, `soon` at the next chance. */
export interface AgainReason {
  code:
    | 'growing'
    | 'weight'
    | 'tug-past-tail'
    | 'chafe'
    | 'cough'
    | 'gait'
    | 'refuses-gear'
    | 'season'
    | 'whelped'
    | 'neutered'
    | 'surgery'
    | 'lay-off'
    | 'coat-change'
    | 'new-sport'
    | 'new-school'
    | 'new-maker'
  urgency: 'now' | 'soon'
  /** Day since when it holds, `YYYY-MM-DD`. */
  since: string
  facts: { days?: number; months?: number; byShare?: number; fromKg?: number; toKg?: number }
}

/** A dog whose tapes may no longer hold, and why; the most urgent reason first. */
export interface Reminder {
  dogId: string
  dog: string
  measuredOn: string
  reasons: AgainReason[]
}

/** A dog expected back: the next look that was agreed. */
export interface ComingBack {
  ticketId: string
  number: number
  dogId: string | null
  dog: string
  on: string
  state: 'open' | 'closed'
}

/** Weeks between measurings of a growing dog. Source: handbook 4.8, from memory, unverified. */
const PUPPY_DAYS = 28
const YOUNG_DAYS = 31
const PUPPY_MONTHS = 6
/** Weight change that counts. Source: handbook 4.8, from memory, unverified. */
const PULLING_SHARE = 0.05
const COAT_SHARE = 0.1
/** The pulling season begins on 1 September where this shop is. From memory, unverified. */
const SEASON = '-09-01'

/** Events after which a dog is measured anew, and signs at the dog (handbook 4.8). */
const EVENTS = ['whelped', 'neutered', 'surgery', 'lay-off', 'coat-change'] as const
const SIGNS = ['chafe', 'cough', 'gait', 'refuses-gear'] as const
/** End past the tail and V below the lump: the slimmed dog's pattern (handbook V50). */
const SLIMMED = new Set(['S06', 'S02'])
const CHAFES = new Set(['S18', 'S37', 'S10'])
const COUGHS = new Set(['S01', 'S23'])

/** Nobody measures a dog with stitches or in whelp for a reminder's sake (handbook 5.6). */
const SPARED = new Set(['stitches', 'pregnant'])

const news = <T>(since: readonly T[], before: readonly T[]): boolean => before.length > 0 && since.some((each) => !before.includes(each))

/**
 * The triggers of handbook 4.8 that hold for one dog on one day, most urgent first. Growth, weight, symptoms and new
 * sport are common practice; the intervals and shares from memory, unverified.
 *
 * @param on the day asked, `YYYY-MM-DD`
 */
export function measureAgain(record: MeasuredRecord, on: string): AgainReason[] {
  const { measuredOn } = record
  if (measuredOn === null) return []
  const open = (note: Pick<DogNote, 'kind' | 'on' | 'over'>): boolean => note.on <= on && (note.over === null || note.over > on)
  if (record.notes.some((note) => SPARED.has(note.kind) && open(note))) return []

  const reasons: AgainReason[] = []
  const days = differenceInCalendarDays(parseISO(on), parseISO(measuredOn))
  const months = record.born || record.ageSaidOn ? ageInMonths(record, on) : null
  if (months !== null && months < grownMonths({ ...record, weightKg: record.weightNowKg })) {
    const every = months < PUPPY_MONTHS ? PUPPY_DAYS : YOUNG_DAYS
    if (days >= every) reasons.push({ code: 'growing', urgency: months < PUPPY_MONTHS ? 'now' : 'soon', since: measuredOn, facts: { days, months } })
  }

  const [then, now] = [record.weightThenKg, record.weightNowKg]
  if (then && now) {
    const share = Math.abs(now - then) / then
    const pulling = record.worn.length === 0 || record.worn.some((family) => families[family].shelf !== 'coat')
    if (share >= (pulling ? PULLING_SHARE : COAT_SHARE) - 1e-9) {
      reasons.push({ code: 'weight', urgency: 'now', since: measuredOn, facts: { byShare: share, fromKg: then, toKg: now } })
    }
  }

  const seen = (codes: ReadonlySet<string>): boolean => record.symptoms.some((symptom) => codes.has(symptom))
  if (seen(SLIMMED)) reasons.push({ code: 'tug-past-tail', urgency: 'now', since: measuredOn, facts: {} })
  if (seen(CHAFES)) reasons.push({ code: 'chafe', urgency: 'now', since: measuredOn, facts: {} })
  if (seen(COUGHS)) reasons.push({ code: 'cough', urgency: 'now', since: measuredOn, facts: {} })
  for (const note of record.notes) {
    if (note.on <= measuredOn || note.on > on) continue
    const sign = SIGNS.find((kind) => kind === note.kind)
    const event = EVENTS.find((kind) => kind === note.kind)
    const code = sign ?? event
    if (code && !reasons.some((reason) => reason.code === code)) reasons.push({ code, urgency: sign ? 'now' : 'soon', since: note.on, facts: {} })
  }

  const season = on.slice(5) >= SEASON.slice(1) ? `${on.slice(0, 4)}${SEASON}` : `${Number(on.slice(0, 4)) - 1}${SEASON}`
  const pulls = record.worn.some((family) => families[family].pulls)
  if (pulls && measuredOn < season) reasons.push({ code: 'season', urgency: 'soon', since: season, facts: { days } })

  if (news(record.askedSince.activities, record.measuredFor.activities)) reasons.push({ code: 'new-sport', urgency: 'soon', since: measuredOn, facts: {} })
  if (news(record.askedSince.schools, record.measuredFor.schools)) reasons.push({ code: 'new-school', urgency: 'soon', since: measuredOn, facts: {} })
  if (news(record.askedSince.makers, record.measuredFor.makers)) reasons.push({ code: 'new-maker', urgency: 'soon', since: measuredOn, facts: {} })

  return reasons.sort((a, b) => Number(b.urgency === 'now') - Number(a.urgency === 'now'))
}
