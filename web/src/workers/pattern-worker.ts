import { draftGarment, nestPieces, type ClothWidth, type Garment, type GarmentQuestion, type Nest, type NestItem } from '@merry-tailor/core'
import { expose } from 'comlink'
import { patternFile } from './pattern-file'

let newest = 0
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done, 0))

/** Drafts garments, searches lays and writes their files beside the page. */
const work = {
  /** @returns `null` when a newer question came in meanwhile */
  async draft(turn: number, question: GarmentQuestion): Promise<Garment | null> {
    newest = Math.max(newest, turn)
    await breathe()
    return newest === turn ? draftGarment(question) : null
  },
  nest(items: readonly NestItem[], cloth: ClothWidth, budgetMs: number, seed: number): Nest {
    return nestPieces(items, cloth, { budgetMs, seed })
  },
  file: patternFile,
}
export type PatternWork = typeof work
expose(work)
