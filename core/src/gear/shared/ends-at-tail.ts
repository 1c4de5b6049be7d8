import type { Check } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'
import { pullingNeck } from './every-harness.ts'
import { pullingSymptoms } from './pulling-symptoms.ts'

/**
 * Source: handbook 7.2, common practice; 5 mm between the sides from memory, unverified.
 */
const checks: readonly Check[] = [
  pullingNeck,
  {
    id: 'neck-opening-at-withers',
    family: 'H11',
    name: 'Neck opening ahead of the withers',
    how: 'Pull the end back by hand, find the crest.',
    pass: 'Rear of the opening ahead of or above the withers, not on the sliding blade.',
    states: ['pulling'],
    symptoms: ['S03', 'S01'],
  },
  {
    id: 'v-on-breastbone',
    family: 'H11',
    name: 'V on the breastbone',
    how: 'Pull the end back by hand; feel for the lump in the V.',
    pass: 'The lump lies in the middle of the V. Slack, slightly higher is normal.',
    states: ['pulling'],
    gauge: { kind: 'gap', passMm: [-15, 0], doubtMm: 10 },
    symptoms: ['S01', 'S02'],
  },
  {
    id: 'sides-on-ribs',
    family: 'H11',
    name: 'Side straps on the ribs',
    how: 'Pull the end back; follow the side strap to the last rib.',
    pass: 'Along the ribs, cupping the last ones, not on the belly.',
    states: ['pulling'],
    // Minus is ahead of the rib's edge, on the ribs; behind it nothing passes.
    gauge: { kind: 'gap', passMm: [-50, 0], doubtMm: 10 },
    symptoms: ['S11', 'S12'],
  },
  {
    id: 'clear-of-armpit',
    family: 'H11',
    name: 'Clear of the armpit',
    how: 'Feel behind the elbow with the foreleg forward; it may look closer than it is.',
    pass: 'The strap does not touch the armpit.',
    states: ['pulling', 'moving'],
    symptoms: ['S10'],
  },
  {
    id: 'tug-at-tail-base',
    family: 'H11',
    name: 'Tug begins at the tail base',
    how: 'Pull straight back in the line of work; where does the tug loop begin?',
    pass: 'At the tail base, or just above the tail.',
    states: ['pulling'],
    gauge: { kind: 'gap', passMm: [-25, 10], doubtMm: 15 },
    symptoms: ['S06', 'S07', 'S09'],
  },
  {
    id: 'cross-sides-equal',
    family: 'H11',
    name: 'Left and right equal',
    how: 'Lay both side straps together, or measure the difference.',
    pass: 'Equal, within 5 mm.',
    states: ['slack'],
    gauge: { kind: 'gap', passMm: [-5, 5], doubtMm: 5 },
    symptoms: ['S13'],
  },
  {
    id: 'cross-throat-and-belly-clear',
    family: 'H11',
    name: 'Throat and belly clear',
    how: 'Follow every strap with the hand while the line is tight.',
    pass: 'On bone; nothing on the windpipe, nothing loaded on the belly.',
    states: ['pulling'],
    symptoms: ['S01', 'S11'],
  },
]

/** Full-length pulling harnesses that end at the tail base are checked, hitched and judged alike. */
export const endsAtTail = { checks, symptoms: pullingSymptoms, pull: 'tail-base', line: 'full-length' } as const satisfies Partial<FamilyFile>
