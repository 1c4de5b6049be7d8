import { airPapers } from '@merry-tailor/core'
import { daysToIcs } from '@merry-tailor/core/formats'
import { format, parseISO } from 'date-fns'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { LengthEntry, NumberEntry } from '../../length-entry'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useShop } from '../../state/use-shop'
import { Picker } from '../../ui/controls/Picker'
import { SaveText } from '../../ui/controls/SaveText'
import { Mark } from '../../ui/marks/Mark'
import { COMMON, isAirState, noFlight, type AirState } from './air-state'
import { AIR_CAUTION, PAPERS, REFUSALS } from './air-words'
import { CarrierFields } from './CarrierFields'
import { useAirBox, type AirDog } from './use-air-box'
import { VentPane } from './VentPane'

interface AirPaneProps extends AirDog {
  name: string
  ticketId: string
  departs: string | null
  say: (mm: number) => string
}

/** The box a flight asks: by the common rule or the carrier's own; carrier, law and vet decide. */
export function AirPane({ name, ticketId, departs, say, ...dog }: AirPaneProps) {
  const { carriers } = useShop()
  const [first] = useState(() => noFlight(departs ?? ''))
  const [flight, setFlight] = useKeptDraft<AirState>(`air-${ticketId}`, first, isAirState)
  const set = (over: Partial<AirState>): void => setFlight((was) => ({ ...was, ...over }))
  const { animals, bedMm, day } = flight
  const [writing, setWriting] = useState<'no' | 'new' | 'again'>('no')
  const { box, carrier, guessed } = useAirBox(flight, dog)
  const { flatFace } = dog
  const papers = useMemo(() => {
    try {
      return day === '' ? [] : airPapers(day)
    } catch {
      return null
    }
  }, [day])
  return (
    <div className="quiet-scroll h-full overflow-y-auto p-4" tabIndex={0} role="group" aria-label="Air box">
      <div className="grid max-w-[900px] grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-2">
        <section aria-label="The box" className="space-y-3 border-2 border-ink bg-panel p-4">
          <p className="border-l-[5px] border-chalk pl-3 text-[15px] leading-[19px]">
            <b>Caution.</b> {AIR_CAUTION}
          </p>
          <Picker
            label="Whose rules"
            value={carrier?.name ?? COMMON}
            options={[{ value: COMMON, label: 'The common rule' }, ...carriers.map((each) => ({ value: each.name, label: each.name, note: each.answered }))]}
            onChange={(name) => set({ carrier: name })}
            className="w-full"
          />
          {writing === 'no' ? (
            <p className="flex flex-wrap gap-x-4">
              <button type="button" onClick={() => setWriting('new')} className="min-h-11 font-bold underline">
                A carrier’s answer
              </button>
              {carrier && (
                <button type="button" onClick={() => setWriting('again')} className="min-h-11 font-bold underline">
                  Change its rules
                </button>
              )}
            </p>
          ) : (
            <CarrierFields
              key={writing}
              was={writing === 'again' ? carrier : null}
              onDone={(kept) => {
                set({ carrier: kept })
                setWriting('no')
              }}
            />
          )}
          <div className="grid grid-cols-2 gap-3">
            <NumberEntry label="Animals in it" value={animals} least={1} most={6} problem="From 1 to 6." onSet={(n) => set({ animals: Math.round(n) })} />
            <LengthEntry label="Bedding" mm={bedMm} least={0} most={200} onSet={(mm) => set({ bedMm: mm })} />
          </div>
          {box ? (
            <>
              <dl className="grid grid-cols-3 gap-2 text-center">
                {(['length', 'width', 'height'] as const).map((side) => (
                  <div key={side} className="border-2 border-ink p-2">
                    <dt className="text-[14px] text-mute">
                      {side}, {box.by[side] === 'carrier' ? 'carrier’s rule' : 'common rule'}
                    </dt>
                    <dd className="text-[22px] leading-7 font-bold">{say(box.orderMm[side])}</dd>
                    <dd className="text-[13.5px] text-mute">asked {say(box.insideMm[side])}</dd>
                  </div>
                ))}
              </dl>
              <ul aria-label="Refusals" className="space-y-1">
                {box.refusals.map((code) => (
                  <li key={code} className="flex items-center gap-2 font-semibold text-snag">
                    <Mark grade="fails" basis="predicted" size={18} />
                    {REFUSALS[code]}
                  </li>
                ))}
              </ul>
              <p className="text-[14px] leading-[18px] text-mute">
                Inside, for {name}
                {flatFace ? ', a tenth more for a flat face' : ''}
                {guessed ? '; some of it guessed from the build: take nose to tail, elbow, shoulders and heights' : ', by its own tapes'}. Weight classes are
                the carrier’s.
              </p>
            </>
          ) : (
            <p>Take nose to tail base, elbow height, body width and standing height: then the box is worked out.</p>
          )}
        </section>
        <section aria-label="Before the flight" className="space-y-2 border-2 border-ink bg-panel p-4">
          <label className="block text-[13.5px] font-semibold text-mute">
            Day of the flight
            <input
              type="date"
              value={day}
              onChange={(event) => set({ day: event.target.value })}
              className="mt-1 block min-h-11 rounded-[2px] border-2 border-ink bg-panel px-3 text-[16px] text-ink"
            />
          </label>
          {papers === null && <p className="font-semibold text-snag">Not a day yet.</p>}
          <ol>
            {(papers ?? []).map(({ code, by }) => (
              <li key={code} className="flex justify-between gap-3 border-b border-rule py-1.5 text-[15px]">
                <span>{PAPERS[code]}</span>
                <b className="whitespace-nowrap">by {format(parseISO(by), 'd MMM')}</b>
              </li>
            ))}
          </ol>
          {papers && papers.length > 0 && (
            <SaveText
              name={`flight-${name}.ics`}
              type="text/calendar"
              text={() =>
                daysToIcs([...papers.map(({ code, by }) => ({ on: by, title: `${name}: ${PAPERS[code]}` })), { on: day, title: `${name} flies` }], {
                  name: `${name}’s flight`,
                  stamp: new Date().toISOString(),
                })
              }
            >
              Days
            </SaveText>
          )}
          <p>
            <Link className="inline-flex min-h-11 items-center font-bold underline" to={`/tickets/${ticketId}/crate/air`}>
              Air sheet on paper
            </Link>
          </p>
          <p className="text-[14px] leading-[18px] text-mute">Days are usual, from memory, unverified: what carrier, states and vet say goes before them.</p>
        </section>
        {box && <VentPane box={box.orderMm} walls={flight.walls} onWalls={(walls) => set({ walls })} />}
      </div>
    </div>
  )
}
