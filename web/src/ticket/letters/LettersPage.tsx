import { formatLength, formatWeight, measureIds, measures, type AsWritten, isMeasureId } from '@merry-tailor/core'
import { useId, useRef, useState } from 'react'
import { Link } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useAppSelector } from '../../state/store'
import { clock, longDay } from '../../state/today'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useOnce } from '../../state/use-once'
import { Button } from '../../ui/controls/Button'
import { Picker } from '../../ui/controls/Picker'
import { Segmented } from '../../ui/controls/Segmented'
import { TextField } from '../../ui/controls/TextField'
import { PLACES } from '../../words/measuring'
import { problemWords } from '../../words/problems'
import { measureName } from '../../words/stages'
import { parseEntry } from '../../length-entry'
import { useOpenTicket, useActs, useTapes, isOpen } from '../../bench'
import { letterLines, type LetterLine } from './letter-lines'
import { Problem, useFieldProblem } from '../../ui/controls/Problem'

const CAME: Readonly<Record<AsWritten['came'], string>> = { mail: 'By mail', phone: 'By phone', form: 'On a form', message: 'By message' }

/** Numbers that came under somebody else's letters: kept as written, asked back about, then taken as readings or struck. */
export function LettersPage() {
  const { sheet, name } = useOpenTicket()
  const waiting = sheet.asWritten.filter((written) => isOpen(written, sheet.readings))
  const settled = sheet.asWritten.filter((written) => !isOpen(written, sheet.readings))
  return (
    <div className="quiet-scroll min-h-0 flex-1 lg:grid lg:grid-cols-[388px_1fr] lg:overflow-hidden">
      <section aria-label="A number that came" className="quiet-scroll min-h-0 border-ink bg-panel px-4 py-3 lg:border-r-2">
        <NewLetter />
      </section>
      <section aria-label="Numbers as written" className="flex min-h-0 flex-col bg-panel max-lg:border-t-2 max-lg:border-ink">
        <header className="flex shrink-0 flex-wrap items-center justify-between gap-3 border-b-2 border-ink bg-bench px-5 py-2">
          <div>
            <h1 className="text-[26px] leading-[32px]">Path unknown, as written</h1>
            <p className="text-mute">Kept for {name}, never sized on. When the answer comes they become readings, or are struck.</p>
          </div>
          <Link
            to={`/tickets/${sheet.ticket.id}/ask-back`}
            className={`inline-flex min-h-14 items-center rounded-[2px] border-2 border-ink px-5 text-[18px] font-bold ${waiting.length > 0 ? 'bg-tape text-tape-ink' : 'bg-panel'}`}
          >
            Ask-back page
          </Link>
        </header>
        <div className="quiet-scroll min-h-0 flex-1">
          {sheet.asWritten.length === 0 && (
            <p className="px-5 py-4 text-mute">
              Nothing came by mail or phone. A number with a letter beside it goes in beside this list, above it on a phone.
            </p>
          )}
          <ul>
            {waiting.map((written) => (
              <Waiting key={written.id} written={written} />
            ))}
          </ul>
          {settled.length > 0 && (
            <>
              <h2 className="border-t-2 border-ink px-5 pt-2 text-[19px] leading-6">Answered or struck</h2>
              <ul>
                {settled.map((written) => (
                  <li key={written.id} className="border-b border-rule px-5 py-2">
                    <b>“{written.letters}”</b> {written.asWritten}:{' '}
                    {written.struck
                      ? `struck out ${clock(written.struck.at)}${written.struck.by ? ` by ${written.struck.by}` : ''}: ${written.struck.why}`
                      : `became ${measureName(sheet.readings.find((reading) => reading.id === written.became?.readingId)?.measure ?? '').toLowerCase()}${written.became?.by ? `, by ${written.became.by}` : ''}`}
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
        <footer className="flex min-h-11 shrink-0 items-center border-t-2 border-ink px-5">
          <Link to={`/tickets/${sheet.ticket.id}/measure`} className="inline-flex min-h-11 items-center font-bold underline">
            Back to the tapes
          </Link>
        </footer>
      </section>
    </div>
  )
}

interface Letter {
  letters: string
  asWritten: string
  came: AsWritten['came']
  wanted: string
  remark: string
}
const NO_LETTER: Letter = { letters: '', asWritten: '', came: 'mail', wanted: '', remark: '' }
const isLetter = (kept: unknown): kept is Letter =>
  typeof kept === 'object' && kept !== null && Object.keys(NO_LETTER).every((field) => typeof (kept as Record<string, unknown>)[field] === 'string')

function NewLetter() {
  const { sheet } = useOpenTicket()
  const { rows } = useTapes()
  const { fitter } = useAppSelector((state) => state.settings)
  const { act } = useActs()
  // What this ticket wants is likelier than the rest of the catalogue.
  const wantedHere = new Set<string>(rows.map(({ tape }) => tape.measure))
  const likelyFirst = [...measureIds].sort((a, b) => Number(wantedHere.has(b)) - Number(wantedHere.has(a)))
  // Left half typed it is there again.
  const [draft, setDraft, forget] = useKeptDraft(`letter-${sheet.ticket.id}`, NO_LETTER, isLetter)
  const { letters, asWritten, came, wanted, remark } = draft
  const say = (said: Partial<Letter>): void => setDraft((now) => ({ ...now, ...said }))
  const [problem, setProblem] = useState<'letters' | 'number' | null>(null)
  const [refused, setRefused] = useState<string | null>(null)
  const once = useOnce()
  const firstField = useRef<HTMLInputElement>(null)
  const bodyOf = (line: LetterLine, may: string, said: string) => ({
    ...line,
    came,
    wanted: isMeasureId(may) ? may : null,
    remark: said,
    at: new Date().toISOString(),
    by: fitter,
  })
  const keep = async (): Promise<boolean> => {
    if (letters.trim() === '') setProblem('letters')
    else if (asWritten.trim() === '') setProblem('number')
    else {
      const { error } = await act({
        act: 'write-down',
        id: uuid(),
        body: bodyOf({ letters: letters.trim(), asWritten: asWritten.trim() }, wanted, remark.trim()),
      })
      setRefused(error ? `Not kept. ${problemWords(error)} What you typed stays.` : null)
      // Cleared once it is known to be kept.
      if (error) return false
      forget()
      setProblem(null)
      // The next number of the same letter begins where this one did.
      firstField.current?.focus()
      return true
    }
    return false
  }
  return (
    <form
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault()
        void once(keep)
      }}
    >
      <h2 className="text-[19px] leading-6">A number that came</h2>
      <Problem>{refused}</Problem>
      <Segmented
        label="How it came"
        value={came}
        options={(['mail', 'phone', 'form', 'message'] as const).map((value) => ({ value, label: CAME[value].replace(/^(?:By|On a) /, '') }))}
        onChange={(way) => say({ came: way })}
      />
      <WholeLetter
        onKeep={async (lines) => {
          for (const line of lines) {
            const { error } = await act({ act: 'write-down', id: uuid(), body: bodyOf(line, '', '') })
            if (error) return `Not kept from “${line.letters}” on. ${problemWords(error)}`
          }
          return null
        }}
      />
      <TextField
        ref={firstField}
        label="Their letter or word"
        value={letters}
        maxLength={60}
        placeholder="A–C, neck, length"
        problem={problem === 'letters' ? 'What did they call it? A letter will do.' : undefined}
        onChange={(event) => {
          say({ letters: event.target.value })
          setProblem(null)
        }}
      />
      <TextField
        label="The number, as written"
        value={asWritten}
        maxLength={60}
        placeholder="34, or 13 1/2 in"
        problem={problem === 'number' ? 'The number just as it stood there.' : undefined}
        hint="Exactly as it stood; nothing is read into it."
        onChange={(event) => {
          say({ asWritten: event.target.value })
          setProblem(null)
        }}
      />
      <div>
        <p className="mb-1 text-[13.5px] font-semibold text-mute">It may be</p>
        <Picker
          label="Which measure it may be"
          value={wanted}
          placeholder="Nobody knows yet"
          options={likelyFirst.map((id) => ({ value: id, label: measures[id]?.name ?? id, note: id }))}
          onChange={(measure) => say({ wanted: measure })}
          className="w-full"
        />
      </div>
      <TextField label="Remark" value={remark} maxLength={300} onChange={(event) => say({ remark: event.target.value })} />
      <Button type="submit">Keep as written</Button>
    </form>
  )
}

/** A letter with many numbers: its lines pasted, each kept as it stood. */
function WholeLetter({ onKeep }: { onKeep: (lines: readonly LetterLine[]) => Promise<string | null> }) {
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const id = useId()
  const once = useOnce()
  const { lines, left } = letterLines(text)
  const keep = async (): Promise<boolean> => {
    if (lines.length === 0) {
      setProblem('No line with a word and a number in it.')
      return false
    }
    const refused = await onKeep(lines)
    setProblem(refused)
    if (refused === null) setText(left.join('\n'))
    return refused === null
  }
  const { field, id: problemId } = useFieldProblem(problem)
  return (
    <details className="border-b border-rule pb-2">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold underline">Many at once: paste the letter’s lines</summary>
      <label htmlFor={id} className="mb-1 block text-[13.5px] font-semibold text-mute">
        A word or letter and its number on each line
      </label>
      <textarea
        id={id}
        rows={5}
        value={text}
        placeholder={'A 34\nB: 13 1/2 in\nneck 41'}
        {...field}
        onChange={(event) => {
          setText(event.target.value)
          setProblem(null)
        }}
        className="w-full border-2 border-ink bg-panel px-3 py-2 text-[16px] placeholder:text-mute"
      />
      <Problem id={problemId} className="text-[14px]">
        {problem}
      </Problem>
      {left.length > 0 && <p className="text-[14px] text-mute">Without a number, left out: {left.join('; ')}.</p>}
      <Button className="mt-1" onClick={() => void once(keep)}>
        {lines.length === 0 ? 'Keep the lines' : lines.length === 1 ? 'Keep 1 number' : `Keep ${lines.length} numbers`}
      </Button>
    </details>
  )
}

function Waiting({ written }: { written: AsWritten }) {
  const { unit: shopUnit, fitter } = useAppSelector((state) => state.settings)
  const { act, mark } = useActs()
  const [open, setOpen] = useState(false)
  const [measure, setMeasure] = useState(written.wanted ?? '')
  const [place, setPlace] = useState('')
  const [typed, setTyped] = useState(written.asWritten)
  const [side, setSide] = useState<'one' | 'both' | null>(null)
  const [said, setSaid] = useState<'in' | 'cm' | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const about = measures[measure]
  const weighs = about?.quantity === 'mass'
  // What others sent means what they meant: a number without a unit is asked about, never read in the shop's own.
  const named = /\d\s*(?:in\b|inch|"|″|''|cm|mm|kg|kilo|lb|pound)/i.test(typed)
  const unit = said ?? shopUnit
  const first = typed.trim() === '' ? null : parseEntry(measure === '' ? 'M07' : measure, typed, unit)
  const both =
    typed.trim() === '' || named || weighs
      ? ''
      : [parseEntry('M07', typed, 'in'), parseEntry('M07', typed, 'cm')]
          .map((each, i) => (each.ok ? formatLength(each.mm, { unit: i === 0 ? 'cm' : 'in', step: i === 0 ? 0.1 : 0.125 }).text : ''))
          .join('|')
  const [asInches = '', asCm = ''] = both.split('|')
  const take = async (): Promise<void> => {
    if (!about || !isMeasureId(measure)) return setProblem('Which measure is it? They must say.')
    if (about.places.length > 0 && place === '') return setProblem('Which one of them?')
    if (!named && said === null)
      return setProblem(
        weighs ? 'Kilograms or pounds? Write it behind the number.' : 'Inches or centimetres? The letter does not say; ask, or choose what they answered.',
      )
    if (about.doubling && side === null) return setProblem('One side, or all round? They must say.')
    const read = parseEntry(measure, typed, unit)
    if (!read.ok) return setProblem(read.problem)
    const readingId = uuid()
    const at = new Date().toISOString()
    const kept = await act({
      act: 'read',
      id: readingId,
      body: {
        measure,
        mm: read.mm,
        side: about.doubling && side === 'one' ? 'one' : 'both',
        asTyped: typed.trim().slice(0, 40),
        unit: read.unit,
        method: 'tape',
        takenAt: at,
        by: '',
        place: about.places.find((each) => each === place) ?? null,
        remark: `Came as “${written.letters}”, answered by the sender`.slice(0, 200),
      },
    })
    if (kept.error) return setProblem(`Not kept. ${problemWords(kept.error)} It stays here.`)
    const answered = await act({ act: 'answer', id: written.id, body: { readingId, at, by: fitter } })
    if (answered.error) setProblem(`The reading is kept, its answer is not. ${problemWords(answered.error)}`)
  }
  return (
    <li className="border-b border-rule px-5 py-3">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p>
          <b className="text-[19px]">
            “{written.letters}” {written.asWritten}
          </b>{' '}
          <span className="text-mute">
            {CAME[written.came].toLowerCase()}, {longDay(written.at.slice(0, 10))}
            {written.by ? `, kept by ${written.by}` : ''}
            {written.remark ? `; ${written.remark}` : ''}
            {written.wanted ? `; may be ${measureName(written.wanted).toLowerCase()}` : ''}
          </span>
        </p>
        <div className="flex gap-2">
          <Button aria-expanded={open} onClick={() => setOpen(!open)}>
            They answered
          </Button>
          <Button tone="quiet" onClick={() => void mark('as-written', written.id, 'struck', 'No answer, or not needed')}>
            Strike out
          </Button>
        </div>
      </div>
      {open && (
        <form
          className="mt-3 grid max-w-[640px] gap-3 border-l-[5px] border-ink bg-bench px-4 py-3 md:grid-cols-2"
          onSubmit={(event) => {
            event.preventDefault()
            void take()
          }}
        >
          <div>
            <p className="mb-1 text-[13.5px] font-semibold text-mute">They say it is</p>
            <Picker
              label="The measure it is"
              value={measure}
              options={measureIds.map((id) => ({ value: id, label: measures[id]?.name ?? id, note: id }))}
              onChange={(next) => {
                setMeasure(next)
                setPlace('')
                setSide(null)
                setProblem(null)
              }}
              className="w-full"
            />
          </div>
          <TextField
            label="The number, read"
            value={typed}
            problem={problem ?? undefined}
            hint={
              first?.ok && (named || said !== null)
                ? `Reads ${weighs ? `${formatWeight(first.mm)}, ${formatWeight(first.mm, 'lb')}` : `${formatLength(first.mm, { unit: 'in', step: 0.125 }).text}, ${formatLength(first.mm, { unit: 'cm', step: 0.1 }).text}`}`
                : asInches === ''
                  ? undefined
                  : `As inches it is ${asInches}; as centimetres ${asCm}.`
            }
            onChange={(event) => {
              setTyped(event.target.value)
              setProblem(null)
            }}
          />
          {!named && !weighs && (
            <div>
              <p className="mb-1 text-[13.5px] font-semibold text-mute">It is in</p>
              <Segmented
                label="Unit of the number"
                value={said}
                options={[
                  { value: 'in', label: 'Inches' },
                  { value: 'cm', label: 'Centimetres' },
                ]}
                onChange={(next) => {
                  setSaid(next)
                  setProblem(null)
                }}
              />
            </div>
          )}
          {about && about.places.length > 0 && (
            <Picker label="Which one" value={place} options={about.places.map((each) => ({ value: each, label: PLACES[each] }))} onChange={setPlace} />
          )}
          {about?.doubling && (
            <Segmented
              label="One side or full"
              value={side}
              options={[
                { value: 'both', label: 'Full' },
                { value: 'one', label: 'One side' },
              ]}
              onChange={(next) => {
                setSide(next)
                setProblem(null)
              }}
            />
          )}
          <div className="md:col-span-2">
            <Button type="submit">Take it as a reading</Button>
          </div>
        </form>
      )}
    </li>
  )
}
