import type { Dog } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { inNameOrder, isNamed } from '../api/dogs-page'

/** Rows drawn at once; a kennel's thousands are found by name, not scrolled. */
const PAGE = 60

/** The dogs whose name has every typed word, a page of them at a time. */
export function useDogFinder(dogs: readonly Dog[]) {
  const [typed, setTyped] = useState('')
  const [pages, setPages] = useState(1)
  const sorted = useMemo(() => inNameOrder(dogs), [dogs])
  const found = sorted.filter((dog) => isNamed(dog, typed))
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
