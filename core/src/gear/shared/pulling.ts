import { danger, type Dangers } from '../checks-and-symptoms.ts'
import type { FamilyFile } from '../family.ts'

/** Source: handbook 7.2 and 7.3 read from the measure to the strap it decides; common practice, the pairing ours. */
const dangers: Dangers = {
  M01: { small: danger('S01', 'pulling-neck'), big: danger('S03', 'neck-opening-at-withers') },
  M06: { small: danger('S10', 'clear-of-armpit'), big: danger('S11', 'sides-on-ribs') },
  M07: { small: danger('S26'), big: danger('S12') },
  M08: { small: danger('S26'), big: danger('S12') },
  M10: { small: danger('S10', 'clear-of-armpit'), big: danger('S11', 'sides-on-ribs') },
  M11: { small: danger('S10', 'clear-of-armpit'), big: danger('S11', 'sides-on-ribs') },
  M12: { small: danger('S09', 'tug-at-tail-base'), big: danger('S06', 'tug-at-tail-base') },
  M13: { small: danger('S09', 'tug-at-tail-base'), big: danger('S06', 'tug-at-tail-base') },
  M14: { small: danger('S09', 'tug-at-tail-base'), big: danger('S06', 'tug-at-tail-base') },
}

/** Where the harness does not end at the tail: no symptom of the tail follows from its length. */
export const endsElsewhere: Dangers = Object.fromEntries(Object.entries(dangers).filter(([id]) => !['M12', 'M13', 'M14'].includes(id)))

/**
 * What pulling harnesses have alike: neck, then sides, then length (handbook 6.3, common practice); between two sizes
 * down, since they seat themselves under tension (6.2, common practice).
 */
export const pulling = {
  shelf: 'pulling',
  decides: ['M01', 'M10', 'M11', 'M12', 'M13', 'M14'],
  between: { rule: 'down', because: 'seats-under-tension' },
  dangers,
} as const satisfies Partial<FamilyFile>
