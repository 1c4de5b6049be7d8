import { families, FAMILY_IDS, type FamilyId, measureIds, typicalForm, type SizeTable, isMeasureId } from '@merry-tailor/core'
import {
  guessColumns,
  parseSpan,
  readPasted,
  tableFromPasted,
  type ColumnGuess,
  type ColumnMeaning,
  type DocumentProblem,
  type Pasted,
} from '@merry-tailor/core/formats'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useAddSizeTableMutation, useSizeTablesQuery } from '../api/queries'
import { PlaceFrame } from '../frame/Strip'
import { Picker } from '../ui/controls/Picker'
import { SwitchBox } from '../ui/controls/SwitchBox'
import { Segmented } from '../ui/controls/Segmented'
import { TextField } from '../ui/controls/TextField'
import { platesOf } from '../ui/plates/plate-of'
import { useKeptDraft } from '../state/use-kept-draft'
import { TapePlate } from '../ui/plates/TapePlate'
import { Snag } from '../ui/State'
import { problemWords } from '../words/problems'
import { measureName, wayName } from '../words/stages'
import { tableId } from './table-draft'
import { upperFirst } from '../words/first-letter'
import { Problem } from '../ui/controls/Problem'

const isText = (kept: unknown): kept is string => typeof kept === 'string'

/** Cells pasted from a spreadsheet, and what each column stands for: nothing is taken in before that is said. */
export function PastePage() {
  const [text, setText, forgetText] = useKeptDraft('pasted-cells', '', isText)
  const [pasted, setPasted] = useState<Pasted | null>(null)
  const [problems, setProblems] = useState<readonly DocumentProblem[]>([])
  const read = (): void => {
    const result = readPasted(text)
    setProblems(result.ok ? [] : result.problems)
    setPasted(result.ok ? result.value : null)
  }
  return (
    <PlaceFrame name="Sizes" detail="Paste a table">
      <div className="quiet-scroll min-h-0 flex-1 bg-panel px-5 py-4" tabIndex={-1}>
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <h1 className="text-[26px] leading-[34px]">{pasted ? 'What does each column stand for?' : 'Paste a maker’s table'}</h1>
          <Link to="/sizes" className="inline-flex min-h-11 items-center font-bold underline">
            Back to Sizes
          </Link>
        </div>
        {pasted ? (
          <Mapping pasted={pasted} onBack={() => setPasted(null)} onTaken={forgetText} />
        ) : (
          <form
            className="max-w-[860px] space-y-3"
            onSubmit={(event) => {
              event.preventDefault()
              read()
            }}
          >
            <p className="text-mute">Copy the cells in the spreadsheet, the row of titles with them, and paste them here. Sizes go down, measures across.</p>
            <label className="block">
              <span className="mb-1 block text-[13.5px] font-semibold text-mute">Cells</span>
              <textarea
                rows={12}
                value={text}
                spellCheck={false}
                aria-invalid={problems.length > 0 ? true : undefined}
                onChange={(event) => {
                  const { value } = event.target
                  setText(() => value)
                  setProblems([])
                }}
                className="w-full rounded-[2px] border-2 border-ink bg-panel px-3 py-2 text-[15px] leading-[21px]"
              />
            </label>
            <Problems problems={problems} title="These cells can’t be read." />
            <button
              type="submit"
              disabled={text.trim() === ''}
              className="min-h-14 rounded-[2px] border-2 border-ink bg-tape px-6 text-[18px] font-bold text-tape-ink disabled:bg-tape-rest"
            >
              {text.trim() === '' ? 'Paste the cells first' : 'Read the cells'}
            </button>
          </form>
        )}
      </div>
    </PlaceFrame>
  )
}

function Problems({ problems, title }: { problems: readonly DocumentProblem[]; title: string }) {
  if (problems.length === 0) return null
  return (
    <Snag title={title}>
      <ul className="max-h-44 overflow-y-auto">
        {problems.slice(0, 20).map((problem) => (
          <li key={`${problem.at}${problem.message}`}>
            <b>{problem.at}:</b> {problem.message}
          </li>
        ))}
        {problems.length > 20 && <li>and {problems.length - 20} more.</li>}
      </ul>
    </Snag>
  )
}

