import { measures } from '@merry-tailor/core'
import { familyName } from '../../words/stages'
import { ordinal } from './ReadingsList'
import type { TapeRow } from './use-tapes'

/** Name of the tape in hand, which reading it is, and how to take it. */
export function MeasureHead({ row, kept, oneSide }: { row: TapeRow; kept: number; oneSide: boolean }) {
  const measure = measures[row.tape.measure]
  if (!measure) return null
  const rule = measure.rule === 'largest' ? 'Largest counts.' : measure.rule === 'shortest' ? 'On doubt the shorter counts.' : ''
  const wanted = [...new Set(row.tape.items.map((item) => familyName(item.family)))].join(', ')
  return (
    <header className="shrink-0 border-b-2 border-ink bg-bench px-5 pt-1.5 pb-2.5">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h1 className="text-[28px] leading-[34px]">{measure.name}</h1>
        <p className="text-[15.5px] text-mute">
          {oneSide ? 'One side, then doubled. ' : ''}
          {ordinalWord(kept + 1)} reading. {rule}
        </p>
      </div>
      {measure.howTo ? (
        <dl className="mt-1 grid grid-cols-3 gap-4 text-[15px] leading-[19px]">
          {(
            [
              ['Stand', measure.howTo.stand],
              ['How tight', measure.howTo.howTight],
              ['Usual slip', measure.howTo.usualSlip],
            ] as const
          ).map(([name, text]) => (
            <div key={name}>
              <dt className="font-bold">{name}</dt>
              <dd className="text-mute">{text}</dd>
            </div>
          ))}
        </dl>
      ) : (
        <p className="text-mute">{measure.path}</p>
      )}
      {wanted && <p className="sr-only">Wanted for {wanted}</p>}
    </header>
  )
}

const WORDS = ['First', 'Second', 'Third', 'Fourth', 'Fifth'] as const
const ordinalWord = (n: number): string => WORDS[n - 1] ?? ordinal(n)
