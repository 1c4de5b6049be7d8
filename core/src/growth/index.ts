/** Growing and changing dogs: when the tapes go out of date. */
export { measureAgain, type AgainReason, type ComingBack, type MeasuredRecord, type Reminder } from './measure-again.ts'
export { nextLook } from './next-look.ts'
export { takeOver, type TakeOver, type TakeOverQuestion } from './take-over.ts'
