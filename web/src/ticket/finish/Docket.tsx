import {
  returnUntil,
  cautionKey,
  cautionsOf,
  isHeeded,
  checkById,
  families,
  FITTERS_WORD,
  formatWeight,
  latestObservations,
  measures,
  presentSymptoms,
  wornFor,
  newestWeightKg,
  readOf,
  remedyOf,
  tableOf,
  readingsOf,
  roundVerdict,
  wornAbout,
  standsAside,
  symptomName,
  symptoms,
  tapesFor,
  type Choice,
  type Grade,
  type Item,
  type Reading,
  type SizeTable,
  type SymptomId,
  type TicketSheet,
} from '@merry-tailor/core'
import { Printer } from 'lucide-react'
import { Link } from 'react-router'
import { usePiecesQuery, useSizeTablesQuery } from '../../api/queries'
import { readingStyle, valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useShop } from '../../state/use-shop'
import { clock, dayWords, longDay, momentWords, today } from '../../state/today'
import { useKeys } from '../../state/use-keys'
import { Button } from '../../ui/controls/Button'
import { Segmented } from '../../ui/controls/Segmented'
import { KeyCap } from '../../ui/controls/KeyCap'
import { amountText } from '../../ui/length/amount-text'
import { lengthText } from '../../ui/length/length-text'
import { Mark } from '../../ui/marks/Mark'
import { cautionWords, LEVEL_WORDS } from '../../words/cautions'
import { dayOfWords } from '../../words/day-of'
import { atHomeWords } from '../../words/at-home'
import { choiceWords } from '../../words/choices'
import { ageWords, activityName, breedWords, coatName, needName } from '../../words/dogs'
import { lowerFirst } from '../../words/first-letter'
import { PLACES } from '../../words/measuring'
import { familyName, wayName } from '../../words/stages'
import { roundWord, verdictWord } from '../../words/verdicts'
import { ageInMonths } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { createContext, use, useRef, useState } from 'react'
import { usePageCount } from './use-page-count'
import { StrapList, useOpenTicket } from '../../bench'
import { FitWidth } from '../../ui/FitWidth'
import { HitchPart } from './HitchPart'
import { RugPieces } from './RugPieces'
import { SetUpLine } from './SetUpLine'
import './docket.css'

/** Its page with the room round it, mm. */
export const DOCKET_MM = { A4: 207, Letter: 213 } as const

/** Whose paper it is: the customer's says what counts, the shop's record everything that was read and why. */
export type Whose = 'customer' | 'shop'
const WhosePaper = createContext<Whose>('shop')

/** The docket's own screen: the page as it prints, and one button. */
export function Docket() {
  const { sheet } = useOpenTicket()
  const paper = useAppSelector((state) => state.settings.paper)
  useKeys({ Enter: () => window.print() })
  const frame = useRef<HTMLDivElement>(null)
  const pages = usePageCount(frame, paper)
  const [whose, setWhose] = useState<Whose>('shop')
  return (
    <div className="mat quiet-scroll min-h-0 flex-1 print:overflow-visible print:bg-none">
      <div className="sticky top-0 z-10 flex items-center gap-3 border-b-2 border-ink bg-panel px-4 py-2 print:hidden">
        <Link to={`/tickets/${sheet.ticket.id}/finish`} className="inline-flex min-h-11 items-center px-2 font-semibold underline">
          Back to Finish
        </Link>
        <p className="hidden text-mute phone:block">
          {pages === 1 ? 'One page' : `${pages} pages`} of {paper}. Paper is set in Shop.
        </p>
        <span className="ml-auto">
          <Segmented<Whose>
            label="Whose paper"
            value={whose}
            options={[
              { value: 'shop', label: 'Shop’s record' },
              { value: 'customer', label: 'For the customer' },
            ]}
            onChange={setWhose}
          />
        </span>
        <Button tone="primary" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print <KeyCap tone="tape">Enter</KeyCap>
        </Button>
      </div>
      <div role="region" aria-label="Docket, as it prints" tabIndex={0} className="p-4 max-phone:p-2 print:p-0">
        <FitWidth widthMm={DOCKET_MM[paper]}>
          <div ref={frame} className="mx-auto w-fit border-[1.5px] border-ink max-phone:w-auto print:border-0">
            <DocketPage whose={whose} />
          </div>
        </FitWidth>
      </div>
    </div>
  )
}

