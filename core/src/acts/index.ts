/** The acts on a ticket as data: what each does to its sheet, how it is taken back, and where it is sent. */
export type { Act, ActName, ActSheet, Address, Signed } from './act.ts'
export { addressOf, applyAct, inverseOf } from './kinds.ts'
export { strikeOf } from './settle-marks.ts'
export { actsBeyond } from './acts-beyond.ts'
export { noFacts } from './no-facts.ts'
export { didAct, NO_HISTORY, redo, undo, type History } from './history.ts'
