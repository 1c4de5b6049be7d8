/** What is checked on the dressed dog, how an answer becomes a finding, and what to do about a symptom. */
export { fingersWide, judgeAnswer, type Answer, type AtTheDog, type JudgedAnswer } from './judge-answer.ts'
export { strapSlackMm, thinPointSlackMm } from './strap-slack.ts'
export { buildSeen, FITTERS_WORD, roundVerdict, latestObservations, presentSymptoms, type RoundVerdict } from './round-verdict.ts'
export { checkByMaker } from './by-maker.ts'
export { wornAbout } from './worn-about.ts'
