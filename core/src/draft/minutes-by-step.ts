import type { Setting } from '../model/index.ts'

/** A step that took longer was left and taken up again: nobody stood at the dog that long. Ours. */
const LONGEST_MIN = 45

/**
 * What each strap took to set, minutes: from the setting before it, or from when it was begun, to its own last.
 *
 * @param settings of one thing on one dog, in any order; those taken back do not count
 * @param begunAt the moment the harness was put on; `null`: nobody said, and the first strap has no time
 */
export function minutesByStep(settings: readonly Pick<Setting, 'part' | 'at' | 'struck'>[], begunAt: string | null): Record<string, number> {
  const out: Record<string, number> = {}
  let before = begunAt === null ? null : Date.parse(begunAt)
  for (const { part, at } of [...settings].filter((each) => !each.struck).sort((a, b) => Date.parse(a.at) - Date.parse(b.at))) {
    const now = Date.parse(at)
    const took = before === null ? null : (now - before) / 60_000
    before = now
    if (took === null || took < 0 || took > LONGEST_MIN) continue
    out[part] = (out[part] ?? 0) + took
  }
  return Object.fromEntries(Object.entries(out).map(([part, minutes]) => [part, Math.round(minutes * 10) / 10]))
}
