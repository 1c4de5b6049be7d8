import { Clipper, FillRule } from 'clipper2-ts'
import { flatArea, flatDistance, type PatternPoint } from './flat-point.ts'

/** One edge of a piece and what is added outside it, mm; `endMm` where the allowance runs into another one. */
export interface CutEdge {
  points: readonly PatternPoint[]
  allowanceMm: number
  endMm?: number
}

/** A mitre reaches at most this many allowances; a sharper corner is cut blunt. */
const MITRE = 4
/** Thousandths of a millimetre: what the union counts in. */
const FINE = 1000

/** A closed outline on the union's grid. */
const path = (points: readonly PatternPoint[]) =>
  (flatArea(points) < 0 ? [...points].reverse() : points).map(([x, y]) => ({ x: Math.round(x * FINE), y: Math.round(y * FINE) }))

interface Segment {
  a: PatternPoint
  b: PatternPoint
  /** Allowance at both ends. */
  from: number
  to: number
  /** Outward, of length 1. */
  nx: number
  ny: number
}

function segmentsOf(edges: readonly CutEdge[], turn: 1 | -1): Segment[] {
  return edges.flatMap(({ points, allowanceMm, endMm = allowanceMm }) => {
    const lengths = points.slice(1).map((p, i) => flatDistance(points[i] as PatternPoint, p))
    const whole = lengths.reduce((sum, each) => sum + each, 0) || 1
    let past = 0
    return lengths.flatMap((long, i): Segment[] => {
      const [a, b] = [points[i] as PatternPoint, points[i + 1] as PatternPoint]
      const from = allowanceMm + ((endMm - allowanceMm) * past) / whole
      past += long
      if (long < 1e-6) return []
      return [{ a, b, from, to: allowanceMm + ((endMm - allowanceMm) * past) / whole, nx: (turn * (b[1] - a[1])) / long, ny: (-turn * (b[0] - a[0])) / long }]
    })
  })
}

/** The corner cut square to both edges, or blunt where it would reach too far; `null` at an inner corner. */
function mitre(p: Segment, q: Segment, turn: 1 | -1): PatternPoint[] | null {
  const bend = turn * (-p.ny * q.nx + p.nx * q.ny)
  const [c, most] = [p.b, MITRE * Math.max(p.to, q.from)]
  if (bend <= 1e-9 || most <= 0) return null
  const before: PatternPoint = [c[0] + p.nx * p.to, c[1] + p.ny * p.to]
  const after: PatternPoint = [c[0] + q.nx * q.from, c[1] + q.ny * q.from]
  const det = p.nx * q.ny - p.ny * q.nx
  const x = (p.to * q.ny - q.from * p.ny) / det
  const y = (q.from * p.nx - p.to * q.nx) / det
  // Where a wide allowance meets a narrow one in a gentle bend both lines cross beyond the corner: then it is a square step.
  const [pastP, pastQ] = [
    (x - p.nx * p.to) * -p.ny * turn + (y - p.ny * p.to) * p.nx * turn,
    (x - q.nx * q.from) * -q.ny * turn + (y - q.ny * q.from) * q.nx * turn,
  ]
  if (Math.hypot(x, y) <= most + 1e-9 && pastP >= -1e-6 && pastQ <= 1e-6) return [c, before, [c[0] + x, c[1] + y], after]
  return [c, before, after]
}

/**
 * The line a piece is cut on: each edge moved out by its own allowance, mitred at the corners, without loops.
 *
 * @param edges closed, each beginning where the one before ends, in either direction round; mm
 * @returns one closed outline, mm, without its first point again; in the direction the edges run
 * @throws RangeError for edges that enclose nothing, that do not meet, or an allowance under 0
 */
export function cutLine(edges: readonly CutEdge[]): PatternPoint[] {
  const outline = edges.flatMap(({ points }) => points.slice(0, -1))
  if (outline.length < 3 || outline.some((point) => !point.every(Number.isFinite))) throw new RangeError('an outline has three corners or more, all numbers')
  edges.forEach(({ points, allowanceMm, endMm = 0 }, i) => {
    if (!(allowanceMm >= 0) || !(endMm >= 0)) throw new RangeError(`an allowance is 0 or more: ${allowanceMm}`)
    const [end, next] = [points.at(-1), edges[(i + 1) % edges.length]?.points[0]]
    if (!end || !next || flatDistance(end, next) > 0.01) throw new RangeError(`edge ${i + 1} does not end where the next begins`)
  })
  const area = flatArea(outline)
  if (Math.abs(area) < 1e-6) throw new RangeError('the edges enclose nothing')
  const turn = area > 0 ? 1 : -1
  const segments = segmentsOf(edges, turn)
  const parts = [path(outline)]
  segments.forEach((s, i) => {
    const next = segments[(i + 1) % segments.length] as Segment
    if (s.from > 0 || s.to > 0) parts.push(path([s.a, s.b, [s.b[0] + s.nx * s.to, s.b[1] + s.ny * s.to], [s.a[0] + s.nx * s.from, s.a[1] + s.ny * s.from]]))
    const corner = mitre(s, next, turn)
    if (corner) parts.push(path(corner))
  })
  const whole = Clipper.union(parts, FillRule.NonZero).map((each) => each.map(({ x, y }): PatternPoint => [x / FINE, y / FINE]))
  const [first] = whole.sort((p, q) => Math.abs(flatArea(q)) - Math.abs(flatArea(p)))
  if (!first) throw new RangeError('the edges enclose nothing')
  // Begun at an outermost place, which is a corner.
  const isBefore = (p: PatternPoint, q: PatternPoint): boolean => p[0] < q[0] || (p[0] === q[0] && p[1] < q[1])
  const start = first.reduce((best, p, i) => (isBefore(p, first[best] as PatternPoint) ? i : best), 0)
  const kept = plainer([...first.slice(start), ...first.slice(0, start)])
  return flatArea(kept) > 0 === area > 0 ? kept : kept.reverse()
}

/** Corners on straight lines say nothing: left out as long as none of those left out lies off the line by more than this, mm. */
const STRAIGHT_MM = 0.002

function plainer(outline: readonly PatternPoint[]): PatternPoint[] {
  const off = (p: PatternPoint, a: PatternPoint, b: PatternPoint): number => {
    const long = flatDistance(a, b)
    return long < 1e-9 ? flatDistance(p, a) : Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / long
  }
  const out: PatternPoint[] = []
  let left: PatternPoint[] = []
  outline.forEach((point, i) => {
    const before = out.at(-1)
    const after = outline[(i + 1) % outline.length]
    if (before && after && [...left, point].every((each) => off(each, before, after) <= STRAIGHT_MM)) {
      left.push(point)
      return
    }
    out.push(point)
    left = []
  })
  return out.length >= 3 ? out : [...outline]
}
