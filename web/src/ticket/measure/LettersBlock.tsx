import { Link } from 'react-router'
import { useOpenTicket, isOpen } from '../../bench'

/** Numbers under somebody else's letters that still wait for an answer: seen, never sized on. */
export function LettersBlock() {
  const { sheet } = useOpenTicket()
  const open = sheet.asWritten.filter((written) => isOpen(written, sheet.readings))
  if (open.length === 0) return null
  return (
    <section aria-label="Path unknown" className="border-b-2 border-chalk bg-chalk-bg px-[18px] pt-2.5 pb-3">
      <h3 className="text-[18px] leading-[22px]">Path unknown, as written</h3>
      <p className="mt-1">{open.map((written) => `“${written.letters}” ${written.asWritten}`).join(', ')}. Kept, not sized on until the answer comes.</p>
      <Link to={`/tickets/${sheet.ticket.id}/letters`} className="mt-1 inline-flex min-h-11 items-center font-bold underline">
        Ask back
      </Link>
    </section>
  )
}
