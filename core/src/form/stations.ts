import type { Proportions } from './parameters.ts'

/**
 * One cut through the skin: a point on the topline, one on the underline, and a superellipse between them. The planes
 * fan: throat, neck base (withers to breastbone, oblique), girth (vertical), tail.
 */
export interface Station {
  /** Topline and underline in the side plane: x forward of the withers, z above the floor. */
  tx: number
  tz: number
  ux: number
  uz: number
  /** Half width, and how far up between underline and topline the widest place lies (0 to 1). */
  w: number
  v: number
  /** Superellipse exponent. */
  p: number
}

export const STATION_NAMES = [
  'nose', 'muzzle', 'stop', 'skull', 'throat', 'collar', 'neckBase', 'withers', 'shoulder', 'girth', 'sternumEnd', 'lastRib', 'waist', 'hip', 'rump', 'tail',
] as const // prettier-ignore
export type StationName = (typeof STATION_NAMES)[number]
export type Stations = Record<StationName, Station>

/** Exponent of neck and head sections. */
const ROUND = 2.1
/** Head axis below the horizontal, radians. */
export const NOD = 0.32

const mix = (a: number, b: number, t: number): number => a + (b - a) * t

/** A station half-way (or at share `t`) between two, straight. */
export const between = (a: Station, b: Station, t: number): Station => ({
  tx: mix(a.tx, b.tx, t),
  tz: mix(a.tz, b.tz, t),
  ux: mix(a.ux, b.ux, t),
  uz: mix(a.uz, b.uz, t),
  w: mix(a.w, b.w, t),
  v: mix(a.v, b.v, t),
  p: mix(a.p, b.p, t),
})

/** The underline between the forelegs, back lengths above the floor. */
const brisketHeight = (k: Proportions): number => k.elbow - k.elbowOver * k.depth

/**
 * Cuts the skin of one dog.
 *
 * @param k proportions; the back length is left out: everything here is in back lengths
 */
export function cutStations(k: Proportions): Stations {
  const [D, W, p] = [k.depth, k.depth * k.width, k.exponent]
  const brisket = brisketHeight(k)
  const H = brisket + D
  const [xGirth, xTail] = [-(k.elbowBack + 0.06), -0.992]
  const xSternum = xGirth - k.sternum
  const xRib = xSternum - k.rib
  const xHip = -0.865
  // The waist stays between ribs and hip however long the cage.
  const xWaist = mix(Math.max(xRib, xHip + 0.1), xHip, 0.58)
  const trunk = (tx: number, tz: number, ux: number, depth: number, w: number, v: number): Station => ({ tx, tz, ux, uz: tz - depth, w, v, p })

  const withers: Station = { tx: 0, tz: H, ux: k.ahead, uz: H - k.drop * D, w: (k.neckBase * W) / 2, v: 0.5, p: mix(ROUND, p, 0.6) }
  const shoulder = trunk(-0.05, H - 0.004, 0.07 - k.elbowBack, 0, (k.shoulder * W * 0.97) / 2, 0.5)
  shoulder.uz = brisket + 0.035 * D
  const girth = trunk(xGirth, H - 0.012, xGirth, 0, W / 2, 0.54)
  girth.uz = brisket
  const sternumEnd = trunk(
    xSternum,
    H - 0.02 + 0.25 * k.loin,
    xSternum,
    D * mix(1, k.ribDepth, 0.3) - 0.02 + 0.25 * k.loin,
    (W / 2) * mix(1, k.ribWidth, 0.7),
    0.54,
  )
  const lastRib = trunk(xRib, H - 0.018 + 0.7 * k.loin, xRib, D * k.ribDepth - 0.018 + 0.7 * k.loin, (W / 2) * k.ribWidth, 0.53)
  const waist = trunk(xWaist, H - 0.012 + k.loin - 0.1 * k.croup, xWaist, k.waistDepth * D, (k.waistWidth * W) / 2, 0.52)
  const hipDepth = D * (0.5 * k.waistDepth + 0.36)
  const hip = trunk(xHip, H - 0.014 + 0.5 * k.loin - 0.4 * k.croup, xHip + 0.02, hipDepth, (k.hipWidth * W) / 2, 0.55)
  const rump = trunk(-0.955, H - 0.012 - 0.78 * k.croup, -0.965, hipDepth * 0.72, (k.hipWidth * W * 0.74) / 2, 0.55)
  const tail = trunk(xTail, H - k.croup, -1.0, hipDepth * 0.2, (k.hipWidth * W * 0.22) / 2, 0.5)

  // The neck's top runs from the withers to the throat along its angle; its depth stands square to that.
  const [ca, sa] = [Math.cos(k.neckAngle), Math.sin(k.neckAngle)]
  const collarDepth = k.collarDepth * D
  const along = (share: number, depth: number, w: number): Station => {
    const [tx, tz] = [k.neckLength * ca * share, H + k.neckLength * sa * share]
    return { tx, tz, ux: tx + sa * depth, uz: tz - ca * depth, w, v: 0.52, p: ROUND }
  }
  const collarHalf = (k.collarWidth * collarDepth) / 2
  const collar = along(0.62, collarDepth, collarHalf)
  const throat = along(1, collarDepth * 0.97, collarHalf * 0.97)
  const neckBase = between(withers, collar, 0.42)
  neckBase.p = ROUND

  const L = k.head
  const [skullWidth, skullDepth] = [k.skullWidth * L, k.skullWidth * k.skullDepth * L]
  const [cn, sn] = [Math.cos(NOD), Math.sin(NOD)]
  const muzzleDepth = k.muzzleDepth * skullDepth
  // The head hangs on at the occiput, a little above and ahead of the throat's top.
  const origin = { x: throat.tx + 0.02 * L, z: throat.tz - 0.04 * L }
  const head = (share: number, above: number, depth: number, w: number): Station => {
    const [x, z] = [origin.x + L * share * cn + above * sn, origin.z - L * share * sn + above * cn]
    return { tx: x, tz: z, ux: x - depth * sn, uz: z - depth * cn, w, v: 0.55, p: ROUND }
  }
  const stopAt = 1 - k.muzzle
  const muzzleTop = -(0.42 * skullDepth - 0.2 * muzzleDepth)
  return {
    nose: head(1, muzzleTop, muzzleDepth * 0.62, skullWidth * 0.17),
    muzzle: head(mix(stopAt, 1, 0.5), muzzleTop + 0.02 * skullDepth, muzzleDepth, skullWidth * 0.24),
    stop: head(stopAt, -0.2 * skullDepth, mix(muzzleDepth, skullDepth, 0.45), skullWidth * 0.36),
    skull: head(stopAt * 0.5, 0.06 * skullDepth, skullDepth, skullWidth / 2),
    throat,
    collar,
    neckBase,
    withers,
    shoulder,
    girth,
    sternumEnd,
    lastRib,
    waist,
    hip,
    rump,
    tail,
  }
}

/**
 * The edge of the rib cage on the side of the trunk: an arch from the sternum's end, low, up and back to the last rib
 * near the spine. It passes the parameter's place half-way up.
 *
 * @param h share of the way from underline (0) to topline (1)
 * @returns x, back lengths
 */
export const ribArch = (k: Proportions, h: number): number => -(k.elbowBack + 0.06) - k.sternum - k.rib * (1.62 * Math.max(0, h) ** 0.7)
