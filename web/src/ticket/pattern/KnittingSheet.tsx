import { gaugeOf, knitOutline, movedGarment, knitProfile, type GarmentFamily, type Item } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useParams } from 'react-router'
import { NoItem, useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { longDay, today } from '../../state/today'
import { Empty } from '../../ui/State'
import { familyName } from '../../words/stages'
import { FASTENING_WORDS, garmentFamily, knitLineWords, useItemPattern, useCutLook } from '../../garment'
import { GarmentCautions } from './GarmentCautions'
import { KnitChart } from './KnitChart'

/** A garment to knit: swatch, every piece in lines with its chart and sizes, yarn. */
export function KnittingSheet() {
  const { sheet } = useOpenTicket()
  const { itemId } = useParams()
  const item = sheet.items.find(({ id, removed }) => id === itemId && !removed)
  const family = item && garmentFamily(item.family)
  if (!item || !family) return <NoItem title="Nothing to knit here">Choose a rug or sweater under Ask; then it can be knitted.</NoItem>
  return <OneSheet item={item} family={family} />
}

function OneSheet({ item, family }: { item: Item; family: GarmentFamily }) {
  const { sheet, name } = useOpenTicket()
  const { say } = useCutLook()
  const { hand, drafted } = useItemPattern(item, family)
  const { plan } = hand
  const garment = useMemo(() => drafted && movedGarment(drafted, plan.moves ?? []), [drafted, plan.moves])
  const swatch = plan.swatch ?? null
  const knitted = useMemo(() => {
    if (!garment || !swatch) return []
    try {
      const gauge = gaugeOf(swatch)
      return garment.pieces.map((piece) => ({ piece, gauge, outline: knitOutline(piece), rows: knitProfile(knitOutline(piece), gauge, swatch) }))
    } catch {
      return []
    }
  }, [garment, swatch])
  const grams = knitted.reduce((sum, { piece, rows }) => sum + piece.count * (rows.grams ?? 0), 0)
  const metres = knitted.reduce((sum, { piece, rows }) => sum + piece.count * rows.metres, 0)
  return (
    <PaperRoom title={`Knitting sheet, ${name}`} back={`/tickets/${sheet.ticket.id}/pattern/${item.id}`}>
      {knitted.length === 0 && <Empty title="No swatch yet">Type the washed swatch on the bench first; rows and stitches follow from it.</Empty>}
      {garment && swatch && knitted.length > 0 && (
        <section aria-label="Knitting sheet">
          <header className="mb-3 border-b-2 border-black pb-2">
            <h2 className="text-[26px] leading-8">
              {familyName(family)} for {name}, to knit
            </h2>
            <p>
              Ticket {sheet.ticket.number}, {longDay(today())}. {FASTENING_WORDS[garment.plan.fastening]}.
              {garment.firstDraft ? ' First draft: knit a trial first.' : ''}
            </p>
            <p>
              Swatch, washed and dried: {swatch.stitches} stitches to {say(swatch.widthMm)}, {swatch.rows} rows to {say(swatch.heightMm)}, pattern of{' '}
              {swatch.multiple} + {swatch.edge}. <b>{grams > 0 ? `${Math.ceil(grams)} g of yarn` : 'Yarn'}</b>, about {Math.round(metres)} m, a tenth of it to
              spare.
            </p>
          </header>
          {knitted.map(({ piece, gauge, outline, rows }) => {
            const count = rows.rows.length - 1
            const most = Math.max(...rows.rows.map(({ stitches }) => stitches))
            const stitch = Math.min(5, 250 / most, 250 / (count * (gauge.stitchesPerMm / gauge.rowsPerMm)))
            const row = stitch * (gauge.stitchesPerMm / gauge.rowsPerMm)
            const counts = rows.lines.map((_, i) => rows.lines.slice(0, i + 1).reduce((sum, { times, by }) => sum + times * by, rows.castOn))
            return (
              <article key={piece.id} className="mb-5 break-inside-avoid">
                <h3 className="border-b border-black text-[18px]">
                  {piece.name}, knit {piece.count}
                </h3>
                <div className="grid grid-cols-[1fr_330px] gap-4 pt-1">
                  <ol>
                    <li className="flex justify-between gap-3 border-b border-black/30 py-0.5">
                      <span>Cast on loosely.</span> <b>{rows.castOn} st</b>
                    </li>
                    {rows.lines.map((line, i) => {
                      const words = knitLineWords(line)
                      return (
                        <li key={`${line.row}${line.code}`} className="flex justify-between gap-3 border-b border-black/30 py-0.5">
                          <span>
                            <b>{words.rows}.</b> {words.what}
                          </span>{' '}
                          <b className="shrink-0">{counts[i]} st</b>
                        </li>
                      )
                    })}
                    <li className="flex justify-between gap-3 py-0.5">
                      <span>Row {count}: bind off loosely.</span> <b>0 st</b>
                    </li>
                  </ol>
                  <svg
                    role="img"
                    aria-label={`Chart of the ${piece.name.toLowerCase()}`}
                    width={330}
                    height={count * row + 40}
                    viewBox={`0 0 330 ${count * row + 40}`}
                  >
                    <KnitChart plan={rows} knitted={0} x={40} bottom={count * row + 12} stitch={stitch} row={row} paper />
                    <text x={40} y={count * row + 30} fontSize={12}>
                      {say(outline.at(-1)?.[0] ?? 0)} long, {say(Math.max(...outline.map(([, wide]) => wide)))} at its widest
                    </text>
                  </svg>
                </div>
              </article>
            )
          })}
          {garment.buttonholes.length > 1 && <p>Buttonholes, from the front edge: {garment.buttonholes.map(({ atMm }) => say(atMm)).join(', ')}.</p>}
          <GarmentCautions family={family} paper />
          <p>Predicted from tapes and swatch; only the rug on the dog says it holds.</p>
        </section>
      )}
    </PaperRoom>
  )
}
