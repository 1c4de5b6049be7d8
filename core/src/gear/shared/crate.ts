import { danger } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'
import { must } from '../wanted-tapes.ts'

const room = { small: danger('S70'), big: danger('S71') }

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
  checks: [],
  symptoms: [],
  dangers: { M39: room, M40: room, M41: room, M42: room, M43: room, M44: room },
  pull: null,
  line: null,
  head: null,
  dressing: null,
} as const satisfies Partial<FamilyFile>
