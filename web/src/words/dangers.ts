import { symptoms, type Danger } from '@merry-tailor/core'

/** Symptoms of gear whose checks the bench has not yet. Source: handbook 7.3, common practice; boots from memory, unverified. */
const MORE: Readonly<Record<string, string>> = {
  S42: 'Fingers hardly go under the cinch',
  S46: 'Slips to one side on the way',
  S47: 'Fewer than eight fingers go in at the front',
  S51: 'The hem lies over the tail',
  S52: 'Slides backwards',
  S53: 'The band holds the dog: it freezes',
  S54: 'Slides about sideways',
  S55: 'The edge lies over the sheath: it gets wet',
  S56: 'Steps out of the sleeve',
  S57: 'The front gapes',
  S59: 'The ears stay bare',
  S60: 'The hood is tight',
  S61: 'Rain runs in at the collar',
  S63: 'Rotates on the paw',
  S64: 'Gets lost',
  S65: 'Toes squeezed: it limps',
  S67: 'Too tight above the paw: it swells',
  S69: 'Rear boots too big, front ones right',
  S70: 'Head lowered inside',
  S71: 'Too big: it soils one end',
}

/** What to expect on the dog where a size misses. */
export const dangerWords = ({ symptom }: Danger): string => symptoms[symptom]?.name ?? MORE[symptom] ?? ''
