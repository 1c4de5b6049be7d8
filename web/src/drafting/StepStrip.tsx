import { formatLength, minutesByStep, PLAIN_CIRCUMSTANCES, type Item, type Rig } from '@merry-tailor/core'
import { useState } from 'react'
import { useActs, useOpenTicket } from '../bench'
import { SavedLength } from '../length-entry'
import { readingStyle, valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { Mark } from '../ui/marks/Mark'
import { verdictWord } from '../words/verdicts'
import { DRAFT_NAMES } from './draft-names'
import { useDraftStraps, type DraftRow, type DraftStraps } from './use-draft-straps'
import { Problem } from '../ui/controls/Problem'

interface StepStripProps {
  item: Item
  rig: Rig | undefined
  /** When this round began, and how long it goes on; `null`: it is over. */
  begunAt: string | null
  soFar: string | null
}

/** Setting a drafting harness strap by strap with a clock: what each starts at, what it was set to, what it took. */
export function StepStrip({ item, rig, begunAt, soFar }: StepStripProps) {
  const straps = useDraftStraps(item, rig)
  const { sheet } = useOpenTicket()
  const look = useAppSelector((state) => state.settings)
  const style = { ...readingStyle(look), unit: look.unit }
  const say = (mm: number): string => formatLength(mm, style).text
  const bare = (mm: number): string => say(mm).replace(/ (in|cm)$/, '')
  const about = (mm: number): string => formatLength(mm, { ...valueStyle(look), unit: look.unit }).text
  const [picked, setPicked] = useState<string | null>(null)
  if (!straps) return <p className="flex-1 self-center px-5 py-2 text-mute">No form to lay straps on yet: take the girth and the neck first.</p>
  const { rows } = straps
  const took = minutesByStep(straps.own, begunAt)
  const next = rows.find(({ now }) => !now)
  const open = rows.find(({ part }) => part === (picked ?? next?.part)) ?? null
  const whole = Object.values(took).reduce((sum, each) => sum + each, 0)
  return (
    <section aria-label="Straps" className="min-w-0 flex-1 bg-panel">
      <p className="flex flex-wrap items-baseline gap-x-4 border-b border-rule px-4 py-1 text-[14.5px]">
        <b>{next ? `Next: ${DRAFT_NAMES[next.part]}, near ${about(next.start.startMm)}` : 'Every strap is set'}</b>
        <span className="text-mute">
          {soFar !== null ? `${soFar} so far` : whole > 0 ? `set in ${Math.round(whole)} min` : ''}
          {item.family === 'H23' ? ' First setting: about 2 hours is usual.' : ' First setting: 1 to 2 hours is usual.'}
        </span>
      </p>
      <ol className="quiet-scroll flex overflow-x-auto max-phone:flex-col">
        {rows.map((row, i) => (
          <li key={row.part} className="min-w-[118px] flex-1 border-r border-rule">
            <button
              type="button"
              aria-expanded={open?.part === row.part}
              onClick={() => setPicked(row.part)}
              className={`min-h-[60px] w-full px-2 py-1 text-left ${open?.part === row.part ? 'bg-bench shadow-[inset_0_4px_0_var(--ink)]' : ''}`}
            >
              <span className="flex items-center justify-between gap-1 text-[14px] leading-[18px] whitespace-nowrap">
                <span>
                  {i + 1} <b>{DRAFT_NAMES[row.part]}</b>
                </span>
                <Mark grade={row.grade} basis="predicted" size={14} />
              </span>
              <span className="block text-[17px] leading-[22px] font-bold whitespace-nowrap">
                {setWords(row, bare) ?? <span className="font-normal text-mute">{about(row.start.startMm)}?</span>}
              </span>
              <span className="block text-[13px] leading-4 text-mute">{(took[row.part] ?? 0) < 0.5 ? '' : `${Math.round(took[row.part] ?? 0)} min`}</span>
              <span className="sr-only">{row.now ? verdictWord(row.grade, 'predicted') : 'not set yet'}</span>
            </button>
          </li>
        ))}
      </ol>
      {open && sheet.ticket.state !== 'closed' && (
        <OpenStep key={open.part} row={open} straps={straps} say={say} onDone={() => setPicked((now) => (now === open.part ? null : now))} />
      )}
      <Problem className="px-4 pb-1">{straps.problem}</Problem>
    </section>
  )
}

const setWords = ({ now, pair }: DraftRow, bare: (mm: number) => string): string | null =>
  !now ? null : !pair || now.rightMm === null || Math.abs(now.rightMm - now.leftMm) < 1 ? bare(now.leftMm) : `${bare(now.leftMm)} | ${bare(now.rightMm)}`

/** The strap in hand: its length as a tape finds it, both sides where there are two; the rear trace in stride. */
function OpenStep({ row, straps, say, onDone }: { row: DraftRow; straps: DraftStraps; say: (mm: number) => string; onDone: () => void }) {
  const { part, pair, start, now, shorten } = row
  const keep = async (side: 'left' | 'right' | 'both', mm: number) => ((await straps.set(part, side, mm)) ? ({ kept: true } as const) : ({ kept: false, problem: 'Not kept; it stays here.' } as const)) // prettier-ignore
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-rule bg-bench px-4 py-2">
      {(pair ? (['left', 'right'] as const) : (['both'] as const)).map((side) => (
        <div key={side} className="w-[168px]">
          <SavedLength
            label={pair ? `${DRAFT_NAMES[part]}, ${side}` : DRAFT_NAMES[part]}
            mm={side === 'right' ? (now?.rightMm ?? now?.leftMm ?? start.startMm) : (now?.leftMm ?? start.startMm)}
            least={1}
            most={3000}
            onSave={(mm) => keep(side, mm)}
          />
        </div>
      ))}
      {!now && (
        <button
          type="button"
          onClick={() => void straps.set(part, 'both', start.startMm).then(onDone)}
          className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-3 font-bold"
        >
          It is {say(start.startMm)}
        </button>
      )}
      <p className="min-w-[200px] flex-1 text-[14.5px] leading-[18px]">
        {shorten ? (
          <b className="text-chalk">
            Shorten {shorten.side} {say(shorten.byMm)}: over {say(5)} apart.
          </b>
        ) : (
          <span className="text-mute">
            Starts between {say(start.leastMm)} and {say(start.mostMm)}
            {start.from === 'read' ? ', by its own tape' : ', from the form'}.
          </span>
        )}
      </p>
      {part === 'rear' && <InStride say={say} />}
    </div>
  )
}

