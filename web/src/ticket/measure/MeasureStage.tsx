import { measures, nextTape, readingsWanted, type NewReading } from '@merry-tailor/core'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { useAppDispatch, useAppSelector } from '../../state/store'
import { settingsChanged } from '../../state/settings'
import { useKeys } from '../../state/use-keys'
import { useShop } from '../../state/use-shop'
import { useDevice, type DeviceValue } from '../../device'
import { KeyCap } from '../../ui/controls/KeyCap'
import { BENCH, PHONE, useMedia } from '../../ui/use-media'
import { useSteady } from '../../ui/use-steady'
import { tapeName } from '../../words/measuring'
import { NoItem, useOpenTicket, useActs, RestBlock, WhoReads, useBench, useEntry, useQuestions, useTapes } from '../../bench'
import { AtTheDog, usePrompt } from './AtTheDog'
import { BenchTools } from './BenchTools'
import { EntryPanel } from './EntryPanel'
import { FIELD_ID } from '../../length-entry'
import { MeasureHead } from './MeasureHead'
import { PhoneMeasure } from './PhoneMeasure'
import { PlateView } from './PlateView'
import { TakeOverBlock } from './TakeOverBlock'
import { SoFar } from './SoFar'
import { TapeList } from './TapeList'
import { useStrayDigits } from './use-stray-digits'

const focusField = (): void => document.getElementById(FIELD_ID)?.focus({ preventScroll: true })

/** Measure: the list of tapes, the plate with the active path, the big entry, and what the tapes say so far. */
export function MeasureStage() {
  const { rows } = useTapes()
  const acts = useActs()
  if (rows.length === 0)
    return (
      <NoItem
        title="No tape is wanted yet"
        also={{
          label: 'All of it: the whole body sheet',
          onClick: () => void acts.act({ act: 'change', changes: [{ field: 'wholeBody', from: false, to: true }] }),
        }}
      >
        Which tapes depends on what the dog will wear: choose an item under Ask. Or take the whole body sheet.
      </NoItem>
    )
  return <Bench />
}

