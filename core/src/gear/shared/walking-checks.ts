import { checkIn } from './check-row.ts'
import { everyAssistHarness, everyHarness } from './every-harness.ts'

const slack = checkIn('slack')

/** What handbook 7.2 asks of walking kinds beside every harness. Source: common practice. */
const breastboneCovered = slack(
  'breastbone-covered',
  'H10',
  'Breastbone covered',
  'Let the dog trot beside you; feel for the lump again and again.',
  'The top of the breastbone stays covered all the time.',
  ['S30'],
  { states: ['moving'] },
)
const plateLevel = slack(
  'plate-level',
  'H10',
  'Plate level on the shoulders',
  'Look from the front while the dog walks.',
  'Level, on both shoulders alike.',
  ['S24', 'S25'],
  { states: ['moving'] },
)
const armpitInStep = slack(
  'armpit-in-step',
  'H10',
  'Armpit clear in step',
  'Hand in the armpit, the leg stepping.',
  'Nothing touches the armpit.',
  ['S31', 'S28'],
  { states: ['moving'] },
)
const ringOnTheBack = slack('ring-on-the-back', 'H03', 'Ring on the back', 'Find the leash ring.', 'It lies on the back.', ['S34'])
const wideEndRear = slack('plate-wide-end-rear', 'H06', 'Wide end to the rear', 'Feel the plate under the chest.', 'Its wide end points to the rear.', [
  'S34',
  'S35',
])
const ringOnTheChest = slack('ring-on-the-chest', 'H08', 'Ring centred on the chest', 'Look from the front.', 'In the middle of the chest.', ['S36'])
const collarLink = slack('collar-link', 'H08', 'Link to the collar', 'Pull the link.', 'Fixed between harness and collar.', ['S33'])
const leadBothEnds = slack('lead-both-ends', 'H08', 'Both ends of the lead', 'Follow the lead to both its ends.', 'One end in front, one behind.', ['S36'])
const sitsBelowNeck = slack('sits-below-neck', 'H09', 'Just below the neck', 'Look from the side.', 'Just below the neck, over the shoulders.', ['S22', 'S24'])
const girthAndBelly = slack(
  'girth-and-belly-fingers',
  'H09',
  'Girth and belly strap',
  'Slide two fingers in flat under each of the two.',
  '2 fingers flat under both.',
  ['S26', 'S27'],
  {
    gauge: { kind: 'flat', passFingers: [2, 2], looseFails: false },
  },
)
const bellyBehindRibs = slack(
  'belly-strap-behind-ribs',
  'H09',
  'Belly strap behind the ribs',
  'Feel the last rib and the strap behind it.',
  'Right behind the ribs, unloaded.',
  ['S24', 'S33'],
)

export const petChecks = [...everyHarness, ringOnTheBack]
export const plateStepInChecks = [...everyHarness, ringOnTheBack, wideEndRear]
export const frontClipChecks = [...everyHarness, ringOnTheChest, collarLink, leadBothEnds]
export const runningChecks = [breastboneCovered, plateLevel, armpitInStep, ...everyHarness]
export const assistChecks = [sitsBelowNeck, girthAndBelly, bellyBehindRibs, ...everyAssistHarness]
