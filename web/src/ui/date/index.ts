/** Days as people type and pick them. */
export { DayField } from './DayField'
export { parseAge } from './day-text'
