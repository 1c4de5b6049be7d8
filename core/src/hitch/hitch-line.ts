import { allFamilies, type HitchBand } from '../gear/index.ts'
import type { FamilyId, LineBands } from '../model/index.ts'

const DEGREE = Math.PI / 180

/** Where one kind of harness ends and the next begins, radians above the horizontal from the dog. */
export interface HitchBands {
  /** Steeper down than this, or the load right behind: a wheel or stick harness. */
  wheelBelowRad: number
  /** Up to here a full-length harness; from here a half-back or short one. */
  fullToRad: number
  /** Steeper up than this: a longer line or a lower hitch. */
  halfToRad: number
}

/** Source: handbook 8.6 default bands, from memory, unverified; a shop may set its own. */
export const USUAL_BANDS: HitchBands = { wheelBelowRad: -10 * DEGREE, fullToRad: 5 * DEGREE, halfToRad: 20 * DEGREE }

/** A shop's own bands in degrees, as radians. */
export const lineBandsOf = ({ wheelBelowDeg, fullToDeg, halfToDeg }: LineBands): HitchBands => ({
  wheelBelowRad: wheelBelowDeg * DEGREE,
  fullToRad: fullToDeg * DEGREE,
  halfToRad: halfToDeg * DEGREE,
})

const madeFor = (band: HitchBand): FamilyId[] => allFamilies.filter(({ line }) => line === band).map(({ id }) => id)

/** Families by the band they are made for. */
export const FAMILIES_AT: Readonly<Record<HitchBand, readonly FamilyId[]>> = {
  wheel: madeFor('wheel'),
  'full-length': madeFor('full-length'),
  'half-back': madeFor('half-back'),
  'too-steep': madeFor('too-steep'),
}

export interface HitchQuestion {
  /** Heights above the floor. */
  pullPointMm: number
  hitchMm: number
  /** Level distance from pull point to hitch; or the taut line's own length instead. */
  horizontalMm?: number
  lineMm?: number
}

export interface HitchLine {
  /** Positive where the line rises from the dog. */
  angleRad: number
  /** Rise (positive) or fall over a metre of level way. */
  risePerMetreMm: number
  /** Share of the pull that lifts (positive) or presses down (negative) at the harness: the sine of the angle. */
  pressShare: number
  band: HitchBand
  lineMm: number
  horizontalMm: number
}

export const bandAt = (angleRad: number, bands: HitchBands = USUAL_BANDS): HitchBand =>
  angleRad < bands.wheelBelowRad ? 'wheel' : angleRad <= bands.fullToRad ? 'full-length' : angleRad <= bands.halfToRad ? 'half-back' : 'too-steep'

const isLength = (mm: number | undefined): mm is number => mm !== undefined && Number.isFinite(mm) && mm > 0

/**
 * The line from a dog's pull point to its hitch.
 *
 * angle = atan((hitch - pull point) / horizontal), or asin((hitch - pull point) / line)
 * Source: handbook 8.6 (angle rule, from memory); mechanics.
 *
 * @throws RangeError where neither length is a positive number, or the line is shorter than the heights are apart
 */
export function hitchLine({ pullPointMm, hitchMm, horizontalMm, lineMm }: HitchQuestion, bands: HitchBands = USUAL_BANDS): HitchLine {
  const rise = hitchMm - pullPointMm
  if (!Number.isFinite(rise)) throw new RangeError('the heights are no numbers')
  if (isLength(horizontalMm)) return lineOf(rise, horizontalMm, bands)
  if (!isLength(lineMm)) throw new RangeError('a line needs its length or its level distance')
  if (lineMm <= Math.abs(rise)) throw new RangeError('the line is shorter than the heights are apart')
  return lineOf(rise, Math.sqrt(lineMm * lineMm - rise * rise), bands)
}

function lineOf(rise: number, horizontalMm: number, bands: HitchBands): HitchLine {
  const angleRad = Math.atan2(rise, horizontalMm)
  return {
    angleRad,
    risePerMetreMm: (rise / horizontalMm) * 1000,
    pressShare: Math.sin(angleRad),
    band: bandAt(angleRad, bands),
    lineMm: Math.hypot(rise, horizontalMm),
    horizontalMm,
  }
}

/**
 * The shortest line that brings a hitch into a band, mm; `null` where no line does (the hitch is on the other side).
 * A longer line flattens the angle, so the band's steeper end decides.
 */
export function lineForBand(
  { pullPointMm, hitchMm }: Pick<HitchQuestion, 'pullPointMm' | 'hitchMm'>,
  band: HitchBand,
  bands: HitchBands = USUAL_BANDS,
): number | null {
  const rise = hitchMm - pullPointMm
  const limit = {
    wheel: null,
    'full-length': rise < 0 ? bands.wheelBelowRad : bands.fullToRad,
    'half-back': rise > 0 ? bands.halfToRad : null,
    'too-steep': null,
  }[band]
  if (limit === null) return null
  return rise === 0 ? 0 : Math.abs(rise) / Math.sin(Math.abs(limit))
}
