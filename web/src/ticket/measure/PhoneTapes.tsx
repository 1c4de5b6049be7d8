import type { LengthStyle } from '@merry-tailor/core'
import { stateWords, type TapeRow } from '../../bench'
import { amountText } from '../../ui/length/amount-text'
import { Worded } from '../../ui/length/Worded'
import { tapeName } from '../../words/measuring'

const STATES = { none: 'not taken', once: 'once', agrees: 'agree', 'third-wanted': 'third wanted', disagrees: 'take again' } as const

interface PhoneTapesProps {
  rows: readonly TapeRow[]
  active: string
  look: LengthStyle & { unit: 'in' | 'cm' }
  onPick: (key: string) => void
}

/** Every tape of the ticket with what it says, to go to with a tap. */
export function PhoneTapes({ rows, active, look, onPick }: PhoneTapesProps) {
  return (
    <ol aria-label="All tapes">
      {rows.map((row) => {
        const mm = row.agreed?.mm ?? row.derived?.mm ?? null
        const why = stateWords(row, look)
        return (
          <li key={row.key} className="border-b border-rule">
            <button
              type="button"
              aria-current={row.key === active ? 'true' : undefined}
              onClick={() => onPick(row.key)}
              className={`flex min-h-12 w-full flex-wrap items-center justify-between gap-x-3 px-3.5 py-1 text-left ${row.key === active ? 'bg-tape text-tape-ink' : ''}`}
            >
              <b>{tapeName(row.tape.measure, row.tape.place)}</b>
              <span>
                {mm === null ? '' : <b>{amountText(row.tape.measure, mm, look, true)}</b>}{' '}
                <span className="text-[14px]">{row.doubt ? 'in doubt' : STATES[row.agreed?.state ?? 'none']}</span>
              </span>
              {why !== '' && (
                <span className="w-full text-[14px]">
                  <Worded text={why} />
                </span>
              )}
            </button>
          </li>
        )
      })}
    </ol>
  )
}
