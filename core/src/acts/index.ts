/** The acts of the bench as data: what each does to a ticket's sheet, and how it is taken back. */
export { applyAct, type Act } from './apply-act.ts'
export { didAct, NO_HISTORY, redo, undo, type History, type Signed } from './history.ts'
