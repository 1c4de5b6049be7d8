import { family } from '../family.ts'
import { assistRig } from '../shared/rigs.ts'
import { steps, tighten } from '../dressing-steps.ts'
import { petSymptoms } from '../shared/walking-symptoms.ts'
import { assistChecks } from '../shared/walking-checks.ts'
import { walking } from '../shared/walking.ts'
import { girthSet, graph, neckRing, pad, set, setBothSides, sternum, strap } from '../shared/straps.ts'
import { conditions, first, noLoad, works, wrong } from '../suits.ts'
import { check, must } from '../wanted-tapes.ts'

/** Multi-strap assist. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h09 = family({
  ...walking,
  id: 'H09',
  build: 'Y or chest pad, girth strap and second belly strap, grab handle, five adjusters.',
  right: 'Lifts and steadies on obstacles, for three legs, service and search; hard to back out of.',
  wrong: 'For pulling: the second strap lies on soft belly.',
  kin: ['over-the-head'],
  suits: {
    stroll: works(),
    'learning-puller': works(),
    'long-hike': first(),
    scramble: first(),
    'beside-runner': conditions(),
    ...noLoad,
    tracking: works(),
    car: wrong(),
  },
  puppy: conditions(),
  flatFace: works(),
  meets: { 'tucked-up': 'for', 'three-legs': 'for', 'backs-out': 'for' },
  sides: {},
  tapes: { stock: [...must('M07'), ...check('M29')] },
  parts: graph(
    [
      { ...neckRing, ...setBothSides },
      { ...sternum, ...set },
      girthSet,
      strap('belly', ['bellyTop', 'bellySide', 'bellyLow'], set),
      strap('back', ['withers', 'girthTop', 'bellyTop'], pad),
    ],
    'girthTop',
    { rings: ['bellyTop'] },
  ),
  checks: assistChecks,
  symptoms: petSymptoms,
  pull: 'withers',
  line: null,
  rig: assistRig,
  head: 'set',
  dressing: {
    on: steps('handle-up', 'right-foreleg', ['girth-and-belly-buckles', 'girth'], ['girth-and-belly-buckles', 'belly']),
    off: steps('lead-off', 'both-buckles', 'leg', 'head'),
    release: steps('both-buckles', 'head'),
    set: [...steps('loosen-all'), ...tighten('belly', 'girth', 'neck, left', 'neck, right', 'chest'), ...steps('two-minutes-in-all')],
  },
})
