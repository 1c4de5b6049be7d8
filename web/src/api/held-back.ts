import type { RefusedWrite, WaitingWrite } from './kept'
import { touchedBy } from './named-writes'

/**
 * Which waiting writes are held back by refused ones: those about the same record, and those that need a record a
 * refused one would have made, and what needs those in turn.
 *
 * @returns the refused write's place by the place of each held one
 */
export function heldBack(waiting: readonly WaitingWrite[], refused: readonly RefusedWrite[]): Map<number, number> {
  const held = new Map<number, number>()
  if (refused.length === 0) return held
  /** Records about which nothing may pass, and those that are missing, by the refused write that is to blame. */
  const changed = new Map<string, number>()
  const missing = new Map<string, number>()
  for (const write of refused) {
    const { record, makes } = touchedBy(write)
    ;(makes ? missing : changed).set(record, write.seq)
  }
  for (const write of waiting) {
    const { record, makes, needs } = touchedBy(write)
    const blame = changed.get(record) ?? missing.get(record) ?? needs.map((need) => missing.get(need)).find((seq) => seq !== undefined)
    if (blame === undefined) continue
    held.set(write.seq, blame)
    if (makes) missing.set(record, blame)
  }
  return held
}
