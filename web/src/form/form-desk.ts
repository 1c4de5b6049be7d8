import type {
  About,
  Body,
  FamilyId,
  ForetellQuestion,
  Foretold,
  Form,
  FormQuestion,
  FormReading,
  Offer,
  Piece,
  Settled,
  SettleTable,
  SettingPlan,
  ShopFields,
  SizedBody,
  SizeTable,
  StartQuestion,
  WayInQuestion,
  wayIn,
} from '@merry-tailor/core'
import type { Remote } from 'comlink'
import type { CrateBench, CrateBenchQuestion, CratesAsked } from '../workers/crate-offers'
import { deskOf, type Desk } from '../workers/desk'
import type { answers } from '../workers/form-answers'
import type { FormWork } from '../workers/form-worker'

export interface Asked {
  body: Body
  about: About | null
  question: FormQuestion
}

/** Solved forms by what was asked; the newest hundreds stay. */
const solved = new Map<string, FormReading>()
const MOST = 400
const asking = new Set<string>()
/** The newest question of each channel, by its key: one that was cancelled and is wanted again is asked again. */
const wanted = new Map<string, string>()
const listeners = new Set<() => void>()
let turn = 0
type DeskName = 'bench' | 'list'

const made = (): Desk<FormWork> =>
  deskOf<FormWork>(
    () => new Worker(new URL('../workers/form-worker.ts', import.meta.url), { type: 'module' }),
    (work) => void work.warm(),
  )
/** Two workers for the whole page, one for the bench and one for lists. */
const desks: Readonly<Record<DeskName, Desk<FormWork>>> = { bench: made(), list: made() }
/** In the worker, or in place without one: what works in place is only fetched then. */
const beside = <T>(name: DeskName, there: (work: Remote<FormWork>) => Promise<T>, here: (work: typeof answers) => T): Promise<T> =>
  desks[name].beside(there, async () => here((await import('../workers/form-answers')).answers))

const numbers = (body: Body): (string | number)[] =>
  Object.entries(body)
    .filter(([id, value]) => !id.includes('/') && value?.mm != null)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([id, value]) => [id, Math.round((value?.mm ?? 0) * 10), Math.round((value?.sigmaMm ?? 0) * 10)])

/** Everything an answer depends on, as one text. */
export const keyOf = ({ body, about, question }: Asked): string =>
  JSON.stringify([
    numbers(body),
    about,
    question.wanted,
    question.candidates,
    question.asTyped,
    question.earlier?.map((visit) => [visit.daysBefore, visit.weightKg, numbers(visit.body)]),
  ])

export const answerTo = (key: string): FormReading | undefined => solved.get(key)

export function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

function keepAnswer(key: string, answer: FormReading): void {
  solved.delete(key)
  solved.set(key, answer)
  if (solved.size > MOST) solved.delete(solved.keys().next().value ?? '')
  for (const listener of listeners) listener()
}

/** Only what the worker may be told: plain numbers, no places. */
const forTheWorker = (body: Body): Body =>
  Object.fromEntries(
    Object.entries(body)
      .filter(([id]) => !id.includes('/'))
      .map(([id, value]) => [id, { mm: value?.mm ?? null, sigmaMm: value?.sigmaMm ?? null }]),
  )

/**
 * Asks for a form. A newer question on the same channel cancels an older one still waiting; lists ask without a channel
 * and get them all.
 */
export async function ask(key: string, asked: Asked, channel: string | null): Promise<void> {
  if (channel !== null) wanted.set(channel, key)
  if (solved.has(key) || asking.has(key)) return
  asking.add(key)
  turn += 1
  const { about } = asked
  const body = forTheWorker(asked.body)
  const question: FormQuestion = {
    ...asked.question,
    ...(asked.question.earlier ? { earlier: asked.question.earlier.map((visit) => ({ ...visit, body: forTheWorker(visit.body) })) } : {}),
  }
  try {
    const answer = await answered(channel, body, about, question)
    if (answer) keepAnswer(key, answer)
    asking.delete(key)
    if (!answer && channel !== null && wanted.get(channel) === key) await ask(key, asked, channel)
  } finally {
    asking.delete(key)
  }
}

