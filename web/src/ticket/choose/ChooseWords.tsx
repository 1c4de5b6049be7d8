import { families } from '@merry-tailor/core'
import type { OfferFace } from '../../words/offer-face'

/** What the yellow button does with the size in question, in its own words. */
export function ChooseWords({
  labels,
  follows,
  table,
  known,
  guessed,
  waitsFor,
  soldOut,
  notNow,
  out,
  cut,
}: {
  labels: readonly string[]
  follows: boolean
  table: OfferFace | undefined
  known: number
  guessed: boolean
  /** Why a piece made to measure cannot be ordered yet. */
  waitsFor: string
  /** What does not hang on the shelf. */
  soldOut: string
  /** Why it should not be ordered now. */
  notNow: string
  /** The first answer is not there yet. */
  out: boolean
  /** Nobody's sizes: it is cut from the tapes here. */
  cut: boolean
}) {
  if (out) return <span className="font-bold">A moment</span>
  if (cut)
    return (
      <span>
        <span className="block text-[19px] leading-[23px] font-bold">Its pieces</span>
        <span className="text-[14px] font-semibold">from the tapes, to cut or knit</span>
      </span>
    )
  if (table?.way === 'made' && labels.length === 0)
    return (
      <span>
        <span className="block text-[18px] leading-[22px] font-bold">Waits for its tapes</span>
        <span className="text-[14px]">{waitsFor || `${table.maker} cuts by what is read, not by guesses`}</span>
      </span>
    )
  if (!table || labels.length === 0) return <span className="font-bold">{known === 0 ? 'Waits for a tape' : 'No size is near'}</span>
  if (table.way === 'made') {
    return (
      <span>
        <span className="block text-[18px] leading-[22px] font-bold">Order it made to measure</span>
        <span className="text-[14px]">
          from {table.maker}
          {notNow && <b>; {notNow}</b>}
        </span>
      </span>
    )
  }
  const [first, second] = labels
  return (
    <span>
      <span className="block text-[19px] leading-[23px] font-bold">
        {second ? `Try ${first}, then ${second}` : guessed ? `Start with ${first}` : `Try ${first}`}
      </span>
      <span className="text-[14px] font-semibold">
        {notNow !== ''
          ? notNow
          : soldOut !== ''
            ? soldOut
            : second && families[table.family].shelf === 'pulling'
              ? 'pulled back by hand'
              : !follows
                ? 'against the bench’s advice'
                : guessed
                  ? `a guess; no tape of ${table.maker}’s yet`
                  : table.maker}
      </span>
    </span>
  )
}
