import { airBox, airPapers, type AirPaper, type AirRefusal, type CarrierRules, type SizedBody } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { useMemo, useState } from 'react'
import { LengthEntry, NumberEntry } from '../../length-entry'
import { daysToIcs } from '@merry-tailor/core/formats'
import { SaveText } from '../../ui/controls/SaveText'
import { CarrierForm } from './CarrierForm'
import { useShop } from '../../state/use-shop'
import { Mark } from '../../ui/marks/Mark'
import { Picker } from '../../ui/controls/Picker'

const REFUSALS: Readonly<Record<AirRefusal, string>> = {
  'under-8-weeks': 'Under 8 weeks no dog is flown.',
  'over-14-kg-alone': 'Over 14 kg each dog travels alone.',
  'too-many': 'Too many for one box: two grown dogs, three of one litter.',
  'flat-face-refused': 'This carrier takes no flat faces.',
  'too-large-length': 'Longer than this carrier takes.',
  'too-large-width': 'Wider than this carrier takes.',
  'too-large-height': 'Higher than this carrier takes.',
}
const PAPERS: Readonly<Record<AirPaper, string>> = {
  'ask-the-carrier': 'Carrier’s written answer: size, breed, weather',
  'ask-the-states': 'Rules of both countries and any between',
  'crate-at-home': 'Box stands open at home, meals inside',
  'identity-and-vaccines': 'Chip, vaccinations and their waiting times: ask the vet',
  'vet-certificate': 'Vet’s certificate',
  'label-and-dishes': 'Labels, arrows, dishes filled from outside, wheels off',
  'no-food-before': 'Light meal long before, water, a walk',
}

interface AirPaneProps {
  name: string
  body: SizedBody
  flatFace: boolean
  kg: number | null
  ageWeeks: number | null
  departs: string | null
  say: (mm: number) => string
}

/** The box a flight asks: by the common rule or the carrier's own; carrier, law and vet decide. */
export function AirPane({ name, body, flatFace, kg, ageWeeks, departs, say }: AirPaneProps) {
  const { carriers } = useShop()
  const [carrierName, setCarrier] = useState('common')
  const [animals, setAnimals] = useState(1)
  const [bedMm, setBed] = useState(20)
  const [day, setDay] = useState(departs ?? '')
  const [writing, setWriting] = useState<'no' | 'new' | 'again'>('no')
  const carrier = carriers.find(({ name: own }) => own === carrierName)
  const [a, b, c] = (['M42', 'M43', 'M44'] as const).map((id) => body[id]?.mm ?? null)
  const d = Math.max(body.M39?.mm ?? 0, body.M40?.mm ?? 0)
  const guessed = ['M42', 'M43', 'M44', 'M39', 'M40'].some((id) => body[id]?.guess)
  const box = useMemo(() => {
    if (!a || !b || !c || d <= 0) return null
    try {
      return airBox(
        {
          aMm: a,
          bMm: b,
          cMm: c,
          dMm: d,
          bedMm,
          flatFace,
          animals,
          ...(kg === null ? {} : { heaviestKg: kg }),
          ...(ageWeeks === null ? {} : { ageWeeks }),
          young: ageWeeks !== null && ageWeeks <= 26,
        },
        carrier ? rulesOf(carrier) : {},
      )
    } catch {
      return null
    }
  }, [a, b, c, d, bedMm, flatFace, animals, kg, ageWeeks, carrier])
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
            <b>Caution.</b> Carrier, states and vet decide; ask in writing before anything is bought. No tranquillisers without the vet.
          </p>
          <Picker
            label="Whose rules"
            value={carrierName}
            options={[{ value: 'common', label: 'The common rule' }, ...carriers.map((each) => ({ value: each.name, label: each.name, note: each.answered }))]}
            onChange={setCarrier}
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
            <CarrierForm
              key={writing}
              was={writing === 'again' ? (carrier ?? null) : null}
              onDone={(kept) => {
                setCarrier(kept)
                setWriting('no')
              }}
            />
          )}
          <div className="grid grid-cols-2 gap-3">
            <NumberEntry label="Animals in it" value={animals} least={1} most={6} problem="From 1 to 6." onSet={(n) => setAnimals(Math.round(n))} />
            <LengthEntry label="Bedding" mm={bedMm} least={0} most={200} onSet={setBed} />
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
              onChange={(event) => setDay(event.target.value)}
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
          <p className="text-[14px] leading-[18px] text-mute">Days are usual, from memory, unverified: what carrier, states and vet say goes before them.</p>
        </section>
      </div>
    </div>
  )
}

const rulesOf = ({ lengthB, width, flatFaceShare, refusesFlatFace, leastMm, mostMm }: CarrierRules) => ({
  factors: { ...(lengthB === null ? {} : { lengthB }), ...(width === null ? {} : { width }) },
  ...(flatFaceShare === null ? {} : { flatFaceShare }),
  refusesFlatFace,
  leastMm,
  mostMm,
})
