import { agree, type Agreed } from '../measures/index.ts'
import type { Reading } from '../model/index.ts'

/** Readings by measure, each list in the order they were taken. */
export function readingsOf(readings: readonly Reading[]): Record<string, Reading[]> {
  const byMeasure: Record<string, Reading[]> = {}
  for (const reading of [...readings].sort((a, b) => a.takenAt.localeCompare(b.takenAt) || a.id.localeCompare(b.id))) {
    ;(byMeasure[reading.measure] ??= []).push(reading)
  }
  return byMeasure
}

/** The agreed value of every measure that has a reading. */
export function bodyOf(readings: readonly Reading[]): Record<string, Agreed> {
  const entries = Object.entries(readingsOf(readings)).map(([id, list]) => [id, agree(id, list)] as const)
  return Object.fromEntries(entries.filter(([, agreed]) => agreed.n > 0))
}
