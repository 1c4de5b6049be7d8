import { proportionsOf } from './parameters.ts'
import { lengthAlong, pointOn, type Point3 } from './point-on.ts'
import { askCut, cutOf, LAST_CUT, sectionAt, sectionSlope, skinOf, type Skin } from './skin.ts'
import type { Form } from './form-type.ts'
import type { Station } from './stations.ts'

/** The left half of a flat section, from the topline down, and its whole ring. */
export interface FlatSection {
  half: Point3[]
  /** The whole ring on the skin, without the coat; the skin's unit. */
  ringMm: number
}

const STEPS = 32

/** Where between two cuts a function of the cut is zero: near a guess, by halving a bracket that grows. */
function zeroNear(of: (cut: number) => number, guess: number): number {
  const within = (cut: number): number => Math.min(LAST_CUT, Math.max(0, cut))
  let [low, high] = [within(guess), within(guess)]
  let [atLow, atHigh] = [of(low), of(high)]
  for (let reach = 0.25; atLow * atHigh > 0 && reach < 2 * LAST_CUT; reach *= 2) {
    ;[low, high] = [within(guess - reach), within(guess + reach)]
    ;[atLow, atHigh] = [of(low), of(high)]
  }
  // The plane passes this angle outside the skin: its end nearest to it.
  if (atLow * atHigh > 0) return Math.abs(atLow) < Math.abs(atHigh) ? low : high
  for (let turn = 0; turn < 60 && high - low > 1e-12; turn++) {
    const middle = (low + high) / 2
    const there = of(middle)
    if (there === 0) return middle
    if (there * atLow > 0) [low, atLow] = [middle, there]
    else high = middle
  }
  return (low + high) / 2
}

/**
 * The flat section, square to the dog's middle plane, through any place of the topline and any of the underline.
 *
 * @param topCut 0 (throat) to 11 (tail), fractions between; @param underCut likewise
 * @throws RangeError for a place that is not on the skin
 */
export function sectionThrough(skin: Skin, topCut: number, underCut: number): FlatSection {
  askCut(topCut, 'the section’s cut above')
  askCut(underCut, 'the section’s cut below')
  const [above, below] = [sectionAt(skin, topCut), sectionAt(skin, underCut)]
  const [ex, ez] = [above.tx - below.ux, above.tz - below.uz]
  const half = Array.from({ length: STEPS + 1 }, (_, i): Point3 => {
    if (i === 0) return [above.tx, 0, above.tz]
    if (i === STEPS) return [below.ux, 0, below.uz]
    const angle = Math.PI / 2 - (Math.PI * i) / STEPS
    const guess = underCut + ((topCut - underCut) * (1 + Math.sin(angle))) / 2
    const cut = zeroNear((at) => {
      const [x, , z] = pointOn(sectionAt(skin, at), angle)
      return (x - below.ux) * ez - (z - below.uz) * ex
    }, guess)
    return pointOn(sectionAt(skin, cut), angle)
  })
  const [fine, coarse] = [lengthAlong(half), lengthAlong(half.filter((_, i) => i % 2 === 0))]
  return { half, ringMm: 2 * (fine + (fine - coarse) / 3) }
}

/**
 * A section as cloth hangs over it, from any place of the topline to any of the underline: as wide and as rounded as the
 * cuts at both are on average.
 *
 * @param topCut 0 (throat) to 11 (tail), fractions between; @param underCut likewise
 * @throws RangeError for a place that is not on the skin
 */
export function clothSection(skin: Skin, topCut: number, underCut: number): Station {
  askCut(topCut, 'the section’s cut above')
  askCut(underCut, 'the section’s cut below')
  const [above, below] = [sectionAt(skin, topCut), sectionAt(skin, underCut)]
  const mean = (key: 'w' | 'v' | 'p'): number => (above[key] + below[key]) / 2
  return { tx: above.tx, tz: above.tz, ux: below.ux, uz: below.uz, w: mean('w'), v: mean('v'), p: mean('p') }
}

/** The cut at which the topline or the underline passes a place behind the withers; `null` ahead of them and behind the tail. */
export function cutBehind(skin: Skin, line: 'tx' | 'ux', x: number): number | null {
  const [withers, tail] = [cutOf('withers'), LAST_CUT]
  if (!(x <= sectionAt(skin, withers)[line]) || !(x >= sectionAt(skin, tail)[line])) return null
  let stretch = withers
  while (stretch < tail - 1 && sectionAt(skin, stretch + 1)[line] > x) stretch += 1
  let [low, high] = [stretch, stretch + 1]
  let cut = stretch + 0.5
  for (let turn = 0; turn < 40; turn++) {
    const off = sectionAt(skin, cut)[line] - x
    if (Math.abs(off) < 1e-12 * skin.size) break
    if (off > 0) low = cut
    else high = cut
    const next = cut - off / sectionSlope(skin, cut, 1)[line]
    cut = next > low && next < high ? next : (low + high) / 2
  }
  return cut
}

/** Height of the topline over a place behind the withers; past an end, that end's. */
export function toplineAt(skin: Skin, x: number): number {
  const cut = cutBehind(skin, 'tx', x) ?? (x > sectionAt(skin, cutOf('withers')).tx ? cutOf('withers') : LAST_CUT)
  return sectionAt(skin, cut).tz
}

/** Height of the underline over a place behind the breastbone; past an end, that end's. */
export function underlineAt(skin: Skin, x: number): number {
  const cut = cutBehind(skin, 'ux', x) ?? (x > sectionAt(skin, cutOf('withers')).ux ? cutOf('withers') : LAST_CUT)
  return sectionAt(skin, cut).uz
}

/** An upright section of a dog. */
export interface UprightCut {
  xMm: number
  topMm: number
  underMm: number
  /** Left half, from the topline down: out from the middle, up from the floor. */
  half: [yMm: number, zMm: number][]
  /** Whole ring, coat included. */
  ringMm: number
}

/**
 * The upright section of a form at a place.
 *
 * @param xMm forward of the withers, so minus on the trunk
 * @returns `null` ahead of the withers and behind the tail
 * @throws RangeError where the place is no number
 */
export function cutAt(form: Pick<Form, 'sections' | 'parameters'>, xMm: number): UprightCut | null {
  const { coat, back } = proportionsOf(form.parameters)
  return cutOn({ skin: skinOf(form), coatMm: coat * back }, xMm)
}

/** The same on a trunk that is at hand. */
export function cutOn({ skin, coatMm }: { skin: Skin; coatMm: number }, xMm: number): UprightCut | null {
  if (!Number.isFinite(xMm)) throw new RangeError(`the place of a cut is no number: ${xMm}`)
  const [top, under] = [cutBehind(skin, 'tx', xMm), cutBehind(skin, 'ux', xMm)]
  if (top === null || under === null) return null
  const { half, ringMm } = sectionThrough(skin, top, under)
  return {
    xMm,
    topMm: (half[0] as Point3)[2],
    underMm: (half.at(-1) as Point3)[2],
    half: half.map(([, y, z]) => [y, z]),
    ringMm: ringMm + 2 * Math.PI * coatMm,
  }
}
