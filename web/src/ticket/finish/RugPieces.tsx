import { rugPieces, stillGrows } from '@merry-tailor/core'
import { readingStyle } from '../../app/settings'
import { useAppSelector } from '../../app/store'
import { rugLines } from '../../words/rug'
import { useOpenTicket } from '../TicketFrame'

/** The pieces of a rug made for this dog, in one paragraph. */
export function RugPieces() {
  const { sheet, body } = useOpenTicket()
  const settings = useAppSelector((state) => state.settings)
  const pieces = rugPieces(body, { growing: stillGrows(sheet.dog, sheet.ticket.createdAt), sex: sheet.dog?.sex ?? null })
  return (
    <p>
      <b>Pieces, from the tapes:</b>{' '}
      {rugLines(pieces, readingStyle(settings))
        .map(({ piece, says }) => `${piece}: ${says}`)
        .join('. ')}
      .
    </p>
  )
}