/** One page: dog, owner, tapes with their readings and definitions, items, why, predicted and seen, cautions. */
export function DocketPage({ whose = 'shop' }: { whose?: Whose }) {
  const { sheet, name } = useOpenTicket()
  const settings = useAppSelector((state) => state.settings)
  const { ticket, dog, owner } = sheet
  const shop = useShop()
  const items = sheet.items.filter((item) => !item.removed)
  const taken = readingsOf(sheet.readings)
  const order = [...tapesFor(items).map((tape) => tape.measure), ...Object.keys(taken)].filter(
    // A hitch kept as a reading is no tape of the dog.
    (id, i, all) => taken[id] && id !== 'M48' && all.indexOf(id) === i,
  )
  const cautions = cautionsOf(sheet, today())
  const weightKg = newestWeightKg(sheet)
  const small = sheet.readings.length + sheet.tryOns.reduce((sum, round) => sum + round.observations.length, 0) > 34
  return (
    <WhosePaper value={whose}>
      <article className={`docket ${small ? 'docket-tight' : ''}`} data-paper={settings.paper} aria-label={`Docket of ticket ${ticket.number}`}>
        <header>
          <div>
            <h1>{name}</h1>
            <p>
              {dog
                ? [
                    breedWords(dog),
                    dog.sex ?? '',
                    ageWords(ageInMonths(dog, ticket.createdAt)),
                    weightKg === null ? '' : formatWeight(weightKg, settings.unit === 'in' ? 'lb' : 'kg'),
                    dog.coat ? `${coatName(dog.coat).toLowerCase()} coat` : '',
                  ]
                    .filter(Boolean)
                    .join(', ')
                : 'Counter ticket, no dog record'}
            </p>
            <p>{owner ? `${owner.name}${owner.contact ? `, ${owner.contact}` : ''}` : 'Owner not asked'}</p>
          </div>
          <div className="docket-number">
            <p className="docket-brand">{shop.name === '' ? 'Merry Tailor' : shop.name}</p>
            {shop.address !== '' && <p className="whitespace-pre-line">{shop.address}</p>}
            <p>
              Ticket <b>{ticket.number}</b>
            </p>
            <p>{longDay(ticket.createdAt.slice(0, 10))}</p>
            {ticket.neededOn && <p>Needed by {dayWords(ticket.neededOn)}</p>}
          </div>
        </header>
        <p>
          <b>Will do:</b> {ticket.activities.map(activityName).join(', ') || 'not asked'}
          {ticket.needs.length > 0 ? `; ${ticket.needs.map((need) => lowerFirst(needName(need))).join(', ')}` : ''}
          {ticket.notes ? `. ${ticket.notes}` : ''}
          {ticket.wears || ticket.wearsTrouble.length > 0
            ? `. Wears now: ${[ticket.wears, ...ticket.wearsTrouble.map((id) => lowerFirst(symptomName(id as SymptomId)))].filter(Boolean).join('; ')}`
            : ''}
        </p>

        <h2>Tapes</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">Measure, path</th>
              <th scope="col">{whose === 'shop' ? 'Readings, as typed' : ''}</th>
              <th scope="col" className="docket-value">
                Counts
              </th>
            </tr>
          </thead>
          <tbody>
            {order.map((id) => (
              <TapeLine key={id} id={id} readings={taken[id] ?? []} />
            ))}
            {order.length === 0 && (
              <tr>
                <td colSpan={3}>No tape was taken.</td>
              </tr>
            )}
          </tbody>
        </table>

        {items.map((item) => (
          <ItemPart key={item.id} item={item} sheet={sheet} />
        ))}
        {items.length === 0 && <p>No item on this ticket.</p>}
        <HitchPart />

        {cautions.length > 0 && (
          <>
            <h2>Cautions</h2>
            <ul className="docket-cautions">
              {cautions.map((caution) => {
                const { title, text } = cautionWords(caution)
                const ack = readOf(caution, cautions, sheet.acknowledgements)
                return (
                  <li key={cautionKey(caution)}>
                    <b>
                      {LEVEL_WORDS[caution.level]}
                      {title}.
                    </b>{' '}
                    {text}
                    {ack && caution.level === 'stop' ? <b>{` ${isHeeded(ack) ? '' : 'Overruled'}${ack.by ? ` by ${ack.by}` : ''}: ${ack.reason}`}</b> : ''}
                  </li>
                )
              })}
            </ul>
            <p>
              <b>On the day:</b> {dayOfWords(cautions, ticket)}. Local rules, the carrier and the vet go before this paper.
            </p>
          </>
        )}
        <footer>
          <span>{ticket.nextLookOn ? `Next visit on ${longDay(ticket.nextLookOn)}` : 'Next visit: not set'}</span>
          <svg width={192} height={16} aria-label="Scale: this line is 2 in" role="img">
            <path d="M1 2V10H191V2" fill="none" stroke="currentColor" strokeWidth={1.2} />
            <text x={96} y={8} textAnchor="middle" fontSize={9}>
              this line is 2 in
            </text>
          </svg>
        </footer>
      </article>
    </WhosePaper>
  )
}

