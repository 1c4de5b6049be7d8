import type { Form } from '../form/index.ts'
import type { HitchBand, Suits } from '../gear/index.ts'
import type { Activity, Dog, FamilyId, Footing, Need } from '../model/index.ts'
import { bootsFor } from './boots-for.ts'
import type { CautionCode } from './caution.ts'
import { chooseStyles, type RankedStyle, type StyleOptions, type StyleReason } from './choose-styles.ts'
import { coatsFor } from './coats-for.ts'
import { cratesFor } from './crates-for.ts'
import { rankOrder, worseRank, type GearReason, type RankedGear } from './ranked-gear.ts'

/** One job of the ticket: work of table 5.3, or what the dog needs beside it. */
export type Job = Activity | Need

/** A kind of gear for this dog and all it will do, whatever its shelf. */
export interface Suggestion {
  family: FamilyId
  rank: Suits
  /** The jobs it is for: where it is a first choice, works, or does under conditions. */
  jobs: Job[]
  when?: string
  reasons: { code: StyleReason | GearReason; for: boolean }[]
  stops: CautionCode[]
}

export interface GearQuestion {
  dog: Dog | null
  activities: readonly Activity[]
  needs: readonly Need[]
  footing: readonly Footing[]
  /** One piece for all its work. */
  oneForAll?: boolean | null
  hitch: HitchBand | null
  form?: Form | null
  options: StyleOptions
}

const GOOD: readonly Suits[] = ['first', 'works', 'conditions']
const uniq = <T extends { code: string }>(reasons: readonly T[]): T[] =>
  reasons.filter((each, i) => reasons.findIndex((other) => other.code === each.code) === i)

const fromGear = (job: readonly Job[], ranked: readonly RankedGear[]): Suggestion[] =>
  ranked.map((each) => ({ ...each, jobs: GOOD.includes(each.rank) ? [...job] : [] }))

/** Harnesses over all the work: each as good as on its best job, or, where one piece is to do all, as on its worst. */
function harnesses({ dog, activities, oneForAll = null, hitch, form = null, options }: GearQuestion): Suggestion[] {
  const byFamily = new Map<FamilyId, Suggestion>()
  for (const purpose of activities) {
    const also = oneForAll === true ? activities : []
    for (const style of chooseStyles({ dog, purpose, also, hitch, form, options })) {
      const known = byFamily.get(style.family)
      byFamily.set(style.family, known ? joined(known, style, purpose, oneForAll === true) : { ...style, jobs: GOOD.includes(style.rank) ? [purpose] : [] })
    }
  }
  return [...byFamily.values()]
}

function joined(known: Suggestion, style: RankedStyle, purpose: Activity, all: boolean): Suggestion {
  const good = GOOD.includes(style.rank)
  const better = rankOrder(style.rank) < rankOrder(known.rank)
  const rank = all ? worseRank(known.rank, style.rank) : better ? style.rank : known.rank
  const when = rank === style.rank ? style.when : known.when
  const { when: _, ...rest } = known
  return {
    ...rest,
    rank,
    ...(when === undefined ? {} : { when }),
    jobs: good ? [...known.jobs, purpose] : known.jobs,
    reasons: uniq([...known.reasons, ...style.reasons]),
    // What stops one of its jobs stands beside it; work it is wrong for anyway is not its own stop.
    stops: good ? [...new Set([...(known.jobs.length > 0 ? known.stops : []), ...style.stops])] : known.stops,
  }
}

/**
 * What suits this dog and all it will do, harnesses, coats, boots and crates alike: best first, so that each job has its
 * best kind before any job has a second. What is wrong or pointless for all of it stands last.
 */
export function gearFor(question: GearQuestion): Suggestion[] {
  const { dog, activities, needs, footing, options } = question
  const about = (wanted: readonly Need[]): Need[] => needs.filter((need) => wanted.includes(need))
  const [wear, stay] = [about(['dry', 'warm']), about(['ride', 'fly', 'home'])]
  const headShy = options.headShy === true
  const all: Suggestion[] = [
    ...harnesses({ ...question, activities: needs.includes('ride') && !activities.includes('car') ? [...activities, 'car'] : activities }),
    ...(wear.length === 0 ? [] : fromGear(wear, coatsFor({ dog, needs: wear, on: options.on, airC: options.airC ?? null, headShy }))),
    ...(needs.includes('paws') && footing.length > 0 ? fromGear(['paws'], bootsFor({ footing })) : []),
    ...(stay.length === 0
      ? []
      : fromGear(stay, cratesFor({ dog, needs: stay, on: options.on, chews: options.chews === true, backsOut: options.backsOut === true }))),
  ]
  const weight = ({ reasons }: Suggestion): number => reasons.reduce((sum, reason) => sum + (reason.code === 'purpose' ? 0 : reason.for ? 1 : -1), 0)
  const order = (a: Suggestion, b: Suggestion): number =>
    rankOrder(a.rank) - rankOrder(b.rank) || a.stops.length - b.stops.length || b.jobs.length - a.jobs.length || weight(b) - weight(a)
  const left = [...all].sort(order)
  const led: Suggestion[] = []
  for (const job of [...activities, ...needs]) {
    if (led.some((each) => each.jobs.includes(job))) continue
    const best = left.find((each) => each.jobs.includes(job))
    if (!best) continue
    led.push(best)
    left.splice(left.indexOf(best), 1)
  }
  return [...led, ...left]
}
