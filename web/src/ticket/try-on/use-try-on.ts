import {
  buildSeen,
  checksFor,
  families,
  fittingLoop,
  latestObservations,
  presentSymptoms,
  remedyOf,
  roundVerdict,
  tableOf,
  wornAbout,
  type Check,
  type Choice,
  type FamilyId,
  type Foretold,
  type Item,
  type LoopStep,
  type Observation,
  type PullState,
  type RoundVerdict,
  type TryOn,
  type WornAbout,
} from '@merry-tailor/core'
import { useEffect, useRef, useState } from 'react'
import { useSizeTablesQuery } from '../../api/queries'
import { useOpenTicket, strapsIn } from '../../bench'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import type { MatQuestion } from './mat-question'
import { movesBetween } from './moves'
import { useRoundLay } from './use-round-lay'
import { useStrapPlan, type StrapPlan } from './use-strap-plan'

const STATES: readonly { value: PullState; label: string }[] = [
  { value: 'slack', label: 'Slack' },
  { value: 'pulling', label: 'Pulling' },
  { value: 'moving', label: 'Moving' },
]
const NOTHING_SEEN: ReadonlyMap<string, Observation> = new Map()
const UNKNOWN: Foretold = { straps: {}, lengths: {}, untied: [], laid: null, checks: [] }

/** Everything a round on the dog says and does, on a bench and on a phone alike. */
export interface TryOnInHand {
  item: Item
  rounds: readonly TryOn[]
  round: TryOn | undefined
  /** It is the newest: what is moved is moved in it. */
  isLast: boolean
  build: string | null
  verdict: RoundVerdict | null
  loop: LoopStep[]
  state: PullState
  /** States this kind is looked at in, with how many of their checks were seen. */
  states: { value: PullState; label: string }[]
  turn: (to: PullState) => void
  /** A state with checks nobody looked at yet, beside this one. */
  elsewhere: { state: PullState; label: string } | null
  /** Nobody answered them yet: none of this state. */
  isSeen: boolean
  mat: MatQuestion | null
  plan: StrapPlan
  canSet: boolean
  /** A drafting harness: set strap by strap, with a clock. */
  draws: boolean
  apart: boolean
  setApart: (apart: boolean) => void
  lay: ReturnType<typeof useRoundLay>
  part: readonly string[] | null
  setPart: (part: readonly string[] | null) => void
  next: {
    plan: StrapPlan | null
    holds: boolean
    fails: boolean
    resized: boolean
    testOpen: boolean
    pulls: boolean
    moved: boolean
    onPress: () => void
  }
}

/** One item, its rounds, and the round that is looked at. */
export function useTryOn(item: Item, rounds: readonly TryOn[], round: TryOn | undefined, onPart: () => void): TryOnInHand {
  const { sheet } = useOpenTicket()
  const [turned, setTurned] = useState<PullState | null>(null)
  const [part, setPart] = useState<readonly string[] | null>(null)
  const [parted, setApart] = useState<boolean | null>(null)
  const [opened, setOpened] = useState<string | null | undefined>(undefined)
  const once = useOnce()
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const { family } = item
  const worn = round && wornTable(round, sheet.choices)
  const table = tables.find((each) => each.id === worn?.tableId && each.version === worn.tableVersion)
  const build = table?.build ?? (round ? buildSeen(family, round.observations) : null)
  const about = wornAbout(sheet, build)
  const threeLegs = about.threeLegs === true
  const apart = parted ?? threeLegs
  // A kind that is not looked at in a state is not asked about it.
  const all = checksFor(family, about)
  const states = STATES.filter(({ value }) => all.some((check) => check.states.includes(value)))
  // It opens at what fails, else at the first check nobody looked at.
  const wish = turned ?? (round ? firstToLook(family, round, about) : 'slack')
  const state = states.some(({ value }) => value === wish) ? wish : (states[0]?.value ?? 'slack')
  const checks = all.filter((check) => check.states.includes(state))
  const newest = round ? latestObservations(round.observations) : NOTHING_SEEN
  const answerOf = (check: Check, of: PullState): Observation | undefined => newest.get(`${check.id}/${of}`)
  const lay = useRoundLay(family, item.id, round)
  const foretold = lay.now
  const verdict = round ? roundVerdict(family, round, about) : null
  const holds = verdict?.grade === 'holds'
  const isLast = round === rounds.at(-1)
  const moved =
    round !== undefined && isLast && movesBetween(family, strapsIn(sheet.settings, lay.thing, sheet.dog?.id ?? null, round), lay.settings).length > 0
  const loop = fittingLoop({ family, rounds, about, moved })
  const plan = useStrapPlan({ item, thing: lay.thing, foretold: foretold ?? UNKNOWN, settings: lay.settings, holds, apart, threeLegs })
  const draws = families[family].shelf === 'drafting'
  const canSet = !draws && plan.straps.length > 0 && foretold !== null
  const pulls = families[family].shelf === 'pulling'
  const unseen = (of: PullState): Check | undefined => all.find((check) => check.states.includes(of) && !answerOf(check, of))
  const open = opened === undefined ? ((unseen(state) ?? checks.find((check) => answerOf(check, state)?.grade !== 'holds') ?? checks[0])?.id ?? null) : opened
  const here = useRef('')
  useEffect(() => {
    here.current = `${open ?? ''}/${state}`
  }, [open, state])
  const turn = (to: PullState): void => {
    setTurned(to)
    setOpened(undefined)
  }
  /** What held needs no more looking: on to the next nobody saw. */
  const kept = (check: string, grade: Observation['grade']): void => {
    // Who has gone on meanwhile is not called back.
    if (here.current !== `${check}/${state}`) return
    setTurned(state)
    const at = checks.findIndex(({ id }) => id === check)
    const later = [...checks.slice(at + 1), ...checks.slice(0, at)].find((each) => !answerOf(each, state))
    setOpened(grade === 'holds' ? (later?.id ?? check) : check)
  }
  const beside = states.find(({ value }) => value !== state && unseen(value))
  const canPress = canSet && !holds && (plan.isUnset || plan.next !== null)
  const press = (): void => void once(plan.press)
  useKeys({
    ...Object.fromEntries(checks.slice(0, 9).map((check, i) => [String(i + 1), () => setOpened(check.id)])),
    Escape: () => setOpened(null),
    // Slack and pulling, to and fro; where nothing pulls, on to the next.
    p: () => turn(states.some(({ value }) => value === 'pulling') ? (state === 'slack' ? 'pulling' : 'slack') : (nextOf(states, state) ?? 'slack')),
    ...(canPress ? { Enter: press } : {}),
  })
  return {
    item,
    rounds,
    round,
    isLast,
    build,
    verdict,
    loop,
    state,
    states: states.map((each) => ({ value: each.value, label: counted(stateName(each, family), each.value, all, round && newest) })),
    turn,
    elsewhere: beside ? { state: beside.value, label: beside.label.toLowerCase() } : null,
    isSeen: checks.every((check) => answerOf(check, state)),
    mat: round
      ? {
          item,
          round,
          state,
          checks,
          newest,
          foretold,
          isLaying: lay.asked !== null && foretold === null && !lay.isFresh,
          riseRad: lay.riseRad,
          rules: table?.rules,
          open,
          onOpen: setOpened,
          onPart: (found) => {
            setPart(found)
            onPart()
          },
          onKept: (grade) => {
            if (open !== null) kept(open, grade)
          },
          hint: hintOf(state, pulls, threeLegs),
        }
      : null,
    plan,
    canSet,
    draws,
    apart,
    setApart,
    lay,
    part,
    setPart,
    next: {
      plan: canSet ? plan : null,
      holds,
      fails: verdict?.grade === 'fails',
      resized: round !== undefined && isLast && isResized(round),
      testOpen: loop.some((each) => each.step === 'safe-place' && each.state !== 'done'),
      pulls,
      moved,
      onPress: press,
    },
  }
}