/** M47, asked for where it can be read: in the harness, hind legs in full stride. */
function InStride({ say }: { say: (mm: number) => string }) {
  const { body } = useOpenTicket()
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const acts = useActs()
  const sides = ['left', 'right'] as const
  const read = (side: 'left' | 'right'): number | null => body[`M47/${side}`]?.mm ?? null
  const known = body.M47?.mm ?? null
  return (
    <div className="flex w-full flex-wrap items-end gap-x-4 gap-y-2 border-t border-rule pt-2">
      <p className="min-w-[220px] flex-1 text-[14.5px] leading-[18px]">
        <b>In stride (M47).</b> In harness, hind legs in full stride: side ring to bar, taut.{' '}
        {known === null ? <span className="text-mute">Until it is read the start is a guess.</span> : `Read: ${say(known)}.`}
      </p>
      {sides.map((side) => (
        <div key={side} className="w-[168px]">
          <SavedLength
            label={`Ring to bar, ${side}`}
            mm={read(side) ?? known ?? 0}
            least={100}
            most={3000}
            onSave={async (mm) => {
              const { error } = await acts.read({
                ...PLAIN_CIRCUMSTANCES,
                measure: 'M47',
                mm,
                side: 'both',
                place: side,
                asTyped: say(mm),
                unit,
                takenAt: new Date().toISOString(),
                by: fitter,
              })
              return error ? { kept: false, problem: 'Not kept; it stays here.' } : { kept: true }
            }}
          />
        </div>
      ))}
    </div>
  )
}
