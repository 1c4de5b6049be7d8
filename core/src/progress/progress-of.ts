import { cautionKey, cautionsOf, readOf } from '../choose/index.ts'
import { roundVerdict, wornAbout } from '../fit/index.ts'
import { checkById, symptomName, tapesFor, type SymptomId } from '../gear/index.ts'
import { bodyOf, openFindings, tapeKey, USUAL_RULES, type AgreeRules } from '../measures/index.ts'
import { labelsOf, type Choice, type Grade, type Place, type TicketSheet } from '../model/index.ts'
import { newestFor, wornFor } from './newest-for.ts'
import type { Stage, StageState } from './stages.ts'

/** The one thing a ticket waits for, as data; the list has the words. */
export type WaitsFor =
  | { code: 'items' }
  | { code: 'stop-unread'; stop: string }
  | { code: 'tape'; measure: string; left: number }
  | { code: 'third-reading' | 'take-again'; measure: string }
  | { code: 'choice'; family: string }
  | { code: 'try-on'; kind: Choice['kind']; label: string }
  | { code: 'ordered'; on: string; from: string; to: string }
  /** `named`: what the check or symptom is called, so that a list needs no family's file to say it. */
  | { code: 'refit'; check?: string; symptom?: string; named?: string; grade: Grade }
  | { code: 'look-again'; check?: string; named?: string; grade: Grade }
  | { code: 'close' }
  | { code: 'nothing' }

export interface Progress {
  /** The stage the work is at. */
  stage: Stage
  states: Record<Stage, StageState>
  /** What each stage has, and what would complete it. */
  counts: { asked: number; toAsk: number; agreeing: number; tapes: number; chosen: number; items: number; fitted: number }
  waitsFor: WaitsFor
}

const namedCheck = (check: string): { check: string; named: string } => ({ check, named: checkById(check)?.name ?? check })

/** Open items of a ticket; a removed one is kept but no longer worked on. */
const itemsOf = (sheet: Pick<TicketSheet, 'items'>): TicketSheet['items'] => sheet.items.filter((item) => !item.removed)

/**
 * Where a ticket stands. Nothing is locked: a stage can be done out of turn (two sizes on the rack start at Try on),
 * so the stage is the first that is neither done nor passed by a later one.
 *
 * @param on day of the question, `YYYY-MM-DD`
 * @param rules the shop's repeat rule and tolerance
 */
