import { flatAlong, flatAway, flatBox, flatMiddle, pieceCutLine, sewLine, type FlatBox, type PatternPiece, type PatternPoint } from '../pattern/index.ts'

/** A piece as it comes back from a file: its cut line and its sewing line, in the piece's own place, mm. */
export interface ReadPiece {
  id: string
  cut: PatternPoint[]
  sew: PatternPoint[]
}
export type ReadPattern = { ok: true; pieces: ReadPiece[] } | { ok: false; problem: 'not-this-format' | 'cut-short' | 'no-pieces' }

/** What a pattern file says of itself beside the pieces. */
export interface PatternLabel {
  dog?: string
  ticket?: string
  cloth?: string
  on?: string
  /** Whose rule the draft follows. */
  rule?: string
  firstDraft?: boolean
}

/** A piece with all its lines, and where on the sheet it lies. */
export interface SheetPiece extends FlatBox {
  piece: PatternPiece
  /** Added to the piece's own places. */
  dx: number
  dy: number
  cut: PatternPoint[]
  sew: PatternPoint[]
  notches: [PatternPoint, PatternPoint][]
  /** Where its words stand: about its middle, in its own place. */
  foot: PatternPoint
}

export interface Sheet {
  pieces: SheetPiece[]
  widthMm: number
  heightMm: number
}

const NOTCH_MM = 6
const BETWEEN_MM = 20
/** Words begin this far left of a piece's middle. */
const FOOT_LEFT_MM = 22
/** Pieces stand in rows no wider than this. */
const ROW_MM = 1400

/** Strokes of the notches: over the sewing line, outwards. */
function notchStrokes(piece: PatternPiece): [PatternPoint, PatternPoint][] {
  return piece.notches.flatMap(({ edge: id, share, count }) => {
    const edge = piece.edges.find((each) => each.id === id)
    if (!edge) return []
    return Array.from({ length: count }, (_, k): [PatternPoint, PatternPoint] => {
      const at = share + (k - (count - 1) / 2) * 0.03
      const [p, q, r] = [flatAlong(edge.points, at), flatAlong(edge.points, at - 0.01), flatAlong(edge.points, at + 0.01)]
      const long = Math.hypot(r[0] - q[0], r[1] - q[1]) || 1
      const [nx, ny] = [(r[1] - q[1]) / long, -(r[0] - q[0]) / long]
      return [[p[0] - (nx * NOTCH_MM) / 2, p[1] - (ny * NOTCH_MM) / 2], [p[0] + (nx * NOTCH_MM) / 2, p[1] + (ny * NOTCH_MM) / 2]] // prettier-ignore
    })
  })
}

/** Pieces side by side in rows, each with the lines that are drawn; a head is room kept free at the upper left. */
export function sheetOf(pieces: readonly PatternPiece[], head = { wideMm: 0, highMm: 0 }): Sheet {
  const drawn = pieces.map((piece) => {
    const cut = pieceCutLine(piece)
    const [x, y] = flatMiddle(cut)
    return { piece, cut, sew: sewLine(piece), notches: notchStrokes(piece), foot: [x - FOOT_LEFT_MM, y] as const, ...flatBox(cut) }
  })
  const rowStart = (y: number): number => (y < head.highMm ? head.wideMm : 0) + BETWEEN_MM
  let [x, y, tall, widthMm] = [rowStart(0), BETWEEN_MM, 0, head.wideMm]
  const placed = drawn.map((each): SheetPiece => {
    const [wide, high] = [each.maxX - each.minX, each.maxY - each.minY]
    if (x > rowStart(y) && x + wide > ROW_MM) {
      y += tall + BETWEEN_MM
      ;[x, tall] = [rowStart(y), 0]
    }
    const at: SheetPiece = { ...each, dx: x - each.minX, dy: y - each.minY }
    x += wide + BETWEEN_MM
    tall = Math.max(tall, high)
    widthMm = Math.max(widthMm, x)
    return at
  })
  return { pieces: placed, widthMm: Math.max(widthMm, 2 * BETWEEN_MM), heightMm: Math.max(head.highMm, y + tall + BETWEEN_MM) }
}

/** How many are cut and how, in words. */
export const countWords = ({ count, mirrored, fold }: PatternPiece): string =>
  `cut ${count}${fold === null ? '' : ' on fold'}${mirrored && count > 1 ? ', mirrored' : ''}`

/** A file says at most this many corners apart from what was drawn, mm. */
const WITHIN_MM = 0.1

/** Does a file come back as it was drawn: every piece, both lines, within 0.1 mm? Only then it is offered. */
export function readsBack(pieces: readonly PatternPiece[], read: ReadPattern): boolean {
  if (!read.ok || read.pieces.length !== pieces.length) return false
  return pieces.every((piece) => {
    const back = read.pieces.find(({ id }) => id === piece.id)
    if (!back) return false
    return ([[pieceCutLine(piece), back.cut], [sewLine(piece), back.sew]] as const).every(
      ([drawn, got]) => got.length >= 3 && drawn.every((p) => flatAway(p, got) <= WITHIN_MM) && got.every((p) => flatAway(p, drawn) <= WITHIN_MM),
    ) // prettier-ignore
  })
}
