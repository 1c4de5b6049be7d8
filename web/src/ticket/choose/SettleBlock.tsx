import { frontOf, stillGrows, type Form, type SizedBody } from '@merry-tailor/core'
import type { OfferFace } from '../../words/offer-face'
import { useMemo } from 'react'
import { useSettled } from '../../form'
import { Link } from 'react-router'
import { today } from '../../state/today'
import { useShop } from '../../state/use-shop'
import { measureName } from '../../words/stages'
import { useBench, useOpenTicket } from '../../bench'
import { sizeName } from '../../sizes/size-name'

/** What would settle the doubt: the tape whose reading would most be expected to decide, or that only a try-on does. */
export function SettleBlock({ table: whole, body, form, near }: { table: OfferFace; body: SizedBody; form: Form | null; near: readonly string[] }) {
  const { name, sheet } = useOpenTicket()
  const { views } = useShop()
  const growing = stillGrows(sheet.dog, today())
  const table = useMemo(() => frontOf(whole), [whole])
  const settled = useSettled(useMemo(() => ({ table, body, form, views, growing }), [table, body, form, views, growing]))
  if (!settled) return null
  const [best, ...others] = settled.gains
  const guess = settled.gains.find((each) => body[each.measure]?.guess)
  const again = best && !body[best.measure]?.guess
  const more = others.filter((each) => each.gain >= 0.04).slice(0, 2)
  return (
    <article aria-label="What would decide the size" className="border-[1.5px] border-ink bg-panel px-4 py-3">
      <h2 className="text-[18px] leading-[22px]">What would decide the size</h2>
      {settled.says === 'nothing' && <p className="mt-1">The first tape. Any of those this maker sizes by.</p>}
      {settled.says === 'settled' && near.length === 2 && (
        <p className="mt-1">
          {name} lies between <b>{near[0]}</b> and <b>{near[1]}</b>, and no tape would be expected to change that. Only a try-on decides this.
        </p>
      )}
      {settled.says === 'settled' && near.length < 2 && (
        <p className="mt-1">
          On paper nothing is open: <b>{sizeName(table, settled.favoured ?? '')}</b>. A hand on {name} says the rest.
        </p>
      )}
      {settled.says === 'none-fits' && (
        <p className="mt-1">
          On paper none of these sizes fits, and no tape would be expected to change that. Another maker, another kind, or made to measure.
        </p>
      )}
      {settled.says === 'try-on' && !guess && <p className="mt-1">Only a try-on decides this. No tape would be expected to change the choice.</p>}
      {settled.says === 'try-on' && guess && (
        <>
          <p className="mt-1">No one tape decides this alone, but {measureName(guess.measure).toLowerCase()} is only guessed so far.</p>
          <TakeIt measure={guess.measure} again={false} />
        </>
      )}
      {settled.says === 'tape' && best && (
        <>
          <p className="mt-1">
            {again ? `One more ${measureName(best.measure).toLowerCase()}` : measureName(best.measure)}{' '}
            {best.between && table.way !== 'made' ? (
              <>
                decides between <b>{best.between[0] ?? best.between[1]}</b> and <b>{(best.between[0] === null ? null : best.between[1]) ?? 'none of these'}</b>.
              </>
            ) : (
              'would make it surer than any other tape.'
            )}
            {more.length > 0 && <span className="text-mute"> Next best: {more.map((each) => measureName(each.measure).toLowerCase()).join(', then ')}.</span>}
          </p>
          <TakeIt measure={best.measure} again={again === true} />
        </>
      )}
    </article>
  )
}

/** To the bench, with this tape open. */
function TakeIt({ measure, again }: { measure: string; again: boolean }) {
  const { sheet } = useOpenTicket()
  const [bench, changeBench] = useBench()
  return (
    <Link
      onClick={() => changeBench({ extra: [...new Set([...bench.extra, measure])] })}
      to={`/tickets/${sheet.ticket.id}/measure?tape=${measure}`}
      className="mt-2 inline-flex min-h-11 items-center rounded-[2px] border-2 border-ink bg-panel px-3 font-bold hover:bg-bench"
    >
      Take {measureName(measure).toLowerCase()}
      {again ? ' again' : ''}
    </Link>
  )
}
