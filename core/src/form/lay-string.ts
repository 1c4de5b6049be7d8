import { distance, emptyNode, heightShare, node, pointOn, type Node, type Point3 } from './point-on.ts'
import type { Station } from './stations.ts'

/** Where a string lies: an angle on each cut (0 the widest place, -pi/2 the underline, pi/2 the topline), and which cuts it touches. */
export interface Lay {
  angles: Float64Array
  touches: Uint8Array
}

/** Widest half breadth the string may keep to at a cut, e.g. between the forelegs; `Infinity` where it is free. */
export type Corridor = (cut: number) => number

// Indexes here run between bounds of their own loops: a checked read (`nth`) costs this innermost loop a fifth.
const QUARTER = Math.PI / 2
/** A string is settled once no corner pulls harder along its cut. */
const SETTLED = 1e-8
/** A contact is dropped, and taken up again, beyond this: one way and the other alike, so that a string moves smoothly with its ends. */
const LIFT = 1e-6
/** A hollow lets go from its middle outward, a corner or two at a time. */
const ROUNDS = 32

/** The greatest angle from the underline up at which the skin stays within a half breadth: Newton from the ellipse's own. */
export function corridorAngle(cut: Station, half: number): number {
  if (half >= cut.w) return QUARTER
  let [low, high] = [-QUARTER, 0]
  let angle = -Math.acos(Math.max(0, half) / cut.w)
  const at = emptyNode()
  for (let turn = 0; turn < 12; turn++) {
    const off = node(cut, angle, at).point[1] - half
    if (Math.abs(off) < 1e-12 * cut.w) break
    if (off < 0) low = angle
    else high = angle
    const next = angle - off / at.dy
    angle = at.dy > 0 && next > low && next < high ? next : (low + high) / 2
  }
  return angle
}

/**
 * The shortest string over a row of cuts, held at both ends, from the left side.
 *
 * Damped Newton on the angles (their Hessian is tridiagonal); where the string would leave the body the contact is
 * dropped and the string goes straight (lift-off, as over a tuck-up).
 *
 * @param cuts sections in the order the string crosses them
 * @param from angle on the first cut; @param to angle on the last
 * @param corridor half breadth the string is held in, by cut
 */
export function layString(cuts: readonly Station[], from: number, to: number, corridor: Corridor = () => Infinity, start?: Lay): Lay {
  const n = cuts.length
  const most = cuts.map((cut, i) => corridorAngle(cut, corridor(i)))
  const angles = start?.angles.slice() ?? Float64Array.from(cuts, (_, i) => from + ((to - from) * i) / (n - 1))
  angles[0] = from
  angles[n - 1] = to
  for (let i = 1; i < n - 1; i++) angles[i] = Math.min(angles[i] ?? 0, (most[i] ?? QUARTER) - 1e-3)
  const touches = start?.touches.slice() ?? new Uint8Array(n).fill(1)
  const nodes = cuts.map((cut, i) => node(cut, angles[i] ?? 0, emptyNode()))
  for (let round = 0; round < ROUNDS; round++) {
    relax(cuts, nodes, angles, touches, most)
    if (!liftOff(cuts, nodes, touches)) break
  }
  return { angles, touches }
}

