import { newestTables, adviseSizes, agree, atHandFirst, families, parseLength, rankTables, type FamilyId, type MeasureId } from '@merry-tailor/core'
import { useMemo, useState, type RefObject } from 'react'
import { useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useActMutation, useAddTicketMutation, useSizeTablesQuery } from '../api/queries'
import { useShop } from '../state/use-shop'
import { useOnce } from '../state/use-once'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { KeyCap } from '../ui/controls/KeyCap'
import { Picker } from '../ui/controls/Picker'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'
import { lengthProblemWords, problemWords } from '../words/problems'
import { adviceWords } from '../words/sizes'
import { familyName, measureName } from '../words/stages'

/** The one number a counter starts from: the girth for a walking Y, the harness neck for a cross-back. */
const firstTape = (family: FamilyId): MeasureId => (['pulling', 'drafting'].includes(families[family].shelf) ? 'M01' : 'M07')

/** A ticket without any record: item, one measure, the size to try. It can be given a dog later. */
export function Counter({ inputRef }: { inputRef: RefObject<HTMLInputElement | null> }) {
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const look = readingStyle(useAppSelector((state) => state.settings))
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const { views } = useShop()
  const [family, setFamily] = useState<FamilyId>('H11')
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const [addTicket] = useAddTicketMutation()
  const [act] = useActMutation()
  const once = useOnce()
  const navigate = useNavigate()
  const measure = firstTape(family)
  const read = useMemo(() => parseLength(typed, unit), [typed, unit])

  const advice = useMemo(() => {
    if (!read.ok) return null
    const body = { [measure]: agree(measure, [{ mm: read.mm, side: 'both' }]) }
    const shelf = newestTables(tables).filter((table) => table.family === family && table.way !== 'made')
    const [best] = atHandFirst(rankTables(shelf, body, views).map((each) => ({ ...each, advice: adviseSizes(each.table, each.sizes) })))
    return best ? adviceWords(best.advice, best.table) : 'No size table for this item yet'
  }, [read, measure, tables, family, views])

  const open = async (): Promise<boolean> => {
    if (!read.ok) {
      setProblem(lengthProblemWords(read.problem))
      return false
    }
    const [ticketId, at] = [uuid(), new Date().toISOString()]
    // Kept in this order; nobody waits three times for one number.
    const making = addTicket({ id: ticketId, body: { dogId: null, ownerId: null, kind: 'counter', at, by: fitter } })
    const itemIn = act({ ticketId, act: { act: 'item', id: uuid(), body: { family, way: 'stock', school: null, at } } })
    const readIn = act({
      ticketId,
      act: {
        act: 'read',
        id: uuid(),
        body: { measure, mm: read.mm, side: 'both', asTyped: typed.trim(), unit: read.unit, method: 'tape', takenAt: at, by: fitter },
      },
    })
    const [made, ...parts] = await Promise.all([making, itemIn, readIn])
    const refused = made.error ?? parts.find((part) => part.error)?.error
    if (refused) {
      setProblem(`Not saved. ${problemWords(refused)} The number stays here; try again.`)
      return false
    }
    setTyped('')
    await navigate(`/tickets/${ticketId}/choose`)
    return true
  }

  return (
    <form
      aria-label="Counter"
      onSubmit={(event) => {
        event.preventDefault()
        void once(open)
      }}
    >
      <div className="flex min-h-11 flex-wrap items-stretch border-2 border-ink bg-panel focus-within:shadow-[inset_0_0_0_3px_var(--tape)]">
        <span className="flex items-center gap-2 bg-ink px-3 font-display text-[17px] font-bold text-panel">
          Counter <KeyCap>C</KeyCap>
        </span>
        <Picker
          label="Item"
          value={family}
          options={(['H11', 'H01'] as const).map((id) => ({ value: id, label: familyName(id) }))}
          onChange={setFamily}
          className="border-0 border-r! border-edge!"
        />
        <label className="flex min-w-[112px] flex-1 items-center gap-2 px-3">
          <span className="sr-only">{measureName(measure)}</span>
          <input
            ref={inputRef}
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value)
              setProblem(null)
            }}
            aria-invalid={problem ? true : undefined}
            aria-describedby="counter-note"
            placeholder={measureName(measure)}
            autoComplete="off"
            className="h-10 min-w-0 flex-1 bg-transparent text-[16px] font-bold shadow-none! outline-none! placeholder:font-normal placeholder:text-mute"
          />
          <span className="font-bold">{unit}</span>
        </label>
        <button type="submit" className="border-l border-edge px-3 font-bold hover:bg-bench">
          size to try
        </button>
      </div>
      <p
        id="counter-note"
        role={problem ? 'alert' : undefined}
        className={`mt-1 text-[14px] leading-[18px] ${problem ? 'font-semibold text-snag' : 'text-mute'}`}
      >
        {problem ??
          (advice && read.ok ? (
            <span className="text-ink">
              <Worded text={`${lengthText(read.mm, look, true)}: `} />
              <b>{advice}</b>. Predicted; Enter opens the ticket.
            </span>
          ) : (
            'No dog or owner record needed. A size to try in 90 seconds.'
          ))}
      </p>
    </form>
  )
}
