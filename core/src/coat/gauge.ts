/** What a washed swatch says. */
export interface Gauge {
  stitchesPerMm: number
  rowsPerMm: number
  /** `null` where the swatch was not weighed. */
  gramsPerM2: number | null
}

/** A stitch pattern: so many stitches and so many beside. */
export interface StitchRepeat {
  multiple: number
  edge: number
}

const over0 = (name: string, value: number, most: number): void => {
  if (!(value > 0) || !(value <= most)) throw new RangeError(`${name} is over 0 and at most ${most}: ${value}`)
}

/**
 * Stitches and rows per millimetre from a washed and dried swatch.
 *
 * @throws RangeError for a swatch without stitches, rows or size, or larger than a blanket
 */
export function gaugeOf(swatch: { stitches: number; rows: number; widthMm: number; heightMm: number; grams?: number | null | undefined }): Gauge {
  const { stitches, rows, widthMm, heightMm, grams } = swatch
  over0('stitches', stitches, 1000)
  over0('rows', rows, 1000)
  over0('widthMm', widthMm, 2000)
  over0('heightMm', heightMm, 2000)
  if (grams !== null && grams !== undefined) over0('grams', grams, 5000)
  return { stitchesPerMm: stitches / widthMm, rowsPerMm: rows / heightMm, gramsPerM2: grams ? (grams / (widthMm * heightMm)) * 1e6 : null }
}

/**
 * The count nearest to a width that the stitch pattern allows; of two as near the smaller.
 *
 * @returns one repeat at least, and how wide the count really is, mm
 */
export function stitchesFor(
  widthMm: number,
  { stitchesPerMm }: Pick<Gauge, 'stitchesPerMm'>,
  { multiple, edge }: StitchRepeat,
): { stitches: number; widthMm: number } {
  if (!Number.isFinite(widthMm) || !(stitchesPerMm > 0)) throw new RangeError(`a width and a gauge are wanted: ${widthMm}`)
  if (!Number.isInteger(multiple) || multiple < 1 || !Number.isInteger(edge) || edge < 0)
    throw new RangeError(`a repeat is whole stitches: ${multiple} + ${edge}`)
  const raw = widthMm * stitchesPerMm
  const below = Math.max(1, Math.floor((raw - edge) / multiple))
  const [low, high] = [below * multiple + edge, (below + 1) * multiple + edge]
  const stitches = high - raw < raw - low - 1e-9 ? high : low
  return { stitches, widthMm: stitches / stitchesPerMm }
}

/**
 * Gaps that spread so many times evenly over stitches or rows.
 *
 * @returns as many gaps as times; they add up to `over`
 */
export function spreadEvenly(over: number, times: number): number[] {
  if (!Number.isInteger(over) || over < 0 || !Number.isInteger(times) || times < 0) throw new RangeError(`whole numbers are spread: ${times} over ${over}`)
  return Array.from({ length: times }, (_, i) => Math.floor(((i + 1) * over) / times) - Math.floor((i * over) / times))
}
