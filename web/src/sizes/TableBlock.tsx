import { leadOn, orderBy, type RankedSize, type Supply } from '@merry-tailor/core'
import type { OfferFace } from '../words/offer-face'
import { addWeeks, format, formatDistanceToNowStrict, getMonth, parseISO } from 'date-fns'
import { dayWords, today } from '../state/today'
import { Mark } from '../ui/marks/Mark'
import { measureName, wayName } from '../words/stages'
import { verdictWord } from '../words/verdicts'
import { sizeName } from './size-name'

interface TableBlockProps {
  table: OfferFace
  sizes: readonly RankedSize[]
  neededOn: string | null
  picked: string | undefined
  chosen: readonly string[]
  /** The supplier's last word on this table. */
  supply: Supply | undefined
  /** One of the shop's own pieces: said so instead of the weeks. */
  own?: string
  onPick: (label: string) => void
}

/** One maker's sizes against the measures it asks for: the size-by-measure matrix, best first. */
export function TableBlock({ table, sizes, neededOn, picked, chosen, supply, own, onPick }: TableBlockProps) {
  const ids = sizes[0]?.perMeasure.map((fit) => fit.measure) ?? []
  return (
    <section aria-label={`${table.maker}, ${table.name}`} className="border-b-2 border-ink">
      <header className="px-4 pt-2 pb-1">
        <h3 className="flex items-baseline justify-between gap-2 text-[17px] leading-[22px]">
          {table.maker}
          <span className="font-text text-[14px] font-semibold">
            {own === undefined ? wayName(table.way) : 'Ours'}
            {table.school ? `, school ${table.school}` : ''}
          </span>
        </h3>
        <p className="text-[13.5px] leading-[17px] text-mute">
          {table.name}. {own ?? leadWords(table, neededOn, supply)}
          {table.price ? ` Costs ${table.price[0] === table.price[1] ? table.price[0] : `${table.price[0]} to ${table.price[1]}`}.` : ''}
        </p>
        {supply && (!supply.reached || isOld(supply.countedAt)) && (
          <p className="text-[13.5px] leading-[17px] text-mute">
            {supply.reached ? 'The supplier’s count is old: counted' : 'Supplier not reached; counted'} {ageWords(supply.countedAt)}.
          </p>
        )}
      </header>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-[13px] text-mute">
            <th scope="col" className="pl-4 text-left font-bold">
              Size
            </th>
            {ids.map((id) => (
              <th key={id} scope="col" className="w-[52px] pb-0.5 text-center font-bold" title={measureName(id)}>
                <abbr title={measureName(id)} className="no-underline">
                  {shortName(id)}
                </abbr>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sizes.map((size) => (
            <tr
              key={size.label}
              id={`size-${table.id}-${size.label}`}
              className={`h-11 border-t border-rule ${picked === size.label ? 'border-l-[5px] border-l-ink bg-bench' : 'border-l-[5px] border-l-transparent'}`}
            >
              <th scope="row" className="p-0 text-left">
                <button
                  type="button"
                  aria-pressed={picked === size.label}
                  onClick={() => onPick(size.label)}
                  className="flex min-h-11 w-full flex-wrap items-center gap-x-2 pl-[11px] text-left text-[16px] leading-[18px] font-bold"
                >
                  {sizeName(table, size.label)}
                  {chosen.includes(size.label) && <span className="text-[13px] font-semibold text-mute">chosen</span>}
                  {supply && table.way !== 'made' && <ShelfCount count={supply.count[size.label]} />}
                </button>
              </th>
              {size.perMeasure.map((fit) => (
                <td key={fit.measure} className="text-center">
                  <span
                    className="inline-flex"
                    title={`${measureName(fit.measure)}: ${verdictWord(fit.grade, 'predicted').toLowerCase()}${fit.guess ? ', a guess' : ''}`}
                  >
                    <Mark grade={fit.grade} basis="predicted" size={19} />
                    <span className="sr-only">
                      {verdictWord(fit.grade, 'predicted')}
                      {fit.guess ? ', a guess' : ''}
                    </span>
                  </span>
                  {fit.guess && <span className="block text-[13px] leading-[12px] text-mute">guess</span>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {table.unjudged && table.unjudged.length > 0 && (
        <p className="border-t border-rule px-4 py-1.5 text-[13.5px] leading-[17px] text-mute">
          Not judged: {table.unjudged.map((title) => `“${title}”`).join(', ')}. The maker’s word stands for no tape of ours.
        </p>
      )}
    </section>
  )
}

function ShelfCount({ count }: { count: number | undefined }) {
  if (count === undefined) return null
  return <span className="text-[13px] font-semibold text-mute">{count === 0 ? 'none on the shelf' : `${count} on the shelf`}</span>
}

const SHORT: Readonly<Record<string, string>> = {
  M01: 'Neck',
  M02: 'Collar',
  M06: 'Sternum',
  M07: 'Girth',
  M08: 'Girth',
  M10: 'To rib',
  M11: 'To rib',
  M12: 'To tail',
  M13: 'Overall',
  M14: 'Back',
  M32: 'Width',
  M33: 'Length',
  M34: 'Width',
  M35: 'Length',
}
export const shortName = (id: string): string => SHORT[id] ?? measureName(id).split(/[ ,]/)[0] ?? id

/** A count of another day may be sold by now. */
const isOld = (at: string): boolean => Date.now() - parseISO(at).getTime() > 24 * 3_600_000

/** How old a count is: `3 hours ago`. */
export const ageWords = (at: string): string => formatDistanceToNowStrict(parseISO(at), { addSuffix: true })

/** Weeks, season and the day to order by; the supplier's weeks go before the table's. */
export function leadWords(table: Pick<OfferFace, 'way' | 'lead'>, neededOn: string | null, supply?: Supply): string {
  const weeksOf = supply?.lead ?? table.lead
  const lead = leadOn(getMonth(new Date()) + 1, weeksOf)
  if (table.way === 'stock' && lead.maxWeeks <= 1 && table.lead.maxWeeks === 0) return 'At hand today.'
  const weeks = lead.minWeeks === lead.maxWeeks ? `${lead.maxWeeks} ${lead.maxWeeks === 1 ? 'week' : 'weeks'}` : `${lead.minWeeks} to ${lead.maxWeeks} weeks`
  const peak = lead.peak ? ', peak season' : ''
  if (lead.maxWeeks === 0) return 'At hand today.'
  if (!neededOn) return `${weeks}${peak}.`
  const by = orderBy(neededOn, weeksOf, { marginWeeks: table.way === 'made' ? 2 : 0.5 })
  const comes = (after: number): string => dayWords(format(addWeeks(new Date(), after), 'yyyy-MM-dd'))
  return by < today()
    ? `${weeks}${peak}. Too late for ${dayWords(neededOn)}: ordered today it comes ${comes(lead.minWeeks)}${lead.minWeeks === lead.maxWeeks ? '' : ` to ${comes(lead.maxWeeks)}`}.`
    : `${weeks}${peak}. Order by ${dayWords(by)}.`
}
