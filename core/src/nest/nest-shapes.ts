import { Clipper, EndType, JoinType } from 'clipper2-ts'
import { flatArea, flatBox, opened, pieceCutLine, type PatternPiece, type PatternPoint } from '../pattern/index.ts'
import { convexParts } from './convex-parts.ts'
import { FINE, toGrid } from './no-fit.ts'

/** What is laid on cloth: an outline as it is cut, mm, x along the cloth. */
export interface NestItem {
  id: string
  outline: readonly PatternPoint[]
  /** 1 where nothing is said. */
  count?: number
  /** Every second copy turned over. */
  mirrored?: boolean
}

/** One outline in one of its two faces, ready to be laid. */
export interface NestShape {
  key: string
  id: string
  mirrored: boolean
  /** Its lower left corner at 0, 0. */
  outline: PatternPoint[]
  /** Grown by half the gap and thinned, in convex parts. */
  parts: PatternPoint[][]
  widthMm: number
  lengthMm: number
  areaMm2: number
}

/** An outline with more corners than this is thinned. */
const PLAIN_CORNERS = 16
const THIN_MM = 1

/** A shape of an outline: grown by half the gap; one of many corners by a millimetre more and thinned by as much. */
export function shapeOf(id: string, raw: readonly PatternPoint[], mirrored: boolean, gapMm: number): NestShape {
  const faced = raw.map(([x, y]): PatternPoint => [x, mirrored ? -y : y])
  const box = flatBox(faced)
  const outline = faced.map(([x, y]): PatternPoint => [x - box.minX, y - box.minY])
  if (flatArea(outline) < 0) outline.reverse()
  const many = outline.length > PLAIN_CORNERS
  const grow = gapMm / 2 + (many ? THIN_MM : 0)
  let grown: PatternPoint[] = outline
  if (grow > 0) {
    const paths = Clipper.inflatePaths([toGrid(outline)], grow * FINE, JoinType.Miter, EndType.Polygon, 2)
    const thin = paths.map((path) => (many ? Clipper.simplifyPath(path, THIN_MM * 0.9 * FINE, true) : path))
    const [widest] = thin
      .map((path) => path.map(({ x, y }): PatternPoint => [x / FINE, y / FINE]))
      .sort((a, b) => Math.abs(flatArea(b)) - Math.abs(flatArea(a)))
    if (widest && widest.length >= 3) grown = widest
  }
  return {
    key: `${id}${mirrored ? '~' : ''}`, id, mirrored, outline, parts: convexParts(grown),
    lengthMm: box.maxX - box.minX, widthMm: box.maxY - box.minY, areaMm2: Math.abs(flatArea(outline)),
  } // prettier-ignore
}

/** Pieces as they are laid: cut lines, pieces on the fold opened. */
export const nestItems = (pieces: readonly PatternPiece[]): NestItem[] =>
  pieces.map((piece) => ({ id: piece.id, outline: opened(piece, pieceCutLine(piece)), count: piece.count, mirrored: piece.mirrored }))
