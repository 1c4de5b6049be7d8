import {
  strapsOf,
  type FamilyId,
  type Foretold,
  type Form,
  type Grade,
  type LengthStyle,
  type PredictedCheck,
  type StrapId,
  type View,
} from '@merry-tailor/core'
import { laySvg } from '@merry-tailor/core/formats'
import { useState } from 'react'
import { VerdictWord } from '../../said/VerdictWord'
import { today } from '../../state/today'
import { useKeys } from '../../state/use-keys'
import { SaveText } from '../../ui/controls/SaveText'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Segmented } from '../../ui/controls/Segmented'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { GearPlate } from '../../ui/plates/GearPlate'
import type { PlateTag } from '../../ui/plates/tag-discs'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { useMedia } from '../../ui/use-media'
import { useWidth } from '../../ui/use-width'
import { placeOfCheck, useOpenTicket, type LaidState } from '../../bench'
import { expectedWords, foretoldName, foretoldTitle, strapName } from '../../words/foretold'
import { familyName } from '../../words/stages'

const STATES: readonly { value: LaidState; label: string }[] = [
  { value: 'slack', label: 'Slack' },
  { value: 'pulling', label: 'Pulling' },
]
const VIEWS: readonly { value: View; label: string }[] = [
  { value: 'side', label: 'Side' },
  { value: 'above', label: 'Above' },
  { value: 'front', label: 'Front' },
  { value: 'below', label: 'Below' },
]
/** An open end of what passes is no place on a tape. */
const OPEN_MM = 900

interface LayMatProps {
  form: Form
  family: FamilyId
  name: string
  /** As it is shown, with straps drawn by hand or not, and as it has its straps itself. */
  foretold: Foretold
  own: Foretold
  riseRad: number
  look: LengthStyle & { unit: 'in' | 'cm' }
  /** A strap is drawn longer or shorter, mm. */
  onStrap: (id: StrapId, mm: number) => void
  /** Its own lengths come back. */
  onReset: () => void
}

/** Rows that say something in a state; one check foretold in both is shown in each. */
const rowsIn = (checks: readonly PredictedCheck[], state: LaidState, pulls: boolean): PredictedCheck[] =>
  checks.filter((row) => row.grade !== 'none' && (row.state === state || (row.state === 'moving' && (state === 'pulling') === pulls)))

const BORDER: Readonly<Record<Grade, string>> = { holds: 'border-ink', doubt: 'border-chalk', fails: 'border-snag', none: 'border-edge' }

