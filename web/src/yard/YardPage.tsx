import { formatLength, measureIds as allIds, measures, type Finding } from '@merry-tailor/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useOwnersQuery } from '../api/queries'
import { readingStyle, settingsChanged } from '../state/settings'
import { PlaceFrame } from '../frame/Strip'
import { useAppDispatch, useAppSelector } from '../state/store'
import { useKeys } from '../state/use-keys'
import { Button } from '../ui/controls/Button'
import { KnucklePad, padKeys } from '../ui/controls/KnucklePad'
import { Picker } from '../ui/controls/Picker'
import { Length } from '../ui/length/Fraction'
import { TypedLength } from '../ui/length/TypedLength'
import { Worded } from '../ui/length/Worded'
import { tapeName, weightText } from '../words/measuring'
import { measureName } from '../words/stages'
import { DogFinder, MoreDogs, useDogFinder } from '../dogs'
import { Chip, parseEntry } from '../length-entry'
import { ForAll } from './ForAll'
import { YardGrid } from './YardGrid'
import { yardQuestion } from './yard-question'
import { useYard } from './use-yard'

/** A team round: one tape down a whole line of dogs, then the next tape; large keys for gloved hands. */
export function YardPage() {
  const yard = useYard()
  const [walking, setWalking] = useState(false)
  const ready = yard.line.length > 0 && yard.tapes.length > 0
  return (
    <PlaceFrame name="Team round" detail={ready ? `${yard.line.length} dogs, ${yard.tapes.length} tapes` : 'One tape down the whole line'}>
      {walking && ready ? <Walk yard={yard} onEnd={() => setWalking(false)} /> : <Plan yard={yard} onStart={() => setWalking(true)} ready={ready} />}
    </PlaceFrame>
  )
}

type Yard = ReturnType<typeof useYard>

function Plan({ yard, onStart, ready }: { yard: Yard; onStart: () => void; ready: boolean }) {
  const { data: owners = [] } = useOwnersQuery(undefined)
  const ids = yard.line.map((each) => each.dog.id)
  const finding = useDogFinder(yard.dogs)
  // Those in the line stay in sight while others are looked for.
  const picked = finding.useful ? yard.line.map((each) => each.dog).filter((dog) => !finding.shown.includes(dog)) : []
  const setDogs = (next: string[]): void => yard.set({ dogs: next.join(',') })
  const toggle = (id: string): void => setDogs(ids.includes(id) ? ids.filter((each) => each !== id) : [...ids, id])
  const setTapes = (next: string[]): void => yard.set({ tapes: next.join(',') })
  return (
    <div className="quiet-scroll min-h-0 flex-1 lg:grid lg:grid-cols-[1fr_388px] lg:overflow-hidden" tabIndex={-1}>
      <section aria-label="The line of dogs" className="quiet-scroll min-h-0 bg-panel px-5 py-3">
        <h1 className="text-[26px] leading-[34px]">Which dogs, in which order?</h1>
        <p className="text-mute">Tap them in the order they stand in the line. A dog without an open ticket gets one with its first number.</p>
        <div className="mt-2 flex flex-wrap gap-1.5">
          {owners
            .filter((owner) => yard.dogs.filter((dog) => dog.ownerId === owner.id).length > 1)
            .map((owner) => (
              <Button key={owner.id} tone="quiet" onClick={() => setDogs(yard.dogs.filter((dog) => dog.ownerId === owner.id).map((dog) => dog.id))}>
                All of {owner.name}
              </Button>
            ))}
        </div>
        <div className="mt-3">
          <DogFinder finding={finding} />
        </div>
        <ul className="mt-3 flex flex-wrap gap-1.5">
          {[...picked, ...finding.shown].map((dog) => {
            const at = ids.indexOf(dog.id)
            return (
              <li key={dog.id}>
                <Chip on={at >= 0} onClick={() => toggle(dog.id)}>
                  {at >= 0 ? `${at + 1}. ` : ''}
                  {yard.nameOf(dog)}
                </Chip>
              </li>
            )
          })}
        </ul>
        <MoreDogs finding={finding} />
        {yard.dogs.length === 0 && <p className="mt-3 text-mute">No dog in the book yet. Bring a kennel list in under Dogs.</p>}
      </section>
      <section aria-label="The tapes" className="flex min-h-0 flex-col border-ink bg-panel max-lg:border-t-2 lg:border-l-2">
        <h2 className="border-b-2 border-ink px-4 py-2 text-[19px] leading-6">Tapes, in this order</h2>
        <ol className="quiet-scroll min-h-0 flex-1">
          {yard.measureIds.map((id, i) => (
            <li key={id} className="flex min-h-12 items-center justify-between border-b border-rule px-4">
              <span>
                <b>
                  {i + 1}. {measureName(id)}
                </b>{' '}
                <span className="text-mute">every dog’s</span>
              </span>
              <Button
                tone="quiet"
                aria-label={`Leave out ${measureName(id).toLowerCase()}`}
                onClick={() => setTapes(yard.measureIds.filter((each) => each !== id))}
              >
                Leave out
              </Button>
            </li>
          ))}
          <li className="px-4 py-3">
            <Picker
              label="Another tape"
              value=""
              placeholder="Another tape"
              options={allIds
                .filter((id) => !yard.measureIds.includes(id) && id !== 'M48' && id !== 'M49')
                .map((id) => ({ value: id, label: measures[id]?.name ?? id, note: id }))}
              onChange={(id) => setTapes([...yard.measureIds, id])}
              className="w-full"
            />
          </li>
        </ol>
        {yard.line.length > 0 && <ForAll line={yard.line} />}
        <div className="space-y-2 border-t-2 border-ink p-3">
          <div className="grid grid-cols-2 gap-2">
            <Link to={`/round/sheet?${yard.search}`} className="inline-flex min-h-11 items-center justify-center border-2 border-ink font-bold">
              Yard sheet
            </Link>
            <Link to={`/round/entry?${yard.search}`} className="inline-flex min-h-11 items-center justify-center border-2 border-ink font-bold">
              Type a sheet in
            </Link>
          </div>
          <button
            type="button"
            onClick={() => ready && onStart()}
            aria-disabled={!ready}
            className="min-h-16 w-full border-2 border-ink bg-tape px-4 text-[20px] font-bold text-tape-ink"
          >
            {ready ? 'Down the line' : yard.line.length === 0 ? 'Waits for a dog' : 'Waits for a tape'}
          </button>
        </div>
      </section>
    </div>
  )
}

