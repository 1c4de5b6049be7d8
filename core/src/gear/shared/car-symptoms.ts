import { adjust, procedure, type FamilySymptom } from '../checks-and-symptoms.ts'
import { coughs } from './any-harness-symptoms.ts'
import { chokes } from './pulling-symptoms.ts'
import { loosenessSymptoms } from './walking-symptoms.ts'

/** Source: handbook 7.3, car; common practice, S49 from memory, unverified. The maker's word goes before it. */
export const carSymptoms: readonly FamilySymptom[] = [
  ...chokes,
  ...coughs,
  ...loosenessSymptoms,
  {
    id: 'S45',
    name: 'Upper and lower straps do not meet in line',
    cause: 'Unequal setting',
    remedies: [adjust('move-the-keepers', 'Move the hook-and-loop keepers')],
  },
  {
    id: 'S46',
    name: 'Slips to one side on the way',
    cause: 'Off centre, or one side longer',
    remedies: [adjust('centre-and-equalise', 'Centre it, equalise both sides')],
  },
  {
    id: 'S47',
    name: 'Fewer than eight fingers go in at the front',
    cause: 'Too tight',
    remedies: [adjust('let-the-front-out', 'Let the front out, both sides alike')],
  },
  {
    id: 'S48',
    name: 'Buckle opens on tugging',
    cause: 'Not seated',
    remedies: [procedure('push-it-home-and-tug', 'Push it until it is home, tug again; one that opens twice goes back to the maker')],
  },
  {
    id: 'S49',
    name: 'Dog reaches the front seats',
    cause: 'Belt slack, or the wrong loop',
    remedies: [procedure('shorten-and-lock-the-belt', 'Shorten and lock the belt')],
  },
  { id: 'S50', name: 'Dog tangled', cause: 'Tether left on', remedies: [procedure('take-the-tether-off', 'Take the tether off before driving')] },
]
