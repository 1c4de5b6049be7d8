import type { LengthStyle, RugPieces } from '@merry-tailor/core'
import { lengthText } from '../ui/length/length-text'

/** The pieces of a rug as a maker reads them: what, how long, and what it means. */
export function rugLines(pieces: RugPieces, style: LengthStyle): { piece: string; says: string }[] {
  const say = (mm: number): string => lengthText(mm, style, true)
  const { fronts, band } = pieces
  return [
    {
      piece: 'Back',
      says: pieces.lengthMm === null ? 'waits for the back length from the collar line' : `${say(pieces.lengthMm)} long, from just under the collar`,
    },
    {
      piece: 'Width',
      says:
        pieces.widthMm === null
          ? 'waits for the half drop'
          : `${say(pieces.widthMm)} across, centred on the spine${pieces.openBelowMm ? `; leaves ${say(pieces.openBelowMm)} open below` : ''}`,
    },
    {
      piece: 'Fronts',
      says: !fronts
        ? 'wait for the front, shoulder to shoulder'
        : fronts.holeSpacingMm === null
          ? `${say(fronts.eachMm)} each; they meet`
          : `${say(fronts.eachMm)} each, growing: cross by ${say(fronts.overlapMm)}, five holes ${say(fronts.holeSpacingMm)} apart; outgrown at ${say(fronts.outgrownAtMm)} shoulder to shoulder`,
    },
    {
      piece: 'Band',
      says: `${band.kind === 'whole' ? 'one whole band' : `a strip of about ${say(band.stripMm ?? 0)} on both edges, with a clip`}${band.aheadOfSheath ? ', all of it ahead of the sheath' : ''}`,
    },
  ]
}
