import { family } from '../family.ts'
import { chestStrapRig } from '../shared/rigs.ts'
import { steps, tighten } from '../dressing-steps.ts'
import { frontClipSymptoms } from '../shared/walking-symptoms.ts'
import { frontClipChecks } from '../shared/walking-checks.ts'
import { petVest, walking } from '../shared/walking.ts'
import { girthSet, graph, set, strap } from '../shared/straps.ts'
import { conditions, first, noLoad, wrong } from '../suits.ts'

/** Front clip for training. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h08 = family({
  ...walking,
  id: 'H08',
  build: 'Ring on the chest, link to the collar, double-ended lead.',
  right: 'Curbs pulling at once; for a person who cannot hold a strong dog.',
  wrong: 'For running and for growing puppies: it may alter the gait, even with no lead on. It needs an end date: off once the dog has learned.',
  kin: ['over-the-head'],
  suits: {
    stroll: conditions('for a grown dog, for a time'),
    'learning-puller': first('for a while'),
    'long-hike': wrong(),
    scramble: wrong(),
    'beside-runner': wrong(),
    ...noLoad,
    tracking: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: conditions(),
  meets: {},
  sides: { D18: { B: 'never' } },
  tapes: { stock: petVest },
  parts: graph(
    [strap('front', ['lump', 'armLevel', 'girthSide'], set), girthSet, strap('back', ['withers', 'girthTop']), strap('link', ['collarFront', 'lump'])],
    'lump',
    { rings: ['girthTop'] },
  ),
  checks: frontClipChecks,
  symptoms: frontClipSymptoms,
  pull: 'chest-ring',
  line: null,
  rig: chestStrapRig,
  head: 'set',
  dressing: {
    on: steps('collar-first', 'clip-at-chest', 'back-strap', 'under-the-legs', 'link-to-collar', 'lead-both-ends'),
    off: steps('lead-off', 'reverse'),
    release: steps('lead-off', 'buckle', 'head'),
    set: [...steps('loosen-all'), ...tighten('girth', 'front')],
  },
})
