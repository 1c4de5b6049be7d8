import { roundVerdict, wornAbout, type Item, type TryOn } from '@merry-tailor/core'
import { pieceWorn, useOpenTicket, strapsIn } from '../../bench'
import { VerdictWord } from '../../said/VerdictWord'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { clock } from '../../state/today'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { roundWord } from '../../words/verdicts'
import { movedWords, movesBetween, spanWords } from './moves'
import { useElapsed } from './use-elapsed'

/** The rounds of an item, newest first: how each ended, how long it took, what was moved in it. */
export function RoundList({
  item,
  rounds,
  current,
  onPick,
}: {
  item: Item
  rounds: readonly TryOn[]
  current: TryOn | undefined
  onPick: (id: string) => void
}) {
  const { sheet } = useOpenTicket()
  const straps = (round: TryOn, at?: TryOn) =>
    strapsIn(sheet.settings, { itemId: item.id, pieceId: pieceWorn(round.of, sheet.choices) }, sheet.dog?.id ?? null, at)
  const last = rounds.at(-1)
  const soFar = useElapsed(last?.at ?? null)
  return (
    <>
      {rounds
        .map((round, i) => {
          const after = rounds[i + 1]
          return {
            round,
            number: i + 1,
            seconds: after ? (after.seconds ?? null) : soFar,
            moves: after ? (after.moves ?? []) : movesBetween(item.family, straps(round, round), straps(round)),
          }
        })
        .reverse()
        .map((row) => (
          <RoundRow key={row.round.id} {...row} item={item} isNow={row.round === last} current={row.round === current} onPick={() => onPick(row.round.id)} />
        ))}
    </>
  )
}

interface RoundRowProps {
  round: TryOn
  number: number
  seconds: number | null
  moves: NonNullable<TryOn['moves']>
  item: Item
  /** It is the round that is on the dog. */
  isNow: boolean
  current: boolean
  onPick: () => void
}

function RoundRow({ round, number, seconds, moves, item, isNow, current, onPick }: RoundRowProps) {
  const { sheet } = useOpenTicket()
  const settings = useAppSelector((state) => state.settings)
  const verdict = roundVerdict(item.family, round, wornAbout(sheet))
  const moved = movedWords(moves, (mm) => lengthText(mm, { ...valueStyle(settings) }, true))
  return (
    <li className="border-b border-rule">
      <button
        type="button"
        aria-pressed={current}
        onClick={onPick}
        className={`block min-h-[62px] w-full border-l-[5px] py-2 pr-3 pl-[11px] text-left ${current ? 'border-ink bg-bench' : 'border-transparent'}`}
      >
        <span className="flex items-baseline justify-between gap-2">
          <span className="text-[17px] font-bold">
            {number}. {round.label}
          </span>
          <span className="text-[14px] text-mute">{clock(round.at)}</span>
        </span>
        <VerdictWord grade={verdict.grade} basis="seen" word={roundWord(verdict)} size={18} />
        <span className="block text-[14px] leading-[18px] text-mute">
          {seconds !== null && (
            <span className="block">
              {spanWords(seconds)}
              {isNow ? ' so far' : ''}
            </span>
          )}
          {round.by && round.by !== settings.fitter ? <span className="block">{round.by}</span> : null}
          {round.changed && <span className="block">{round.changed}</span>}
          {moved.map((words) => (
            <span key={words} className="block text-ink">
              <Worded text={words} />
            </span>
          ))}
          {isNow && seconds !== null && moved.length === 0 && <span className="block">Nothing moved yet</span>}
        </span>
      </button>
    </li>
  )
}
