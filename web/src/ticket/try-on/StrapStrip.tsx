import {
  settingOrder,
  sliderMoves,
  strapsOf,
  unevenSides,
  type FamilyId,
  type Foretold,
  type Item,
  type SliderMove,
  type StartQuestion,
  type StartSettings,
  type StrapId,
  type StrapSides,
} from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { useActs, useBenchForm, useGauge, useOpenTicket } from '../../bench'
import { useStartSettings } from '../../form'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { useOnce } from '../../state/use-once'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { strapName } from '../../words/foretold'
import { problemWords } from '../../words/problems'

/** A hole of most webbing, about: what one press moves a strap by. Ours. */
const HOLE_MM: Readonly<Record<'in' | 'cm', number>> = { in: 25.4 / 4, cm: 5 }

/** “Draw in neck 1/2 in: slide 1/4 in, left”. */
export function moveWords(move: SliderMove, say: (mm: number) => string): string {
  const way = move.byMm < 0 ? 'Draw in' : 'Let out'
  const side = move.side === null ? '' : `, ${move.side}`
  return `${way} ${strapName(move.strap).toLowerCase()} ${say(Math.abs(move.byMm))}: slide ${say(Math.abs(move.sliderMm))}${side}`
}

interface StrapStripProps {
  item: Item
  foretold: Foretold
  settings: Readonly<Record<string, StrapSides>>
  /** Every check was seen to hold: the hand has decided, nothing is moved any more. */
  holds: boolean
}

