import { measures } from '@merry-tailor/core'
import { memo, useEffect, useState } from 'react'
import { STANDS_MS } from '../api/news'
import { useAppSelector } from '../state/store'

/** What somebody else just pinned on this ticket, by name, so that no tape is taken that is taken. */
export const SomebodyElse = memo(function SomebodyElse({ ticketId }: { ticketId: string }) {
  const heard = useAppSelector((state) => state.news)
  const [seen, setSeen] = useState<number | null>(null)
  useEffect(() => {
    if (!heard) return
    const timer = setTimeout(() => setSeen(heard.at), STANDS_MS)
    return () => clearTimeout(timer)
  }, [heard])
  if (!heard?.reading || heard.ticketId !== ticketId || seen === heard.at) return null
  const { measure, asTyped, unit } = heard.reading
  return (
    <p role="status" className="shrink-0 border-b-2 border-l-[5px] border-ink border-l-holds bg-holds-bg px-4 py-2 print:hidden">
      <b>{heard.by || 'Somebody else'}</b> pinned {(measures[measure]?.name ?? measure).toLowerCase()} {asTyped}
      {/[a-z"']/i.test(asTyped) ? '' : ` ${unit}`} just now.
    </p>
  )
})
