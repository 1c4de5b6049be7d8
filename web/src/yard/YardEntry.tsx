import { measures } from '@merry-tailor/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { Box } from '../ui/grid/Box'
import { EntryGrid, type GridColumn } from '../ui/grid/EntryGrid'
import { toNextBox } from '../ui/grid/to-next-box'
import { SwitchBox } from '../ui/controls/SwitchBox'
import { parseEntry, NameChips } from '../length-entry'
import { tapeName } from '../words/measuring'
import { useYard } from './use-yard'
import { Problem } from '../ui/controls/Problem'

/** A filled yard sheet typed in: a box for every dog and tape. Enter goes down the column, in the order the yard was walked. */
export function YardEntry() {
  const { line, tapes, pin, search } = useYard()
  const unit = useAppSelector((state) => state.settings.unit)
  const [cells, setCells] = useState<Readonly<Record<string, string>>>({})
  const [half, setHalf] = useState(true)
  const [asked, setAsked] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const navigate = useNavigate()
  const boxes = tapes.flatMap((tape) => line.flatMap((each) => [1, 2].map((n) => ({ tape, each, n, key: `${each.dog.id}#${tape.key}#${n}` }))))
  const filled = boxes.filter((box) => (cells[box.key] ?? '').trim() !== '')
  const bad = filled.filter((box) => !parseEntry(box.tape.measure, cells[box.key] ?? '', unit).ok)
  type Dog = (typeof line)[number]
  const columns: GridColumn<Dog>[] = [
    { id: 'dog', header: 'Dog', cell: ({ row }) => <b>{row.original.dog.name}</b>, meta: { head: 'py-2 pr-4', cell: 'py-2 pr-4', rowHead: true } },
    ...tapes.map((tape): GridColumn<Dog> => ({
      id: tape.key,
      header: tapeName(tape.measure, tape.place),
      meta: { head: 'py-2 pr-4' },
      columns: [1, 2].map((n): GridColumn<Dog> => ({
        id: `${tape.key}#${n}`,
        meta: { cell: 'py-2 pr-2' },
        cell: ({ row: { original: each } }) => {
          const key = `${each.dog.id}#${tape.key}#${n}`
          const typed = cells[key] ?? ''
          const read = parseEntry(tape.measure, typed, unit)
          return (
            <Box
              id={`cell-${key}`}
              label={`${each.dog.name}, ${tapeName(tape.measure, tape.place)}, ${n}. reading`}
              problem={asked && typed.trim() !== '' && !read.ok ? read.problem : null}
              value={typed}
              onKeyDown={(event) => toNextBox(event, 2 * tapes.length)}
              onChange={(event) => setCells((all) => ({ ...all, [key]: event.target.value }))}
              className="w-[104px]"
            />
          )
        },
      })),
    })),
  ]
  const once = useOnce()
  const keepAll = async (): Promise<boolean> => {
    setAsked(true)
    if (bad[0]) {
      document.getElementById(`cell-${bad[0].key}`)?.focus()
      return false
    }
    for (const box of filled) {
      const wrong = await pin(box.each, box.tape, cells[box.key] ?? '', half, 'From the yard sheet')
      if (wrong) {
        setProblem(`${box.each.dog.name}: ${wrong}`)
        return false
      }
      setCells((all) => ({ ...all, [box.key]: '' }))
    }
    await navigate(`/round?${search}`)
    return true
  }
  return (
    <PlaceFrame name="Yard sheet, typed in" detail={`${line.length} dogs, ${tapes.length} tapes`}>
      <form
        className="flex min-h-0 flex-1 flex-col bg-panel"
        onSubmit={(event) => {
          event.preventDefault()
          void once(keepAll)
        }}
      >
        <div className="flex flex-wrap items-end gap-4 border-b-2 border-ink bg-bench px-5 py-2">
          <NameChips label="Measured by" role="fitter" />
          {tapes.some((tape) => measures[tape.measure]?.doubling) && <SwitchBox label="Harness neck: one side, doubled" checked={half} onChange={setHalf} />}
        </div>
        <div className="quiet-scroll min-h-0 flex-1 overflow-x-auto px-5">
          <EntryGrid rows={line} columns={columns} keyOf={({ dog }) => dog.id} />
          {line.length === 0 && <p className="py-4 text-mute">No dog in the line yet. Choose them on the round’s plan.</p>}
        </div>
        <footer className="flex items-center justify-between gap-3 border-t-2 border-ink px-5 py-2">
          <Link to={`/round?${search}`} className="inline-flex min-h-11 items-center font-bold underline">
            Back to the plan
          </Link>
          <Problem>{problem}</Problem>
          <Button type="submit" tone="primary" className="min-h-14 px-6 text-[18px]!">
            {filled.length === 0 ? 'Nothing typed yet' : `Pin ${filled.length} ${filled.length === 1 ? 'reading' : 'readings'}`}
          </Button>
        </footer>
      </form>
    </PlaceFrame>
  )
}
