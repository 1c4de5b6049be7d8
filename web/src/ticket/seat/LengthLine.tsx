import { formatLength, parseLength } from '@merry-tailor/core'
import { useState } from 'react'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { TextField } from '../../ui/controls/TextField'

interface LengthLineProps {
  label: string
  mm: number
  least: number
  most: number
  onSet: (mm: number) => void
}

/** A length as it is typed; what is none stays and says so. */
export function LengthLine({ label, mm, least, most, onSet }: LengthLineProps) {
  const settings = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(settings), unit: settings.unit }
  const [typed, setTyped] = useState<string | null>(null)
  const readOf = (text: string): number | null => {
    if (/^\s*0+\s*$/.test(text)) return 0
    const read = parseLength(text, settings.unit)
    return read.ok ? read.mm : null
  }
  const read = typed === null ? mm : readOf(typed)
  const wrong = read === null || read < least || read > most
  return (
    <TextField
      label={`${label} (${settings.unit})`}
      value={
        typed ??
        formatLength(mm, style)
          .text.replace(/[^\d./ ⁄]/g, '')
          .trim()
      }
      inputMode="decimal"
      problem={wrong ? `A length from ${formatLength(least, style).text} to ${formatLength(most, style).text}.` : undefined}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = readOf(event.target.value)
        if (next !== null && next >= least && next <= most) onSet(next)
      }}
      onBlur={() => {
        if (!wrong) setTyped(null)
      }}
    />
  )
}
