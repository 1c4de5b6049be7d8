import type { Offer, SizedBody } from '@merry-tailor/core'
import { rankBeside, type RankQuestion } from './form-desk'

/** Rankings by what was asked: those of one ticket's items in a few states of its tapes. */
const answers = new Map<string, Promise<Offer[]>>()
const there = new Map<string, Offer[]>()
const MOST = 24

/** Lists that came from the server are told apart by being another list. */
const names = new WeakMap<object, number>()
let named = 0
function nameOf(list: object | null | undefined): number | null {
  if (!list) return null
  let name = names.get(list)
  if (name === undefined) names.set(list, (name = named += 1))
  return name
}

const numbers = (body: SizedBody | null | undefined): unknown =>
  body && Object.entries(body).map(([id, value]) => [id, value?.mm ?? null, value?.sigmaMm ?? null, value?.guess === true])

/** Everything a ranking depends on, as one text. */
export const rankKey = ({ tables, labelTables, body, families, views, pieces, growing, grown, crateForm, insides }: RankQuestion): string =>
  JSON.stringify([
    tables.map(({ id, version }) => `${id} ${version}`),
    nameOf(labelTables),
    numbers(body),
    families,
    views,
    nameOf(pieces),
    growing,
    grown === undefined ? 'grown' : numbers(grown),
    nameOf(crateForm),
    insides,
  ])

/** The newest ranking of each ticket's item, whatever its tapes said then. */
const newest = new Map<string, Offer[]>()

/** The ranking of a key that is there already; else the item's last, which stays in sight until the new one is there. */
export function rankedBefore(key: string, item: string): { offers: Offer[]; fresh: boolean } | null {
  const [exact, last] = [there.get(key), newest.get(item)]
  return exact ? { offers: exact, fresh: true } : last ? { offers: last, fresh: false } : null
}

/** Ranks once for everybody who asks the same; what failed is asked again. */
export function rankOnce(key: string, item: string, question: RankQuestion): Promise<Offer[]> {
  const before = answers.get(key)
  if (before) return before
  const answer = rankBeside(question).then((offers) => {
    there.set(key, offers)
    newest.delete(item)
    newest.set(item, offers)
    if (newest.size > MOST) newest.delete(newest.keys().next().value ?? '')
    return offers
  })
  answers.set(key, answer)
  answer.catch(() => answers.delete(key))
  for (const old of [...answers.keys()].slice(0, Math.max(0, answers.size - MOST))) {
    answers.delete(old)
    there.delete(old)
  }
  return answer
}
