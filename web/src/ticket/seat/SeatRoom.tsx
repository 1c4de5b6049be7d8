import {
  readClaim,
  carFingers,
  carStops,
  dressingCard,
  formatLength,
  formatWeight,
  PULSES,
  tableOf,
  wornFor,
  type Item,
  type NamedPulse,
} from '@merry-tailor/core'
import { useMemo, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useCarsQuery, usePiecesQuery, useSizeTablesQuery } from '../../api/queries'
import { ItemPanel, ItemsInHand, ItemTabs, NoItem, useBenchForm, useGauge, useItemInHand, useOpenTicket } from '../../bench'
import { LengthEntry, WeightEntry } from '../../length-entry'
import { CarNumbers, NewCar } from '../../rigs'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useKeys } from '../../state/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Named } from '../../ui/controls/Named'
import { Picker } from '../../ui/controls/Picker'
import { Segmented } from '../../ui/controls/Segmented'
import { Mark } from '../../ui/marks/Mark'
import { useBox } from '../../ui/use-width'
import { dressingWords } from '../../words/dressing'
import { Claims } from './Claims'
import { ForceTable } from './ForceTable'
import { ForceTape } from './ForceTape'
import { HeatCurve } from './HeatCurve'
import { OtherWays } from './OtherWays'
import { PreDrive } from './PreDrive'
import { SeatDrawing } from './SeatDrawing'
import { seatNow, USUAL_SEAT, type Posture } from './seat-now'
import { FRESH, isSeatState, type SeatState } from './seat-state'
import { STOP_WORDS } from './seat-words'

/** What new belt webbing holds at least, N. Source: UN R16 6.3.2, value from memory. */
const BELT_N = 14_700
const FALLBACK: NamedPulse = { id: '', shape: 'half-sine', speedKmh: 48, stopMm: 500, source: '', mark: 'value from memory' }
const HARD_BRAKING = 'hard-braking'

/** The dog in its seat: stops first, then how far its head comes and what belt and harness would have to take. */
export function SeatRoom() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  const [item, setItem] = useItemInHand(items, items.find(({ family }) => family === 'H24')?.id)
  if (!item) return <NoItem title="What holds it in the car?">{`Choose a car harness for ${name} under Ask; then its seat can be looked at.`}</NoItem>
  return (
    <ItemsInHand
      items={items}
      current={item.id}
      onPick={setItem}
      className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto max-md:pb-24 md:grid md:grid-cols-[312px_minmax(0,1fr)] md:max-bench:grid-rows-[100%_auto] md:max-bench:overflow-y-auto bench:grid-cols-[300px_minmax(0,1fr)_400px]"
    >
      <OneSeat key={item.id} item={item} items={items} />
    </ItemsInHand>
  )
}

