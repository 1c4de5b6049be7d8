import type { Check } from '../checks-and-symptoms.ts'

/** What handbook 7.2 asks of a boot on a loaded paw. Source: from memory, unverified. */
export const bootChecks: readonly Check[] = [
  {
    id: 'toes-near-the-end',
    family: 'B2',
    name: 'Toes nearly at the end',
    how: 'The paw loaded, feel for the longest nail through the tip.',
    pass: '3 to 6 mm of room; no nail pushes.',
    states: ['slack'],
    gauge: { kind: 'gap', passMm: [3, 6], doubtMm: 2 },
    symptoms: ['S65', 'S64', 'S69'],
  },
  {
    id: 'turns-not-by-hand',
    family: 'B2',
    name: 'Does not turn',
    how: 'Turn the boot by hand on the loaded paw.',
    pass: 'It stays.',
    states: ['slack', 'moving'],
    symptoms: ['S63', 'S69'],
  },
  {
    id: 'strap-off-dewclaw',
    family: 'B2',
    name: 'Strap above the paw, off the dewclaw',
    how: 'Feel for the dewclaw under the strap.',
    pass: 'Above the paw, not on the dewclaw.',
    states: ['slack'],
    only: { dewclaw: true },
    symptoms: ['S66', 'S64'],
  },
  {
    id: 'finger-under-strap',
    family: 'B2',
    name: 'One finger under the strap',
    how: 'Slide one finger in flat.',
    pass: '1 finger flat.',
    states: ['slack'],
    gauge: { kind: 'flat', passFingers: [1, 1], looseFails: true },
    symptoms: ['S67', 'S64'],
  },
]
