import { CAUSES, checksFor, families, type Cause, type CheckId, type RemedyKind, type StrapId, type SymptomId } from '../gear/index.ts'
import { strapsOf } from '../lay/index.ts'
import type { FamilyId, Observation, PullState } from '../model/index.ts'
import { CHECK_READS } from './check-reads.ts'
import { settingOrder } from './setting-order.ts'
import type { PredictedCheck } from './predicted-check.ts'

/** What was answered at the dog: the newest of a check and state counts. */
export type CauseAnswer = Pick<Observation, 'check' | 'state' | 'grade'> & Partial<Pick<Observation, 'mm' | 'fingers'>>

export interface RankedRemedy {
  kind: RemedyKind
  code: string
  strap?: StrapId
  /** Minus shortens; to the middle of what the check wants. */
  byMm?: number
}

export interface RankedCauses {
  /** Stop and take it off. */
  stop: boolean
  /** The normal look: nothing to mend. */
  normal: boolean
  causes: { code: string; weight: number }[]
  /** The check that parts the first two causes. */
  ask: { check: CheckId; state: PullState } | null
  remedies: RankedRemedy[]
}

export interface CauseQuestion {
  symptom: SymptomId
  family: FamilyId
  predicted: readonly PredictedCheck[]
  answers: readonly CauseAnswer[]
}

/** A cause further down the table counts less; what the lay foretells and what a hand found count more. Ours. */
const NEXT = 0.6
const FORETOLD = { fails: 2, doubt: 1.2, holds: 0.5 } as const
const SEEN = { shows: 4, against: 0.15, holds: 0.25 } as const

type Way = 'low' | 'high' | 'fails'

/** Which way a predicted figure misses, or nearly. */
function predictedWay({ mm, rangeMm }: PredictedCheck): 'low' | 'high' | null {
  if (mm === null || rangeMm === null) return null
  return mm < (rangeMm[0] + rangeMm[1]) / 2 ? 'low' : 'high'
}

/** Which way an answer misses: by its length against the range foretold, else unknown. */
function answeredWay(answer: CauseAnswer, predicted: readonly PredictedCheck[], family: FamilyId): Way {
  const gauge = checksFor(family).find(({ id }) => id === answer.check)?.gauge
  if (gauge?.kind === 'flat' && typeof answer.fingers === 'number') return answer.fingers < gauge.passFingers[0] ? 'low' : 'high'
  if (typeof answer.mm === 'number') {
    const range = predicted.find(({ check, rangeMm }) => check === answer.check && rangeMm)?.rangeMm ?? (gauge && gauge.kind !== 'flat' ? gauge.passMm : null)
    if (range) return answer.mm < range[0] ? 'low' : answer.mm > range[1] ? 'high' : 'fails'
  }
  return 'fails'
}

const newest = (answers: readonly CauseAnswer[]): CauseAnswer[] => [...new Map(answers.map((each) => [`${each.check}/${each.state}`, each])).values()]

function weightOf({ shows }: Cause, place: number, { family, predicted, answers }: CauseQuestion, known: ReadonlySet<string>): number {
  let weight = NEXT ** place
  for (const [check, way] of shows) {
    if (!known.has(check)) continue
    const foretold = predicted.filter((row) => row.check === check && row.grade !== 'none')
    for (const row of foretold) {
      if (row.grade === 'holds') weight *= Math.sqrt(FORETOLD.holds)
      else weight *= way === 'fails' || predictedWay(row) === way ? FORETOLD[row.grade as 'fails' | 'doubt'] : 1 / FORETOLD[row.grade as 'fails' | 'doubt']
    }
    for (const answer of newest(answers).filter((each) => each.check === check)) {
      if (answer.grade === 'holds') weight *= SEEN.holds
      else {
        const seen = answeredWay(answer, predicted, family)
        weight *= way === 'fails' || seen === 'fails' || seen === way ? SEEN.shows * (answer.grade === 'doubt' ? 0.6 : 1) : SEEN.against
      }
    }
  }
  return weight
}

/** Neck, V and end all miss in the pull: what changed is the dog (V50). */
const ALL_THREE = [['pulling-neck'], ['v-on-breastbone'], ['tug-at-tail-base', 'end-below-tail', 'ends-mid-back']] as const

function missesAllThree(answers: readonly CauseAnswer[], predicted: readonly PredictedCheck[]): boolean {
  const seen = newest(answers)
  const fails = (checks: readonly string[]): boolean => {
    const own = seen.filter(({ check, state }) => checks.includes(check) && state === 'pulling')
    if (own.length > 0) return own.some(({ grade }) => grade === 'fails')
    return predicted.some(({ check, state, grade }) => checks.includes(check) && state === 'pulling' && grade === 'fails')
  }
  return ALL_THREE.every(fails)
}

/** How far a strap has to go to bring its check to the middle of what passes; `null` where nothing says. */
function strapMove(check: CheckId, { predicted, answers }: CauseQuestion): number | null {
  const reads = CHECK_READS[check]
  const row = predicted.find((each) => each.check === check && each.rangeMm)
  if (!reads || !row?.rangeMm) return null
  const [from, to] = row.rangeMm
  if (to - from > 900) return null
  const answer = newest(answers).find((each) => each.check === check && typeof each.mm === 'number')
  const mm = answer?.mm ?? row.mm
  if (mm === null) return null
  const by = (from + to) / 2 - mm
  // A longer neck hangs lower; elsewhere a longer strap reads more.
  return reads.figure === 'v' ? -by / 0.9 : by
}

