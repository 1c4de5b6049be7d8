import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddWeighingMutation } from '../../api/queries'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { Button } from '../../ui/controls/Button'
import { weightText } from '../../words/measuring'
import { problemWords } from '../../words/problems'
import { useOpenTicket } from '../../bench'
import { Problem } from '../../ui/controls/Problem'

/** Nearer than this share the record's weight is the weighed one. */
const SAME_SHARE = 0.01

/** The dog was weighed and the record says something else: one tap takes it over, nothing does so by itself. */
export function WeightBlock() {
  const { sheet, body, name } = useOpenTicket()
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const [weigh] = useAddWeighingMutation()
  const [refused, setRefused] = useState<string | null>(null)
  const weighed = body.M00?.mm ?? null
  const { dog } = sheet
  if (!dog || weighed === null) return null
  const known = dog.weightKg
  if (known !== null && Math.abs(known - weighed) <= SAME_SHARE * weighed) return null
  const kg = Math.round(weighed * 10) / 10
  return (
    <section aria-label="Weight in the record" className="border-b border-rule px-[18px] pt-2.5 pb-3">
      <h3 className="text-[18px] leading-[22px]">Weighed {weightText(weighed, unit)}</h3>
      <p className="mt-1">{known === null ? `${name}’s record has no weight yet.` : `${name}’s record says ${weightText(known, unit)}.`}</p>
      <Button
        className="mt-2"
        onClick={() =>
          void weigh({
            dogId: dog.id,
            id: uuid(),
            body: { kg, asTyped: '', unit: unit === 'in' ? 'lb' : 'kg', on: today(), at: new Date().toISOString(), by: fitter },
          }).then(({ error }) => setRefused(error ? problemWords(error) : null))
        }
      >
        Take it into the record
      </Button>
      {refused && <Problem className="mt-1">Not taken over. {refused}</Problem>}
    </section>
  )
}
