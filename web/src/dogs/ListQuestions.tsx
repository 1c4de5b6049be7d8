import type { KennelAbout, KennelList } from '@merry-tailor/core/formats'
import { Segmented } from '../ui/controls/Segmented'
import { DayField } from '../ui/date'

/** What is asked once of a whole list. */
export type ListSaid = Required<Pick<KennelAbout, 'measured' | 'dayOrder' | 'weightUnit'>>

interface ListQuestionsProps {
  list: KennelList
  said: ListSaid
  onSay: (said: ListSaid) => void
}

/** When a list's numbers were taken, which way round its days are, and what its weights are in: asked once, where it is not said. */
export function ListQuestions({ list, said, onSay }: ListQuestionsProps) {
  const asks = (words: string): boolean => list.problems.some((problem) => problem.message.endsWith(words))
  const numbers = list.columns.some((column) => /^m[0-4]\d/i.test(column.trim()))
  const dated = list.columns.some((column) => /^(?:measured|measured on|date)$/i.test(column.trim()))
  const days = said.dayOrder !== null || asks('day first or month first?')
  const weights = said.weightUnit !== null || asks('kilograms or pounds?')
  return (
    <div className="mt-4 flex max-w-[980px] flex-wrap items-start gap-x-8 gap-y-3">
      {numbers && !dated && (
        <DayField
          label="When were these numbers taken?"
          value={said.measured ?? ''}
          hint="Empty: nobody knows. Old numbers expect; they do not count as read on a new ticket."
          onSave={(day) => {
            onSay({ ...said, measured: day === '' ? null : day })
            return Promise.resolve({ kept: true })
          }}
          className="w-[340px]"
        />
      )}
      {days && (
        <div>
          <p className="mb-1 text-[13.5px] font-semibold text-mute">Days such as 04/05/2019 are</p>
          <Segmented<'dmy' | 'mdy'>
            label="Order of days"
            value={said.dayOrder ?? null}
            options={[
              { value: 'dmy', label: 'Day first' },
              { value: 'mdy', label: 'Month first' },
            ]}
            onChange={(dayOrder) => onSay({ ...said, dayOrder })}
          />
        </div>
      )}
      {weights && (
        <div>
          <p className="mb-1 text-[13.5px] font-semibold text-mute">Weights are in</p>
          <Segmented<'kg' | 'lb'>
            label="Unit of weights"
            value={said.weightUnit ?? null}
            options={[
              { value: 'kg', label: 'Kilograms' },
              { value: 'lb', label: 'Pounds' },
            ]}
            onChange={(weightUnit) => onSay({ ...said, weightUnit })}
          />
        </div>
      )}
    </div>
  )
}
