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
import { Leader } from '../../ui/plates/Leader'
import { MiniTape } from '../../ui/plates/MiniTape'
import { plateScale } from '../../ui/plates/plate-scale'
import { TagDisc } from '../../ui/plates/TagDisc'
import { placed, type PlateTag } from '../../ui/plates/tag-discs'
import { leaderFrom, type TagBox } from '../../ui/plates/tag-box'
import { tagOrder } from '../../ui/plates/tag-order'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { useMedia } from '../../ui/use-media'
import { useWidth } from '../../ui/use-width'
import { placeOfCheck, readFrom, useOpenTicket, type LaidState } from '../../bench'
import { expectedWords, foretoldName, foretoldTitle, strapName } from '../../words/foretold'
import { familyName } from '../../words/stages'
import { layPlaces } from './lay-places'
import { rowsIn, useLaidWays, type LaidWays } from './laid-ways'

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
/** Too narrow for tags round the dog: they stand under it. */
const NARROW = 700
const NONE = { left: 0, top: 0, right: 0, bottom: 0 }

interface LayMatProps {
  form: Form
  family: FamilyId
  name: string
  look: LengthStyle & { unit: 'in' | 'cm' }
}

const BORDER: Readonly<Record<Grade, string>> = { holds: 'border-ink', doubt: 'border-chalk', fails: 'border-snag', none: 'border-edge' }

/** A dog with gear laid on it, slack or pulling, and what each check of that state is expected to show. */
export function LayMat(props: LayMatProps) {
  const ways = useLaidWays()
  const { shown, own, isAsking } = ways
  if (isAsking) return strapsOf(props.family).length > 0 ? <div className="mat h-[430px] border-[1.5px] border-ink xl:col-span-2" aria-busy="true" /> : null
  return shown?.laid && own ? <Laid {...props} {...ways} foretold={shown} laid={shown.laid} own={own} /> : null
}

type LaidProps = LayMatProps &
  Pick<LaidWays, 'state' | 'pulls' | 'riseRad' | 'setState' | 'onStrap' | 'onReset'> & {
    foretold: Foretold
    laid: NonNullable<Foretold['laid']>
    own: Foretold
  }

