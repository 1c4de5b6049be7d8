import { families, measuresOf, type Form, type Item } from '@merry-tailor/core'
import { Link } from 'react-router'
import { measureName } from '../../words/stages'
import { OnTheDog, useOpenTicket } from '../../bench'

/**
 * No table for this kind yet: the kind on the dog all the same, and the ways on.
 *
 * @param pieces where it is cut from the tapes, for what can be made here
 */
export function NoTable({ item, name, form, pieces }: { item: Item; name: string; form: Form; pieces: string | null }) {
  const { sheet } = useOpenTicket()
  const way = 'inline-flex min-h-11 items-center border-2 border-ink bg-panel px-3 font-bold hover:bg-bench'
  return (
    <div className="grid gap-4 xl:grid-cols-2">
      <OnTheDog form={form} family={item.family} name={name} />
      <article className="self-start border-[1.5px] border-ink bg-panel px-4 py-3">
        <h2 className="text-[18px] leading-[22px]">{pieces ? 'Made here, or by a maker' : 'No table to judge by'}</h2>
        <p className="mt-1">
          {families[item.family].right} The tapes it wants: {measuresOf(item).map(measureName).join(', ').toLowerCase()}.{' '}
          {pieces ? 'From them its pieces are drawn, to cut or to knit. ' : ''}With a maker’s sizes they are judged here, each on its tape.
        </p>
        <p className="mt-3 flex flex-wrap gap-2">
          {pieces && (
            <Link to={pieces} className={way}>
              Its pieces
            </Link>
          )}
          <Link to="/sizes" className={way}>
            Bring in a table
          </Link>
          <Link to="/sizes/paste" className={way}>
            Paste a maker’s cells
          </Link>
          <Link to={`/tickets/${sheet.ticket.id}/ask`} className={way}>
            Change the way under Ask
          </Link>
        </p>
      </article>
    </div>
  )
}
