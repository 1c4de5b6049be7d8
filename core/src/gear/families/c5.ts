import { family } from '../family.ts'
import { bandedDress } from '../shared/dressing.ts'
import { layerSymptoms } from '../shared/coat-symptoms.ts'
import { coat } from '../shared/coat.ts'
import { graph, set, strap } from '../shared/straps.ts'
import { must } from '../wanted-tapes.ts'

/** Light or cooling layer. Source: handbook 5.5, from memory, unverified; tapes as the rug, ours. */
export const c5 = family({
  ...coat,
  id: 'C5',
  build: 'Light reflective or cooling cloth.',
  right: 'Night; heat, wet only where air moves.',
  wrong: 'Still hot air.',
  kin: [],
  tapes: { stock: must('M15', 'M07', 'M02') },
  checks: [],
  symptoms: layerSymptoms,
  parts: graph([strap('belly', ['girthSide', 'girthLow'], set)], null, {
    panels: [{ kind: 'cloth', outline: ['collarTop', 'front', 'blade', 'girthSide', 'crossRearSide', 'loin', 'tail', 'crossRear', 'crossFore'] }],
  }),
  head: null,
  dressing: bandedDress,
})
