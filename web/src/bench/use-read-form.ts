import {
  aboutDog,
  measuresOf,
  tapeKey,
  typicalForm,
  withOwnError,
  type AgreedBody,
  type CrossCheck,
  type Form,
  type FormQuestion,
  type NextTape,
  type Suspect,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { useFormReading } from '../form'
import { suspectCode } from '../words/suspects'
import { useToday } from '../state/use-today'
import type { OpenTicket } from './open-ticket'
import type { Tapes } from './tapes-of'
import { useDogHistory } from './use-dog-history'

export interface BenchForm {
  form: Form
  /** Solved from this dog's tapes; before the first answer the build's middle dog is shown. */
  solved: boolean
  state: CrossCheck['state']
  /** What the form finds odd and nobody kept as the dog's own, nor asks about already by a rule. */
  suspects: Suspect[]
  /** The tape that narrows the chosen items most. */
  next: NextTape | null
  /** The agreed readings with the measurers' own errors: what the form and the sizes are judged by. */
  own: AgreedBody
}

/** Was this reading kept as the dog's own, by the form's question or by a rule's? */
export const keeps = (code: string, suspect: Pick<Suspect, 'measure' | 'readMm'>): boolean =>
  code === suspectCode(suspect) || new RegExp(`\\b${suspect.measure}=${Math.round(suspect.readMm)}(?!\\d)`).test(code)

/** A tape that narrows less than this is not worth a word. */
const WORTH = 0.04

/** The open ticket's form at this pin, with what it makes of the readings: worked out once, for the whole bench. */
export function useReadForm({ sheet, body }: OpenTicket, { rows, findings }: Tapes): BenchForm {
  const on = useToday()
  const about = useMemo(() => aboutDog(sheet.dog, on), [sheet.dog, on])
  const { earlier, readings } = useDogHistory(sheet)
  const own = useMemo(() => withOwnError(body, readings), [body, readings])
  const question = useMemo((): FormQuestion => {
    const items = sheet.items.filter((item) => !item.removed)
    const asTyped = Object.fromEntries(
      rows.map((row) => [row.tape.measure, row.tape.place === null ? row.readings.findLast((reading) => !reading.struck)?.asTyped : undefined]),
    )
    return {
      wanted: [...new Set(items.flatMap((item) => measuresOf(item)))],
      candidates: rows.filter((row) => !row.agreed && tapeKey(row.tape.measure, row.tape.place) === row.tape.measure).map((row) => row.tape.measure),
      asTyped,
      earlier,
    }
  }, [sheet.items, rows, earlier])
  const reading = useFormReading(own, about, question, `bench ${sheet.ticket.id}`)
  return useMemo(() => {
    const asked = new Set<string>(findings.filter((finding) => !finding.soft).flatMap((finding) => finding.measures))
    const kept = sheet.acknowledgements.filter((each) => each.kind === 'finding' && !each.struck).map((each) => each.code)
    const suspects = (reading?.check.suspects ?? []).filter((suspect, i) => i < 2 && !asked.has(suspect.measure) && !kept.some((code) => keeps(code, suspect)))
    const next = reading?.next[0]
    return {
      form: reading?.form ?? typicalForm(about),
      solved: reading !== null,
      state: reading?.check.state ?? 'agrees',
      suspects,
      next: next && next.narrows > WORTH ? next : null,
      own,
    }
  }, [reading, about, findings, sheet.acknowledgements, own])
}
