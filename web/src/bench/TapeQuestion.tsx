import { findingCode, formatLength, readingsWanted } from '@merry-tailor/core'
import { useShop } from '../state/use-shop'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { findingWords } from '../words/findings'
import { suspectCode, suspectWords } from '../words/suspects'
import { useTapes } from './OpenBench'
import { useOpenTicket } from './open-ticket'
import { QuestionBlock } from './QuestionBlock'
import { useActs } from './use-acts'
import type { Question } from './use-question'

interface TapeQuestionProps {
  question: Question
  inHand: boolean
  /** Without the tape drawn: where there is little room. */
  bare?: boolean
  onAgain: (measure: string) => void
}

const COUNTS = ['', 'one new reading', 'two new readings', 'three new readings'] as const

/** One question about one tape, with every reason to ask it: what was expected, from what, what was read, and why it may be. */
export function TapeQuestion({ question: { measure, findings, suspect }, inHand, bare = false, onAgain }: TapeQuestionProps) {
  const { body, name } = useOpenTicket()
  const { rows } = useTapes()
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const wanted = readingsWanted(useShop())
  const { acknowledge } = useActs()
  const rules = findings.map((finding) => ({ finding, ...findingWords(finding, body, look) }))
  const form = suspect && { suspect, ...suspectWords(suspect, look) }
  const first = rules[0] ?? form
  if (!first) return null
  const keep = rules.length > 0 ? `${name} is so` : (form?.keep ?? '')
  const keepAll = (): void => {
    for (const { finding, title, text } of rules)
      void acknowledge({ kind: 'finding', code: findingCode(finding, body), text: `${title}. ${text}`.slice(0, 1000), reason: 'kept as the dog’s own' })
    if (form) void acknowledge({ kind: 'finding', code: suspectCode(form.suspect), text: `${form.title}. ${form.text}`.slice(0, 1000), reason: form.keep })
  }
  const standing = (rows.find((row) => row.tape.measure === measure)?.readings ?? []).filter((reading) => !reading.struck)
  const values = standing.map((reading) => (measure === 'M00' ? reading.asTyped : formatLength(reading.mm, look).text))
  const strikes = values.length > 1 ? `Strikes ${values.slice(0, -1).join(', ')} and ${values.at(-1) ?? ''}: ${COUNTS[wanted] ?? 'new readings'}.` : ''
  const expected = form ? { ...form.expected, mm: form.suspect.readMm } : (rules[0]?.expected ?? null)
  return (
    <QuestionBlock
      title={first.title}
      texts={[...rules.map(({ text }) => text), ...(form ? [form.text] : [])]}
      expected={bare ? null : expected}
      soft={suspect === null && findings.every((finding) => finding.soft === true)}
      inHand={inHand}
      strikes={strikes}
      keep={keep}
      onAgain={() => onAgain(measure)}
      onKeep={keepAll}
    />
  )
}
