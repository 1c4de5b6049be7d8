import { plainLetters, type Dog } from '@merry-tailor/core'
import { useMemo, useState } from 'react'

/** Rows drawn at once; a kennel's thousands are found by name, not scrolled. */
const PAGE = 60

/** Names in the reader’s order, their numbers counted: dog 2 before dog 10. */
const byName = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' })

/** The dogs whose name has every typed word, a page of them at a time. */
export function useDogFinder(dogs: readonly Dog[]) {
  const [typed, setTyped] = useState('')
  const [pages, setPages] = useState(1)
  const sorted = useMemo(() => [...dogs].sort((a, b) => byName.compare(a.name, b.name)), [dogs])
  const words = plainLetters(typed).split(/\s+/).filter(Boolean)
  const found = words.length === 0 ? sorted : sorted.filter((dog) => words.every((word) => plainLetters(dog.name).includes(word)))
  const shown = found.slice(0, pages * PAGE)
  return {
    typed,
    type: (text: string) => {
      setTyped(text)
      setPages(1)
    },
    shown,
    left: found.length - shown.length,
    next: Math.min(PAGE, found.length - shown.length),
    more: () => setPages(pages + 1),
    /** Few enough dogs are simply all there. */
    useful: dogs.length > PAGE,
  }
}

export type DogFinding = ReturnType<typeof useDogFinder>
