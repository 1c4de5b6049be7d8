/** Where a ticket stands: its body, its stage, and the one thing it waits for. */
export { bodyOf, readingsOf } from './body-of.ts'
export { progressOf, promisedOn, stages, type Progress, type Stage, type StageState, type WaitsFor } from './progress-of.ts'
export { urgencyOf, type Urgency } from './urgency.ts'
