import type { Dog } from '@merry-tailor/core'
import { bodySheetFromCsv, bodySheetFromJson, kennelTemplate, type BodySheet, type KennelList } from '@merry-tailor/core/formats'
import { useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useDogsQuery, useOwnersQuery, useTakeBodySheetMutation, useTakeKennelListMutation } from '../api/queries'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { useKeptDraft } from '../state/use-kept-draft'
import { Button } from '../ui/controls/Button'
import { Segmented } from '../ui/controls/Segmented'
import { Snag } from '../ui/State'
import { problemWords } from '../words/problems'
import { readKennel } from '../workers/read-kennel'
import { ListQuestions, type ListSaid } from './ListQuestions'

/** What is shown of a long list at once; every row is read and checked all the same. */
const SHOWN = 60

type Came =
  | { kind: 'list'; name: string; list: KennelList }
  | { kind: 'sheet'; name: string; sheet: BodySheet }
  | { kind: 'bad'; name: string; problems: { at: string; message: string }[] }

const isText = (kept: unknown): kept is string => typeof kept === 'string'

/** Bringing dogs in: a kennel list as CSV with a preview, or one dog's body sheet as JSON. All of it or nothing. */
export function BringIn() {
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const { data: dogs = [] } = useDogsQuery(undefined)
  const { data: owners = [] } = useOwnersQuery(undefined)
  const [came, setCame] = useState<Came | null>(null)
  const [reading, setReading] = useState(false)
  const [source, setSource] = useState<{ name: string; text: string } | null>(null)
  const [pasted, setPasted, forgetPasted] = useKeptDraft('kennel-cells', '', isText)
  const [said, setSaid] = useState<ListSaid>({ measured: null, dayOrder: null, weightUnit: null })
  /** Rows that go to a dog that is here already, by line. */
  const [joined, setJoined] = useState<Readonly<Record<number, boolean>>>({})
  const answer = (next: ListSaid): void => {
    setSaid(next)
    if (source) void read(source.name, source.text, next)
  }
  const [takeList, list] = useTakeKennelListMutation()
  const [takeSheet, sheet] = useTakeBodySheetMutation()
  /** The ids of this list, made once: sending it twice stores it once. */
  const ids = useRef<{ id: string; ownerId: string; ticketId: string; readingIds: string[] }[]>([])
  const navigate = useNavigate()

  const read = async (name: string, text: string, asked: ListSaid = said): Promise<void> => {
    setSource({ name, text })
    setReading(true)
    try {
      const isSheet = text.startsWith('format,')
      if (isSheet || /\.json$/i.test(name) || text.trimStart().startsWith('{')) {
        const found = isSheet ? bodySheetFromCsv(text) : bodySheetFromJson(text)
        setCame(found.ok ? { kind: 'sheet', name, sheet: found.value } : { kind: 'bad', name, problems: found.problems })
      } else {
        const found = await readKennel(text, { unit, at: new Date().toISOString(), by: fitter, ...asked })
        ids.current = found.rows.map((row) => ({ id: uuid(), ownerId: uuid(), ticketId: uuid(), readingIds: (row.value?.readings ?? []).map(() => uuid()) }))
        setCame({ kind: 'list', name, list: found })
      }
    } finally {
      setReading(false)
    }
  }
  /** The one dog here of this row's name, and of its owner where the row names one. */
  const alike = (row: KennelList['rows'][number]): Dog | null => {
    const name = row.value?.dog.name.trim().toLowerCase() ?? ''
    const owner = row.value?.owner.trim().toLowerCase() ?? ''
    const found = dogs.filter(
      (dog) => dog.name.toLowerCase() === name && (owner === '' || owners.find((each) => each.id === dog.ownerId)?.name.toLowerCase() === owner),
    )
    return found.length === 1 ? (found[0] ?? null) : null
  }
  const confirm = async (): Promise<void> => {
    if (came?.kind === 'sheet') {
      const answer = await takeSheet({ sheet: came.sheet, ownerId: uuid() })
      if (!answer.error) await navigate(`/dogs/${came.sheet.dog.id}`)
    }
    if (came?.kind === 'list') {
      const rows = came.list.rows.flatMap((row, i) => {
        const own = ids.current[i]
        const here = alike(row)
        return row.value && own
          ? [{ ...row.value, ...own, id: here && (joined[row.line] ?? true) ? here.id : own.id, ownerId: row.value.owner === '' ? null : own.ownerId }]
          : []
      })
      const answer = await takeList({ at: new Date().toISOString(), by: fitter, dogs: rows })
      if (answer.error) return
      forgetPasted()
      await navigate('/dogs')
    }
  }
  const error = list.error ?? sheet.error
  return (
    <PlaceFrame name="Bring dogs in" detail="A kennel list or a body sheet">
      <div className="quiet-scroll min-h-0 flex-1 bg-panel px-5 py-4" tabIndex={-1}>
        <div className="flex flex-wrap items-end gap-3">
          <label className="inline-flex min-h-14 cursor-pointer items-center rounded-[2px] border-2 border-ink bg-tape px-5 text-[17px] font-bold text-tape-ink focus-within:outline-3">
            {came ? 'Another file' : 'Choose a file'}
            <input
              type="file"
              accept=".csv,.txt,.json,text/csv,application/json"
              aria-label="Kennel list or body sheet"
              className="sr-only"
              onChange={(event) => {
                const file = event.target.files?.[0]
                event.target.value = ''
                if (file) void file.text().then((text) => read(file.name, text))
              }}
            />
          </label>
          <a
            className="inline-flex min-h-11 items-center font-bold underline"
            download="kennel-list.csv"
            href={`data:text/csv;charset=utf-8,${encodeURIComponent(kennelTemplate())}`}
          >
            An empty list to fill in
          </a>
          <a className="inline-flex min-h-11 items-center font-bold underline" download="kennel-list.csv" href="/api/kennel-list.csv">
            Take all dogs out
          </a>
          <Link className="inline-flex min-h-11 items-center font-bold underline" to="/dogs">
            Back to the dogs
          </Link>
        </div>
        <p className="mt-2 max-w-[760px] text-mute">
          A kennel list is CSV, one dog to a row: name, breed, sex, born, weight, coat, owner, and measures such as “M01 half {unit}” or “M07 {unit}”. A body
          sheet is the JSON that a dog’s page takes out. You see it first; then all of it goes in, or nothing.
        </p>
        {!came && (
          <details className="mt-2 max-w-[760px] border-b border-rule">
            <summary className="flex min-h-12 cursor-pointer items-center font-bold">Or paste cells from a spreadsheet</summary>
            <label className="block">
              <span className="mb-1 block text-[13.5px] font-semibold text-mute">Cells, the titles first</span>
              <textarea
                rows={6}
                value={pasted}
                onChange={(event) => {
                  const { value } = event.target
                  setPasted(() => value)
                }}
                className="w-full rounded-[2px] border-2 border-ink bg-panel px-3 py-2 text-[16px] leading-[21px]"
              />
            </label>
            <Button className="my-2" onClick={() => pasted.trim() !== '' && void read('Pasted cells', pasted)}>
              Read these cells
            </Button>
          </details>
        )}
        {reading && <p className="mt-4 font-bold">Reading the list…</p>}
        {error !== undefined && (
          <div className="mt-4">
            <Snag title="Nothing was taken in.">{problemWords(error)}</Snag>
          </div>
        )}
        {came?.kind === 'bad' && (
          <div className="mt-4">
            <Snag title={`${came.name} can’t be read. Nothing was taken in.`}>
              <ul>
                {came.problems.slice(0, 12).map((problem) => (
                  <li key={`${problem.at}${problem.message}`}>
                    <b>{problem.at}</b>: {problem.message}
                  </li>
                ))}
              </ul>
            </Snag>
          </div>
        )}
        {came?.kind === 'sheet' && (
          <section className="mt-4 max-w-[760px] border-2 border-ink px-4 py-3">
            <h1 className="text-[22px] leading-7">{came.sheet.dog.name}</h1>
            <p>
              {came.sheet.visits.reduce((sum, visit) => sum + visit.readings.length, 0)} readings on {came.sheet.visits.length} visits,{' '}
              {came.sheet.notes.length} notes
              {came.sheet.owner ? `; owner ${came.sheet.owner.name}` : ''}.{' '}
              {dogs.some((dog) => dog.id === came.sheet.dog.id)
                ? 'This dog is here already: what is kept stays as it is, what is missing is added.'
                : 'A new dog here.'}
            </p>
            <div className="mt-3">
              <Button tone="primary" onClick={() => void confirm()}>
                Take it in
              </Button>
            </div>
          </section>
        )}
        {came?.kind === 'list' && <ListQuestions list={came.list} said={said} onSay={answer} />}
        {came?.kind === 'list' && (
          <Preview
            came={came}
            alike={alike}
            joins={(line) => joined[line] ?? true}
            onJoin={(line, on) => setJoined({ ...joined, [line]: on })}
            onConfirm={() => void confirm()}
            busy={list.isLoading}
          />
        )}
      </div>
    </PlaceFrame>
  )
}

