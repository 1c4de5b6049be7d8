import { sliderMoves, type DraftPart, type FamilyId, type SetOnDog, type StrapSides } from '@merry-tailor/core'
import { useState } from 'react'
import { useSetOnDogsQuery } from '../api/queries'
import { useOpenTicket } from '../bench'
import { useOnce } from '../state/use-once'
import { draftName } from './draft-names'
import type { DraftStraps } from './use-draft-straps'

/** So many dogs are offered. */
const SHOWN = 3

/** Straps as they are set on another dog in the same kind: how many sliders move, which, and how far. */
export function AsOnOther({ family, straps, say }: { family: FamilyId; straps: DraftStraps; say: (mm: number) => string }) {
  const { sheet } = useOpenTicket()
  const { data: others = [] } = useSetOnDogsQuery(family)
  const [open, setOpen] = useState<string | null>(null)
  const once = useOnce()
  const parts = straps.rows.map(({ part }): string => part)
  const sets = others
    .filter(({ dogId, straps: set }) => dogId !== sheet.dog?.id && Object.keys(set).some((part) => parts.includes(part)))
    .slice(0, SHOWN)
    .map((each) => ({ each, key: `${each.dogId} ${JSON.stringify(each.of)}` }))
  if (sets.length === 0) return null
  // What is set here; what is not yet, as it would start.
  const now = Object.fromEntries(
    straps.rows.map(({ part, pair, start, now: set }): [string, StrapSides] => [
      part,
      set ?? { leftMm: start.startMm, rightMm: pair ? start.startMm : null, doubled: false },
    ]),
  )
  const wanted = (of: SetOnDog): Record<string, StrapSides> =>
    Object.fromEntries(
      Object.entries(of.straps).flatMap(([part, sides]) => {
        const row = straps.rows.find((each) => each.part === part)
        return row ? [[part, { ...sides, rightMm: row.pair ? (sides.rightMm ?? sides.leftMm) : null }]] : []
      }),
    )
  const own = (): Record<string, StrapSides> =>
    Object.fromEntries(
      Object.entries(now).map(([part, sides]) => [part, straps.rows.find((each) => each.part === part)?.pair ? sides : { ...sides, rightMm: null }]),
    )
  const writeAll = async (set: Record<string, StrapSides>): Promise<boolean> => {
    for (const [part, { leftMm, rightMm }] of Object.entries(set)) {
      const even = rightMm === null || Math.abs(rightMm - leftMm) < 0.1
      if (!(await straps.set(part as DraftPart, even ? 'both' : 'left', leftMm))) return false
      if (!even && !(await straps.set(part as DraftPart, 'right', rightMm))) return false
    }
    setOpen(null)
    return true
  }
  return (
    <div className="space-y-2 px-4 py-2">
      {sets.map(({ each, key }) => {
        const moves = sliderMoves(family, own(), wanted(each))
        return (
          <div key={key}>
            <button
              type="button"
              aria-expanded={open === key}
              onClick={() => setOpen(open === key ? null : key)}
              className="flex min-h-11 w-full items-center justify-between gap-3 rounded-[2px] border-2 border-edge px-3 text-left aria-expanded:border-ink"
            >
              <b>Set as on {each.dog}</b>
              <span className="text-[14.5px]">
                {moves.length === 0 ? 'nothing moves' : moves.length === 1 ? 'one slider moves' : `${moves.length} sliders move`}
              </span>
            </button>
            {open === key && (
              <div className="border-x-2 border-b-2 border-ink px-3 py-2">
                <ol className="text-[15px]">
                  {moves.map(({ strap, side, byMm }, i) => (
                    <li key={i} className="flex justify-between gap-3 border-b border-rule py-1">
                      <span>
                        {draftName(strap)}
                        {side === null ? '' : `, ${side}`}
                      </span>
                      <b>
                        {byMm < 0 ? 'in' : 'out'} {say(Math.abs(byMm))}
                      </b>
                    </li>
                  ))}
                </ol>
                <button
                  type="button"
                  onClick={() => void once(() => writeAll(wanted(each)))}
                  className="mt-2 min-h-11 rounded-[2px] border-2 border-ink px-3 font-bold hover:bg-bench"
                >
                  Every strap is set so
                </button>
                <p className="pt-1 text-[14px] leading-[18px] text-mute">Another dog’s set is only where to begin: look at every check on this one.</p>
              </div>
            )}
          </div>
        )
      })}
    </div>
  )
}
