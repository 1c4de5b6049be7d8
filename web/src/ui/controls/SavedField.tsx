import { useRef, useState, type ReactNode } from 'react'
import { Meanwhile } from './Meanwhile'
import { TextField } from './TextField'

/** What became of a save: `null` kept; a sentence when not; both values when somebody else changed the field. */
export type SaveResult = { kept: true } | { kept: false; problem: string; theirs?: string }

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
  /** What is being typed, for an echo beside it. */
  onDraft?: (typed: string | null) => void
}

/** A field that saves itself when it is left. Nothing typed is lost: what could not be saved stays, with the reason. */
export function SavedField({ label, value, onSave, placeholder, maxLength = 200, hint, className, multiline = false, trailing, onDraft }: SavedFieldProps) {
  const [draft, setDraft] = useState<string | null>(null)
  const [seen, setSeen] = useState(value)
  const [problem, setProblem] = useState<string | null>(null)
  const [theirs, setTheirs] = useState<string | null>(null)
  const shown = draft ?? value

  /** What is on its way: leaving the field again meanwhile sends nothing else. */
  const onItsWay = useRef<string | null>(null)
  const save = async (typed: string, against: string): Promise<void> => {
    if (onItsWay.current === typed) return
    onItsWay.current = typed
    // What is typed on from here is an edit of this.
    setSeen(typed)
    const result = await onSave(typed, against)
    onItsWay.current = null
    if (result.kept) {
      setDraft((now) => (now === typed ? null : now))
      setProblem(null)
      setTheirs(null)
    } else {
      setSeen(against)
      setProblem(result.problem)
      setTheirs(result.theirs ?? null)
    }
  }
  const leave = (): void => {
    if (draft === null) return
    if (draft.trim() === value.trim()) {
      setDraft(null)
      setProblem(null)
    } else void save(draft, seen)
  }
  const shared = {
    value: shown,
    placeholder,
    maxLength,
    onBlur: leave,
    onChange: (event: { target: { value: string } }) => {
      // The edit is made against the value seen when typing began.
      if (draft === null) setSeen(value)
      setDraft(event.target.value)
      onDraft?.(event.target.value)
      setProblem(null)
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
          problem={theirs === null ? (problem ?? undefined) : undefined}
          hint={hint}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur()
            if (event.key === 'Escape') {
              setDraft(null)
              setProblem(null)
            }
          }}
          {...shared}
        />
      )}
      {multiline && problem && theirs === null && (
        <p role="alert" className="mt-1 text-[13.5px] font-semibold text-snag">
          {problem}
        </p>
      )}
      {theirs !== null && (
        <Meanwhile
          theirs={theirs}
          mine={draft ?? ''}
          onKeepMine={() => void save(draft ?? '', theirs)}
          onTakeTheirs={() => {
            setDraft(null)
            setTheirs(null)
            setProblem(null)
          }}
        />
      )}
    </div>
  )
}