interface PreviewProps {
  came: Extract<Came, { kind: 'list' }>
  /** The dog here that a row may be about. */
  alike: (row: KennelList['rows'][number]) => Dog | null
  joins: (line: number) => boolean
  onJoin: (line: number, on: boolean) => void
  onConfirm: () => void
  busy: boolean
}

function Preview({ came, alike, joins, onJoin, onConfirm, busy }: PreviewProps) {
  const { rows, columns, problems } = came.list
  const good = rows.filter((row) => row.value !== null).length
  const byLine = new Map<number, typeof problems>()
  for (const problem of problems) byLine.set(problem.line, [...(byLine.get(problem.line) ?? []), problem])
  // Rows that stop the list first.
  const shown = [...rows.filter((row) => row.value === null), ...rows.filter((row) => row.value !== null)].slice(0, SHOWN)
  const whole = problems.filter((problem) => problem.line === 1 || !rows.some((row) => row.line === problem.line))
  return (
    <section className="mt-4" aria-label="Preview">
      <div className="flex flex-wrap items-center justify-between gap-3 border-y-2 border-ink bg-bench px-3 py-2">
        <div>
          <h1 className="text-[22px] leading-7">{came.name}</h1>
          <p role="status">
            {rows.length} dogs read, {good} good
            {problems.length > 0 ? `; ${problems.length === 1 ? 'one cell' : `${problems.length} cells`} to put right, and nothing goes in before` : ''}.
          </p>
        </div>
        <Button
          tone={problems.length === 0 ? 'primary' : 'plain'}
          aria-disabled={problems.length > 0 || busy}
          onClick={() => problems.length === 0 && !busy && onConfirm()}
        >
          {problems.length > 0 ? 'Waits for the cells below' : busy ? 'Taking them in' : `Take ${good} dogs in`}
        </Button>
      </div>
      {whole.length > 0 && (
        <ul className="border-l-[5px] border-snag bg-snag-bg px-3 py-2">
          {whole.slice(0, 12).map((problem) => (
            <li key={`${problem.line}${problem.column}${problem.message}`}>
              <b>
                Line {problem.line}
                {problem.column ? `, ${problem.column}` : ''}
              </b>
              : {problem.message}
            </li>
          ))}
        </ul>
      )}
      <div className="overflow-x-auto">
        <table className="w-full border-collapse text-left text-[14.5px]">
          <thead>
            <tr className="text-[14px] text-mute">
              <th className="py-2 pr-3">Line</th>
              {columns.map((column, i) => (
                <th key={`${column}${i}`} className="py-2 pr-3">
                  {column}
                </th>
              ))}
              <th className="py-2">What is to put right</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => {
              const wrong = byLine.get(row.line) ?? []
              return (
                <tr key={row.line} className="border-t border-rule align-top">
                  <td className="py-1.5 pr-3 text-mute">{row.line}</td>
                  {columns.map((column, i) => {
                    const bad = wrong.find((problem) => problem.column.toLowerCase() === column.toLowerCase())
                    return (
                      <td key={`${column}${i}`} className={`py-1.5 pr-3 ${bad ? 'font-bold text-snag underline decoration-2' : ''}`}>
                        {row.cells[column]}
                      </td>
                    )
                  })}
                  <td className="py-1.5">
                    {wrong.map((problem) => (
                      <span key={problem.column + problem.message} className="block font-semibold text-snag">
                        {problem.column ? `${problem.column}: ` : ''}
                        {problem.message}
                      </span>
                    ))}
                    {wrong.length === 0 && alike(row) && (
                      <Segmented<'add' | 'another'>
                        label={`Line ${row.line}: ${row.value?.dog.name ?? ''} is in the book`}
                        value={joins(row.line) ? 'add' : 'another'}
                        options={[
                          { value: 'add', label: `Add to ${row.value?.dog.name ?? ''}` },
                          { value: 'another', label: 'Another dog' },
                        ]}
                        onChange={(way) => onJoin(row.line, way === 'add')}
                      />
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      {rows.length > SHOWN && (
        <p className="mt-2 text-mute">
          The first {SHOWN} of {rows.length}; those to put right come first.
        </p>
      )}
    </section>
  )
}
