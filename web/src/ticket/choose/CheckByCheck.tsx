import type { PredictedCheck } from '@merry-tailor/core'
import { Mark } from '../../ui/marks/Mark'
import { foretoldName } from '../../words/foretold'
import { verdictWord } from '../../words/verdicts'
import { rowsIn, useLaidWays } from './laid-ways'

const idOf = (row: PredictedCheck): string => `${row.check} ${row.strap ?? ''} ${row.state}`

/** Each way to get it by each check that can be foretold, under the numbers of the tags: which to try first is seen at a glance. */
export function CheckByCheck({ name }: { name: string }) {
  const { ways, shown, state, pulls } = useLaidWays()
  const isLaid = shown?.laid != null
  const said = (checks: readonly PredictedCheck[]): PredictedCheck[] => (isLaid ? rowsIn(checks, state, pulls) : checks.filter(({ grade }) => grade !== 'none'))
  const columns = [
    ...new Map([shown, ...ways.map(({ foretold }) => foretold)].flatMap((each) => said(each?.checks ?? [])).map((row) => [idOf(row), row])).values(),
  ]
  if (ways.length === 0 || columns.length === 0) return null
  // Up to eight marks stand beside a name, more under it.
  const beside = columns.length <= 8
  return (
    <section aria-label={`Ways to get it by check, on ${name}`} className="shrink-0 border-t-2 border-ink bg-panel px-4 pt-2 pb-1.5">
      <h3 className="flex flex-wrap items-baseline justify-between gap-x-2 text-[17px] leading-[22px]">
        Check by check <span className="font-text text-[13.5px] font-normal text-mute">foretold{isLaid ? `, ${state}` : ''}</span>
      </h3>
      <div className="quiet-scroll max-h-[250px]" tabIndex={0} role="group" aria-label="Check by check">
        <table className="w-full border-collapse text-[14.5px]">
          <thead className="text-[13.5px] text-mute">
            <tr>
              {beside && (
                <th scope="col" className="p-0 text-left font-normal">
                  Check
                </th>
              )}
              {columns.map((row, i) => (
                <th key={idOf(row)} scope="col" className="p-0 text-center leading-[18px]" title={foretoldName(row)}>
                  {i + 1}
                  <span className="sr-only">
                    {' '}
                    {foretoldName(row)}, {row.state}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          {ways.map(({ label, foretold }) => {
            const head = (
              <th scope={beside ? 'row' : 'rowgroup'} colSpan={beside ? 1 : columns.length} className="p-0 py-0.5 pr-1 text-left text-[13.5px] leading-[18px]">
                {label}
              </th>
            )
            const marks = columns.map((column) => {
              const grade = foretold.checks.find((row) => idOf(row) === idOf(column))?.grade ?? 'none'
              return (
                <td key={idOf(column)} className="p-0 py-0.5" title={`${foretoldName(column)}: ${verdictWord(grade, 'predicted')}`}>
                  <span className="flex justify-center">
                    <Mark grade={grade} basis="predicted" size={15} />
                    <span className="sr-only">{verdictWord(grade, 'predicted')}</span>
                  </span>
                </td>
              )
            })
            return (
              <tbody key={label} className="border-t border-rule">
                {beside ? (
                  <tr>
                    {head}
                    {marks}
                  </tr>
                ) : (
                  <>
                    <tr>{head}</tr>
                    <tr>{marks}</tr>
                  </>
                )}
              </tbody>
            )
          })}
        </table>
        {!isLaid && (
          // Nothing is drawn with tags: the numbers are told here.
          <ol className="mt-1 list-inside list-decimal border-t border-rule pt-1 text-[13.5px] leading-[17px] text-mute">
            {columns.map((row) => (
              <li key={idOf(row)}>{foretoldName(row)}</li>
            ))}
          </ol>
        )}
      </div>
    </section>
  )
}
