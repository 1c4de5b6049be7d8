import { bodyOf, progressOf, type FormMeasure, type TicketSheet } from '@merry-tailor/core'
import { createContext, use, useMemo, type ReactNode } from 'react'
import { useAppSelector } from '../state/store'
import { useShared } from '../state/use-shared'
import { useShop } from '../state/use-shop'
import { useToday } from '../state/use-today'
import { benchOf } from './use-bench'
import { TicketContext, type OpenTicket } from './open-ticket'
import { tapesOf, type TapeRow, type Tapes } from './tapes-of'
import { useReadForm, type BenchForm } from './use-read-form'

const TapesContext = createContext<Tapes | null>(null)
const FormContext = createContext<BenchForm | null>(null)

function ofOpenTicket<T>(value: T | null): T {
  if (value === null) throw new Error('no ticket is open here')
  return value
}

/** The tapes of the open ticket in the order they are taken, and the questions they raise. */
export const useTapes = (): Tapes => ofOpenTicket(use(TapesContext))

/** The open ticket's form at this pin, with what it makes of the readings. */
export const useBenchForm = (): BenchForm => ofOpenTicket(use(FormContext))

/** Where a tape not yet taken is expected to land, as it will be taken (one side: half); `null` once it was taken. */
export function useExpected(row: TapeRow, oneSide: boolean): FormMeasure | null {
  const { form, solved } = useBenchForm()
  const expected = form.measures[row.tape.measure]
  if (!expected || !solved || row.agreed) return null
  return oneSide ? { ...expected, mm: expected.mm / 2, sigmaMm: expected.sigmaMm / 2 } : expected
}

/**
 * Around a ticket: its body, its questions, its history, the measurers' errors and its form are worked out here, once a
 * pin, and read by every part of the bench.
 */
export function OpenBench({ sheet, children }: { sheet: TicketSheet; children: ReactNode }) {
  const rules = useShop()
  const on = useToday()
  const { first, extra } = useAppSelector((state) => benchOf(state, sheet.ticket.id))
  const body = useShared(useMemo(() => bodyOf(sheet.readings, rules), [sheet.readings, rules]))
  const progress = useShared(useMemo(() => progressOf(sheet, on, rules), [sheet, on, rules]))
  const open = useMemo((): OpenTicket => ({ sheet, progress, body, name: sheet.dog?.name ?? 'Dog at the counter' }), [sheet, progress, body])
  // A pin changes one row: the others stay the same objects and are not drawn anew.
  const tapes = useShared(useMemo(() => tapesOf(sheet, body, rules, first, extra), [sheet, body, rules, first, extra]))
  const form = useReadForm(open, tapes)
  return (
    <TicketContext value={open}>
      <TapesContext value={tapes}>
        <FormContext value={form}>{children}</FormContext>
      </TapesContext>
    </TicketContext>
  )
}