type Stands = 'size' | 'unjudged' | 'tested' | 'strap' | `M${string}`
const standsFor = (meaning: ColumnMeaning | null): Stands | '' =>
  meaning === null
    ? ''
    : 'measure' in meaning
      ? (meaning.measure as `M${string}`)
      : meaning.kind === 'size' || meaning.kind === 'tested' || meaning.kind === 'strap'
        ? meaning.kind
        : 'unjudged'

function meaningOf(stands: Stands, before: ColumnMeaning | null, title: string): ColumnMeaning {
  if (stands === 'size' || stands === 'unjudged' || stands === 'tested') return { kind: stands }
  if (stands === 'strap') return { kind: 'strap', name: title || 'Strap' }
  const end =
    before && (before.kind === 'from' || before.kind === 'to')
      ? before.kind
      : /\b(?:from|min|von|smallest)\b/i.test(title)
        ? 'from'
        : /\b(?:to|max|bis|largest)\b/i.test(title)
          ? 'to'
          : 'range'
  return { kind: end, measure: stands }
}

function Mapping({ pasted, onBack, onTaken }: { pasted: Pasted; onBack: () => void; onTaken: () => void }) {
  const guesses = guessColumns(pasted)
  const [columns, setColumns] = useState<readonly (ColumnMeaning | null)[]>(() => guesses.map((guess) => guess.meaning))
  const [unit, setUnit] = useState<'in' | 'cm' | 'mm' | ''>('')
  const [give, setGive] = useState('')
  const [weightUnit, setWeightUnit] = useState<'kg' | 'lb' | ''>('')
  const [ends, setEnds] = useState<Readonly<Record<string, string>>>({})
  const [sureOfOrder, setSureOfOrder] = useState(false)
  const [facts, setFacts] = useState({ maker: '', name: '' })
  const [family, setFamily] = useState<FamilyId>('H01')
  const [way, setWay] = useState<SizeTable['way']>('stock')
  const [problems, setProblems] = useState<readonly DocumentProblem[]>([])
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const [addSizeTable] = useAddSizeTableMutation()
  const navigate = useNavigate()
  const set = (i: number, meaning: ColumnMeaning): void => {
    setColumns(columns.map((column, at) => (at === i ? meaning : column)))
    setProblems([])
  }
  const alone = pasted.rows.some((cells) =>
    columns.some((column, c) => {
      if (!column || (column.kind !== 'range' && column.kind !== 'strap')) return false
      const span = parseSpan(cells[c] ?? '', 'cm')
      return span.ok && span.band === null
    }),
  )
  const weighs = columns.some((column) => column && (column.kind === 'tested' || ('measure' in column && column.measure === 'M00')))
  const weightAt = problems.find((each) => each.at === 'weight unit')
  /** Columns with open cells, each way once. */
  const open = columns.flatMap((column, c) => {
    if (!column || (column.kind !== 'range' && column.kind !== 'strap')) return []
    const ways = pasted.rows.flatMap((cells) => {
      const span = parseSpan(cells[c] ?? '', unit || 'cm')
      return !span.ok && span.open ? [span.open.way] : []
    })
    return [...new Set(ways)].map((way) => ({ c, way, key: `open ${c} ${way}` }))
  })
  const endOf = (c: number, way: 'up' | 'down'): number | null => {
    const span = parseSpan(ends[`open ${c} ${way}`] ?? '', unit || null)
    return span.ok ? span.mm : null
  }
  const giveAt = problems.find((each) => each.at === 'give')
  const takeIn = async (): Promise<void> => {
    const own: DocumentProblem[] = []
    if (facts.maker.trim() === '') own.push({ at: 'maker', message: 'whose table is it?' })
    if (facts.name.trim() === '') own.push({ at: 'name', message: 'give it a name to find it by' })
    const span = give.trim() === '' ? null : parseSpan(give, unit || null)
    if (span && !span.ok) own.push({ at: 'give', message: unit === '' ? 'say the unit first' : 'a length, such as 2 or 1/2' })
    const read = tableFromPasted(pasted, {
      unit: unit || null,
      columns,
      giveMm: span?.ok ? span.mm : null,
      weightUnit: weightUnit || null,
      opens: columns.map((_, c) => ({ fromMm: endOf(c, 'down'), toMm: endOf(c, 'up') })),
      sureOfOrder,
      table: {
        id: tableId(
          facts,
          tables.map((table) => table.id),
        ),
        version: 1,
        name: facts.name.trim() || 'x',
        maker: facts.maker.trim() || 'x',
        family,
        way,
        between: null,
      },
    })
    const all = [...own, ...(read.ok ? [] : read.problems)]
    setProblems(all)
    if (all.length > 0 || !read.ok) return
    const answer = await addSizeTable(read.value)
    if (answer.error) setProblems([{ at: 'table', message: problemWords(answer.error) }])
    else {
      onTaken()
      await navigate(`/sizes?table=${read.value.id}`)
    }
  }
  return (
    <div className="space-y-4">
      <p className="max-w-[760px] text-mute">
        Makers mean different paths by one word. Name the path where the maker says it; leave “Not one of our paths” where nobody knows. Such a column is kept
        by name and judges nothing; it is never converted.
      </p>
      <ul className="border-t-2 border-ink">
        {guesses.map((guess, i) => (
          <ColumnRow
            key={i}
            guess={guess}
            meaning={columns[i] ?? null}
            sample={pasted.rows.slice(0, 3).map((cells) => cells[i] ?? '')}
            onSet={(meaning) => set(i, meaning)}
          />
        ))}
      </ul>
      <div className="grid max-w-[980px] gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <TextField
          label="Maker"
          maxLength={80}
          value={facts.maker}
          problem={sentence(problems.find((each) => each.at === 'maker'))}
          onChange={(event) => setFacts({ ...facts, maker: event.target.value })}
        />
        <TextField
          label="Table"
          maxLength={80}
          value={facts.name}
          problem={sentence(problems.find((each) => each.at === 'name'))}
          onChange={(event) => setFacts({ ...facts, name: event.target.value })}
        />
        <div>
          <span className="mb-1 block text-[13.5px] font-semibold text-mute">Kind</span>
          <Picker
            label="Kind"
            value={family}
            options={FAMILY_IDS.map((id) => ({ value: id, label: families[id].name }))}
            onChange={setFamily}
            className="w-full"
          />
        </div>
        <div className="sm:col-span-2">
          <span className="mb-1 block text-[13.5px] font-semibold text-mute">Numbers are (? while nobody has said)</span>
          <Segmented
            label="Numbers are"
            value={unit}
            options={[
              { value: 'in', label: 'Inches' },
              { value: 'cm', label: 'Centimetres' },
              { value: 'mm', label: 'Millimetres' },
              { value: '', label: '?' },
            ]}
            onChange={(next) => {
              setUnit(next)
              setProblems([])
            }}
          />
        </div>
        <div>
          <span className="mb-1 block text-[13.5px] font-semibold text-mute">Way</span>
          <Segmented
            label="Way"
            value={way}
            options={(['stock', 'quick-ship', 'made'] as const).map((each) => ({ value: each, label: wayName(each) }))}
            onChange={setWay}
          />
        </div>
        {weighs && (
          <div>
            <span className="mb-1 block text-[13.5px] font-semibold text-mute">Weights are (? while nobody has said)</span>
            <Segmented
              label="Weights are"
              value={weightUnit}
              options={[
                { value: 'kg', label: 'Kilograms' },
                { value: 'lb', label: 'Pounds' },
                { value: '', label: '?' },
              ]}
              onChange={(next) => {
                setWeightUnit(next)
                setProblems([])
              }}
            />
            {weightAt && <Problem className="mt-1 text-[13.5px]">{sentence(weightAt)}</Problem>}
          </div>
        )}
        {open.map(({ c, way, key }) => (
          <TextField
            key={key}
            label={`“${pasted.head[c] ?? ''}”: open cells ${way === 'up' ? 'go up to' : 'begin at'}`}
            hint="Some cells say one end only. Ask the maker where the other lies."
            value={ends[key] ?? ''}
            problem={sentence(problems.find((each) => each.at === key))}
            onChange={(event) => {
              setEnds({ ...ends, [key]: event.target.value })
              setProblems([])
            }}
          />
        ))}
        {alone && (
          <TextField
            label="A single number gives or takes"
            hint="Some cells have one number. How far do they reach either way? Ask the maker; empty refuses them."
            value={give}
            problem={sentence(giveAt)}
            onChange={(event) => setGive(event.target.value)}
          />
        )}
      </div>
      <Problems
        problems={problems.filter((each) => !['maker', 'name', 'give', 'weight unit'].includes(each.at) && !each.at.startsWith('open '))}
        title="Nothing was taken in. What you set here stays."
      />
      {problems.some((each) => each.at === 'order') && <SwitchBox label="It stands so on the maker’s table" checked={sureOfOrder} onChange={setSureOfOrder} />}
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          onClick={() => void takeIn()}
          className="min-h-14 rounded-[2px] border-2 border-ink bg-tape px-6 text-[18px] font-bold text-tape-ink"
        >
          Take the table in
        </button>
        <button type="button" onClick={onBack} className="min-h-14 px-3 font-bold underline">
          Back to the cells
        </button>
      </div>
    </div>
  )
}

