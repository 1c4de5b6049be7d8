/** Lengths, masses and names as people type and read them. Everything inside core is millimetres and kilograms. */
export { parseLength, type LengthProblem, type ParsedLength } from './parse-length.ts'
export { formatLength, formatGap, type FormattedGap, type FormattedLength, type LengthStyle } from './format-length.ts'
export { MM_PER_UNIT, KG_PER_POUND, LONGEST_MM, type LengthUnit } from './constants.ts'
export { parseWeight, formatWeight, type ParsedWeight } from './weight.ts'
export { foldedName, plainLetters } from './plain-letters.ts'
export { askNumbers, GRAVITY, slopeOf } from './ask-numbers.ts'
export { seeded } from './seeded.ts'