function TapeLine({ id, readings }: { id: string; readings: readonly Reading[] }) {
  const { body, sheet } = useOpenTicket()
  const isRecord = use(WhosePaper) === 'shop'
  // A tape taken over from another day says that day.
  const ticketDay = format(parseISO(sheet.ticket.createdAt), 'yyyy-MM-dd')
  const settings = useAppSelector((state) => state.settings)
  const agreed = body[id]
  // Taken at two moments each says its own.
  const apart = new Set(readings.map((reading) => momentWords(reading.takenAt, ticketDay))).size > 1
  const state = { none: '', once: 'once', agrees: 'agree', 'third-wanted': 'third wanted', disagrees: 'take again' }[agreed?.state ?? 'none']
  return (
    <tr>
      <td>
        <b>
          {isRecord ? `${id} ` : ''}
          {measures[id]?.name}
        </b>{' '}
        <span className="docket-path">{measures[id]?.path}</span>
      </td>
      <td>
        {(isRecord ? readings : []).map((reading, i) => (
          <span key={reading.id}>
            {i > 0 ? '; ' : ''}
            <span className={reading.struck ? 'docket-struck' : ''}>
              {reading.asTyped}
              {/[a-z"']/i.test(reading.asTyped) ? '' : ` ${reading.unit}`}
              {reading.side === 'one' ? ' one side' : ''}
            </span>
            {reading.struck ? ` (${reading.struck.why})` : standsAside(reading, agreed) ? ' (far off, not counted)' : ''}
            {apart ? <span className="docket-path"> {momentWords(reading.takenAt, ticketDay)}</span> : null}
          </span>
        ))}
        {isRecord && readings[0] ? (
          <span className="docket-path">{`${apart ? '' : ` ${momentWords(readings[0].takenAt, ticketDay)}`}${readings[0].by ? `, ${readings[0].by}` : ''}`}</span>
        ) : null}
      </td>
      <td className="docket-value">
        {agreed?.mm ? (
          <>
            <b>{amountText(id, agreed.mm, valueStyle(settings), true)}</b> {isRecord ? state : agreed.state === 'agrees' ? '' : 'to be taken again'}
          </>
        ) : (
          'none'
        )}
      </td>
    </tr>
  )
}

/** Where what was chosen comes from. */
function fromWords(choice: Choice, table: SizeTable | undefined): string {
  if (table) return `, ${table.maker} “${table.name}”, version ${table.version}`
  return choice.kind === 'gear' ? ', one of our own pieces' : choice.kind === 'series' ? ', of the usual series' : ''
}

const predictedWords = (grade: Grade): string => verdictWord(grade, 'predicted').toLowerCase()

function ItemPart({ item, sheet }: { item: Item; sheet: TicketSheet }) {
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const { data: pieces = [] } = usePiecesQuery(undefined)
  const settings = useAppSelector((state) => state.settings)
  const choice = wornFor(sheet.choices, item.id)
  const made = choice && tableOf(choice)
  const table = tables.find((each) => each.id === made?.tableId && each.version === made.tableVersion)
  const [first] = choice?.predicted ?? []
  const rounds = sheet.tryOns.filter((round) => round.itemId === item.id && !round.struck)
  const home = atHomeWords(item.family)
  const isRecord = use(WhosePaper) === 'shop'
  return (
    <section>
      <h2>
        {familyName(item.family)}, {wayName(item.way).toLowerCase()}
      </h2>
      <p className="docket-path">{families[item.family].build}</p>
      <p>
        <b>Size:</b> {choice ? `${choiceWords(choice, pieces)}${fromWords(choice, table)}` : 'not chosen'}
        {choice?.overruled ? `. The bench said: ${choice.overruled.advised}. Chosen because: ${choice.overruled.why}` : ''}
      </p>
      <SetUpLine item={item} sheet={sheet} />
      <RugPieces item={item} paper />
      {choice?.kind === 'made' && Object.keys(choice.numbers).length > 0 && (
        <p>
          <b>Ordered by:</b>{' '}
          {Object.entries(choice.numbers)
            .map(([id, mm]) => `${measures[id]?.name ?? id} ${amountText(id, mm, readingStyle(settings), true)}`)
            .join('; ')}
          {Object.entries(choice.options)
            .map(([name, value]) => `; ${name}: ${value}`)
            .join('')}
          .
        </p>
      )}
      {choice?.kind === 'made' && <StrapList family={item.family} />}
      {choice?.kind === 'series' && (
        <p>
          <b>Inside:</b> {choice.insideMm.map((mm) => lengthText(mm, readingStyle(settings), true)).join(' x ')}. Usually taken back until{' '}
          {longDay(returnUntil(choice.at.slice(0, 10)))}; exchange is often longer: ask where it comes from.
        </p>
      )}
      {choice && first && (
        <p>
          <b>Predicted when it was chosen:</b>{' '}
          {choice.predicted
            .map((size) => `${size.paw ? `${PLACES[size.paw]} ` : ''}${choice.kind === 'made' ? 'made' : size.label} ${predictedWords(size.grade)}`)
            .join(', ')}
          .{' '}
          {first.perMeasure
            .filter((fit) => fit.mm !== null)
            .map(
              (fit) =>
                `${measures[fit.measure]?.name}: ${verdictWord(fit.grade, 'predicted').toLowerCase()}${fit.guess ? ', a guess' : ''}${isRecord ? ` (band ${amountText(fit.measure, fit.fromMm, readingStyle(settings))} to ${amountText(fit.measure, fit.toMm, readingStyle(settings), true)})` : ''}`,
            )
            .join('; ')}
        </p>
      )}
      {rounds.length === 0 && (
        <p>
          <b>Seen on the dog:</b> not tried on.
        </p>
      )}
      {rounds.map((round, i) => {
        const verdict = roundVerdict(item.family, round, wornAbout(sheet))
        const present = presentSymptoms(round.symptoms)
        return (
          <p key={round.id} className="docket-round">
            <Mark grade={verdict.grade} basis="seen" size={13} /> <b>{`Seen, round ${i + 1}, ${round.label}, ${clock(round.at)}: ${roundWord(verdict)}.`}</b>{' '}
            {round.changed ? `${round.changed}. ` : ''}
            {[...latestObservations(round.observations).values()]
              .filter((seen) => seen.check !== FITTERS_WORD)
              .map(
                (seen) =>
                  `${checkById(seen.check)?.name ?? seen.check} (${seen.state}): ${verdictWord(seen.grade, 'seen').toLowerCase()}${seen.asTyped ? `, ${seen.asTyped}` : ''}`,
              )
              .join('; ')}
            {verdict.word
              ? ` In ${verdict.word.by || 'the fitter'}’s word; no checks of this kind are known yet`
              : verdict.seen < verdict.wanted
                ? `; ${verdict.wanted - verdict.seen} not looked at`
                : ''}
            .{' '}
            {present
              .map(
                (note) =>
                  `${symptoms[note.symptom]?.name ?? note.symptom}${note.remedy !== null ? `, ${remedyOf(note.symptom, note.remedy)?.do.toLowerCase() ?? note.remedy}` : ''}`,
              )
              .join('; ')}
          </p>
        )
      })}
      {choice && (
        <p>
          <b>At home:</b> {home.looks} <b>Come back if</b> {home.back}
        </p>
      )}
    </section>
  )
}
