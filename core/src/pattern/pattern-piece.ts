import { bezierThrough, type Bezier } from './bezier.ts'
import { cutLine } from './cut-line.ts'
import { flatDistance, flatLength, type PatternPoint } from './flat-point.ts'

export type EdgeKind = 'seam' | 'hem' | 'fold' | 'bound'

/** An edge of a piece: on the sewing line, mm. */
export interface PieceEdge {
  id: string
  points: PatternPoint[]
  /** The same line as cubics, within 0.1 mm. */
  curve: Bezier[]
  allowanceMm: number
  kind: EdgeKind
}

/** A dart: its legs run from the mouth to the tip and are equally long. */
export interface Dart {
  id: string
  mouthMm: number
  left: PatternPoint[]
  right: PatternPoint[]
  tip: PatternPoint
}

/** Marks to match across a seam: a place on an edge, as a share of its length; `count` strokes. */
export interface Notch {
  edge: string
  share: number
  count: 1 | 2
}

/** A piece of a garment, flat, mm: x along the dog (forward), y across. */
export interface PatternPiece {
  id: string
  name: string
  /** How many are cut. */
  count: number
  /** Every second one turned over. */
  mirrored: boolean
  /** The edge laid on folded cloth. */
  fold: string | null
  edges: PieceEdge[]
  darts: Dart[]
  notches: Notch[]
  /** Where the cloth's grain runs, from and to. */
  grain: [PatternPoint, PatternPoint]
  lines: { id: string; points: PatternPoint[] }[]
  /** Holes, buttons, slots: a name and a place. */
  marks: { id: string; at: PatternPoint }[]
}

/** An edge with its curve. */
export const edgeOf = (id: string, points: readonly PatternPoint[], allowanceMm: number, kind: EdgeKind): PieceEdge => ({
  id,
  points: [...points],
  curve: bezierThrough(points),
  allowanceMm,
  kind,
})

/** @throws RangeError for an edge the piece does not have */
export function edgeNamed(piece: PatternPiece, id: string): PieceEdge {
  const edge = piece.edges.find((each) => each.id === id)
  if (!edge) throw new RangeError(`${piece.id} has no edge ${id}`)
  return edge
}

/** Length of an edge on the sewing line, mm; of a dart's mouth on it nothing is left once it is sewn. */
export function edgeLength(piece: PatternPiece, id: string): number {
  const edge = edgeNamed(piece, id)
  const on = (p: PatternPoint): boolean => edge.points.some((q) => flatDistance(p, q) < 1e-6)
  const mouths = piece.darts.filter(({ left, right }) => on(left[0] as PatternPoint) && on(right[0] as PatternPoint))
  return flatLength(edge.points) - mouths.reduce((sum, { left, right }) => sum + flatDistance(left[0] as PatternPoint, right[0] as PatternPoint), 0)
}

/** The sewing line all round, without its first point again. */
export const sewLine = ({ edges }: Pick<PatternPiece, 'edges'>): PatternPoint[] => edges.flatMap(({ points }) => points.slice(0, -1))

/** Over this length a wide allowance runs into a narrow one, so that no step is cut. */
const TAPER_MM = 90

/** An edge in stretches: its own allowance, run down to a narrower neighbour's at either end. */
function tapered({ points, allowanceMm }: PieceEdge, startMm: number | null, endMm: number | null) {
  const long = flatLength(points)
  const cut = (fromMm: number, toMm: number): PatternPoint[] => {
    let past = 0
    const out: PatternPoint[] = []
    const place = (a: PatternPoint, b: PatternPoint, at: number, step: number): PatternPoint => [
      a[0] + ((b[0] - a[0]) * at) / step,
      a[1] + ((b[1] - a[1]) * at) / step,
    ]
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1] as PatternPoint, points[i] as PatternPoint]
      const step = flatDistance(a, b)
      if (step < 1e-9) continue
      if (out.length === 0 && past + step >= fromMm - 1e-9) out.push(place(a, b, Math.max(0, fromMm - past), step))
      if (out.length > 0) {
        if (past + step >= toMm - 1e-9) return [...out, place(a, b, Math.min(step, toMm - past), step)]
        out.push(b)
      }
      past += step
    }
    return [...out, points.at(-1) as PatternPoint]
  }
  const [from, to] = [startMm === null ? 0 : TAPER_MM, endMm === null ? long : long - TAPER_MM]
  return [
    ...(startMm === null ? [] : [{ points: cut(0, from), allowanceMm: startMm, endMm: allowanceMm }]),
    { points: cut(from, to), allowanceMm },
    ...(endMm === null ? [] : [{ points: cut(to, long), allowanceMm, endMm }]),
  ]
}

/** The line the scissors follow: allowances added, a wide one run down to a narrow one where it has room. */
export function pieceCutLine(piece: Pick<PatternPiece, 'edges'>): PatternPoint[] {
  const { edges } = piece
  const at = (i: number): PieceEdge => edges[(i + edges.length) % edges.length] as PieceEdge
  return cutLine(
    edges.flatMap((edge, i) => {
      const roomy = flatLength(edge.points) >= 2.2 * TAPER_MM
      // Bound edges and folds have none: there the corner is cut square.
      const narrower = ({ allowanceMm }: PieceEdge): number | null => (roomy && allowanceMm > 0 && allowanceMm < edge.allowanceMm ? allowanceMm : null)
      return tapered(edge, narrower(at(i - 1)), narrower(at(i + 1)))
    }),
  )
}

/** An outline as it is cut from open cloth: a piece on the fold is opened along it. */
export function opened(piece: PatternPiece, outline: readonly PatternPoint[]): PatternPoint[] {
  if (piece.fold === null) return [...outline]
  const fold = edgeNamed(piece, piece.fold)
  const [a, b] = [fold.points[0] as PatternPoint, fold.points.at(-1) as PatternPoint]
  const long = flatDistance(a, b) || 1
  const [ux, uy] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long]
  const beside = ([x, y]: PatternPoint): number => ux * (y - a[1]) - uy * (x - a[0])
  const over = (p: PatternPoint): PatternPoint => {
    const far = beside(p)
    return [p[0] + 2 * far * uy, p[1] - 2 * far * ux]
  }
  // The half begins after its stretch along the fold and goes round to it again.
  const n = outline.length
  const on = (i: number): boolean => Math.abs(beside(outline[((i % n) + n) % n] as PatternPoint)) < 0.02
  const start = outline.findIndex((_, i) => on(i) && !on(i + 1))
  if (start < 0) return [...outline]
  const half: PatternPoint[] = []
  for (let k = 0; k <= n; k++) {
    half.push(outline[(start + k) % n] as PatternPoint)
    if (k > 0 && on(start + k)) break
  }
  return [...half, ...half.slice(1, -1).reverse().map(over)]
}
