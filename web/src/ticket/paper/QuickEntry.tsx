import { HANDS_ELSEWHERE, measures, type Method } from '@merry-tailor/core'
import { useRef, useState, type KeyboardEvent } from 'react'
import { Link, useNavigate } from 'react-router'
import { useAppSelector } from '../../state/store'
import { Button } from '../../ui/controls/Button'
import { Picker } from '../../ui/controls/Picker'
import { METHODS, PLACES } from '../../words/measuring'
import { Chip, Group, parseEntry, RowNumber } from '../../length-entry'
import { isTypedForm, NOTHING_TYPED, typedKey, useTapes, useOpenTicket, useActs } from '../../bench'
import { useFittersQuery } from '../../api/queries'
import { useKeptDraft } from '../../state/use-kept-draft'

const TRIES = [0, 1, 2] as const
const cellKey = (key: string, n: number): string => `${key}#${n}`

/** A filled form typed in, in the order in which it was printed; Enter goes from box to box. */
export function QuickEntry() {
  const { sheet, name } = useOpenTicket()
  const { rows } = useTapes()
  const { unit } = useAppSelector((state) => state.settings)
  const { data: fitters = [] } = useFittersQuery(undefined)
  const { act } = useActs()
  const navigate = useNavigate()
  const [draft, setDraft, forget, found] = useKeptDraft(typedKey(sheet.ticket.id), NOTHING_TYPED, isTypedForm)
  const { cells, methods, halves, by } = draft
  const setCell = (key: string, typed: string): void => setDraft((now) => ({ ...now, cells: { ...now.cells, [key]: typed } }))
  const [asked, setAsked] = useState(false)
  const [kept, setKept] = useState(0)
  const form = useRef<HTMLFormElement>(null)

  const filled = rows.flatMap((row) =>
    TRIES.flatMap((n) => {
      const typed = (cells[cellKey(row.key, n)] ?? '').trim()
      return typed === '' ? [] : [{ row, n, typed, read: parseEntry(row.tape.measure, typed, unit) }]
    }),
  )
  const bad = filled.filter((cell) => !cell.read.ok)

  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    const boxes = [...(form.current?.querySelectorAll<HTMLInputElement>('input[data-box]') ?? [])]
    const next = boxes[boxes.indexOf(event.currentTarget) + 1]
    if (next) next.focus()
    else form.current?.querySelector<HTMLButtonElement>('button[type="submit"]')?.focus()
  }
  const pinAll = async (): Promise<void> => {
    setAsked(true)
    if (filled.length === 0) return
    if (by === '') {
      document.querySelector<HTMLElement>('#who-measured button')?.focus()
      return
    }
    if (bad.length > 0) {
      document.getElementById(`box-${cellKey(bad[0]?.row.key ?? '', bad[0]?.n ?? 0)}`)?.focus()
      return
    }
    const { v7 } = await import('uuid')
    const start = Date.now()
    for (const [i, { row, n, typed, read }] of filled.entries()) {
      if (!read.ok) continue
      const about = measures[row.tape.measure]
      const answer = await act({
        act: 'read',
        id: v7(),
        body: {
          measure: row.tape.measure,
          mm: read.mm,
          side: about?.doubling && (halves[row.key] ?? true) ? 'one' : 'both',
          asTyped: typed.slice(0, 40),
          unit: read.unit,
          method: methods[row.key] ?? (row.tape.measure === 'M00' ? 'scale' : 'tape'),
          takenAt: new Date(start + i).toISOString(),
          by,
          heldBy: '',
          place: row.tape.place,
          school: about?.school ?? null,
          remark: 'From the paper form',
          ...(row.tape.measure === 'M37' ? { dewclaw: 'single' as const } : {}),
        },
      })
      // What the server refused stays in its box.
      if (answer.error) return
      setCell(cellKey(row.key, n), '')
      setKept((count) => count + 1)
    }
    forget()
    await navigate(`/tickets/${sheet.ticket.id}/measure`)
  }

  return (
    <form
      ref={form}
      className="flex min-h-0 flex-1 flex-col bg-panel"
      onSubmit={(event) => {
        event.preventDefault()
        void pinAll()
      }}
    >
      <header className="flex shrink-0 flex-wrap items-center justify-between gap-3 border-b-2 border-ink bg-bench px-5 py-2">
        <div>
          <h1 className="text-[26px] leading-[32px]">A filled form, typed in</h1>
          <p className="text-mute">In the order it was printed for {name}. Enter goes to the next box; empty boxes are skipped.</p>
        </div>
        <div id="who-measured">
          <Group label="Measured by">
            {[...HANDS_ELSEWHERE, ...fitters.filter((each) => !each.left).map((each) => each.name)].map((each) => (
              <Chip key={each} on={by === each} onClick={() => setDraft((now) => ({ ...now, by: each }))}>
                {each}
              </Chip>
            ))}
          </Group>
          {asked && filled.length > 0 && by === '' && (
            <p role="alert" className="font-semibold text-snag">
              Say who measured: it is kept with every number.
            </p>
          )}
        </div>
      </header>
      <div className="quiet-scroll min-h-0 flex-1 px-5">
        <table className="w-full max-w-[1060px] border-collapse text-left">
          <thead>
            <tr className="text-[14px] text-mute">
              <th className="py-2 pr-3">Measure</th>
              {['1st', '2nd', '3rd'].map((each) => (
                <th key={each} className="w-[120px] py-2 pr-2">
                  {each}
                </th>
              ))}
              <th className="w-[190px] py-2 max-md:hidden">Method</th>
              <th className="w-[110px] py-2 max-md:hidden">Kept so far</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => {
              const about = measures[row.tape.measure]
              const label = `${about?.name ?? ''}${row.tape.place ? `, ${PLACES[row.tape.place]}` : ''}`
              const half = about?.doubling === true && (halves[row.key] ?? true)
              return (
                <tr key={row.key} className="border-t border-rule align-top">
                  <td className="py-2 pr-3">
                    <b>
                      {i + 1}. {label}
                    </b>
                    <span className="block text-[13.5px] text-mute">{about?.path}</span>
                    {about?.doubling && (
                      <button
                        type="button"
                        role="switch"
                        aria-checked={half}
                        aria-label={`${label}: one side, doubled`}
                        onClick={() => setDraft((now) => ({ ...now, halves: { ...now.halves, [row.key]: !half } }))}
                        className="mt-1 min-h-11 border border-edge px-2 text-[14px] font-semibold"
                      >
                        {half ? 'one side, doubled' : 'the whole ring'}
                      </button>
                    )}
                  </td>
                  {TRIES.map((n) => {
                    const key = cellKey(row.key, n)
                    const typed = cells[key] ?? ''
                    const read = parseEntry(row.tape.measure, typed, unit)
                    const wrong = typed.trim() !== '' && !read.ok && asked
                    return (
                      <td key={n} className="py-2 pr-2">
                        <input
                          id={`box-${key}`}
                          data-box
                          aria-label={`${label}, ${n + 1}. reading`}
                          aria-invalid={wrong ? true : undefined}
                          aria-describedby={wrong ? `why-${key}` : undefined}
                          value={typed}
                          onChange={(event) => setCell(key, event.target.value)}
                          onKeyDown={onKey}
                          autoComplete="off"
                          maxLength={24}
                          className={`h-11 w-full rounded-[2px] border-2 bg-panel px-2 text-[18px] font-bold ${wrong ? 'border-snag' : 'border-ink'}`}
                        />
                        {wrong && (
                          <p id={`why-${key}`} role="alert" className="mt-0.5 text-[13px] leading-4 font-semibold text-snag">
                            {read.problem}
                          </p>
                        )}
                      </td>
                    )
                  })}
                  <td className="py-2 pr-2 max-md:hidden">
                    {about?.quantity === 'length' && (
                      <Picker<Method>
                        label={`Method of ${label}`}
                        value={methods[row.key] ?? 'tape'}
                        options={(['tape', 'string', 'loop', 'garment', 'square', 'tracing'] as const).map((method) => ({
                          value: method,
                          label: METHODS[method],
                        }))}
                        onChange={(method) => setDraft((now) => ({ ...now, methods: { ...now.methods, [row.key]: method } }))}
                        className="w-full border! border-edge!"
                      />
                    )}
                  </td>
                  <td className="py-3 font-bold max-md:hidden">{row.agreed?.mm != null ? <RowNumber measure={row.tape.measure} mm={row.agreed.mm} /> : ''}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
        {rows.length === 0 && <p className="py-4 text-mute">No tape is wanted yet. Choose an item under Ask.</p>}
      </div>
      <footer className="flex shrink-0 items-center justify-between gap-3 border-t-2 border-ink px-5 py-2">
        <Link to={`/tickets/${sheet.ticket.id}/measure`} className="inline-flex min-h-11 items-center font-bold underline">
          Back to the tapes
        </Link>
        <p className="flex-1 text-right text-mute" aria-live="polite">
          {bad.length > 0 && asked
            ? bad.length === 1
              ? 'One box can’t be read.'
              : `${bad.length} boxes can’t be read.`
            : kept > 0
              ? `${kept} pinned.`
              : filled.length > 0
                ? `${found ? 'Typed before, not pinned yet. ' : ''}Kept on this device until pinned.`
                : ''}
        </p>
        <Button type="submit" tone="primary" className="min-h-14 px-6 text-[18px]!">
          {filled.length === 0 ? 'Nothing typed yet' : filled.length === 1 ? 'Pin 1 reading' : `Pin ${filled.length} readings`}
        </Button>
      </footer>
    </form>
  )
}
