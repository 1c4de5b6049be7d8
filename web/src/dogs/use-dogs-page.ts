import type { Dog } from '@merry-tailor/core'
import { useDeferredValue, useState } from 'react'
import { inNameOrder, isNamed, type DogsAsked } from '../api/dogs-page'
import { useDogsPageQuery, useDogsQuery } from '../api/queries'
import type { DogFinding } from './use-dog-finder'

/** Rows drawn at once; a kennel's thousands are found by name, not scrolled. */
const PAGE = 60

export interface PagedDogs {
  finding: DogFinding | null
  /** How many there are before anything is typed. */
  total: number
  error: unknown
}

/** Nothing kept of this question: with the server away, the dogs this device knows are searched here. */
function hereOf(all: readonly Dog[], { search, owner, limit }: DogsAsked): { dogs: Dog[]; total: number } {
  const found = inNameOrder(all.filter((dog) => isNamed(dog, search) && (owner === null || dog.ownerId === owner)))
  return { dogs: found.slice(0, limit), total: found.length }
}

/** The dogs whose name has every typed word, a page of them at a time, found by the server. */
export function useDogsPage(owner: string | null): PagedDogs {
  const [typed, setTyped] = useState('')
  const [pages, setPages] = useState(1)
  const [most, setMost] = useState(0)
  const search = useDeferredValue(typed.trim())
  const asked: DogsAsked = { search, owner, limit: pages * PAGE }
  const { data, error } = useDogsPageQuery(asked)
  const away = data === undefined && error !== undefined
  const { data: all } = useDogsQuery(undefined, { skip: !away })
  const answer = data ?? (away && all ? hereOf(all, asked) : undefined)
  // What stood there is searched until the next answer is in: a letter shows at once.
  const [last, setLast] = useState(answer)
  if (answer && answer !== last && JSON.stringify(answer) !== JSON.stringify(last)) setLast(answer)
  const page = answer ?? (last && hereOf(last.dogs, asked))
  if (answer && search === '' && answer.total !== most) setMost(answer.total)
  if (!page) return { finding: null, total: 0, error: away && all === undefined ? error : undefined }
  const left = page.total - page.dogs.length
  return {
    finding: {
      typed,
      type: (text: string) => {
        setTyped(text)
        setPages(1)
      },
      shown: page.dogs,
      left,
      next: Math.min(PAGE, left),
      more: () => setPages(pages + 1),
      useful: most > PAGE || typed !== '',
    },
    total: most,
    error: undefined,
  }
}
