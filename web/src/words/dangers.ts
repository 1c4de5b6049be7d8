import { symptomName, type Danger } from '@merry-tailor/core'

/** What to expect on the dog where a size misses. */
export const dangerWords = ({ symptom }: Danger): string => symptomName(symptom)
