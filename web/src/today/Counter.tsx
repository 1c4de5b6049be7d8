import {
  adviseSizes,
  agree,
  atHandFirst,
  FAMILY_IDS,
  families,
  measures,
  measuresOfTable,
  offeredTables,
  parseLength,
  rankTables,
  type FamilyId,
  type MeasureId,
  type SizeTable,
} from '@merry-tailor/core'
import { useEffect, useMemo, useState, type Ref } from 'react'
import { useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useActMutation, useAddTicketMutation, useSizeTablesQuery } from '../api/queries'
import { useShop } from '../state/use-shop'
import { useOnce } from '../state/use-once'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { caughtUp, typedAhead } from '../state/typed-ahead'
import { KeyCap } from '../ui/controls/KeyCap'
import { Picker } from '../ui/controls/Picker'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'
import { lengthProblemWords, problemWords } from '../words/problems'
import { adviceWords } from '../words/sizes'
import { familyName, measureName } from '../words/stages'

/** Numbers a customer comes with: the neck, the girth; a pulling harness goes by its neck first. */
const NUMBERS = ['M01', 'M02', 'M07', 'M14'] as const
const numbersOf = (family: FamilyId, tables: readonly SizeTable[]): MeasureId[] => {
  const asked = new Set(tables.filter((table) => table.family === family).flatMap((table) => measuresOfTable(table)))
  const known = NUMBERS.filter((id) => asked.has(id))
  const neckFirst = ['pulling', 'drafting'].includes(families[family].shelf)
  return known.length === 0 ? [neckFirst ? 'M01' : 'M07'] : neckFirst ? known : [...known].sort((a, b) => Number(b === 'M07') - Number(a === 'M07'))
}
const ASK_SIDE = 'One side, or all round? A half neck is often what is said.'
/** The kind asked for last on this device comes first. */
const LAST = 'merry-tailor-counter'
const lastKind = (): string => {
  try {
    return localStorage.getItem(LAST) ?? ''
  } catch {
    return ''
  }
}

