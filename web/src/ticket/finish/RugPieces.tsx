import { rugPieces, stillGrows } from '@merry-tailor/core'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { rugLines } from '../../words/rug'
import { useOpenTicket } from '../../bench'

/** The pieces of a rug made for this dog, a line to a piece. */
export function RugPieces() {
  const { sheet, body } = useOpenTicket()
  const settings = useAppSelector((state) => state.settings)
  const pieces = rugPieces(body, { growing: stillGrows(sheet.dog, sheet.ticket.createdAt), sex: sheet.dog?.sex ?? null })
  return (
    <div>
      <p className="font-bold">Pieces, from the tapes</p>
      {rugLines(pieces, valueStyle(settings)).map(({ piece, says }) => (
        <p key={piece}>
          <b>{piece}:</b> {says}
        </p>
      ))}
    </div>
  )
}