/** The straps that can be set, in the order they are set: where each stands, how far it goes, and the next move. */
export function StrapStrip({ item, foretold, settings, holds }: StrapStripProps) {
  const { family } = item
  const { form } = useBenchForm()
  const gauge = useGauge()
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const say = (mm: number): string => lengthText(mm, style, true)
  const [apart, setApart] = useState(false)
  const [open, setOpen] = useState(false)
  const { set, problem } = useSet(item)
  const once = useOnce()
  const straps = settingOrder(family).flatMap((id) => strapsOf(family).find((strap) => strap.id === id && strap.adjusts) ?? [])
  // How far its straps go stays the same while they are set: asked as text, it is worked out once.
  const ranges = JSON.stringify(
    Object.fromEntries(Object.entries(foretold.lengths).flatMap(([id, each]) => (each ? [[id, { leastMm: each.leastMm, mostMm: each.mostMm }]] : []))),
  )
  const adjusters = useMemo(() => JSON.parse(ranges) as StartQuestion['adjusters'], [ranges])
  const canSet = straps.length > 0 && Object.keys(adjusters).length > 0
  const question = useMemo(() => (canSet ? { form, family, adjusters, gauge } : null), [canSet, form, family, adjusters, gauge])
  const start = useStartSettings(question)
  if (straps.length === 0)
    return <p className="border-b-2 border-ink bg-panel px-5 py-2.5 text-mute">Nothing to set: every strap is sewn. What does not hold wants another size.</p>
  const goal = goalOf(
    start,
    straps.map(({ id }) => id),
    settings,
  )
  const moves = goal && !holds ? sliderMoves(family, settings, goal) : []
  const [next, after] = moves
  // Both sides alike are one move.
  const both = !apart && next?.side === 'left' && after?.strap === next.strap && after.side === 'right' && Math.abs(after.byMm - next.byMm) < 0.5
  const unset = !holds && start !== null && straps.some(({ id }) => settings[id] === undefined)
  const uneven = unevenSides(Object.fromEntries(Object.entries(settings).filter(([id]) => straps.some((strap) => strap.id === id))))
  const press = async (): Promise<boolean> => {
    if (unset) {
      for (const { id } of straps) if (settings[id] === undefined && !(await set(id, 'both', start.straps[id] ?? foretold.straps[id] ?? 0))) return false
      return true
    }
    if (!next) return false
    const now = settings[next.strap] as StrapSides
    const from = next.side === 'right' ? (now.rightMm ?? now.leftMm) : now.leftMm
    return set(next.strap, both ? 'both' : (next.side ?? 'both'), from + next.byMm)
  }
  return (
    <section aria-label="Straps" className="border-b-2 border-ink bg-panel px-4 py-2">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 className="text-[17px] leading-6">
          <button type="button" aria-expanded={open} onClick={() => setOpen(!open)} className="min-h-11 font-bold underline">
            {open ? 'Fold the straps' : `Straps: ${straps.map(({ id }) => strapName(id).toLowerCase()).join(', ')}`}
          </button>
        </h2>
        {open && (
          <label className="inline-flex min-h-11 items-center gap-2">
            <input type="checkbox" checked={!apart} onChange={() => setApart(!apart)} className="h-5 w-5 accent-ink" />
            left = right
          </label>
        )}
        {uneven[0] && (
          <b className="text-chalk">
            {strapName(uneven[0].strap)}: {uneven[0].longer} is longer by <Worded text={say(uneven[0].byMm)} />
          </b>
        )}
      </header>
      <ul className="grid gap-x-5 gap-y-2 sm:grid-cols-2" hidden={!open}>
        {straps.map(({ id, ring }, i) => (
          <li key={id}>
            {(apart && settings[id] ? (['left', 'right'] as const) : (['both'] as const)).map((side) => {
              const now = settings[id]
              const mm = now && (side === 'right' ? (now.rightMm ?? now.leftMm) : now.leftMm)
              return (
                <OneStrap
                  key={side}
                  id={id}
                  n={i + 1}
                  side={side}
                  ring={ring}
                  mm={mm ?? null}
                  goalMm={start?.straps[id] ?? null}
                  range={foretold.lengths[id] ?? null}
                  look={style}
                  onMove={(by) => void once(() => set(id, side, (mm ?? start?.straps[id] ?? foretold.straps[id] ?? 0) + by))}
                />
              )
            })}
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="font-semibold text-snag">
          Not saved. {problem}
        </p>
      )}
      {(unset || next) && (
        <button
          type="button"
          onClick={() => void once(press)}
          className="mt-1.5 flex min-h-14 w-full items-center rounded-[2px] border-2 border-ink bg-tape px-4 py-1 text-left text-[17px] font-bold text-tape-ink"
        >
          {unset
            ? 'Start here: set every strap to its mark'
            : next && <Worded text={moveWords(both ? { ...next, side: null } : next, say) + (both ? ', left and right' : '')} />}
        </button>
      )}
      {!unset && goal && moves.length === 0 && !holds && <p className="py-1.5 text-mute">Every strap stands where it is foretold to hold. The hand decides.</p>}
      {start && start.misses.length > 0 && !holds && (
        <p className="pb-1 text-[14px] text-mute">
          Set as well as it goes, it would still miss {start.misses.length === 1 ? 'one check' : `${start.misses.length} checks`}: another size may do better.
        </p>
      )}
    </section>
  )
}

/** Where straps should stand, both sides alike. */
function goalOf(start: StartSettings | null, ids: readonly StrapId[], settings: Readonly<Record<string, StrapSides>>): Record<string, StrapSides> | null {
  if (!start) return null
  return Object.fromEntries(
    ids.flatMap((id) => {
      const mm = start.straps[id]
      return mm === undefined || settings[id] === undefined ? [] : [[id, { leftMm: mm, rightMm: settings[id].rightMm === null ? null : mm }]]
    }),
  )
}

/** Keeps where a strap stands. */
function useSet(item: Item): { set: (part: string, side: 'left' | 'right' | 'both', mm: number) => Promise<boolean>; problem: string | null } {
  const { sheet } = useOpenTicket()
  const acts = useActs()
  const [problem, setProblem] = useState<string | null>(null)
  return {
    problem,
    set: async (part, side, mm) => {
      const { error } = await acts.set({
        of: { itemId: item.id },
        dogId: sheet.dog?.id ?? null,
        part,
        side,
        mm: Math.round(Math.max(1, mm) * 10) / 10,
        mark: '',
      })
      setProblem(error ? problemWords(error) : null)
      return !error
    },
  }
}

function OneStrap({
  id,
  n,
  side,
  ring,
  mm,
  goalMm,
  range,
  look,
  onMove,
}: {
  id: StrapId
  n: number
  side: 'left' | 'right' | 'both'
  ring: boolean
  mm: number | null
  goalMm: number | null
  range: { leastMm: number; mostMm: number } | null
  look: ReturnType<typeof valueStyle> & { unit: 'in' | 'cm' }
  onMove: (byMm: number) => void
}) {
  const hole = HOLE_MM[look.unit]
  const near = mm ?? goalMm ?? 0
  const [fromMm, toMm] = tapeRange(look.unit, [near - 40, near + 40])
  const called = `${strapName(id)}${side === 'both' ? '' : `, ${side}`}`
  const end = range !== null && mm !== null && (mm - range.leastMm < hole / 2 ? 'shortest' : range.mostMm - mm < hole / 2 ? 'longest' : null)
  return (
    <div className="flex items-end gap-2">
      <div className="min-w-0 flex-1">
        <p className="flex flex-wrap items-baseline justify-between gap-x-2">
          <span>
            <b>
              {n} {called}
            </b>{' '}
            <span className="text-[13.5px] text-mute">{ring ? 'round' : 'one side'}</span>
          </span>
          <span>
            {mm === null ? <span className="text-mute">not set</span> : <Worded text={lengthText(mm, look, true)} />}
            {end && <span className="text-chalk"> {end} hole</span>}
          </span>
        </p>
        <Tape
          look={look}
          fromMm={fromMm}
          toMm={toMm}
          height={18}
          pins={[
            ...(mm === null ? [] : [{ mm, kind: 'ink' as const }]),
            ...(goalMm === null || (mm !== null && Math.abs(mm - goalMm) < 2) ? [] : [{ mm: goalMm, kind: 'open' as const }]),
          ]}
          {...(range && range.mostMm > fromMm && range.leastMm < toMm
            ? { spread: { fromMm: Math.max(fromMm, range.leastMm), toMm: Math.min(toMm, range.mostMm) } }
            : {})}
          title={`${called} ${mm === null ? 'is not set' : `stands at ${lengthText(mm, look, true)}`}${goalMm === null ? '' : `; foretold to hold at ${lengthText(goalMm, look, true)}`}`}
          usualWidth={240}
        />
      </div>
      {([-1, 1] as const).map((way) => (
        <button
          key={way}
          type="button"
          aria-label={`${called}: ${way < 0 ? 'shorter' : 'longer'} by ${lengthText(hole, look, true)}`}
          onClick={() => onMove(way * hole)}
          className="h-12 w-12 shrink-0 rounded-[2px] border-2 border-ink bg-panel text-[22px] font-bold hover:bg-bench"
        >
          {way < 0 ? '−' : '+'}
        </button>
      ))}
    </div>
  )
}

/** Sliders moved between two sets of settings. */
export function movesBetween(
  family: FamilyId,
  before: Readonly<Record<string, StrapSides>>,
  now: Readonly<Record<string, StrapSides>>,
): { strap: string; side: 'left' | 'right' | null; byMm: number }[] {
  const known = strapsOf(family).map(({ id }): string => id)
  const own = (of: Readonly<Record<string, StrapSides>>) => Object.fromEntries(Object.entries(of).filter(([id]) => known.includes(id)))
  return sliderMoves(family, own(before), own(now)).map(({ strap, side, byMm }) => ({ strap, side, byMm: Math.round(byMm * 10) / 10 }))
}
