import type { FamilyId, PullState } from '../model/index.ts'

/**
 * How a check may be answered by a number. `flat`: fingers lying flat under a strap, a count or the strap's slack.
 * `wide`: a distance along the body, in finger widths or a length. `gap`: a signed length, 0 at the landmark.
 */
export type CheckGauge =
  | { kind: 'flat'; passFingers: readonly [number, number]; looseFails: boolean }
  | { kind: 'wide'; passFingers: readonly [number, number]; passMm: readonly [number, number] }
  | { kind: 'gap'; passMm: readonly [number, number]; doubtMm: number }

export interface Check {
  id: string
  family: FamilyId
  name: string
  /** What to do with the hand, in a sentence. */
  how: string
  /** What is right. */
  pass: string
  /** Slack, pulling or moving: in which state it says something. Answers of one state never count for another. */
  states: readonly PullState[]
  gauge?: CheckGauge
  /** Symptoms to look at when it does not hold. */
  symptoms: readonly string[]
}

/**
 * Source: handbook 7.2, common practice; plus or minus one finger at the withers and 5 mm between the sides from
 * memory, unverified. Finger widths: two are about 4 cm, three about 6 cm (handbook 7.1, from memory, unverified).
 */
const checks: readonly Check[] = [
  {
    id: 'y-on-breastbone',
    family: 'H01',
    name: 'Front piece at the breastbone lump',
    how: 'Feel the lump under the Y; let the dog drop its head to the ground.',
    pass: 'At the lump, never above it; the head reaches the ground.',
    states: ['slack', 'pulling'],
    gauge: { kind: 'gap', passMm: [-15, 0], doubtMm: 10 },
    symptoms: ['S22', 'S23', 'S30'],
  },
  {
    id: 'top-at-withers',
    family: 'H01',
    name: 'Top rests at the withers',
    how: 'Find the crest between the blades; where does the top of the ring lie?',
    pass: 'At the withers, give or take one finger.',
    states: ['slack'],
    gauge: { kind: 'gap', passMm: [-20, 20], doubtMm: 10 },
    symptoms: ['S24', 'S30'],
  },
  {
    id: 'blade-free',
    family: 'H01',
    name: 'Blade swings free',
    how: 'Hand flat on the blade, swing the foreleg.',
    pass: 'No strap blocks the blade.',
    states: ['moving'],
    symptoms: ['S22', 'S37'],
  },
  {
    id: 'girth-strap-behind-elbow',
    family: 'H01',
    name: 'Girth strap behind the elbow',
    how: 'Lay fingers side by side between elbow and strap.',
    pass: '2 to 3 fingers wide.',
    states: ['slack'],
    gauge: { kind: 'wide', passFingers: [2, 3], passMm: [40, 60] },
    symptoms: ['S28', 'S31'],
  },
  {
    id: 'girth-strap-on-rib',
    family: 'H01',
    name: 'Girth strap on the true ribs',
    how: 'Feel the last bone of the sternum; the strap lies on or ahead of it.',
    pass: 'Not behind the last true rib.',
    states: ['slack'],
    symptoms: ['S29'],
  },
  {
    id: 'under-every-strap',
    family: 'H01',
    name: 'Under every strap',
    how: 'Slide two fingers in flat, without force.',
    pass: '2 fingers flat, no force, no wobble.',
    states: ['slack'],
    gauge: { kind: 'flat', passFingers: [2, 2], looseFails: false },
    symptoms: ['S26', 'S27', 'S33'],
  },
  {
    id: 'no-sway',
    family: 'H01',
    name: 'Does not sway or roll',
    how: 'Push left and right by hand.',
    pass: 'Comes back to the middle.',
    states: ['slack'],
    symptoms: ['S24', 'S25'],
  },
  {
    id: 'sides-equal',
    family: 'H01',
    name: 'Left and right equal',
    how: 'Lay both side straps together, or measure the difference.',
    pass: 'Equal, within 5 mm.',
    states: ['slack'],
    gauge: { kind: 'gap', passMm: [-5, 5], doubtMm: 5 },
    symptoms: ['S25'],
  },
  {
    id: 'throat-and-belly-clear',
    family: 'H01',
    name: 'Throat and belly clear',
    how: 'Follow every strap with the hand.',
    pass: 'On bone; nothing on the windpipe.',
    states: ['slack', 'pulling'],
    symptoms: ['S23'],
  },
  {
    id: 'pulling-neck',
    family: 'H11',
    name: 'Neck snug, hair drawn through',
    how: 'Draw hair and loose skin through, hold under tension, slide fingers in.',
    pass: '1 to 2 fingers flat; a whole hand is far too big.',
    states: ['slack', 'pulling'],
    gauge: { kind: 'flat', passFingers: [1, 2], looseFails: true },
    symptoms: ['S01', 'S03', 'S04', 'S05'],
  },
  {
    id: 'neck-opening-at-withers',
    family: 'H11',
    name: 'Neck opening ahead of the withers',
    how: 'Pull the end back by hand, find the crest.',
    pass: 'Rear of the opening ahead of or above the withers, not on the sliding blade.',
    states: ['pulling'],
    symptoms: ['S03', 'S01'],
  },
  {
    id: 'v-on-breastbone',
    family: 'H11',
    name: 'V on the breastbone',
    how: 'Pull the end back by hand; feel for the lump in the V.',
    pass: 'The lump lies in the middle of the V. Slack, slightly higher is normal.',
    states: ['pulling'],
    gauge: { kind: 'gap', passMm: [-15, 0], doubtMm: 10 },
    symptoms: ['S01', 'S02'],
  },
  {
    id: 'sides-on-ribs',
    family: 'H11',
    name: 'Side straps on the ribs',
    how: 'Pull the end back; follow the side strap to the last rib.',
    pass: 'Along the ribs, cupping the last ones, not on the belly.',
    states: ['pulling'],
    gauge: { kind: 'gap', passMm: [0, 50], doubtMm: 10 },
    symptoms: ['S11', 'S12'],
  },
  {
    id: 'clear-of-armpit',
    family: 'H11',
    name: 'Clear of the armpit',
    how: 'Feel behind the elbow with the foreleg forward; it may look closer than it is.',
    pass: 'The strap does not touch the armpit.',
    states: ['pulling', 'moving'],
    symptoms: ['S10'],
  },
  {
    id: 'tug-at-tail-base',
    family: 'H11',
    name: 'Tug begins at the tail base',
    how: 'Pull straight back in the line of work; where does the tug loop begin?',
    pass: 'At the tail base, or just above the tail.',
    states: ['pulling'],
    gauge: { kind: 'gap', passMm: [-25, 10], doubtMm: 15 },
    symptoms: ['S06', 'S07', 'S09'],
  },
  {
    id: 'cross-sides-equal',
    family: 'H11',
    name: 'Left and right equal',
    how: 'Lay both side straps together, or measure the difference.',
    pass: 'Equal, within 5 mm.',
    states: ['slack'],
    gauge: { kind: 'gap', passMm: [-5, 5], doubtMm: 5 },
    symptoms: ['S13'],
  },
  {
    id: 'cross-throat-and-belly-clear',
    family: 'H11',
    name: 'Throat and belly clear',
    how: 'Follow every strap with the hand while the line is tight.',
    pass: 'On bone; nothing on the windpipe, nothing loaded on the belly.',
    states: ['pulling'],
    symptoms: ['S01', 'S11'],
  },
]

/** Full-length pulling harnesses are checked as the cross-back is. */
const AS_CROSS_BACK = new Set<FamilyId>(['H11', 'H12', 'H13', 'H16', 'H17', 'H18'])
/** What handbook 7.2 asks of every harness; the checks of a kind of its own come with that kind. */
const GENERAL = new Set(['under-every-strap', 'no-sway', 'sides-equal', 'throat-and-belly-clear'])

/** The family whose checks and symptoms are this one's too. */
export const checkedAs = (family: FamilyId): FamilyId => (AS_CROSS_BACK.has(family) ? 'H11' : family)

/** The checks of handbook 7.2 for one family, in the order a hand makes them; coats, boots and crates have none yet. */
export function checksFor(family: FamilyId): readonly Check[] {
  const own = checks.filter((check) => check.family === checkedAs(family))
  if (own.length > 0) return own
  return family.startsWith('H') ? checks.filter((check) => GENERAL.has(check.id)) : []
}

/** Has the family checks of its own, beside those of every harness? */
export const hasOwnChecks = (family: FamilyId): boolean => checks.some((check) => check.family === checkedAs(family))

export const checkById = (id: string): Check | undefined => checks.find((check) => check.id === id)
