import { clothSection, LAST_CUT, lengthAlong, pointOn, sectionAt, skinOf, tautOver, type Flat, type Form, type Skin, type SkinStation } from '../form/index.ts'
import type { ClothPoint } from '../pattern/index.ts'

/** Cuts of the skin that pieces begin and end at: neck base, withers, girth, hip. */
export const [NECK, WITHERS, GIRTH, RIB, WAIST, HIP] = [2, 3, 5, 7, 8, 9] as const
export { LAST_CUT as TAIL }

const QUARTER = Math.PI / 2
/** Points a half section is drawn with before it is cut into even stretches. */
const FINE = 40
/** How much of the nape's corner the cloth bridges. Ours, of a trial. */
const NAPE = 0.7
/** The hem clears the tuck-up by this share of the body's height there. Ours. */
const CLEAR = 0.12

/** How cloth lies over one dog, mm. Sections run from a place of the back (`s`) to one of the underline. */
export interface ClothOver {
  /** The section at a place, coat and ease in it. */
  section: (s: number) => SkinStation
  /** The same with the roof cloth makes: taut over back and flanks. */
  roof: (s: number) => SkinStation
  /** Ring of a section, mm. */
  ring: (s: number) => number
  legFront: number
  legBack: number
  band: number
  /** Inner edges of the forelegs, half the way between them. */
  betweenLegsMm: number
  elbowMm: number
}

/** The place of the underline that belongs to one of the back: the breastbone under the neck seam, from the girth on its own. */
const below = (s: number): number => (s < GIRTH ? WITHERS + ((s - NECK) * (GIRTH - WITHERS)) / (GIRTH - NECK) : s)

/** Halves a bracket of a falling function until it is zero; past its ends, the end. */
export function fallsTo0(of: (s: number) => number, low: number, high: number): number {
  if (of(low) <= 0) return low
  if (of(high) >= 0) return high
  for (let turn = 0; turn < 50; turn++) {
    const middle = (low + high) / 2
    if (of(middle) > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** The left half of a section from the topline (0) to the underline. */
export const halfOf = (section: SkinStation, fine = FINE): ClothPoint[] =>
  Array.from({ length: 2 * fine + 1 }, (_, i) => pointOn(section, QUARTER - (i / (2 * fine)) * Math.PI))

/** A line cut into even stretches. */
export function evenCloth(points: readonly ClothPoint[], pieces: number): ClothPoint[] {
  const step = lengthAlong(points) / pieces
  const out: ClothPoint[] = [points[0] as ClothPoint]
  let [left, k] = [step, 1]
  let here = points[0] as ClothPoint
  while (out.length < pieces && k < points.length) {
    const next = points[k] as ClothPoint
    const long = Math.hypot(next[0] - here[0], next[1] - here[1], next[2] - here[2])
    if (long >= left && long > 0) {
      const t = left / long
      here = [here[0] + (next[0] - here[0]) * t, here[1] + (next[1] - here[1]) * t, here[2] + (next[2] - here[2]) * t]
      out.push(here)
      left = step
    } else {
      left -= long
      here = next
      k++
    }
  }
  while (out.length < pieces) out.push(points.at(-1) as ClothPoint)
  return [...out, points.at(-1) as ClothPoint]
}

/** A line as far as a length. */
export function upTo(points: readonly ClothPoint[], mm: number): ClothPoint[] {
  const out: ClothPoint[] = [points[0] as ClothPoint]
  let left = Math.max(1e-3, mm)
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as ClothPoint, points[i] as ClothPoint]
    const long = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2])
    if (long >= left) {
      const t = long > 0 ? left / long : 0
      return [...out, [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]]
    }
    out.push(b)
    left -= long
  }
  return out
}

