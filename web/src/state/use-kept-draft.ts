import { useEffect, useState } from 'react'

const PLACE = 'merry-tailor-draft'

function read(place: string): string | null {
  try {
    return localStorage.getItem(place)
  } catch {
    return null
  }
}

function write(place: string, text: string | null): void {
  try {
    if (text === null) localStorage.removeItem(place)
    else localStorage.setItem(place, text)
  } catch {
    // A device that keeps nothing keeps the draft as long as the page is open.
  }
}

/** A draft kept on this device, as it was left; `null` where there is none or it can't be read. */
export function keptDraft<T>(key: string, isOne: (kept: unknown) => kept is T): T | null {
  try {
    const kept: unknown = JSON.parse(read(`${PLACE}-${key}`) ?? 'null')
    return isOne(kept) ? kept : null
  } catch {
    return null
  }
}

/**
 * A form that is kept on the device at the keystroke until it is done with: leaving, Back and a closed page lose nothing.
 *
 * @param key what it is a draft of; each has its own
 * @param first how the form begins; while it stands so, nothing is kept
 * @returns the draft, how to set it, how to begin anew, and whether one was found from before
 */
export function useKeptDraft<T>(
  key: string,
  first: T,
  isOne: (kept: unknown) => kept is T,
): [draft: T, set: (next: (now: T) => T) => void, forget: () => void, found: boolean] {
  const [begun] = useState(first)
  const [found, setFound] = useState<T | null>(() => keptDraft(key, isOne))
  const [draft, setDraft] = useState<T>(found ?? begun)
  useEffect(() => {
    write(`${PLACE}-${key}`, draft === begun ? null : JSON.stringify(draft))
  }, [key, draft, begun])
  return [
    draft,
    setDraft,
    () => {
      write(`${PLACE}-${key}`, null)
      setFound(null)
      setDraft(begun)
    },
    found !== null,
  ]
}
