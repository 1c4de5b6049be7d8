import type { Finding, Suspect } from '@merry-tailor/core'
import { useState } from 'react'
import { useBenchForm, useTapes } from './OpenBench'
import { useOpenTicket } from './open-ticket'

export type Question = { key: string; finding: Finding } | { key: string; suspect: Suspect }

/** The question to ask now, where only one can be shown: about the tape read last, else the gravest; and how many wait. */
export function useQuestion(): { question: Question | null; waiting: number; later: () => void } {
  const { sheet } = useOpenTicket()
  const { findings } = useTapes()
  const { suspects } = useBenchForm()
  const [put, setPut] = useState<readonly string[]>([])
  const last = sheet.readings.reduce<{ measure: string; takenAt: string } | null>(
    (newest, reading) => (!reading.struck && (newest === null || reading.takenAt >= newest.takenAt) ? reading : newest),
    null,
  )
  // A question put off comes back with the next number: its values are in its key.
  const n = sheet.readings.filter((reading) => !reading.struck).length
  const all: Question[] = [
    ...findings.filter((finding) => !finding.soft).map((finding) => ({ key: `${finding.rule} ${finding.measures.join()} ${n}`, finding })),
    ...suspects.map((suspect) => ({ key: `form ${suspect.measure} ${n}`, suspect })),
  ]
  const about = (question: Question, measure: string | undefined): boolean =>
    measure !== undefined && ('finding' in question ? question.finding.measures.some((id) => id === measure) : question.suspect.measure === measure)
  const open = all.filter((each) => !put.includes(each.key))
  const question = open.find((each) => about(each, last?.measure)) ?? open[0] ?? null
  return { question, waiting: all.length, later: () => question && setPut([...put, question.key]) }
}