function relax(cuts: readonly Station[], nodes: Node[], angles: Float64Array, touches: Uint8Array, most: readonly number[]): void {
  const live = [...cuts.keys()].filter((i) => touches[i])
  const m = live.length - 2
  if (m < 1) return
  const [gradient, diagonal, off, step] = [new Float64Array(m), new Float64Array(m), new Float64Array(m), new Float64Array(m)]
  const trial = new Float64Array(angles.length)
  let damping = 1e-3
  let length = lengthOf(nodes, live)
  for (let turn = 0; turn < 40; turn++) {
    let steepest = 0
    for (let j = 0; j < m; j++) {
      const [a, b, c] = [nodes[live[j] ?? 0], nodes[live[j + 1] ?? 0], nodes[live[j + 2] ?? 0]] as [Node, Node, Node]
      const [ix, iy, iz] = [b.point[0] - a.point[0], b.point[1] - a.point[1], b.point[2] - a.point[2]]
      const [ox, oy, oz] = [c.point[0] - b.point[0], c.point[1] - b.point[1], c.point[2] - b.point[2]]
      const inLength = Math.sqrt(ix * ix + iy * iy + iz * iz) || 1e-9
      const outLength = Math.sqrt(ox * ox + oy * oy + oz * oz) || 1e-9
      const inDot = (b.dx * ix + b.dy * iy + b.dz * iz) / inLength
      const outDot = (b.dx * ox + b.dy * oy + b.dz * oz) / outLength
      const square = b.dx * b.dx + b.dy * b.dy + b.dz * b.dz
      const held = (angles[live[j + 1] ?? 0] ?? 0) >= (most[live[j + 1] ?? 0] ?? QUARTER) - 1e-9 && inDot - outDot < 0
      gradient[j] = held ? 0 : inDot - outDot
      // The second derivative of a point is taken as its way back to the middle, exact for an ellipse.
      const cut = cuts[live[j + 1] ?? 0] as Station
      const [mx, mz] = [b.point[0] - (cut.ux + cut.v * (cut.tx - cut.ux)), b.point[2] - (cut.uz + cut.v * (cut.tz - cut.uz))]
      const bend = -((ix / inLength - ox / outLength) * mx + (iy / inLength - oy / outLength) * b.point[1] + (iz / inLength - oz / outLength) * mz)
      diagonal[j] = held ? 1e6 : (square - inDot * inDot) / inLength + (square - outDot * outDot) / outLength + Math.max(0, bend)
      const next = nodes[live[j + 2] ?? 0] as Node
      const nextDot = (next.dx * ox + next.dy * oy + next.dz * oz) / outLength
      off[j] = -(b.dx * next.dx + b.dy * next.dy + b.dz * next.dz - outDot * nextDot) / outLength
      steepest = Math.max(steepest, Math.abs(gradient[j] ?? 0))
    }
    if (steepest < SETTLED) return
    let moved = false
    for (let attempt = 0; attempt < 8 && !moved; attempt++) {
      solveTridiagonal(diagonal, off, gradient, damping, step)
      trial.set(angles)
      for (let j = 0; j < m; j++) {
        const i = live[j + 1] ?? 0
        const by = Math.max(-0.5, Math.min(0.5, step[j] ?? 0))
        trial[i] = Math.max(-QUARTER, Math.min(most[i] ?? QUARTER, (angles[i] ?? 0) - by))
        node(cuts[i] as Station, trial[i] ?? 0, nodes[i] as Node)
      }
      const shorter = lengthOf(nodes, live)
      if (shorter <= length + 1e-12) {
        moved = true
        const gain = length - shorter
        length = shorter
        angles.set(trial)
        damping = Math.max(1e-6, damping / 6)
        if (gain < 1e-13) return
      } else damping = Math.max(0.02, damping * 8)
    }
    if (!moved) {
      for (let j = 0; j < m; j++) node(cuts[live[j + 1] ?? 0] as Station, angles[live[j + 1] ?? 0] ?? 0, nodes[live[j + 1] ?? 0] as Node)
      return
    }
  }
}

function lengthOf(nodes: readonly Node[], live: readonly number[]): number {
  let sum = 0
  for (let j = 1; j < live.length; j++) {
    const [a, b] = [(nodes[live[j - 1] ?? 0] as Node).point, (nodes[live[j] ?? 0] as Node).point]
    sum += distance(a, b)
  }
  return sum
}

function solveTridiagonal(diagonal: Float64Array, off: Float64Array, right: Float64Array, damping: number, out: Float64Array): void {
  const m = diagonal.length
  const ratio = new Float64Array(m)
  let pivot = (diagonal[0] ?? 1) * (1 + damping) + 1e-9
  out[0] = (right[0] ?? 0) / pivot
  for (let j = 1; j < m; j++) {
    ratio[j - 1] = (off[j - 1] ?? 0) / pivot
    pivot = (diagonal[j] ?? 1) * (1 + damping) + 1e-9 - (off[j - 1] ?? 0) * (ratio[j - 1] ?? 0)
    if (Math.abs(pivot) < 1e-9) pivot = 1e-9
    out[j] = ((right[j] ?? 0) - (off[j - 1] ?? 0) * (out[j - 1] ?? 0)) / pivot
  }
  for (let j = m - 2; j >= 0; j--) out[j] = (out[j] ?? 0) - (ratio[j] ?? 0) * (out[j + 1] ?? 0)
}

