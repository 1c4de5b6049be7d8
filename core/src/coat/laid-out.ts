import {
  edgeOf,
  flattenPatch,
  smoothLine,
  type ClothPoint,
  type Dart,
  type EdgeKind,
  type FlatPatch,
  type FlattenOptions,
  type PatternPoint,
  type PieceEdge,
} from '../pattern/index.ts'

/** A part of the trunk's cloth: its grid on the dog, and flat, the neck to the right. */
export interface LaidOut {
  grid: ClothPoint[][]
  flat: FlatPatch
  points: PatternPoint[][]
  /** Flat places of a row or a column, in the order asked. */
  row: (j: number, from: number, to: number) => PatternPoint[]
  column: (i: number, from: number, to: number) => PatternPoint[]
  wornRow: (j: number, from: number, to: number) => ClothPoint[]
  wornColumn: (i: number, from: number, to: number) => ClothPoint[]
  turn: (p: PatternPoint) => PatternPoint
}

const range = (from: number, to: number): number[] => Array.from({ length: Math.abs(to - from) + 1 }, (_, k) => from + Math.sign(to - from) * k)

/** Lays a grid flat and turns it so that the neck is on the right, the tail end at x = 0. */
export function layOut(grid: ClothPoint[][], options: FlattenOptions): LaidOut {
  const flat = flattenPatch(grid, options)
  const far = Math.max(...flat.points.map((column) => (column[0] as PatternPoint)[0]))
  const turn = ([x, y]: PatternPoint): PatternPoint => [far - x, y]
  const points = flat.points.map((column) => column.map(turn))
  const of = <T>(from: readonly (readonly T[])[], i: number, j: number): T => from[i]?.[j] as T
  return {
    grid,
    flat,
    points,
    turn,
    row: (j, from, to) => range(from, to).map((i) => of(points, i, j)),
    column: (i, from, to) => range(from, to).map((j) => of(points, i, j)),
    wornRow: (j, from, to) => range(from, to).map((i) => of(grid, i, j)),
    wornColumn: (i, from, to) => range(from, to).map((j) => of(grid, i, j)),
  }
}

/** A dart from a cut that opened, its legs straight and trued to one length. */
export function truedDart(id: string, laid: LaidOut, k: number): Dart | null {
  const cut = laid.flat.cuts[k]
  if (!cut || cut.mouthMm <= 0) return null
  const tip = laid.turn(cut.left.at(-1) as PatternPoint)
  const [l, r] = [laid.turn(cut.left[0] as PatternPoint), laid.turn(cut.right[0] as PatternPoint)]
  const long = ([x, y]: PatternPoint): number => Math.hypot(x - tip[0], y - tip[1])
  const leg = (long(l) + long(r)) / 2
  const true_ = (p: PatternPoint): PatternPoint => [tip[0] + ((p[0] - tip[0]) * leg) / long(p), tip[1] + ((p[1] - tip[1]) * leg) / long(p)]
  const [left, right] = [true_(l), true_(r)]
  return { id, mouthMm: Math.hypot(left[0] - right[0], left[1] - right[1]), left: [left, tip], right: [right, tip], tip }
}

/** Cells of a laid-out part where cloth would have to give more than a share. */
export function strainedCells(piece: string, { flat, points }: LaidOut, over: number) {
  return flat.strain.cells.flatMap((column, i) =>
    column.flatMap((strain, j) =>
      strain > over
        ? [{ piece, strain, at: [points[i]?.[j], points[i + 1]?.[j], points[i + 1]?.[j + 1], points[i]?.[j + 1]].map((p) => p as PatternPoint) }]
        : [],
    ),
  )
}

/** An edge of a laid-out part: a stretch of one row or column of its grid. */
export type GridEdge = readonly [id: string, kind: EdgeKind, allowanceMm: number, along: 'row' | 'column', at: number, from: number, to: number]

/** The edges of a laid-out part, flat and as they are worn, from one list. */
export function edgesOn(
  laid: LaidOut,
  piece: string,
  list: readonly GridEdge[],
): { edges: PieceEdge[]; worn: { piece: string; edge: string; points: ClothPoint[] }[] } {
  return {
    edges: list.map(([id, kind, allowanceMm, along, at, from, to]) => {
      const points = laid[along](at, from, to)
      return edgeOf(id, kind === 'fold' ? points : smoothLine(points), allowanceMm, kind)
    }),
    worn: list.map(([edge, , , along, at, from, to]) => ({
      piece,
      edge,
      points: along === 'row' ? laid.wornRow(at, from, to) : laid.wornColumn(at, from, to),
    })),
  }
}
