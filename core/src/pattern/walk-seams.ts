import type { Grade } from '../model/index.ts'
import { edgeLength, type PatternPiece } from './pattern-piece.ts'

/** Two rows of edges sewn together; `easeMm` is what the first is longer, eased in. */
export interface Seam {
  id?: string
  a: readonly (readonly [piece: string, edge: string])[]
  b: readonly (readonly [piece: string, edge: string])[]
  easeMm: number
}

export interface WalkedSeam extends Seam {
  aMm: number
  bMm: number
  /** The first less the second less the ease: plus where the first is too long. */
  differenceMm: number
  grade: Grade
}

/** Seams that meet are as long as each other within this; twice it the cloth still takes. */
const MEETS_MM = 1

/**
 * Walks the edges that are sewn together along each other.
 *
 * @throws RangeError for a piece or an edge there is not
 */
export function walkSeams(pieces: readonly PatternPiece[], seams: readonly Seam[]): WalkedSeam[] {
  const length = (side: Seam['a']): number =>
    side.reduce((sum, [id, edge]) => {
      const piece = pieces.find((each) => each.id === id)
      if (!piece) throw new RangeError(`there is no piece ${id}`)
      return sum + edgeLength(piece, edge)
    }, 0)
  return seams.map((seam) => {
    const [aMm, bMm] = [length(seam.a), length(seam.b)]
    const differenceMm = aMm - bMm - seam.easeMm
    const off = Math.abs(differenceMm)
    return { ...seam, aMm, bMm, differenceMm, grade: off <= MEETS_MM ? 'holds' : off <= 2 * MEETS_MM ? 'doubt' : 'fails' }
  })
}