const sentence = (problem: DocumentProblem | undefined): string | undefined => (problem ? `${upperFirst(problem.message)}.`.replace('?.', '?') : undefined)

interface ColumnRowProps {
  guess: ColumnGuess
  meaning: ColumnMeaning | null
  sample: readonly string[]
  onSet: (meaning: ColumnMeaning) => void
}

/** One column: its title, a few cells, the path it stands for with its picture. */
function ColumnRow({ guess, meaning, sample, onSet }: ColumnRowProps) {
  const likely = guess.ask.filter(isMeasureId)
  const options = [
    ...likely.map((id) => ({ value: id, label: measureName(id), note: 'makers mean this' })),
    { value: 'size' as Stands, label: 'Size names' },
    ...measureIds.filter((id) => !likely.includes(id)).map((id) => ({ value: id, label: measureName(id) })),
    { value: 'strap' as Stands, label: 'A strap’s own length' },
    { value: 'tested' as Stands, label: 'Weight it was tested for' },
    { value: 'unjudged' as Stands, label: 'Not one of our paths' },
  ]
  const measure = meaning && 'measure' in meaning ? meaning : null
  return (
    <li className="grid items-center gap-x-4 gap-y-2 border-b border-rule py-2 md:grid-cols-[180px_170px_280px_1fr_130px]">
      <b className="text-[17px]">{guess.title || 'No title'}</b>
      <span className="text-[14px] text-mute">{sample.filter(Boolean).join(' · ') || 'empty'}</span>
      <Picker
        label={`What “${guess.title}” stands for`}
        value={standsFor(meaning)}
        placeholder="Which path?"
        options={options}
        onChange={(stands) => onSet(meaningOf(stands, meaning, guess.title))}
      />
      {measure ? (
        <Segmented
          label={`What a cell of “${guess.title}” holds`}
          value={measure.kind}
          options={[
            { value: 'range', label: 'From and to' },
            { value: 'from', label: 'From' },
            { value: 'to', label: 'To' },
          ]}
          onChange={(kind) => onSet({ ...measure, kind })}
        />
      ) : (
        <span className="text-[14px] text-mute">{meaning === null ? 'Kept by name; judges nothing until a path is named.' : ''}</span>
      )}
      {measure ? (
        <TapePlate
          form={typicalForm(null)}
          plate={platesOf(measure.measure)[0] ?? 'side'}
          measure={measure.measure}
          width={130}
          height={72}
          plain
          label={`Path of ${measureName(measure.measure).toLowerCase()}`}
        />
      ) : (
        <span />
      )}
    </li>
  )
}
