import { useEffect, useState, type KeyboardEvent } from 'react'
import { useAppDispatch, useAppSelector } from '../../app/store'
import { settingsChanged } from '../../app/settings'
import { useKeys } from '../../app/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'
import { BENCH, PHONE, useMedia } from '../../ui/use-media'
import { NoItem } from '../NoItem'
import { EntryPanel } from './EntryPanel'
import { MeasureHead } from './MeasureHead'
import { PhoneMeasure } from './PhoneMeasure'
import { PlateView, type PlateSide } from './PlateView'
import { SoFar } from './SoFar'
import { TapeList } from './TapeList'
import { FIELD_ID } from './LengthField'
import { useEntry } from './use-entry'
import { useTapes } from './use-tapes'

const NEXT_SIDE: Readonly<Record<PlateSide, PlateSide>> = { side: 'above', above: 'front', front: 'side' }

const focusField = (): void => document.getElementById(FIELD_ID)?.focus({ preventScroll: true })

/** Measure: the list of tapes, the plate with the active path, the big entry, and what the tapes say so far. */
export function MeasureStage() {
  const { rows } = useTapes()
  if (rows.length === 0) return <NoItem title="No tape is wanted yet">Which tapes depends on what the dog will wear: choose an item under Ask.</NoItem>
  return <Bench />
}

function Bench() {
  const { rows, agreeing, left } = useTapes()
  const dispatch = useAppDispatch()
  const { unit, letterKeys } = useAppSelector((state) => state.settings)
  const isPhone = useMedia(PHONE)
  const isBench = useMedia(BENCH)
  const [picked, setPicked] = useState<string | null>(null)
  const [side, setSide] = useState<PlateSide>('side')

  const first = rows.find((row) => row.doubt) ?? rows.find((row) => row.agreed?.state !== 'agrees') ?? rows[0]
  const [opened] = useState(first?.tape.measure ?? '')
  const active = rows.some((row) => row.tape.measure === picked)
    ? (picked ?? '')
    : rows.some((row) => row.tape.measure === opened)
      ? opened
      : (rows[0]?.tape.measure ?? '')
  const at = rows.findIndex((row) => row.tape.measure === active)
  const row = rows[at]

  const pick = (measure: string): void => {
    setPicked(measure)
    document.getElementById(`tape-${measure}`)?.scrollIntoView({ block: 'nearest' })
    focusField()
  }
  const entry = useEntry(active, (measure) => setPicked(measure))
  const move = (by: number) => (): void => {
    const next = rows[(at + by + rows.length) % rows.length]
    if (next) pick(next.tape.measure)
  }
  const kept = row?.readings.filter((reading) => !reading.struck) ?? []
  /** After a pin: stay for the second reading; with the second in, on to the next tape that lacks one. */
  const pin = (): void => {
    if (!entry.pin() || kept.length === 0) return
    const next = [...rows.slice(at + 1), ...rows.slice(0, at)].find((other) => (other.agreed?.n ?? 0) < 2)
    if (next) setPicked(next.tape.measure)
  }
  const strikeLast = (why: string) => (): void => {
    const last = kept.at(-1)
    if (last) entry.strike(last, why)
    focusField()
  }
  const again = (measure: string): void => {
    pick(measure)
    const last = rows.find((other) => other.tape.measure === measure)?.readings.findLast((reading) => !reading.struck)
    if (last) entry.strike(last, 'Taken again')
  }
  const toggleUnit = (): void => {
    dispatch(settingsChanged({ unit: unit === 'in' ? 'cm' : 'in' }))
  }
  const toggleDoubled = (): void => {
    if (entry.doubling) entry.setOneSide(!entry.oneSide)
  }

  const jumps = Object.fromEntries(rows.slice(0, 9).map((other, i) => [`alt+${i + 1}`, () => pick(other.tape.measure)]))
  useKeys({
    ArrowDown: move(1),
    ArrowUp: move(-1),
    ...jumps,
    r: strikeLast('Taken again'),
    d: toggleDoubled,
    u: toggleUnit,
    f: () => setSide(NEXT_SIDE[side]),
    Enter: pin,
    'ctrl+z': entry.typed === '' ? strikeLast('Unpinned') : undefined,
  })
  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    const act = { Enter: pin, ArrowDown: move(1), ArrowUp: move(-1), Escape: () => event.currentTarget.blur() }[event.key]
    const letter = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey ? event.key.toLowerCase() : ''
    const letterAct = letterKeys ? { r: strikeLast('Taken again'), d: toggleDoubled, u: toggleUnit, p: () => undefined }[letter] : undefined
    if (act ?? letterAct) {
      event.preventDefault()
      ;(act ?? letterAct)?.()
    } else if (/[a-z]/.test(letter) && !'cmin'.includes(letter)) event.preventDefault()
  }

  useEffect(() => {
    if (!isPhone) focusField()
  }, [active, isPhone])

  if (!row) return null
  const shared = { entry, row, kept, pin, onKey, onUnit: toggleUnit }
  if (isPhone) return <PhoneMeasure {...shared} rows={rows} at={at} side={side} onTurn={() => setSide(NEXT_SIDE[side])} onSkip={move(1)} />

  return (
    <div className="grid min-h-0 flex-1 grid-cols-[320px_1fr] bench:grid-cols-[388px_1fr_344px]">
      <section aria-label="Tapes for this ticket" className="flex min-h-0 flex-col border-r-2 border-ink bg-panel">
        <h2 className="flex shrink-0 items-baseline justify-between px-4 py-[7px] text-[19px] leading-6">
          <span>
            Tapes<span className="hidden bench:inline"> for this ticket</span>
          </span>
          <span className="font-text text-[15px] font-normal text-mute">
            {agreeing} agree, {left} to take
          </span>
        </h2>
        <TapeList rows={rows} active={active} onPick={pick} />
        <footer className="flex h-11 shrink-0 items-center gap-3 border-t-2 border-ink px-3.5 text-[14.5px] text-mute">
          <span className="flex items-center gap-1">
            <KeyCap>↑</KeyCap>
            <KeyCap>↓</KeyCap> move
          </span>
          <span className="flex items-center gap-1">
            <KeyCap>Alt</KeyCap>
            <KeyCap>1–9</KeyCap> jump
          </span>
          <span className="flex items-center gap-1">
            <KeyCap>?</KeyCap> all keys
          </span>
        </footer>
      </section>
      <section aria-label="The tape in hand" className="relative flex min-h-0 flex-col">
        <MeasureHead row={row} kept={kept.length} oneSide={entry.oneSide} />
        <PlateView rows={rows} active={active} doubled={entry.oneSide} side={side} />
        <EntryPanel {...shared} />
        {!isBench && (
          <details className="absolute inset-x-0 bottom-0 z-20 border-t-2 border-ink bg-panel open:flex open:max-h-[80%] open:flex-col">
            <summary className="flex min-h-11 cursor-pointer items-center justify-between border-b border-tape-ink bg-tape-rest px-4 font-bold text-tape-ink">
              What the tapes say so far
            </summary>
            <SoFar active={active} onAgain={again} />
          </details>
        )}
      </section>
      {isBench && (
        <div className="flex min-h-0 flex-col border-l-2 border-ink">
          <SoFar active={active} onAgain={again} />
        </div>
      )}
    </div>
  )
}
