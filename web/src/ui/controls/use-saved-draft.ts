import { useRef, useState } from 'react'

/** What became of a save: kept; a sentence when not; the other value too when somebody else changed the field. */
export type SaveResult = { kept: true } | { kept: false; problem: string; theirs?: string }

export interface SavedDraft {
  /** What stands in the field: what is being typed, else the value. */
  shown: string
  /** Is something being typed, or kept because it could not be saved? */
  typing: boolean
  problem: string | null
  theirs: string | null
  type: (typed: string) => void
  /** The field is left with this in it: saved, or dropped where it says the same as the value. */
  leave: (typed?: string) => void
  drop: () => void
  keepMine: () => void
}

/** What every field that saves itself has: the draft, the save on its way, and what became of it. Nothing typed is lost. */
export function useSavedDraft(value: string, onSave: (typed: string, seen: string) => Promise<SaveResult>): SavedDraft {
  const [draft, setDraft] = useState<string | null>(null)
  /** The edit is made against the value seen when typing began. */
  const [seen, setSeen] = useState(value)
  const [problem, setProblem] = useState<string | null>(null)
  const [theirs, setTheirs] = useState<string | null>(null)
  /** Leaving the field again meanwhile sends nothing else. */
  const onItsWay = useRef<string | null>(null)

  const drop = (): void => {
    setDraft(null)
    setProblem(null)
    setTheirs(null)
  }
  const save = async (typed: string, against: string): Promise<void> => {
    if (onItsWay.current === typed) return
    onItsWay.current = typed
    setDraft(typed)
    // What is typed on from here is an edit of this.
    setSeen(typed)
    const result = await onSave(typed, against)
    onItsWay.current = null
    if (result.kept) {
      // Typed on since: that stays.
      setDraft((now) => (now === typed ? null : now))
      setProblem(null)
      setTheirs(null)
    } else {
      setDraft((now) => now ?? typed)
      setSeen(against)
      setProblem(result.problem)
      setTheirs(result.theirs ?? null)
    }
  }
  return {
    shown: draft ?? value,
    typing: draft !== null,
    problem,
    theirs,
    type: (typed) => {
      if (draft === null) setSeen(value)
      setDraft(typed)
      setProblem(null)
    },
    leave: (typed = draft ?? value) => {
      if (typed.trim() === value.trim()) drop()
      else void save(typed, draft === null ? value : seen)
    },
    drop,
    keepMine: () => {
      if (theirs !== null) void save(draft ?? value, theirs)
    },
  }
}
