import { adjust, procedure, type FamilySymptom } from '../checks-and-symptoms.ts'
import { underLoad } from './pulling-symptoms.ts'

/** Source: handbook 7.3, drafting; common practice, S43 and S44 from memory, unverified. */
const draft: readonly FamilySymptom[] = [
  { id: 'S38', name: 'Sore or tired on one side', cause: 'Traces unequal', remedies: [adjust('equalise-the-traces', 'Equalise the traces: measure both')] },
  {
    id: 'S39',
    name: 'Kink in the pull line',
    cause: 'Cinch laid over the traces',
    remedies: [procedure('route-the-cinch-under', 'Route the cinch under the traces')],
  },
  { id: 'S42', name: 'Fingers hardly go under the cinch', cause: 'Too tight', remedies: [adjust('lengthen-the-cinch', 'Lengthen the cinch')] },
  { id: 'S44', name: 'Bar hits the hocks', cause: 'Traces too short', remedies: [adjust('lengthen-both-traces', 'Lengthen both traces')] },
]
const shafts: readonly FamilySymptom[] = [
  { id: 'S40', name: 'Shafts at different heights', cause: 'Shaft loops uneven', remedies: [adjust('level-the-shaft-loops', 'Level the shaft loops')] },
  { id: 'S41', name: 'Loop slides over the stop', cause: 'Loop too large', remedies: [adjust('make-the-loop-smaller', 'Make the loop smaller')] },
  {
    id: 'S43',
    name: 'Cart runs onto the dog',
    cause: 'Belly band missing or loose, nothing holds back',
    remedies: [adjust('tighten-the-belly-band', 'Tighten the belly band'), procedure('hitch-anew', 'Hitch anew, with something that holds back')],
  },
]
const byNumber = (list: readonly FamilySymptom[]): FamilySymptom[] => [...list].sort((a, b) => a.id.localeCompare(b.id))

export const freightSymptoms = byNumber([...underLoad, ...draft])
export const cartSymptoms = byNumber([...underLoad, ...draft, ...shafts])
