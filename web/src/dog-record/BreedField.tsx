import { suggestBreeds } from '@merry-tailor/core'
import { useId, useRef, useState } from 'react'
import { Meanwhile } from '../ui/controls/Meanwhile'
import type { SaveResult } from '../ui/controls/SavedField'

interface BreedFieldProps {
  label: string
  value: string
  placeholder?: string
  onSave: (typed: string, seen: string) => Promise<SaveResult>
}

/** A breed with suggestions from the reference list; any other words are as good. */
export function BreedField({ label, value, placeholder, onSave }: BreedFieldProps) {
  const id = useId()
  const [draft, setDraft] = useState<string | null>(null)
  const [open, setOpen] = useState(false)
  const [at, setAt] = useState(-1)
  /** The edit is made against the value seen when typing began. */
  const [seen, setSeen] = useState(value)
  const [problem, setProblem] = useState<string | null>(null)
  const [theirs, setTheirs] = useState<string | null>(null)
  const shown = draft ?? value
  const found = open && draft !== null ? suggestBreeds(draft, 6).filter((breed) => breed.name !== draft) : []
  /** What is on its way: leaving the field meanwhile sends nothing else. */
  const onItsWay = useRef<string | null>(null)
  const save = async (typed: string, against = draft === null ? value : seen): Promise<void> => {
    setOpen(false)
    setAt(-1)
    if (onItsWay.current === typed) return
    if (typed.trim() === value) {
      setDraft(null)
      setTheirs(null)
      setProblem(null)
      return
    }
    setDraft(typed)
    onItsWay.current = typed
    // What is typed on from here is an edit of this.
    setSeen(typed)
    const result = await onSave(typed.trim(), against)
    onItsWay.current = null
    // Typed on since: that stays.
    if (result.kept) {
      setDraft((now) => (now === typed ? null : now))
      setProblem(null)
      setTheirs(null)
    } else {
      setDraft(typed)
      setSeen(against)
      setProblem(result.problem)
      setTheirs(result.theirs ?? null)
    }
  }
  return (
    <div className="relative">
      <label htmlFor={id} className="mb-1 block text-[13.5px] font-semibold text-mute">
        {label}
      </label>
      <input
        id={id}
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls={`${id}-list`}
        aria-autocomplete="list"
        aria-activedescendant={at >= 0 ? `${id}-${at}` : undefined}
        aria-invalid={problem ? true : undefined}
        value={shown}
        placeholder={placeholder}
        maxLength={80}
        autoComplete="off"
        onChange={(event) => {
          if (draft === null) setSeen(value)
          setDraft(event.target.value)
          setOpen(true)
          setAt(-1)
          setProblem(null)
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault()
            setAt((now) => Math.min(found.length - 1, Math.max(-1, now + (event.key === 'ArrowDown' ? 1 : -1))))
          } else if (event.key === 'Enter') {
            event.preventDefault()
            void save(found[at]?.name ?? shown)
          } else if (event.key === 'Escape') {
            setDraft(null)
            setOpen(false)
          }
        }}
        onBlur={() => draft !== null && void save(draft)}
        className={`h-11 w-full rounded-[2px] border-2 bg-panel px-3 text-[16px] placeholder:text-mute ${problem ? 'border-snag' : 'border-ink'}`}
      />
      <ul
        id={`${id}-list`}
        role="listbox"
        aria-label={`${label}, suggestions`}
        hidden={found.length === 0}
        className="absolute inset-x-0 top-full z-30 -mt-0.5 border-2 border-ink bg-panel"
      >
        {found.map((breed, i) => (
          <li
            key={breed.name}
            id={`${id}-${i}`}
            role="option"
            aria-selected={i === at}
            onMouseDown={(event) => {
              event.preventDefault()
              void save(breed.name)
            }}
            className="flex min-h-12 cursor-pointer items-center border-b border-rule px-3 font-semibold hover:bg-bench aria-selected:bg-ink aria-selected:text-panel"
          >
            {breed.name}
          </li>
        ))}
      </ul>
      {theirs !== null && (
        <Meanwhile
          theirs={theirs}
          mine={shown}
          onKeepMine={() => void save(shown, theirs)}
          onTakeTheirs={() => {
            setDraft(null)
            setTheirs(null)
            setProblem(null)
          }}
        />
      )}
      {problem && theirs === null && (
        <p role="alert" className="mt-1 text-[13.5px] font-semibold text-snag">
          {problem}
        </p>
      )}
    </div>
  )
}
