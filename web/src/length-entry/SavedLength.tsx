import { formatLength, parseLength } from '@merry-tailor/core'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { SavedField, type SaveResult } from '../ui/controls/SavedField'
import { lineWords } from '../words/hitch'

interface SavedLengthProps {
  label: string
  mm: number
  onSave: (mm: number) => Promise<SaveResult>
  least?: number
  most?: number
  /** Minus is a length too, and means this. */
  minus?: string
}

/** A length kept when its field is left; what can't be read is said at the field and stays. */
export function SavedLength({ label, mm, onSave, least, most, minus }: SavedLengthProps) {
  const look = useAppSelector((state) => state.settings)
  const style = { ...readingStyle(look), unit: look.unit }
  const refuse = (problem: string): Promise<SaveResult> => Promise.resolve({ kept: false, problem })
  return (
    <SavedField
      label={`${label} (${look.unit})`}
      inputMode={minus === undefined ? 'decimal' : 'text'}
      value={`${mm < 0 ? '-' : ''}${formatLength(Math.abs(mm), style)
        .text.replace(/[^\d./ ⁄]/g, '')
        .trim()}`}
      onSave={(text) => {
        const below = /^\s*[-−]/.test(text)
        const bare = text.replace(/^\s*[-−+]/, '')
        const parsed = /^\s*0+\s*$/.test(bare) ? ({ ok: true, mm: 0 } as const) : parseLength(bare, look.unit)
        if (!parsed.ok || (below && minus === undefined))
          return refuse(minus === undefined ? `A length, such as ${look.unit === 'in' ? '12 1/2' : '31'}.` : `A length; minus lies ${minus}.`)
        const read = below ? -parsed.mm : parsed.mm
        if ((least !== undefined && read < least) || (most !== undefined && read > most))
          return refuse(`From ${lineWords(least ?? 0, look.unit)} to ${lineWords(most ?? 20_000, look.unit)}.`)
        return onSave(read)
      }}
    />
  )
}
