import { family } from '../family.ts'
import { freightRig } from '../shared/rigs.ts'
import { steps } from '../dressing-steps.ts'
import { freightSymptoms } from '../shared/load-symptoms.ts'
import { freightChecks } from '../shared/drafting-checks.ts'
import { drafting } from '../shared/drafting.ts'
import { graph, pad, pullNeck, set, strap } from '../shared/straps.ts'
import { conditions, first, wrong } from '../suits.ts'

/** Freight and weight. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h22 = family({
  ...drafting,
  id: 'H22',
  build: 'One piece, four primary traces, forward cinch, spreader bar behind.',
  right: 'One piece, does not tangle, fast off over the head.',
  wrong: 'It must come off whole to free the dog from the load; without a quick release the shafts have to be drawn out.',
  kin: ['over-the-head'],
  suits: {
    'bike-front': wrong(),
    'sled-team': wrong(),
    'weight-drag': first(),
    cart: conditions('with shaft loops'),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: {},
  sides: { D27: { A: 'for' } },
  parts: graph(
    [
      { ...pullNeck, role: 'neck-ring' },
      strap('trace', ['front', 'armLevel', 'bellySide', 'traceUpper'], pad),
      strap('trace', ['lump', 'betweenLegs', 'chestSide', 'bellyLow', 'traceLower'], pad),
      strap('girth', ['girthTop', 'girthSide', 'girthLow'], set),
      strap('back', ['aheadOfWithers', 'girthTop']),
      strap('bar', ['traceUpper', 'traceLower']),
    ],
    'traceLower',
  ),
  checks: freightChecks,
  symptoms: freightSymptoms,
  pull: 'bar-eye',
  line: null,
  rig: freightRig,
  head: 'fixed',
  dressing: {
    on: steps('open-neck-and-keel', 'over-the-head', 'centre-keel', 'lift-each-foreleg', 'cinch-under-traces'),
    off: steps('line-off', 'unsnap-cinch', 'spreader-over', 'neck-back-over-head', 'steps-out'),
    release: steps('unsnap-cinch', 'spreader-over', 'neck-back-over-head', 'steps-out'),
    set: steps(['tighten', 'neck and keel'], ['even', 'traces'], ['tighten', 'forward cinch'], ['even', 'rear traces'], 'tails-in'),
  },
})
