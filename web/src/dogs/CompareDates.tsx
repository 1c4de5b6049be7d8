import { type AgreeRules, formatGap, formatWeight, measures, stationOrder, toleranceMm, type Visit } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { RowNumber } from '../length-entry'
import { Worded } from '../ui/length/Worded'
import { measureName } from '../words/stages'

/** Two dates beside each other: every measure known on both, and by how much it changed. */
export function CompareDates({ then, now, rules }: { then: Visit; now: Visit; rules: AgreeRules }) {
  const settings = useAppSelector((state) => state.settings)
  const ids = Object.keys(now.known)
    .filter((id) => !id.includes('/') && then.read[id]?.mm != null)
    .sort(stationOrder)
  const head = (visit: Visit): string => format(parseISO(visit.on), 'd MMM yyyy')
  const change = (id: string, a: number, b: number): string =>
    measures[id]?.quantity === 'mass'
      ? `${b >= a ? '+' : '−'}${formatWeight(Math.abs(b - a), settings.unit === 'in' ? 'lb' : 'kg')}`
      : formatGap(b - a, valueStyle(settings)).text
  return (
    <section aria-label="Two dates compared" className="border-b-2 border-ink px-4 py-3">
      <h2 className="text-[19px] leading-6">Two dates compared</h2>
      <table className="mt-1 w-full border-collapse text-left">
        <thead>
          <tr className="text-[14px] text-mute">
            <th className="py-1.5">Measure</th>
            <th className="py-1.5 text-right">{head(then)}</th>
            <th className="py-1.5 text-right">{head(now)}</th>
            <th className="py-1.5 text-right">Change</th>
          </tr>
        </thead>
        <tbody>
          {ids.map((id) => {
            const a = then.read[id]?.mm ?? 0
            // Only what was taken on the second day can be as before.
            const b = now.read[id]?.mm ?? null
            const beyond = b !== null && Math.abs(b - a) > toleranceMm(a, rules, id)
            return (
              <tr key={id} className="border-t border-rule">
                <th scope="row" className="py-1.5 font-semibold">
                  {measureName(id)}
                </th>
                <td className="text-right">
                  <RowNumber measure={id} mm={a} />
                </td>
                <td className="text-right">{b === null ? <span className="text-mute">not taken</span> : <RowNumber measure={id} mm={b} />}</td>
                <td className={`text-right ${beyond ? 'font-bold text-chalk' : 'text-mute'}`}>
                  {b === null ? '' : beyond ? <Worded text={change(id, a, b)} /> : 'as before'}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {ids.length === 0 && <p className="text-mute">No measure was read on both dates.</p>}
    </section>
  )
}
