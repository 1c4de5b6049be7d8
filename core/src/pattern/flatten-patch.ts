import { Skyline } from './skyline.ts'
import type { ClothPoint, PatternPoint } from './flat-point.ts'

/** A corner of the grid: column along, row across. */
export type GridPlace = readonly [column: number, row: number]

export interface FlattenOptions {
  /** Row 0 lies straight on y = 0, x rising: cloth cut on the fold. */
  fold?: boolean
  /** Cuts along grid lines, from the mouth to the tip. */
  cuts?: readonly { from: GridPlace; to: GridPlace }[]
  /** Lines that keep their own length, or take another. */
  hold?: readonly { from: GridPlace; to: GridPlace; mm?: number }[]
}

/** A cut laid open: both edges from the mouth to the tip. */
export interface FlatCut {
  /** Plus: it opens, a dart. Minus: the edges lap, so that it must be a seam. */
  mouthMm: number
  left: PatternPoint[]
  right: PatternPoint[]
}

export interface FlatPatch {
  points: PatternPoint[][]
  cuts: FlatCut[]
  /** Largest, 95th percentile by area and root mean square of what cloth would stretch or gather, as shares of its length. */
  strain: { max: number; p95: number; rms: number; cells: number[][] }
}

/** Cotangents are held above this, so that a sliver pushes nothing away. */
const LEAST_COTANGENT = 0.02
/** A held line's spring beside a usual cotangent: a tape wins within a few tenths of a millimetre. */
const HOLD = 600
const ROUNDS = 400
/** Moved by less than this share of the patch in a round, it rests. */
const REST = 5e-6
/** Rounds before over-relaxation, and the rate it counts on. */
const WARM = 8
const RADIUS = 0.99
/** Under a fold the weight falls over this many rows: the skirt may flute, the roof must lie. */
const ROOF_ROWS = 4

interface Triangle {
  at: [number, number, number]
  /** Its corners laid flat. */
  rest: [PatternPoint, PatternPoint, PatternPoint]
  /** Weight of the edge across from each corner. */
  pull: [number, number, number]
  area: number
  cell: number
}

const minus = (a: ClothPoint, b: ClothPoint): ClothPoint => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const dot = (a: ClothPoint, b: ClothPoint): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const cross = (a: ClothPoint, b: ClothPoint): ClothPoint => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]

function triangle(at: [number, number, number], points: readonly ClothPoint[], weight: number, cell: number): Triangle {
  const [a, b, c] = at.map((i) => points[i] as ClothPoint) as [ClothPoint, ClothPoint, ClothPoint]
  const [ab, ac, bc] = [minus(b, a), minus(c, a), minus(c, b)]
  const long = Math.sqrt(dot(ab, ab)) || 1e-9
  const n = cross(ab, ac)
  const twice = Math.max(1e-9, Math.sqrt(dot(n, n)))
  const along = dot(ab, ac) / long
  const cot = (u: ClothPoint, v: ClothPoint): number => weight * Math.max(LEAST_COTANGENT, Math.min(50, dot(u, v) / twice))
  const back = (v: ClothPoint): ClothPoint => [-v[0], -v[1], -v[2]]
  return {
    at,
    rest: [
      [0, 0],
      [long, 0],
      [along, twice / long],
    ],
    pull: [cot(ab, ac), cot(back(ab), bc), cot(back(ac), back(bc))],
    area: (twice / 2) * weight,
    cell,
  }
}

/** Places on one grid line, from one to the other. */
function placesBetween([i0, j0]: GridPlace, [i1, j1]: GridPlace, columns: number, rows: number, what: string): GridPlace[] {
  const onGrid = [i0, i1].every((i) => Number.isInteger(i) && i >= 0 && i < columns) && [j0, j1].every((j) => Number.isInteger(j) && j >= 0 && j < rows)
  if (!onGrid || (i0 !== i1) === (j0 !== j1)) throw new RangeError(`${what} does not run along one line of the grid: ${i0},${j0} to ${i1},${j1}`)
  const steps = Math.max(Math.abs(i1 - i0), Math.abs(j1 - j0))
  return Array.from({ length: steps + 1 }, (_, k): GridPlace => [i0 + Math.sign(i1 - i0) * k, j0 + Math.sign(j1 - j0) * k])
}

