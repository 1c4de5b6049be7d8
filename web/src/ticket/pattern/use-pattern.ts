import { aboutDog, movedPieces, nestItems, type Garment, type GarmentFamily, type GarmentPlan, type NestItem, type PatternPiece } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useBenchForm, useOpenTicket } from '../../bench'
import { useToday } from '../../state/use-today'
import { useGarment } from './pattern-desk'

/** What stands in pieces before a hand moves an edge: everything of a plan that cuts. */
const cutsBy = ({ moves: _, swatch: _s, knitted: _k, cords: _c, clothWidthMm: _w, ...rest }: GarmentPlan): GarmentPlan => rest

/** A garment of the open ticket as it is drafted, before a hand moves an edge. */
export function usePattern(family: GarmentFamily, plan: GarmentPlan) {
  const { sheet } = useOpenTicket()
  const { form, own, solved } = useBenchForm()
  const on = useToday()
  const about = useMemo(() => aboutDog(sheet.dog, on), [sheet.dog, on])
  const cut = JSON.stringify(cutsBy(plan))
  const question = useMemo(() => ({ family, form, body: own, about, plan: JSON.parse(cut) as GarmentPlan }), [family, form, own, about, cut])
  const { garment: drafted, working } = useGarment(question)
  return { drafted, working, form, solved }
}

/** The same with its moved edges: in the frame in which they move. */
export const useMovedGarment = (drafted: Garment | null, moves: GarmentPlan['moves']): Garment | null =>
  useMemo(() => drafted && { ...drafted, pieces: movedPieces(drafted.pieces, drafted.seams, moves ?? []) }, [drafted, moves])

/** What is laid on cloth: remade only when pieces rest. */
export const useNestItems = (pieces: readonly PatternPiece[]): NestItem[] | null =>
  useMemo(() => {
    try {
      return pieces.length === 0 ? null : nestItems(pieces)
    } catch {
      return null
    }
  }, [pieces])
