import { formatLength, parseLength } from '@merry-tailor/core'
import { useState } from 'react'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { TextField } from '../../ui/controls/TextField'
import { lineWords } from '../../words/hitch'

/** A length typed as a fitter types it; what can't be read is said at the field and kept. */
export function LengthEntry({
  label,
  mm,
  onSet,
  least,
  most,
  problem,
}: {
  label: string
  mm: number
  onSet: (mm: number) => void
  least: number
  most: number
  problem?: string | undefined
}) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const shown = formatLength(mm, look)
    .text.replace(/[^\d./ ⁄-]/g, '')
    .trim()
  const [typed, setTyped] = useState<{ text: string; of: number } | null>(null)
  const text = typed && typed.of === mm ? typed.text : shown
  const parsed = typed && typed.of === mm ? parseLength(typed.text, look.unit) : null
  const wrong =
    parsed === null
      ? undefined
      : !parsed.ok
        ? 'Not a length yet.'
        : parsed.mm < least || parsed.mm > most
          ? `From ${lineWords(least, look.unit)} to ${lineWords(most, look.unit)}.`
          : undefined
  return (
    <TextField
      label={`${label} (${look.unit})`}
      value={text}
      inputMode="decimal"
      problem={wrong ?? problem}
      onChange={(event) => {
        const next = parseLength(event.target.value, look.unit)
        const good = next.ok && next.mm >= least && next.mm <= most
        if (good) onSet(next.mm)
        setTyped({ text: event.target.value, of: good ? next.mm : mm })
      }}
    />
  )
}
