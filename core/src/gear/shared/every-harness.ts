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
    only: { fourLegs: true },
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

/** Source: handbook 7.2, common practice. */
export const pullingNeck: Check = {
  id: 'pulling-neck',
  family: 'H11',
  name: 'Neck snug, hair drawn through',
  how: 'Draw hair and loose skin through, hold under tension, slide fingers in.',
  pass: '1 to 2 fingers flat; a whole hand is far too big.',
  states: ['slack', 'pulling'],
  gauge: { kind: 'flat', passFingers: [1, 2], looseFails: true },
  symptoms: ['S01', 'S03', 'S04', 'S05'],
}

/** The same of every pulling harness, whose neck lies snug: it stands in place of two fingers under every strap. */
export const everyPullingHarness: readonly Check[] = everyHarness.map((check) => (check.id === 'under-every-strap' ? pullingNeck : check))

/** And of the assist harness, whose second strap lies on soft belly by design (handbook 5.4, 7.2; its load common practice, from memory). */
export const everyAssistHarness: readonly Check[] = everyHarness.map((check) =>
  check.id === 'throat-and-belly-clear'
    ? { ...check, family: 'H09', pass: 'On bone, nothing on the windpipe; the second strap right behind the ribs, and never loaded.' }
    : check,
)

/** Is this asked of every harness, and so says nothing of its own kind? */
export const isGeneral = (check: Check): boolean => [everyHarness, everyPullingHarness, everyAssistHarness].some((all) => all.some(({ id }) => id === check.id))
