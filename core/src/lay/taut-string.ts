import { corridorAt, LAST_CUT, type Skin } from '../form/index.ts'
import {
  ANGLE,
  angleInto,
  angleOn,
  BY_ANGLE,
  BY_ANGLE_TWICE,
  BY_CUT,
  BY_CUT_TWICE,
  insideSection,
  POINT,
  pointInto,
  SECTION,
  sectionInto,
} from './skin-point.ts'

/*
 * Strings a lay pulls taut again and again. `form`'s own tautAlong and tautAround answer one question from nothing; these
 * keep where they lay, give the slope of their length by their ends, and allocate nothing at a turn.
 */

const QUARTER = Math.PI / 2
const TURNS = 40
const ROUNDS = 24
/** Beside the size of the dog: a corner that pulls less has settled. */
const SETTLED = 1e-8
const LIFT = 1e-6
/** Stretches of a string along the body, and round half of it. */
const ALONG = 12
const AROUND = 16

/** A string over corners that each have one way to move: by the angle on their cut, or by the cut at their angle. */
export interface TautString {
  by: 'angle' | 'cut'
  /** Corners, the far one in the air included. */
  corners: number
  /** The last corner hangs in the air. */
  inAir: boolean
  cuts: Float64Array
  angles: Float64Array
  touches: Uint8Array
  points: Float64Array
  sections: Float64Array
  turns: Float64Array
  /** Angles it is held at between the forelegs, by corner: where the next search for them begins. */
  held: Float64Array
  length: number
  /** Slopes of the length: by cut and angle of its first end, by cut and angle of its second, by its place in the air. */
  slopes: { fromCut: number; fromAngle: number; toCut: number; toAngle: number; air: [number, number, number] }
  laid: boolean
}

function newString(by: TautString['by'], stretches: number): TautString {
  const most = stretches + 2
  return {
    by,
    corners: stretches + 1,
    inAir: false,
    cuts: new Float64Array(most),
    angles: new Float64Array(most),
    touches: new Uint8Array(most).fill(1),
    points: new Float64Array(most * POINT),
    sections: new Float64Array(most * SECTION),
    turns: new Float64Array(most * ANGLE),
    held: new Float64Array(most).fill(NaN),
    length: 0,
    slopes: { fromCut: 0, fromAngle: 0, toCut: 0, toAngle: 0, air: [0, 0, 0] },
    laid: false,
  }
}
export const stringAlong = (): TautString => newString('angle', ALONG)
export const stringAround = (): TautString => newString('cut', AROUND)

const [gradient, diagonal, off, step, ratio, before] = Array.from({ length: 6 }, () => new Float64Array(32)) as [
  Float64Array, Float64Array, Float64Array, Float64Array, Float64Array, Float64Array,
] // prettier-ignore
const live = new Int32Array(32)
const most = new Float64Array(32)
/** How the angle a corner is held at moves with its cut. */
const mostByCut = new Float64Array(32)

const gap = (points: Float64Array, a: number, b: number): number => {
  const [i, j] = [a * POINT, b * POINT]
  const x = (points[j] as number) - (points[i] as number)
  const y = (points[j + 1] as number) - (points[i + 1] as number)
  const z = (points[j + 2] as number) - (points[i + 2] as number)
  return Math.sqrt(x * x + y * y + z * z)
}

function gather({ touches, corners }: TautString): number {
  let m = 0
  for (let i = 0; i < corners; i++) if (touches[i]) live[m++] = i
  return m
}

function lengthOf(points: Float64Array, m: number): number {
  let sum = 0
  for (let j = 1; j < m; j++) sum += gap(points, live[j - 1] as number, live[j] as number)
  return sum
}

function place(skin: Skin, string: TautString, i: number): void {
  const isRing = string.by === 'cut'
  // A ring's corners keep their angles, a string along the body its cuts.
  if (isRing) sectionInto(skin, string.cuts[i] as number, string.sections, i * SECTION)
  else angleInto(string.angles[i] as number, string.turns, i * ANGLE)
  pointInto(string.sections, i * SECTION, string.turns, i * ANGLE, string.points, i * POINT, isRing)
}

