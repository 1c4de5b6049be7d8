import {
  fingersWide,
  judgeAnswer,
  underStrap,
  type AtTheDog,
  type Check,
  type FamilyId,
  type Observation,
  type PullState,
  type TryOn,
  type UnderStrap,
} from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { useActs, useBenchForm, useGauge, useOpenTicket } from '../../bench'
import { useAppSelector } from '../../state/store'
import { lengthText } from '../../ui/length/length-text'
import { problemWords } from '../../words/problems'

const PROBLEMS = {
  empty: '',
  unreadable: 'Can’t read that. Try 2 fingers, 1 1/2 in or 4 cm.',
  'wants-fingers': 'Here fingers count, flat: 1, 2 or 2 1/2.',
  'wants-length': 'Here a length counts: 1/2 in, or 1 cm.',
  'too-many': 'Nobody has that many fingers.',
} as const

/** Whose girth and whose fingers: what “two fingers” comes to here. */
function useAtTheDog(): AtTheDog {
  const gauge = useGauge()
  const { body } = useOpenTicket()
  return { girthMm: body.M07?.mm ?? null, fingerMm: gauge ? gauge.twoMm / 2 : null }
}

export type AnswerBy = 'fingers' | 'length'

export interface AnswerInHand {
  typed: string
  type: (text: string) => void
  problem: string | null
  /** What a bare number means; only where a strap’s room can be either. */
  by: AnswerBy
  setBy: (by: AnswerBy) => void
  canBy: boolean
  /** What passes here in fingers, by this dog and hand. */
  passes: readonly [number, number] | null
  small: boolean
  under: UnderStrap | null
  /** The same in the other units: “1 1/8 in or 2.8 cm spare”; `''` while there is nothing to say. */
  beside: string
  /** A verdict pressed: it is kept at once. */
  judge: (grade: Observation['grade']) => void
  /** The number typed, or one given, is judged and kept. */
  judgeNumber: (text?: string) => void
}

export interface CheckInHand {
  check: Check
  family: FamilyId
  state: PullState
  round: TryOn
  answer: Observation | undefined
  /** After it was kept, with its grade. */
  onKept?: (grade: Observation['grade']) => void
}

/** One check in one state, answered by a verdict or a number. What cannot be read or saved stays typed. */
export function useAnswer({ check, family, state, round, answer, onKept }: CheckInHand): AnswerInHand {
  const look = useAppSelector((store) => store.settings)
  const at = useAtTheDog()
  const gauge = useGauge()
  const { form } = useBenchForm()
  const acts = useActs()
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const [by, setBy] = useState<AnswerBy>('fingers')
  const { gauge: kind, id } = check
  const under = useMemo(() => (kind?.kind === 'flat' ? underStrap(form, family, id, gauge) : null), [kind, form, family, id, gauge])
  const wide = kind?.kind === 'wide' ? fingersWide(kind, at) : null
  const canBy = kind?.kind === 'wide' || (kind?.kind === 'flat' && under !== null)

  const read = (text: string): ReturnType<typeof judgeAnswer> => {
    const bare = !/[a-z"½]/i.test(text.trim())
    if (kind?.kind === 'wide' && by === 'length' && bare) return judgeAnswer(check, `${text.trim()} ${look.unit}`, look.unit, at)
    if (kind?.kind !== 'flat' || !under) return judgeAnswer(check, text, look.unit, at)
    const asFingers = judgeAnswer(check, text, look.unit, at)
    if (asFingers.ok && !(by === 'length' && bare)) return asFingers
    // Strap to spare says the same as fingers: how many it lets in.
    const asGap = judgeAnswer({ ...check, gauge: { kind: 'gap', passMm: [0, 0], doubtMm: 0 } }, text, look.unit)
    if (!asGap.ok || asGap.mm === null) return asFingers
    const fingers = judgeAnswer(check, String(under.fingersOf(asGap.mm)), look.unit, at)
    return fingers.ok ? { ...fingers, mm: asGap.mm } : fingers
  }
  const keep = async (seen: Pick<Observation, 'grade' | 'asTyped' | 'mm' | 'fingers'>): Promise<void> => {
    const kept = acts.observe(round.id, { check: id, state, ...seen })
    // A verdict goes on at the press; what was typed waits until it is kept, so that it can stay.
    if (seen.asTyped === '') onKept?.(seen.grade)
    const made = await kept
    if (made.error) {
      setTyped(seen.asTyped)
      setProblem(`Not saved. ${problemWords(made.error)} The answer stays here.`)
    } else if (seen.asTyped !== '') onKept?.(seen.grade)
  }
  const judgeNumber = (text = typed): void => {
    const result = read(text)
    if (!result.ok) {
      setTyped(text)
      setProblem(PROBLEMS[result.problem] || null)
      return
    }
    setProblem(null)
    setTyped('')
    void keep({ grade: result.grade, asTyped: asSaid(text, canBy && by === 'length', look.unit), mm: result.mm, fingers: result.fingers })
  }
  return {
    typed,
    type: (text) => {
      setTyped(text)
      setProblem(null)
    },
    problem,
    by,
    setBy,
    canBy,
    passes: kind?.kind === 'flat' ? kind.passFingers : (wide?.fingers ?? null),
    small: wide?.small ?? false,
    under,
    beside: besideWords(typed.trim() === '' ? answer : asAnswer(read(typed)), kind?.kind ?? null, under, (mm, unit) =>
      lengthText(Math.abs(mm), { unit, step: unit === 'in' ? look.inchStep : look.cmStep }, true),
    ),
    judge: (grade) => void keep({ grade, asTyped: '', mm: null, fingers: null }),
    judgeNumber,
  }
}

/** A bare number that meant a length keeps its unit, so that it reads the same tomorrow. */
const asSaid = (text: string, length: boolean, unit: string): string => (length && !/[a-z"]/i.test(text) ? `${text.trim()} ${unit}` : text.trim())

const asAnswer = (read: ReturnType<typeof judgeAnswer>): Pick<Observation, 'mm' | 'fingers'> | undefined => (read.ok ? read : undefined)

function besideWords(
  answer: Pick<Observation, 'mm' | 'fingers'> | undefined,
  kind: 'flat' | 'wide' | 'gap' | null,
  under: UnderStrap | null,
  say: (mm: number, unit: 'in' | 'cm') => string,
): string {
  if (!answer || kind === null) return ''
  const mm = answer.mm ?? (answer.fingers !== null && under ? under.slackOf(answer.fingers) : null)
  if (mm === null) return ''
  const both = `${say(mm, 'in')} or ${say(mm, 'cm')}`
  return kind === 'flat' ? `${both} of strap` : both
}
