import { family } from '../family.ts'
import { chestStrapRig } from '../shared/rigs.ts'
import { petSymptoms } from '../shared/walking-symptoms.ts'
import { petChecks } from '../shared/walking-checks.ts'
import { overhead } from '../shared/dressing.ts'
import { petVest, walking } from '../shared/walking.ts'
import { girthSet, graph, pad, set, strap } from '../shared/straps.ts'
import { conditions, noLoad, wrong } from '../suits.ts'

/** Strap across the chest. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h03 = family({
  ...walking,
  id: 'H03',
  build: 'A level strap over the chest front, girth strap, often a handle.',
  right: 'Quick to put on, with a handle.',
  wrong: 'For anything but a short lead: the strap lies over the blade and may restrict it: shorter steps, a high head; riding up it presses the windpipe.',
  kin: ['over-the-head'],
  suits: {
    stroll: conditions('short and calm'),
    'learning-puller': conditions('short and calm'),
    'long-hike': wrong(),
    scramble: conditions(),
    'beside-runner': wrong(),
    ...noLoad,
    tracking: conditions(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { wriggles: 'for' },
  sides: { D17: { B: 'never' } },
  tapes: { stock: petVest },
  parts: graph([strap('front', ['lump', 'armLevel', 'girthSide'], set), girthSet, strap('back', ['nearGirthTop', 'girthTop'], pad)], 'girthTop'),
  checks: petChecks,
  symptoms: petSymptoms,
  pull: 'withers',
  line: null,
  rig: chestStrapRig,
  head: 'set',
  dressing: overhead,
})
