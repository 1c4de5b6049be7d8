import { family } from '../family.ts'
import { steps } from '../dressing-steps.ts'
import { rainSuitSymptoms } from '../shared/coat-symptoms.ts'
import { rainSuitChecks } from '../shared/coat-checks.ts'
import { coat } from '../shared/coat.ts'
import { graph, set, strap } from '../shared/straps.ts'
import { must } from '../wanted-tapes.ts'

/** Rain suit with cords. Source: handbook 3.4, 5.5, 6.2, 8.4, common practice. */
export const c4 = family({
  ...coat,
  id: 'C4',
  build: 'Full body, legs, drawcords.',
  right: 'Rain and mud; one suit fits very different bodies once its cords are set.',
  wrong: 'When nobody spends the first fitting; in warm weather.',
  kin: [],
  tapes: { stock: must('M14', 'M07', 'M02', 'M26') },
  between: { rule: 'down', because: 'cords-do-the-rest' },
  checks: rainSuitChecks,
  symptoms: rainSuitSymptoms,
  parts: graph([strap('hem', ['collarTop', 'collarFront'], set), strap('hem', ['waistTop', 'waistLow'], set)], null, {
    panels: [
      {
        kind: 'cloth',
        outline: [
          'collarTop',
          'collarFront',
          'lump',
          'elbowFore',
          'wristFore',
          'wristRear',
          'elbow',
          'girthLow',
          'waistLow',
          'stifle',
          'hindCuffFore',
          'hindCuffRear',
          'thighRear',
          'hemTail',
          'crossRear',
          'crossFore',
        ],
      },
    ],
  }),
  head: 'set',
  dressing: {
    on: steps('lay-it-out', 'front-feet', 'press-stud', 'hind-feet', 'zip-mind-ears'),
    off: steps('zip', 'hind', 'front'),
    release: steps('zip', 'front'),
    set: steps(
      ['tighten', 'chest-front cord'],
      ['tighten', 'belly cord'],
      ['tighten', 'front leg cords, inside'],
      ['tighten', 'hem snaps of the legs'],
      ['tighten', 'neck snaps, zip, guard flap'],
      ['last', 'collar rain cord'],
    ),
  },
})
