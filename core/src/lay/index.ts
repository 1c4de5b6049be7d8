/** Where gear lies on a dog: taut straps between nodes that slide on the skin, slack and pulling. Predictions. */
export { strapsOf } from './straps-of.ts'
export { askStraps, layGear, type GearLay, type LayQuestion, type Pull, type StrapLay } from './lay-gear.ts'
export { aimedLengths, outlineUnder, pieceHeightMm, type AimedLengths, type AimRoom } from './aims.ts'
