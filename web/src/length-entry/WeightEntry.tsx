import { formatWeight, parseWeight } from '@merry-tailor/core'
import { useState } from 'react'
import { TextField } from '../ui/controls/TextField'
import { weightProblemWords } from '../words/problems'

interface WeightEntryProps {
  label: string
  kg: number
  unit: 'kg' | 'lb'
  mostKg: number
  onSet: (kg: number) => void
  /** An empty field means something of its own; left out, it is no weight. */
  onEmpty?: () => void
}

/** A weight typed in the shop’s unit; what is none is said at the field and stays. */
export function WeightEntry({ label, kg, unit, mostKg, onSet, onEmpty }: WeightEntryProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? formatWeight(kg, unit).replace(/[^\d.]/g, '')
  const read = parseWeight(text, unit)
  const problem = !read.ok ? weightProblemWords(read.problem) : read.kg > mostKg ? `Up to ${formatWeight(mostKg, unit)}.` : undefined
  return (
    <TextField
      label={`${label} (${unit})`}
      inputMode="decimal"
      value={text}
      problem={onEmpty && text.trim() === '' ? undefined : problem}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = parseWeight(event.target.value, unit)
        if (onEmpty && event.target.value.trim() === '') onEmpty()
        else if (next.ok && next.kg <= mostKg) onSet(next.kg)
      }}
    />
  )
}
