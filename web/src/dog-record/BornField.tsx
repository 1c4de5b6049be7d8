import { ageInMonths, type Change, type Dog } from '@merry-tailor/core'
import { saveField } from '../state/save-field'
import { longDay, today } from '../state/today'
import type { SaveResult } from '../ui/controls/SavedField'
import { DayField, parseAge } from '../ui/date'
import { ageWords } from '../words/dogs'

/** The birth date, or about how old it is: one field for both. */
export function BornField({ dog, send }: { dog: Dog; send: (changes: Change[]) => PromiseLike<{ error?: unknown }> }) {
  const months = ageInMonths(dog, today())
  const age = ageWords(months)
  const said = dog.born === null && dog.ageMonths !== null && dog.ageSaidOn !== null ? `, said ${longDay(dog.ageSaidOn)}` : ''
  const keepAge = async (ageMonths: number): Promise<SaveResult> => {
    if (dog.born !== null) {
      const cleared = await saveField(send, 'born', dog.born, null)
      if (!cleared.kept) return cleared
    }
    const kept = await saveField(send, 'ageMonths', dog.ageMonths, ageMonths)
    return kept.kept && dog.ageSaidOn !== today() ? saveField(send, 'ageSaidOn', dog.ageSaidOn, today()) : kept
  }
  return (
    <DayField
      label="Born, or about how old"
      value={dog.born ?? ''}
      hint={age === '' ? 'A date, or “about 5 months”.' : `${age} now${said}`}
      other={{
        text: dog.ageMonths === null ? '' : `about ${ageWords(dog.ageMonths)}`,
        read: (typed) => {
          const read = parseAge(typed)
          return read === null ? Promise.resolve({ kept: false, problem: 'Type a date, or an age: “about 5 months”, “8 weeks”, “2 years”.' }) : keepAge(read)
        },
      }}
      onSave={async (day, seen) => {
        if (day > today()) return { kept: false, problem: 'That day has not come yet.' }
        if (day === '' && dog.ageMonths !== null && dog.born === null) return saveField(send, 'ageMonths', dog.ageMonths, null)
        return saveField(send, 'born', seen || null, day || null)
      }}
    />
  )
}
