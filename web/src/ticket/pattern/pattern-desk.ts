import { draftGarment, nestPieces, type ClothWidth, type Garment, type GarmentQuestion, type Nest, type NestItem } from '@merry-tailor/core'
import { wrap, type Remote } from 'comlink'
import { useEffect, useState } from 'react'
import type { PatternWork } from '../../workers/pattern-worker'

type DeskName = 'draft' | 'lay'
const desks = new Map<DeskName, Remote<PatternWork> | null>()
let turn = 0

/** The room's workers, one for drafts and one for lays, so that a search never keeps a draft waiting; without workers the answer is made in place. */
export function patternDesk(name: DeskName): Remote<PatternWork> | null {
  const known = desks.get(name)
  if (known !== undefined) return known
  if (typeof Worker === 'undefined') {
    desks.set(name, null)
    return null
  }
  const worker = new Worker(new URL('../../workers/pattern-worker.ts', import.meta.url), { type: 'module' })
  worker.addEventListener('error', () => desks.set(name, null), { once: true })
  const made = wrap<PatternWork>(worker)
  desks.set(name, made)
  return made
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
    const desk = patternDesk('draft')
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
    const left = new AbortController()
    const here = (): boolean => !left.signal.aborted
    const search = async (): Promise<void> => {
      let best: Nest | null = null
      let tried = 0
      for (let seed = 1; seed <= SEARCHES && here(); seed++) {
        const desk = patternDesk('lay')
        const lay: Nest = await (desk ? desk.nest(items, cloth, SEARCH_MS, seed) : Promise.resolve(nestPieces(items, cloth, { orders: 1, seed })))
        tried += lay.orders
        if (!best || lay.lengthMm < best.lengthMm - 0.5) best = lay
        const met = best.lengthMm <= best.boundMm + 1
        const last = met || seed === SEARCHES || !desk
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
