import type { Form } from '../form/index.ts'
import type { FamilyId, ShopFields, SizeTable } from '../model/index.ts'
import { rankTables, type RankedTable } from './rank-tables.ts'
import { withGuesses, type SizedBody } from './sized-body.ts'

export interface RankAllOptions {
  /** Families that suit the dog and its work; without it every table is judged. */
  families?: readonly FamilyId[]
  /** Sides the shop takes (handbook 13). */
  views?: ShopFields['views']
}

/**
 * Every size of every table of the suitable families against one dog, on every part the tables size by. What was not
 * read is taken from the dog's form and marked as a guess. The answer does not depend on the order of the tables.
 *
 * @param body agreed values, mm, with their standard deviations
 * @param form the dog's form; `null`: measures not read stay unknown
 */
export function rankAll(
  tables: readonly SizeTable[],
  body: SizedBody,
  form: Pick<Form, 'measures'> | null,
  { families, views }: RankAllOptions = {},
): RankedTable[] {
  const serving = families ? tables.filter((table) => families.includes(table.family)) : tables
  return rankTables(serving, withGuesses(body, form), views)
}
