import { family } from '../family.ts'
import { steps, tighten } from '../dressing-steps.ts'
import { winterCoatSymptoms } from '../shared/coat-symptoms.ts'
import { winterCoatChecks } from '../shared/coat-checks.ts'
import { coat } from '../shared/coat.ts'
import { graph, set, strap } from '../shared/straps.ts'
import { must } from '../wanted-tapes.ts'

/** Hooded winter coat. Source: handbook 3.4, 5.5, common practice. */
export const c3 = family({
  ...coat,
  id: 'C3',
  build: 'Hood, belly warmer, made to measure.',
  right: 'Severe cold, thin coats, ears to protect.',
  wrong: 'The hood cut by the head alone on a thick neck.',
  kin: ['over-the-head'],
  tapes: { stock: must('M04', 'M17', 'M16', 'M21', 'M00', 'M23', 'M20', 'M05', 'M03') },
  checks: winterCoatChecks,
  symptoms: winterCoatSymptoms,
  parts: graph([strap('belly', ['girthLow', 'bellyLow', 'waistLow'], set)], null, {
    panels: [
      { kind: 'hood', outline: ['headTop', 'brow', 'throat', 'collarFront', 'collarTop'] },
      { kind: 'cloth', outline: ['collarTop', 'collarFront', 'lump', 'betweenLegs', 'girthLow', 'waistLow', 'hemRear', 'hemTail', 'crossRear', 'crossFore'] },
    ],
  }),
  head: 'fixed',
  dressing: {
    on: steps('over-the-head', 'hood-up', 'band-last'),
    off: steps('band-first', 'head'),
    release: steps('band-first', 'head'),
    set: tighten('band'),
  },
})
