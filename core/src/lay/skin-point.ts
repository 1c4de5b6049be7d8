import { LAST_CUT, type Skin } from '../form/index.ts'

/** Numbers of a section in a skin's cubics: topline, underline, half breadth, where it is widest, exponent. */
const KEYS = 7
const PER_PIECE = KEYS * 4
/** A section at a cut: its numbers, their slopes by the cut, and the slopes of those. */
export const SECTION = KEYS * 3

/** Writes a section's numbers, slopes and second slopes. */
export function sectionInto({ cubics }: Skin, cut: number, out: Float64Array, o: number): void {
  const i = Math.min(LAST_CUT - 1, Math.max(0, Math.floor(cut)))
  const t = cut - i
  let at = i * PER_PIECE
  for (let k = 0; k < KEYS; k++, at += 4) {
    const b = cubics[at + 1] as number
    const c = cubics[at + 2] as number
    const d = cubics[at + 3] as number
    out[o + k] = (cubics[at] as number) + t * (b + t * (c + t * d))
    out[o + KEYS + k] = b + t * (2 * c + 3 * d * t)
    out[o + 2 * KEYS + k] = 2 * c + 6 * d * t
  }
}

/** A point of the skin: itself, its slopes by cut and by angle, and the slopes of these, each x, y, z. */
export const POINT = 15
export const BY_CUT = 3
export const BY_ANGLE = 6
export const BY_CUT_TWICE = 9
export const BY_ANGLE_TWICE = 12

/** What of an angle a point is made from: cosine, sine, and the logarithms of their sizes. */
export const ANGLE = 4
export function angleInto(angle: number, out: Float64Array, o: number): void {
  let c = Math.cos(angle)
  if (c < 1e-9) c = 0
  const n = Math.sin(angle)
  out[o] = c
  out[o + 1] = n
  out[o + 2] = c > 0 ? Math.log(c) : -Infinity
  out[o + 3] = n === 0 ? -Infinity : Math.log(n < 0 ? -n : n)
}

/**
 * Writes the point of a section at an angle (-pi/2 underline, 0 widest, pi/2 topline) with its slopes. The second slope by
 * the angle is taken as the way back to the section's middle: exact for an ellipse, near enough to steer by.
 *
 * @param byCutToo with the slopes by the cut; without them those are left as they were
 */
export function pointInto(section: Float64Array, s: number, angle: Float64Array, a: number, out: Float64Array, o: number, byCutToo: boolean): void {
  const tx = section[s] as number
  const tz = section[s + 1] as number
  const ux = section[s + 2] as number
  const uz = section[s + 3] as number
  const w = section[s + 4] as number
  const v = section[s + 5] as number
  const p = section[s + 6] as number
  const c = angle[a] as number
  const n = angle[a + 1] as number
  const lc = angle[a + 2] as number
  const ln = angle[a + 3] as number
  const cp = c > 0 ? Math.exp(p * lc) : 0
  const np = n === 0 ? 0 : Math.exp(p * ln)
  const sum = cp + np
  const ls = Math.log(sum)
  const r = Math.exp(-ls / p)
  const dr = (-r * ((n === 0 ? 0 : (np / n) * c) - (c > 0 ? (cp / c) * n : 0))) / sum
  const up = n >= 0
  const share = up ? 1 - v : v
  const h = v + share * r * n
  const ha = share * (dr * n + r * c)
  const ex = tx - ux
  const ez = tz - uz
  const y = w * r * c
  out[o] = ux + h * ex
  out[o + 1] = y
  out[o + 2] = uz + h * ez
  out[o + 6] = ha * ex
  out[o + 7] = w * (dr * c - r * n)
  out[o + 8] = ha * ez
  out[o + 12] = (v - h) * ex
  out[o + 13] = -y
  out[o + 14] = (v - h) * ez
  if (!byCutToo) return
  const dw = section[s + 11] as number
  const dv = section[s + 12] as number
  const dp = section[s + 13] as number
  const byCut = dp === 0 ? 0 : r * dp * (ls / (p * p) - ((c > 0 ? cp * lc : 0) + (n === 0 ? 0 : np * ln)) / (sum * p))
  const hs = dv + ((up ? -dv : dv) * r + share * byCut) * n
  const dex = (section[s + 7] as number) - (section[s + 9] as number)
  const dez = (section[s + 8] as number) - (section[s + 10] as number)
  const ddux = section[s + 16] as number
  const dduz = section[s + 17] as number
  out[o + 3] = (section[s + 9] as number) + hs * ex + h * dex
  out[o + 4] = (dw * r + w * byCut) * c
  out[o + 5] = (section[s + 10] as number) + hs * ez + h * dez
  out[o + 9] = ddux + 2 * hs * dex + h * ((section[s + 14] as number) - ddux)
  out[o + 10] = ((section[s + 18] as number) * r + 2 * dw * byCut) * c
  out[o + 11] = dduz + 2 * hs * dez + h * ((section[s + 15] as number) - dduz)
}

/** 1 on a section's skin, less inside, for a point in its plane. */
export function insideSection(section: Float64Array, s: number, x: number, y: number, z: number): number {
  const ux = section[s + 2] as number
  const uz = section[s + 3] as number
  const ex = (section[s] as number) - ux
  const ez = (section[s + 1] as number) - uz
  const v = section[s + 5] as number
  const p = section[s + 6] as number
  const up = ((x - ux) * ex + (z - uz) * ez) / (ex * ex + ez * ez || 1e-12) - v
  return Math.abs(y / (section[s + 4] as number)) ** p + Math.abs(up / (up >= 0 ? 1 - v : v)) ** p
}

/** The angle on a section at which a point in its plane lies. */
export function angleOn(section: Float64Array, s: number, x: number, y: number, z: number): number {
  const ux = section[s + 2] as number
  const uz = section[s + 3] as number
  const ex = (section[s] as number) - ux
  const ez = (section[s + 1] as number) - uz
  const v = section[s + 5] as number
  const up = ((x - ux) * ex + (z - uz) * ez) / (ex * ex + ez * ez || 1e-12) - v
  return Math.atan2(up / (up >= 0 ? 1 - v : v), Math.abs(y) / (section[s + 4] as number))
}
