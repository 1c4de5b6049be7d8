import type { ReactNode } from 'react'
import { Meanwhile } from './Meanwhile'
import { TextField } from './TextField'
import { useSavedDraft, type SaveResult } from './use-saved-draft'
import { Problem } from './Problem'

export type { SaveResult } from './use-saved-draft'

interface SavedFieldProps {
  label: string
  value: string
  /** Turns what was typed into a save, or says at the field what is wrong with it. */
  onSave: (typed: string, seen: string) => Promise<SaveResult>
  placeholder?: string
  maxLength?: number
  hint?: ReactNode
  className?: string
  multiline?: boolean
  trailing?: ReactNode
  inputMode?: 'text' | 'decimal'
  /** What is being typed, for an echo beside it. */
  onDraft?: (typed: string | null) => void
}

/** A field that saves itself when it is left. Nothing typed is lost: what could not be saved stays, with the reason. */
export function SavedField({
  label,
  value,
  onSave,
  placeholder,
  maxLength = 200,
  hint,
  className,
  multiline = false,
  trailing,
  inputMode,
  onDraft,
}: SavedFieldProps) {
  const saved = useSavedDraft(value, onSave)
  const problem = saved.theirs === null ? saved.problem : null
  const shared = {
    value: saved.shown,
    placeholder,
    maxLength,
    ...(inputMode ? { inputMode } : {}),
    onBlur: () => saved.leave(),
    onChange: (event: { target: { value: string } }) => {
      saved.type(event.target.value)
      onDraft?.(event.target.value)
    },
  }
  return (
    <div className={className}>
      {multiline ? (
        <label className="block">
          <span className="mb-1 block text-[13.5px] font-semibold text-mute">{label}</span>
          <textarea rows={3} className="w-full rounded-[2px] border-2 border-ink bg-panel px-3 py-2 text-[16px] leading-[21px]" {...shared} />
        </label>
      ) : (
        <TextField
          label={label}
          trailing={trailing}
          problem={problem ?? undefined}
          hint={hint}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur()
            if (event.key === 'Escape') saved.drop()
          }}
          {...shared}
        />
      )}
      {multiline && problem !== null && <Problem className="mt-1 text-[13.5px]">{problem}</Problem>}
      <Meanwhile saved={saved} />
    </div>
  )
}