/**
 * Takes contacts off where the string pulls away from the body; puts one back where a free stretch would cut through.
 *
 * @returns whether anything changed
 */
function liftOff(cuts: readonly Station[], nodes: Node[], touches: Uint8Array): boolean {
  const live = [...cuts.keys()].filter((i) => touches[i])
  let changed = false
  for (let j = 1; j < live.length - 1; j++) {
    const i = live[j] ?? 0
    const [a, b, c] = [nodes[live[j - 1] ?? 0], nodes[i], nodes[live[j + 1] ?? 0]] as [Node, Node, Node]
    const [inLength, outLength] = [distance(a.point, b.point) || 1e-9, distance(b.point, c.point) || 1e-9]
    const pull = [0, 1, 2].map((k) => ((c.point[k] ?? 0) - (b.point[k] ?? 0)) / outLength - ((b.point[k] ?? 0) - (a.point[k] ?? 0)) / inLength)
    if (dot(pull, outward(cuts[i] as Station, b)) > LIFT) {
      touches[i] = 0
      changed = true
      j++ // Its neighbours are judged again once the string has settled.
    }
  }
  const left = [...cuts.keys()].filter((i) => touches[i])
  for (let j = 1; j < left.length; j++) {
    const [from, to] = [left[j - 1] ?? 0, left[j] ?? 0]
    for (let i = from + 1; i < to; i++) {
      const cut = cuts[i] as Station
      const at = crossing((nodes[from] as Node).point, (nodes[to] as Node).point, cut)
      if (at && inside(cut, at) < 1 - LIFT) {
        touches[i] = 1
        node(cut, angleOf(cut, at), nodes[i] as Node)
        changed = true
      }
    }
  }
  return changed
}

const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0)

/** Outward in the plane of the cut, square to the skin's edge there. */
function outward(cut: Station, at: Node): [number, number, number] {
  const height = Math.hypot(cut.tx - cut.ux, cut.tz - cut.uz) || 1e-9
  const [ex, ez] = [(cut.tx - cut.ux) / height, (cut.tz - cut.uz) / height]
  const along = at.dx * ex + at.dz * ez
  const [ny, nUp] = [along, -at.dy]
  const size = Math.hypot(ny, nUp) || 1e-9
  return [(nUp / size) * ex, ny / size, (nUp / size) * ez]
}

/** Where a straight stretch meets a cut's plane. */
function crossing(a: Point3, b: Point3, cut: Station): Point3 | null {
  const [nx, nz] = [-(cut.tz - cut.uz), cut.tx - cut.ux]
  const [from, to] = [(a[0] - cut.ux) * nx + (a[2] - cut.uz) * nz, (b[0] - cut.ux) * nx + (b[2] - cut.uz) * nz]
  if (from * to >= 0) return null
  const t = from / (from - to)
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]
}

/** 1 on the skin, less inside. */
function inside(cut: Station, at: Point3): number {
  const up = heightShare(cut, at) - cut.v
  return (Math.abs(at[1] / cut.w) ** cut.p + Math.abs(up / (up >= 0 ? 1 - cut.v : cut.v)) ** cut.p) ** (1 / cut.p)
}

function angleOf(cut: Station, at: Point3): number {
  const up = heightShare(cut, at) - cut.v
  return Math.atan2(up / (up >= 0 ? 1 - cut.v : cut.v), Math.abs(at[1]) / cut.w)
}

/** The string's corners, those in the air left out; `kept` says which cuts they belong to. */
export function stringPoints(cuts: readonly Station[], lay: Lay): { points: Point3[]; kept: number[] } {
  const kept = [...cuts.keys()].filter((i) => lay.touches[i])
  return { points: kept.map((i) => pointOn(cuts[i] as Station, lay.angles[i] ?? 0)), kept }
}
