import { family } from '../family.ts'
import { stepInRig } from '../shared/rigs.ts'
import { stepInSymptoms } from '../shared/walking-symptoms.ts'
import { petChecks } from '../shared/walking-checks.ts'
import { stepIn } from '../shared/dressing.ts'
import { petVest, walking } from '../shared/walking.ts'
import { graph, nearGirth, set, strap } from '../shared/straps.ts'
import { conditions, noLoad, works, wrong } from '../suits.ts'

/** Step-in. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h04 = family({
  ...walking,
  id: 'H04',
  build: 'Two leg holes on the ground, one buckle on the back.',
  right: 'Light, nothing over the head.',
  wrong: 'For pullers and long tours: narrow straps rub, close behind the elbow they cut into the armpit; bearable for about half an hour.',
  kin: [],
  suits: {
    stroll: works('for a short time'),
    'learning-puller': wrong(),
    'long-hike': wrong(),
    scramble: wrong(),
    'beside-runner': wrong(),
    ...noLoad,
    tracking: wrong(),
    car: wrong(),
  },
  puppy: conditions(),
  flatFace: conditions(),
  meets: { wriggles: 'for', 'backs-out': 'against' },
  sides: {},
  tapes: { stock: petVest },
  parts: graph(
    [strap('front', ['lump', 'front', 'nearGirthTop']), { ...nearGirth, ...set }, strap('sternum', ['lump', 'betweenLegs', 'nearGirthLow'], { hidden: true })],
    'nearGirthTop',
  ),
  checks: petChecks,
  symptoms: stepInSymptoms,
  pull: 'withers',
  line: null,
  rig: stepInRig,
  head: 'none',
  dressing: stepIn,
})
