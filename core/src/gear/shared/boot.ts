import { danger, type Dangers } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'
import { must } from '../wanted-tapes.ts'

/** Source: handbook 7.3, from memory, unverified; the pairing ours. */
const dangers: Dangers = {
  M32: { small: danger('S65'), big: danger('S63') },
  M33: { small: danger('S65'), big: danger('S64') },
  M34: { small: danger('S65'), big: danger('S69') },
  M35: { small: danger('S65'), big: danger('S64') },
  M36: { small: danger('S67'), big: danger('S64') },
}

/** Six tapes a paw. Source: handbook 3.4, from memory, unverified. */
export const pawTapes = must('M32', 'M33', 'M34', 'M35', 'M36', 'M37')

/** What boots have alike: width decides (handbook 6.2, from memory, unverified). */
export const boot = {
  shelf: 'boot',
  kin: [],
  suits: {},
  puppy: null,
  flatFace: null,
  meets: {},
  sides: {},
  decides: ['M32', 'M34', 'M33', 'M35', 'M36'],
  between: { rule: 'up', because: 'width-decides' },
  dangers,
  pull: null,
  line: null,
  head: null,
} as const satisfies Partial<FamilyFile>
