import { suggestBreeds } from '@merry-tailor/core'
import { useId, useState } from 'react'
import { Meanwhile } from '../ui/controls/Meanwhile'
import { useSavedDraft, type SaveResult } from '../ui/controls/use-saved-draft'
import { Problem, useFieldProblem } from '../ui/controls/Problem'

interface BreedFieldProps {
  label: string
  value: string
  placeholder?: string
  onSave: (typed: string, seen: string) => Promise<SaveResult>
}

/** A breed with suggestions from the reference list; any other words are as good. */
export function BreedField({ label, value, placeholder, onSave }: BreedFieldProps) {
  const id = useId()
  const saved = useSavedDraft(value, onSave)
  const [open, setOpen] = useState(false)
  const [at, setAt] = useState(-1)
  const problem = saved.theirs === null ? saved.problem : null
  const found = open && saved.typing ? suggestBreeds(saved.shown, 6).filter((breed) => breed.name !== saved.shown) : []
  const save = (typed: string): void => {
    setOpen(false)
    setAt(-1)
    saved.leave(typed.trim())
  }
  const { field, id: problemId } = useFieldProblem(problem)
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
        {...field}
        value={saved.shown}
        placeholder={placeholder}
        maxLength={80}
        autoComplete="off"
        onChange={(event) => {
          saved.type(event.target.value)
          setOpen(true)
          setAt(-1)
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault()
            setAt((now) => Math.min(found.length - 1, Math.max(-1, now + (event.key === 'ArrowDown' ? 1 : -1))))
          } else if (event.key === 'Enter') {
            event.preventDefault()
            save(found[at]?.name ?? saved.shown)
          } else if (event.key === 'Escape' && found.length > 0) {
            // It closes the list and nothing else: what is typed stays.
            event.stopPropagation()
            setOpen(false)
            setAt(-1)
          }
        }}
        onBlur={() => save(saved.shown)}
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
              save(breed.name)
            }}
            className="flex min-h-12 cursor-pointer items-center border-b border-rule px-3 font-semibold hover:bg-bench aria-selected:bg-ink aria-selected:text-panel"
          >
            {breed.name}
          </li>
        ))}
      </ul>
      <Meanwhile saved={saved} />
      <Problem id={problemId} className="mt-1 text-[13.5px]">
        {problem}
      </Problem>
    </div>
  )
}
