import { GARMENT_FAMILIES, keptPattern, rugPieces, stillGrows, type Item } from '@merry-tailor/core'
import { Link } from 'react-router'
import { movesWords } from '../../garment'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { rugLines } from '../../words/rug'
import { useOpenTicket } from '../../bench'

/** Pieces made for this dog in a few lines: a rug's by its tapes, any garment's by the plan it was kept with. */
export function RugPieces({ item, paper = false }: { item: Item; paper?: boolean }) {
  const { sheet, body } = useOpenTicket()
  const settings = useAppSelector((state) => state.settings)
  const kept = keptPattern(sheet.choices, item.id)
  const rug = item.family === 'C1' && item.way === 'made'
  if (!GARMENT_FAMILIES.some((each) => each === item.family) || (!rug && !kept)) return null
  const plan = kept?.plan
  const growing = plan?.growing ?? stillGrows(sheet.dog, sheet.ticket.createdAt)
  return (
    <div>
      {rug && (
        <>
          <p className="font-bold">Pieces, from the tapes</p>
          {rugLines(rugPieces(body, { growing, sex: sheet.dog?.sex ?? null }), valueStyle(settings)).map(({ piece, says }) => (
            <p key={piece}>
              <b>{piece}:</b> {says}
            </p>
          ))}
        </>
      )}
      {kept && (
        <p>
          <b>Pattern kept:</b> {plan?.cloth ?? 'its usual cloth'}
          {plan?.swatch ? `, swatch of ${plan.swatch.stitches} stitches and ${plan.swatch.rows} rows` : ''}
          {movesWords(plan?.moves ?? [])
            .map((words) => `, ${words}`)
            .join('')}
          , by {kept.by || 'nobody named'}.
        </p>
      )}
      {!paper && (
        <Link to={`/tickets/${sheet.ticket.id}/pattern/${item.id}`} className="inline-flex min-h-11 items-center font-bold underline">
          Its pieces, cut or knitted
        </Link>
      )}
    </div>
  )
}
