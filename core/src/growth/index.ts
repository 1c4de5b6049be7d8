/** Growing and changing dogs: when the tapes go out of date. */
export { measureAgain, type AgainReason, type MeasuredRecord } from './measure-again.ts'
