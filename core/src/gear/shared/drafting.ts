import { danger } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'
import { must } from '../wanted-tapes.ts'

/** What drafting harnesses have alike. M47 is read at Try on, in stride; until then it is expected. Source: handbook 3.4 and 6.2, from memory, unverified; dangers 7.3, common practice, the pairing ours. */
export const drafting = {
  shelf: 'drafting',
  tapes: { stock: must('M01', 'M07', 'M46') },
  decides: ['M01', 'M07', 'M46'],
  between: { rule: 'room', because: 'adjuster-middle' },
  dangers: {
    M01: { small: danger('S26'), big: danger('S27') },
    M07: { small: danger('S42'), big: danger('S24') },
  },
} as const satisfies Partial<FamilyFile>