/** A ticket without any record: item, one measure, the size to try. It can be given a dog later. */
export function Counter({ inputRef, wished }: { inputRef: Ref<HTMLInputElement>; wished: boolean }) {
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const look = readingStyle(useAppSelector((state) => state.settings))
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const { views } = useShop()
  const shelf = useMemo(() => offeredTables(tables), [tables])
  const kinds = useMemo(() => {
    const made = FAMILY_IDS.filter((id) => shelf.some((table) => table.family === id) && families[id].shelf !== 'boot')
    const all = made.length > 0 ? made : (['H11', 'H01'] as const)
    return [...all].sort((a, b) => Number(b === lastKind()) - Number(a === lastKind()) || Number(b === 'H11') - Number(a === 'H11'))
  }, [shelf])
  const [picked, setFamily] = useState<FamilyId | null>(null)
  const family = picked ?? kinds[0] ?? 'H11'
  const [number, setNumber] = useState<MeasureId | null>(null)
  const [side, setSide] = useState<'one' | 'both' | null>(null)
  const [typed, setTyped] = useState(() => (wished ? typedAhead() : ''))
  useEffect(() => {
    if (wished) caughtUp()
  }, [wished])
  const [word, setWord] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const [addTicket] = useAddTicketMutation()
  const [act] = useActMutation()
  const once = useOnce()
  const navigate = useNavigate()
  const numbers = numbersOf(family, shelf)
  const measure = number !== null && numbers.includes(number) ? number : (numbers[0] ?? 'M07')
  // A half neck is the trade’s usual: which it is, is asked and never taken for granted.
  const halves = measures[measure]?.doubling === true
  const read = useMemo(() => parseLength(typed, unit), [typed, unit])

  const advised = (one: 'one' | 'both'): { words: string; near: boolean; makers: number } | null => {
    if (!read.ok) return null
    const body = { [measure]: agree(measure, [{ mm: read.mm, side: one }]) }
    const serving = shelf.filter((table) => table.family === family && table.way !== 'made' && measuresOfTable(table).includes(measure))
    const all = atHandFirst(rankTables(serving, body, views).map((each) => ({ ...each, advice: adviseSizes(each.table, each.sizes) })))
    const [best] = all
    if (!best) return null
    return { words: adviceWords(best.advice, best.table), near: best.advice.kind !== 'nothing', makers: all.length - 1 }
  }
  const [asOne, asBoth] = [halves ? advised('one') : null, advised('both')]
  const chosen = !halves || side === 'both' ? asBoth : side === 'one' ? asOne : null
  const others = chosen && chosen.makers > 0 ? ` ${chosen.makers} more ${chosen.makers === 1 ? 'maker' : 'makers'} beside it.` : ''

  const open = async (said = side): Promise<boolean> => {
    if (!read.ok) {
      setProblem(lengthProblemWords(read.problem))
      return false
    }
    if (halves && said === null) {
      setProblem(ASK_SIDE)
      document.getElementById('counter-one')?.focus()
      return false
    }
    try {
      localStorage.setItem(LAST, family)
    } catch {
      // A device that keeps nothing only forgets the order.
    }
    const [ticketId, at] = [uuid(), new Date().toISOString()]
    // Kept in this order; nobody waits three times for one number.
    const making = addTicket({ id: ticketId, body: { dogId: null, ownerId: null, kind: 'counter', at, by: fitter } })
    const itemIn = act({ ticketId, act: { act: 'item', id: uuid(), body: { family, way: 'undecided', school: null, at } } })
    const readIn = act({
      ticketId,
      act: {
        act: 'read',
        id: uuid(),
        body: {
          measure,
          mm: read.mm,
          side: halves && said === 'one' ? 'one' : 'both',
          asTyped: typed.trim(),
          unit: read.unit,
          method: 'tape',
          takenAt: at,
          by: fitter,
        },
      },
    })
    const wordIn = word.trim() === '' ? [] : [act({ ticketId, act: { act: 'change', changes: [{ field: 'notes', from: '', to: word.trim() }] } })]
    const [made, ...parts] = await Promise.all([making, itemIn, readIn, ...wordIn])
    const refused = made.error ?? parts.find((part) => part.error)?.error
    if (refused) {
      setProblem(`Not saved. ${problemWords(refused)} The number stays here; try again.`)
      return false
    }
    setTyped('')
    setWord('')
    await navigate(`/tickets/${ticketId}/choose`)
    return true
  }

  return (
    <form
      aria-label="Counter"
      onSubmit={(event) => {
        event.preventDefault()
        void once(() => open())
      }}
    >
      <div className="flex min-h-11 flex-wrap items-stretch border-2 border-ink bg-panel focus-within:shadow-[inset_0_0_0_3px_var(--tape)]">
        <span className="flex items-center gap-2 bg-ink px-3 font-display text-[17px] font-bold text-panel">
          Counter <KeyCap>C</KeyCap>
        </span>
        <Picker
          label="Item"
          value={family}
          options={kinds.map((id) => ({ value: id, label: familyName(id) }))}
          onChange={(id) => {
            setFamily(id)
            setSide(null)
          }}
          className="border-0 border-r! border-edge!"
        />
        {numbers.length > 1 && (
          <Picker
            label="Which number"
            value={measure}
            options={numbers.map((id) => ({ value: id, label: measureName(id) }))}
            onChange={(id) => {
              setNumber(id)
              setSide(null)
            }}
            className="border-0 border-r! border-edge!"
          />
        )}
        <label className="flex min-w-[112px] flex-1 items-center gap-2 px-3">
          <span className="sr-only">{measureName(measure)}</span>
          <input
            ref={inputRef}
            // Asked for by its key on another screen: it comes after that page is drawn.
            autoFocus={wished}
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value)
              setProblem(null)
            }}
            aria-invalid={problem ? true : undefined}
            aria-describedby="counter-note"
            placeholder={measureName(measure)}
            autoComplete="off"
            className="h-11 min-w-0 flex-1 bg-transparent text-[16px] font-bold shadow-none! outline-none! placeholder:font-normal placeholder:text-mute"
          />
          <span className="font-bold">{unit}</span>
        </label>
        {halves && read.ok && (
          <div role="group" aria-label="How the neck was read" className="flex">
            {(['one', 'both'] as const).map((each) => (
              <button
                key={each}
                type="button"
                id={`counter-${each}`}
                aria-pressed={side === each}
                onClick={() => {
                  setSide(each)
                  setProblem(null)
                  // Asked by the way: the answer is all that was missing.
                  if (problem === ASK_SIDE) void once(() => open(each))
                }}
                className="min-h-11 border-l border-edge px-3 font-bold hover:bg-bench aria-pressed:bg-ink aria-pressed:text-panel"
              >
                {each === 'one' ? 'one side' : 'all round'}
              </button>
            ))}
          </div>
        )}
        {read.ok && (
          <input
            value={word}
            onChange={(event) => setWord(event.target.value)}
            aria-label="A word to know the dog by"
            placeholder="brown spaniel"
            maxLength={60}
            autoComplete="off"
            className="min-h-11 w-[128px] min-w-0 flex-1 border-l border-edge bg-transparent px-3 text-[15px] outline-offset-[-3px] placeholder:text-mute"
          />
        )}
        <button type="submit" className="min-h-11 border-l border-edge px-3 font-bold whitespace-nowrap max-phone:grow hover:bg-bench">
          Show size
        </button>
      </div>
      <p
        id="counter-note"
        role={problem ? 'alert' : undefined}
        className={`mt-1 text-[14px] leading-[18px] ${problem ? 'font-semibold text-snag' : 'text-mute'}`}
      >
        {problem ??
          (read.ok && halves && side === null && (asOne ?? asBoth) ? (
            <span className="text-ink">
              <Worded text={`As one side it is ${lengthText(2 * read.mm, look, true)}: `} />
              <b>{asOne?.words}</b>. <Worded text={`All round, ${lengthText(read.mm, look, true)}: `} />
              <b>{asBoth?.words}</b>. Which was it?
            </span>
          ) : chosen && read.ok ? (
            <span className="text-ink">
              <Worded text={`${lengthText(side === 'one' ? 2 * read.mm : read.mm, look, true)}: `} />
              <b>{chosen.words}</b>. Predicted; Enter opens the ticket.{others}
            </span>
          ) : read.ok ? (
            'No size table for this item by this number yet.'
          ) : (
            'No dog or owner record needed. A size to try in 90 seconds.'
          ))}
      </p>
    </form>
  )
}
