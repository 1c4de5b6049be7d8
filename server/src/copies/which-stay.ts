/** Copies kept: of the last seven days, the last of each of four weeks, the last of each of twelve months. */
const DAYS = 7
const WEEKS = 4
const MONTHS = 12

/** Monday of a day's week. */
function weekOf(day: string): string {
  const date = new Date(`${day}T12:00:00Z`)
  date.setUTCDate(date.getUTCDate() - ((date.getUTCDay() + 6) % 7))
  return date.toISOString().slice(0, 10)
}

/** The newest of each of the last `many` groups. */
function newestOfEach(days: readonly string[], groupOf: (day: string) => string, many: number): string[] {
  const newest = new Map<string, string>()
  for (const day of days) newest.set(groupOf(day), day)
  return [...newest.entries()]
    .sort(([a], [b]) => (a < b ? 1 : -1))
    .slice(0, many)
    .map(([, day]) => day)
}

/**
 * Which of the nightly copies stay.
 *
 * @param days the days there are copies of, `YYYY-MM-DD`
 * @returns the days whose copies stay, oldest first
 */
export function whichStay(days: readonly string[]): string[] {
  const sorted = [...new Set(days)].sort()
  const stay = new Set([
    ...newestOfEach(sorted, (day) => day, DAYS),
    ...newestOfEach(sorted, weekOf, WEEKS),
    ...newestOfEach(sorted, (day) => day.slice(0, 7), MONTHS),
  ])
  return sorted.filter((day) => stay.has(day))
}
