import { families } from '../gear/index.ts'
import type { FamilyId, Piece, SizeTable } from '../model/index.ts'
import { newestTables } from './newest-tables.ts'
import type { Judged, OfferOf } from './offer.ts'
import { rankSizes } from './rank-sizes.ts'
import { byFit, summedUp } from './rank-tables.ts'
import type { SizedBody } from './sized-body.ts'

/**
 * Room between a dog and a piece laid flat: what the piece may be longer than the dog there, mm. Rings by the finger
 * rule (two fingers flat are about 15 to 30 mm of strap, a pulling neck one to two; handbook 7.1 and 7.2); lengths along
 * the body a finger's width each way (from memory, unverified).
 */
const RING_ROOM: Readonly<Record<'pulling' | 'other', readonly [number, number]>> = { pulling: [10, 30], other: [15, 30] }
const LENGTH_ROOM: readonly [number, number] = [-20, 20]
/** A straight width gets a gap, no slack of a ring: none at the least, two fingers a side at the most (ours, unverified). */
const WIDTH_ROOM: readonly [number, number] = [0, 60]
const RINGS = new Set(['M01', 'M02', 'M03', 'M04', 'M07', 'M08', 'M09', 'M21', 'M22', 'M29', 'M31', 'M36'])
const WIDTHS = new Set(['M44'])

/** The dogs a piece fits by its flat length: from the shortest setting less the most room to the longest less the least. */
export function bandOfFlat(family: FamilyId, measure: string, [shortest, longest]: readonly [number, number]): [number, number] {
  const ring = RING_ROOM[families[family].shelf === 'pulling' ? 'pulling' : 'other']
  const [least, most] = RINGS.has(measure) ? ring : WIDTHS.has(measure) ? WIDTH_ROOM : LENGTH_ROOM
  return [Math.max(1, shortest - most), Math.max(1, longest - least)]
}

/**
 * What a piece is judged by: its flat measures beat its label; where it was measured the label's band is not asked.
 *
 * @param table the label's own table, where it is known
 * @returns `null` where nothing is known of it
 */
function judgedBy(piece: Piece, table: SizeTable | null): Judged | null {
  const labelled = table?.sizes.find((size) => size.label === piece.label)
  const measured = Object.entries(piece.flat).map(([measure, flat]) => [measure, bandOfFlat(piece.family, measure, flat)] as const)
  const bands = { ...labelled?.bands, ...Object.fromEntries(measured) }
  if (Object.keys(bands).length === 0) return null
  const tested = labelled?.testedKg === undefined ? {} : { testedKg: labelled.testedKg }
  return { family: piece.family, between: null, sizes: [{ label: piece.tag, bands, ...tested }], ...(table?.rules ? { rules: table.rules } : {}) }
}

/** Which of the shop's pieces fit this dog, best first; retired ones, and those nothing is known of, are left out. */
export function rankPieces(pieces: readonly Piece[], tables: readonly SizeTable[], body: SizedBody, family: FamilyId | null = null): OfferOf<'gear'>[] {
  const newest = new Map(newestTables(tables).map((table) => [table.id, table]))
  return pieces
    .filter((piece) => piece.retired === null && (family === null || piece.family === family))
    .flatMap((piece): OfferOf<'gear'>[] => {
      const table = (piece.tableId === null ? null : newest.get(piece.tableId)) ?? null
      const judged = judgedBy(piece, table)
      return judged ? [{ kind: 'gear', piece, table, judged, ...summedUp(rankSizes(judged, body)) }] : []
    })
    .sort((a, b) => byFit(a, b) || (a.piece.id < b.piece.id ? -1 : 1))
}