/** The strap an adjusting remedy works on, and the check it is to bring right. */
function strapOf(question: CauseQuestion, causes: readonly Cause[], code: string): { strap: StrapId; check: CheckId } | null {
  const straps = strapsOf(question.family)
  const has = (id: StrapId): boolean => straps.some((strap) => strap.id === id && strap.adjusts)
  const shown = causes.flatMap(({ shows }) => shows)
  for (const [check] of shown) {
    if (check === 'under-every-strap') {
      const worst = question.predicted
        .filter((row) => row.check === check && row.strap && has(row.strap) && row.grade !== 'none')
        .sort((a, b) => settingOrder(question.family).indexOf(a.strap as StrapId) - settingOrder(question.family).indexOf(b.strap as StrapId))
      const row = worst.find(({ grade }) => grade === 'fails') ?? worst.find(({ grade }) => grade === 'doubt') ?? worst[0]
      if (row?.strap) return { strap: row.strap, check }
      continue
    }
    const reads = CHECK_READS[check]
    const strap = reads && (has(reads.strap) ? reads.strap : reads.strap === 'neck' && has('front') ? 'front' : null)
    if (strap) return { strap, check }
  }
  // Named in the remedy itself.
  const named = straps.find(({ id, adjusts }) => adjusts && code.split('-').includes(id))
  return named ? { strap: named.id, check: shown[0]?.[0] ?? 'under-every-strap' } : null
}

/**
 * What a symptom means on this family: its causes in the handbook's order (7.3), weighed by what the lay foretells and by
 * what was answered, the one check that parts the first two, and the remedies from left to right.
 *
 * @throws RangeError for a symptom the family does not know
 */
export function rankCauses(question: CauseQuestion): RankedCauses {
  const { symptom, family, answers, predicted } = question
  const own = families[family].symptoms.find(({ id }) => id === symptom)
  if (!own) throw new RangeError(`${family} knows no symptom ${symptom}`)
  const checks = checksFor(family)
  const known: ReadonlySet<string> = new Set(checks.map(({ id }) => id))
  const table = CAUSES[symptom]
  const weights = table.map((cause, i) => weightOf(cause, i, question, known))
  const sum = weights.reduce((total, each) => total + each, 0)
  const ranked = table.map((cause, i) => ({ cause, weight: (weights[i] ?? 0) / sum })).sort((a, b) => b.weight - a.weight)
  const [first, second] = ranked
  const answered = new Set(newest(answers).map(({ check, state }) => `${check}/${state}`))
  const parts = (cause: Cause | undefined, other: Cause | undefined): { check: CheckId; state: PullState } | null => {
    for (const [id] of cause?.shows ?? []) {
      if (other?.shows.some(([theirs]) => theirs === id)) continue
      const check = checks.find((each) => each.id === id)
      const state = check?.states.find((each) => !answered.has(`${id}/${each}`))
      if (check && state) return { check: check.id, state }
    }
    return null
  }
  const ask = second ? (parts(first?.cause, second.cause) ?? parts(second.cause, first?.cause)) : null
  const order = ranked.map(({ cause }) => cause)
  const remedies = own.remedies.map(({ kind, code }): RankedRemedy => {
    if (kind !== 'adjust') return { kind, code }
    const on = strapOf(question, order, code)
    const named = strapsOf(family).find(({ id, adjusts }) => adjusts && code.split('-').includes(id))
    const strap = named?.id ?? on?.strap
    if (!strap) return { kind, code }
    const byMm = on ? underStrap(question, on, strap) : null
    return { kind, code, strap, ...(byMm === null ? {} : { byMm }) }
  })
  const resizeFirst = missesAllThree(answers, predicted)
  const rank = ({ kind }: RankedRemedy): number => (resizeFirst ? (kind === 'resize' ? 0 : kind === 'adjust' ? 2 : 1) : 0)
  if (resizeFirst && !remedies.some(({ kind }) => kind === 'resize')) remedies.unshift({ kind: 'resize', code: 'another-size' })
  return {
    stop: own.stop === true,
    normal: symptom === 'S08',
    causes: ranked.map(({ cause, weight }) => ({ code: cause.code, weight })),
    ask,
    remedies: remedies
      .map((remedy, i) => ({ remedy, i }))
      .sort((a, b) => rank(a.remedy) - rank(b.remedy) || a.i - b.i)
      .map(({ remedy }) => remedy),
  }
}

/** The move of a strap, by its own row where the check has one for each. */
function underStrap(question: CauseQuestion, on: { check: CheckId }, strap: StrapId): number | null {
  if (on.check !== 'under-every-strap') return strapMove(on.check, question)
  const row = question.predicted.find((each) => each.check === on.check && each.strap === strap && each.rangeMm)
  if (!row?.rangeMm || row.mm === null) return null
  return (row.rangeMm[0] + row.rangeMm[1]) / 2 - row.mm
}