function Walk({ yard, onEnd }: { yard: Yard; onEnd: () => void }) {
  const { line, tapes, unit } = yard
  const settings = useAppSelector((state) => state.settings)
  const dispatch = useAppDispatch()
  const [at, setAt] = useState({ tape: 0, dog: 0 })
  const [typed, setTyped] = useState('')
  const [half, setHalf] = useState(true)
  const [problem, setProblem] = useState<string | null>(null)
  const [question, setQuestion] = useState<Finding | null>(null)
  const [tape, here] = [tapes[at.tape], line[at.dog]]
  const done = tape === undefined || here === undefined

  const step = (by: number): void => {
    setTyped('')
    setProblem(null)
    setQuestion(null)
    setAt(({ tape: t, dog: d }) => {
      const flat = Math.max(0, t * line.length + d + by)
      return { tape: Math.floor(flat / line.length), dog: flat % line.length }
    })
  }
  /** One key: pins the number and brings the next dog; without a number the next dog alone. */
  const next = (): void => {
    if (done || typed.trim() === '') return step(1)
    // Before the next dog is brought: what this number says beside the others.
    const found = question === null ? yard.asks(here, tape, typed, half) : null
    if (found) return setQuestion(found)
    void yard.pin(here, tape, typed, half).then((wrong) => {
      if (wrong) {
        setProblem(`${here.dog.name}: ${wrong}`)
        setTyped((now) => now || typed)
      }
    })
    const readable = /\d/.test(typed)
    if (readable) step(1)
  }
  const type = (next: string): void => {
    setTyped(next)
    setProblem(null)
    setQuestion(null)
  }
  useKeys({
    Enter: next,
    Space: () => (typed === '' ? next() : type(`${typed} `)),
    ArrowRight: () => step(1),
    ArrowLeft: () => step(-1),
    ...padKeys(typed, type),
  })
  const taken = tapes.reduce((sum, each) => sum + line.filter(({ body }) => (body[each.key]?.n ?? 0) > 0).length, 0)
  if (done) {
    return (
      <div className="mat flex-1 p-6">
        <div className="max-w-[900px] border-2 border-ink bg-panel px-5 py-4">
          <h1 className="text-[26px] leading-[34px]">
            {taken} of {tapes.length * line.length} taken
          </h1>
          <YardGrid yard={yard} />
          <div className="mt-3 flex flex-wrap gap-2">
            <Button tone="primary" onClick={() => setAt({ tape: 0, dog: 0 })}>
              Second round
            </Button>
            <Button onClick={onEnd}>Back to the plan</Button>
          </div>
        </div>
      </div>
    )
  }
  const kept = here.body[tape.key]
  const doubling = measures[tape.measure]?.doubling === true
  const read = parseEntry(tape.measure, typed, unit)
  const echo = read.ok ? formatLength(2 * read.mm, readingStyle(settings)).text : null
  return (
    <div className="grid min-h-0 flex-1 grid-rows-[1fr_auto] lg:grid-cols-[230px_1fr_420px] lg:grid-rows-1">
      <ol aria-label="The line" className="quiet-scroll min-h-0 border-r-2 border-ink bg-panel max-lg:hidden">
        {line.map((each, i) => (
          <li key={each.dog.id}>
            <button
              type="button"
              aria-current={i === at.dog ? 'true' : undefined}
              onClick={() => setAt({ ...at, dog: i })}
              className={`flex min-h-14 w-full items-center justify-between gap-2 border-b border-rule px-3 text-left ${i === at.dog ? 'bg-tape text-tape-ink' : ''}`}
            >
              <b>{yard.nameOf(each.dog)}</b>
              <span>
                {each.body[tape.key]?.mm != null &&
                  (tape.measure === 'M00' ? (
                    weightText(each.body[tape.key]?.mm ?? 0, unit)
                  ) : (
                    <Length mm={each.body[tape.key]?.mm ?? 0} look={readingStyle(settings)} unit={false} />
                  ))}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <section aria-label="Dog and tape" className="flex min-h-0 flex-col justify-center overflow-hidden bg-panel px-6 py-4 lg:px-10">
        <p className="text-[20px] text-mute">
          Tape {at.tape + 1} of {tapes.length}, dog {at.dog + 1} of {line.length}
        </p>
        <h1 className="font-display text-[56px] leading-[60px] font-bold lg:text-[96px] lg:leading-[100px]">{yard.nameOf(here.dog)}</h1>
        <p className="text-[28px] leading-9 font-bold lg:text-[40px] lg:leading-[48px]">{tapeName(tape.measure, tape.place)}</p>
        <p className="text-[20px] leading-7 text-mute">{measures[tape.measure]?.path}</p>
        <p className="mt-3 text-[64px] leading-[70px] font-bold lg:text-[120px] lg:leading-[124px]">
          {typed ? <TypedLength text={typed} /> : <span className="text-mute">–</span>}
          <span className="ml-3 text-[0.4em] font-medium text-mute">{tape.measure === 'M00' ? (unit === 'in' ? 'lb' : 'kg') : unit}</span>
        </p>
        {half && doubling && typed !== '' && echo !== null && <p className="text-[22px] leading-7 font-bold">× 2 = {echo}</p>}
        {question && (
          <div role="alert" className="mt-2 border-2 border-snag bg-snag-bg px-4 py-3 text-[18px] leading-6">
            <Worded text={yardQuestion(question, kept, settings)} />
            <div className="mt-2 flex flex-wrap gap-2">
              <Button onClick={() => type('')}>Type it again</Button>
              <Button tone="quiet" onClick={next}>
                It is so: pin it
              </Button>
            </div>
          </div>
        )}
        <p aria-live="polite" className={`min-h-8 text-[20px] leading-7 ${problem ? 'font-bold text-snag' : 'text-mute'}`}>
          {problem ??
            (kept?.mm != null ? (
              <Worded
                text={`So far ${tape.measure === 'M00' ? weightText(kept.mm, unit) : formatLength(kept.mm, readingStyle(settings)).text}, ${kept.n === 1 ? 'once' : `${kept.n} times`}.`}
              />
            ) : (
              'No number yet.'
            ))}
        </p>
        {kept && kept.n > 0 && typed === '' && (
          <Button
            tone="quiet"
            className="w-fit"
            onClick={() =>
              void yard.takeBack(here, tape).then((wrong) => {
                setProblem(wrong)
              })
            }
          >
            Take the last one back
          </Button>
        )}
      </section>
      <div className="flex min-h-0 flex-col gap-2 border-t-2 border-ink bg-bench p-2 lg:border-t-0 lg:border-l-2">
        <KnucklePad
          typed={typed}
          onType={type}
          fractions={unit === 'in' && tape.measure !== 'M00'}
          {...(tape.measure === 'M00' ? {} : { unit: { label: unit, onChange: () => dispatch(settingsChanged({ unit: unit === 'in' ? 'cm' : 'in' })) } })}
        />
        <div className="grid grid-cols-2 gap-2">
          <button type="button" onClick={() => step(-1)} className="min-h-16 border-2 border-ink bg-panel text-[18px] font-bold">
            Dog before
          </button>
          {doubling ? (
            <button
              type="button"
              role="switch"
              aria-checked={half}
              onClick={() => setHalf(!half)}
              className={`min-h-16 border-2 border-ink text-[18px] font-bold ${half ? 'bg-ink text-panel' : 'bg-panel'}`}
            >
              One side, doubled
            </button>
          ) : (
            <button type="button" onClick={onEnd} className="min-h-16 border-2 border-ink bg-panel text-[18px] font-bold">
              The plan
            </button>
          )}
        </div>
        <button type="button" onClick={next} className="min-h-[92px] border-2 border-ink bg-tape text-[32px] font-bold text-tape-ink">
          {typed.trim() === '' ? 'Skip, next dog' : 'Pin, next dog'}
        </button>
      </div>
    </div>
  )
}