/** Damped Newton on what the corners can move by; `isFree`: the last of a ring slides on the topline. */
function relax(skin: Skin, string: TautString, isFree: boolean): void {
  const { points, angles, cuts, by } = string
  const m = gather(string)
  const [d, dd] = by === 'angle' ? [BY_ANGLE, BY_ANGLE_TWICE] : [BY_CUT, BY_CUT_TWICE]
  const dof = by === 'angle' ? angles : cuts
  const end = isFree ? m : m - 1
  const n = end - 1
  if (n < 1) return
  let damping = 0
  let length = lengthOf(points, m)
  const settled = SETTLED * skin.size
  for (let turn = 0; turn < TURNS; turn++) {
    let steepest = 0
    for (let j = 1; j < end; j++) {
      const i = live[j] as number
      const here = i * POINT
      const px = points[here] as number
      const py = points[here + 1] as number
      const pz = points[here + 2] as number
      const dx = points[here + d] as number
      const dy = points[here + d + 1] as number
      const dz = points[here + d + 2] as number
      const square = dx * dx + dy * dy + dz * dz
      const ex = points[here + dd] as number
      const ey = points[here + dd + 1] as number
      const ez = points[here + dd + 2] as number
      const a = (live[j - 1] as number) * POINT
      let x = px - (points[a] as number)
      let y = py - (points[a + 1] as number)
      let z = pz - (points[a + 2] as number)
      let l = Math.sqrt(x * x + y * y + z * z) || 1e-9
      let along = (dx * x + dy * y + dz * z) / l
      let g = along
      let h = (square - along * along) / l + (ex * x + ey * y + ez * z) / l
      off[j - 1] = 0
      if (j + 1 < m) {
        const b = (live[j + 1] as number) * POINT
        x = (points[b] as number) - px
        y = (points[b + 1] as number) - py
        z = (points[b + 2] as number) - pz
        l = Math.sqrt(x * x + y * y + z * z) || 1e-9
        along = (dx * x + dy * y + dz * z) / l
        g -= along
        h += (square - along * along) / l - (ex * x + ey * y + ez * z) / l
        if (j + 1 < end) {
          const nx = points[b + d] as number
          const ny = points[b + d + 1] as number
          const nz = points[b + d + 2] as number
          off[j - 1] = -(dx * nx + dy * ny + dz * nz - (along * (nx * x + ny * y + nz * z)) / l) / l
        }
      }
      // Held at the forelegs: it may come away from them, not go through.
      if (by === 'angle' && (angles[i] as number) >= (most[i] as number) - 1e-9 && g < 0) {
        g = 0
        h = 1e9
      }
      gradient[j - 1] = g
      diagonal[j - 1] = h
      if (Math.abs(g) > steepest) steepest = Math.abs(g)
    }
    if (steepest < settled) break
    for (let j = 1; j < end; j++) before[j] = dof[live[j] as number] as number
    let moved = false
    for (let attempt = 0; attempt < 12 && !moved; attempt++) {
      if (!tridiagonal(n, damping * skin.size)) {
        damping = Math.max(0.01, damping * 8)
        continue
      }
      for (let j = 1; j < end; j++) {
        const i = live[j] as number
        const by1 = Math.max(-0.5, Math.min(0.5, step[j - 1] as number))
        const at = (before[j] as number) - by1
        dof[i] = by === 'angle' ? Math.max(-QUARTER, Math.min(most[i] as number, at)) : Math.max(0, Math.min(LAST_CUT, at))
        place(skin, string, i)
      }
      const now = lengthOf(points, m)
      if (now <= length + 1e-12 * skin.size) {
        moved = true
        const gain = length - now
        length = now
        damping = damping < 1e-3 ? 0 : damping / 8
        if (gain < 1e-13 * skin.size) return
      } else damping = Math.max(0.01, damping * 8)
    }
    if (!moved) {
      for (let j = 1; j < end; j++) {
        const i = live[j] as number
        dof[i] = before[j] as number
        place(skin, string, i)
      }
      return
    }
  }
}

/** Solves for a step; false where the curvature is not positive. */
function tridiagonal(n: number, damping: number): boolean {
  let pivot = (diagonal[0] as number) + damping
  if (!(pivot > 1e-12)) return false
  step[0] = (gradient[0] as number) / pivot
  for (let j = 1; j < n; j++) {
    ratio[j - 1] = (off[j - 1] as number) / pivot
    pivot = (diagonal[j] as number) + damping - (off[j - 1] as number) * (ratio[j - 1] as number)
    if (!(pivot > 1e-12)) return false
    step[j] = ((gradient[j] as number) - (off[j - 1] as number) * (step[j - 1] as number)) / pivot
  }
  for (let j = n - 2; j >= 0; j--) step[j] = (step[j] as number) - (ratio[j] as number) * (step[j + 1] as number)
  return true
}

const scratch = new Float64Array(SECTION)