/** “Pulling 3/5”; before anything is on the dog only its name. */
function counted(name: string, state: PullState, all: readonly Check[], newest: ReadonlyMap<string, Observation> | undefined): string {
  if (!newest) return name
  const own = all.filter((check) => check.states.includes(state))
  return `${name} ${own.filter((check) => newest.has(`${check.id}/${state}`)).length}/${own.length}`
}

const nextOf = (states: readonly { value: PullState }[], state: PullState): PullState | undefined =>
  states[(states.findIndex(({ value }) => value === state) + 1) % Math.max(1, states.length)]?.value

/** Was another size what was tried against a symptom? */
const isResized = ({ symptoms }: TryOn): boolean =>
  presentSymptoms(symptoms).some((note) => note.remedy !== null && remedyOf(note.symptom, note.remedy)?.kind === 'resize')

/** What is done with the dog in a state. */
function hintOf(state: PullState, pulls: boolean, threeLegs: boolean): string {
  if (threeLegs && state === 'slack') return 'On three legs straps slide to the empty side: each side is set for itself, and not judged by the other.'
  if (state === 'pulling') return 'Pull the end straight back by hand, firmly, so that it lies as in work.'
  if (state === 'moving') return 'Swing the foreleg by hand, then let the dog walk a few steps.'
  return pulls ? 'Slack, a pulling harness ends anywhere from mid-back to tail: no verdict on its length here.' : ''
}

/** Nothing pulls at a coat, a boot or a crate: there the dog stands. */
const stateName = ({ value, label }: (typeof STATES)[number], family: FamilyId): string =>
  value === 'slack' && ['coat', 'boot', 'crate', 'car'].includes(families[family].shelf) ? 'Standing' : label

/** Where a round is opened: at the state with what fails, else with what nobody looked at. */
function firstToLook(family: FamilyId, round: TryOn, about: WornAbout): PullState {
  const newest = latestObservations(round.observations)
  const failing = [...newest.values()].find((each) => each.grade === 'fails')
  if (failing) return failing.state
  return (
    STATES.find(({ value }) => checksFor(family, about).some((check) => check.states.includes(value) && !newest.has(`${check.id}/${value}`)))?.value ?? 'slack'
  )
}

/** The table of what is on the dog, where it has one: the maker's own rules go before the family's. */
function wornTable({ of }: TryOn, choices: readonly Choice[]): { tableId: string; tableVersion: number } | null {
  if ('tableId' in of) return of
  const choice = 'choiceId' in of ? choices.find((each) => each.id === of.choiceId) : undefined
  return choice ? tableOf(choice) : null
}
