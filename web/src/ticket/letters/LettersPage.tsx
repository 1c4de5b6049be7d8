import { Link } from 'react-router'
import { isOpen, useOpenTicket } from '../../bench'
import { clock } from '../../state/today'
import { measureName } from '../../words/stages'
import { NewLetter } from './NewLetter'
import { WaitingNumber } from './WaitingNumber'

/** Numbers that came under somebody else's letters: kept as written, asked back about, then taken as readings or struck. */
export function LettersPage() {
  const { sheet, name } = useOpenTicket()
  const waiting = sheet.asWritten.filter((written) => isOpen(written, sheet.readings))
  const settled = sheet.asWritten.filter((written) => !isOpen(written, sheet.readings))
  return (
    <div className="quiet-scroll min-h-0 flex-1 lg:grid lg:grid-cols-[388px_1fr] lg:overflow-hidden">
      <section aria-label="A number that came" className="quiet-scroll min-h-0 border-ink bg-panel px-4 py-3 lg:border-r-2">
        <NewLetter />
      </section>
      <section aria-label="Numbers as written" className="flex min-h-0 flex-col bg-panel max-lg:border-t-2 max-lg:border-ink">
        <header className="flex shrink-0 flex-wrap items-center justify-between gap-3 border-b-2 border-ink bg-bench px-5 py-2">
          <div>
            <h1 className="text-[26px] leading-[32px]">Path unknown, as written</h1>
            <p className="text-mute">Kept for {name}, never sized on. When the answer comes they become readings, or are struck.</p>
          </div>
          <Link
            to={`/tickets/${sheet.ticket.id}/ask-back`}
            className={`inline-flex min-h-14 items-center rounded-[2px] border-2 border-ink px-5 text-[18px] font-bold ${waiting.length > 0 ? 'bg-tape text-tape-ink' : 'bg-panel'}`}
          >
            Ask-back page
          </Link>
        </header>
        <div className="quiet-scroll min-h-0 flex-1">
          {sheet.asWritten.length === 0 && (
            <p className="px-5 py-4 text-mute">
              Nothing came by mail or phone. A number with a letter beside it goes in beside this list, above it on a phone.
            </p>
          )}
          <ul>
            {waiting.map((written) => (
              <WaitingNumber key={written.id} written={written} />
            ))}
          </ul>
          {settled.length > 0 && (
            <>
              <h2 className="border-t-2 border-ink px-5 pt-2 text-[19px] leading-6">Answered or struck</h2>
              <ul>
                {settled.map((written) => (
                  <li key={written.id} className="border-b border-rule px-5 py-2">
                    <b>“{written.letters}”</b> {written.asWritten}:{' '}
                    {written.struck
                      ? `struck out ${clock(written.struck.at)}${written.struck.by ? ` by ${written.struck.by}` : ''}: ${written.struck.why}`
                      : `became ${measureName(sheet.readings.find((reading) => reading.id === written.became?.readingId)?.measure ?? '').toLowerCase()}${written.became?.by ? `, by ${written.became.by}` : ''}`}
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
        <footer className="flex min-h-11 shrink-0 items-center border-t-2 border-ink px-5">
          <Link to={`/tickets/${sheet.ticket.id}/measure`} className="inline-flex min-h-11 items-center font-bold underline">
            Back to the tapes
          </Link>
        </footer>
      </section>
    </div>
  )
}