function OneSeat({ item, items }: { item: Item; items: readonly Item[] }) {
  const { sheet, name, body } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const navigate = useNavigate()
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const say = (mm: number): string => formatLength(mm, style).text
  const weightUnit = look.unit === 'in' ? 'lb' : 'kg'
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const { data: pieces = [] } = usePiecesQuery(undefined)
  const { data: cars = [] } = useCarsQuery(undefined)
  const [state, setState] = useKeptDraft<SeatState>(`seat-${item.id}`, FRESH, isSeatState)
  const set = (over: Partial<SeatState>): void => setState((was) => ({ ...was, ...over }))
  const [ref, box] = useBox<HTMLDivElement>(560, 640)
  const [inHand, setInHand] = useState(false)
  const grabbedAt = useRef(state.slackMm)

  // The owner's own car stands first.
  const ownCars = useMemo(
    () => [...cars].sort((a, b) => Number(b.ownerId === (sheet.owner?.id ?? '')) - Number(a.ownerId === (sheet.owner?.id ?? ''))),
    [cars, sheet.owner],
  )
  const car = ownCars.find(({ id }) => id === state.carId) ?? ownCars[0]
  const at = car && state.seatAt < car.seats.length ? state.seatAt : 0
  const seat = car?.seats[at] ?? USUAL_SEAT

  const dogKg = body.M00?.mm ?? sheet.dog?.weightKg ?? null
  const ownKg = dogKg ?? form.measures.M00?.mm ?? 20
  const kg = state.massKg ?? ownKg
  const choice = wornFor(sheet.choices, item.id)
  const chosen = choice ? tableOf(choice) : null
  const table = chosen && tables.find((each) => each.id === chosen.tableId && each.version === chosen.tableVersion)
  const piece = choice?.kind === 'gear' ? pieces.find(({ id }) => id === choice.pieceId) : undefined
  const testedKg = (choice?.kind === 'size' && table?.sizes.find(({ label }) => label === choice.labels[0])?.testedKg) || null
  const crashed = state.crashed || piece?.retired?.why === 'crash'
  const stops = carStops({
    seat: seat.row,
    airBag: seat.airBag === 'none' ? 'off' : seat.airBag,
    tetherOn: state.tetherOn,
    crashed,
    dogKg,
    testedKg,
    held: state.held,
  })
  const pulse = PULSES.find(({ id }) => id === state.pulseId) ?? PULSES[0] ?? FALLBACK
  const now = useMemo(
    () => seatNow({ form, seat, posture: state.posture, slackMm: state.slackMm, massKg: kg, pulse }),
    [form, seat, state.posture, state.slackMm, kg, pulse],
  )
  const braking = useMemo(
    () => seatNow({ form, seat, posture: state.posture, slackMm: state.slackMm, massKg: kg, pulse: PULSES.find(({ id }) => id === HARD_BRAKING) ?? FALLBACK }),
    [form, seat, state.posture, state.slackMm, kg],
  )
  const column = (of: typeof now): number[] => of.rides.map(({ peakN }) => peakN[of.slacks.indexOf(Math.round(state.slackMm))] ?? 0)
  const [least, most] = [Math.min(...column(now)), Math.max(...column(now))]
  const [tautLeast, tautMost] = [Math.min(...now.rides.map(({ peakN }) => peakN[0] ?? 0)), Math.max(...now.rides.map(({ peakN }) => peakN[0] ?? 0))]
  const kn = (newton: number): string => (newton / 1000).toFixed(1)
  const girth = body.M07?.mm ?? form.measures.M07?.mm ?? 700
  const fingers = carFingers({ frontMm: state.frontRingMm ?? girth * 0.95, backMm: state.backRingMm ?? girth, gauge, form })
  // What is said of this harness’s own strength stands beside what would be asked of it.
  const saidKn = [state.claim, table?.claim ?? ''].flatMap((text) => readClaim(text).forceN ?? []).map((newton) => newton / 1000)
  const makers = tables.filter((each) => each.family === 'H24' && each.claim).map((each) => ({ name: `${each.maker}, ${each.name}`, claim: each.claim ?? '' }))
  const habits = dressingCard({ family: 'H24', dog: { coat: sheet.dog?.coat ?? null, traits: sheet.ticket.traits }, gear: { build: table?.build ?? null } })
  const short = now.clearMm - now.reach.calmMm
  const card = (): void => void navigate(`/tickets/${sheet.ticket.id}/car-card`)
  useKeys({ Enter: card })
  return (
    <>
      <section aria-label="The seat" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink">
        <ItemTabs items={items} />
        <ItemPanel items={items} current={item.id} className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3">
          <h2 className="text-[18px] leading-6">In the car</h2>
          {car ? (
            <Picker
              label="Car and place"
              value={`${car.id} ${at}`}
              options={ownCars.flatMap((each) =>
                each.seats.map((place, i) => ({ value: `${each.id} ${i}`, label: `${each.name}, ${place.name.toLowerCase()}` })),
              )}
              onChange={(value) => {
                const [carId = '', seatAt = '0'] = value.split(' ')
                set({ carId, seatAt: Number(seatAt) })
              }}
              className="w-full"
            />
          ) : (
            <div>
              <p className="pb-1 text-[14.5px] text-mute">
                No car in the book: a middling rear seat is drawn. Take the owner’s in, then set its places by tape.
              </p>
              <NewCar known={cars.length} ownerId={sheet.owner?.id ?? null} onMade={(carId) => set({ carId, seatAt: 0 })} />
            </div>
          )}
          <Named label={`${name} is`}>
            <Segmented
              label={`${name} is`}
              value={state.posture}
              options={[
                { value: 'lying', label: 'Lying' },
                { value: 'sitting', label: 'Sitting' },
                { value: 'standing', label: 'Standing' },
              ]}
              onChange={(posture: Posture) => set({ posture })}
            />
          </Named>
          <LengthEntry label="Slack in the belt" mm={state.slackMm} least={0} most={600} onSet={(slackMm) => set({ slackMm })} />
          <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-[14.5px] leading-[21px]">
            {[
              ['Outlet, from the seat’s fold', `${say(seat.outlet.upMm)} up`],
              ['Buckle', `${say(seat.buckle.upMm)} up`],
              ['Front seat, from the loop', say(now.clearMm)],
              [
                'Each half of the belt',
                Number.isFinite(now.belt.tensionPerLoad) ? `${now.belt.tensionPerLoad.toFixed(2)} of the pull` : 'holds nothing that way',
              ],
            ].map(([term, value]) => (
              <div key={term} className="contents">
                <dt className="text-mute">{term}</dt>
                <dd className="text-right font-bold">{value}</dd>
              </div>
            ))}
          </dl>
          {car && <CarNumbers key={`${car.id} ${at}`} car={car} at={at} />}
          <div className="space-y-3 border-t border-rule pt-2">
            <Named label="The belt holds">
              <Segmented
                label="The belt holds"
                value={state.held}
                options={[
                  { value: 'loop', label: 'Its loop' },
                  { value: 'collar', label: 'The collar' },
                  { value: 'nothing', label: 'Nothing' },
                ]}
                onChange={(held) => set({ held })}
              />
            </Named>
            <Named label="Lead or tether">
              <Segmented
                label="Lead or tether"
                value={state.tetherOn ? 'on' : 'off'}
                options={[
                  { value: 'off', label: 'Off' },
                  { value: 'on', label: 'Left on' },
                ]}
                onChange={(to) => set({ tetherOn: to === 'on' })}
              />
            </Named>
            <Named label="Was this harness in a crash?">
              <Segmented
                label="Was it in a crash?"
                value={crashed ? 'yes' : 'no'}
                options={[
                  { value: 'no', label: 'No' },
                  { value: 'yes', label: 'Yes' },
                ]}
                onChange={(to) => set({ crashed: to === 'yes' })}
              />
            </Named>
          </div>
          <section aria-label="Fingers, as strap" className="border-t border-rule pt-2">
            <h2 className="text-[18px] leading-6">Fingers, as strap</h2>
            <p className="flex items-baseline justify-between">
              Eight fingers in front <b>{say(fingers.frontMm)}</b>
            </p>
            {fingers.frontRangeMm && (
              <p className="text-[14px] text-mute">
                {say(fingers.frontRangeMm[0])} to {say(fingers.frontRangeMm[1])} on {name}, from the flank to the chest’s corners
              </p>
            )}
            <p className="flex items-baseline justify-between">
              A hand behind <b>{say(fingers.backMm)}</b>
            </p>
            <div className="mt-1 grid grid-cols-2 gap-2">
              <LengthEntry
                label="Front ring, inside"
                mm={state.frontRingMm ?? girth * 0.95}
                least={150}
                most={1600}
                onSet={(frontRingMm) => set({ frontRingMm })}
              />
              <LengthEntry label="Back ring, inside" mm={state.backRingMm ?? girth} least={150} most={1600} onSet={(backRingMm) => set({ backRingMm })} />
            </div>
          </section>
          <div className="border-t border-rule pt-2">
            <Claims makers={makers} claim={state.claim} onClaim={(claim) => set({ claim })} />
          </div>
          <details className="border-t border-rule">
            <summary className="flex min-h-11 cursor-pointer items-center font-bold">How {name} gets used to it</summary>
            <ol className="list-decimal space-y-1 pb-2 pl-5 text-[15px]">
              {habits.habituation.map((step, i) => (
                <li key={`${step.code}${i}`}>{dressingWords(step)}</li>
              ))}
            </ol>
            <Link className="inline-flex min-h-11 items-center font-bold underline" to={`/tickets/${sheet.ticket.id}/cards`}>
              As a card to take home
            </Link>
          </details>
        </ItemPanel>
      </section>
      <section aria-label="In the car" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
        <Stops stops={stops} />
        <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2">
          <h1 className="text-[25px] leading-[30px]" aria-live="polite">
            {short > 0 ? `Calm, ${name}’s nose stops ${say(short)} short` : `Calm, ${name}’s nose reaches the front seat`}
          </h1>
          <p className="flex flex-wrap items-center justify-between gap-x-3 text-[15px] leading-[19px]">
            <span>
              {short > 0 ? 'Of the front seat. ' : ''}
              {now.reach.crash === 'holds'
                ? 'In a crash it should not reach it.'
                : now.reach.crash === 'doubt'
                  ? 'In a crash it may reach it.'
                  : 'In a crash it reaches it.'}
            </span>
            <VerdictWord grade="none" basis="predicted" word="Predicted, nothing seen yet" size={17} />
          </p>
        </header>
        <div ref={ref} className="mat min-h-[560px] flex-1 overflow-hidden max-md:h-[600px] max-md:flex-none">
          <SeatDrawing
            form={form}
            name={name}
            seat={seat}
            now={now}
            slackMm={state.slackMm}
            slackInHand={inHand}
            onSlack={{
              grab: () => {
                grabbedAt.current = state.slackMm
                setInHand(true)
              },
              move: (by) => set({ slackMm: Math.min(600, Math.max(0, Math.round(grabbedAt.current + by))) }),
              drop: () => undefined,
            }}
            say={say}
            width={box.width}
            height={box.height}
          />
        </div>
      </section>
      <section
        aria-label="What it comes to"
        className="flex min-h-0 flex-col bg-panel max-bench:order-3 max-md:shrink-0 md:max-bench:col-span-2 max-bench:border-t-2 max-bench:border-ink bench:order-3 bench:border-l-2 bench:border-ink"
      >
        <div className="quiet-scroll min-h-0 flex-1 space-y-4 px-4 py-3" tabIndex={0} role="group" aria-label="Forces and lines">
          <div>
            <ForceTable
              now={now}
              pulse={pulse}
              massWords={`${formatWeight(kg, weightUnit)}${state.massKg !== null ? `, not ${name}’s own ${formatWeight(ownKg, weightUnit)}` : dogKg === null ? ', never weighed: a guess' : ''}`}
              mass={
                <WeightEntry
                  key={weightUnit}
                  label="Mass"
                  kg={kg}
                  unit={weightUnit}
                  mostKg={150}
                  onSet={(massKg) => set({ massKg })}
                  onEmpty={() => set({ massKg: null })}
                />
              }
              slackMm={state.slackMm}
              limitN={BELT_N}
              say={say}
              onPulse={(pulseId) => set({ pulseId })}
            />
            <ForceTape
              least={least / 1000}
              most={most / 1000}
              pins={[{ kn: BELT_N / 1000, label: 'new belt' }, ...saidKn.map((kn) => ({ kn, label: 'claimed' }))]}
              title={`${kn(least)} to ${kn(most)} kN; new belt webbing holds ${kn(BELT_N)} kN at least`}
            />
            <p className="text-[14.5px] leading-[19px]">
              Which give is {name}’s nobody knows. Slack is what you can change: taut takes off {kn(Math.max(0, least - tautLeast))} to{' '}
              {kn(Math.max(0, most - tautMost))} kN. Hard braking as it is now: {kn(Math.min(...column(braking)))} to {kn(Math.max(...column(braking)))} kN.
            </p>
          </div>
          <OtherWays kg={kg} pulse={pulse} unit={weightUnit} />
          <PreDrive seen={state.seenOn === today() ? state.seen : []} onSeen={(seen) => set({ seen, seenOn: today() })} />
          <HeatCurve airC={state.airC} onAir={(airC) => set({ airC })} />
        </div>
        <div className="border-t-2 border-ink bg-panel p-3 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-10">
          <button
            type="button"
            onClick={card}
            className="flex min-h-14 w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink"
          >
            Print the card <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </section>
    </>
  )
}

/** What must not drive off, and what to think of: above every number. */
function Stops({ stops }: { stops: ReturnType<typeof carStops> }) {
  return (
    <div className="shrink-0">
      {stops.map(({ code, level }) => (
        <div
          key={code}
          role="note"
          className={`border-b border-l-[5px] border-b-ink px-4 py-2 text-[15px] leading-[19px] ${level === 'stop' ? 'border-l-snag bg-snag-bg' : 'border-l-chalk bg-chalk-bg'}`}
        >
          <b className="inline-flex items-center gap-2">
            {level === 'stop' && <Mark grade="fails" basis="seen" size={17} />}
            {level === 'stop' ? 'Stop. ' : 'Caution. '}
            {STOP_WORDS[code].title}.
          </b>{' '}
          {STOP_WORDS[code].what}
        </div>
      ))}
    </div>
  )
}
