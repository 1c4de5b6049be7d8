import {
  foretellOrNull,
  rankAll,
  settleByForm,
  settingPlan,
  readForm,
  typicalForm,
  wayIn,
  type WayInQuestion,
  type About,
  type Body,
  type FormQuestion,
  type Foretold,
  type Form,
  type FormReading,
  type ForetellQuestion,
  type StartQuestion,
  type SettingPlan,
  type Settled,
  type SettleTable,
  type ShopFields,
  type RankAllOptions,
  type Offer,
  type SizedBody,
  type SizeTable,
} from '@merry-tailor/core'
import { crateBench, crateOffers, type CrateBench, type CrateBenchQuestion, type CratesAsked } from './crate-offers'
import { expose } from 'comlink'

/** The newest question of each channel; an older one still waiting is dropped. */
const newest = new Map<string, number>()

/** Lets messages that wait come in before the work begins, so that a newer question can cancel this one. */
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done, 0))

/** Solves forms beside the page, so that a keystroke never waits. */
const work = {
  /** @returns `null` when a newer question of the same channel came in meanwhile */
  async readForm(channel: string, turn: number, body: Body, about: About | null, question: FormQuestion): Promise<FormReading | null> {
    newest.set(channel, Math.max(turn, newest.get(channel) ?? 0))
    await breathe()
    if (newest.get(channel) !== turn) return null
    return readForm(body, about, question)
  },
  /** Every size of every table, and the crates of the usual series, against one dog. */
  rankAll(tables: readonly SizeTable[], body: SizedBody, options: RankAllOptions, crates: CratesAsked): Offer[] {
    return rankAll(tables, body, null, { ...options, offers: crateOffers(body, crates) })
  },
  /** The series of crates against one dog. */
  crates(question: CrateBenchQuestion): CrateBench {
    return crateBench(question)
  },
  /** A way to bring a box in. */
  wayIn(question: WayInQuestion): ReturnType<typeof wayIn> {
    return wayIn(question)
  },
  /** What would settle the doubt between the sizes of one table. */
  settle(table: SettleTable, body: SizedBody, form: Form | null, views: ShopFields['views'], growing: boolean): Settled {
    return settleByForm(table, body, form, views, growing)
  },
  /** Where gear would lie on a dog and what its checks would show; a newer question of the same channel cancels it. */
  async foretell(channel: string, turn: number, questions: readonly ForetellQuestion[]): Promise<(Foretold | null)[] | null> {
    newest.set(channel, Math.max(turn, newest.get(channel) ?? 0))
    await breathe()
    if (newest.get(channel) !== turn) return null
    return questions.map(foretellOrNull)
  },
  /** Where to set the straps before it is put on. */
  settingPlan(question: StartQuestion): SettingPlan {
    return settingPlan(question)
  },
  /** Sets the tables up that the first solve needs. */
  warm(): void {
    typicalForm(null)
    readForm({}, null)
  },
}
export type FormWork = typeof work
expose(work)