function Bench() {
  const { rows, agreeing, left } = useTapes()
  const { sheet } = useOpenTicket()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const shop = useShop()
  const acts = useActs()
  const [bench, changeBench] = useBench()
  const { unit, letterKeys, fitter } = useAppSelector((state) => state.settings)
  const isPhone = useMedia(PHONE)
  const isBench = useMedia(BENCH)
  const [picked, setPicked] = useState<string | null>(null)
  const [turn, setTurn] = useState(0)

  const first = rows.find((row) => row.doubt) ?? rows.find((row) => row.agreed?.state !== 'agrees') ?? rows[0]
  // Another room may ask for one tape by name.
  const [wanted] = useSearchParams()
  const [opened] = useState(rows.find((row) => row.key === wanted.get('tape') || row.tape.measure === wanted.get('tape'))?.key ?? first?.key ?? '')
  const at = Math.max(0, [picked, opened].map((key) => rows.findIndex((row) => row.key === key)).find((index) => index >= 0) ?? 0)
  const row = rows[at]
  const active = row?.key ?? ''

  const pick = useSteady((key: string): void => {
    setPicked(key)
    setTurn(0)
    document.getElementById(`tape-${key}`)?.scrollIntoView({ block: 'nearest' })
    focusField()
  })
  const entry = useEntry(row, (key) => setPicked(key))
  const move = (by: number) => (): void => {
    const next = rows[(at + by + rows.length) % rows.length]
    if (next) pick(next.key)
  }
  const kept = row?.readings.filter((reading) => !reading.struck) ?? []
  const byDevice = useRef(false)
  /** After a pin: on along the round the shop takes, two in a row or one round, a rest and back. */
  const pin = (over: Partial<NewReading> = {}): void => {
    const device = byDevice.current
    byDevice.current = false
    if (!row || !entry.pin({ ...(device ? { method: 'digital' as const } : {}), ...over })) return
    const wanted = readingsWanted(shop)
    const taken = rows.map((each) => ({ key: each.key, n: (each.agreed?.n ?? 0) + (each.key === row.key ? 1 : 0) }))
    const next = nextTape(taken, row.key, bench.rounds, wanted)
    if (next.rest && next.key && shop.restSeconds > 0) changeBench({ restUntil: new Date(Date.now() + shop.restSeconds * 1000).toISOString() })
    if (next.key && next.key !== row.key) {
      setPicked(next.key)
      setTurn(0)
      document.getElementById(`tape-${next.key}`)?.scrollIntoView({ block: 'nearest' })
    }
  }
  const strikeLast = (why: string) => (): void => {
    const last = kept.at(-1)
    if (last) entry.strike(last, why)
    focusField()
  }
  const again = useSteady((measure: string): void => {
    const target = rows.find((other) => other.tape.measure === measure)
    if (!target) return
    pick(target.key)
    // What is asked about is the value they agree on: none of them stands for it.
    for (const reading of target.readings) if (!reading.struck) entry.strike(reading, 'Taken again')
  })
  const questions = useQuestions()
  const inQuestion = questions.some(({ measure }) => measure === row?.tape.measure)
  const takeAgain = (): void => {
    if (inQuestion && row) again(row.tape.measure)
    else strikeLast('Taken again')()
  }
  /** Nothing is left to take, to ask or to pin: the yellow thing is the way on. */
  const done = left === 0 && questions.length === 0 && entry.typed === ''
  const enter = (): void => {
    if (done) void navigate(`/tickets/${sheet.ticket.id}/choose`, { flushSync: true })
    else pin()
  }
  const toggleUnit = (): void => {
    dispatch(settingsChanged({ unit: unit === 'in' ? 'cm' : 'in' }))
  }
  const toggleDoubled = (): void => {
    if (entry.doubling) entry.setOneSide(!entry.oneSide)
  }

  /** A squeeze lands in the active tape; a weight goes to the weight, wherever the tape is. */
  const onSqueeze = (value: DeviceValue): void => {
    const target = value.mass ? rows.find((other) => other.tape.measure === 'M00') : row
    const isMass = measures[target?.tape.measure ?? '']?.quantity === 'mass'
    if (!target || isMass !== value.mass) return
    const taken = { mm: value.value, unit: value.unit, asTyped: value.asSent }
    if (target.key === active) pin({ ...taken, method: value.mass ? 'scale' : 'digital' })
    else
      void acts.read({
        measure: 'M00',
        side: 'both',
        method: 'scale',
        takenAt: new Date().toISOString(),
        by: fitter,
        ...taken,
      })
  }
  const device = useDevice(onSqueeze)
  useStrayDigits(
    (typed) => {
      entry.setTyped(typed)
      focusField()
    },
    (wedge, stray) => {
      byDevice.current = wedge
      if (stray) pin()
    },
  )

  const jumps = Object.fromEntries(rows.slice(0, 9).map((other, i) => [`Alt+${i + 1}`, () => pick(other.key)]))
  useKeys({
    ArrowDown: move(1),
    ArrowUp: move(-1),
    ...jumps,
    r: takeAgain,
    d: toggleDoubled,
    u: toggleUnit,
    f: () => setTurn(turn + 1),
    s: () => void navigate(`/tickets/${sheet.ticket.id}/solo`),
    Enter: enter,
    '$mod+z': entry.typed === '' ? () => acts.undo?.() : undefined,
    '$mod+y': () => acts.redo?.(),
    '$mod+Shift+z': () => acts.redo?.(),
  })
  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    const act = { Enter: enter, ArrowDown: move(1), ArrowUp: move(-1), Escape: () => event.currentTarget.blur() }[event.key]
    const letter = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey ? event.key.toLowerCase() : ''
    const letterAct = letterKeys ? { r: takeAgain, d: toggleDoubled, u: toggleUnit, p: () => undefined }[letter] : undefined
    if (act ?? letterAct) {
      event.preventDefault()
      ;(act ?? letterAct)?.()
    } else if (/[a-z]/.test(letter) && !(entry.weight ? 'kglb' : 'cmin').includes(letter)) event.preventDefault()
  }

  useEffect(() => {
    if (!isPhone) focusField()
  }, [active, isPhone])

  const bone = usePrompt(row?.tape.measure ?? '')?.bone ?? null

  if (!row) return null
  const shared = { entry, row, kept, pin: () => pin(), onKey, onUnit: toggleUnit, done }
  if (isPhone)
    return <PhoneMeasure {...shared} rows={rows} at={at} turn={turn} onTurn={() => setTurn(turn + 1)} onSkip={move(1)} onPick={pick} onAgain={again} />
  const soFar = <SoFar active={row.tape.measure} onAgain={again} device={device} waitsFor={tapeName(row.tape.measure, row.tape.place)} />

  return (
    <div className="grid min-h-0 flex-1 tablet:grid-cols-[320px_minmax(0,1fr)] bench:grid-cols-[388px_minmax(0,1fr)_344px] max-tablet:grid-cols-[minmax(0,1fr)] max-tablet:grid-rows-[auto_minmax(0,1fr)]">
      <section aria-label="Tapes for this ticket" className="flex min-h-0 min-w-0 flex-col border-ink bg-panel tablet:border-r-2 max-tablet:border-b-2">
        <h2 className="flex shrink-0 items-baseline justify-between px-4 py-[7px] text-[19px] leading-6 max-tablet:sr-only">
          <span>
            Tapes<span className="hidden bench:inline"> for this ticket</span>
          </span>
          <span className="font-text text-[15px] font-normal text-mute">
            {agreeing} agree, {left} to take
          </span>
        </h2>
        <BenchTools rows={rows} onPick={pick} />
        <TapeList rows={rows} active={active} onPick={pick} />
        <footer className="flex h-11 shrink-0 items-center gap-3 border-t-2 border-ink px-3.5 text-[14.5px] text-mute pointer-coarse:hidden! max-tablet:hidden">
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
        <WhoReads />
        <AtTheDog measure={row.tape.measure} />
        <TakeOverBlock />
        <MeasureHead row={row} kept={kept.length} oneSide={entry.oneSide} />
        <RestBlock />
        <PlateView rows={rows} active={row} doubled={entry.oneSide} turn={turn} bone={bone} />
        <EntryPanel {...shared} />
        {!isBench && (
          <details className="absolute inset-x-0 bottom-0 z-20 border-t-2 border-ink bg-panel open:flex open:max-h-[80%] open:flex-col">
            <summary className="flex min-h-11 cursor-pointer items-center justify-between border-b border-tape-ink bg-tape-rest px-4 font-bold text-tape-ink">
              What the tapes say so far
            </summary>
            {soFar}
          </details>
        )}
      </section>
      {isBench && <div className="flex min-h-0 flex-col border-l-2 border-ink">{soFar}</div>}
    </div>
  )
}
