import { measures } from '@merry-tailor/core'
import { useRef, useState, type KeyboardEvent } from 'react'
import { Link, useNavigate } from 'react-router'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { Button } from '../ui/controls/Button'
import { SwitchBox } from '../ui/controls/SwitchBox'
import { parseEntry, NameChips } from '../length-entry'
import { tapeName } from '../words/measuring'
import { useRound } from './use-round'

/** A filled yard sheet typed in: a box for every dog and tape, Enter down the column. */
export function RoundEntry() {
  const { line, tapes, pin, search } = useRound()
  const unit = useAppSelector((state) => state.settings.unit)
  const [cells, setCells] = useState<Readonly<Record<string, string>>>({})
  const [half, setHalf] = useState(true)
  const [asked, setAsked] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const form = useRef<HTMLFormElement>(null)
  const navigate = useNavigate()
  const boxes = tapes.flatMap((tape) => line.flatMap((each) => [1, 2].map((n) => ({ tape, each, n, key: `${each.dog.id}#${tape.key}#${n}` }))))
  const filled = boxes.filter((box) => (cells[box.key] ?? '').trim() !== '')
  const bad = filled.filter((box) => !parseEntry(box.tape.measure, cells[box.key] ?? '', unit).ok)
  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    // Down the column: the order in which the yard was walked.
    const order = boxes.map((box) => `cell-${box.key}`)
    const next = order[order.indexOf(event.currentTarget.id) + 2] ?? ''
    ;(document.getElementById(next) ?? form.current?.querySelector<HTMLButtonElement>('button[type="submit"]'))?.focus()
  }
  const keepAll = async (): Promise<void> => {
    setAsked(true)
    if (bad[0]) {
      document.getElementById(`cell-${bad[0].key}`)?.focus()
      return
    }
    for (const box of filled) {
      const wrong = await pin(box.each, box.tape, cells[box.key] ?? '', half, 'From the yard sheet')
      if (wrong) {
        setProblem(`${box.each.dog.name}: ${wrong}`)
        return
      }
      setCells((all) => ({ ...all, [box.key]: '' }))
    }
    await navigate(`/round?${search}`)
  }
  return (
    <PlaceFrame name="Yard sheet, typed in" detail={`${line.length} dogs, ${tapes.length} tapes`}>
      <form
        ref={form}
        className="flex min-h-0 flex-1 flex-col bg-panel"
        onSubmit={(event) => {
          event.preventDefault()
          void keepAll()
        }}
      >
        <div className="flex flex-wrap items-end gap-4 border-b-2 border-ink bg-bench px-5 py-2">
          <NameChips label="Measured by" role="fitter" />
          {tapes.some((tape) => measures[tape.measure]?.doubling) && <SwitchBox label="Harness neck: one side, doubled" checked={half} onChange={setHalf} />}
        </div>
        <div className="quiet-scroll min-h-0 flex-1 overflow-x-auto px-5">
          <table className="border-collapse text-left">
            <thead>
              <tr className="text-[14px] text-mute">
                <th className="py-2 pr-4">Dog</th>
                {tapes.map((tape) => (
                  <th key={tape.key} colSpan={2} className="py-2 pr-4">
                    {tapeName(tape.measure, tape.place)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {line.map((each) => (
                <tr key={each.dog.id} className="border-t border-rule align-top">
                  <th scope="row" className="py-2 pr-4 font-bold">
                    {each.dog.name}
                  </th>
                  {tapes.flatMap((tape) =>
                    [1, 2].map((n) => {
                      const key = `${each.dog.id}#${tape.key}#${n}`
                      const typed = cells[key] ?? ''
                      const read = parseEntry(tape.measure, typed, unit)
                      const wrong = asked && typed.trim() !== '' && !read.ok
                      return (
                        <td key={key} className="py-2 pr-2">
                          <input
                            id={`cell-${key}`}
                            aria-label={`${each.dog.name}, ${tapeName(tape.measure, tape.place)}, ${n}. reading`}
                            aria-invalid={wrong ? true : undefined}
                            value={typed}
                            maxLength={24}
                            autoComplete="off"
                            onKeyDown={onKey}
                            onChange={(event) => setCells((all) => ({ ...all, [key]: event.target.value }))}
                            className={`h-11 w-[104px] rounded-[2px] border-2 bg-panel px-2 text-[18px] font-bold ${wrong ? 'border-snag' : 'border-ink'}`}
                          />
                          {wrong && (
                            <p role="alert" className="w-[104px] text-[13px] leading-4 font-semibold text-snag">
                              {read.problem}
                            </p>
                          )}
                        </td>
                      )
                    }),
                  )}
                </tr>
              ))}
            </tbody>
          </table>
          {line.length === 0 && <p className="py-4 text-mute">No dog in the line yet. Choose them on the round’s plan.</p>}
        </div>
        <footer className="flex items-center justify-between gap-3 border-t-2 border-ink px-5 py-2">
          <Link to={`/round?${search}`} className="inline-flex min-h-11 items-center font-bold underline">
            Back to the plan
          </Link>
          {problem && (
            <p role="alert" className="font-semibold text-snag">
              {problem}
            </p>
          )}
          <Button type="submit" tone="primary" className="min-h-14 px-6 text-[18px]!">
            {filled.length === 0 ? 'Nothing typed yet' : `Pin ${filled.length} ${filled.length === 1 ? 'reading' : 'readings'}`}
          </Button>
        </footer>
      </form>
    </PlaceFrame>
  )
}
