import { HANDS_ELSEWHERE, measures, type Method } from '@merry-tailor/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useAppSelector } from '../../state/store'
import { Button } from '../../ui/controls/Button'
import { Picker } from '../../ui/controls/Picker'
import { Box } from '../../ui/grid/Box'
import { EntryGrid, type GridColumn } from '../../ui/grid/EntryGrid'
import { toNextBox } from '../../ui/grid/to-next-box'
import { METHODS, PLACES } from '../../words/measuring'
import { Chip, Group, parseEntry, RowNumber } from '../../length-entry'
import { isTypedTapes, NOTHING_TYPED, typedKey, useTapes, useOpenTicket, useActs } from '../../bench'
import { useFittersQuery } from '../../api/queries'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useOnce } from '../../state/use-once'
import { Problem } from '../../ui/controls/Problem'

const TRIES = [0, 1, 2] as const
const METHODS_OF_A_TAPE = ['tape', 'string', 'loop', 'garment', 'square', 'tracing'] as const
const cellKey = (key: string, n: number): string => `${key}#${n}`

/** A filled form typed in, in the order in which it was printed; Enter goes from box to box. */
export function QuickEntry() {
  const { sheet, name } = useOpenTicket()
  const { rows } = useTapes()
  const { unit } = useAppSelector((state) => state.settings)
  const { data: fitters = [] } = useFittersQuery(undefined)
  const { act } = useActs()
  const navigate = useNavigate()
  const [draft, setDraft, forget, found] = useKeptDraft(typedKey(sheet.ticket.id), NOTHING_TYPED, isTypedTapes)
  const { cells, methods, halves, by } = draft
  const setCell = (key: string, typed: string): void => setDraft((now) => ({ ...now, cells: { ...now.cells, [key]: typed } }))
  const [asked, setAsked] = useState(false)
  const [kept, setKept] = useState(0)

  const filled = rows.flatMap((row) =>
    TRIES.flatMap((n) => {
      const typed = (cells[cellKey(row.key, n)] ?? '').trim()
      return typed === '' ? [] : [{ row, n, typed, read: parseEntry(row.tape.measure, typed, unit) }]
    }),
  )
  const bad = filled.filter((cell) => !cell.read.ok)

  const once = useOnce()
  const pinAll = async (): Promise<boolean> => {
    setAsked(true)
    if (filled.length === 0) return false
    if (by === '') {
      document.querySelector<HTMLElement>('#who-measured button')?.focus()
      return false
    }
    if (bad.length > 0) {
      document.getElementById(`box-${cellKey(bad[0]?.row.key ?? '', bad[0]?.n ?? 0)}`)?.focus()
      return false
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
      if (answer.error) return false
      setCell(cellKey(row.key, n), '')
      setKept((count) => count + 1)
    }
    forget()
    await navigate(`/tickets/${sheet.ticket.id}/measure`)
    return true
  }

  type TapeRow = (typeof rows)[number]
  const nameOf = ({ tape }: TapeRow): string => `${measures[tape.measure]?.name ?? ''}${tape.place ? `, ${PLACES[tape.place]}` : ''}`
  const columns: GridColumn<TapeRow>[] = [
    {
      id: 'measure',
      header: 'Measure',
      meta: { head: 'py-2 pr-3', cell: 'py-2 pr-3', rowHead: true },
      cell: ({ row: { original: row, index } }) => {
        const about = measures[row.tape.measure]
        const half = halves[row.key] ?? true
        return (
          <>
            <b>
              {index + 1}. {nameOf(row)}
            </b>
            <span className="block text-[13.5px] text-mute">{about?.path}</span>
            {about?.doubling && (
              <button
                type="button"
                role="switch"
                aria-checked={half}
                aria-label={`${nameOf(row)}: one side, doubled`}
                onClick={() => setDraft((now) => ({ ...now, halves: { ...now.halves, [row.key]: !half } }))}
                className="mt-1 min-h-11 border border-edge px-2 text-[14px] font-semibold"
              >
                {half ? 'one side, doubled' : 'the whole ring'}
              </button>
            )}
          </>
        )
      },
    },
    ...TRIES.map((n): GridColumn<TapeRow> => ({
      id: `${n}`,
      header: ['1st', '2nd', '3rd'][n] ?? '',
      meta: { head: 'w-[120px] py-2 pr-2', cell: 'py-2 pr-2' },
      cell: ({ row: { original: row } }) => {
        const key = cellKey(row.key, n)
        const typed = cells[key] ?? ''
        const read = parseEntry(row.tape.measure, typed, unit)
        return (
          <Box
            id={`box-${key}`}
            label={`${nameOf(row)}, ${n + 1}. reading`}
            problem={asked && typed.trim() !== '' && !read.ok ? read.problem : null}
            value={typed}
            onChange={(event) => setCell(key, event.target.value)}
            onKeyDown={toNextBox}
          />
        )
      },
    })),
    {
      id: 'method',
      header: 'Method',
      meta: { head: 'w-[190px] py-2 max-md:hidden', cell: 'py-2 pr-2 max-md:hidden' },
      cell: ({ row: { original: row } }) =>
        measures[row.tape.measure]?.quantity === 'length' && (
          <Picker<Method>
            label={`Method of ${nameOf(row)}`}
            value={methods[row.key] ?? 'tape'}
            options={METHODS_OF_A_TAPE.map((method) => ({ value: method, label: METHODS[method] }))}
            onChange={(method) => setDraft((now) => ({ ...now, methods: { ...now.methods, [row.key]: method } }))}
            className="w-full border! border-edge!"
          />
        ),
    },
    {
      id: 'kept',
      header: 'Kept so far',
      meta: { head: 'w-[110px] py-2 max-md:hidden', cell: 'py-3 font-bold max-md:hidden' },
      cell: ({ row: { original: row } }) => row.agreed?.mm != null && <RowNumber measure={row.tape.measure} mm={row.agreed.mm} />,
    },
  ]

  return (
    <form
      className="flex min-h-0 flex-1 flex-col bg-panel"
      onSubmit={(event) => {
        event.preventDefault()
        void once(pinAll)
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
          {asked && filled.length > 0 && by === '' && <Problem>Say who measured: it is kept with every number.</Problem>}
        </div>
      </header>
      <div className="quiet-scroll min-h-0 flex-1 px-5">
        <EntryGrid rows={rows} columns={columns} keyOf={({ key }) => key} className="w-full max-w-[1060px]" />
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
