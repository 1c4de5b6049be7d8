import { rankSizes, type PawSize, type SizeTable } from '@merry-tailor/core'
import { Link } from 'react-router'
import { VerdictWord } from '../../said/VerdictWord'
import { SizeTape } from '../../sizes/SizeTape'
import { useShop } from '../../state/use-shop'
import type { LengthStyle } from '@merry-tailor/core'
import { Worded } from '../../ui/length/Worded'
import type { TapeUnit } from '../../ui/tape/scale'
import { lengthOf, widthOf, type PawNow } from './paw-data'

interface SizeCellProps {
  now: PawNow
  /** The chart as it sizes this paw; `null` where none is at hand. */
  table: SizeTable | null
  size: PawSize['size']
  /** A tape end moved by keys: what it would come to, mm. */
  tried: { measure: string; mm: number } | null
  odd: boolean
  live: boolean
  takeAt: string
  look: LengthStyle & { unit: TapeUnit }
  say: (mm: number) => string
}

/** A paw's size: its label, how sure it is, its width on the chart's bands, and what its length says. */
export function SizeCell({ now, table, size: kept, tried, odd, live, takeAt, look, say }: SizeCellProps) {
  const { views } = useShop()
  const [width, length] = [widthOf(now.paw), lengthOf(now.paw)]
  const known = (id: string, tape: PawNow['width']) =>
    tried?.measure === id ? { mm: tried.mm, sigmaMm: 2 } : tape ? { mm: tape.mm, sigmaMm: tape.sigmaMm, guess: tape.from === 'guess' } : undefined
  const body = { [width]: known(width, now.width), [length]: known(length, now.length) }
  const size = tried && table ? (rankSizes(table, body, views)[0] ?? null) : kept
  const byLength = size?.perMeasure.find(({ measure }) => measure === length)
  return (
    <div className={`min-w-0 border-r border-rule px-2.5 py-1.5 text-[14.5px] leading-[18px] ${odd ? 'bg-chalk-bg' : ''}`}>
      <p className="flex flex-wrap items-center justify-between gap-x-2">
        <b className="text-[25px] leading-8">{size ? (size.grade === 'fails' ? `past ${size.label}` : size.label) : 'No size yet'}</b>
        {size && <VerdictWord grade={size.grade} basis="predicted" size={16} />}
      </p>
      {table && <SizeTape table={table} measure={width} hit={size?.label ?? null} body={body} look={look} live={live} height={22} />}
      {tried ? (
        <p className="font-semibold">Tried, not read. Esc puts it back.</p>
      ) : byLength?.mm != null && size ? (
        <p>
          <Worded text={`Length ${say(byLength.mm)}: ${lengthWords(size.label, byLength.grade, byLength.byMm ?? 0)}`} />
        </p>
      ) : (
        !size && (
          <p className="text-mute">
            Its width is open.{' '}
            <Link className="inline-flex min-h-11 items-center font-bold text-ink underline" to={takeAt}>
              Take it
            </Link>
          </p>
        )
      )}
    </div>
  )
}

const lengthWords = (label: string, grade: string, byMm: number): string =>
  grade === 'holds' ? `${label} too` : byMm > 0 ? 'long for it' : byMm < 0 ? 'short for it' : 'near its end'
