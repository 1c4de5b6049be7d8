import {
  foretellOrNull,
  rankAll,
  readForm,
  settleByForm,
  settingPlan,
  wayIn,
  type ForetellQuestion,
  type Foretold,
  type Form,
  type Offer,
  type RankAllOptions,
  type Settled,
  type SettleTable,
  type ShopFields,
  type SizedBody,
  type SizeTable,
} from '@merry-tailor/core'
import { crateBench, crateOffers, type CratesAsked } from './crate-offers'

/** What is asked of a worker beside the page; where there is none it is fetched and answered in place. */
export const answers = {
  readForm,
  wayIn,
  settingPlan,
  /** The series of crates against one dog. */
  crates: crateBench,
  /** Every size of every table, and the crates of the usual series, against one dog. */
  rankAll: (tables: readonly SizeTable[], body: SizedBody, options: RankAllOptions, crates: CratesAsked): Offer[] =>
    rankAll(tables, body, null, { ...options, offers: crateOffers(body, crates) }),
  /** What would settle the doubt between the sizes of one table. */
  settle: (table: SettleTable, body: SizedBody, form: Form | null, views: ShopFields['views'], growing: boolean): Settled =>
    settleByForm(table, body, form, views, growing),
  /** Where gear would lie on a dog and what its checks would show. */
  foretell: (questions: readonly ForetellQuestion[]): (Foretold | null)[] => questions.map(foretellOrNull),
}
