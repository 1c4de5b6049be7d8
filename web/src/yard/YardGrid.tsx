import { Link } from 'react-router'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { amountText } from '../ui/length/amount-text'
import { Worded } from '../ui/length/Worded'
import { tapeName } from '../words/measuring'
import type { useYard } from './use-yard'

const STATES = { none: '–', once: 'once', agrees: '', 'third-wanted': 'third', disagrees: 'again' } as const

/** The whole round at a glance: dogs down, tapes across, what is missing or in doubt, and the way to each. */
export function YardGrid({ yard }: { yard: Pick<ReturnType<typeof useYard>, 'line' | 'tapes' | 'nameOf'> }) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...readingStyle(settings), unit: settings.unit }
  return (
    <div className="my-3 overflow-x-auto">
      <table className="border-collapse text-left" aria-label="The round: dogs and tapes">
        <thead>
          <tr className="text-[14px] text-mute">
            <th className="py-1 pr-4">Dog</th>
            {yard.tapes.map((tape) => (
              <th key={tape.key} className="py-1 pr-4">
                {tapeName(tape.measure, tape.place)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {yard.line.map((each) => (
            <tr key={each.dog.id} className="border-t border-rule">
              <th scope="row" className="pr-4">
                {yard.nameOf(each.dog)}
              </th>
              {yard.tapes.map((tape) => {
                const agreed = each.body[tape.key]
                const said = agreed?.mm == null ? 'not taken' : amountText(tape.measure, agreed.mm, look, true)
                const text = `${said} ${agreed?.mm == null ? '' : STATES[agreed.state]}`.trim()
                return (
                  <td key={tape.key} className="pr-4">
                    {each.ticketId ? (
                      <Link
                        to={`/tickets/${each.ticketId}/measure?tape=${tape.key}`}
                        className={`inline-flex min-h-11 items-center underline ${agreed?.mm == null ? 'text-mute' : agreed.state === 'agrees' || agreed.state === 'once' ? 'font-bold' : 'font-bold text-snag'}`}
                      >
                        <Worded text={text} />
                      </Link>
                    ) : (
                      <span className="text-mute">{text}</span>
                    )}
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