/** Lets go where the string pulls away from the skin, takes hold where a free stretch would cut through. */
function liftOff(skin: Skin, string: TautString): boolean {
  const { points, touches, sections, angles, cuts, by } = string
  const m = gather(string)
  let changed = false
  for (let j = 1; j < m - 1; j++) {
    const i = live[j] as number
    const o = i * POINT
    const [la, lb] = [gap(points, live[j - 1] as number, i) || 1e-9, gap(points, i, live[j + 1] as number) || 1e-9]
    const [a, b] = [(live[j - 1] as number) * POINT, (live[j + 1] as number) * POINT]
    // Outward: square to both slopes, away from the section's middle.
    const sx = points[o + 3] as number
    const sy = points[o + 4] as number
    const sz = points[o + 5] as number
    const ax = points[o + 6] as number
    const ay = points[o + 7] as number
    const az = points[o + 8] as number
    let [nx, ny, nz] = [sy * az - sz * ay, sz * ax - sx * az, sx * ay - sy * ax]
    const size = Math.sqrt(nx * nx + ny * ny + nz * nz) || 1e-12
    const inward = nx * (points[o + 12] as number) + ny * (points[o + 13] as number) + nz * (points[o + 14] as number)
    const way = inward > 0 ? -size : size
    nx /= way
    ny /= way
    nz /= way
    const kink =
      nx * (((points[b] as number) - (points[o] as number)) / lb - ((points[o] as number) - (points[a] as number)) / la) +
      ny * (((points[b + 1] as number) - (points[o + 1] as number)) / lb - ((points[o + 1] as number) - (points[a + 1] as number)) / la) +
      nz * (((points[b + 2] as number) - (points[o + 2] as number)) / lb - ((points[o + 2] as number) - (points[a + 2] as number)) / la)
    if (kink > LIFT) {
      touches[i] = 0
      changed = true
      j++ // Its neighbours are judged again once the string has settled.
    }
  }
  const left = gather(string)
  for (let j = 1; j < left; j++) {
    const [from, to] = [live[j - 1] as number, live[j] as number]
    for (let i = from + 1; i < to; i++) {
      const [a, b] = [from * POINT, to * POINT]
      if (by === 'angle') {
        const s = i * SECTION
        const [nx, nz] = [-((sections[s + 1] as number) - (sections[s + 3] as number)), (sections[s] as number) - (sections[s + 2] as number)]
        const side = (k: number): number =>
          ((points[k] as number) - (sections[s + 2] as number)) * nx + ((points[k + 2] as number) - (sections[s + 3] as number)) * nz
        const [f, g] = [side(a), side(b)]
        if (f * g >= 0) continue
        const t = f / (f - g)
        const [x, y, z] = [0, 1, 2].map((k) => (points[a + k] as number) + t * ((points[b + k] as number) - (points[a + k] as number))) as [
          number,
          number,
          number,
        ]
        if (insideSection(sections, s, x, y, z) < 1 - LIFT) {
          touches[i] = 1
          angles[i] = Math.min(most[i] as number, angleOn(sections, s, x, y, z))
          place(skin, string, i)
          changed = true
        }
      } else {
        const t = (i - from) / (to - from)
        const [x, y, z] = [0, 1, 2].map((k) => (points[a + k] as number) + t * ((points[b + k] as number) - (points[a + k] as number))) as [
          number,
          number,
          number,
        ]
        const cut = cutThrough(skin, x, z, (cuts[from] as number) + t * ((cuts[to] as number) - (cuts[from] as number)))
        if (insideSection(scratch, 0, x, y, z) < 1 - LIFT) {
          touches[i] = 1
          cuts[i] = cut
          place(skin, string, i)
          changed = true
        }
      }
    }
  }
  return changed
}

/** The cut in whose plane a point lies, near a guess; its section is left in the scratch. */
function cutThrough(skin: Skin, x: number, z: number, guess: number): number {
  let cut = guess
  for (let turn = 0; turn < 8; turn++) {
    sectionInto(skin, cut, scratch, 0)
    const [tx, tz, ux, uz] = [scratch[0], scratch[1], scratch[2], scratch[3]] as unknown as [number, number, number, number]
    const [dtx, dtz, dux, duz] = [scratch[7], scratch[8], scratch[9], scratch[10]] as unknown as [number, number, number, number]
    const [ex, ez] = [tx - ux, tz - uz]
    const away = (x - ux) * ez - (z - uz) * ex
    const slope = -dux * ez + (x - ux) * (dtz - duz) + duz * ex - (z - uz) * (dtx - dux)
    if (Math.abs(away) < 1e-9 || Math.abs(slope) < 1e-12) break
    cut = Math.min(LAST_CUT, Math.max(0, cut - Math.max(-0.5, Math.min(0.5, away / slope))))
  }
  sectionInto(skin, cut, scratch, 0)
  return cut
}

