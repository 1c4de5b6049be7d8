import { airPapers, ventilation } from '@merry-tailor/core'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { useOpenTicket, useSizedBody } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { longDay } from '../../state/today'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { keptDraft } from '../../state/use-kept-draft'
import { useToday } from '../../state/use-today'
import { Empty } from '../../ui/State'
import { lengthText } from '../../ui/length/length-text'
import { AIR_SIDES, isAirState, noFlight, ventedWalls } from './air-state'
import { AIR_CAUTION, PAPERS, REFUSALS } from './air-words'
import { useAirBox } from './use-air-box'

const TAPES = [
  ['M42', 'A, nose to tail base'],
  ['M43', 'B, ground to elbow'],
  ['M44', 'C, widest across'],
  ['M39', 'D, top of the head'],
  ['M40', 'D, tips of the ears'],
] as const

/** The box for a flight on one page, as a carrier is asked about it: the dog's four tapes, the box, its openings, days and papers. */
export function AirSheet() {
  const { sheet, name } = useOpenTicket()
  const { body } = useSizedBody()
  const settings = useAppSelector((state) => state.settings)
  const on = useToday()
  const say = (mm: number): string => `${Math.round(mm / 10)} cm (${lengthText(mm, { ...valueStyle(settings), unit: 'in' }, true)})`
  const flight = keptDraft(`air-${sheet.ticket.id}`, isAirState) ?? noFlight(sheet.ticket.neededOn ?? '')
  const ageWeeks = sheet.dog?.born ? differenceInCalendarDays(parseISO(on), parseISO(sheet.dog.born)) / 7 : null
  const kg = body.M00?.mm ?? sheet.dog?.weightKg ?? null
  const { box, carrier, guessed } = useAirBox(flight, { body, flatFace: sheet.dog?.flatFace === true, kg, ageWeeks })
  const papers = (() => {
    try {
      return flight.day === '' ? [] : airPapers(flight.day)
    } catch {
      return []
    }
  })()
  const vents = box && flight.walls.length === 4 ? ventilation(ventedWalls(flight.walls, box.orderMm)) : null
  return (
    <PaperRoom title={`Air sheet, ${name}`} back={`/tickets/${sheet.ticket.id}/crate`}>
      {!box ? (
        <Empty title="No box yet">Take nose to tail base, elbow height, body width and standing height first.</Empty>
      ) : (
        <section aria-label="Air box">
          <header className="mb-3 border-b-2 border-black pb-2">
            <h2 className="text-[26px] leading-8">{name}: box for a flight</h2>
            <p>
              {[
                `Ticket ${sheet.ticket.number}, ${longDay(on)}`,
                carrier ? `rules of ${carrier.name}${carrier.answered ? `, answered ${carrier.answered}` : ''}` : 'the common rule',
                ...(kg === null ? [] : [`${kg.toFixed(1)} kg`]),
                ...(flight.animals > 1 ? [`${flight.animals} in one box`] : []),
                ...(sheet.dog?.flatFace ? ['flat face'] : []),
              ].join('. ')}
              .
            </p>
          </header>
          <div className="mb-3 border-2 border-black px-3 py-2">
            <b>Caution.</b> {AIR_CAUTION}
          </div>
          <table className="mb-4">
            <thead>
              <tr>
                <th>Dog, standing naturally</th>
                <th>Measured</th>
              </tr>
            </thead>
            <tbody>
              {TAPES.map(([id, what]) => {
                const known = body[id]
                return (
                  <tr key={id}>
                    <td>{what}</td>
                    <td>{known?.mm == null ? 'not measured' : `${say(known.mm)}${known.guess ? ', guessed from the build' : ''}`}</td>
                  </tr>
                )
              })}
            </tbody>
          </table>
          <table className="mb-4">
            <thead>
              <tr>
                <th>Box inside, at least</th>
                <th>Asked</th>
                <th>To order</th>
                <th>By</th>
              </tr>
            </thead>
            <tbody>
              {(['length', 'width', 'height'] as const).map((side) => (
                <tr key={side}>
                  <td>{side}</td>
                  <td>{say(box.insideMm[side])}</td>
                  <td className="text-[19px] font-bold">{say(box.orderMm[side])}</td>
                  <td>{box.by[side] === 'carrier' ? 'the carrier’s rule' : 'the common rule'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {box.refusals.map((code) => (
            <p key={code} className="font-bold">
              {REFUSALS[code]}
            </p>
          ))}
          {vents && (
            <p className="mb-3">
              <b>Openings:</b> {(vents.common.share * 100).toFixed(1)} of 100 of the four sides;{' '}
              {vents.common.holds ? 'the common rule holds' : `the common rule does not hold${vents.common.short.length > 0 ? `, closed: ${vents.common.short.map((i) => AIR_SIDES[i]).join(', ')}` : ''}`};{' '}
              {vents.cfr.holds ? '9 CFR 3.14 holds' : '9 CFR 3.14 does not hold'}. Predicted from what was measured.
            </p>
          )}
          {papers.length > 0 && (
            <>
              <h3 className="text-[18px]">Before the {longDay(flight.day)}</h3>
              <ul>
                {papers.map(({ code, by }) => (
                  <li key={code} className="flex items-baseline gap-3 border-b border-black/40 py-1.5">
                    <span aria-hidden>☐</span> <span className="flex-1">{PAPERS[code]}</span> <b>{longDay(by)}</b>
                  </li>
                ))}
              </ul>
            </>
          )}
          <p className="mt-3">
            {guessed ? 'Some tapes are guesses: take them before a box is ordered. ' : ''}Rules and days are usual, from memory, unverified: what carrier, states
            and vet say goes before them.
          </p>
        </section>
      )}
    </PaperRoom>
  ) // prettier-ignore
}
