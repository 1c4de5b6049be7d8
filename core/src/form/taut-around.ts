import type { TautString } from './taut-along.ts'
import { distance, type Point3 } from './point-on.ts'
import { askCut, LAST_CUT, sectionAt, sectionSlope, type Skin } from './skin.ts'
import type { Station } from './stations.ts'

/** Half a ring round the body, from the underline up. */
export interface TautRing extends TautString {
  /** Where it meets the topline. */
  topCut: number
}

const CORNERS = 16
const TURNS = 30
const SETTLED = 1e-7
/** One way and the other: less is neither on the skin nor off it. */
const LIFT = 1e-6
const ROUNDS = 32

/** A place of the skin with its first and second slopes by the cut, and outward. */
interface Corner {
  point: [number, number, number]
  slope: [number, number, number]
  bend: [number, number, number]
}
type Vector = readonly [number, number, number]

const minus = (a: Vector, b: Vector): [number, number, number] => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const over = (a: Vector, by: number): [number, number, number] => [a[0] / by, a[1] / by, a[2] / by]
const cross = (a: Vector, b: Vector): [number, number, number] => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]

/** The point at a cut and an angle, how it moves from cut to cut, and how that changes (the exponent's own bend apart). */
function cornerAt(skin: Skin, cut: number, angle: number): Corner {
  const [s, d, dd] = [sectionAt(skin, cut), sectionSlope(skin, cut, 1), sectionSlope(skin, cut, 2)]
  const [c, n] = [Math.abs(angle) > Math.PI / 2 - 1e-12 ? 0 : Math.cos(angle), Math.sin(angle)]
  const [ac, an] = [Math.abs(c), Math.abs(n)]
  const sum = ac ** s.p + an ** s.p
  const r = sum ** (-1 / s.p)
  const byP = Math.log(sum) / s.p ** 2 - ((ac > 0 ? ac ** s.p * Math.log(ac) : 0) + (an > 0 ? an ** s.p * Math.log(an) : 0)) / (sum * s.p)
  const dr = r * byP * d.p
  const [share, dShare] = n >= 0 ? [1 - s.v, -d.v] : [s.v, d.v]
  const h = s.v + share * r * n
  const dh = d.v + (dShare * r + share * dr) * n
  const place = (top: 'tx' | 'tz', under: 'ux' | 'uz'): [number, number, number] => [
    s[under] + h * (s[top] - s[under]),
    d[under] + dh * (s[top] - s[under]) + h * (d[top] - d[under]),
    dd[under] + 2 * dh * (d[top] - d[under]) + h * (dd[top] - dd[under]),
  ]
  const [x, dx, ddx] = place('tx', 'ux')
  const [z, dz, ddz] = place('tz', 'uz')
  return {
    point: [x, s.w * r * c, z],
    slope: [dx, (d.w * r + s.w * dr) * c, dz],
    bend: [ddx, (dd.w * r + 2 * d.w * dr) * c, ddz],
  }
}

interface Ring {
  cuts: Float64Array
  touches: Uint8Array
  corners: Corner[]
}

const angleOf = (i: number): number => -Math.PI / 2 + (Math.PI * i) / CORNERS

const lengthOf = (corners: readonly Corner[], live: readonly number[]): number => {
  let sum = 0
  for (let j = 1; j < live.length; j++) sum += distance((corners[live[j - 1] as number] as Corner).point, (corners[live[j] as number] as Corner).point)
  return sum
}

/** Slope and bend of the length by the cut of one corner, and its tie to the next. */
function pullAt(before: Corner | undefined, here: Corner, after: Corner | undefined): { gradient: number; diagonal: number; off: number } {
  let [gradient, diagonal, off] = [0, 0, 0]
  const square = dot(here.slope, here.slope)
  for (const [other, isAfter] of [
    [before, false],
    [after, true],
  ] as const) {
    // prettier-ignore
    if (!other) continue
    const length = distance(here.point, other.point) || 1e-12
    const along = over(minus(here.point, other.point), length)
    const by = dot(here.slope, along)
    gradient += by
    diagonal += (square - by * by) / length + dot(here.bend, along)
    if (isAfter) off = -(dot(here.slope, other.slope) - by * dot(other.slope, along)) / length
  }
  return { gradient, diagonal, off }
}

