/** Purpose and dog: what speaks against it, and which family suits. */
export { cautionKey, HEEDED, isHeeded, readOf, type BoundAct, type Caution, type CautionCode, type CautionLevel, type CautionSubject } from './caution.ts'
export { cautionsFor, hasFlatFace, isGiant, isSpared, loadFrom, SPARING_NOTES } from './cautions.ts'
export { cautionsOf } from './ticket-cautions.ts'
export { disagreements, sidesTaken, disagreementBears, DISAGREEMENTS_ON, type Disagreement } from './disagreements.ts'
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
export { bootsFor } from './boots-for.ts'
export { coatsFor, type CoatQuestion } from './coats-for.ts'
export { cratesFor, type CrateQuestion } from './crates-for.ts'
export { gearFor, type GearQuestion, type Job, type Suggestion } from './gear-for.ts'
export { type GearReason, type RankedGear } from './ranked-gear.ts'
