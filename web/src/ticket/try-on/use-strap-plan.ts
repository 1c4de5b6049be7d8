import {
  settingOrder,
  sliderMoves,
  strapsOf,
  unevenSides,
  type Foretold,
  type Item,
  type SettingPlan,
  type SliderMove,
  type StartQuestion,
  type StrapId,
  type StrapSides,
  type UnevenSide,
} from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { useActs, useBenchForm, useGauge, useOpenTicket, settingOf, type SetThing } from '../../bench'
import { useSettingPlan } from '../../form'
import { problemWords } from '../../words/problems'

export type StrapSide = 'left' | 'right' | 'both'

export interface StrapPlan {
  /** Straps that can be set, in the order they are set. */
  straps: { id: StrapId; ring: boolean }[]
  /** Nothing can be said of where to set them: how far they go is not known. */
  isBlind: boolean
  plan: SettingPlan | null
  settings: Readonly<Record<string, StrapSides>>
  foretold: Foretold
  /** The next move; left and right alike are one. */
  next: (SliderMove & { both: boolean }) | null
  /** No strap was set yet: all are set to their marks first. */
  isUnset: boolean
  uneven: UnevenSide[]
  /** Checks that would still miss with every strap at its best. */
  missing: number
  /** Every strap stands where it is foretold to hold. */
  isThere: boolean
  /** Does the next move, or sets every strap to its mark. */
  press: () => Promise<boolean>
  /** Keeps where a strap stands, mm. */
  set: (part: string, side: StrapSide, mm: number) => Promise<boolean>
  problem: string | null
}

interface PlanQuestion {
  item: Item
  thing: SetThing
  foretold: Foretold
  settings: Readonly<Record<string, StrapSides>>
  /** Every check was seen to hold: the hand has decided, nothing is moved any more. */
  holds: boolean
  /** Left and right are set apart. */
  apart: boolean
  /** On three legs they are meant to differ. */
  threeLegs: boolean
}

/** Where the straps stand, where they should, and which slider is moved next. */
export function useStrapPlan({ item, thing, foretold, settings, holds, apart, threeLegs }: PlanQuestion): StrapPlan {
  const { family } = item
  const { form } = useBenchForm()
  const gauge = useGauge()
  const { sheet } = useOpenTicket()
  const acts = useActs()
  const [problem, setProblem] = useState<string | null>(null)
  const straps = useMemo(
    () =>
      settingOrder(family)
        .flatMap((id) => strapsOf(family).find((strap) => strap.id === id && strap.adjusts) ?? [])
        .map(({ id, ring }) => ({ id, ring })),
    [family],
  )
  // How far its straps go stays the same while they are set: asked as text, it is worked out once.
  const ranges = JSON.stringify(
    Object.fromEntries(Object.entries(foretold.lengths).flatMap(([id, each]) => (each ? [[id, { leastMm: each.leastMm, mostMm: each.mostMm }]] : []))),
  )
  const adjusters = useMemo(() => JSON.parse(ranges) as StartQuestion['adjusters'], [ranges])
  const canSet = straps.length > 0 && Object.keys(adjusters).length > 0
  const question = useMemo(() => (canSet ? { form, family, adjusters, gauge } : null), [canSet, form, family, adjusters, gauge])
  const plan = useSettingPlan(question)
  const set = async (part: string, side: StrapSide, mm: number): Promise<boolean> => {
    const { error } = await acts.set({
      of: settingOf(thing),
      dogId: sheet.dog?.id ?? null,
      part,
      side,
      mm: Math.round(Math.max(1, mm) * 10) / 10,
      mark: '',
    })
    setProblem(error ? problemWords(error) : null)
    return !error
  }
  const goal = plan && goalOf(plan, straps, settings)
  const moves = goal && !holds ? sliderMoves(family, settings, goal) : []
  const [first, second] = moves
  const both = !apart && first?.side === 'left' && second?.strap === first.strap && second.side === 'right' && Math.abs(second.byMm - first.byMm) < 0.5
  const isUnset = !holds && plan !== null && straps.some(({ id }) => settings[id] === undefined)
  const press = async (): Promise<boolean> => {
    if (isUnset) {
      for (const { id } of straps) if (settings[id] === undefined && !(await set(id, 'both', plan.straps[id] ?? foretold.straps[id] ?? 0))) return false
      return true
    }
    if (!first) return false
    const now = settings[first.strap] as StrapSides
    const from = first.side === 'right' ? (now.rightMm ?? now.leftMm) : now.leftMm
    return set(first.strap, both ? 'both' : (first.side ?? 'both'), from + first.byMm)
  }
  return {
    straps,
    isBlind: straps.length > 0 && !canSet,
    plan,
    settings,
    foretold,
    next: first && !isUnset ? { ...first, both } : null,
    isUnset,
    uneven: threeLegs ? [] : unevenSides(Object.fromEntries(Object.entries(settings).filter(([id]) => straps.some((strap) => strap.id === id)))),
    missing: holds ? 0 : (plan?.misses.length ?? 0),
    isThere: goal !== null && !isUnset && moves.length === 0,
    press,
    set,
    problem,
  }
}

/** Where straps should stand, both sides alike. */
function goalOf(plan: SettingPlan, straps: StrapPlan['straps'], settings: Readonly<Record<string, StrapSides>>): Record<string, StrapSides> {
  return Object.fromEntries(
    straps.flatMap(({ id }) => {
      const mm = plan.straps[id]
      return mm === undefined || settings[id] === undefined ? [] : [[id, { leftMm: mm, rightMm: settings[id].rightMm === null ? null : mm }]]
    }),
  )
}