/** Damped Newton on the corners' cuts; with a free top that one moves as well. */
function relax(skin: Skin, ring: Ring, isFree: boolean): void {
  const { cuts, corners, touches } = ring
  const live = [...cuts.keys()].filter((i) => touches[i])
  const moving = live.slice(1, isFree ? undefined : -1)
  const m = moving.length
  if (m === 0) return
  const [gradient, diagonal, off] = [new Float64Array(m), new Float64Array(m), new Float64Array(m)]
  let damping = 0
  let length = lengthOf(corners, live)
  for (let turn = 0; turn < TURNS; turn++) {
    let steepest = 0
    for (let j = 0; j < m; j++) {
      const after = live[j + 2]
      const pull = pullAt(corners[live[j] as number], corners[moving[j] as number] as Corner, after === undefined ? undefined : corners[after])
      gradient[j] = pull.gradient
      diagonal[j] = pull.diagonal
      off[j] = pull.off
      steepest = Math.max(steepest, Math.abs(pull.gradient))
    }
    if (steepest < SETTLED * skin.size) return
    const before = cuts.slice()
    let moved = false
    for (let attempt = 0; attempt < 10 && !moved; attempt++) {
      const step = tridiagonal(diagonal, off, gradient, damping * skin.size)
      if (step) {
        for (let j = 0; j < m; j++) {
          const i = moving[j] as number
          cuts[i] = Math.min(LAST_CUT, Math.max(0, (before[i] as number) - Math.max(-0.5, Math.min(0.5, step[j] as number))))
          corners[i] = cornerAt(skin, cuts[i], angleOf(i))
        }
        const now = lengthOf(corners, live)
        if (now <= length + 1e-13 * skin.size) {
          moved = true
          const gain = length - now
          length = now
          damping /= 8
          if (gain < 1e-12 * skin.size && turn > 1) return
        }
      }
      if (!moved) damping = Math.max(0.01, damping * 8)
    }
    if (!moved) {
      for (const i of moving) {
        cuts[i] = before[i] as number
        corners[i] = cornerAt(skin, cuts[i], angleOf(i))
      }
      return
    }
  }
}

/** Solves the symmetric tridiagonal system; `null` where it is not positive definite. */
function tridiagonal(diagonal: Float64Array, off: Float64Array, right: Float64Array, damping: number): Float64Array | null {
  const m = diagonal.length
  const [out, ratio] = [new Float64Array(m), new Float64Array(m)]
  let pivot = (diagonal[0] as number) + damping
  if (!(pivot > 1e-12)) return null
  out[0] = (right[0] as number) / pivot
  for (let j = 1; j < m; j++) {
    ratio[j - 1] = (off[j - 1] as number) / pivot
    pivot = (diagonal[j] as number) + damping - (off[j - 1] as number) * (ratio[j - 1] as number)
    if (!(pivot > 1e-12)) return null
    out[j] = ((right[j] as number) - (off[j - 1] as number) * (out[j - 1] as number)) / pivot
  }
  for (let j = m - 2; j >= 0; j--) out[j] = (out[j] as number) - (ratio[j] as number) * (out[j + 1] as number)
  return out
}

/** Outward from the skin at a corner, of length one. */
function outwardAt(skin: Skin, cut: number, i: number, corner: Corner): Vector {
  const turn = 1e-4
  const round = minus(cornerAt(skin, cut, angleOf(i) + turn).point, cornerAt(skin, cut, angleOf(i) - turn).point)
  const normal = cross(round, corner.slope)
  const s = sectionAt(skin, cut)
  const middle: Vector = [s.ux + s.v * (s.tx - s.ux), 0, s.uz + s.v * (s.tz - s.uz)]
  const size = Math.hypot(...normal) || 1e-12
  return over(normal, dot(normal, minus(corner.point, middle)) < 0 ? -size : size)
}