/** A dog with gear laid on it, slack or pulling, and what each check of that state is expected to show. */
export function LayMat({ form, family, name, foretold, own, riseRad, look, onStrap, onReset }: LayMatProps) {
  const { sheet } = useOpenTicket()
  const pulls = (foretold.laid?.pulling.nodes.tug ?? null) !== null || family === 'H21'
  const [chosen, setState] = useState<LaidState | null>(null)
  const state = chosen ?? (pulls ? 'pulling' : 'slack')
  const [view, setView] = useState<View>('side')
  const [lit, setLit] = useState<StrapId | null>(null)
  const [ref, width] = useWidth<HTMLDivElement>(560)
  const phone = useMedia('(max-width: 479px)')
  useKeys({
    p: () => setState(state === 'slack' ? 'pulling' : 'slack'),
    f: () => setView(VIEWS[(VIEWS.findIndex((each) => each.value === view) + 1) % VIEWS.length]?.value ?? 'side'),
  })
  if (!foretold.laid) return null
  const { laid, checks, lengths, untied } = foretold
  const lay = laid[state]
  const rows = rowsIn(checks, state, pulls)
  const tags = rows.flatMap((row, i): PlateTag[] => {
    const at = placeOfCheck(row, foretold, form, state)
    return at ? [{ n: i + 1, at, grade: row.grade }] : []
  })
  const tall = phone ? 260 : Math.round(Math.min(430, Math.max(250, width * 0.68)))
  const misses = rows.filter(({ grade }) => grade === 'fails')
  const unforetold = checks.filter((row) => row.grade === 'none' && row.state === state && !row.strap).length
  return (
    <section aria-label="Where it would lie" className="border-[1.5px] border-ink bg-panel xl:col-span-2">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-ink px-4 py-2">
        <h2 className="min-w-0 flex-1 text-[19px] leading-6 max-xl:basis-full">
          On {name} it {foretoldTitle(checks)}
          {misses[0] && (
            <span className="block font-text text-[15px] font-normal text-snag">
              Likely misses:{' '}
              {misses
                .map((row) => foretoldName(row))
                .slice(0, 2)
                .join('; ')}
            </span>
          )}
        </h2>
        <div className="flex items-center gap-2">
          <Segmented label="Slack or pulling" value={state} options={STATES} onChange={setState} />
          <KeyCap>P</KeyCap>
        </div>
        <div className="flex items-center gap-2">
          <Segmented label="Seen from" value={view} options={VIEWS} onChange={setView} />
          <KeyCap>F</KeyCap>
        </div>
      </header>
      <div className="grid lg:grid-cols-[minmax(0,1.62fr)_minmax(250px,1fr)]">
        <div ref={ref} className="mat min-h-0 min-w-0 overflow-hidden">
          <GearPlate
            form={form}
            view={view}
            lay={lay}
            ghost={state === 'pulling' ? laid.slack : laid.pulling}
            tags={tags}
            riseRad={state === 'pulling' && pulls ? riseRad : null}
            lit={lit}
            width={width}
            height={tall}
            label={`${familyName(family)} on ${name}, ${state}, ${VIEWS.find((each) => each.value === view)?.label.toLowerCase()} view, as foretold`}
          />
          <div className="flex flex-wrap items-center gap-x-5 px-4 pb-1 text-[14px] text-mute">
            <span>dotted: {state === 'pulling' ? 'slack' : 'pulling'}</span>
            {state === 'slack' && pulls && <span>Slack, sides and end lie anywhere: no verdict there.</span>}
            <SaveText name={`lay-${family}.svg`} type="image/svg+xml" text={() => laySvg(form, lay, { dog: name, gear: familyName(family), on: today() })}>
              SVG
            </SaveText>
            {lay.short.length > 0 && (
              <b className="text-snag">Too short to close: {lay.short.map(({ strap }) => strapName(strap).toLowerCase()).join(', ')}.</b>
            )}
          </div>
        </div>
        <ul
          className="quiet-scroll grid content-start gap-px border-ink bg-rule max-lg:border-t lg:border-l"
          style={{ maxHeight: phone ? undefined : tall + 36 }}
          aria-label="What is expected"
          tabIndex={0}
        >
          {rows.map((row, i) => (
            <ForetoldTag key={`${row.check} ${row.strap ?? ''} ${row.state}`} n={i + 1} row={row} look={look} />
          ))}
          {rows.length === 0 && <li className="bg-panel px-4 py-3 text-mute">Nothing of this state can be foretold. Try it on.</li>}
          {unforetold > 0 && (
            <li className="bg-panel px-4 py-2 text-[14px] text-mute">
              {unforetold === 1 ? 'One more check' : `${unforetold} more checks`} only a hand can answer.
            </li>
          )}
        </ul>
      </div>
      <StrapSliders family={family} foretold={foretold} own={own} look={look} lit={lit} onLit={setLit} onStrap={onStrap} onReset={onReset} />
      <p className="border-t border-rule px-4 py-2 text-[14px] text-mute">
        Foretold from the tapes, nothing seen yet; only a hand on the dog says that it holds.{' '}
        {Object.values(lengths).some((each) => each?.from === 'bands') && 'The maker gives no strap lengths: they are inferred from his bands.'}
        {sheet.ticket.traits.includes('three-legs') && ' On three legs straps slide to the empty side: it says nothing of left and right.'}
        {untied.length > 0 && ` Not laid, tied to no strap: ${untied.join(', ')}.`}
      </p>
    </section>
  )
}

