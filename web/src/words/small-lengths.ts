import { formatLength, type LengthStyle } from '@merry-tailor/core'

/** A sentence whose small lengths are written in millimetres, in the unit of the reader: "within 5 mm", "within 3/16 in". */
export const smallLengths = (text: string, unit: LengthStyle['unit']): string =>
  unit !== 'in' ? text : text.replace(/(\d+(?:\.\d+)?) mm\b/g, (_, mm: string) => formatLength(Number(mm), { unit: 'in', step: 0.0625 }).text)
