import { family } from '../family.ts'
import { walkingYRig } from '../shared/rigs.ts'
import { overhead } from '../shared/dressing.ts'
import { everyHarness } from '../shared/every-harness.ts'
import { walking, walkingY } from '../shared/walking.ts'
import { walkingSymptoms } from '../shared/walking-symptoms.ts'
import { backShort, girthSet, graph, neckRingSet, sternumSet } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Walking Y, short. Source: handbook 3.4, 5.2 to 5.4, 6.2 to 7.3, 8.4; common practice, one finger at the withers from memory, unverified. */
export const h01 = family({
  ...walking,
  id: 'H01',
  build: 'Neck ring with a Y on the breastbone, sternum strap, girth strap behind the elbows, back ring.',
  right: 'Leaves the blade uncovered; it bears on the breastbone.',
  wrong: 'For draught: too little padding, the pull point is wrong, sliders creep. With the Y so high that the head cannot go down.',
  kin: ['over-the-head'],
  suits: {
    stroll: first(),
    'learning-puller': works(),
    'long-hike': first(),
    scramble: conditions(),
    'beside-runner': works(),
    'front-of-runner': conditions(),
    'bike-front': wrong(),
    'bike-side': works('with rings on both sides'),
    'ski-front': wrong(),
    'sled-team': wrong(),
    'wheel-place': wrong(),
    'weight-drag': wrong(),
    cart: wrong(),
    tracking: first(),
    car: wrong(),
  },
  puppy: first(),
  flatFace: first('with the Y low'),
  meets: {},
  sides: {},
  tapes: { stock: walkingY },
  parts: graph([neckRingSet, sternumSet, girthSet, backShort], 'girthTop', { rings: ['lump'] }),
  checks: [
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
    ...everyHarness,
  ],
  symptoms: walkingSymptoms,
  pull: 'withers',
  line: null,
  rig: walkingYRig,
  head: 'set',
  dressing: overhead,
})
