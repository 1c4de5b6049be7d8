import { family } from '../family.ts'
import { bandedDress } from '../shared/dressing.ts'
import { rugSymptoms } from '../shared/coat-symptoms.ts'
import { rugChecks } from '../shared/coat-checks.ts'
import { coat } from '../shared/coat.ts'
import { graph, set, strap } from '../shared/straps.ts'
import { must } from '../wanted-tapes.ts'

/** Rug. Source: handbook 3.4, 5.5, common practice; between sizes, for a growing dog: long and with overlap, it grows into it (6.2, common practice). */
export const c1 = family({
  ...coat,
  id: 'C1',
  build: 'Knitted or fabric, over the back, open below.',
  right: 'Warmth in and out of doors; a harness goes on top; it can grow with a puppy.',
  wrong: 'Wet brush and rain; over the tail’s end.',
  kin: [],
  tapes: { stock: must('M15', 'M18', 'M19') },
  betweenGrowing: { rule: 'up', because: 'grows-into-it' },
  checks: rugChecks,
  symptoms: rugSymptoms,
  parts: graph([strap('belly', ['hemMid', 'girthLow'], set)], null, {
    panels: [{ kind: 'cloth', outline: ['collarTop', 'front', 'lump', 'hemFore', 'hemMid', 'hemRear', 'hemTail', 'crossRear', 'crossFore'] }],
  }),
  head: null,
  dressing: bandedDress,
})
