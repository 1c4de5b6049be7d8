/** The catalogue of measures and landmarks, and how readings become one value with an honest spread. */
export { measures, measureIds, stationOrder, type Measure, type HowTo, type Station } from './catalogue.ts'
export { landmarks, type Landmark, type LandmarkId } from './landmarks.ts'
export { agree, toleranceMm, type Agreed, type AgreeState } from './agree.ts'
export { technicalErrorOfMeasurement, technicalErrorMm } from './technical-error.ts'
export { findingCode, openFindings, plausible, type Body, type Finding, type PlausibleRule, type LikelyCause } from './plausible.ts'
export { tapesFor, measuresOf, type Tape, type TapeItem } from './tapes-for.ts'
