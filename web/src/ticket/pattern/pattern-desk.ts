import { draftGarment, nestPieces, type ClothWidth, type Garment, type GarmentQuestion, type Nest, type NestItem } from '@merry-tailor/core'
import { wrap, type Remote } from 'comlink'
import { useEffect, useState } from 'react'
import type { PatternWork } from '../../workers/pattern-worker'

let remote: Remote<PatternWork> | null | undefined
let turn = 0

/** The room's worker; without workers the answer is made in place. */
export function patternDesk(): Remote<PatternWork> | null {
  if (remote !== undefined) return remote
  if (typeof Worker === 'undefined') return (remote = null)
  const worker = new Worker(new URL('../../workers/pattern-worker.ts', import.meta.url), { type: 'module' })
  worker.addEventListener('error', () => (remote = null), { once: true })
  return (remote = wrap<PatternWork>(worker))
}

/** Worked at for longer than this, it is said. */
const SAID_AFTER_MS = 400

/** The garment as it is drafted beside the page; the last one stays until the next is there. */
export function useGarment(question: GarmentQuestion | null): { garment: Garment | null; working: boolean } {
  const [garment, setGarment] = useState<Garment | null>(null)
  const [working, setWorking] = useState(false)
  useEffect(() => {
    if (!question) return
    let wanted = true
    const late = setTimeout(() => wanted && setWorking(true), SAID_AFTER_MS)
    const desk = patternDesk()
    void (desk ? desk.draft(++turn, question).catch(() => draftGarment(question)) : Promise.resolve(draftGarment(question))).then((found) => {
      clearTimeout(late)
      if (!wanted || !found) return
      setGarment(found)
      setWorking(false)
    })
    return () => {
      wanted = false
      clearTimeout(late)
    }
  }, [question])
  return { garment, working }
}

/** How often a better lay is asked for, how long each search takes, and after how long pieces rest. */
const SEARCHES = 8
const SEARCH_MS = 500
const REST_MS = 350

/** The lay on cloth: the best so far while more are searched. */
export function useLay(items: readonly NestItem[] | null, cloth: ClothWidth): { lay: Nest | null; tried: number; searching: boolean } {
  const [state, setState] = useState<{ lay: Nest | null; tried: number; searching: boolean }>({ lay: null, tried: 0, searching: false })
  useEffect(() => {
    if (!items || items.length === 0) return
    let wanted = true
    const search = async (): Promise<void> => {
      let best: Nest | null = null
      let tried = 0
      for (let seed = 1; seed <= SEARCHES && wanted; seed++) {
        const desk = patternDesk()
        const lay: Nest = await (desk ? desk.nest(items, cloth, SEARCH_MS, seed) : Promise.resolve(nestPieces(items, cloth, { orders: 4, seed })))
        tried += lay.orders
        if (!best || lay.lengthMm < best.lengthMm - 0.5) best = lay
        const met = best.lengthMm <= best.boundMm + 1
        const last = met || seed === SEARCHES || !desk
        if (wanted) setState({ lay: best, tried, searching: !last })
        if (last) return
      }
    }
    const begin = setTimeout(() => void search().catch(() => wanted && setState({ lay: null, tried: 0, searching: false })), REST_MS)
    return () => {
      wanted = false
      clearTimeout(begin)
    }
  }, [items, cloth])
  return state
}
