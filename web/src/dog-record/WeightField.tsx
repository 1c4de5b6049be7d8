import { formatWeight, parseWeight, type Dog, type Weighing } from '@merry-tailor/core'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddWeighingMutation } from '../api/queries'
import { useAppSelector } from '../state/store'
import { longDay, today } from '../state/today'
import { SavedField } from '../ui/controls/SavedField'
import { problemWords, weightProblemWords } from '../words/problems'

/** Nearer than this to the last weighing nothing has changed worth a word: a share of it. Ours, unverified. */
const NOTABLE = 0.08

/** The dog's weight: each entry a weighing of today, the one before it beside it. A bare number is the shop's own unit. */
export function WeightField({ dog, weighings }: { dog: Dog; weighings: readonly Weighing[] }) {
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const [weigh] = useAddWeighingMutation()
  const [typed, setTyped] = useState<string | null>(null)
  const own = unit === 'in' ? 'lb' : 'kg'
  const say = (kg: number): string => formatWeight(kg, own)
  const read = typed === null ? null : parseWeight(typed, own)
  const [last, before] = weighings
  const change = last && before ? last.kg / before.kg - 1 : 0
  const hint = read?.ok
    ? `Reads ${formatWeight(read.kg, own)}, ${formatWeight(read.kg, own === 'lb' ? 'kg' : 'lb')}`
    : last && before && Math.abs(change) >= NOTABLE
      ? `${Math.round(Math.abs(change) * 100)} % ${change < 0 ? 'lighter' : 'heavier'} than ${longDay(before.on)} (${say(before.kg)}): neck and girth again first.`
      : last
        ? `Weighed ${longDay(last.on)}`
        : undefined
  return (
    <SavedField
      label="Weight"
      value={dog.weightKg === null ? '' : say(dog.weightKg)}
      placeholder={own === 'lb' ? '60 lb or 27.3 kg' : '27.3 kg or 60 lb'}
      hint={hint}
      onDraft={setTyped}
      onSave={async (text) => {
        if (text.trim() === '') return { kept: false, problem: 'A weight is weighed anew, not wiped. Type what it weighs today.' }
        const said = parseWeight(text, own)
        if (!said.ok) return { kept: false, problem: weightProblemWords(said.problem) }
        const kg = Math.round(said.kg * 100) / 100
        const body = {
          kg,
          asTyped: text.trim().slice(0, 40),
          unit: /lb|pound/i.test(text) ? 'lb' : /kg/i.test(text) ? 'kg' : own,
          on: today(),
          at: new Date().toISOString(),
          by: fitter,
        } as const
        const { error } = await weigh({ dogId: dog.id, id: uuid(), body })
        setTyped(null)
        return error ? { kept: false, problem: `Not saved. ${problemWords(error)} It stays here.` } : { kept: true }
      }}
    />
  )
}
