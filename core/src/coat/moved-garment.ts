import { edgeLength, edgeNamed, movedPieces, type EdgeMove, type PatternPiece } from '../pattern/index.ts'
import type { Garment } from './garment-type.ts'

/** Edges that a ring goes along: an opening grows by what they grow. */
const RINGS: Readonly<Partial<Record<Garment['openings'][number]['id'], readonly (readonly [piece: string, edge: string])[]>>> = {
  leg: [['chest', 'leg'], ['back', 'armhole'], ['belly', 'armhole']],
} // prettier-ignore

const lengthOf = (pieces: readonly PatternPiece[], piece: string, edge: string): number => {
  const own = pieces.find(({ id }) => id === piece)
  return own?.edges.some(({ id }) => id === edge) ? edgeLength(own, edge) : 0
}

/**
 * A garment with edges moved by hand: its pieces, the openings they go round, and its checks. What a moved edge decides was
 * foretold of the edge as drafted: it holds no longer without doubt.
 */
export function movedGarment(garment: Garment, moves: readonly EdgeMove[]): Garment {
  if (moves.length === 0) return garment
  const pieces = movedPieces(garment.pieces, garment.seams, moves)
  const isMoved = (piece: string, edge: string): boolean => {
    const [before, after] = [garment.pieces, pieces].map((all) => all.find(({ id }) => id === piece))
    if (!before?.edges.some(({ id }) => id === edge) || !after) return false
    return edgeNamed(before, edge).points !== edgeNamed(after, edge).points
  }
  const grown = (id: Garment['openings'][number]['id']): number =>
    (RINGS[id] ?? []).reduce((sum, [piece, edge]) => sum + lengthOf(pieces, piece, edge) - lengthOf(garment.pieces, piece, edge), 0)
  return {
    ...garment,
    pieces,
    openings: garment.openings.map((opening) => ({ ...opening, mm: opening.mm + grown(opening.id) })),
    checks: garment.checks.map((check) => {
      if (!check.at || !isMoved(check.at.piece, check.at.edge)) return check
      const mm = check.id === 'leg-opening' ? check.mm + grown('leg') : check.mm
      return { ...check, mm, grade: mm < check.needsMm && check.id === 'leg-opening' ? 'fails' : check.grade === 'holds' ? 'doubt' : check.grade }
    }),
  }
}
