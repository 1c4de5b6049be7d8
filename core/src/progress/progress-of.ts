import { cautionKey, cautionsOf, readOf } from '../choose/index.ts'
import { roundVerdict, wornAbout, type RoundVerdict } from '../fit/index.ts'
import { checkById, symptomName, tapesFor, type SymptomId, type Tape } from '../gear/index.ts'
import { bodyOf, openFindings, tapeKey, USUAL_RULES, type AgreeRules } from '../measures/index.ts'
import { labelsOf, type Choice, type Grade, type Item, type Place, type TicketSheet, type TryOn } from '../model/index.ts'
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

interface Judged {
  round: TryOn
  verdict: RoundVerdict
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
  // Of a pair one is enough: the other stands for it, and while neither was taken the pair counts once, by its first.
  const stoodFor = ({ measure, either }: Tape<Item>): boolean => either !== undefined && !covered(measure) && covered(either)
  const secondOfPair = (tape: Tape<Item>): boolean => tapes.slice(0, tapes.indexOf(tape)).some(({ measure }) => measure === tape.either)
  const wanted = tapes.filter((tape) => !stoodFor(tape))
  const missing = wanted.filter((tape) => !covered(keyOf(tape)) && !secondOfPair(tape))
  const asked = openFindings(body, sheet.acknowledgements, { readings: sheet.readings, about: sheet.dog, rules, on }).find((finding) => !finding.soft)
  const again = wanted.find((tape) => body[keyOf(tape)]?.state === 'disagrees')?.measure ?? asked?.measures[0]
  const third = wanted.find((tape) => body[keyOf(tape)]?.state === 'third-wanted')
  const agreeing = wanted.filter((tape) => body[keyOf(tape)]?.state === 'agrees').length

  const choices = items.map((item) => wornFor(sheet.choices, item.id))
  const rounds = items.map((item) => ({ item, round: newestFor(sheet.tryOns, item.id) }))
  const about = wornAbout(sheet)
  const verdicts = rounds.flatMap(({ item, round }): Judged[] => (round ? [{ round, verdict: roundVerdict(item.family, round, about) }] : []))
  const fitted = verdicts.filter(({ verdict }) => verdict.grade === 'holds').length
  const failing = verdicts.find(({ verdict }) => verdict.grade === 'fails')
  const unsure = verdicts.find(({ verdict }) => verdict.grade === 'doubt')

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

  const waitsFor = firstThing({
    closed,
    asksItems: items.length === 0,
    failing,
    unsure,
    allFitted: fitted === items.length,
    stop: stop && !rounds.some(({ round }) => round) ? cautionKey(stop) : undefined,
    again,
    third: third?.measure,
    missing: choices.some(Boolean) ? [] : missing.map(({ measure }) => measure),
    toChoose: items.find((_, i) => !choices[i])?.family,
    toTry: choices.find((choice, i) => choice && !rounds[i]?.round),
  })
  return {
    stage: STAGE_OF[waitsFor.code],
    states,
    counts: { asked: answered, toAsk: 3 - answered, agreeing, tapes: wanted.length, chosen: choices.filter(Boolean).length, items: items.length, fitted },
    waitsFor,
  }
}

/** Where the work is that a ticket waits for. */
const STAGE_OF: Readonly<Record<WaitsFor['code'], Stage>> = {
  items: 'ask',
  'stop-unread': 'ask',
  tape: 'measure',
  'third-reading': 'measure',
  'take-again': 'measure',
  choice: 'choose',
  'try-on': 'try-on',
  ordered: 'try-on',
  refit: 'try-on',
  'look-again': 'try-on',
  close: 'finish',
  nothing: 'finish',
}

interface Standing {
  closed: boolean
  asksItems: boolean
  failing: Judged | undefined
  unsure: Judged | undefined
  allFitted: boolean
  /** A stop nobody read, before anything was tried on. */
  stop: string | undefined
  again: string | undefined
  third: string | undefined
  /** Tapes nobody took, while nothing is chosen. */
  missing: readonly string[]
  toChoose: string | undefined
  toTry: Choice | undefined
}

/** The first of all that a ticket may wait for: what was seen on the dog, then what is read, taken, chosen and tried. */
function firstThing(at: Standing): WaitsFor {
  if (at.closed) return { code: 'nothing' }
  if (at.asksItems) return { code: 'items' }
  if (at.failing) return refitOf(at.failing)
  if (at.unsure) return { code: 'look-again', grade: 'doubt', ...troubleOf(at.unsure) }
  if (at.allFitted) return { code: 'close' }
  if (at.stop) return { code: 'stop-unread', stop: at.stop }
  if (at.again) return { code: 'take-again', measure: at.again }
  if (at.third) return { code: 'third-reading', measure: at.third }
  if (at.missing[0]) return { code: 'tape', measure: at.missing[0], left: at.missing.length }
  if (at.toChoose) return { code: 'choice', family: at.toChoose }
  return at.toTry ? tryOnOf(at.toTry) : { code: 'look-again', grade: 'doubt' }
}

const troubleOf = ({ verdict }: Judged): { check?: string; named?: string } => (verdict.troubles[0] ? namedCheck(verdict.troubles[0].check) : {})

function refitOf(failing: Judged): WaitsFor {
  const symptom = failing.round.symptoms.find((note) => note.present)?.symptom
  const seen = failing.verdict.troubles[0] ? troubleOf(failing) : symptom ? { symptom, named: symptomName(symptom as SymptomId) } : {}
  return { code: 'refit', grade: 'fails', ...seen }
}

/** When a piece made to measure is due, as it was noted at the order: `YYYY-MM-DD to YYYY-MM-DD`. */
export const DUE = 'Due'

function tryOnOf(choice: Choice): WaitsFor {
  const due = choice.kind === 'made' ? /^(\d{4}-\d\d-\d\d) to (\d{4}-\d\d-\d\d)$/.exec(choice.options[DUE] ?? '') : null
  if (due?.[1] && due[2]) return { code: 'ordered', on: choice.at.slice(0, 10), from: due[1], to: due[2] }
  return {
    code: 'try-on',
    kind: choice.kind,
    label: labelsOf(choice)[0] ?? '',
  }
}
