import { measures, parseLength, type ParsedLength, type Reading } from '@merry-tailor/core'
import { useRef, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddReadingMutation, useStrikeReadingMutation } from '../../api/shop-api'
import { useAppSelector } from '../../app/store'
import { lengthProblemWords, problemWords } from '../../words/problems'
import { useOpenTicket } from '../TicketFrame'

export interface Entry {
  typed: string
  setTyped: (typed: string) => void
  /** Sets the field to a length picked on the Big Inch. */
  setMm: (mm: number) => void
  parsed: ParsedLength
  /** Length as it would be pinned, as taken, mm. */
  mm: number | null
  problem: string | null
  oneSide: boolean
  setOneSide: (on: boolean) => void
  doubling: boolean
  pin: () => boolean
  strike: (reading: Reading, why: string) => void
}

/** A length in sixteenths or millimetres, written as a fitter would type it. */
function written(mm: number, unit: 'in' | 'cm'): string {
  if (unit === 'cm') return (Math.round(mm) / 10).toString()
  const parts = Math.round((mm / 25.4) * 16)
  const whole = Math.floor(parts / 16)
  let [n, d] = [parts % 16, 16]
  while (n > 0 && n % 2 === 0) [n, d] = [n / 2, d / 2]
  if (n === 0) return String(whole)
  return whole === 0 ? `${n}/${d}` : `${whole} ${n}/${d}`
}

/**
 * The number being entered for one tape. What is typed is kept per tape while the ticket is open; a pin that could not
 * be saved comes back into the field, and pinning it again sends the same reading, not a second one.
 */
export function useEntry(measure: string, onFailed: (measure: string) => void): Entry {
  const { sheet } = useOpenTicket()
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const [drafts, setDrafts] = useState<Readonly<Record<string, string>>>({})
  const [sides, setSides] = useState<Readonly<Record<string, boolean>>>({})
  const [problems, setProblems] = useState<Readonly<Record<string, string | null>>>({})
  const failed = useRef(new Map<string, { id: string; typed: string; oneSide: boolean }>())
  const [addReading] = useAddReadingMutation()
  const [strikeReading] = useStrikeReadingMutation()

  const doubling = measures[measure]?.doubling ?? false
  const oneSide = doubling && (sides[measure] ?? true)
  const typed = drafts[measure] ?? ''
  const parsed = parseLength(typed, unit)
  const problem = problems[measure] ?? null
  const setTyped = (next: string): void => {
    setDrafts((all) => ({ ...all, [measure]: next }))
    setProblems((all) => ({ ...all, [measure]: null }))
  }

  const pin = (): boolean => {
    if (!parsed.ok) {
      setProblems((all) => ({ ...all, [measure]: lengthProblemWords(parsed.problem) }))
      return false
    }
    const before = failed.current.get(measure)
    const id = before && before.typed === typed && before.oneSide === oneSide ? before.id : uuid()
    setDrafts((all) => ({ ...all, [measure]: '' }))
    void addReading({
      ticketId: sheet.ticket.id,
      id,
      body: {
        measure,
        mm: parsed.mm,
        side: oneSide ? 'one' : 'both',
        asTyped: typed.trim().slice(0, 40),
        unit: parsed.unit,
        method: 'tape',
        takenAt: new Date().toISOString(),
        by: fitter,
      },
    }).then((answer) => {
      if (!answer.error) {
        failed.current.delete(measure)
        return
      }
      failed.current.set(measure, { id, typed, oneSide })
      setDrafts((all) => ({ ...all, [measure]: all[measure] || typed }))
      setProblems((all) => ({ ...all, [measure]: `Not saved. ${problemWords(answer.error)} The number stays here; pin it again.` }))
      onFailed(measure)
    })
    return true
  }

  return {
    typed,
    setTyped,
    setMm: (mm) => setTyped(written(mm, unit)),
    parsed,
    mm: parsed.ok ? parsed.mm : null,
    problem,
    oneSide,
    setOneSide: (on) => setSides((all) => ({ ...all, [measure]: on })),
    doubling,
    pin,
    strike: (reading, why) => {
      void strikeReading({ ticketId: sheet.ticket.id, id: reading.id, body: { why, at: new Date().toISOString(), by: fitter } })
    },
  }
}
