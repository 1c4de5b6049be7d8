import { adjust, change, resize, type FamilySymptom } from '../checks-and-symptoms.ts'

/** A cough in any harness: stop and refit (handbook 5.6, 7.3, common practice). */
export const coughs: readonly FamilySymptom[] = [
  {
    id: 'S23',
    name: 'Cough on the lead',
    cause: 'Strap on the windpipe',
    remedies: [adjust('lower-the-front-piece-lengthen-the-neck', 'Lower the front piece, lengthen the neck'), change('another-cut', 'Another cut')],
    stop: true,
  },
]

/** Loose, uneven, tight: what the checks of every harness find (handbook 7.3, common practice). */
export const sways: readonly FamilySymptom[] = [
  { id: 'S24', name: 'Sways or rolls', cause: 'Girth loose, sides unequal', remedies: [adjust('tighten-and-equalise', 'Tighten and equalise')] },
  { id: 'S25', name: 'Leans always to one side', cause: 'Unequal straps', remedies: [adjust('equalise-left-and-right', 'Equalise left and right')] },
  { id: 'S26', name: 'Fingers must be forced', cause: 'Too tight', remedies: [adjust('lengthen', 'Lengthen'), resize('next-size-up', 'Next size up')] },
]
