import { useState } from 'react'
import { TextField } from '../../ui/controls/TextField'

/** A grade as a fitter says it, in centimetres a metre. */
export function GradeField({ value, onSet }: { value: number; onSet: (percent: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? String(value)
  const read = Number(text.replace(',', '.').replace('−', '-'))
  const wrong = text.trim() === '' || !Number.isFinite(read) || Math.abs(read) > 30
  return (
    <TextField
      label="Grade, cm per m, up; minus is down"
      inputMode="text"
      value={text}
      problem={wrong ? 'From -30 to 30: steeper no cart is drawn.' : undefined}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = Number(event.target.value.replace(',', '.').replace('−', '-'))
        if (event.target.value.trim() !== '' && Number.isFinite(next) && Math.abs(next) <= 30) onSet(next)
      }}
    />
  )
}
