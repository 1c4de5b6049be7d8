import { formatWeight, parseWeight } from '@merry-tailor/core'
import { useState } from 'react'
import { TextField } from '../../ui/controls/TextField'
import { weightProblemWords } from '../../words/problems'

/** By which mass the stop is looked at: the dog’s own, or a heavier one to compare by. */
export function MassField({ kg, unit, onSet }: { kg: number; unit: 'kg' | 'lb'; onSet: (kg: number | null) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? formatWeight(kg, unit).replace(/[^\d.]/g, '')
  const read = parseWeight(text, unit)
  const empty = text.trim() === ''
  return (
    <TextField
      label={`Mass (${unit})`}
      inputMode="decimal"
      value={text}
      problem={empty || (read.ok && read.kg <= 150) ? undefined : read.ok ? 'Up to 150 kg.' : weightProblemWords(read.problem)}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = parseWeight(event.target.value, unit)
        if (event.target.value.trim() === '') onSet(null)
        else if (next.ok && next.kg <= 150) onSet(next.kg)
      }}
    />
  )
}
