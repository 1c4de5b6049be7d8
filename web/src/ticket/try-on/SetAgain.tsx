import { roundVerdict, sliderMoves, strapsOf, wornAbout, type Item, type StrapSides, type TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { useSetOnDogsQuery } from '../../api/queries'
import { useOpenTicket, strapsIn, type SetThing } from '../../bench'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { clock, dayWords } from '../../state/today'
import { useOnce } from '../../state/use-once'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { strapName } from '../../words/foretold'
import type { StrapPlan } from './use-strap-plan'

interface Set {
  key: string
  title: string
  note: string
  straps: Readonly<Record<string, StrapSides>>
}

/** Straps set once need not be set by eye again: as they were on this dog, and as the same kind is on another. */
export function SetAgain({ item, thing, rounds, plan }: { item: Item; thing: SetThing; rounds: readonly TryOn[]; plan: StrapPlan }) {
  const { sheet } = useOpenTicket()
  const { data: others = [] } = useSetOnDogsQuery(item.family)
  const [open, setOpen] = useState<string | null>(null)
  const dogId = sheet.dog?.id ?? null
  const held = rounds.findLast((round) => roundVerdict(item.family, round, wornAbout(sheet)).grade === 'holds')
  const own = held ? strapsIn(sheet.settings, thing, dogId, held) : plan.settings
  const known = (straps: Readonly<Record<string, StrapSides>>) =>
    Object.fromEntries(Object.entries(straps).filter(([id]) => plan.straps.some((strap) => strap.id === id)))
  const sets: Set[] = [
    ...(Object.keys(known(own)).length > 0
      ? [{ key: 'own', title: 'After washing', note: held ? `as it held, ${clock(held.at)}` : 'as it was set last', straps: known(own) }]
      : []),
    ...others
      .filter((each) => each.dogId !== dogId && Object.keys(known(each.straps)).length > 0)
      .slice(0, 6)
      .map((each) => ({
        key: `${each.dogId} ${JSON.stringify(each.of)}`,
        title: `As on ${each.dog}`,
        note: `${each.label === '' ? '' : `${each.label}, `}${dayWords(each.at.slice(0, 10))}`,
        straps: known(each.straps),
      })),
  ]
  if (sets.length === 0) return null
  const shown = sets.find(({ key }) => key === open)
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center px-4 font-bold">After washing, or as on another dog</summary>
      <div className="flex flex-wrap gap-2 px-4 pb-2">
        {sets.map((set) => (
          <button
            key={set.key}
            type="button"
            aria-pressed={set.key === open}
            onClick={() => setOpen(set.key === open ? null : set.key)}
            className="min-h-11 rounded-[2px] border-2 border-edge px-3 text-left text-[14.5px] aria-pressed:border-ink aria-pressed:bg-bench"
          >
            <b>{set.title}</b> <span className="text-mute">{set.note}</span>
          </button>
        ))}
      </div>
      {shown && <OneSet key={shown.key} set={shown} item={item} now={plan.settings} onSet={() => writeAll(shown.straps, plan.set)} />}
    </details>
  )
}

/** Each strap of a set as a setting of today. */
async function writeAll(straps: Set['straps'], set: StrapPlan['set']): Promise<boolean> {
  for (const [id, { leftMm, rightMm }] of Object.entries(straps)) {
    const even = rightMm === null || Math.abs(rightMm - leftMm) < 0.1
    if (!(await set(id, even ? 'both' : 'left', leftMm))) return false
    if (!even && !(await set(id, 'right', rightMm))) return false
  }
  return true
}

function OneSet({ set, item, now, onSet }: { set: Set; item: Item; now: Readonly<Record<string, StrapSides>>; onSet: () => Promise<boolean> }) {
  const once = useOnce()
  const look = useAppSelector((state) => state.settings)
  const say = (mm: number): string => lengthText(mm, valueStyle(look), true)
  const own = Object.fromEntries(Object.entries(now).filter(([id]) => strapsOf(item.family).some((strap) => strap.id === id)))
  const moves = sliderMoves(item.family, own, set.straps).length
  return (
    <div className="px-4 pb-3">
      <dl className="grid max-w-[420px] grid-cols-[1fr_auto] gap-x-4">
        {Object.entries(set.straps).map(([id, { leftMm, rightMm }]) => (
          <div key={id} className="contents">
            <dt>{strapName(id)}</dt>
            <dd className="text-right font-bold">
              <Worded text={rightMm === null || Math.abs(rightMm - leftMm) < 1 ? say(leftMm) : `left ${say(leftMm)}, right ${say(rightMm)}`} />
            </dd>
          </div>
        ))}
      </dl>
      <button type="button" onClick={() => void once(onSet)} className="mt-2 min-h-11 rounded-[2px] border-2 border-ink px-3 font-bold hover:bg-bench">
        Set so{moves > 0 ? `: ${moves === 1 ? 'one slider moves' : `${moves} sliders move`}` : ' again'}
      </button>
      <p className="pt-1 text-[14px] text-mute">Lay a tape along each strap and set it; then try it on. Another dog’s set is only where to begin.</p>
    </div>
  )
}
