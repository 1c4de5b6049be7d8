/** Where a ticket stands: its stage, and the one thing it waits for. */
export { DUE, progressOf, type Progress, type WaitsFor } from './progress-of.ts'
export { stages, type Stage, type StageState } from './stages.ts'
export { promisedOn, urgencyOf, type Urgency } from './urgency.ts'
export { dayWork, type Stay } from './day-work.ts'
export { keptPattern, lockedSetUp, newestFor, wornFor } from './newest-for.ts'
export { byUrgency, dayRow, isUntouched, type Day, type DayRow, type RowDog } from './day-row.ts'
