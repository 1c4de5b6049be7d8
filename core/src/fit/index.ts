/** What is checked on the dressed dog, how an answer becomes a finding, and what to do about a symptom. */
export { fingersWide, judgeAnswer, type Answer, type AtTheDog, type JudgedAnswer } from './judge-answer.ts'
export { strapSlackMm, thinPointSlackMm } from './strap-slack.ts'
export { buildSeen, FITTERS_WORD, roundVerdict, latestObservations, presentSymptoms, type RoundVerdict } from './round-verdict.ts'
export { checkByMaker } from './by-maker.ts'
export { wornAbout } from './worn-about.ts'
export { fingersIn, gaugeBlock, slackUnder, type Block, type FlatPoint, type GaugeName, type GaugeSize } from './fingers.ts'
export { trustOf, type FamilyTrust, type GradeTrust, type KeptPair } from './trust.ts'
export { unevenSides, type StrapSides, type UnevenSide } from './uneven-sides.ts'