function Laid({ form, family, name, look, foretold, laid, own, state, pulls, riseRad, setState, onStrap, onReset }: LaidProps) {
  const { sheet } = useOpenTicket()
  const [view, setView] = useState<View>('side')
  const [lit, setLit] = useState<StrapId | null>(null)
  const [ref, width] = useWidth<HTMLDivElement>(560)
  const phone = useMedia('(max-width: 479px)')
  useKeys({
    p: () => setState(state === 'slack' ? 'pulling' : 'slack'),
    f: () => setView(VIEWS[(VIEWS.findIndex((each) => each.value === view) + 1) % VIEWS.length]?.value ?? 'side'),
  })
  const { checks, lengths, untied } = foretold
  const lay = laid[state]
  const rows = rowsIn(checks, state, pulls)
  const tags = rows.flatMap((row, i): PlateTag[] => {
    const at = placeOfCheck(row, foretold, form, state)
    return at ? [{ n: i + 1, at, grade: row.grade }] : []
  })
  const narrow = width < NARROW
  const places = layPlaces(width, rows.length)
  const inset = narrow ? NONE : places.inset
  const tall = narrow ? (phone ? 260 : 360) : places.height
  const lined = state === 'pulling' && pulls
  const scale = plateScale(form, view, { width, height: tall, inset, lined })
  const discs = placed(tags, scale.on, { left: 0, top: inset.top, right: width - inset.right, bottom: tall - inset.bottom })
  const order = tagOrder(rows.length, places.boxes.filter(({ over }) => over).length, tags)
  const misses = rows.filter(({ grade }) => grade === 'fails')
  const unforetold = checks.filter((row) => row.grade === 'none' && row.state === state && !row.strap).length
  return (
    <section aria-label="Where it would lie" className="min-w-0 border-[1.5px] border-ink bg-panel xl:col-span-2">
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
      <div ref={ref} className="mat relative min-w-0 overflow-hidden" style={narrow ? undefined : { height: places.height }}>
        <div className="relative">
          <GearPlate
            form={form}
            view={view}
            lay={lay}
            ghost={state === 'pulling' ? laid.slack : laid.pulling}
            tags={narrow ? tags : []}
            riseRad={lined ? riseRad : null}
            lit={lit}
            width={width}
            height={tall}
            inset={inset}
            label={`${familyName(family)} on ${name}, ${state}, ${VIEWS.find((each) => each.value === view)?.label.toLowerCase()} view, as foretold`}
          />
          {!narrow && (
            <svg aria-hidden width={width} height={tall} className="pointer-events-none absolute inset-0">
              {discs.map((disc) => {
                const from = leaderFrom(disc.disc, places.boxes[order.indexOf(disc.n - 1)])
                return from && <Leader key={disc.n} from={from} to={disc.disc} />
              })}
              {rows.map((row, i) => {
                const disc = discs.find(({ n }) => n === i + 1)
                const zero = readFrom(row, form)
                return disc && zero && <MiniTape key={disc.n} at={disc.from} towards={scale.on(zero)} />
              })}
              {discs.map((disc) => (
                <TagDisc key={disc.n} {...disc} />
              ))}
            </svg>
          )}
        </div>
        <div className={`flex flex-wrap items-center gap-x-5 px-4 text-[14px] text-mute ${narrow ? 'pb-1' : 'absolute bottom-0 left-0 h-[30px]'}`}>
          <span>dotted: {state === 'pulling' ? 'slack' : 'pulling'}</span>
          {state === 'slack' && pulls && <span>Slack, sides and end lie anywhere: no verdict there.</span>}
          {lay.short.length > 0 && <b className="text-snag">Too short to close: {lay.short.map(({ strap }) => strapName(strap).toLowerCase()).join(', ')}.</b>}
        </div>
        <ul className={narrow ? 'grid gap-px border-t border-ink bg-rule' : ''} aria-label="What is expected">
          {(narrow ? rows.map((_, i) => i) : order).map((i, slot) => {
            const row = rows[i]
            return (
              row && (
                <ForetoldTag
                  key={`${row.check} ${row.strap ?? ''} ${row.state}`}
                  n={i + 1}
                  row={row}
                  look={look}
                  {...(narrow ? {} : { box: places.boxes[slot] })}
                />
              )
            )
          })}
        </ul>
        {rows.length === 0 && <p className="px-4 py-3 text-mute">Nothing of this state can be foretold. Try it on.</p>}
      </div>
      <StrapSliders family={family} foretold={foretold} own={own} look={look} lit={lit} onLit={setLit} onStrap={onStrap} onReset={onReset} />
      <p className="border-t border-rule px-4 py-2 text-[14px] text-mute">
        Foretold from the tapes, nothing seen yet; only a hand on the dog says that it holds.{' '}
        {Object.values(lengths).some((each) => each?.from === 'bands') && 'The maker gives no strap lengths: they are inferred from his bands.'}
        {sheet.ticket.traits.includes('three-legs') && ' On three legs straps slide to the empty side: it says nothing of left and right.'}
        {unforetold > 0 && (unforetold === 1 ? ' One more check only a hand can answer.' : ` ${unforetold} more checks only a hand can answer.`)}
        {untied.length > 0 && ` Not laid, tied to no strap: ${untied.join(', ')}.`}{' '}
        <SaveText name={`lay-${family}.svg`} type="image/svg+xml" text={() => laySvg(form, lay, { dog: name, gear: familyName(family), on: today() })}>
          SVG
        </SaveText>
      </p>
    </section>
  )
}

/** One check: number, where it is expected, what passes, in a hollow word. */
function ForetoldTag({ n, row, look, box }: { n: number; row: PredictedCheck; look: LayMatProps['look']; box?: TagBox | undefined }) {
  const { mm, sigmaMm, rangeMm } = row
  const words = expectedWords(row, look)
  const bracket = rangeMm && { fromMm: Math.max(-OPEN_MM, rangeMm[0]), toMm: Math.min(OPEN_MM, rangeMm[1]) }
  const points = mm === null || sigmaMm === null ? [] : [mm - 2 * sigmaMm, mm + 2 * sigmaMm, ...(rangeMm ?? []).filter((each) => Math.abs(each) < OPEN_MM)]
  const [fromMm, toMm] = tapeRange(look.unit, points.length > 0 ? points : [0, 50])
  const shown = bracket && { fromMm: Math.max(fromMm, bracket.fromMm), toMm: Math.min(toMm, bracket.toMm) }
  return (
    <li
      className={`flex flex-col bg-panel px-2.5 py-1 [&>svg]:shrink-0 ${box ? 'absolute overflow-hidden border-[1.5px]' : 'border-l-4'} ${BORDER[row.grade]} ${box && row.grade === 'fails' ? 'border-2' : ''}`}
      style={box && { left: box.x, top: box.y, width: box.width, height: box.height }}
    >
      <h3 className="text-[15.5px] leading-[18px]">
        <b>{n}</b> {foretoldName(row)}
      </h3>
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
      <p className="text-[14.5px] leading-[17px]">
        <Worded text={words} />
        {row.state === 'moving' && <span className="text-mute">, in step</span>}
      </p>
      <p className="mt-auto text-[14.5px] leading-[18px]">
        <VerdictWord grade={row.grade} basis="predicted" size={17} />
      </p>
    </li>
  )
}

const STEP_MM: Readonly<Record<'in' | 'cm', number>> = { in: 25.4 / 8, cm: 5 }

type StrapSlidersProps = Pick<LaidProps, 'family' | 'foretold' | 'own' | 'look' | 'onStrap' | 'onReset'> & {
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