/** Height of a taut string over the topline between two of its places. */
function tautRoof(skin: Skin, from: number, to: number): (x: number) => number {
  const line = Array.from({ length: 8 * (to - from) + 1 }, (_, i): Flat => {
    const { tx, tz } = sectionAt(skin, from + i / 8)
    return [tx, tz]
  })
  const hull = tautOver(line, 1)
  return (x) => {
    const k = hull.findIndex(([at]) => at <= x)
    if (k <= 0) return (hull[k < 0 ? hull.length - 1 : 0] as Flat)[1]
    const [a, b] = [hull[k - 1] as Flat, hull[k] as Flat]
    return a[0] === b[0] ? Math.max(a[1], b[1]) : a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0])
  }
}

/**
 * How cloth lies over a form: over the coat, with ease all round.
 *
 * @param measures rings and widths that decide, mm, and the half coat and ease that stand off the skin
 */
export function clothOver(
  form: Form,
  { m20Mm, m21Mm, m31Mm, coatMm, easeMm }: { m20Mm: number; m21Mm: number; m31Mm: number; coatMm: number; easeMm: number },
): ClothOver {
  const skin = skinOf(form)
  const out = Math.max(0, coatMm) + easeMm / (2 * Math.PI)
  const wide = (s: SkinStation): SkinStation => ({ ...s, w: Math.max(2, s.w + out), tz: s.tz + out, uz: s.uz - out })
  const section = (s: number): SkinStation => wide(clothSection(skin, s, below(s)))
  const [whole, trunk] = [tautRoof(skin, NECK, LAST_CUT), tautRoof(skin, WITHERS, LAST_CUT)]
  const [girth, hip] = [section(GIRTH), section(HIP)]
  const roof = (s: number): SkinStation => {
    const own = section(s)
    if (s < WITHERS) return { ...own, tz: Math.max(own.tz, own.tz + NAPE * (whole(own.tx) + out - own.tz)) }
    const napeLeft = Math.max(0, 1 - (s - WITHERS) / 1.5)
    const tz = Math.max(trunk(own.tx) + out, own.tz + NAPE * napeLeft * (whole(own.tx) + out - own.tz))
    if (s <= GIRTH) return { ...own, tz }
    if (s <= HIP) {
      const t = (girth.tx - own.tx) / Math.max(1, girth.tx - hip.tx)
      return { ...own, tz, w: Math.max(own.w, girth.w + (hip.w - girth.w) * t) }
    }
    // Behind the hip its own section is carried back under the croup: cloth does not wrap the buttock.
    return { tx: own.tx, ux: own.tx, tz, uz: tz - (hip.tz - hip.uz), w: hip.w * (1 - 0.1 * (s - HIP)), v: hip.v, p: hip.p }
  }
  const ring = (s: number): number => 2 * lengthAlong(halfOf(section(s)))
  const leg = m31Mm / Math.PI
  const elbow = form.landmarks.L06 ?? [girth.ux, girth.w, girth.uz]
  const under = (s: number): number => section(s).ux
  const legFront = fallsTo0((s) => under(s) - (elbow[0] + 1.05 * leg), NECK + 0.4, GIRTH - 0.4)
  // The band lies where the ring is the tape's, on the stretch from the ribs to the waist.
  const band = fallsTo0((s) => ring(s) - easeMm - m21Mm, RIB - 0.6, WAIST + 0.3)
  return {
    section,
    roof,
    ring,
    legFront,
    legBack: Math.min(GIRTH + 0.4, band - 0.8),
    band,
    betweenLegsMm: Math.max(0.12 * m20Mm, (m20Mm - leg) / 2),
    elbowMm: elbow[2],
  }
}

/** Where the hem hangs at a place: at its level as far as the girth, then rising to clear the tuck-up, to half the croup. */
export function hemMm(cloth: ClothOver, s: number, levelMm: number): number {
  const own = cloth.section(Math.min(s, HIP))
  if (s <= GIRTH) return levelMm
  const clear = own.uz + CLEAR * (own.tz - own.uz)
  const rise = Math.min(1, (s - GIRTH) / 0.8)
  const side = levelMm + rise * (Math.max(levelMm, clear) - levelMm)
  if (s <= HIP) return side
  const tail = cloth.roof(LAST_CUT)
  const end = tail.tz - 0.36 * (tail.tz - tail.uz)
  return side + ((end - side) * (s - HIP)) / (LAST_CUT - HIP)
}

