import { useState } from 'react'
import { TextField } from '../ui/controls/TextField'

interface NumberEntryProps {
  label: string
  value: number
  onSet: (value: number) => void
  least: number
  most: number
  /** Said at the field where it is none of these. */
  problem: string
}

/** A bare number typed in; what is none, or lies outside, is said at the field and stays. */
export function NumberEntry({ label, value, onSet, least, most, problem }: NumberEntryProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? String(value)
  const readOf = (from: string): number | null => {
    const read = Number(from.replace(',', '.').replace('−', '-'))
    return from.trim() !== '' && read >= least && read <= most ? read : null
  }
  return (
    <TextField
      label={label}
      inputMode={least < 0 ? 'text' : 'decimal'}
      value={text}
      problem={readOf(text) === null ? problem : undefined}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = readOf(event.target.value)
        if (next !== null) onSet(next)
      }}
    />
  )
}
