import { cautionsOf, dressingCard, draftParts, formatLength, formatWeight, families, type Item, type Rig } from '@merry-tailor/core'
import { useRigsQuery } from '../../api/queries'
import { useOpenTicket } from '../../bench'
import { DRAFT_NAMES } from '../../drafting'
import { PaperRoom } from '../../frame/PaperRoom'
import { readingStyle, valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { longDay, today } from '../../state/today'
import { Empty } from '../../ui/State'
import { cautionWords } from '../../words/cautions'
import { dressingWords } from '../../words/dressing'
import { SURFACE_NAMES } from '../../words/hitch'
import { familyName } from '../../words/stages'
import { headline, rigWords } from './draft-words'
import { useSetUp } from './use-set-up'

/** The set-up on paper: rig, loads, every strap left and right, then the parts and how they go together. */
export function SetUpCard() {
  const { sheet, name } = useOpenTicket()
  const { data: rigs = [] } = useRigsQuery(undefined)
  const items = sheet.items.filter((item) => !item.removed && families[item.family].shelf === 'drafting')
  return (
    <PaperRoom title={`What ${name} draws`} back={`/tickets/${sheet.ticket.id}/draft`}>
      {items.length === 0 && <Empty title="No drafting harness on this ticket">A card is made for each.</Empty>}
      {items.map((item) => (
        <Card key={item.id} item={item} rigs={rigs} />
      ))}
    </PaperRoom>
  )
}

function Card({ item, rigs }: { item: Item; rigs: readonly Rig[] }) {
  const { sheet, name } = useOpenTicket()
  const hand = useSetUp(item, rigs)
  const look = useAppSelector((state) => state.settings)
  const style = { ...readingStyle(look), unit: look.unit }
  const say = (mm: number): string => formatLength(mm, style).text
  const about = (mm: number): string => formatLength(mm, { ...valueStyle(look), unit: look.unit }).text
  const weightUnit = look.unit === 'in' ? 'lb' : 'kg'
  const kg = (newton: number): string => formatWeight(Math.abs(newton) / 9.80665, weightUnit)
  const { draft, rig, now, straps } = hand
  const stops = cautionsOf(sheet, today()).filter(({ facts, level }) => level !== 'note' && (facts.family === undefined || facts.family === item.family))
  const dressing = dressingCard({ family: item.family, dog: { coat: sheet.dog?.coat ?? null, traits: sheet.ticket.traits }, gear: { build: null } })
  const took = Object.entries(hand.locked?.minutes ?? {})
  return (
    <>
      <section aria-label={`Set-up of ${familyName(item.family)}`} className="mb-8 break-after-page">
        <header className="mb-2 border-b-2 border-black pb-2">
          <h2 className="text-[24px] leading-8">
            {familyName(item.family)} on {name}
            {rig ? `, before ${rig.name}` : ''}
          </h2>
          <p>
            Ticket {sheet.ticket.number}, {longDay(today())}. {hand.isLocked ? 'Locked on the ticket.' : 'Not locked: as it stands on this device.'}{' '}
            {now && rig ? `Predicted: ${headline(now, rig, name, kg)}.` : ''}
          </p>
        </header>
        {stops.length > 0 && (
          <ul className="mb-2 border-2 border-black px-3 py-1">
            {stops.map((stop) => (
              <li key={`${stop.code} ${stop.facts.family ?? ''}`}>
                <b>
                  {stop.level === 'stop' ? 'Stop. ' : 'Caution. '}
                  {cautionWords(stop).title}.
                </b>{' '}
                {cautionWords(stop).text}
              </li>
            ))}
          </ul>
        )}
        {rig && (
          <p className="mb-2">
            {rigWords(rig, about, weightUnit)} Runs on: {SURFACE_NAMES[draft.surface].toLowerCase()}, grade {draft.gradePercent} in a hundred; {draft.lasts}.
          </p>
        )}
        {draft.loads.length > 0 && (
          <ul className="mb-2 list-disc pl-5">
            {draft.loads.map((load, i) => (
              <li key={i}>
                {load.name}, {formatWeight(load.massKg, weightUnit)}: {say(Math.abs(load.aheadMm))} {load.aheadMm < 0 ? 'behind' : 'ahead of'} the axle,{' '}
                {say(load.heightMm)} up
              </li>
            ))}
          </ul>
        )}
        <table className="w-full border-collapse text-[15px]">
          <thead>
            <tr className="border-b-2 border-black text-left">
              <th className="py-1">Strap</th>
              <th>Starts</th>
              <th>between</th>
              <th>Left</th>
              <th>Right</th>
              <th>Now</th>
            </tr>
          </thead>
          <tbody>
            {(straps?.rows ?? []).map(({ part, pair, start, now: set }, i) => (
              <tr key={part} className="border-b border-black/30">
                <td className="py-1">
                  {i + 1} {DRAFT_NAMES[part]}
                </td>
                <td>{about(start.startMm)}</td>
                <td>
                  {about(start.leastMm)} to {about(start.mostMm)}
                </td>
                <td>{set ? say(set.leftMm) : '____'}</td>
                <td>{pair ? (set ? say(set.rightMm ?? set.leftMm) : '____') : ''}</td>
                <td>____</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-2">
          Left and right alike, within {say(5)}. Rear traces start long, until the hind paws were seen in full stride, {about(100)} clear of the bar.
          {took.length > 0 ? ` Set in ${Math.round(took.reduce((sum, [, minutes]) => sum + minutes, 0))} minutes.` : ''}
        </p>
        <p className="mt-2">
          Where the dog pants hard, limps or rubs, take it out. Predicted numbers are no promise; local rules and the vet go before this paper.
        </p>
      </section>
      <section aria-label="Parts and how they go together" className="break-after-page">
        <h2 className="mb-2 border-b-2 border-black pb-1 text-[22px] leading-7">Parts, and how they go together</h2>
        <ul className="mb-3 grid grid-cols-2 gap-x-6">
          {draftParts(item.family).map(({ part, count }) => (
            <li key={part} className="flex items-baseline justify-between border-b border-black/30 py-1">
              <span>☐ {DRAFT_NAMES[part]}</span> <b>{count}</b>
            </li>
          ))}
          <li className="flex items-baseline justify-between border-b border-black/30 py-1">
            <span>☐ Spreader bar</span> <b>1</b>
          </li>
        </ul>
        {(['on', 'set', 'release', 'off'] as const).map((part) => {
          const steps = dressing[part]
          return steps.length === 0 ? null : (
            <div key={part} className="mb-2">
              <h3 className="text-[17px]">{{ on: 'On', set: 'Set, in this order', release: 'Out at once', off: 'Off' }[part]}</h3>
              <ol className="list-decimal pl-5">
                {steps.map((step, i) => (
                  <li key={`${step.code}${i}`}>{dressingWords(step)}</li>
                ))}
              </ol>
            </div>
          )
        })}
      </section>
    </>
  )
}
