/** A garment of the open ticket: how it is wished, what is drafted of it, and what Try on asks of it. */
export { changedEdges } from './changed-edges'
export { CORD_WORDS, cordsOf, USUAL_CORDS } from './cords-of'
export {
  CHECK_NAMES, checkValue, CLOTH_WORDS, countGrades, countWord, CUT_WORDS, EASE_NAMES, edgeName, elseWords, FASTENING_WORDS, HEM_WORDS, knitLineWords, movesWords, pieceCount, planWords, SEWING,
} from './garment-words' // prettier-ignore
export { drafts, useLay } from './pattern-desk'
export { GarmentSteps } from './GarmentSteps'
export { moveOf, withMove } from './moves'
export { useCutLook } from './use-cut-look'
export { useItemPattern, useMovedGarment } from './use-pattern'
export { garmentFamily, type PlanInHand } from './use-plan'
