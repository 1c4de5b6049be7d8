import { danger, type Dangers } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'

/** Source: handbook 7.3 read from the measure to the hem it decides; common practice, the pairing ours. */
const dangers: Dangers = {
  M03: { small: danger('S60'), big: null },
  M04: { small: danger('S60'), big: null },
  M05: { small: danger('S59'), big: null },
  M07: { small: danger('S53'), big: danger('S52') },
  M14: { small: null, big: danger('S51') },
  M15: { small: null, big: danger('S51') },
  M16: { small: null, big: danger('S51') },
  M21: { small: danger('S53'), big: danger('S52') },
  M24: { small: null, big: danger('S55') },
  M26: { small: null, big: danger('S56') },
  M28: { small: null, big: danger('S56') },
}

/** What coats have alike. Between two sizes: from memory, unverified. */
export const coat = {
  shelf: 'coat',
  suits: {},
  puppy: null,
  flatFace: null,
  meets: {},
  sides: {},
  decides: ['M14', 'M15', 'M16', 'M07', 'M02'],
  between: { rule: 'room', because: 'room-both-ways' },
  dangers,
  pull: null,
  line: null,
} as const satisfies Partial<FamilyFile>
