import {
  beltReach,
  carFingers,
  carStops,
  CLAIMS,
  crashRide,
  formatLength,
  parkedCarC,
  PRE_DRIVE,
  PULSES,
  pulseOf,
  readClaim,
  seatReach,
  STIFFNESSES,
  tableOf,
  wornFor,
  type CarQuestion,
  type Item,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useSizeTablesQuery } from '../../api/queries'
import { ItemPanel, ItemsInHand, ItemTabs, NoItem, useBenchForm, useGauge, useItemInHand, useOpenTicket } from '../../bench'
import { LengthEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useKeptDraft } from '../../state/use-kept-draft'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Segmented } from '../../ui/controls/Segmented'
import { TextField } from '../../ui/controls/TextField'
import { Mark } from '../../ui/marks/Mark'
import { useKeys } from '../../state/use-keys'
import { CLAIM_WORDS, PRE_DRIVE_WORDS, STOP_WORDS } from './seat-words'

/** What is known of the seat, as it is kept on this device. */
interface Seat {
  seat: CarQuestion['seat']
  airBag: CarQuestion['airBag']
  tetherOn: boolean
  crashed: boolean
  held: CarQuestion['held']
  slackMm: number
  /** From the loop to the nearest of the front seat. */
  frontSeatMm: number
  claim: string
  frontRingMm: number | null
  backRingMm: number | null
  airC: number
}

const FRESH: Seat = {
  seat: 'rear', airBag: 'unknown', tetherOn: false, crashed: false, held: 'loop', slackMm: 100, frontSeatMm: 620, claim: '', frontRingMm: null, backRingMm: null, airC: 22,
} // prettier-ignore
const isSeat = (kept: unknown): kept is Seat => typeof kept === 'object' && kept !== null && 'seat' in kept && 'slackMm' in kept

/** A middling rear seat: belt outlet, buckle and loop, mm. Ours, unverified. */
const BELT = { outlet: [-40, 330, 610], buckle: [70, -140, 250], loop: [180, 60, 430], toward: [1, 0, 0] } as const
/** What new belt webbing holds at least, N. Source: UN R16 6.3.2, value from memory. */
const BELT_N = 14_700
const SLACKS = [0, 50, 150] as const
const PULSE = PULSES[0] ?? { shape: 'half-sine' as const, speedKmh: 48, stopMm: 500 }

/** The dog in its seat: stops first, then what belt and harness would have to take. */
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
      className="min-h-0 flex-1 max-md:flex max-md:flex-col max-md:overflow-y-auto md:grid md:grid-cols-[300px_minmax(0,1fr)] print:block print:overflow-visible"
    >
      <OneSeat key={item.id} item={item} items={items} />
    </ItemsInHand>
  )
}

