import { family } from '../family.ts'
import { steps } from '../dressing-steps.ts'
import { sweaterSymptoms } from '../shared/coat-symptoms.ts'
import { sweaterChecks } from '../shared/coat-checks.ts'
import { coat } from '../shared/coat.ts'
import { graph, strap } from '../shared/straps.ts'
import { check, must } from '../wanted-tapes.ts'

/** Sweater with sleeves. Source: handbook 3.4, 5.5, common practice. */
export const c2 = family({
  ...coat,
  id: 'C2',
  build: 'Knitted, sleeves, closed below.',
  right: 'Cold house, cold walks.',
  wrong: 'A male with a long underside; dogs that hate head or legs handled.',
  kin: ['over-the-head'],
  tapes: { stock: [...must('M07', 'M24', 'M28'), ...check('M15')] },
  checks: sweaterChecks,
  symptoms: sweaterSymptoms,
  parts: graph([strap('hem', ['waistTop', 'waistLow'])], null, {
    panels: [
      {
        kind: 'cloth',
        outline: ['collarTop', 'collarFront', 'lump', 'elbowFore', 'wristFore', 'wristRear', 'elbow', 'girthLow', 'waistLow', 'waistTop', 'crossFore'],
      },
    ],
  }),
  head: 'fixed',
  dressing: { on: steps('over-the-head', 'sleeves'), off: steps('legs', 'head'), release: steps('legs', 'head'), set: [] },
})
