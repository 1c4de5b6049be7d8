import { family } from '../family.ts'
import { shortPullRig } from '../shared/rigs.ts'
import { steps } from '../dressing-steps.ts'
import { pullingDress } from '../shared/dressing.ts'
import { shortPullSymptoms } from '../shared/pulling-symptoms.ts'
import { shortPullChecks } from '../shared/pulling-checks.ts'
import { endsElsewhere, pulling } from '../shared/pulling.ts'
import { girthSet, graph, pad, pullNeck, sternum, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'
import { must } from '../wanted-tapes.ts'

/** Short pull. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h21 = family({
  ...pulling,
  dangers: endsElsewhere,
  id: 'H21',
  build: 'Neck, sternum strap, adjustable girth; short back, tab at the shoulder.',
  right: 'For short backs and thick necks; counters crabbing; dryland.',
  wrong: 'With the armpit rubbed: too short. In wheel place.',
  kin: ['over-the-head'],
  suits: {
    stroll: works(),
    'long-hike': works(),
    scramble: wrong(),
    'beside-runner': works(),
    'front-of-runner': first(),
    'bike-front': first('on dry land'),
    'bike-side': works(),
    'ski-front': works(),
    'sled-team': works('for a dog that crabs'),
    'wheel-place': wrong(),
    'weight-drag': wrong(),
    cart: wrong(),
    tracking: works(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: conditions(),
  meets: { crabs: 'for', 'near-the-load': 'against', 'short-back-thick-neck': 'for' },
  sides: { D24: { A: 'for' } },
  tapes: { stock: must('M01', 'M06', 'M08') },
  parts: graph(
    [pullNeck, sternum, girthSet, strap('side', ['lump', 'armLevel', 'nearGirthTop'], pad), strap('back', ['aheadOfWithers', 'nearGirthTop'])],
    'nearGirthTop',
  ),
  checks: shortPullChecks,
  symptoms: shortPullSymptoms,
  pull: 'withers',
  line: 'half-back',
  rig: shortPullRig,
  head: 'fixed',
  dressing: { ...pullingDress, set: steps('loosen-all', ['tighten', 'girth']) },
})
