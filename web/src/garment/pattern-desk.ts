import { draftGarment, nestPieces, type ClothWidth, type Garment, type GarmentQuestion, type Nest, type NestItem } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { deskOf, type Desk } from '../workers/desk'
import type { PatternWork } from '../workers/pattern-worker'

const made = (): Desk<PatternWork> => deskOf<PatternWork>(() => new Worker(new URL('../workers/pattern-worker.ts', import.meta.url), { type: 'module' }))
/** One worker for drafts and files, one for lays: a search never keeps a draft waiting. */
export const drafts = made()
const lays = made()
let turn = 0

/** Worked at for longer than this, it is said. */
const SAID_AFTER_MS = 400

/** The garment as it is drafted beside the page; the last one stays until the next is there. */
export function useGarment(question: GarmentQuestion | null): { garment: Garment | null; of: GarmentQuestion | null; working: boolean } {
  const [{ garment, of }, setGarment] = useState<{ garment: Garment | null; of: GarmentQuestion | null }>({ garment: null, of: null })
  const [working, setWorking] = useState(false)
  useEffect(() => {
    if (!question) return
    let wanted = true
    const late = setTimeout(() => wanted && setWorking(true), SAID_AFTER_MS)
    void drafts
      .beside<Garment | null>(
        (work) => work.draft(++turn, question),
        () => draftGarment(question),
      )
      .then((found) => {
        clearTimeout(late)
        if (!wanted || !found) return
        setGarment({ garment: found, of: question })
        setWorking(false)
      })
    return () => {
      wanted = false
      clearTimeout(late)
    }
  }, [question])
  return { garment, of, working }
}

/** How often a better lay is asked for, how long each search takes, and after how long pieces rest. */
const SEARCHES = 8
const SEARCH_MS = 500
const REST_MS = 350

/** The lay on cloth: the best so far while more are searched. */
export function useLay(items: readonly NestItem[], cloth: ClothWidth): { lay: Nest | null; tried: number; searching: boolean } {
  const [state, setState] = useState<{ lay: Nest | null; tried: number; searching: boolean }>({ lay: null, tried: 0, searching: false })
  useEffect(() => {
    if (items.length === 0) return
    const left = new AbortController()
    const here = (): boolean => !left.signal.aborted
    const search = async (): Promise<void> => {
      let best: Nest | null = null
      let tried = 0
      for (let seed = 1; seed <= SEARCHES && here(); seed++) {
        const isBeside = lays.prepare()
        const lay: Nest = await lays.beside(
          (work) => work.nest(items, cloth, SEARCH_MS, seed),
          () => nestPieces(items, cloth, { orders: 1, seed }),
        )
        tried += lay.orders
        if (!best || lay.lengthMm < best.lengthMm - 0.5) best = lay
        const met = best.lengthMm <= best.boundMm + 1
        const last = met || seed === SEARCHES || !isBeside
        if (here()) setState({ lay: best, tried, searching: !last })
        if (last) return
      }
    }
    const begin = setTimeout(() => void search().catch(() => here() && setState({ lay: null, tried: 0, searching: false })), REST_MS)
    return () => {
      left.abort()
      clearTimeout(begin)
    }
  }, [items, cloth])
  return state
}
