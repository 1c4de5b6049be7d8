/** The straps of a drafting harness, as the hitch bench and Try on show them alike. */
export { DRAFT_NAMES, draftName } from './draft-names'
export { StepStrip } from './StepStrip'
export { StrapTable } from './StrapTable'
export { useDraftStraps, type DraftStraps } from './use-draft-straps'