/** One check: number, where it is expected, what passes, in a hollow word. */
function ForetoldTag({ n, row, look }: { n: number; row: PredictedCheck; look: LayMatProps['look'] }) {
  const { mm, sigmaMm, rangeMm } = row
  const words = expectedWords(row, look)
  const bracket = rangeMm && { fromMm: Math.max(-OPEN_MM, rangeMm[0]), toMm: Math.min(OPEN_MM, rangeMm[1]) }
  const points = mm === null || sigmaMm === null ? [] : [mm - 2 * sigmaMm, mm + 2 * sigmaMm, ...(rangeMm ?? []).filter((each) => Math.abs(each) < OPEN_MM)]
  const [fromMm, toMm] = tapeRange(look.unit, points.length > 0 ? points : [0, 50])
  const shown = bracket && { fromMm: Math.max(fromMm, bracket.fromMm), toMm: Math.min(toMm, bracket.toMm) }
  return (
    <li className={`border-l-4 bg-panel px-3 py-1.5 ${BORDER[row.grade]}`}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-2">
        <h3 className="text-[16px] leading-5">
          <b>{n}</b> {foretoldName(row)}
        </h3>
        <VerdictWord grade={row.grade} basis="predicted" size={18} />
      </div>
      {mm !== null && sigmaMm !== null && (
        <Tape
          look={look}
          fromMm={fromMm}
          toMm={toMm}
          height={16}
          mini
          spread={{ fromMm: mm - 1.28 * sigmaMm, toMm: mm + 1.28 * sigmaMm }}
          {...(shown && shown.toMm > shown.fromMm ? { bracket: shown } : {})}
          title={`Expected ${words}`}
          usualWidth={300}
        />
      )}
      <p className="text-[15px] leading-[18px]">
        <Worded text={words} />
        {row.state === 'moving' && <span className="text-mute">, in step</span>}
      </p>
    </li>
  )
}

const STEP_MM: Readonly<Record<'in' | 'cm', number>> = { in: 25.4 / 8, cm: 5 }

type StrapSlidersProps = Pick<LayMatProps, 'family' | 'foretold' | 'own' | 'look' | 'onStrap' | 'onReset'> & {
  lit: StrapId | null
  onLit: (id: StrapId | null) => void
}

/** The straps, each by its length: drawn longer or shorter, the webbing follows. */
function StrapSliders({ family, foretold, own, look, lit, onLit, onStrap, onReset }: StrapSlidersProps) {
  const step = STEP_MM[look.unit]
  return (
    <details className="border-t border-rule px-4 py-1">
      <summary className="min-h-11 cursor-pointer py-2.5 font-bold underline">Straps, and what another length would do</summary>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {strapsOf(family).map(({ id, ring }) => {
          const mm = foretold.straps[id] ?? 0
          const ownMm = own.straps[id] ?? mm
          const usual = foretold.lengths[id]
          return (
            <li key={id} className="py-1">
              <label className="block">
                <span className={`flex justify-between gap-3 ${lit === id ? 'font-bold' : ''}`}>
                  {strapName(id)}
                  <span>
                    <Worded text={lengthOf(mm, look)} /> <span className="text-mute">{ring ? 'round' : 'one side'}</span>
                  </span>
                </span>
                <input
                  type="range"
                  className="h-11 w-full accent-ink"
                  min={Math.round(ownMm * 0.8)}
                  max={Math.round(ownMm * 1.2)}
                  step={step}
                  value={mm}
                  aria-valuetext={lengthOf(mm, look)}
                  onFocus={() => onLit(id)}
                  onBlur={() => onLit(null)}
                  onChange={(event) => onStrap(id, Number(event.target.value))}
                />
              </label>
              {usual && (
                <span className="text-[13.5px] text-mute">
                  {usual.from === 'maker' ? 'as the maker sews it' : usual.from === 'flat' ? 'laid flat and measured' : 'from the bands'}
                </span>
              )}
            </li>
          )
        })}
      </ul>
      {own !== foretold && (
        <button type="button" onClick={onReset} className="mb-2 min-h-11 font-bold underline">
          Back to its own lengths
        </button>
      )}
    </details>
  )
}

const lengthOf = (mm: number, look: LayMatProps['look']): string => lengthText(mm, look, true)
