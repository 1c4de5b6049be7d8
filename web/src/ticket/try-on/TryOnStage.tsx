import {
  buildSeen,
  checkByMaker,
  checksFor,
  families,
  latestObservations,
  roundVerdict,
  tableOf,
  hasOwnChecks,
  type Choice,
  type FamilyId,
  type PullState,
  type TryOn,
  type WornAbout,
  wornAbout,
} from '@merry-tailor/core'
import { roundsToCsv, roundsToJson } from '@merry-tailor/core/formats'
import { useState } from 'react'
import { useSizeTablesQuery } from '../../api/queries'
import { useAppSelector } from '../../state/store'
import { clock } from '../../state/today'
import { useKeys } from '../../state/use-keys'
import { Button } from '../../ui/controls/Button'
import { SaveText } from '../../ui/controls/SaveText'
import { Segmented } from '../../ui/controls/Segmented'
import { KeyCap } from '../../ui/controls/KeyCap'
import { VerdictWord } from '../../said/VerdictWord'
import { roundWord } from '../../words/verdicts'
import { Empty } from '../../ui/State'
import { useMedia } from '../../ui/use-media'
import { ItemPanel, ItemsInHand, ItemTabs, NoItem, useItemInHand, useOpenTicket } from '../../bench'
import { CheckRow } from './CheckRow'
import { FittersWord } from './FittersWord'
import { HowItGoesOn } from './HowItGoesOn'
import { NewRound } from './NewRound'
import { RoundMat } from './RoundMat'
import { StrapStrip } from './StrapStrip'
import { useRoundLay } from './use-round-lay'
import { Symptoms } from './Symptoms'

const STATES: readonly { value: PullState; label: string }[] = [
  { value: 'slack', label: 'Slack' },
  { value: 'pulling', label: 'Pulling' },
  { value: 'moving', label: 'Moving' },
]

