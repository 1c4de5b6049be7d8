import { adjust, change, procedure, resize, type FamilySymptom, type SymptomId } from '../checks-and-symptoms.ts'

/** Source: handbook 7.3, crates; common practice. */
const all: readonly FamilySymptom[] = [
  { id: 'S70', name: 'Head lowered inside', cause: 'Too low', remedies: [resize('a-higher-one', 'A higher one')] },
  { id: 'S71', name: 'Too big: it soils one end', cause: 'Too big for a dog in house-training', remedies: [adjust('divider-forward', 'Divider forward')] },
  { id: 'S72', name: 'Wobbly joints', cause: 'Folded often', remedies: [change('rigid-or-soft-for-travel', 'A rigid or soft one for travel')] },
  {
    id: 'S73',
    name: 'Pants, chews, will not enter',
    cause: 'Not used to it, or the wrong style',
    remedies: [procedure('get-it-used-to-it', 'Get it used to it: door open, meals inside'), change('another-style', 'Another style')],
  },
  { id: 'S74', name: 'Carrier refuses it', cause: 'Not to its rules', remedies: [procedure('ask-before-buying', 'Ask the carrier before it is bought')] },
]
const of = (...ids: SymptomId[]): FamilySymptom[] => all.filter(({ id }) => ids.includes(id))

export const wireCrateSymptoms = of('S70', 'S71', 'S72', 'S73', 'S74')
export const travelCrateSymptoms = of('S70', 'S71', 'S73', 'S74')
export const penSymptoms = of('S70', 'S73')
