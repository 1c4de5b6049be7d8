import type { Dog } from '../model/index.ts'
import type { AgreedBody } from '../measures/index.ts'
import { MM_PER_UNIT } from '../units/index.ts'
import { BIG_GIRTH_MM } from './band-for.ts'
import { GROWING } from './cut-rug.ts'

/** The pieces of a rug, in mm; a length that its tape has not given yet is `null`. */
export interface RugPieces {
  /** From just under the collar. */
  lengthMm: number | null
  /** Across, centred on the spine: the half drop doubled. */
  widthMm: number | null
  fronts: {
    /** One front piece. */
    eachMm: number
    /** How far the two cross today; 0 where they meet. */
    overlapMm: number
    /** Shoulder to shoulder at which they just meet, and the rug is outgrown. */
    outgrownAtMm: number
    /** From hole to hole, first to last over the overlap; `null` where the fronts meet. */
    holeSpacingMm: number | null
  } | null
  /** What the rug leaves free under the belly. */
  openBelowMm: number | null
  band: {
    /** One whole band for a small dog, short strips on both edges with a clip for a big one. */
    kind: 'whole' | 'strips'
    /** Width of a side strip; a whole band's is the maker's choice. */
    stripMm: number | null
    /** A whole band lies ahead of the sheath. */
    aheadOfSheath: boolean
  }
}

const SIDE_STRIP_MM = MM_PER_UNIT.in

/**
 * The pieces of a rug from the body (handbook 9.1 and 9.2, common practice; the overlap arithmetic and the girth from
 * which strips replace a whole band are team knowledge).
 *
 * @param body agreed measures in mm; M15, M18 (already doubled), M19 and M07 are used
 * @param about whether the dog still grows, and its sex
 * @param holes buttonholes in the row, two or more
 */
export function rugPieces(body: AgreedBody, about: { growing: boolean; sex: Dog['sex'] }, holes = 5): RugPieces {
  const of = (id: string): number | null => body[id]?.mm ?? null
  const [widthMm, spanMm, girthMm] = [of('M18'), of('M19'), of('M07')]
  const big = girthMm !== null && girthMm >= BIG_GIRTH_MM
  const eachMm = spanMm === null ? null : (spanMm / 2) * (about.growing ? GROWING : 1)
  const overlapMm = eachMm === null || spanMm === null ? null : 2 * eachMm - spanMm
  return {
    lengthMm: of('M15'),
    widthMm,
    fronts:
      eachMm === null || overlapMm === null
        ? null
        : { eachMm, overlapMm, outgrownAtMm: 2 * eachMm, holeSpacingMm: overlapMm > 0 && holes > 1 ? overlapMm / (holes - 1) : null },
    openBelowMm: widthMm === null || girthMm === null ? null : Math.max(0, girthMm - widthMm),
    band: { kind: big ? 'strips' : 'whole', stripMm: big ? SIDE_STRIP_MM : null, aheadOfSheath: about.sex === 'male' },
  }
}