/** Lists have a worker of their own: the bench's question never waits behind a hundred outlines. */
const answered = (channel: string | null, body: Body, about: About | null, question: FormQuestion): Promise<FormReading | null> =>
  beside<FormReading | null>(
    channel === null ? 'list' : 'bench',
    (work) => work.readForm(channel ?? `list ${turn}`, turn, body, about, question),
    (work) => work.readForm(body, about, question),
  )

export interface RankQuestion {
  tables: readonly SizeTable[]
  body: SizedBody
  families: readonly FamilyId[]
  views: ShopFields['views']
  pieces?: readonly Piece[]
  labelTables?: readonly SizeTable[]
  growing?: boolean
  /** What a growing dog will be grown; `null` where nobody knows, left out for a grown one. */
  grown?: SizedBody | null
  /** Of the dog a crate is for, grown where it grows. */
  crateForm?: Form | null
  /** Insides of crates somebody measured, by label. */
  insides?: CratesAsked['insides']
}

const plainSizes = (body: SizedBody): SizedBody =>
  Object.fromEntries(
    Object.entries(body).map(([id, value]) => [id, { mm: value?.mm ?? null, sigmaMm: value?.sigmaMm ?? null, ...(value?.guess ? { guess: true } : {}) }]),
  )

export interface SettleQuestion {
  table: SettleTable
  body: SizedBody
  form: Form | null
  views: ShopFields['views']
  growing: boolean
}

/** What would settle the doubt between the sizes of one table, in the worker, or in place without one. */
export async function settleBeside({ table, body, form, views, growing }: SettleQuestion): Promise<Settled> {
  const sized = plainSizes(body)
  const { sizes, family, between, rules } = table
  const judged: SettleTable = { sizes, family, between, ...(rules ? { rules } : {}) }
  return beside(
    'bench',
    (work) => work.settle(judged, sized, form, views, growing),
    (work) => work.settle(judged, sized, form, views, growing),
  )
}

/** Ranks all tables in the worker, or in place without one. */
export async function rankBeside({
  tables,
  body,
  families,
  views,
  pieces = [],
  labelTables = tables,
  growing = false,
  grown,
  crateForm = null,
  insides = {},
}: RankQuestion): Promise<Offer[]> {
  const sized = plainSizes(body)
  const crates: CratesAsked = { families, form: crateForm, insides, ...(grown === undefined ? {} : { grown: grown && plainSizes(grown) }) }
  const options = { families, views, growing, pieces, labelTables }
  return beside(
    'bench',
    (work) => work.rankAll(tables, sized, options, crates),
    (work) => work.rankAll(tables, sized, options, crates),
  )
}

/**
 * Foretells one or more things on a dog, in the worker, or in place without one.
 *
 * @param channel a newer question on it cancels an older one still waiting
 * @returns one answer a question, `null` where nothing is known of it; `null` for all when it was cancelled
 */
export async function foretellBeside(channel: string, questions: readonly ForetellQuestion[]): Promise<(Foretold | null)[] | null> {
  turn += 1
  const mine = turn
  return beside<(Foretold | null)[] | null>(
    'bench',
    (work) => work.foretell(channel, mine, questions),
    (work) => work.foretell(questions),
  )
}

/** The series of crates against one dog, in the worker, or in place without one. */
export const cratesBeside = (question: CrateBenchQuestion): Promise<CrateBench> =>
  beside(
    'bench',
    (work) => work.crates(question),
    (work) => work.crates(question),
  )

/** A way to bring a box in, in the worker, or in place without one. */
export const wayInBeside = (question: WayInQuestion): Promise<ReturnType<typeof wayIn>> =>
  beside(
    'list',
    (work) => work.wayIn(question),
    (work) => work.wayIn(question),
  )

/** Where to set the straps before it is put on, in the worker, or in place without one. */
export const startBeside = (question: StartQuestion): Promise<SettingPlan> =>
  beside(
    'bench',
    (work) => work.settingPlan(question),
    (work) => work.settingPlan(question),
  )

/** Starts the worker while the page is still being drawn: its tables are ready before the first dog. */
export const prepareForms = (): void => void desks.bench.prepare()
