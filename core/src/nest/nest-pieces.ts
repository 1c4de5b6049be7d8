import { Clipper, EndType, FillRule, JoinType, type Path64 } from 'clipper2-ts'
import type { PatternPoint } from '../pattern/index.ts'
import { seeded } from '../units/index.ts'
import { FINE, noFit } from './no-fit.ts'
import { shapeOf, type NestItem, type NestShape } from './nest-shapes.ts'

export interface ClothWidth {
  widthMm: number
  /** Least way between two pieces. */
  gapMm: number
  /** Cloth with a direction: no piece is turned round. */
  oneWay: boolean
  /** What cloth loses in the wash, as a share: along and across. Pieces are laid as much larger. */
  shrink?: number | readonly [along: number, across: number]
}

export interface NestBudget {
  /** How long to search, ms, or how many orders to try. */
  budgetMs?: number
  orders?: number
  seed: number
  /** Hears of every better lay. */
  onBetter?: (lay: Nest) => void
}

export interface PlacedPiece {
  id: string
  copy: number
  turned: boolean
  mirrored: boolean
  /** On the cloth, mm: x along it, y across. */
  outline: PatternPoint[]
}

export interface Nest {
  lengthMm: number
  placed: PlacedPiece[]
  /** Wider than the cloth, either way. */
  unplaced: string[]
  /** No lay is shorter than this. */
  boundMm: number
  /** Boxes on shelves, as one lays by eye. */
  baselineMm: number
  /** Cloth in pieces to cloth used. */
  areaShare: number
  /** Orders tried. */
  orders: number
}

interface Copy {
  shape: NestShape
  copy: number
}

/** Room that counts as free along an edge, mm. */
const TOUCH_MM = 0.01
const MEAN_END = 0.15
const DEFAULT_ORDERS = 40

const turnedPath = (path: Path64): Path64 => path.map(({ x, y }) => ({ x: -x, y: -y }))
const movedPath = (path: Path64, dx: number, dy: number): Path64 => path.map(({ x, y }) => ({ x: x + dx, y: y + dy }))

/** No-fit polygons by pair of shapes: one sum serves a pair both ways and both turned. */
class Sums {
  readonly #known = new Map<string, Path64[]>()

  /** Where b may not lie beside an a at 0, 0; each as it is or turned round by half. */
  of(a: NestShape, aTurned: boolean, b: NestShape, bTurned: boolean): Path64[] {
    // Turning both turns the sum.
    if (aTurned) return this.of(a, false, b, !bTurned).map(turnedPath)
    if (a.key > b.key) {
      // The other way round: the sum of b and a, turned; with b turned it is turned back.
      const other = this.of(b, false, a, bTurned)
      return bTurned ? other : other.map(turnedPath)
    }
    const key = `${a.key}|${b.key}|${bTurned ? 1 : 0}`
    let found = this.#known.get(key)
    if (!found) {
      const parts = bTurned ? b.parts.map((part) => part.map(([x, y]): PatternPoint => [-x, -y])) : b.parts
      // Touching is allowed: the sum shrinks by next to nothing, so that a piece fits a gap of its own width.
      const sum = noFit(a.parts, parts)
      found = Clipper.inflatePaths(sum, -TOUCH_MM * FINE, JoinType.Miter, EndType.Polygon, 2)
      this.#known.set(key, found)
    }
    return found
  }
}

interface Laid {
  copy: Copy
  turned: boolean
  x: number
  y: number
}

/** The plain outline's box. */
const plainBox = (shape: NestShape, turned: boolean) =>
  turned ? { minX: -shape.lengthMm, maxX: 0, minY: -shape.widthMm, maxY: 0 } : { minX: 0, maxX: shape.lengthMm, minY: 0, maxY: shape.widthMm }

