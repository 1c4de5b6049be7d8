import type { Sex } from '../model/index.ts'
import { askNumbers, MM_PER_UNIT } from '../units/index.ts'

export interface BandFor {
  /** One whole band for a small dog, short strips on both edges with a clip for a big or restless one. */
  kind: 'whole' | 'strips'
  /** Width of a side strip; a whole band's is the maker's choice. */
  stripMm: number | null
  /** What the band has to span: the ring less what the garment covers. */
  gapMm: number
  /** Behind the sternum's end the band's rear edge lies no further back than this; `null` of a female. */
  rearLimitMm: number | null
  fastening: 'clip' | 'buckle'
  because: 'big' | 'restless' | 'small'
}

/** A girth from which a dog is a big one for its band. Team knowledge. */
const BIG_GIRTH_MM = 650

/**
 * The belly band of a garment (handbook 9.2, common practice; the girth from which strips replace a whole band is team
 * knowledge).
 *
 * @param dog lengths in mm: girth, the ring where the band lies, what of it the garment covers, sternum's end to sheath
 *   (`null` where it was not taken), and how far ahead of the sheath it must stay
 */
export function bandFor(dog: {
  sex: Sex | null
  girthMm: number
  restless: boolean
  ringMm: number
  coveredMm: number
  sternumToSheathMm: number | null
  clearMm: number
}): BandFor {
  const { sex, girthMm, restless, ringMm, coveredMm, sternumToSheathMm, clearMm } = dog
  askNumbers({ girthMm, ringMm, coveredMm, clearMm })
  const because = girthMm >= BIG_GIRTH_MM ? 'big' : restless ? 'restless' : 'small'
  const strips = because !== 'small'
  return {
    kind: strips ? 'strips' : 'whole',
    stripMm: strips ? MM_PER_UNIT.in : null,
    gapMm: Math.max(0, ringMm - coveredMm),
    rearLimitMm: sex === 'female' || sternumToSheathMm === null ? null : sternumToSheathMm - clearMm,
    fastening: strips ? 'clip' : 'buckle',
    because,
  }
}
