import type { FamilyFile } from '../family.ts'
import { pullingNeck } from './every-harness.ts'
import { clearOfArmpit, crossSidesEqual, crossThroatAndBelly, neckOpening, sidesOnRibs, tugAtTailBase, vOnBreastbone } from './pulling-checks.ts'
import { fullLengthSymptoms } from './pulling-symptoms.ts'

const checks = [pullingNeck, neckOpening, vOnBreastbone, sidesOnRibs, clearOfArmpit, tugAtTailBase, crossSidesEqual, crossThroatAndBelly]

/** Full-length pulling harnesses that end at the tail base are checked, hitched and judged alike. */
export const endsAtTail = { checks, symptoms: fullLengthSymptoms, pull: 'tail-base', line: 'full-length' } as const satisfies Partial<FamilyFile>
