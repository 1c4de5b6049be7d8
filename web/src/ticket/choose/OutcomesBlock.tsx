import { betweenRule, stillGrows, type MeasureFit, type RankedSize } from '@merry-tailor/core'
import type { OfferFace } from '../../words/offer-face'
import { useOpenTicket } from '../../bench'
import { today } from '../../state/today'
import { useShop } from '../../state/use-shop'
import { Mark } from '../../ui/marks/Mark'
import { dangerWords } from '../../words/dangers'
import { betweenWords, madeWords } from '../../words/sizes'
import { measureName } from '../../words/stages'
import { lowerFirst } from '../../words/first-letter'

/** Two sizes near each other: what sits well in each and what does not, and the rule that puts one first. */
export function OutcomesBlock({ table, sizes, children }: { table: OfferFace; sizes: readonly RankedSize[]; children?: React.ReactNode }) {
  const { views } = useShop()
  const growing = stillGrows(useOpenTicket().sheet.dog, today())
  const rule = betweenRule(table, views, growing)
  const alike = sameIn(sizes)
  return (
    <article className="border-[1.5px] border-ink bg-panel px-4 py-3">
      <h2 className="text-[18px] leading-[22px]">{table.way === 'made' ? 'Cut to the dog' : 'Between two sizes'}</h2>
      {sizes.length === 2 && (
        <>
          <div className="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2">
            {sizes.map((size) => (
              <Outcome key={size.label} label={size.label} fits={size.perMeasure.filter((fit) => !alike.includes(fit.measure))} />
            ))}
          </div>
          {alike.length > 0 && sizes[0] && <Outcome label="both" fits={sizes[0].perMeasure.filter((fit) => alike.includes(fit.measure))} />}
        </>
      )}
      <p className="mt-2">{table.way === 'made' ? madeWords(table.family) : betweenWords(rule, table.maker)}</p>
      {children}
    </article>
  )
}

const dangerKey = (danger: MeasureFit['danger']): string => JSON.stringify(danger ?? null)

/** Measures that two sizes do the same on: said once, so that what tells them apart is seen. */
function sameIn([first, second]: readonly RankedSize[]): string[] {
  if (!first || !second) return []
  return first.perMeasure.flatMap(({ measure, grade, danger }) => {
    const other = second.perMeasure.find((fit) => fit.measure === measure)
    return grade !== 'none' && other?.grade === grade && dangerKey(other.danger) === dangerKey(danger) ? [measure] : []
  })
}

function Outcome({ label, fits }: { label: string; fits: readonly MeasureFit[] }) {
  const well = fits.filter((fit) => fit.grade === 'holds')
  const ill = fits.filter((fit) => fit.grade === 'fails' || fit.grade === 'doubt')
  return (
    <section aria-label={`In ${label}`} className="not-first:mt-3 sm:not-first:mt-0">
      <h3 className="border-b border-rule text-[17px] leading-6">In {label}</h3>
      <ul className="mt-1 space-y-1">
        {well.map((fit) => (
          <li key={fit.measure} className="flex items-start gap-2">
            <span className="text-holds">
              <Mark grade="holds" basis="predicted" size={18} />
            </span>
            {measureName(fit.measure)} should sit well
          </li>
        ))}
        {ill.map((fit) => (
          <li key={fit.measure} className="flex items-start gap-2">
            <span className={fit.grade === 'fails' ? 'text-snag' : 'text-chalk'}>
              <Mark grade={fit.grade} basis="predicted" size={18} />
            </span>
            <span>
              {measureName(fit.measure)}:{' '}
              {(fit.danger && lowerFirst(dangerWords(fit.danger))) || (fit.grade === 'fails' ? 'likely misses' : 'could go either way')}
            </span>
          </li>
        ))}
        {well.length + ill.length === 0 && <li className="text-mute">{fits.length === 0 ? 'As in the other.' : 'No tape yet.'}</li>}
      </ul>
    </section>
  )
}