const smooth = (t: number): number => {
  const s = Math.min(1, Math.max(0, t))
  return s * s * (3 - 2 * s)
}

/** The back's line down one side at a place: over the body to the chest's strip ahead of the leg, plumb to the hem behind it. */
export function backColumn(cloth: ClothOver, s: number, { frontMm, levelMm, rows }: { frontMm: number; levelMm: number; rows: number }): ClothPoint[] {
  const section = cloth.roof(s)
  const half = halfOf(section)
  const follow = (): ClothPoint[] => evenCloth(upTo(half, Math.max(0.2 * lengthAlong(half), lengthAlong(half) - frontMm)), rows)
  const hang = (): ClothPoint[] => {
    const hem = hemMm(cloth, s, levelMm)
    const roof = half.slice(0, FINE + 1)
    const widest = roof.at(-1) as ClothPoint
    if (hem < widest[2]) return evenCloth([...roof, [widest[0], widest[1], hem]], rows)
    const past = Math.max(
      2,
      roof.findIndex(([, , z]) => z < hem),
    )
    const [above, under] = [roof[past - 1] as ClothPoint, roof[past] as ClothPoint]
    const t = Math.min(1, Math.max(0, (above[2] - hem) / Math.max(1e-6, above[2] - under[2])))
    const end: ClothPoint = [above[0] + (under[0] - above[0]) * t, above[1] + (under[1] - above[1]) * t, above[2] + (under[2] - above[2]) * t]
    return evenCloth([...roof.slice(0, past), end], rows)
  }
  const share = smooth((s - cloth.legFront) / (GIRTH - cloth.legFront))
  if (share <= 0) return follow()
  if (share >= 1) return hang()
  const [a, b] = [follow(), hang()]
  return a.map((p, j): ClothPoint => {
    const q = b[j] as ClothPoint
    return [p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share, p[2] + (q[2] - p[2]) * share]
  })
}

/** Up one side from the underline at a place, so far. */
export const chestColumn = (cloth: ClothOver, s: number, wideMm: number, rows: number): ClothPoint[] =>
  evenCloth(upTo(halfOf(s <= GIRTH ? cloth.roof(s) : cloth.section(s)).reverse(), wideMm), rows)

/** How wide the chest piece is at a place: its front, then between the legs, then the side. */
export function chestWide(cloth: ClothOver, s: number, { frontMm, sideMm }: { frontMm: number; sideMm: (s: number) => number }): number {
  const { legFront, legBack, betweenLegsMm } = cloth
  if (s <= legFront) return frontMm
  const middle = (legFront + GIRTH) / 2
  if (s < middle) return frontMm + (Math.min(frontMm, betweenLegsMm) - frontMm) * smooth((s - legFront) / (middle - legFront))
  const narrow = Math.min(frontMm, betweenLegsMm)
  return narrow + (sideMm(s) - narrow) * smooth((s - middle) / (legBack - middle))
}

/** Places for columns: a whole one at every corner, even between. */
export function columnsThrough(corners: readonly number[], perUnit: number): { at: number[]; index: Map<number, number> } {
  const at: number[] = []
  const index = new Map<number, number>()
  corners.forEach((corner, k) => {
    const before = corners[k - 1]
    if (before !== undefined) {
      const pieces = Math.max(1, Math.round((corner - before) * perUnit))
      for (let i = 1; i < pieces; i++) at.push(before + ((corner - before) * i) / pieces)
    }
    index.set(corner, at.length)
    at.push(corner)
  })
  return { at, index }
}
