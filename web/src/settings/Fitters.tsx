import { parseLength, type Fitter } from '@merry-tailor/core'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { useAddFitterMutation, useChangeFitterMutation, useFittersQuery } from '../api/queries'
import { readingStyle, settingsChanged } from '../state/settings'
import { useOnce } from '../state/use-once'
import { useAppDispatch, useAppSelector } from '../state/store'
import { Chip } from '../length-entry'
import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'
import { PartPlateDrawing } from '../ui/plates/PartPlates'
import { lengthProblemWords, problemWords } from '../words/problems'

/** Who is at the bench: a chip for each fitter, and each one's own fingers. */
export function Fitters() {
  const { data: fitters = [] } = useFittersQuery(undefined)
  const { fitter } = useAppSelector((state) => state.settings)
  const dispatch = useAppDispatch()
  const [add] = useAddFitterMutation()
  const [change] = useChangeFitterMutation()
  const once = useOnce()
  const { register, handleSubmit, setError, reset, formState } = useForm({ defaultValues: { name: '' } })
  const here = fitters.filter((each) => !each.left)
  const chosen = here.find((each) => each.name === fitter)
  const keep = handleSubmit(({ name }) =>
    once(async () => {
      const { error } = await add({ id: uuid(), body: { name: name.trim(), at: new Date().toISOString() } })
      if (error) setError('name', { message: problemWords(error) })
      else {
        dispatch(settingsChanged({ fitter: name.trim() }))
        reset()
      }
      return !error
    }),
  )
  return (
    <section aria-label="Fitters" className="border-b-2 border-ink pb-4">
      <h2 className="text-[19px] leading-6">Who is at the bench</h2>
      <div className="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Fitters of this shop">
        {here.map((each) => (
          <Chip key={each.id} on={each.name === fitter} onClick={() => dispatch(settingsChanged({ fitter: each.name }))}>
            {each.name}
          </Chip>
        ))}
        {here.length === 0 && <p className="text-mute">Nobody yet. A name is kept with every reading.</p>}
      </div>
      <form noValidate className="mt-2 flex items-end gap-2" onSubmit={(event) => void keep(event)}>
        <TextField
          label="A fitter’s name"
          maxLength={60}
          problem={formState.errors.name?.message}
          className="flex-1"
          {...register('name', { validate: (typed) => typed.trim() !== '' || 'A name, to be kept with every reading.' })}
        />
        <Button type="submit">Add</Button>
      </form>
      {chosen && (
        <>
          <GaugeEntry key={chosen.id} fitter={chosen} />
          <Button tone="quiet" className="mt-2" onClick={() => void change({ id: chosen.id, changes: [{ field: 'left', from: false, to: true }] })}>
            {chosen.name} left the shop
          </Button>
        </>
      )}
    </section>
  )
}

const STEPS = [
  { key: 'indexMm', place: 'index', title: 'The index finger, flat', how: 'Lay it flat, close a calliper or two books on nail and pad.', from: 5, to: 40 },
  { key: 'twoMm', place: 'two', title: 'Two fingers, side by side', how: 'Across index and middle finger at the middle joint.', from: 15, to: 80 },
  { key: 'fourMm', place: 'four', title: 'Four fingers, side by side', how: 'Across all four at the middle joint.', from: 40, to: 140 },
  { key: 'handMm', place: 'hand', title: 'The flat hand', how: 'Its thickness at the knuckles.', from: 8, to: 60 },
] as const
type Part = (typeof STEPS)[number]['key']

/** The fitter's own fingers in four short steps (M49): everybody's are different, and they are the shop's only gauge. */
function GaugeEntry({ fitter }: { fitter: Fitter }) {
  const settings = useAppSelector((state) => state.settings)
  const [change] = useChangeFitterMutation()
  const [step, setStep] = useState<number | null>(null)
  const [read, setRead] = useState<Partial<Record<Part, number>>>({})
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | undefined>()
  const look = readingStyle(settings)
  const { gauge } = fitter
  const here = step === null ? undefined : STEPS[step]
  const next = async (): Promise<void> => {
    if (!here) return
    const length = parseLength(typed, settings.unit)
    if (!length.ok) return setProblem(lengthProblemWords(length.problem))
    if (length.mm < here.from || length.mm > here.to)
      return setProblem(`Between ${lengthText(here.from, look)} and ${lengthText(here.to, look, true)}, for any hand.`)
    const all = { ...read, [here.key]: length.mm }
    setRead(all)
    setTyped('')
    setProblem(undefined)
    if (step !== null && step < STEPS.length - 1) return setStep(step + 1)
    const { indexMm, twoMm, fourMm, handMm } = all
    if (indexMm === undefined || twoMm === undefined || fourMm === undefined || handMm === undefined) return setStep(0)
    if (!(indexMm < twoMm && twoMm < fourMm)) {
      setStep(0)
      return setProblem('Two fingers are wider than one is thick, and four wider than two. Once more, from the first.')
    }
    const answer = await change({
      id: fitter.id,
      changes: [{ field: 'gauge', from: gauge, to: { indexMm, twoMm, fourMm, handMm, at: new Date().toISOString() } }],
    })
    if (answer.error) return setProblem(`Not saved. ${problemWords(answer.error)}`)
    setStep(null)
  }
  return (
    <div className="mt-3 border border-edge px-3 py-2.5">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <p>
          <b>{fitter.name}’s fingers</b>{' '}
          {gauge ? (
            <Worded
              text={`flat index ${lengthText(gauge.indexMm, look)}, two ${lengthText(gauge.twoMm, look)}, four ${lengthText(gauge.fourMm, look)}, flat hand ${lengthText(gauge.handMm, look, true)}.`}
            />
          ) : (
            <span className="text-mute">not measured: “two fingers” is anybody’s.</span>
          )}
        </p>
        {step === null && (
          <Button tone="quiet" onClick={() => setStep(0)}>
            {gauge ? 'Measure them again' : 'Measure them'}
          </Button>
        )}
      </div>
      {here && (
        <form
          className="mt-2 grid grid-cols-[110px_1fr] gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            void next()
          }}
        >
          <div className="mat flex items-center justify-center p-1">
            <PartPlateDrawing plate="hand" measure="M49" place={here.place} width={100} label={here.title} />
          </div>
          <div>
            <p className="font-bold">
              {(step ?? 0) + 1} of {STEPS.length}. {here.title}
            </p>
            <p className="text-mute">{here.how}</p>
            <div className="mt-2 flex items-end gap-2">
              <TextField
                label={`Length, ${settings.unit}`}
                value={typed}
                problem={problem}
                onChange={(event) => {
                  setTyped(event.target.value)
                  setProblem(undefined)
                }}
                className="flex-1"
              />
              <Button type="submit">{step === STEPS.length - 1 ? 'Keep' : 'Next'}</Button>
            </div>
          </div>
        </form>
      )}
    </div>
  )
}
