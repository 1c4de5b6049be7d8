import { nestItems, type GarmentPlan, type NestItem, type PatternPiece } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useLay } from '../../garment'

/** Cloth as it usually comes, and the way between two pieces, mm. */
const CLOTH_MM = 1480
const GAP_MM = 5
const NOTHING: readonly NestItem[] = []

/** The lay of pieces on cloth of a width; pieces that cannot be laid are none. */
export function useLayOf(pieces: readonly PatternPiece[], plan: GarmentPlan) {
  const { clothWidthMm: widthMm = CLOTH_MM, gapMm = GAP_MM, oneWay = false } = plan
  const items = useMemo((): readonly NestItem[] => {
    try {
      return nestItems(pieces)
    } catch {
      return NOTHING
    }
  }, [pieces])
  const cloth = useMemo(() => ({ widthMm, gapMm, oneWay }), [widthMm, gapMm, oneWay])
  return { items, widthMm, gapMm, oneWay, ...useLay(items, cloth) }
}
