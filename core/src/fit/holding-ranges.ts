import type { StrapId } from '../gear/index.ts'
import { strapsOf } from '../lay/index.ts'
import { missesOf } from './misses.ts'
import { predictChecks } from './predict-checks.ts'
import { startSettings, type StartQuestion, type StartSettings } from './start-settings.ts'

/** How finely and how far a strap is tried, mm. Ours. */
const STEP_MM = 6
const STEPS = 6

/**
 * How far each strap that can be set may stand from where it is meant to, the others staying, before a check more is
 * missed than is missed there: what is drawn over its tape. A prediction.
 *
 * @param straps where every strap is meant to stand, mm
 * @throws RangeError as `predictChecks`
 */
export function holdingRanges(
  { form, family, adjusters, gauge, rules, build = null }: StartQuestion,
  straps: Readonly<Record<string, number>>,
): Partial<Record<StrapId, readonly [number, number]>> {
  const missed = (lengths: Readonly<Record<string, number>>): ReadonlySet<string> =>
    new Set(
      missesOf(predictChecks({ form, family, straps: lengths, pull: { riseRad: 0 }, gauge, build, withoutSpread: true, ...(rules ? { rules } : {}) })).map(
        ({ check }) => check,
      ),
    )
  const usual = missed(straps)
  const holds = (id: StrapId, mm: number): boolean => [...missed({ ...straps, [id]: mm })].every((check) => usual.has(check))
  return Object.fromEntries(
    strapsOf(family).flatMap(({ id }) => {
      const range = adjusters[id]
      const mm = straps[id]
      if (!range || mm === undefined) return []
      const reach = (way: -1 | 1): number => {
        let at = mm
        for (let step = 1; step <= STEPS; step++) {
          const there = Math.max(range.leastMm, Math.min(range.mostMm, mm + way * step * STEP_MM))
          if (there === at || !holds(id, there)) break
          at = there
        }
        return at
      }
      return [[id, [reach(-1), reach(1)] as const]]
    }),
  )
}

/** Where to set the straps, and how far from there each may stand. */
export interface SettingPlan extends StartSettings {
  holds: Partial<Record<StrapId, readonly [number, number]>>
}

/** `startSettings` with `holdingRanges` about it. */
export function settingPlan(question: StartQuestion): SettingPlan {
  const start = startSettings(question)
  return { ...start, holds: holdingRanges(question, start.straps) }
}
