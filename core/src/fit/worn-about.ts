import type { WornAbout } from '../gear/index.ts'
import type { Piece, SizeTable, TicketSheet } from '../model/index.ts'

/**
 * What a ticket knows of its dog that checks depend on: its sex, its legs, and whether any leg read has a dewclaw.
 *
 * @param build of what is worn, where its table or its piece says it
 */
export function wornAbout(
  { dog, readings, ticket, dogNotes = [] }: Pick<TicketSheet, 'dog' | 'readings'> & Partial<Pick<TicketSheet, 'ticket' | 'dogNotes'>>,
  build: string | null = null,
): WornAbout {
  const legs = readings.filter((reading) => reading.measure === 'M37' && !reading.struck && reading.dewclaw !== null)
  const threeLegs = ticket?.traits.includes('three-legs') === true || dogNotes.some((note) => note.over === null && note.kind === 'missing-limb')
  return { sex: dog?.sex ?? null, build, dewclaw: legs.length === 0 ? null : legs.some((reading) => reading.dewclaw !== 'none'), threeLegs }
}

/** The build of a thing: the piece's own word, else its table's. */
export const predictedBuild = (piece: Pick<Piece, 'build'> | null, table: Pick<SizeTable, 'build'> | null): string | null =>
  piece?.build ?? table?.build ?? null
