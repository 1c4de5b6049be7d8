import type { SizeTable, SupplyAnswer } from '@merry-tailor/core'
import { SupplyAnswer as AnswerSchema } from '@merry-tailor/core/schemas'
import { z } from 'zod'

/** Whoever sells us pieces: asked for counts and weeks, never trusted to be there. */
export interface Supplier {
  /** @throws when it cannot be reached in time or answers what cannot be read */
  ask(tables: readonly Pick<SizeTable, 'id' | 'way' | 'sizes'>[]): Promise<SupplyAnswer[]>
}

/** A fitter waits no longer than this for somebody else's machine. */
const PATIENCE_MS = 1500

const Answers = z.array(AnswerSchema).max(2000)

/** A supplier behind HTTP: `POST {base}/stock` with the tables and their size names. */
export const httpSupplier = (base: string, patienceMs = PATIENCE_MS): Supplier => ({
  async ask(tables) {
    const response = await fetch(new URL('/stock', base), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ tables: tables.map(({ id, way, sizes }) => ({ id, way, labels: sizes.map((size) => size.label) })) }),
      signal: AbortSignal.timeout(patienceMs),
    })
    if (!response.ok) throw new Error(`the supplier answered ${response.status}`)
    return Answers.parse(await response.json())
  },
})
