/** Purpose and dog: what speaks against it, and which family suits. */
export { cautionKey, cautionsFor, readOf, type Caution, type CautionCode, type CautionSubject, type BoundAct } from './cautions.ts'
export { disagreements, sidesTaken, viewBears, VIEWS_ON, type Disagreement } from './views.ts'
export {
  chooseStyles,
  optionsOf,
  unusualBody,
  type UnusualBody,
  type RankedStyle,
  type StyleOptions,
  type StyleQuestion,
  type StyleReason,
} from './choose-styles.ts'