/** The numbering of corners and of their second copies beside cuts, column after column. */
function numbering(columns: number, rows: number, cuts: readonly GridPlace[][]) {
  const own = new Int32Array(columns * rows)
  const copies = new Map<number, { id: number; upright: boolean; line: number }>()
  const doubled = new Map<number, { upright: boolean; line: number }>()
  for (const places of cuts) {
    const upright = places[0]?.[0] === places.at(-1)?.[0]
    for (const [i, j] of places.slice(0, -1)) if (!doubled.has(i * rows + j)) doubled.set(i * rows + j, { upright, line: upright ? i : j })
  }
  let count = 0
  for (let at = 0; at < columns * rows; at++) {
    own[at] = count++
    const cut = doubled.get(at)
    if (cut) copies.set(at, { id: count++, ...cut })
  }
  /** The copy a cell holds on to. */
  const of = (i: number, j: number, cellColumn: number, cellRow: number): number => {
    const copy = copies.get(i * rows + j)
    if (copy && (copy.upright ? cellColumn >= copy.line : cellRow >= copy.line)) return copy.id
    return own[i * rows + j] as number
  }
  return { count, own, copies, of }
}

/**
 * Lays a patch of cloth flat with as little stretch as may be (as rigid as possible: per triangle the best turn, then one
 * linear solve per coordinate, until it rests).
 *
 * @param points points[i][j], mm: column i along, row j across, two or more of each
 * @returns mm; `points` holds the first copy of a cut's corners, `cuts[k].right` the second
 * @throws RangeError for a ragged grid, a place off it, a cut or held line off its lines, or a number that is none
 */
export function flattenPatch(points: readonly (readonly ClothPoint[])[], { fold = false, cuts = [], hold = [] }: FlattenOptions = {}): FlatPatch {
  const [columns, rows] = [points.length, points[0]?.length ?? 0]
  if (columns < 2 || rows < 2 || points.some((column) => column.length !== rows)) throw new RangeError('a patch is a grid of two columns and two rows or more')
  if (points.some((column) => column.some((point) => !point.every(Number.isFinite)))) throw new RangeError('a corner of the patch is no number')
  const cutPlaces = cuts.map(({ from, to }) => placesBetween(from, to, columns, rows, 'a cut'))
  const { count, own, copies, of } = numbering(columns, rows, cutPlaces)
  const cloth: ClothPoint[] = []
  for (let at = 0; at < columns * rows; at++) {
    const point = points[Math.floor(at / rows)]?.[at % rows] as ClothPoint
    cloth[own[at] as number] = point
    const copy = copies.get(at)
    if (copy) cloth[copy.id] = point
  }

  const triangles: Triangle[] = []
  for (let i = 0; i + 1 < columns; i++)
    for (let j = 0; j + 1 < rows; j++) {
      const [a, b, c, d] = [of(i, j, i, j), of(i + 1, j, i, j), of(i + 1, j + 1, i, j), of(i, j + 1, i, j)]
      const weight = fold ? Math.exp(-j / ROOF_ROWS) + 0.02 : 1
      const cell = i * (rows - 1) + j
      // Diagonals by turns, so that none leans the patch.
      if ((i + j) % 2 === 0) triangles.push(triangle([a, b, c], cloth, weight, cell), triangle([a, c, d], cloth, weight, cell))
      else triangles.push(triangle([a, b, d], cloth, weight, cell), triangle([b, c, d], cloth, weight, cell))
    }
  const springs = hold.flatMap(({ from, to, mm }) => {
    const line = placesBetween(from, to, columns, rows, 'a held line').map(([i, j]) => own[i * rows + j] as number)
    const lengths = line.slice(1).map((id, k) => {
      const edge = minus(cloth[id] as ClothPoint, cloth[line[k] as number] as ClothPoint)
      return Math.sqrt(dot(edge, edge))
    })
    const whole = lengths.reduce((sum, each) => sum + each, 0)
    const by = mm === undefined || !(whole > 0) ? 1 : mm / whole
    if (!Number.isFinite(by) || by < 0) throw new RangeError(`a held line's length is no length: ${mm}`)
    return lengths.map((long, k) => ({ a: line[k] as number, b: line[k + 1] as number, long: long * by, pull: HOLD }))
  })

  const { x, y } = firstLay(points, own, copies, rows, count)
  const size = Math.max(1e-6, ...x.map(Math.abs), ...y.map(Math.abs))
  const onFold = new Uint8Array(count)
  if (fold)
    for (let i = 0; i < columns; i++) {
      onFold[own[i * rows] as number] = 1
      const copy = copies.get(i * rows)
      if (copy) onFold[copy.id] = 1
    }

  const first = Array.from({ length: count }, (_, i) => i)
  const reach = (a: number, b: number): void => {
    const [low, high] = a < b ? [a, b] : [b, a]
    first[high] = Math.min(first[high] as number, low)
  }
  for (const { at } of triangles) for (let k = 0; k < 3; k++) reach(at[k] as number, at[(k + 1) % 3] as number)
  for (const { a, b } of springs) reach(a, b)
  const matrix = (held: Uint8Array | null): Skyline => {
    const sky = new Skyline(first)
    const link = (a: number, b: number, w: number): void => {
      const [fixedA, fixedB] = [held?.[a] === 1, held?.[b] === 1]
      if (!fixedA) sky.add(a, a, w)
      if (!fixedB) sky.add(b, b, w)
      if (!fixedA && !fixedB) sky.add(a, b, -w)
    }
    for (const { at, pull } of triangles) for (let k = 0; k < 3; k++) link(at[(k + 1) % 3] as number, at[(k + 2) % 3] as number, pull[k] as number)
    for (const { a, b, pull } of springs) link(a, b, pull)
    if (held && fold) for (let i = 0; i < count; i++) if (held[i] === 1) sky.add(i, i, 1)
    // One corner keeps its place: a lay may be shifted at will.
    if (!held || !fold) sky.add(0, 0, 1)
    sky.factor()
    return sky
  }
  const forX = matrix(null)
  const forY = fold ? matrix(onFold) : forX

  const edges = edgesOf(triangles)
  const [bx, by] = [new Float64Array(count), new Float64Array(count)]
  const [px, py] = [x.slice(), y.slice()]
  let omega = 1
  for (let round = 0; round < ROUNDS; round++) {
    bx.fill(0)
    by.fill(0)
    bx[0] = x[0] as number
    if (!fold) by[0] = y[0] as number
    addTurned(edges, x, y, bx, by)
    for (const { a, b, long, pull } of springs) {
      const [dx, dy] = [(x[b] as number) - (x[a] as number), (y[b] as number) - (y[a] as number)]
      const now = Math.hypot(dx, dy) || 1
      const [tx, ty] = [(pull * long * dx) / now, (pull * long * dy) / now]
      bx[a] = (bx[a] as number) - tx
      bx[b] = (bx[b] as number) + tx
      by[a] = (by[a] as number) - ty
      by[b] = (by[b] as number) + ty
    }
    if (fold) for (let i = 0; i < count; i++) if (onFold[i] === 1) by[i] = 0
    forX.solve(bx)
    forY.solve(by)
    // Chebyshev's over-relaxation: the same rest, several times sooner.
    omega = round < WARM ? 1 : round === WARM ? 2 / (2 - RADIUS * RADIUS) : 4 / (4 - RADIUS * RADIUS * omega)
    let moved = 0
    for (let i = 0; i < count; i++) {
      const [nowX, nowY] = [x[i] as number, y[i] as number]
      moved = Math.max(moved, Math.abs((bx[i] as number) - nowX), Math.abs((by[i] as number) - nowY))
      x[i] = omega * ((bx[i] as number) - (px[i] as number)) + (px[i] as number)
      y[i] = omega * ((by[i] as number) - (py[i] as number)) + (py[i] as number)
      px[i] = nowX
      py[i] = nowY
    }
    if (moved < REST * size) break
  }

  const at = (id: number): PatternPoint => [x[id] as number, y[id] as number]
  return {
    points: Array.from({ length: columns }, (_, i) => Array.from({ length: rows }, (__, j) => at(own[i * rows + j] as number))),
    cuts: cutPlaces.map((places) => openCut(places, { rows, columns, own, copies, at })),
    strain: strainOf(triangles, x, y, columns - 1, rows - 1),
  }
}

