import type { PatternPoint } from './flat-point.ts'
import { edgeOf, type EdgeKind, type PatternPiece } from './pattern-piece.ts'

export interface RectangleEdge {
  id: string
  kind: EdgeKind
  allowanceMm: number
}

/**
 * A piece with four straight edges: right (x = long, the front), top (y = wide), left and bottom (y = 0).
 *
 * @param longMm along, @param wideMm across; under 1 mm it is 1 mm
 */
export function rectangle(
  piece: Pick<PatternPiece, 'id' | 'name' | 'count' | 'mirrored'>,
  longMm: number,
  wideMm: number,
  [right, top, left, bottom]: readonly [RectangleEdge, RectangleEdge, RectangleEdge, RectangleEdge],
): PatternPiece {
  const [x, y] = [Math.max(1, longMm), Math.max(1, wideMm)]
  const edge = ({ id, kind, allowanceMm }: RectangleEdge, ...points: PatternPoint[]) => edgeOf(id, points, allowanceMm, kind)
  const edges = [edge(bottom, [0, 0], [x, 0]), edge(right, [x, 0], [x, y]), edge(top, [x, y], [0, y]), edge(left, [0, y], [0, 0])]
  const fold = edges.find(({ kind }) => kind === 'fold')?.id ?? null
  return { ...piece, fold, edges, darts: [], notches: [], grain: [[x * 0.25, y * 0.5], [x * 0.75, y * 0.5]], lines: [], marks: [] } // prettier-ignore
}
