import type { Check } from '../checks-and-symptoms.ts'

/** What handbook 7.2 asks of every harness. Source: common practice; 5 mm between the sides from memory, unverified. */
export const everyHarness: readonly Check[] = [
  {
    id: 'under-every-strap',
    family: 'H01',
    name: 'Under every strap',
    how: 'Slide two fingers in flat, without force.',
    pass: '2 fingers flat, no force, no wobble.',
    states: ['slack'],
    gauge: { kind: 'flat', passFingers: [2, 2], looseFails: false },
    symptoms: ['S26', 'S27', 'S33'],
  },
  {
    id: 'no-sway',
    family: 'H01',
    name: 'Does not sway or roll',
    how: 'Push left and right by hand.',
    pass: 'Comes back to the middle.',
    states: ['slack'],
    symptoms: ['S24', 'S25'],
  },
  {
    id: 'sides-equal',
    family: 'H01',
    name: 'Left and right equal',
    how: 'Lay both side straps together, or measure the difference.',
    pass: 'Equal, within 5 mm.',
    states: ['slack'],
    gauge: { kind: 'gap', passMm: [-5, 5], doubtMm: 5 },
    symptoms: ['S25'],
  },
  {
    id: 'throat-and-belly-clear',
    family: 'H01',
    name: 'Throat and belly clear',
    how: 'Follow every strap with the hand.',
    pass: 'On bone; nothing on the windpipe.',
    states: ['slack', 'pulling'],
    symptoms: ['S23'],
  },
]
