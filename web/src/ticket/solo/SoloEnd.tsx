import type { LengthStyle } from '@merry-tailor/core'
import { Link } from 'react-router'
import { stateWords, useOpenTicket, type TapeRow } from '../../bench'
import { amountText } from '../../ui/length/amount-text'
import { Worded } from '../../ui/length/Worded'
import { tapeName } from '../../words/measuring'

interface SoloEndProps {
  rows: readonly TapeRow[]
  look: LengthStyle & { unit: 'in' | 'cm' }
  onPick: (key: string) => void
}

/** The end of the tapes, alone: what each says, what wants another reading and why, and on to the sizes. */
export function SoloEnd({ rows, look, onPick }: SoloEndProps) {
  const { sheet } = useOpenTicket()
  const open = rows.filter((row) => row.derived === null && (row.agreed?.state !== 'agrees' || row.doubt))
  return (
    <div className="quiet-scroll flex min-h-0 flex-1 flex-col bg-panel">
      <h1 className="px-5 pt-3 text-[36px] leading-[42px]">
        {open.length === 0 ? `All ${rows.length} taken` : `${rows.length - open.length} of ${rows.length} settled`}
      </h1>
      <ol aria-label="The tapes" className="flex-1">
        {rows.map((row) => {
          const mm = row.agreed?.mm ?? row.derived?.mm ?? null
          const why = stateWords(row, look)
          const said = row.doubt && why === '' ? 'In doubt: a question waits.' : row.agreed?.state === 'once' ? 'Read once.' : mm === null ? 'Not taken.' : why
          return (
            <li key={row.key} className="border-b border-rule">
              <button
                type="button"
                onClick={() => onPick(row.key)}
                className="flex min-h-16 w-full flex-wrap items-center justify-between gap-x-4 px-5 text-left text-[22px] leading-7"
              >
                <b>{tapeName(row.tape.measure, row.tape.place)}</b>
                <span>
                  <b>{mm === null ? '–' : amountText(row.tape.measure, mm, look, true)}</b>
                </span>
                {said !== '' && (
                  <span className="w-full text-[17px] text-mute">
                    <Worded text={said} />
                  </span>
                )}
              </button>
            </li>
          )
        })}
      </ol>
      <div className="flex gap-2 border-t-2 border-ink bg-bench p-2">
        <button
          type="button"
          onClick={() => onPick((open[0] ?? rows[0])?.key ?? '')}
          className="min-h-[68px] flex-1 border-2 border-ink bg-panel text-[20px] font-bold"
        >
          {open[0] ? `On with ${tapeName(open[0].tape.measure, open[0].tape.place).toLowerCase()}` : 'Once more'}
        </button>
        <Link
          to={`/tickets/${sheet.ticket.id}/choose`}
          className="flex min-h-[68px] flex-1 items-center justify-center border-2 border-ink bg-tape text-[26px] font-bold text-tape-ink"
        >
          Choose
        </Link>
      </div>
    </div>
  )
}