/** Try on: the only place where "Holds" is said. Rounds, checks in each state, symptoms and what to do. */
export function TryOnStage() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items)
  const inHand = item?.id ?? ''
  const rounds = sheet.tryOns.filter((round) => round.itemId === item?.id && !round.struck)
  const [roundId, setRoundId] = useState<string | null>(null)
  const pickItem = (id: string): void => {
    setItem(id)
    setRoundId(null)
  }
  const round = rounds.find((each) => each.id === roundId) ?? rounds.at(-1)
  const [turned, setState] = useState<PullState | null>(null)
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const worn = round && wornTable(round, sheet.choices)
  const table = tables.find((each) => each.id === worn?.tableId && each.version === worn.tableVersion)
  const rules = table?.rules
  // It opens at what fails, else at the first check nobody looked at.
  const build = table?.build ?? (round && item ? buildSeen(item.family, round.observations) : null)
  const about = wornAbout(sheet, build)
  const wish = turned ?? (item && round ? firstToLook(item.family, round, about) : 'slack')
  // A kind that is not looked at in a state is not asked about it.
  const checks = item ? checksFor(item.family, about) : []
  const states = STATES.filter(({ value }) => checks.some((check) => check.states.includes(value)))
  const state = states.some(({ value }) => value === wish) ? wish : 'slack'
  const next = states[(states.findIndex(({ value }) => value === state) + 1) % Math.max(1, states.length)]
  const phone = useMedia('(max-width: 767px)')
  const lay = useRoundLay(item?.family ?? 'H01', item?.id ?? '', round)
  // Slack and pulling, to and fro; where nothing pulls, on to the next.
  useKeys({ p: () => setState(states.some(({ value }) => value === 'pulling') ? (state === 'slack' ? 'pulling' : 'slack') : (next?.value ?? 'slack')) })

  if (!item) return <NoItem title="Which piece is on the rack?">{`Choose the item under Ask, then put a size on ${name}.`}</NoItem>
  const shown = checks.filter((check) => check.states.includes(state))
  const newest = round ? latestObservations(round.observations) : new Map<string, never>()
  const verdict = round ? roundVerdict(item.family, round, about) : null
  const held = [...newest.values()].filter((each: { grade: string }) => each.grade === 'holds').length
  const toLook = (of: PullState): number => checks.filter((check) => check.states.includes(of) && !newest.has(`${check.id}/${of}`)).length
  const head = { dog: name, ticket: String(sheet.ticket.number), family: item.family }
  // On a phone the checks come first: the dog and its straps are under them.
  const laid = round && (
    <>
      {lay.now && <RoundMat round={round} state={state} checks={shown} newest={newest} foretold={lay.now} riseRad={lay.riseRad} label={round.label} />}
      {lay.now?.laid && <StrapStrip item={item} foretold={lay.now} settings={lay.settings} holds={verdict?.grade === 'holds'} />}
    </>
  )
  const elsewhere = states.map((each) => each.value).find((of) => of !== state && toLook(of) > 0)
  const answered = (of: PullState): number => checks.filter((check) => check.states.includes(of) && newest.has(`${check.id}/${of}`)).length

  return (
    <ItemsInHand
      items={items}
      current={inHand}
      onPick={pickItem}
      className="min-h-0 flex-1 max-lg:flex max-lg:flex-col max-lg:overflow-y-auto lg:grid lg:grid-cols-[316px_1fr] bench:grid-cols-[316px_1fr_332px]"
    >
      <section
        aria-label="Rounds"
        className="flex min-h-0 flex-col bg-panel max-lg:order-3 max-lg:shrink-0 max-lg:border-t-2 max-lg:border-ink lg:border-r-2 lg:border-ink"
      >
        <ItemTabs items={items} />
        <h2 className="shrink-0 border-b-2 border-ink px-4 py-2 text-[19px] leading-6">Rounds on {name}</h2>
        <ol className="quiet-scroll min-h-0 flex-1">
          {rounds.map((each, i) => (
            <RoundRow key={each.id} round={each} number={i + 1} family={item.family} current={each === round} onPick={() => setRoundId(each.id)} />
          ))}
          {rounds.length === 0 && <li className="px-4 py-3 text-mute">No size on the dog yet.</li>}
          {rounds.length > 0 && (
            <li className="flex flex-wrap gap-1 px-4 py-2">
              <SaveText name={`rounds-${sheet.ticket.number}.csv`} type="text/csv" text={() => roundsToCsv(rounds, head)}>
                CSV
              </SaveText>
              <SaveText name={`rounds-${sheet.ticket.number}.json`} type="application/json" text={() => roundsToJson(rounds, head)}>
                JSON
              </SaveText>
            </li>
          )}
        </ol>
        <NewRound key={item.id} item={item} onMade={setRoundId} />
      </section>
      <section aria-label="Checks" className="flex min-h-0 flex-col max-lg:shrink-0 bench:last:col-span-2">
        <ItemPanel items={items} current={inHand} className="flex min-h-0 flex-1 flex-col">
          <header className="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-y-2 border-ink bg-bench px-5 py-2.5 lg:border-t-0">
            <div className="min-w-0 flex-1 max-phone:basis-full">
              <h1 className="text-[26px] leading-[32px]">{round ? `${round.label} on ${name}` : 'Put a size on'}</h1>
              {round && verdict && (
                <p className="flex flex-wrap items-center gap-x-3">
                  <VerdictWord grade={verdict.grade} basis="seen" word={roundWord(verdict)} />{' '}
                  <span className="text-mute">
                    {verdict.word
                      ? `${verdict.word.by || 'The fitter'}’s word, ${clock(verdict.word.at)}`
                      : checks.length > 0
                        ? `${held} hold${verdict.seen < verdict.wanted && verdict.troubles.length > 0 ? `, ${verdict.wanted - verdict.seen} to look at` : ''}, since ${clock(round.at)}`
                        : `on since ${clock(round.at)}`}
                  </span>
                </p>
              )}
            </div>
            {states.length > 1 && (
              <div className="flex items-center gap-2">
                <Segmented
                  label="State"
                  value={state}
                  options={states.map((each) => ({
                    ...each,
                    label: round
                      ? `${stateName(each, item.family)} ${answered(each.value)}/${checks.filter((check) => check.states.includes(each.value)).length}`
                      : stateName(each, item.family),
                  }))}
                  onChange={setState}
                />
                <KeyCap>P</KeyCap>
              </div>
            )}
          </header>
          {round ? (
            <div className="quiet-scroll min-h-0 flex-1 bg-panel">
              {!phone && laid}
              <HowItGoesOn family={item.family} build={build} />
              {state === 'slack' && families[item.family].shelf === 'pulling' && (
                <p className="border-b border-rule bg-bench px-5 py-2">
                  Slack, a pulling harness ends anywhere from mid-back to tail: no verdict on its length here.
                </p>
              )}
              {checks.length > 0 && state === 'pulling' && (
                <p className="border-b border-rule bg-bench px-5 py-2">Pull the end straight back by hand, firmly, so that it lies as in work.</p>
              )}
              {checks.length > 0 && state === 'moving' && (
                <p className="border-b border-rule bg-bench px-5 py-2">Swing the foreleg by hand, then let the dog walk a few steps.</p>
              )}
              <ul>
                {shown.map((check, i) => (
                  <CheckRow
                    n={i + 1}
                    key={`${round.id}-${check.id}-${state}`}
                    check={checkByMaker(check, rules)}
                    state={state}
                    round={round}
                    answer={newest.get(`${check.id}/${state}`)}
                  />
                ))}
              </ul>
              {elsewhere && shown.every((check) => newest.has(`${check.id}/${state}`)) && (
                <div className="border-b border-rule px-5 py-3">
                  <Button tone="primary" onClick={() => setState(elsewhere)}>
                    Next: {STATES.find((each) => each.value === elsewhere)?.label.toLowerCase()}, {toLook(elsewhere)} to look at
                  </Button>
                </div>
              )}
              {phone && laid}
              {verdict && (!hasOwnChecks(item.family) || verdict.word) && <FittersWord family={item.family} round={round} word={verdict.word} />}
            </div>
          ) : (
            <div className="mat flex-1 p-4">
              <div className="max-w-[560px] border-2 border-ink bg-panel">
                <Empty>Loosen every adjuster, put the size on, and begin a round. Practitioners often start here, with two sizes on the rack.</Empty>
                <HowItGoesOn family={item.family} build={build} />
              </div>
            </div>
          )}
        </ItemPanel>
      </section>
      {round && <Symptoms family={item.family} round={round} predicted={lay.now?.checks ?? []} />}
    </ItemsInHand>
  )
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

function RoundRow({ round, number, family, current, onPick }: { round: TryOn; number: number; family: FamilyId; current: boolean; onPick: () => void }) {
  const { sheet } = useOpenTicket()
  const verdict = roundVerdict(family, round, wornAbout(sheet))
  const fitter = useAppSelector((state) => state.settings.fitter)
  return (
    <li className="border-b border-rule">
      <button
        type="button"
        aria-pressed={current}
        onClick={onPick}
        className={`block min-h-[62px] w-full border-l-[5px] py-2 pr-3 pl-[11px] text-left ${current ? 'border-ink bg-bench' : 'border-transparent'}`}
      >
        <span className="flex items-baseline justify-between gap-2">
          <span className="text-[17px] font-bold">
            {number}. {round.label}
          </span>
          <VerdictWord grade={verdict.grade} basis="seen" word={roundWord(verdict)} size={18} />
        </span>
        <span className="block text-[14px] leading-[18px] text-mute">
          {clock(round.at)}
          {round.by && round.by !== fitter ? `, ${round.by}` : ''}
          {round.changed ? `. ${round.changed}` : ''}
        </span>
      </button>
    </li>
  )
}
