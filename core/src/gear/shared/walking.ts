import { danger, type Dangers } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'
import { check, must } from '../wanted-tapes.ts'

/** Source: handbook 7.2 and 7.3 read from the measure to the strap it decides; common practice, the pairing ours. */
const dangers: Dangers = {
  M01: { small: danger('S26', 'under-every-strap'), big: danger('S30', 'y-on-breastbone') },
  M02: { small: danger('S26', 'under-every-strap'), big: danger('S33', 'under-every-strap') },
  M03: { small: danger('S26', 'under-every-strap'), big: danger('S33', 'under-every-strap') },
  M06: { small: danger('S28', 'girth-strap-behind-elbow'), big: danger('S29', 'girth-strap-on-rib') },
  M07: { small: danger('S26', 'under-every-strap'), big: danger('S24', 'no-sway') },
  M08: { small: danger('S26', 'under-every-strap'), big: danger('S24', 'no-sway') },
  M14: { small: danger('S28', 'girth-strap-behind-elbow'), big: danger('S29', 'girth-strap-on-rib') },
}

/** Three numbers of a walking Y, and two of a pet vest. Source: handbook 3.4, common practice. */
export const walkingY = must('M01', 'M06', 'M07')
export const petVest = must('M02', 'M07')
/** A vest over the head: the head too, to check. */
export const petVestOverHead = [...petVest, ...check('M04')]

/**
 * What walking harnesses have alike: height of the front piece, then girth, then ring, then back (handbook 6.3); between
 * two sizes the one in which the adjuster sits nearer its middle (6.2). From memory, unverified.
 */
export const walking = {
  shelf: 'walking',
  decides: ['M06', 'M07', 'M08', 'M01', 'M02', 'M14'],
  between: { rule: 'room', because: 'adjuster-middle' },
  dangers,
} as const satisfies Partial<FamilyFile>
