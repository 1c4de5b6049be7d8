import { crateDress } from './dressing.ts'
import { danger } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'
import { must } from '../wanted-tapes.ts'

/** Too low and the head goes down; too large and it soils one end. Too short or narrow has no symptom of its own in 7.3. */
const height = { small: danger('S70'), big: danger('S71') }
const floor = { small: null, big: danger('S71') }

/** Length, shoulders and all three heights. Source: handbook 3.4, from memory, unverified. */
export const crateTapes = must('M42', 'M43', 'M44', 'M39', 'M40', 'M41')

/** What crates have alike: stand, turn round, lie down (handbook 6.2 and 10.3, from memory, unverified). */
export const crate = {
  shelf: 'crate',
  kin: [],
  suits: {},
  puppy: null,
  flatFace: null,
  meets: {},
  sides: {},
  decides: ['M41', 'M39', 'M40', 'M42', 'M43', 'M44'],
  between: { rule: 'up', because: 'stand-turn-lie' },
  dangers: { M39: height, M40: height, M41: height, M42: floor, M43: floor, M44: floor },
  pull: null,
  line: null,
  head: null,
  dressing: crateDress,
} as const satisfies Partial<FamilyFile>
