import { family } from '../family.ts'
import { wheelRig } from '../shared/rigs.ts'
import { wheelSymptoms } from '../shared/pulling-symptoms.ts'
import { wheelChecks } from '../shared/pulling-checks.ts'
import { pullingDress } from '../shared/dressing.ts'
import { fullLength } from '../shared/full-length.ts'
import { endsElsewhere, pulling } from '../shared/pulling.ts'
import { cross, graph, pad, pullNeck, strap } from '../shared/straps.ts'
import { conditions, first, works, wrong } from '../suits.ts'

/** Wheel, long. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h19 = family({
  ...pulling,
  dangers: endsElsewhere,
  id: 'H19',
  build: 'Longer body; rings let the end fall below the tail.',
  right: 'Wheel dogs and tall dogs close to a low hitch: hips relieved, fewer injuries.',
  wrong: 'Anywhere else: it looks and is too long.',
  kin: ['full-length', 'over-the-head'],
  suits: {
    'front-of-runner': wrong(),
    'bike-front': wrong(),
    'ski-front': wrong(),
    'sled-team': works('for tall dogs'),
    'wheel-place': first(),
    'weight-drag': conditions(),
    cart: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { 'near-the-load': 'for' },
  sides: { D23: { A: 'for' } },
  tapes: fullLength,
  parts: graph(
    [
      pullNeck,
      strap('side', ['lump', 'betweenLegs', 'chestSide', 'ribs', 'loin', 'tailSide', 'belowTail'], pad),
      strap('back', ['aheadOfWithers', 'crossFore', 'crossRear', 'tail', 'belowTail']),
      ...cross,
    ],
    'belowTail',
    { rings: ['tail'] },
  ),
  checks: wheelChecks,
  symptoms: wheelSymptoms,
  pull: 'below-tail',
  line: 'wheel',
  rig: wheelRig,
  head: 'fixed',
  dressing: pullingDress,
})