export function progressOf(sheet: TicketSheet, on: string, rules: AgreeRules = USUAL_RULES): Progress {
  const items = itemsOf(sheet)
  const body = bodyOf(sheet.readings, rules)
  const tapes = tapesFor(items, sheet.ticket.wholeBody)
  const keyOf = (tape: { measure: string; place: Place | null }): string => tapeKey(tape.measure, tape.place)
  const covered = (key: string): boolean => (body[key]?.n ?? 0) > 0
  const wanted = tapes.filter((tape) => !(tape.either !== undefined && !covered(tape.measure) && covered(tape.either)))
  const missing = wanted.filter((tape) => !covered(keyOf(tape)) && !(tape.either === 'M13'))
  const asked = openFindings(body, sheet.acknowledgements, { readings: sheet.readings, about: sheet.dog, rules, on }).find((finding) => !finding.soft)
  const again = wanted.find((tape) => body[keyOf(tape)]?.state === 'disagrees')?.measure ?? asked?.measures[0]
  const third = wanted.find((tape) => body[keyOf(tape)]?.state === 'third-wanted')
  const agreeing = wanted.filter((tape) => body[keyOf(tape)]?.state === 'agrees').length

  const choices = items.map((item) => wornFor(sheet.choices, item.id))
  const rounds = items.map((item) => ({ item, round: newestFor(sheet.tryOns, item.id) }))
  const about = wornAbout(sheet)
  const verdicts = rounds.map(({ item, round }) => (round ? { round, verdict: roundVerdict(item.family, round, about) } : null))
  const fitted = verdicts.filter((each) => each?.verdict.grade === 'holds').length
  const failing = verdicts.find((each) => each?.verdict.grade === 'fails')
  const unsure = verdicts.find((each) => each?.verdict.grade === 'doubt')

  const cautions = cautionsOf(sheet, on)
  const stop = cautions.find((caution) => caution.level === 'stop' && !readOf(caution, cautions, sheet.acknowledgements))

  const closed = sheet.ticket.state === 'closed'
  const answered = [items.length > 0, sheet.dog !== null || sheet.ticket.kind !== 'real', sheet.ticket.activities.length > 0].filter(Boolean).length
  const states: Progress['states'] = {
    ask: stop ? 'trouble' : items.length > 0 && (sheet.dog !== null || sheet.ticket.kind !== 'real') ? 'done' : 'open',
    measure: again ? 'trouble' : wanted.length > 0 && missing.length === 0 && !third ? 'done' : 'open',
    choose: items.length > 0 && choices.every(Boolean) ? 'done' : 'open',
    'try-on': failing ? 'trouble' : items.length > 0 && fitted === items.length ? 'done' : 'open',
    finish: closed ? 'done' : 'open',
  }

  let waitsFor: WaitsFor
  let stage: Stage
  const toChoose = items.find((_, i) => !choices[i])
  const toTry = items.findIndex((_, i) => choices[i] && !rounds[i]?.round)
  const anyRound = rounds.some(({ round }) => round)
  if (closed) [stage, waitsFor] = ['finish', { code: 'nothing' }]
  else if (items.length === 0) [stage, waitsFor] = ['ask', { code: 'items' }]
  else if (failing) {
    const trouble = failing.verdict.troubles[0]
    const symptom = failing.round.symptoms.find((note) => note.present)?.symptom
    ;[stage, waitsFor] = [
      'try-on',
      { code: 'refit', grade: 'fails', ...(trouble ? namedCheck(trouble.check) : symptom ? { symptom, named: symptomName(symptom as SymptomId) } : {}) },
    ]
  } else if (unsure) {
    const trouble = unsure.verdict.troubles[0]
    ;[stage, waitsFor] = ['try-on', { code: 'look-again', grade: 'doubt', ...(trouble ? namedCheck(trouble.check) : {}) }]
  } else if (fitted === items.length) [stage, waitsFor] = ['finish', { code: 'close' }]
  else if (stop && !anyRound) [stage, waitsFor] = ['ask', { code: 'stop-unread', stop: cautionKey(stop) }]
  else if (again) [stage, waitsFor] = ['measure', { code: 'take-again', measure: again }]
  else if (third) [stage, waitsFor] = ['measure', { code: 'third-reading', measure: third.measure }]
  else if (missing[0] && !choices.some(Boolean)) [stage, waitsFor] = ['measure', { code: 'tape', measure: missing[0].measure, left: missing.length }]
  else if (toChoose) [stage, waitsFor] = ['choose', { code: 'choice', family: toChoose.family }]
  else if (toTry >= 0) [stage, waitsFor] = ['try-on', tryOnOf(choices[toTry])]
  else [stage, waitsFor] = ['try-on', { code: 'look-again', grade: 'doubt' }]

  return {
    stage,
    states,
    counts: { asked: answered, toAsk: 3 - answered, agreeing, tapes: wanted.length, chosen: choices.filter(Boolean).length, items: items.length, fitted },
    waitsFor,
  }
}

/** When a piece made to measure is due, as it was noted at the order: `YYYY-MM-DD to YYYY-MM-DD`. */
export const DUE = 'Due'

function tryOnOf(choice: Choice | undefined): WaitsFor {
  const due = choice?.kind === 'made' ? /^(\d{4}-\d\d-\d\d) to (\d{4}-\d\d-\d\d)$/.exec(choice.options[DUE] ?? '') : null
  if (choice && due?.[1] && due[2]) return { code: 'ordered', on: choice.at.slice(0, 10), from: due[1], to: due[2] }
  return {
    code: 'try-on',
    kind: choice?.kind ?? 'size',
    label: (choice && labelsOf(choice)[0]) ?? '',
  }
}