/** Every triangle's three edges in plain rows of numbers: the innermost loop reads nothing else. */
function edgesOf(triangles: readonly Triangle[]) {
  const [from, to] = [new Int32Array(3 * triangles.length), new Int32Array(3 * triangles.length)]
  const [rx, ry, w] = [new Float64Array(3 * triangles.length), new Float64Array(3 * triangles.length), new Float64Array(3 * triangles.length)]
  triangles.forEach(({ at, rest, pull }, t) => {
    for (let k = 0; k < 3; k++) {
      const [p, q, e] = [(k + 1) % 3, (k + 2) % 3, 3 * t + k]
      from[e] = at[p] as number
      to[e] = at[q] as number
      rx[e] = (rest[q] as PatternPoint)[0] - (rest[p] as PatternPoint)[0]
      ry[e] = (rest[q] as PatternPoint)[1] - (rest[p] as PatternPoint)[1]
      w[e] = pull[k] as number
    }
  })
  return { from, to, rx, ry, w }
}

/** Adds to the right sides every triangle's edges in their best turn: from the sum of pulls between how they lie and how they would. */
function addTurned({ from, to, rx, ry, w }: ReturnType<typeof edgesOf>, x: Float64Array, y: Float64Array, bx: Float64Array, by: Float64Array): void {
  for (let t = 0; t < from.length; t += 3) {
    let [c, s] = [0, 0]
    for (let e = t; e < t + 3; e++) {
      const [i, j] = [from[e] as number, to[e] as number]
      const dx = (x[j] as number) - (x[i] as number)
      const dy = (y[j] as number) - (y[i] as number)
      const [px, py, pull] = [rx[e] as number, ry[e] as number, w[e] as number]
      c += pull * (px * dx + py * dy)
      s += pull * (px * dy - py * dx)
    }
    const long = Math.sqrt(c * c + s * s) || 1
    c /= long
    s /= long
    for (let e = t; e < t + 3; e++) {
      const [i, j] = [from[e] as number, to[e] as number]
      const [px, py, pull] = [rx[e] as number, ry[e] as number, w[e] as number]
      const tx = pull * (c * px - s * py)
      const ty = pull * (s * px + c * py)
      bx[i] = (bx[i] as number) - tx
      bx[j] = (bx[j] as number) + tx
      by[i] = (by[i] as number) - ty
      by[j] = (by[j] as number) + ty
    }
  }
}

