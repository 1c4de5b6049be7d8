import { aboutDog, movedGarment, stillGrows, type Garment, type GarmentFamily, type GarmentPlan, type Item } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useBenchForm, useOpenTicket } from '../bench'
import { useToday } from '../state/use-today'
import { changedEdges } from './changed-edges'
import { useGarment } from './pattern-desk'
import { usePlan } from './use-plan'

/** What stands in pieces before a hand moves an edge: everything of a plan that cuts. */
const cutsBy = ({ moves: _, swatch: _s, knitted: _k, cords: _c, clothWidthMm: _w, oneWay: _o, gapMm: _g, ...rest }: GarmentPlan): GarmentPlan => rest

/** Every edge shown is as it is wished. */
const NONE: ReadonlySet<string> = new Set()

/** A garment of the open ticket as it is drafted, before a hand moves an edge. */
function usePattern(family: GarmentFamily, plan: GarmentPlan) {
  const { sheet } = useOpenTicket()
  const { form, own, solved } = useBenchForm()
  const on = useToday()
  const about = useMemo(() => aboutDog(sheet.dog, on), [sheet.dog, on])
  const cut = JSON.stringify(cutsBy(plan))
  const question = useMemo(() => ({ family, form, body: own, about, plan: JSON.parse(cut) as GarmentPlan }), [family, form, own, about, cut])
  const { garment: drafted, of, working } = useGarment(question)
  const changing = useMemo(() => (of === null || of === question ? NONE : changedEdges(of, question)), [of, question])
  return { drafted, working, changing, form, solved }
}

/** An item's garment: the plan in hand, and what is drafted of it; a growing dog's rug grows along unless told otherwise. */
export function useItemPattern(item: Item, family: GarmentFamily) {
  const { sheet } = useOpenTicket()
  const hand = usePlan(item)
  const { plan } = hand
  const on = useToday()
  const grows = (family === 'C1' || family === 'C5') && stillGrows(sheet.dog, on)
  const wished = useMemo(() => ({ ...plan, growing: plan.growing ?? grows }), [plan, grows])
  return { hand, wished, ...usePattern(family, wished) }
}

/** The same with its moved edges: in the frame in which they move. */
export const useMovedGarment = (drafted: Garment, moves: GarmentPlan['moves']): Garment => useMemo(() => movedGarment(drafted, moves ?? []), [drafted, moves])
