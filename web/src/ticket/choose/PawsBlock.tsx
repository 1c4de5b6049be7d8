import { bootOrder, type Offer, type Paw } from '@merry-tailor/core'
import { Link } from 'react-router'
import { VerdictWord } from '../../said/VerdictWord'
import { bootOrderWords } from '../../words/boots'
import { pawName } from '../../words/measuring'
import { useOpenTicket } from '../../bench'

const firstTape = (paw: Paw): string => `${paw.startsWith('rear') ? 'M34' : 'M32'}/${paw}`

/** Boots paw by paw: the hind pair is often a size smaller, and one of four may differ. */
export function PawsBlock({ offer }: { offer: Offer }) {
  const { sheet } = useOpenTicket()
  if (offer.kind !== 'paws') return null
  const { table, paws: sizes } = offer
  const missing = sizes.filter(({ size }) => size === null)
  return (
    <article aria-label="Paw by paw" className="border-[1.5px] border-ink bg-panel px-4 py-3">
      <h2 className="flex flex-wrap items-baseline justify-between gap-x-4 text-[18px] leading-[22px]">
        Paw by paw
        <Link className="inline-flex min-h-11 items-center text-[15px] font-bold underline" to={`/tickets/${sheet.ticket.id}/paws`}>
          Trace them, straps, a season’s boots
        </Link>
      </h2>
      <dl className="mt-1">
        {sizes.map(({ paw, size }) => (
          <div key={paw} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1 last:border-b-0">
            <dt className="w-[110px] font-bold">{pawName(paw)}</dt>
            <dd className="flex flex-1 flex-wrap items-center justify-between gap-x-3">
              {size ? (
                <>
                  <b className="text-[18px] leading-[22px]">{size.grade === 'fails' ? `Past ${size.label}` : size.label}</b>
                  <VerdictWord grade={size.grade} basis={size.basis} size={18} />
                </>
              ) : (
                <>
                  <span className="text-mute">not read</span>
                  <Link
                    className="inline-flex min-h-11 items-center font-bold underline"
                    to={`/tickets/${sheet.ticket.id}/measure?tape=${encodeURIComponent(firstTape(paw))}`}
                  >
                    Take it
                  </Link>
                </>
              )}
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-1">{bootOrderWords(bootOrder(table, sizes), missing.length)}</p>
    </article>
  )
}