/** Where solving begins: row 0 rolled out straight, every column beside it at its own length. */
function firstLay(points: readonly (readonly ClothPoint[])[], own: Int32Array, copies: ReadonlyMap<number, { id: number }>, rows: number, count: number) {
  const [x, y] = [new Float64Array(count), new Float64Array(count)]
  const far = (a: ClothPoint, b: ClothPoint): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
  let along = 0
  points.forEach((column, i) => {
    if (i > 0) along += far(column[0] as ClothPoint, points[i - 1]?.[0] as ClothPoint) || 1e-6
    let across = 0
    column.forEach((point, j) => {
      if (j > 0) across += far(point, column[j - 1] as ClothPoint) || 1e-6
      for (const id of [own[i * rows + j] as number, copies.get(i * rows + j)?.id]) {
        if (id === undefined) continue
        x[id] = along
        y[id] = across
      }
    })
  })
  return { x, y }
}

interface Opened {
  rows: number
  columns: number
  own: Int32Array
  copies: ReadonlyMap<number, { id: number; upright: boolean }>
  at: (id: number) => PatternPoint
}

function openCut(places: readonly GridPlace[], { rows, columns, own, copies, at }: Opened): FlatCut {
  const ids = places.map(([i, j]) => i * rows + j)
  const left = ids.map((id) => at(own[id] as number))
  const right = ids.map((id) => at(copies.get(id)?.id ?? (own[id] as number)))
  const [column, row] = places[0] as GridPlace
  const upright = copies.get(ids[0] as number)?.upright ?? true
  // From the first copy's side of the patch to the second's, mouth to mouth: by that the edges stand apart or lap.
  const far = (end: 0 | 1): PatternPoint => at(own[upright ? end * (columns - 1) * rows + row : column * rows + end * (rows - 1)] as number)
  const [before, beyond] = [far(0), far(1)]
  const [ax, ay] = [beyond[0] - before[0], beyond[1] - before[1]]
  const [l, r] = [left[0] as PatternPoint, right[0] as PatternPoint]
  const apart = Math.hypot(r[0] - l[0], r[1] - l[1])
  return { mouthMm: (r[0] - l[0]) * ax + (r[1] - l[1]) * ay < 0 ? -apart : apart, left, right }
}

function strainOf(triangles: readonly Triangle[], x: Float64Array, y: Float64Array, columns: number, rows: number): FlatPatch['strain'] {
  const each: { strain: number; area: number }[] = []
  const cells = Array.from({ length: columns }, () => new Array<number>(rows).fill(0))
  let [squares, weights, max] = [0, 0, 0]
  for (const { at, rest, area, cell } of triangles) {
    const [a, b, c] = at
    const [, [long], [along, up]] = rest
    const [ux, uy] = [((x[b] as number) - (x[a] as number)) / long, ((y[b] as number) - (y[a] as number)) / long]
    const [vx, vy] = [((x[c] as number) - (x[a] as number) - ux * along) / up, ((y[c] as number) - (y[a] as number) - uy * along) / up]
    // Both stretches, without taking near squares from each other.
    const [turned, flipped] = [Math.hypot(ux + vy, uy - vx) / 2, Math.hypot(ux - vy, uy + vx) / 2]
    const [large, small] = [turned + flipped, Math.abs(turned - flipped)]
    const strain = Math.max(Math.abs(large - 1), Math.abs(small - 1))
    max = Math.max(max, strain)
    squares += area * ((large - 1) ** 2 + (small - 1) ** 2)
    weights += area
    each.push({ strain, area })
    const column = cells[Math.floor(cell / rows)] as number[]
    column[cell % rows] = Math.max(column[cell % rows] as number, strain)
  }
  each.sort((p, q) => p.strain - q.strain)
  let [seen, p95] = [0, 0]
  for (const { strain, area } of each) {
    seen += area
    p95 = strain
    if (seen >= 0.95 * weights) break
  }
  return { max, p95, rms: Math.sqrt(squares / (2 * weights)), cells }
}
