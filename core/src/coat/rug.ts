import type { Dog } from '../model/index.ts'
import type { AgreedBody } from '../measures/index.ts'
import { bandFor } from './band-for.ts'
import { rugFronts } from './rug-fronts.ts'

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
  const fronts = spanMm === null ? null : rugFronts(spanMm, about.growing, holes)
  const band = bandFor({
    sex: about.sex,
    girthMm: girthMm ?? 0,
    restless: false,
    ringMm: girthMm ?? 0,
    coveredMm: widthMm ?? 0,
    sternumToSheathMm: null,
    clearMm: 0,
  })
  return {
    lengthMm: of('M15'),
    widthMm,
    fronts: fronts && { ...fronts, outgrownAtMm: 2 * fronts.eachMm },
    openBelowMm: widthMm === null || girthMm === null ? null : band.gapMm,
    band: { kind: band.kind, stripMm: band.stripMm, aheadOfSheath: about.sex === 'male' },
  }
}
