import type { Check } from '../checks-and-symptoms.ts'
import { everyHarness } from './every-harness.ts'

const draft = (id: Check['id'], name: string, how: string, pass: string, symptoms: Check['symptoms'], more: Partial<Check> = {}): Check => ({
  id,
  family: 'H22',
  name,
  how,
  pass,
  states: ['slack', 'pulling'],
  symptoms,
  ...more,
})

/** What handbook 7.2 asks in front of a load. Source: common practice; 10 cm to the hocks and the drill from memory, unverified. */
const tracesEven = draft(
  'traces-even',
  'Four traces flat and even',
  'Follow each trace from the harness to the bar.',
  'Flat, none twisted, left and right alike.',
  ['S38'],
)
const cinchUnder = draft(
  'cinch-under-traces',
  'Cinch under the traces',
  'Look where the cinch crosses the traces.',
  'The cinch runs under them; no kink in the pull.',
  ['S39'],
)
const fingersUnderCinch = draft('fingers-under-cinch', 'Fingers under the cinch', 'Slide fingers in flat.', '2 fingers flat, with ease.', ['S42'], {
  states: ['slack'],
  gauge: { kind: 'flat', passFingers: [2, 2], looseFails: false },
})
const rearTraces = draft('rear-traces-equal', 'Rear traces equal', 'Lay the two side by side, or measure both.', 'Equal, within 5 mm.', ['S38'], {
  states: ['slack'],
  gauge: { kind: 'gap', passMm: [-5, 5], doubtMm: 5 },
})
const loopsLevel = draft(
  'shaft-loops-level',
  'Shaft loops level',
  'Look from behind, the cart on level ground.',
  'Level, at the height of the shoulder.',
  ['S40'],
  { family: 'H23', states: ['slack'] },
)
const loopNoStop = draft(
  'loop-passes-no-stop',
  'Loop over the shaft, not over its stop',
  'Push the loop along the shaft.',
  'It passes the shaft and ends at the stop.',
  ['S41'],
  { family: 'H23', states: ['slack'] },
)
const barOffHocks = draft(
  'bar-off-the-hocks',
  'Bar clear of the hocks',
  'Measure from hock to bar with the hind leg stretched back, as in full stride.',
  '10 cm and more.',
  ['S44'],
  {
    states: ['pulling'],
    gauge: { kind: 'gap', passMm: [100, 2000], doubtMm: 20 },
  },
)
const bellyBand = draft(
  'belly-band-holds',
  'Belly band holds the shafts',
  'Press both shafts up by hand, then walk a few steps downhill.',
  'The band holds them down; the cart does not run onto the dog.',
  ['S43'],
  { family: 'H23', states: ['slack', 'moving'] },
)
const release = draft(
  'release-drilled',
  'Release drilled',
  'Take the dog out as in an emergency, once, without haste.',
  'Out in one go; whoever drives can do it too.',
  ['S43', 'S44'],
  { states: ['slack'] },
)

export const freightChecks = [...everyHarness, tracesEven, cinchUnder, fingersUnderCinch, rearTraces, barOffHocks, release]
export const cartChecks = [...everyHarness, tracesEven, cinchUnder, fingersUnderCinch, rearTraces, loopsLevel, loopNoStop, bellyBand, barOffHocks, release]
