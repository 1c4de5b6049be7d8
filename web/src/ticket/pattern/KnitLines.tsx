import type { GarmentPlan } from '@merry-tailor/core'
import { knitLineWords } from '../../garment'
import type { Knit } from './use-knit'

/** The piece in words, one line a straight run, the count after it; the line in work is yellow. */
export function KnitLines({ knit, plan, piece }: { knit: Knit; plan: GarmentPlan; piece: string }) {
  if (!knit.plan || !knit.piece) return null
  const { lines, castOn } = knit.plan
  const next = (plan.knitted?.[piece] ?? 0) + 1
  const counts = lines.map((_, i) => lines.slice(0, i + 1).reduce((sum, { times, by }) => sum + times * by, castOn))
  return (
    <section aria-label="Line by line" className="border-b-2 border-ink">
      <header className="flex items-baseline justify-between px-4 py-2">
        <h2 className="text-[20px] leading-6">{knit.piece.name}, line by line</h2>
        <span className="text-[13.5px] text-mute">stitches after</span>
      </header>
      <ol>
        <li className="flex items-baseline justify-between border-t border-rule px-4 py-1.5 text-[15px] leading-5">
          <span>
            <span className="block text-[13.5px] font-semibold text-mute">Cast-on row</span>With a long tail, loosely.
          </span>
          <b>{castOn} st</b>
        </li>
        {lines.map((line, i) => {
          const { rows, what } = knitLineWords(line)
          const begins = i === 0 ? 1 : line.row - 1
          const ends = lines[i + 1] ? (lines[i + 1]?.row ?? 0) - 1 : Infinity
          const inWork = next >= begins && next < ends && next > 1
          return (
            <li
              key={`${line.row}${line.code}`}
              className={`flex items-baseline justify-between gap-2 border-t border-rule px-4 py-1.5 text-[15px] leading-5 ${inWork ? 'border-y-2 border-ink bg-tape text-tape-ink' : ''}`}
            >
              <span>
                <span className={`block text-[13.5px] font-semibold ${inWork ? '' : 'text-mute'}`}>{rows}</span>
                {what}
              </span>
              <b className="shrink-0">{counts[i]} st</b>
            </li>
          )
        })}
        <li className="flex items-baseline justify-between border-t border-rule px-4 py-1.5 text-[15px] leading-5">
          <span>
            <span className="block text-[13.5px] font-semibold text-mute">Row {knit.plan.rows.length - 1}</span>Bind off loosely, right side.
          </span>
          <b>0 st</b>
        </li>
      </ol>
      <p className="border-t border-rule px-4 py-2 text-[14.5px] leading-[19px]">
        {knit.plan.grams === null ? (
          <>About {Math.round(knit.plan.metres)} m of yarn for this piece, a tenth of it to spare. Weigh the swatch, and grams are said too.</>
        ) : (
          <>
            <b>{Math.ceil(knit.plan.grams)} g</b> of yarn for this piece, about {Math.round(knit.plan.metres)} m, a tenth of it to spare.
            {knit.all?.grams ? (
              <>
                {' '}
                <b>{Math.ceil(knit.all.grams)} g</b> for all pieces.
              </>
            ) : null}
          </>
        )}
      </p>
    </section>
  )
}
