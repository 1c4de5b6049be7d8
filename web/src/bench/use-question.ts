import type { Finding, Suspect } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { useBenchForm, useTapes } from './OpenBench'
import { useOpenTicket } from './open-ticket'

/** All that is asked about one tape: what the rules find odd, and what this dog's form does. */
export interface Question {
  key: string
  measure: string
  findings: readonly Finding[]
  suspect: Suspect | null
}

/** One question a tape, in the order they came: two reasons to doubt one reading are one thing to do. */
export function questionsOf(findings: readonly Finding[], suspects: readonly Suspect[]): Question[] {
  const ids = [...new Set([...findings.map((finding) => finding.measures[0] ?? ''), ...suspects.map((suspect) => suspect.measure)])]
  return ids.map((measure): Question => {
    const own = findings.filter((finding) => (finding.measures[0] ?? '') === measure)
    const suspect = suspects.find((each) => each.measure === measure) ?? null
    return { key: [measure, ...own.map(({ rule }) => rule), suspect ? 'form' : ''].join(' '), measure, findings: own, suspect }
  })
}

/** Every question about the tapes as they are. */
export function useQuestions(): Question[] {
  const { findings } = useTapes()
  const { suspects } = useBenchForm()
  return useMemo(() => questionsOf(findings, suspects), [findings, suspects])
}

/** The question to ask now, where only one can be shown: about the tape read last, else the gravest; and how many wait. */
export function useQuestion(): { question: Question | null; waiting: number; later: () => void } {
  const { sheet } = useOpenTicket()
  const questions = useQuestions()
  const [put, setPut] = useState<readonly string[]>([])
  const last = sheet.readings.reduce<{ measure: string; takenAt: string } | null>(
    (newest, reading) => (!reading.struck && (newest === null || reading.takenAt >= newest.takenAt) ? reading : newest),
    null,
  )
  // A question put off comes back with the next number: its values are in its key.
  const n = sheet.readings.filter((reading) => !reading.struck).length
  const all = questions
    .filter(({ findings, suspect }) => suspect !== null || findings.some((finding) => !finding.soft))
    .map((question): Question => ({ ...question, key: `${question.key} ${n}` }))
  const about = ({ measure, findings }: Question, id: string | undefined): boolean =>
    id !== undefined && (measure === id || findings.some((finding) => finding.measures.some((each) => each === id)))
  const open = all.filter((each) => !put.includes(each.key))
  const question = open.find((each) => about(each, last?.measure)) ?? open[0] ?? null
  return { question, waiting: all.length, later: () => question && setPut([...put, question.key]) }
}
