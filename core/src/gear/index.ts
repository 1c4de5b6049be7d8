/** Gear families, a file each: what each is for, its tapes, its straps on a dog, its checks and symptoms. */
export { allFamilies, families } from './families/index.ts'
export { FAMILY_NAMES } from './family-names.ts'
export { type BetweenSizes, type Family, type HitchBand, type Kin, type Meets, type PullPlace, type Shelf, type SideSays } from './family.ts'
export { DRESSING_CODES, steps as dressingSteps, type Dressing, type DressingCode, type DressingStep } from './dressing-steps.ts'
export { harnessIds, hasSchools, isHarness, isKin, suits } from './kin.ts'
export { type Suit, type Suits } from './suits.ts'
export { measuresOf, tapesFor, type Tape, type TapeItem } from './tapes-for.ts'
export {
  CHECK_IDS,
  SYMPTOM_IDS,
  type CarBuild,
  type WornAbout,
  type Check,
  type CheckGauge,
  type CheckId,
  type Danger,
  type Remedy,
  type RemedyKind,
  type Symptom,
  type SymptomId,
} from './checks-and-symptoms.ts'
export { checkById, checksFor, hasOwnChecks } from './checks.ts'
export { isGeneral } from './shared/every-harness.ts'
export { remedyOf, symptomName, symptoms, symptomsFor } from './symptoms.ts'
export { endangeredBy } from './dangers.ts'
export { adjustersOf, layStraps, settableStraps, type LaidGear, type LaidStrap } from './lay-straps.ts'
export { type StrapEdge, type StrapGraph, type StrapPanel, type StrapRole } from './strap-graph.ts'
export { placeOn, STRAP_NODES, whereItShows, type StrapNode, type StrapPlace } from './strap-nodes.ts'
export { ringsFor, type RingPlace } from './rings.ts'
export {
  FIGURE_IDS,
  STRAP_IDS,
  type FigureId,
  type StrapRig,
  type RigEnd,
  type RigNode,
  type RigStrap,
  type StrapCourse,
  type SetPart,
  type StrapId,
} from './rig.ts'
export { CAUSES, type Cause, type Shows } from './causes.ts'
