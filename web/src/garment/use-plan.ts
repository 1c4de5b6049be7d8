import { GARMENT_FAMILIES, keptPattern, RULES_VERSION, type GarmentFamily, type GarmentPlan, type Item } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useActs, useOpenTicket } from '../bench'
import { useKeptDraft } from '../state/use-kept-draft'
import { useOnce } from '../state/use-once'
import { problemWords } from '../words/problems'

const isPlan = (kept: unknown): kept is GarmentPlan => typeof kept === 'object' && kept !== null && !Array.isArray(kept)

export const garmentFamily = (family: string): GarmentFamily | null => GARMENT_FAMILIES.find((each) => each === family) ?? null

const EMPTY: GarmentPlan = {}

/** How an item is wished, as it stands on this device: changed, undone, and kept as a choice of the ticket. */
export function usePlan(item: Item) {
  const { sheet } = useOpenTicket()
  const acts = useActs()
  const once = useOnce()
  const kept = keptPattern(sheet.choices, item.id)
  const [plan, setPlan] = useKeptDraft<GarmentPlan>(`pattern-${item.id}`, kept?.plan ?? EMPTY, isPlan)
  const [past, setPast] = useState<GarmentPlan[]>([])
  const [refused, setRefused] = useState<string | null>(null)

  const replace = (next: (was: GarmentPlan) => GarmentPlan): void => {
    setPast((all) => [...all.slice(-60), plan])
    setPlan(next)
  }
  const change = (over: Partial<GarmentPlan>): void => replace((was) => ({ ...was, ...over }))
  const undo = (): void => {
    const last = past.at(-1)
    if (!last) return
    setPast(past.slice(0, -1))
    setPlan(() => last)
  }
  const isKept = useMemo(() => JSON.stringify(kept?.plan ?? EMPTY) === JSON.stringify(plan), [kept, plan])
  /** Keeps the plan as it stands, or this one; `false` where it was refused: then it stays here. */
  const keep = async (next?: GarmentPlan): Promise<boolean> => {
    const family = garmentFamily(item.family)
    if ((isKept && !next) || !family) return true
    if (next) replace(() => next)
    let done = false
    const write = async (): Promise<boolean> => {
      const { error } = await acts.choose(
        { kind: 'pattern', family, plan: next ?? plan, was: kept?.id ?? null, itemId: item.id, predicted: [], rulesVersion: RULES_VERSION, overruled: null },
        uuid(),
      )
      setRefused(error ? `Not kept. ${problemWords(error)} Yours stays here; theirs is in the ticket.` : null)
      done = !error
      return done
    }
    // Two different plans are two writes; the same one twice is one.
    await (next ? write() : once(write))
    return done
  }
  /** Theirs instead of this one; this one can be had back by undo. */
  const takeTheirs = (): void => {
    if (kept) replace(() => kept.plan)
    setRefused(null)
  }
  /** Back to what was drafted; what was pinned on the dog stays. */
  const asDrafted = (): void => change({ moves: (plan.moves ?? []).filter(({ round }) => round !== undefined) })
  return { itemId: item.id, takeTheirs, plan, kept, change, undo, canUndo: past.length > 0, isKept, keep, refused, asDrafted }
}
export type PlanInHand = ReturnType<typeof usePlan>