/** Lays copies one after the other, each where the lay grows least, then farthest to the left. */
function layInOrder(
  order: readonly Copy[],
  sums: Sums,
  { widthMm, oneWay }: ClothWidth,
  longest: number,
): { laid: Laid[]; lengthMm: number; score: number } | null {
  const laid: Laid[] = []
  let [lengthMm, ends, areas] = [0, 0, 0]
  for (const copy of order) {
    let best: { turned: boolean; x: number; y: number; length: number; right: number } | null = null
    for (const turned of oneWay ? [false] : [false, true]) {
      const box = plainBox(copy.shape, turned)
      const [lowY, highY] = [-box.minY, widthMm - box.maxY]
      if (highY < lowY - 1e-6) continue
      const lowX = -box.minX
      const blocked = laid.flatMap(({ copy: other, turned: otherTurned, x, y }) =>
        sums.of(other.shape, otherTurned, copy.shape, turned).map((path) => movedPath(path, Math.round(x * FINE), Math.round(y * FINE))),
      )
      const far = longest + box.maxX - box.minX + lowX
      for (const [x, y] of freeCorners(blocked, lowX, lowY, far, Math.max(lowY, highY))) {
        const right = x + box.maxX
        const length = Math.max(lengthMm, right)
        if (
          !best ||
          length < best.length - 1e-6 ||
          (length < best.length + 1e-6 && (right < best.right - 1e-6 || (right < best.right + 1e-6 && y < best.y - 1e-6)))
        )
          best = { turned, x, y, length, right }
      }
    }
    if (!best) return null
    laid.push({ copy, turned: best.turned, x: best.x, y: best.y })
    lengthMm = best.length
    ends += best.right * copy.shape.areaMm2
    areas += copy.shape.areaMm2
  }
  return { laid, lengthMm, score: lengthMm + (MEAN_END * ends) / (areas || 1) }
}

/** Corners of what is left free of a rectangle of places. */
function freeCorners(blocked: Path64[], minX: number, minY: number, maxX: number, maxY: number): [number, number][] {
  const low = { x: Math.round(minX * FINE), y: Math.round(minY * FINE) }
  // A piece as wide as the cloth has a line of places, not a field: a field of next to nothing is a line.
  const high = { x: Math.round(maxX * FINE), y: Math.max(low.y, Math.round(maxY * FINE)) }
  const slack = high.y - low.y < 4 ? 2 : 0
  const field: Path64 = [
    { x: low.x, y: low.y - slack },
    { x: high.x, y: low.y - slack },
    { x: high.x, y: high.y + slack },
    { x: low.x, y: high.y + slack },
  ]
  if (blocked.length === 0) return [[minX, minY]]
  const free = Clipper.difference([field], Clipper.union(blocked, FillRule.NonZero), FillRule.NonZero)
  return free.flatMap((path) => path.map(({ x, y }): [number, number] => [x / FINE, Math.min(high.y, Math.max(low.y, y)) / FINE]))
}

/** Boxes on shelves: the tallest first, each where it still fits. */
function shelves(copies: readonly Copy[], { widthMm, gapMm }: ClothWidth): number {
  const boxes = copies.map(({ shape }) => ({ long: shape.lengthMm, wide: shape.widthMm })).sort((a, b) => b.long - a.long)
  const rows: { long: number; left: number }[] = []
  for (const { long, wide } of boxes) {
    const row = rows.find(({ left }) => left >= wide - 1e-9)
    if (row) row.left -= wide + gapMm
    else rows.push({ long, left: widthMm - wide - gapMm })
  }
  return rows.reduce((sum, { long }) => sum + long, 0) + gapMm * Math.max(0, rows.length - 1)
}

/**
 * Lays outlines on cloth as short as a search finds (no-fit polygons, pieces as they are or turned by half, four starting
 * orders, then annealing on the order).
 *
 * @param items outlines, mm, x along the cloth; pieces on the fold already opened
 * @param cloth its width, the gap and whether it has a direction
 * @param budget how long to search; the same seed and number of orders give the same lay
 * @throws RangeError for cloth of no width, or an outline that is none
 */
