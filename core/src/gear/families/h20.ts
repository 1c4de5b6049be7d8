import { family } from '../family.ts'
import { stickRig } from '../shared/rigs.ts'
import { wheelSymptoms } from '../shared/pulling-symptoms.ts'
import { wheelChecks } from '../shared/pulling-checks.ts'
import { pullingDress } from '../shared/dressing.ts'
import { fullLength } from '../shared/full-length.ts'
import { endsElsewhere, pulling } from '../shared/pulling.ts'
import { graph, pad, pullNeck, strap } from '../shared/straps.ts'
import { first, works, wrong } from '../suits.ts'

/** Stick harness. Source: handbook 5.2 to 5.4, 6.2, 6.3, 8.4, common practice; cells the handbook sets in italics from memory, unverified. */
export const h20 = family({
  ...pulling,
  dangers: endsElsewhere,
  id: 'H20',
  build: 'Rod behind the thighs, elastic part, end below the tail.',
  right: 'Wheel dogs: hips relieved, fewer injuries.',
  wrong: 'Anywhere else: it looks and is too long.',
  kin: ['full-length', 'over-the-head'],
  suits: {
    'front-of-runner': wrong(),
    'bike-front': wrong(),
    'ski-front': wrong(),
    'sled-team': works(),
    'wheel-place': first(),
    'weight-drag': works(),
    cart: wrong(),
    car: wrong(),
  },
  puppy: wrong(),
  flatFace: wrong(),
  meets: { 'near-the-load': 'for', 'deep-narrow-chest': 'for' },
  sides: { D23: { B: 'for' } },
  tapes: fullLength,
  parts: graph(
    [
      pullNeck,
      strap('side', ['lump', 'betweenLegs', 'chestSide', 'ribs', 'tailSide', 'behindThigh'], pad),
      strap('back', ['aheadOfWithers', 'crossFore', 'crossRear', 'tail']),
      strap('bar', ['tail', 'belowTail', 'behindThigh']),
    ],
    'behindThigh',
  ),
  checks: wheelChecks,
  symptoms: wheelSymptoms,
  pull: 'below-tail',
  line: 'wheel',
  rig: stickRig,
  head: 'fixed',
  dressing: pullingDress,
})
