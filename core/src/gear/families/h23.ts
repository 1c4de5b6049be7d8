import { family } from '../family.ts'
import { cartRig } from '../shared/rigs.ts'
import { steps } from '../dressing-steps.ts'
import { cartSymptoms } from '../shared/load-symptoms.ts'
import { cartChecks } from '../shared/drafting-checks.ts'
import { drafting } from '../shared/drafting.ts'
import { graph, pad, pullNeck, set, strap } from '../shared/straps.ts'
import { first, works, wrong } from '../suits.ts'

/** Cart with shafts. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h23 = family({
  ...drafting,
  id: 'H23',
  build: 'Body, forward cinch with shaft loops, belly band, two traces, separate spreader.',
  right: 'The dog leaves the cart quickly; cinch and release adjust on their own.',
  wrong: 'Many parts; confusing to put together.',
  kin: ['over-the-head'],
  suits: {
    'bike-front': wrong(),
    'sled-team': wrong(),
    'weight-drag': works(),
    cart: first(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: {},
  sides: { D27: { B: 'for' } },
  parts: graph(
    [
      { ...pullNeck, role: 'neck-ring' },
      strap('girth', ['girthTop', 'shaftLoop', 'girthLow'], set),
      strap('belly', ['bellyTop', 'bellySide', 'bellyLow'], set),
      strap('back', ['aheadOfWithers', 'girthTop', 'bellyTop']),
      strap('trace', ['front', 'armLevel', 'shaftRear'], { ...pad, ...set }),
      strap('bar', ['shaftFore', 'shaftLoop', 'shaftRear']),
    ],
    'shaftRear',
    { rings: ['shaftLoop'] },
  ),
  checks: cartChecks,
  symptoms: cartSymptoms,
  pull: 'side-ring',
  line: null,
  rig: cartRig,
  head: 'fixed',
  dressing: {
    on: steps('body-piece-on', 'cinch-through-loop', 'loops-equal', 'belly-band-snap', 'traces-to-spreader'),
    off: steps('line-off', 'release-at-loops', 'traces', 'head'),
    release: steps('release-at-loops', 'traces', 'head'),
    set: steps(
      ['tighten', 'neck and keel'],
      ['even', 'traces'],
      ['tighten', 'forward cinch'],
      ['level', 'shaft loops'],
      ['tighten', 'belly band'],
      ['even', 'rear traces'],
      'tails-in',
    ),
  },
})
