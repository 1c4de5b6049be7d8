import { flatArea, flatDistance, type PatternPoint } from './flat-point.ts'
import { edgeLength, edgeOf, sewLine, type PatternPiece } from './pattern-piece.ts'
import type { Seam } from './walk-seams.ts'

/** An edge moved by hand, or by what a trial pinned: outward is plus, mm, most at the place, nothing at its ends. */
export interface EdgeMove {
  piece: string
  edge: string
  mm: number
  /** Share of the edge's length where it was taken hold of; the middle where nothing is said. */
  at?: number | undefined
}

/** 1 at the place, 0 at both ends, smooth. */
function bump(share: number, at: number): number {
  const t = share < at ? share / at : (1 - share) / (1 - at)
  const s = Math.min(1, Math.max(0, t))
  return s * s * (3 - 2 * s)
}

/** A piece with one edge moved; its corners stay. An edge on the fold stays where it is. */
export function movedEdge(piece: PatternPiece, { edge: id, mm, at = 0.5 }: EdgeMove): PatternPiece {
  const turn = flatArea(sewLine(piece)) > 0 ? 1 : -1
  const place = Math.min(0.9, Math.max(0.1, at))
  return {
    ...piece,
    edges: piece.edges.map((edge) => {
      if (edge.id !== id || edge.kind === 'fold' || mm === 0) return edge
      // A straight edge has no place to bend yet.
      const points = edge.points.length < 9 ? finer(edge.points) : edge.points
      const lengths = points.map((p, i) => (i === 0 ? 0 : flatDistance(points[i - 1] as PatternPoint, p)))
      const whole = lengths.reduce((sum, each) => sum + each, 0) || 1
      let past = 0
      const moved = points.map((p, i): PatternPoint => {
        past += lengths[i] as number
        if (i === 0 || i === points.length - 1) return p
        const [before, after] = [points[i - 1] as PatternPoint, points[i + 1] as PatternPoint]
        const long = flatDistance(before, after) || 1
        const far = mm * bump(past / whole, place)
        return [p[0] + (turn * far * (after[1] - before[1])) / long, p[1] - (turn * far * (after[0] - before[0])) / long]
      })
      return edgeOf(edge.id, moved, edge.allowanceMm, edge.kind)
    }),
  }
}

function finer(points: readonly PatternPoint[]): PatternPoint[] {
  const per = Math.ceil(24 / Math.max(1, points.length - 1))
  return points.flatMap((p, i) => {
    const before = points[i - 1]
    if (!before) return [p]
    return Array.from({ length: per }, (_, k): PatternPoint => [
      before[0] + ((p[0] - before[0]) * (k + 1)) / per,
      before[1] + ((p[1] - before[1]) * (k + 1)) / per,
    ])
  })
}

/** How far a partner's move may differ from the edge's own, as a share, so that both stay as long as each other. */
const FOLLOWS = [1, 0.95, 1.05, 0.9, 1.1, 0.8, 1.2, 0.7, 1.3, 0.6, 1.4, 0.5, 1.5]
const MEETS_MM = 0.5

/** The partner edge moved back by what the first gained: so far that both meet again, as nearly as may be. */
function following(partner: PatternPiece, edge: string, move: EdgeMove, aimMm: number): PatternPiece {
  let best: { piece: PatternPiece; off: number } | null = null
  for (const share of FOLLOWS) {
    const piece = movedEdge(partner, { ...move, piece: partner.id, edge, mm: -move.mm * share })
    const off = Math.abs(edgeLength(piece, edge) - aimMm)
    if (!best || off < best.off - 1e-9) best = { piece, off }
    if (best.off <= MEETS_MM) break
  }
  return best?.piece ?? partner
}

/**
 * Pieces with all moves made; where an edge is sewn to one single other, that one gives what the first gains.
 *
 * @param moves those of a piece or an edge there is not are left out
 */
export function movedPieces(pieces: readonly PatternPiece[], seams: readonly Seam[], moves: readonly EdgeMove[]): PatternPiece[] {
  return moves.reduce<PatternPiece[]>(
    (all, move) => {
      const own = all.find(({ id, edges }) => id === move.piece && edges.some((edge) => edge.id === move.edge))
      if (!own) return all
      const moved = movedEdge(own, move)
      const seam = seams.find(
        ({ a, b }) =>
          a.length === 1 && b.length === 1 && [a[0], b[0]].some((end) => end?.[0] === move.piece && end[1] === move.edge) && a[0]?.[0] !== b[0]?.[0],
      )
      const [first, second] = [seam?.a[0], seam?.b[0]]
      const isFirst = first?.[0] === move.piece && first[1] === move.edge
      const other = isFirst ? second : first
      const aimMm = edgeLength(moved, move.edge) + (seam ? (isFirst ? -seam.easeMm : seam.easeMm) : 0)
      return all.map((piece) => (piece === own ? moved : other && piece.id === other[0] ? following(piece, other[1], move, aimMm) : piece))
    },
    [...pieces],
  )
}
