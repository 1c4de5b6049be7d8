import { gaugeOf, knitOutline, knitProfile, type Garment, type Gauge, type GarmentPlan, type KnitPlan, type PatternPiece } from '@merry-tailor/core'
import { useMemo } from 'react'

export interface Knit {
  pieces: PatternPiece[]
  piece: PatternPiece | undefined
  gauge: Gauge | null
  /** Of the piece in hand; `null` without a swatch, or where the outline cannot be knitted. */
  plan: KnitPlan | null
  /** Yarn for all pieces. */
  all: { grams: number | null; metres: number } | null
  says: string | null
}

/** Pieces in rows of a swatch. */
export function useKnit(garment: Garment | null, plan: GarmentPlan, inHand: string): Knit {
  return useMemo(() => {
    const pieces = garment?.pieces ?? []
    const piece = pieces.find(({ id }) => id === inHand) ?? pieces[0]
    const { swatch } = plan
    const none = { pieces, piece, gauge: null, plan: null, all: null }
    if (!swatch) return { ...none, says: 'Knit 10 cm, wash it, dry it, count it.' }
    try {
      const gauge = gaugeOf(swatch)
      const of = (each: PatternPiece): KnitPlan => knitProfile(knitOutline(each), gauge, { multiple: swatch.multiple, edge: swatch.edge })
      const plans = pieces.map((each) => ({ count: each.count, plan: of(each) }))
      const grams = plans.some(({ plan: { grams: g } }) => g === null) ? null : plans.reduce((sum, { count, plan: { grams: g } }) => sum + count * (g ?? 0), 0)
      const metres = plans.reduce((sum, { count, plan: { metres: m } }) => sum + count * m, 0)
      return { pieces, piece, gauge, plan: piece ? of(piece) : null, all: { grams, metres }, says: null }
    } catch (problem) {
      if (!(problem instanceof RangeError)) throw problem
      return { ...none, says: 'This swatch gives no rows that can be knitted: look at its counts.' }
    }
  }, [garment, plan, inHand])
}
