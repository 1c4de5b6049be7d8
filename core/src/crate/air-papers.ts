import { format, isValid, parseISO, subDays } from 'date-fns'

/** What is seen to before a flight, and how many days before it at the latest. From memory, unverified: carrier, states and vet decide. */
const PAPERS = [
  ['ask-the-carrier', 60],
  ['ask-the-states', 60],
  ['crate-at-home', 42],
  ['identity-and-vaccines', 30],
  ['vet-certificate', 10],
  ['label-and-dishes', 1],
  ['no-food-before', 0],
] as const

export type AirPaper = (typeof PAPERS)[number][0]

/** What is to be done for a flight, the first due first. @param departs day, `YYYY-MM-DD` @throws RangeError for a day that is none */
export function airPapers(departs: string): { code: AirPaper; by: string }[] {
  const day = parseISO(departs)
  if (!/^\d{4}-\d{2}-\d{2}$/.test(departs) || !isValid(day)) throw new RangeError(`a day is YYYY-MM-DD: ${departs}`)
  return PAPERS.map(([code, days]) => ({ code, by: format(subDays(day, days), 'yyyy-MM-dd') }))
}