/** Slopes by the cut, which a string along the body needs only where it has come to rest. */
function fill({ corners, inAir, touches, sections, turns, points }: TautString): void {
  for (let i = 0; i < corners - (inAir ? 1 : 0); i++) if (touches[i]) pointInto(sections, i * SECTION, turns, i * ANGLE, points, i * POINT, true)
}

function relaxToRest(skin: Skin, string: TautString, isFree: boolean): void {
  for (let round = 0; round < ROUNDS; round++) {
    relax(skin, string, isFree)
    if (string.by === 'angle') fill(string)
    if (!liftOff(skin, string)) break
  }
  mostByCut.fill(0)
  if (string.by === 'angle')
    for (let i = 1; i < string.corners - 1; i++)
      if (string.touches[i] && (most[i] as number) < QUARTER && (string.angles[i] as number) >= (most[i] as number) - 1e-9) {
        const there = (string.cuts[i] as number) + 1e-4
        sectionInto(skin, there, scratch, 0)
        mostByCut[i] = (corridorAngle(scratch, 0, corridorAt(skin, there), most[i]) - (most[i] as number)) / 1e-4
      }
  gatherSlopes(string)
}

/** Slopes of the length by its ends: they follow from how it leaves them, and from its corners where those move with them. */
function gatherSlopes(string: TautString): void {
  const { points, slopes, by, inAir, corners } = string
  const m = gather(string)
  const last = corners - (inAir ? 2 : 1)
  slopes.fromCut = 0
  slopes.toCut = 0
  slopes.fromAngle = 0
  slopes.toAngle = 0
  let whole = 0
  let [ix, iy, iz] = [0, 0, 0]
  for (let j = 0; j < m; j++) {
    const i = live[j] as number
    const o = i * POINT
    let [ox, oy, oz] = [0, 0, 0]
    if (j + 1 < m) {
      const b = (live[j + 1] as number) * POINT
      const l = gap(points, i, live[j + 1] as number) || 1e-9
      whole += l
      ox = ((points[b] as number) - (points[o] as number)) / l
      oy = ((points[b + 1] as number) - (points[o + 1] as number)) / l
      oz = ((points[b + 2] as number) - (points[o + 2] as number)) / l
    }
    const [fx, fy, fz] = [ix - ox, iy - oy, iz - oz]
    if (inAir && i === corners - 1) slopes.air = [fx, fy, fz]
    else {
      let byCut = fx * (points[o + 3] as number) + fy * (points[o + 4] as number) + fz * (points[o + 5] as number)
      if (by === 'angle') {
        const share = i / last
        if (i > 0 && i < last && mostByCut[i] !== 0)
          byCut += (mostByCut[i] as number) * (fx * (points[o + 6] as number) + fy * (points[o + 7] as number) + fz * (points[o + 8] as number))
        slopes.fromCut += byCut * (1 - share)
        slopes.toCut += byCut * share
      } else if (i === 0) slopes.fromCut = byCut
      else if (i === last) slopes.toCut = byCut
      if (i === 0 || i === last) {
        const byAngle = fx * (points[o + 6] as number) + fy * (points[o + 7] as number) + fz * (points[o + 8] as number)
        if (i === 0) slopes.fromAngle = byAngle
        else slopes.toAngle = byAngle
      }
    }
    ;[ix, iy, iz] = [ox, oy, oz]
  }
  string.length = whole
}

/** Greatest angle at which the skin stays within the half breadth between the forelegs. */
function corridorAngle(section: Float64Array, s: number, half: number, near = NaN): number {
  const w = section[s + 4] as number
  if (half >= w) return QUARTER
  const p = section[s + 6] as number
  let angle = near > -QUARTER && near < -1e-6 ? near : -Math.acos(Math.max(0, half) / w)
  for (let turn = 0; turn < 14; turn++) {
    const [c, n] = [Math.cos(angle), -Math.sin(angle)]
    const [cp, np] = [c ** p, n ** p]
    const sum = cp + np
    const r = sum ** (-1 / p)
    const y = w * r * c
    const slope = w * r * (n - (cp * n - (np * c * c) / n) / sum)
    const miss = y - half
    if (Math.abs(miss) < 1e-11 * w) break
    const next = angle - miss / (slope || 1e-9)
    angle = next > -QUARTER + 1e-9 && next < 0 ? next : (angle + (miss > 0 ? -QUARTER : 0)) / 2
  }
  return angle
}

