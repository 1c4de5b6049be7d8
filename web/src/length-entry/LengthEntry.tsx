import { formatLength, parseLength } from '@merry-tailor/core'
import { useState } from 'react'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { TextField } from '../ui/controls/TextField'
import { lineWords } from '../words/hitch'

/** Nothing is a length too: no slack, level with the axle. */
const readOf = (text: string, unit: 'in' | 'cm'): number | null => {
  if (/^\s*0+\s*$/.test(text)) return 0
  const parsed = parseLength(text, unit)
  return parsed.ok ? parsed.mm : null
}

/** A length typed as a fitter types it; what can't be read is said at the field and kept. */
export function LengthEntry({
  label,
  mm,
  onSet,
  least,
  most,
  problem,
  onRead,
}: {
  label: string
  mm: number
  onSet: (mm: number) => void
  least: number
  most: number
  problem?: string | undefined
  /** Whether what is typed is a length that can be kept. */
  onRead?: (good: boolean) => void
}) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const shown = formatLength(mm, look)
    .text.replace(/[^\d./ ⁄-]/g, '')
    .trim()
  const [typed, setTyped] = useState<{ text: string; of: number } | null>(null)
  const own = typed !== null && typed.of === mm
  const text = own ? typed.text : shown
  const read = own ? readOf(typed.text, look.unit) : mm
  const wrong =
    read === null ? 'Not a length yet.' : read < least || read > most ? `From ${lineWords(least, look.unit)} to ${lineWords(most, look.unit)}.` : undefined
  return (
    <TextField
      label={`${label} (${look.unit})`}
      value={text}
      inputMode="decimal"
      problem={wrong ?? problem}
      onChange={(event) => {
        const next = readOf(event.target.value, look.unit)
        const good = next !== null && next >= least && next <= most
        if (good) onSet(next)
        onRead?.(good)
        setTyped({ text: event.target.value, of: good ? next : mm })
      }}
    />
  )
}