export function nestPieces(items: readonly NestItem[], cloth: ClothWidth, budget: NestBudget): Nest {
  const { widthMm, gapMm, shrink = 0 } = cloth
  if (!(widthMm > 0) || !Number.isFinite(widthMm) || !(gapMm >= 0)) throw new RangeError('cloth has a width over 0 mm and a gap of 0 or more')
  const [along, across] = typeof shrink === 'number' ? [shrink, shrink] : shrink
  if (!(along >= 0 && along < 0.9 && across >= 0 && across < 0.9)) throw new RangeError('cloth loses a share from 0 to 0.9 in the wash')
  const shapes = new Map<string, NestShape>()
  const copies = items.flatMap(({ id, outline, count = 1, mirrored = false }) => {
    if (outline.length < 3 || outline.some((p) => !p.every(Number.isFinite))) throw new RangeError(`${id} has no outline`)
    const sized = outline.map(([x, y]): PatternPoint => [x / (1 - along), y / (1 - across)])
    return Array.from({ length: count }, (_, k): Copy => {
      const over = mirrored && k % 2 === 1
      const key = `${id}${over ? '~' : ''}`
      const shape = shapes.get(key) ?? shapeOf(id, sized, over, gapMm)
      shapes.set(key, shape)
      return { shape, copy: k + 1 }
    })
  })
  const fits = copies.filter(({ shape }) => shape.widthMm <= widthMm + 1e-6)
  const unplaced = copies.filter((copy) => !fits.includes(copy)).map(({ shape }) => shape.id)
  const area = fits.reduce((sum, { shape }) => sum + shape.areaMm2, 0)
  const boundMm = Math.max(area / widthMm, ...fits.map(({ shape }) => shape.lengthMm), 0)
  const baselineMm = shelves(fits, cloth)
  const done = (laid: readonly Laid[], lengthMm: number, orders: number): Nest => ({
    lengthMm,
    placed: laid.map(({ copy: { shape, copy }, turned, x, y }) => ({
      id: shape.id, copy, turned, mirrored: shape.mirrored,
      outline: shape.outline.map(([px, py]): PatternPoint => (turned ? [x - px, y - py] : [x + px, y + py])),
    })),
    unplaced,
    boundMm,
    baselineMm,
    areaShare: lengthMm > 0 ? area / (lengthMm * widthMm) : 0,
    orders,
  }) // prettier-ignore
  if (fits.length === 0) return done([], 0, 0)

  const random = seeded(budget.seed)
  const sums = new Sums()
  const until = budget.budgetMs === undefined ? Infinity : performance.now() + budget.budgetMs
  const most = budget.orders ?? (budget.budgetMs === undefined ? DEFAULT_ORDERS : Infinity)
  const by = (of: (shape: NestShape) => number): Copy[] => [...fits].sort((a, b) => of(b.shape) - of(a.shape))
  const starts = [by((s) => s.areaMm2), by((s) => s.lengthMm), by((s) => s.widthMm), by((s) => s.lengthMm + s.widthMm)]
  const longest = baselineMm + boundMm
  let tried = 0
  let best: ReturnType<typeof layInOrder> = null
  let now: { order: Copy[]; score: number } | null = null
  const tryOrder = (order: Copy[]): number => {
    tried++
    const lay = layInOrder(order, sums, cloth, longest)
    if (!lay) return Infinity
    if (!best || lay.lengthMm < best.lengthMm - 1e-6) {
      best = lay
      budget.onBetter?.(done(lay.laid, lay.lengthMm, tried))
    }
    return lay.score
  }
  const finished = (): boolean => tried >= most || (tried > 0 && performance.now() >= until) || (best !== null && best.lengthMm <= boundMm + 1e-6)
  for (const order of starts) {
    if (finished()) break
    const score = tryOrder(order)
    if (!now || score < now.score) now = { order, score }
  }
  let heat = 0.03
  while (now && fits.length > 1 && !finished()) {
    const order = [...now.order]
    const [i, k] = [Math.floor(random() * order.length), Math.floor(random() * order.length)]
    if (random() < 0.5) {
      const held = order[i] as Copy
      order[i] = order[k] as Copy
      order[k] = held
    } else {
      const [moved] = order.splice(i, 1)
      if (moved) order.splice(k, 0, moved)
    }
    const score = tryOrder(order)
    if (score < now.score || random() < Math.exp((now.score - score) / (heat * now.score))) now = { order, score }
    heat = Math.max(0.002, heat * 0.985)
  }
  const found = best as ReturnType<typeof layInOrder>
  return found ? done(found.laid, found.lengthMm, tried) : done([], 0, tried)
}
