import type { Check } from '../checks-and-symptoms.ts'
import { checkIn } from './check-row.ts'
import { everyPullingHarness, pullingNeck } from './every-harness.ts'

/** What handbook 7.2 asks of pulling harnesses under load. Source: common practice; 5 mm between the sides from memory, unverified. */
export const neckOpening: Check = {
  id: 'neck-opening-at-withers',
  family: 'H11',
  name: 'Neck opening ahead of the withers',
  how: 'Pull the end back by hand, find the crest.',
  pass: 'Rear of the opening ahead of or above the withers, not on the sliding blade.',
  states: ['pulling'],
  symptoms: ['S03', 'S01'],
}
export const vOnBreastbone: Check = {
  id: 'v-on-breastbone',
  family: 'H11',
  name: 'V on the breastbone',
  how: 'Pull the end back by hand; feel for the lump in the V.',
  pass: 'The lump lies in the middle of the V. Slack, slightly higher is normal.',
  states: ['pulling'],
  gauge: { kind: 'gap', passMm: [-15, 0], doubtMm: 10 },
  symptoms: ['S01', 'S02'],
}
export const sidesOnRibs: Check = {
  id: 'sides-on-ribs',
  family: 'H11',
  name: 'Side straps on the ribs',
  how: 'Pull the end back; follow the side strap to the last rib.',
  pass: 'Along the ribs, cupping the last ones, not on the belly.',
  states: ['pulling'],
  // Minus is ahead of the rib's edge, on the ribs; behind it nothing passes.
  gauge: { kind: 'gap', passMm: [-50, 0], doubtMm: 10 },
  symptoms: ['S11', 'S12'],
}
export const clearOfArmpit: Check = {
  id: 'clear-of-armpit',
  family: 'H11',
  name: 'Clear of the armpit',
  how: 'Feel behind the elbow with the foreleg forward; it may look closer than it is.',
  pass: 'The strap does not touch the armpit.',
  states: ['pulling', 'moving'],
  symptoms: ['S10'],
}
export const tugAtTailBase: Check = {
  id: 'tug-at-tail-base',
  family: 'H11',
  name: 'Tug begins at the tail base',
  how: 'Pull straight back in the line of work; where does the tug loop begin?',
  pass: 'At the tail base, or just above the tail.',
  states: ['pulling'],
  gauge: { kind: 'gap', passMm: [-25, 10], doubtMm: 15 },
  symptoms: ['S06', 'S07', 'S09'],
}
export const crossSidesEqual: Check = {
  id: 'cross-sides-equal',
  family: 'H11',
  name: 'Left and right equal',
  how: 'Lay both side straps together, or measure the difference.',
  pass: 'Equal, within 5 mm.',
  states: ['slack'],
  gauge: { kind: 'gap', passMm: [-5, 5], doubtMm: 5 },
  only: { fourLegs: true },
  symptoms: ['S13'],
}
export const crossThroatAndBelly: Check = {
  id: 'cross-throat-and-belly-clear',
  family: 'H11',
  name: 'Throat and belly clear',
  how: 'Follow every strap with the hand while the line is tight.',
  pass: 'On bone; nothing on the windpipe, nothing loaded on the belly.',
  states: ['pulling'],
  symptoms: ['S01', 'S11'],
}
const pull = checkIn('pulling')
export const endBelowTail = pull(
  'end-below-tail',
  'H19',
  'Ends below the tail',
  'Pull straight back in the line of work; where does the end lie?',
  'Below the tail, behind the thighs.',
  ['S16', 'S09'],
)
export const hipsFree = pull(
  'hips-free',
  'H19',
  'Hips free',
  'Feel over both hips while the line is tight, then let the dog step.',
  'Nothing presses the hips or stops the hind leg.',
  ['S16', 'S06'],
  { states: ['pulling', 'moving'] },
)
export const endsMidBack = pull(
  'ends-mid-back',
  'H14',
  'Ends mid-back',
  'Pull in the line of work; where does the top piece end?',
  'At mid-back, ahead of the loin.',
  ['S17'],
)
export const snapOffTheBack = pull(
  'snap-off-the-back',
  'H14',
  'Snap off the back',
  'Let the line swing while it is tight and while it goes slack.',
  'The snap does not hit the back.',
  ['S17'],
  { states: ['pulling', 'moving'] },
)
export const girthOnBone = pull(
  'girth-on-bone',
  'H21',
  'Girth strap on bone',
  'Follow the girth strap round while the line is tight.',
  'On the breastbone and the ribs, a little behind the armpit.',
  ['S10', 'S11'],
)
export const keelEndsOnBone = pull(
  'keel-ends-on-bone',
  'H21',
  'Keel strap ends on the sternum',
  'Feel where the keel strap meets the girth strap.',
  'On bone, ahead of the soft belly.',
  ['S11'],
)

const [, noSway, sidesEqual, throatAndBelly] = everyPullingHarness as readonly [Check, Check, Check, Check]
const general = [noSway, sidesEqual, throatAndBelly]
/** By kind, in the order a hand makes them: neck, breastbone, sides, end (handbook 6.3). */
export const longYChecks = [pullingNeck, neckOpening, vOnBreastbone, clearOfArmpit, ...general]
export const halfBackChecks = [pullingNeck, neckOpening, vOnBreastbone, clearOfArmpit, endsMidBack, snapOffTheBack, ...general]
export const wheelChecks = [pullingNeck, neckOpening, vOnBreastbone, sidesOnRibs, clearOfArmpit, endBelowTail, hipsFree, ...general]
export const shortPullChecks = [pullingNeck, neckOpening, vOnBreastbone, girthOnBone, clearOfArmpit, keelEndsOnBone, ...general]
