import { formatLength, measures, nextTape, readingsWanted } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { readingStyle, settingsChanged } from '../../state/settings'
import { useAppDispatch, useAppSelector } from '../../state/store'
import { useKeys } from '../../state/use-keys'
import { useShop } from '../../state/use-shop'
import { KnucklePad, padKeys } from '../../ui/controls/KnucklePad'
import { TypedLength } from '../../ui/length/TypedLength'
import { PLACES, tapeName, weightText } from '../../words/measuring'
import { findingWords } from '../../words/findings'
import { suspectWords } from '../../words/suspects'
import { NoItem, TapeQuestion, stateWords, useOpenTicket, useQuestion, RestBlock, useBench, useEntry, useTapes } from '../../bench'
import { SoloEnd } from './SoloEnd'
import { canSpeak, say } from './speak'

/** Alone with the dog: read from two metres, any tap goes on, knuckle-sized keys, prompts spoken when wished. */
export function SoloBench() {
  const { rows } = useTapes()
  return rows.length === 0 ? <NoItem title="No tape is wanted yet">Which tapes depends on what the dog will wear: choose an item under Ask.</NoItem> : <Alone />
}

function Alone() {
  const { sheet, name } = useOpenTicket()
  const { rows } = useTapes()
  const shop = useShop()
  const dispatch = useAppDispatch()
  const settings = useAppSelector((state) => state.settings)
  const { unit, voice, letterKeys } = settings
  const look = { ...readingStyle(settings), unit }
  const { body } = useOpenTicket()
  const [bench, changeBench] = useBench()
  const [key, setKey] = useState(() => (rows.find((row) => row.agreed?.state !== 'agrees') ?? rows[0])?.key ?? '')
  const [last, setLast] = useState<string | null>(null)
  const [ended, setEnded] = useState(false)
  const { question, waiting, later } = useQuestion()
  const at = Math.max(
    0,
    rows.findIndex((row) => row.key === key),
  )
  const row = rows[at]
  const entry = useEntry(row, setKey, true)
  const measure = measures[row?.tape.measure ?? '']
  const kept = row?.readings.filter((reading) => !reading.struck).length ?? 0
  const state = row ? stateWords(row, look) : ''
  const doubled = entry.oneSide && entry.parsed.ok ? `× 2 = ${formatLength(2 * entry.parsed.mm, look).text}` : ''
  const readBack = (mm: number): string => (entry.weight ? weightText(mm, unit) : mm === 0 ? 'none' : formatLength(mm, readingStyle(settings)).text)

  useEffect(() => {
    if (measure) say(`${tapeName(measure.id, row?.tape.place ?? null)}. ${measure.path}. ${measure.howTo.stand}`, voice)
    // Spoken once for each tape, not for each letter typed.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [row?.key, voice])

  const [rule] = question?.findings ?? []
  const asked = rule ? findingWords(rule, body, look).title : question?.suspect ? suspectWords(question.suspect, look).title : null
  useEffect(() => {
    if (asked) say(`${asked}. Take it again, or keep it.`, voice)
  }, [asked, voice])

  const go = (next: string): void => setKey(next)
  /** On or back along the tapes; past the last one comes the end, not the first again. */
  const step = (by: number) => (): void => {
    const next = rows[at + by]
    if (by > 0 && entry.typed.trim() === '' && measure && row) setLast(`Skipped: ${tapeName(measure.id, row.tape.place)}`)
    if (next) go(next.key)
    else if (by > 0) setEnded(true)
  }
  /** Strikes what is asked about, every reading of the tape, and goes to it. */
  const again = (id: string): void => {
    const target = rows.find((each) => each.tape.measure === id)
    if (!target) return
    go(target.key)
    for (const reading of target.readings) if (!reading.struck) entry.strike(reading, 'Taken again')
  }
  /** One key for all: pins what is typed, else goes on to the next tape. */
  const next = (): void => {
    if (entry.typed.trim() === '') return step(1)()
    const { parsed } = entry
    if (!entry.pin()) return
    if (parsed.ok && row) {
      const said = readBack(parsed.mm)
      setLast(`Kept: ${tapeName(row.tape.measure, row.tape.place)}, ${said}${entry.oneSide ? ', one side' : ''}`)
      say(`${said}. Kept.`, voice)
      const wanted = readingsWanted(shop)
      const taken = rows.map((each) => ({ key: each.key, n: (each.agreed?.n ?? 0) + (each.key === row.key ? 1 : 0) }))
      const onward = nextTape(taken, row.key, bench.rounds, wanted)
      if (onward.rest && onward.key && shop.restSeconds > 0) changeBench({ restUntil: new Date(Date.now() + shop.restSeconds * 1000).toISOString() })
      if (onward.key) go(onward.key)
      else setEnded(true)
    }
  }
  useKeys({
    Enter: next,
    Space: () => (entry.typed.trim() === '' ? next() : entry.setTyped(`${entry.typed} `)),
    ArrowRight: step(1),
    ArrowLeft: step(-1),
    ArrowDown: step(1),
    ArrowUp: step(-1),
    d: () => entry.doubling && entry.setOneSide(!entry.oneSide),
    u: () => dispatch(settingsChanged({ unit: unit === 'in' ? 'cm' : 'in' })),
    ...padKeys(entry.typed, entry.setTyped),
  })
  if (!row || !measure) return null
  if (ended)
    return (
      <SoloEnd
        rows={rows}
        look={look}
        onPick={(key) => {
          setEnded(false)
          go(key)
        }}
      />
    )
  return (
    <>
      <RestBlock />
      <div className="relative grid min-h-0 flex-1 grid-rows-[1fr_auto] bg-panel lg:grid-cols-[1fr_420px] lg:grid-rows-1">
        <h1 className="sr-only">
          Alone with {name}: {measure.name}
        </h1>
        <button
          type="button"
          onClick={next}
          aria-label={entry.typed.trim() === '' ? 'Skip to the next tape' : 'Pin it and go on'}
          className="flex min-h-0 flex-col justify-center-safe overflow-hidden border-ink px-5 py-2 text-left lg:border-r-2 lg:px-10"
        >
          <span className="block text-[17px] text-mute lg:text-[20px]">
            {at + 1} of {rows.length}. {kept === 0 ? 'First reading' : `Reading ${kept + 1}`}
            {entry.oneSide ? ', one side' : ''}
          </span>
          <span className="block font-display text-[36px] leading-[38px] font-bold lg:text-[84px] lg:leading-[86px]">{measure.name}</span>
          {row.tape.place && (
            <span className="block font-display text-[26px] leading-8 font-bold lg:text-[52px] lg:leading-[56px]">{PLACES[row.tape.place]}</span>
          )}
          <span className="mt-1 block text-[18px] leading-6 lg:mt-2 lg:text-[34px] lg:leading-[42px]">{measure.path}</span>
          <span
            className={`mt-1 block text-[56px] leading-[60px] lg:mt-3 font-bold tabular-nums lg:text-[150px] lg:leading-[150px] ${entry.problem ? 'text-snag' : ''}`}
          >
            {entry.typed ? <TypedLength text={entry.typed} /> : <span className="text-mute">–</span>}
            <span className="ml-3 text-[0.4em] font-medium text-mute">{entry.weight ? (unit === 'in' ? 'lb' : 'kg') : unit}</span>
          </span>
          <span
            aria-live="polite"
            className={`block min-h-6 text-[18px] leading-6 lg:min-h-8 lg:text-[26px] lg:leading-8 ${entry.problem ? 'font-bold text-snag' : ''}`}
          >
            {entry.problem ?? (doubled === '' ? (state !== '' && entry.typed === '' ? state : (last ?? measure.howTo.howTight)) : doubled)}
          </span>
          {measure.hold === 2 && (
            <span className="mt-1 block text-[16px] leading-5 text-chalk lg:text-[22px] lg:leading-7">
              Unreliable alone: best with a helper at {name}’s head.{' '}
              {measure.id === 'M01' ? 'A loop over the head helps.' : 'Take it again when there are two of you.'}
            </span>
          )}
        </button>
        <div className="flex min-h-0 flex-col gap-1.5 border-t-2 border-ink bg-bench p-2 pb-0 lg:gap-2 lg:border-t-0 lg:pb-2">
          {question && (
            <div role="alert" className="quiet-scroll max-h-[46dvh] shrink-0 border-2 border-snag bg-panel">
              <TapeQuestion bare question={question} inHand={question.measure === row.tape.measure} onAgain={again} />
              <button type="button" onClick={later} className="min-h-11 px-[18px] font-semibold underline">
                Later{waiting > 1 ? `; ${waiting - 1} more` : ''}
              </button>
            </div>
          )}
          <KnucklePad
            typed={entry.typed}
            onType={entry.setTyped}
            fractions={unit === 'in' && !entry.weight}
            {...(entry.weight ? {} : { unit: { label: unit, onChange: () => dispatch(settingsChanged({ unit: unit === 'in' ? 'cm' : 'in' })) } })}
          />
          <div className="grid grid-cols-2 gap-2">
            {entry.doubling ? (
              <button
                type="button"
                role="switch"
                aria-checked={entry.oneSide}
                onClick={() => entry.setOneSide(!entry.oneSide)}
                className={`min-h-12 border-2 border-ink text-[17px] lg:min-h-14 font-bold ${entry.oneSide ? 'bg-ink text-panel' : 'bg-panel'}`}
              >
                One side, doubled
              </button>
            ) : (
              <button type="button" onClick={step(-1)} className="min-h-12 border-2 border-ink bg-panel text-[17px] lg:min-h-14 font-bold">
                Tape before
              </button>
            )}
            <button
              type="button"
              role="switch"
              aria-checked={voice && canSpeak()}
              onClick={() => dispatch(settingsChanged({ voice: !voice }))}
              className={`min-h-12 border-2 border-ink text-[17px] lg:min-h-14 font-bold ${voice && canSpeak() ? 'bg-ink text-panel' : 'bg-panel'}`}
            >
              {canSpeak() ? 'Voice' : 'No voice in this browser'}
            </button>
          </div>
          <button type="button" onClick={next} className="min-h-[68px] border-2 border-ink bg-tape text-[30px] font-bold text-tape-ink lg:min-h-[84px]">
            {entry.typed.trim() === '' ? 'Skip' : 'Pin it'}
          </button>
          <p className="flex items-center justify-between text-[15px] text-mute">
            <span className="max-lg:hidden">{letterKeys ? 'Space or Enter: next. Digits type. Arrows move.' : 'Enter: next. Arrows move.'}</span>
            <Link to={`/tickets/${sheet.ticket.id}/measure`} className="inline-flex min-h-11 items-center font-bold text-ink underline">
              Back to the bench
            </Link>
          </p>
        </div>
      </div>
    </>
  )
}