/** Lets go of corners the string pulls away from, and takes hold again where a free stretch would cut through. */
function liftOff(skin: Skin, ring: Ring): boolean {
  const { cuts, touches, corners } = ring
  const live = [...cuts.keys()].filter((i) => touches[i])
  let changed = false
  for (let j = 1; j < live.length - 1; j++) {
    const i = live[j] as number
    const [a, b, c] = [corners[live[j - 1] as number], corners[i], corners[live[j + 1] as number]] as [Corner, Corner, Corner]
    const into = over(minus(b.point, a.point), distance(a.point, b.point) || 1e-12)
    const out = over(minus(c.point, b.point), distance(b.point, c.point) || 1e-12)
    if (dot(minus(out, into), outwardAt(skin, cuts[i] as number, i, b)) > LIFT) {
      touches[i] = 0
      changed = true
      j += 1 // Its neighbours are judged again once the string has settled.
    }
  }
  const left = [...cuts.keys()].filter((i) => touches[i])
  for (let j = 1; j < left.length; j++) {
    const [from, to] = [left[j - 1] as number, left[j] as number]
    for (let i = from + 1; i < to; i++) {
      const t = (i - from) / (to - from)
      const [a, b] = [(corners[from] as Corner).point, (corners[to] as Corner).point]
      const at: Vector = [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])]
      const cut = cutThrough(skin, at, (cuts[from] as number) + t * ((cuts[to] as number) - (cuts[from] as number)))
      if (isInside(sectionAt(skin, cut), at)) {
        touches[i] = 1
        cuts[i] = cut
        corners[i] = cornerAt(skin, cut, angleOf(i))
        changed = true
      }
    }
  }
  return changed
}

/** The cut in whose plane a point lies, near a guess. */
function cutThrough(skin: Skin, at: Vector, guess: number): number {
  let cut = guess
  for (let turn = 0; turn < 8; turn++) {
    const [s, d] = [sectionAt(skin, cut), sectionSlope(skin, cut, 1)]
    const [ex, ez] = [s.tx - s.ux, s.tz - s.uz]
    const off = (at[0] - s.ux) * ez - (at[2] - s.uz) * ex
    const slope = -d.ux * ez + (at[0] - s.ux) * (d.tz - d.uz) + d.uz * ex - (at[2] - s.uz) * (d.tx - d.ux)
    if (Math.abs(slope) < 1e-12) break
    cut = Math.min(LAST_CUT, Math.max(0, cut - Math.max(-0.5, Math.min(0.5, off / slope))))
  }
  return cut
}

function isInside(s: Station, at: Vector): boolean {
  const [ex, ez] = [s.tx - s.ux, s.tz - s.uz]
  const up = ((at[0] - s.ux) * ex + (at[2] - s.uz) * ez) / (ex * ex + ez * ez || 1e-12) - s.v
  return Math.abs(at[1] / s.w) ** s.p + Math.abs(up / (up >= 0 ? 1 - s.v : s.v)) ** s.p < 1 - LIFT
}

/**
 * Half a taut ring round the body: from the underline at one cut up the left side to the topline at another. The shortest
 * on the skin, so shorter than the flat section through both; over hollows it goes straight. The coat is not in it.
 *
 * @param underCut 0 (throat) to 11 (tail), fractions between; @param topCut likewise, or `null`: the top slides to where the ring is shortest
 * @returns half the ring's length (corners extrapolated to a curve), where it meets the topline, and its corners; the skin's unit
 * @throws RangeError for a place that is not on the skin
 */
export function tautAround(skin: Skin, underCut: number, topCut: number | null): TautRing {
  askCut(underCut, 'the ring’s cut below')
  if (topCut !== null) askCut(topCut, 'the ring’s cut above')
  const end = topCut ?? underCut
  const cuts = Float64Array.from({ length: CORNERS + 1 }, (_, i) => underCut + ((end - underCut) * i) / CORNERS)
  const ring: Ring = { cuts, touches: new Uint8Array(CORNERS + 1).fill(1), corners: Array.from(cuts, (cut, i) => cornerAt(skin, cut, angleOf(i))) }
  for (let round = 0; round < ROUNDS; round++) {
    relax(skin, ring, topCut === null)
    if (!liftOff(skin, ring)) break
  }
  const live = [...cuts.keys()].filter((i) => ring.touches[i])
  const fine = lengthOf(ring.corners, live)
  const everySecond = live.filter((i) => i % 2 === 0)
  const isWhole = live.length === CORNERS + 1
  const points = live.map((i): Point3 => (ring.corners[i] as Corner).point)
  return { lengthMm: isWhole ? fine + (fine - lengthOf(ring.corners, everySecond)) / 3 : fine, topCut: cuts[CORNERS] as number, points }
}
