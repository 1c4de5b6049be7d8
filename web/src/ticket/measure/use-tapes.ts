import { openFindings, readingsOf, tapesFor, type Agreed, type Finding, type Item, type Reading, type Tape } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useOpenTicket } from '../TicketFrame'

export interface TapeRow {
  tape: Tape<Item>
  readings: Reading[]
  agreed: Agreed | undefined
  /** Something asks for this tape to be taken again. */
  doubt: boolean
}

/** The tapes of the open ticket in station order, and the questions they raise. */
export function useTapes(): { rows: TapeRow[]; findings: Finding[]; agreeing: number; left: number } {
  const { sheet, body } = useOpenTicket()
  return useMemo(() => {
    const items = sheet.items.filter((item) => !item.removed)
    const taken = readingsOf(sheet.readings)
    const findings = openFindings(body, sheet.acknowledgements)
    const wanted = tapesFor(items)
    // A tape nobody asked for but somebody took stays in sight.
    const extra = Object.keys(taken)
      .filter((measure) => !wanted.some((tape) => tape.measure === measure))
      .map((measure): Tape<Item> => ({ measure, need: 'warning', items: [] }))
    const rows = [...wanted, ...extra].map((tape): TapeRow => {
      const agreed = body[tape.measure]
      return {
        tape,
        readings: taken[tape.measure] ?? [],
        agreed,
        doubt: agreed?.state === 'disagrees' || findings.some((finding) => finding.rule !== 'same-value' && finding.measures[0] === tape.measure),
      }
    })
    const agreeing = rows.filter((row) => row.agreed?.state === 'agrees' && !row.doubt).length
    return { rows, findings, agreeing, left: rows.filter((row) => !row.agreed && row.tape.either !== 'M13').length }
  }, [sheet, body])
}
