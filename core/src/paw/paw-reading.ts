import { pawSizeOf, READING_WINDOW, type OutlinePoint } from './paw-size.ts'

/** Standard deviations, mm a side or share. Ours, unverified, from rendered photographs; no real pencil or paw was measured. */
const PICTURE = 0.3
const PENCIL = { mm: 1, sigmaMm: 1, knownSigmaMm: 0.3 }
const UNREAD_LINE = 0.01
const FLAT_MM = 0.35
/** What a closed gap adds, per millimetre of it. */
const GAP = 0.05

export interface PawReading {
  width: { mm: number; sigmaMm: number }
  length: { mm: number; sigmaMm: number }
  axisRad: number
  atWindowEnd: boolean
}

/**
 * Width and length as readings, with what may be wrong about them: the picture, gaps and paper that was not flat, the
 * pencil (twice: it runs round outside both sides), and the print where nobody read its 100 mm line.
 *
 * @param pencilMm how far outside the paw the pencil's line runs, a side; `null` where nobody measured it
 * @param lineRead the printed 100 mm line was measured and holds
 * @param toesRad the axis, where somebody turned it
 */
export function pawReading(
  paw: { points: readonly OutlinePoint[]; closedMm: number },
  frame: { rmsMm: number },
  { pencilMm, lineRead, toesRad }: { pencilMm: number | null; lineRead: boolean; toesRad?: number },
): PawReading {
  if (pencilMm !== null && !(pencilMm >= 0 && pencilMm < 10)) throw new RangeError(`a pencil runs 0 to 10 mm outside: ${pencilMm}`)
  const { widthMm, lengthMm, axisRad, atWindowEnd } = pawSizeOf(paw.points, { windowRad: READING_WINDOW, ...(toesRad === undefined ? {} : { toesRad }) })
  const off = 2 * (pencilMm ?? PENCIL.mm)
  const pencil = 2 * (pencilMm === null ? PENCIL.sigmaMm : PENCIL.knownSigmaMm)
  const warped = frame.rmsMm > FLAT_MM ? frame.rmsMm : 0
  const read = (whole: number): { mm: number; sigmaMm: number } => {
    const mm = Math.max(1, whole - off)
    return { mm, sigmaMm: Math.hypot(PICTURE, warped, GAP * paw.closedMm, pencil, lineRead ? 0 : UNREAD_LINE * mm) }
  }
  return { width: read(widthMm), length: read(lengthMm), axisRad, atWindowEnd }
}
