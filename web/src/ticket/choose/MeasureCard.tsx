import { formatLength, spareOf, type LengthStyle, type MeasureFit, type RankedSize, type SizedBody } from '@merry-tailor/core'
import type { OfferFace } from '../../words/offer-face'
import { Worded } from '../../ui/length/Worded'
import { VerdictWord } from '../../said/VerdictWord'
import { dangerWords } from '../../words/dangers'
import { measureName } from '../../words/stages'
import { useOpenTicket } from '../../bench'
import { isWeight } from '../../words/misses'
import { amountText } from '../../ui/length/amount-text'
import { overlapWords } from './overlap-words'
import { SizeTape } from '../../sizes/SizeTape'
import { lowerFirst } from '../../words/first-letter'

const DISC = { holds: 'bg-holds', doubt: 'bg-chalk', fails: 'bg-snag', none: 'bg-mute' } as const

interface MeasureCardProps {
  /** Its number on the dog; `null` where the dog carries other numbers. */
  n: number | null
  fit: MeasureFit
  size: RankedSize
  table: OfferFace
  body: SizedBody
  first: boolean
  look: LengthStyle & { unit: 'in' | 'cm' }
}

/** One measure of one size: where the dog's spread lies on the tape, the room both ways, and what a miss would do. */
export function MeasureCard({ n, fit, size, table, body, first, look }: MeasureCardProps) {
  const { name } = useOpenTicket()
  const say = (mm: number): string => formatLength(Math.abs(mm), look).text
  const { danger } = fit
  const spareMm = spareOf(fit)
  const endangered = danger && (fit.grade === 'fails' || fit.grade === 'doubt') ? dangerWords(danger) : ''
  return (
    <article
      className={`border-[1.5px] bg-panel px-4 pt-2.5 pb-3 ${fit.grade === 'fails' ? 'border-2 border-snag' : fit.guess ? 'border-dashed border-ink' : 'border-ink'}`}
    >
      <div className="mb-0.5 flex flex-wrap items-center justify-between gap-x-3">
        <h3 className="flex items-center gap-2 text-[18px] leading-[22px]">
          {n !== null && (
            <span
              className={`inline-flex h-[19px] w-[19px] items-center justify-center rounded-full font-text text-[14px] leading-none font-bold text-panel ${DISC[fit.grade]}`}
            >
              {n}
            </span>
          )}
          {measureName(fit.measure)}
        </h3>
        <VerdictWord grade={fit.grade} basis="predicted" size={19} />
      </div>
      <SizeTape table={table} measure={fit.measure} hit={size.label} body={body} look={look} live={first && fit.measure === size.because.measure} height={26} />
      <p className="mt-1">
        <Worded text={overlapWords(fit, table.way === 'made' ? `what ${table.maker} cuts` : size.label, name, look)} />
      </p>
      {table.way === 'made' && fit.mm !== null && !fit.guess && (
        <p className="text-[14px] leading-[18px] text-mute">
          {table.maker} cuts by <Worded text={amountText(fit.measure, fit.mm, look, true)} />.
        </p>
      )}
      {spareMm && !fit.guess && table.way !== 'made' && !isWeight(fit.measure) && fit.grade !== 'fails' && (
        <p className="text-[14px] leading-[18px] text-mute">
          <Worded text={`Room down ${spareMm.below >= 0 ? say(spareMm.below) : 'none'}, room up ${spareMm.above >= 0 ? say(spareMm.above) : 'none'}.`} />
        </p>
      )}
      {endangered && (
        <p className="text-[14px] leading-[18px]">
          <b>If it misses:</b> {lowerFirst(endangered)}.
        </p>
      )}
    </article>
  )
}
