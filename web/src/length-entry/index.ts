/** One length typed in: the big field, what is read from it, and the chips that say who and how. */
export { Chip, Group } from './Chip'
export { LengthEntry } from './LengthEntry'
export { FIELD_ID, LengthField } from './LengthField'
export { NameChips } from './NameChips'
export { parseEntry, written, type ParsedEntry } from './parse-entry'
export { SavedLength } from './SavedLength'
export { RowNumber } from './RowNumber'