/**
 * Pulls a string taut along the body, from a place to one further back or to a point in the air behind it.
 *
 * @param held it runs between the forelegs
 * @param air where it ends in the air; the angle at the last cut is then its own
 */
export function pullAlong(
  skin: Skin,
  string: TautString,
  fromCut: number,
  fromAngle: number,
  toCut: number,
  toAngle: number,
  held: boolean,
  air: readonly [number, number, number] | null,
): void {
  const { cuts, angles, sections, points } = string
  const last = ALONG
  const fresh = !string.laid || string.inAir !== (air !== null)
  string.inAir = air !== null
  string.corners = last + 1 + (air ? 1 : 0)
  const [movedFrom, movedTo] = fresh ? [0, 0] : [fromAngle - (angles[0] as number), air ? 0 : toAngle - (angles[last] as number)]
  for (let i = 0; i <= last; i++) {
    const share = i / last
    cuts[i] = fromCut + (toCut - fromCut) * share
    sectionInto(skin, cuts[i] as number, sections, i * SECTION)
    let wasHeld = false
    if (held && i > 0) {
      wasHeld = !fresh && (angles[i] as number) >= (string.held[i] as number) - 1e-9
      string.held[i] = corridorAngle(sections, i * SECTION, corridorAt(skin, cuts[i] as number), string.held[i])
      most[i] = Math.max(string.held[i] as number, i === last ? toAngle : -QUARTER)
    } else most[i] = QUARTER
    const at = fresh ? fromAngle + (toAngle - fromAngle) * share : (angles[i] as number) + movedFrom * (1 - share) + movedTo * share
    angles[i] = i === 0 ? fromAngle : i === last && !air ? toAngle : wasHeld ? (most[i] as number) : Math.max(-QUARTER, Math.min(most[i] as number, at))
    if (fresh) string.touches[i] = 1
    place(skin, string, i)
  }
  if (air) {
    const o = (last + 1) * POINT
    points.fill(0, o, o + POINT)
    points[o] = air[0]
    points[o + 1] = air[1]
    points[o + 2] = air[2]
    string.touches[last + 1] = 1
  } else string.touches[last] = 1
  string.touches[0] = 1
  string.laid = true
  relaxToRest(skin, string, false)
}

/**
 * Pulls half a ring taut, from the underline up the left side to the topline; `null` above: it slides to where the ring is
 * shortest.
 */
export function pullAround(skin: Skin, string: TautString, underCut: number, topCut: number | null): void {
  const { cuts, angles } = string
  const fresh = !string.laid
  const top = topCut ?? (fresh ? underCut : (cuts[AROUND] as number))
  const [movedUnder, movedTop] = fresh ? [0, 0] : [underCut - (cuts[0] as number), top - (cuts[AROUND] as number)]
  for (let i = 0; i <= AROUND; i++) {
    const share = i / AROUND
    if (fresh) {
      angles[i] = -QUARTER + Math.PI * share
      angleInto(angles[i] as number, string.turns, i * ANGLE)
    }
    const at = fresh ? underCut + (top - underCut) * share : (cuts[i] as number) + movedUnder * (1 - share) + movedTop * share
    cuts[i] = Math.max(0, Math.min(LAST_CUT, i === 0 ? underCut : i === AROUND ? top : at))
    if (fresh) string.touches[i] = 1
    place(skin, string, i)
  }
  string.touches[0] = 1
  string.touches[AROUND] = 1
  string.laid = true
  relaxToRest(skin, string, topCut === null)
  refine(string)
}

/** A ring's corners stand for a curve: with every second of them the length is carried on to it (Richardson). */
function refine(string: TautString): void {
  const m = gather(string)
  if (m !== string.corners) return
  let coarse = 0
  for (let i = 2; i < string.corners; i += 2) coarse += gap(string.points, i - 2, i)
  const fine = string.length
  string.length = fine + (fine - coarse) / 3
}

/** The corners a string touches, and its ends: x, y, z, left side. */
export function pointsOf({ points, touches, corners }: TautString): [number, number, number][] {
  const out: [number, number, number][] = []
  for (let i = 0; i < corners; i++) if (touches[i]) out.push([points[i * POINT] as number, points[i * POINT + 1] as number, points[i * POINT + 2] as number])
  return out
}
