import { formatLength, type Item, type Rig } from '@merry-tailor/core'
import { useState, type ReactNode } from 'react'
import { useOpenTicket } from '../bench'
import { SavedLength } from '../length-entry'
import { readingStyle, valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { SavedField } from '../ui/controls/SavedField'
import { PairTape } from '../ui/tape/PairTape'
import { tapeRange } from '../ui/tape/scale'
import { Mark } from '../ui/marks/Mark'
import { verdictWord } from '../words/verdicts'
import { AsOnOther } from './AsOnOther'
import { DRAFT_MISSES, DRAFT_NAMES } from './draft-names'
import { useDraftStraps, type DraftRow, type DraftStraps } from './use-draft-straps'
import { Problem } from '../ui/controls/Problem'

interface StrapTableProps {
  item: Item
  rig: Rig | undefined
  className?: string
  /** What stands over the list: a clock, a tape in stride. */
  above?: (straps: DraftStraps) => ReactNode
  /** Under it. */
  children?: (straps: DraftStraps) => ReactNode
}

const COLUMNS = 'grid grid-cols-[16px_minmax(0,1fr)_50px_50px_50px_22px] items-center gap-x-1 whitespace-nowrap'

/** Straps in the order they are set: where each starts, how it is set left and right, which to shorten; one open at a time. */
export function StrapTable({ item, rig, className = '', above, children }: StrapTableProps) {
  const straps = useDraftStraps(item, rig)
  const { sheet } = useOpenTicket()
  const look = useAppSelector((state) => state.settings)
  const style = { ...readingStyle(look), unit: look.unit }
  const say = (mm: number): string => formatLength(mm, style).text
  const bare = (mm: number): string => say(mm).replace(/ (in|cm)$/, '')
  // A start is no finer than its spread.
  const about = (mm: number): string => formatLength(mm, { ...valueStyle(look), unit: look.unit }).text.replace(/ (in|cm)$/, '')
  const [open, setOpen] = useState<string | null>(null)
  if (!straps) return null
  const { rows, start } = straps
  const done = rows.filter(({ now }) => now).length
  return (
    <section aria-label="Straps, in order" className={`quiet-scroll min-h-0 bg-panel ${className}`}>
      <h2 className="flex flex-wrap items-baseline justify-between gap-x-3 border-b-2 border-ink px-4 py-2 text-[19px] leading-6">
        Straps, in order
        <span className="font-text text-[14px] text-mute">
          {look.unit}, {done} of {rows.length} set
        </span>
      </h2>
      {above?.(straps)}
      <p aria-hidden className={`${COLUMNS} border-b border-rule py-0.5 pr-3 pl-3 text-right text-[13px] text-mute`}>
        <span className="col-start-3">start</span>
        <span>left</span>
        <span>right</span>
      </p>
      <ol>
        {rows.map((row, i) => (
          <li
            key={row.part}
            className={`border-b border-rule ${open === row.part ? 'border-l-[5px] border-l-ink bg-bench' : 'border-l-[5px] border-l-transparent'}`}
          >
            <button
              type="button"
              aria-expanded={open === row.part}
              onClick={() => setOpen(open === row.part ? null : row.part)}
              className={`${COLUMNS} min-h-12 w-full py-1 pr-3 pl-2 text-left`}
            >
              <span className="text-[14px] text-mute">{i + 1}</span>
              <span className="min-w-0">
                <b className="block text-[16px] leading-5 whitespace-nowrap">{DRAFT_NAMES[row.part]}</b>
                <span className="block text-[13px] leading-4 whitespace-nowrap text-mute">
                  {row.start.from === 'read' ? 'by its tape' : `${about(row.start.leastMm)} to ${about(row.start.mostMm)}`}
                </span>
              </span>
              <b className="text-right text-[14.5px]">{about(row.start.startMm)}</b>
              <SetWords row={row} bare={bare} />
              <span className="sr-only">{row.now ? verdictWord(row.grade, 'predicted') : 'not set yet'}</span>
              <span className="justify-self-end">
                <Mark grade={row.grade} basis="predicted" size={17} />
              </span>
            </button>
            {open === row.part && <OpenRow row={row} straps={straps} say={say} locked={sheet.ticket.state === 'closed'} />}
          </li>
        ))}
      </ol>
      <Problem className="px-4 py-1">{straps.problem}</Problem>
      {start.misses.length > 0 && (
        <ul className="px-4 py-2 text-[14.5px] leading-[18px]">
          {start.misses.map(({ code, byMm }) => (
            <li key={code} className="font-bold text-chalk">
              {DRAFT_MISSES[code]}: {say(byMm)}.
            </li>
          ))}
        </ul>
      )}
      {sheet.ticket.state !== 'closed' && <AsOnOther family={item.family} straps={straps} say={say} />}
      {children?.(straps)}
    </section>
  )
}

/** What is set: one value where one slider sets it, two where there are two. */
function SetWords({ row: { now, pair }, bare }: { row: DraftRow; bare: (mm: number) => string }) {
  if (!now) return <span className="col-span-2 text-center text-[14px] text-mute">not set</span>
  if (!pair) return <b className="col-span-2 text-center text-[14.5px]">{bare(now.leftMm)}</b>
  return (
    <>
      <b className="text-right text-[14.5px]">{bare(now.leftMm)}</b>
      <b className="text-right text-[14.5px]">{bare(now.rightMm ?? now.leftMm)}</b>
    </>
  )
}

/** The strap in hand: what to shorten first, both sides on one tape, and the two lengths as a tape finds them. */
function OpenRow({ row, straps, say, locked }: { row: DraftRow; straps: DraftStraps; say: (mm: number) => string; locked: boolean }) {
  const { unit, ...rest } = useAppSelector((state) => state.settings)
  const look = { ...readingStyle({ unit, ...rest }), unit }
  const { part, pair, start, now, shorten } = row
  const [left, right] = [now?.leftMm ?? start.startMm, now?.rightMm ?? now?.leftMm ?? start.startMm]
  const [fromMm, toMm] = tapeRange(unit, [Math.min(left, right) - 14, Math.max(left, right) + 14])
  return (
    <div className="space-y-2 px-3 pb-3">
      {shorten ? (
        <p className="text-[18px] leading-[22px] font-bold">
          Shorten {shorten.side} {say(shorten.byMm)}
          <span className="block text-[14.5px] font-normal">Over {say(5)} apart: make them equal first.</span>
        </p>
      ) : !now ? (
        <p className="text-[14.5px]">Set it near {say(start.startMm)}, then lay a tape along it and type what it is.</p>
      ) : null}
      {pair && now && (
        <PairTape look={look} fromMm={fromMm} toMm={toMm} leftMm={left} rightMm={right} goalMm={null} title={`left ${say(left)}, right ${say(right)}`} />
      )}
      {!locked && (
        <div className="grid grid-cols-2 gap-2">
          {(pair ? (['left', 'right'] as const) : (['both'] as const)).map((side) => (
            <div key={side} className="space-y-2">
              <SavedLength
                label={pair ? `${DRAFT_NAMES[part]}, ${side}` : DRAFT_NAMES[part]}
                mm={side === 'right' ? right : left}
                least={1}
                most={3000}
                onSave={async (mm) =>
                  (await straps.set(part, side, mm, straps.markOf(part, side))) ? { kept: true } : { kept: false, problem: 'Not kept; it stays here.' }
                }
              />
              {now && (
                <SavedField
                  label="Mark on the webbing"
                  value={straps.markOf(part, side)}
                  maxLength={40}
                  onSave={async (mark) =>
                    (await straps.set(part, side, side === 'right' ? right : left, mark.trim()))
                      ? { kept: true }
                      : { kept: false, problem: 'Not kept; it stays here.' }
                  }
                />
              )}
            </div>
          ))}
          {!now && (
            <button
              type="button"
              onClick={() => void straps.set(part, 'both', start.startMm)}
              className="min-h-11 self-end rounded-[2px] border-2 border-ink px-2 font-bold hover:bg-bench"
            >
              It is {say(start.startMm)}
            </button>
          )}
        </div>
      )}
      {part === 'rear' && (
        <p className="text-[14px] leading-[18px] text-mute">Start long: how far a hind paw reaches is a guess until it was seen in stride.</p>
      )}
    </div>
  )
}
