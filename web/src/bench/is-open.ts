import type { AsWritten, Reading } from '@merry-tailor/core'

/** Does this number still wait for an answer? An answer counts as long as its reading does. */
export function isOpen(written: AsWritten, readings: readonly Reading[]): boolean {
  if (written.struck) return false
  const answer = written.became
  return answer === null || readings.find((reading) => reading.id === answer.readingId)?.struck !== undefined
}
