import { families } from '../gear/index.ts'
import type { FamilyId, Piece, SizeTable } from '../model/index.ts'
import type { SizedBody } from './sized-body.ts'
import { rankTables, type RankedTable } from './rank-tables.ts'

/**
 * Room between a dog and a piece laid flat: what the piece may be longer than the dog there, mm. Rings by the finger
 * rule (two fingers flat are about 15 to 30 mm of strap, a pulling neck one to two; handbook 7.1 and 7.2); lengths along
 * the body a finger's width each way (from memory, unverified).
 */
const RING_ROOM: Readonly<Record<'pulling' | 'other', readonly [number, number]>> = { pulling: [10, 30], other: [15, 30] }
const LENGTH_ROOM: readonly [number, number] = [-20, 20]
const RINGS = new Set(['M01', 'M02', 'M03', 'M04', 'M07', 'M08', 'M09', 'M21', 'M22', 'M29', 'M31', 'M36', 'M44'])

/** The dogs a piece fits by its flat length: from the shortest setting less the most room to the longest less the least. */
export function bandOfFlat(family: FamilyId, measure: string, [shortest, longest]: readonly [number, number]): [number, number] {
  const [least, most] = RINGS.has(measure) ? RING_ROOM[families[family].shelf === 'pulling' ? 'pulling' : 'other'] : LENGTH_ROOM
  return [Math.max(1, shortest - most), Math.max(1, longest - least)]
}

export const pieceTableId = (id: string): string => `piece-${id}`

/**
 * A piece as a table of one size. Its flat measures beat its label: where it was measured the label's band is not asked.
 *
 * @param table the label's own table, where it is known
 */
export function pieceTable(piece: Piece, table: Pick<SizeTable, 'sizes' | 'unit' | 'between' | 'rules'> | null): SizeTable | null {
  const labelled = table?.sizes.find((size) => size.label === piece.label)
  const measured = Object.entries(piece.flat).map(([measure, flat]) => [measure, bandOfFlat(piece.family, measure, flat)] as const)
  const bands = { ...labelled?.bands, ...Object.fromEntries(measured) }
  if (Object.keys(bands).length === 0) return null
  return {
    id: pieceTableId(piece.id),
    version: 1,
    name: piece.label ? `Label ${piece.label}` : 'No label',
    maker: piece.maker || 'Own',
    family: piece.family,
    way: 'stock',
    unit: table?.unit ?? 'cm',
    between: null,
    sizes: [{ label: piece.tag, bands }],
    lead: { minWeeks: 0, maxWeeks: 0 },
    ...(table?.rules ? { rules: table.rules } : {}),
  }
}

export interface RankedPiece extends RankedTable {
  piece: Piece
}

/** Which of the shop's pieces fit this dog, best first; retired ones, and those nothing is known of, are left out. */
export function rankPieces(pieces: readonly Piece[], tables: readonly SizeTable[], body: SizedBody, family: FamilyId | null = null): RankedPiece[] {
  const newest = new Map<string, SizeTable>()
  for (const table of tables) if ((newest.get(table.id)?.version ?? 0) < table.version) newest.set(table.id, table)
  const own = pieces.filter((piece) => piece.retired === null && (family === null || piece.family === family))
  const byTable = new Map(own.map((piece) => [pieceTableId(piece.id), piece]))
  const sized = own.flatMap((piece) => pieceTable(piece, (piece.tableId && newest.get(piece.tableId)) || null) ?? [])
  return rankTables(sized, body).flatMap((ranked) => {
    const piece = byTable.get(ranked.table.id)
    return piece ? [{ ...ranked, piece }] : []
  })
}