function OneSeat({ item, items }: { item: Item; items: readonly Item[] }) {
  const { sheet, name, body } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const say = (mm: number): string => formatLength(mm, style).text
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const [seat, setSeat] = useKeptDraft<Seat>(`seat-${item.id}`, FRESH, isSeat)
  const set = (over: Partial<Seat>): void => setSeat((was) => ({ ...was, ...over }))
  const dogKg = body.M00?.mm ?? sheet.dog?.weightKg ?? form.measures.M00?.mm ?? null
  const choice = wornFor(sheet.choices, item.id)
  const chosen = choice ? tableOf(choice) : null
  const table = chosen && tables.find((each) => each.id === chosen.tableId && each.version === chosen.tableVersion)
  const testedKg = (choice?.kind === 'size' && table?.sizes.find(({ label }) => label === choice.labels[0])?.testedKg) || null
  const stops = carStops({ ...seat, dogKg, testedKg })
  const kg = dogKg ?? 20
  const belt = beltReach({ ...BELT, slackMm: seat.slackMm })
  const pulse = PULSE
  const rides = useMemo(
    () =>
      STIFFNESSES.map((stiffnessNpm) => ({
        stiffnessNpm,
        peaks: [...SLACKS, seat.slackMm].map((slackMm) => crashRide({ massKg: kg, pulse, slackMm, stiffnessNpm })),
      })),
    [kg, pulse, seat.slackMm],
  )
  const headMm = Math.max(150, 0.42 * (form.sections.withers.tx - form.sections.tail.tx) + 120)
  const travelMm = rides[1]?.peaks.at(-1)?.travelMm ?? 0
  const reach = seatReach({ headMm, halfWidthMm: 90, forwardMm: belt.forwardMm, travelMm, frontSeatMm: seat.frontSeatMm })
  const girth = body.M07?.mm ?? form.measures.M07?.mm ?? 700
  const fingers = carFingers({ frontMm: seat.frontRingMm ?? girth * 0.95, backMm: seat.backRingMm ?? girth, gauge, form })
  const claim = readClaim(seat.claim)
  const kn = (newton: number): string => `${(newton / 1000).toFixed(1)} kN`
  const print = (): void => window.print()
  useKeys({ Enter: print })
  return (
    <>
      <section aria-label="The seat" className="order-2 flex min-h-0 flex-col bg-panel max-md:shrink-0 md:order-1 md:border-r-2 md:border-ink print:hidden">
        <ItemTabs items={items} />
        <ItemPanel items={items} current={item.id} className="quiet-scroll min-h-0 flex-1 space-y-3 px-4 py-3">
          <Choice
            label="Where it sits"
            value={seat.seat}
            options={[
              ['rear', 'Behind'],
              ['front', 'In front'],
            ]}
            onChange={(to) => set({ seat: to })}
          />
          {seat.seat === 'front' && (
            <Choice
              label="Its air bag"
              value={seat.airBag}
              options={[
                ['unknown', 'Not known'],
                ['off', 'Surely off'],
                ['on', 'On'],
              ]}
              onChange={(to) => set({ airBag: to })}
            />
          )}
          <Choice
            label="The belt holds"
            value={seat.held}
            options={[
              ['loop', 'Its loop'],
              ['collar', 'The collar'],
              ['nothing', 'Nothing'],
            ]}
            onChange={(to) => set({ held: to })}
          />
          <Choice
            label="Lead or tether"
            value={seat.tetherOn ? 'on' : 'off'}
            options={[
              ['off', 'Off'],
              ['on', 'Left on'],
            ]}
            onChange={(to) => set({ tetherOn: to === 'on' })}
          />
          <Choice
            label="Was it in a crash?"
            value={seat.crashed ? 'yes' : 'no'}
            options={[
              ['no', 'No'],
              ['yes', 'Yes'],
            ]}
            onChange={(to) => set({ crashed: to === 'yes' })}
          />
          <LengthEntry label="Slack in the belt" mm={seat.slackMm} least={0} most={600} onSet={(slackMm) => set({ slackMm })} />
          <LengthEntry label="Loop to the front seat" mm={seat.frontSeatMm} least={50} most={2000} onSet={(frontSeatMm) => set({ frontSeatMm })} />
          <LengthEntry label="Front ring, inside" mm={seat.frontRingMm ?? girth * 0.95} least={150} most={1600} onSet={(frontRingMm) => set({ frontRingMm })} />
          <LengthEntry label="Back ring, inside" mm={seat.backRingMm ?? girth} least={150} most={1600} onSet={(backRingMm) => set({ backRingMm })} />
          <TextField
            label="What its label or maker claims"
            value={seat.claim}
            maxLength={300}
            placeholder="30 mph, 75 lb, 4,000 lbf"
            onChange={(event) => set({ claim: event.target.value })}
          />
        </ItemPanel>
        <div className="border-t-2 border-ink p-3">
          <button
            type="button"
            onClick={print}
            className="flex min-h-14 w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink"
          >
            Print the card <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </section>
      <section aria-label="In the car" className="order-1 flex min-h-0 flex-col max-md:shrink-0 md:order-2">
        <header className="shrink-0 border-b-2 border-ink bg-bench px-5 py-2.5">
          <h1 className="text-[26px] leading-[32px]">{name} in the car</h1>
          <p className="text-[15px] text-mute">Predicted, nothing seen yet. No standard here certifies a dog’s restraint; local law decides beside it.</p>
        </header>
        <div className="quiet-scroll min-h-0 flex-1 bg-panel px-5 py-3 print:overflow-visible" tabIndex={0} role="group" aria-label="What it comes to">
          {stops.map(({ code, level }) => (
            <div key={code} role="note" className={`mb-2 border-l-[5px] px-3 py-2 ${level === 'stop' ? 'border-snag bg-snag-bg' : 'border-chalk bg-chalk-bg'}`}>
              <p className="flex items-center gap-2 font-bold">
                {level === 'stop' && <Mark grade="fails" basis="seen" size={18} />}
                {level === 'stop' ? 'Stop. ' : 'Caution. '}
                {STOP_WORDS[code].title}.
              </p>
              <p>{STOP_WORDS[code].what}</p>
            </div>
          ))}
          <div className="grid gap-x-8 gap-y-4 xl:grid-cols-2">
            <article>
              <h2 className="text-[19px] leading-6">What the belt would have to hold</h2>
              <p className="text-[14.5px] text-mute">
                {kg.toFixed(1)} kg{dogKg === null ? ' (not weighed: a guess)' : ''} stopped from {pulse.speedKmh} km/h in {say(pulse.stopMm)}: mean{' '}
                {pulseOf(pulse).meanG.toFixed(0)} g, peak {pulseOf(pulse).peakG.toFixed(0)} g.
              </p>
              <table className="mt-1 w-full text-[15px]">
                <thead>
                  <tr>
                    <th className="text-left font-normal text-mute">Slack</th>
                    {['soft', 'usual', 'firm'].map((each) => (
                      <th key={each} className="text-right font-normal text-mute">
                        {each}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {[...SLACKS, seat.slackMm].map((slackMm, i) => (
                    <tr key={i} className={`border-t border-rule ${i === SLACKS.length ? 'bg-bench font-bold' : ''}`}>
                      <td className="py-1">
                        {slackMm === 0 ? 'taut' : say(slackMm)}
                        {i === SLACKS.length ? ', here' : ''}
                      </td>
                      {rides.map(({ stiffnessNpm, peaks }) => {
                        const peak = peaks[i]?.peakN ?? 0
                        return (
                          <td key={stiffnessNpm} className={`text-right ${peak > BELT_N ? 'text-snag' : ''}`}>
                            {kn(peak)}
                            {peak > BELT_N ? ', past a new belt' : ''}
                          </td>
                        )
                      })}
                    </tr>
                  ))}
                </tbody>
              </table>
              <p className="text-[14px] leading-[18px] text-mute">
                New belt webbing holds {kn(BELT_N)} at least. How stiff belt, harness and dog are together was never measured: three are shown. Each half of the
                belt pulls {belt.tensionPerLoad.toFixed(2)} of it. What a fitter can change is the slack.
              </p>
            </article>
            <article>
              <h2 className="text-[19px] leading-6">How far it comes</h2>
              <p className="flex flex-wrap items-center gap-x-3">
                Calm, its nose reaches {say(reach.calmMm)}. <VerdictWord grade={reach.calm} basis="predicted" size={17} />
              </p>
              <p className="flex flex-wrap items-center gap-x-3">
                In a crash it comes {say(reach.crashMm[0])} to {say(reach.crashMm[1])}. <VerdictWord grade={reach.crash} basis="predicted" size={17} />
              </p>
              <p className="text-[14px] text-mute">The front seat is {say(seat.frontSeatMm)} ahead of its loop; the belt’s own places are a middling car’s.</p>
              <h2 className="mt-3 text-[19px] leading-6">Fingers, as strap</h2>
              <p>
                Eight in front: {say(fingers.frontMm)} of slack on a circle
                {fingers.frontRangeMm ? `, ${say(fingers.frontRangeMm[0])} to ${say(fingers.frontRangeMm[1])} on ${name} by where they go` : ''}. A hand behind:{' '}
                {say(fingers.backMm)}.
              </p>
            </article>
            {seat.claim.trim() !== '' && (
              <article>
                <h2 className="text-[19px] leading-6">What the claim says</h2>
                <p>
                  {[
                    claim.speedKmh === null ? 'no speed' : `${claim.speedKmh.toFixed(0)} km/h`,
                    claim.massKg === null ? 'no weight' : `${claim.massKg.toFixed(1)} kg`,
                    claim.forceN === null ? 'no force' : kn(claim.forceN),
                  ].join(', ')}
                  .
                </p>
                <ul>
                  {CLAIMS.filter(({ id }) => claim.standards.includes(id)).map(({ id, source }) => (
                    <li key={id}>
                      <b>{source}:</b> {CLAIM_WORDS[id].says} {CLAIM_WORDS[id].saysNot}
                    </li>
                  ))}
                </ul>
              </article>
            )}
            <article>
              <h2 className="text-[19px] leading-6">Before driving off</h2>
              <ol>
                {PRE_DRIVE.map(({ code }, i) => (
                  <li key={code} className="flex gap-2 border-b border-rule py-1.5">
                    <span className="text-mute">{i + 1}</span> ☐ {PRE_DRIVE_WORDS[code]}
                  </li>
                ))}
              </ol>
            </article>
            <article>
              <h2 className="text-[19px] leading-6">Parked in the sun</h2>
              <HeatCurve airC={seat.airC} />
              <p className="text-[14px] text-mute">
                At {seat.airC} °C outside, from memory, unverified. There is no time that is safe. How it gets used to harness and car stands on{' '}
                <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/cards`}>
                  its card
                </Link>
                .
              </p>
            </article>
          </div>
        </div>
      </section>
    </>
  )
}

function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: T
  options: readonly (readonly [T, string])[]
  onChange: (value: T) => void
}) {
  return (
    <div>
      <span className="mb-1 block text-[13.5px] font-semibold text-mute">{label}</span>
      <Segmented label={label} value={value} options={options.map(([each, says]) => ({ value: each, label: says }))} onChange={onChange} />
    </div>
  )
}

const CURVE = { width: 320, height: 120, most: 60 }

/** How warm it gets inside, without a time that is allowed. */
function HeatCurve({ airC }: { airC: number }) {
  const points = Array.from({ length: 31 }, (_, i) => ({
    x: (CURVE.width * i) / 30,
    y: CURVE.height - (CURVE.height * parkedCarC({ airC, minutes: 2 * i })) / CURVE.most,
  }))
  const end = parkedCarC({ airC, minutes: 60 })
  return (
    <svg
      role="img"
      aria-label={`From ${airC} degrees towards ${Math.round(end)} within the hour`}
      viewBox={`0 0 ${CURVE.width} ${CURVE.height}`}
      className="mt-1 block w-full max-w-[420px] border-b-2 border-l-2 border-ink"
    >
      <path d={`M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`} fill="none" stroke="var(--snag)" strokeWidth={3} />
      <text x={6} y={(points[0]?.y ?? 0) - 6} fontSize={14} fontWeight={700} fill="var(--ink)">
        {airC} °C
      </text>
      <text x={CURVE.width - 6} y={(points.at(-1)?.y ?? 0) - 6} textAnchor="end" fontSize={14} fontWeight={700} fill="var(--snag)">
        {Math.round(end)} °C
      </text>
    </svg>
  )
}
