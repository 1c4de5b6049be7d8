import { family } from '../family.ts'
import { cartSymptoms } from '../shared/load-symptoms.ts'
import { cartChecks } from '../shared/drafting-checks.ts'
import { drafting } from '../shared/drafting.ts'
import { graph, pad, pullNeck, set, strap } from '../shared/straps.ts'
import { first, works, wrong } from '../suits.ts'

/** Cart with shafts. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h23 = family({
  ...drafting,
  id: 'H23',
  name: 'Cart with shafts',
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
  head: 'fixed',
  dressing: {
    on: [
      'Body piece over the head, legs through',
      'Cinch through the top loop, under the traces, buckle below',
      'Shaft loops equal',
      'Belly band through its opening, snap',
      'Two traces to the spreader',
    ],
    off: ['Quick release at the shaft loops', 'Traces', 'Over the head'],
  },
})
