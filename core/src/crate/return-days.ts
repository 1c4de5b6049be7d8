import { addDays, format, isValid, parseISO } from 'date-fns'

/** How long gear is usually taken back. Source: handbook V48, common practice; exchange is often longer. */
const RETURN_DAYS = 30

/** Until when what was chosen on a day is usually taken back. @throws RangeError for a day that is none */
export function returnUntil(chosenOn: string): string {
  const day = parseISO(chosenOn)
  if (!isValid(day)) throw new RangeError(`a day is YYYY-MM-DD: ${chosenOn}`)
  return format(addDays(day, RETURN_DAYS), 'yyyy-MM-dd')
}
