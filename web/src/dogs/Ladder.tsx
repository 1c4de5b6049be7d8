import { formatWeight, parseWeight, RUNGS, type Dog, type Outing, type Rung } from '@merry-tailor/core'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useAddOutingMutation, useChangeOutingMutation, useRigsQuery } from '../api/queries'
import { useAppSelector } from '../state/store'
import { longDay, today } from '../state/today'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { Segmented } from '../ui/controls/Segmented'
import { TextField } from '../ui/controls/TextField'
import { DayField } from '../ui/date'
import { Mark } from '../ui/marks/Mark'
import { problemWords, weightProblemWords } from '../words/problems'
import { BECAUSE, RUNG_NAMES } from './ladder-words'
import { useLadder } from './use-ladder'
import { Problem } from '../ui/controls/Problem'

/** How a dog learns to draw: what the next outing should be, and every one it had. */
export function Ladder({ dog, outings }: { dog: Dog; outings: readonly Outing[] }) {
  const { unit } = useAppSelector((state) => state.settings)
  const weightUnit = unit === 'in' ? 'lb' : 'kg'
  const next = useLadder(dog, outings)
  const [change] = useChangeOutingMutation()
  const { data: rigs = [] } = useRigsQuery(undefined)
  const standing = outings.filter(({ removed }) => !removed)
  const off = outings.filter(({ removed }) => removed)
  const set = (outing: Outing, removed: boolean): void =>
    void change({ dogId: dog.id, id: outing.id, changes: [{ field: 'removed', from: outing.removed, to: removed }] })
  const kg = (mass: number): string => formatWeight(mass, weightUnit)
  return (
    <section aria-label="Learning to draw" className="border-b-2 border-ink">
      <h2 className="flex flex-wrap items-baseline justify-between gap-x-3 px-4 py-2 text-[19px] leading-6">
        Learning to draw
        <Link className="font-text inline-flex min-h-11 items-center text-[15px] font-bold underline" to={`/dogs/${dog.id}/ladder`}>
          As a card
        </Link>
      </h2>
      <div className="border-y border-rule bg-bench px-4 py-2">
        {next ? (
          <>
            <p className="text-[22px] leading-7 font-bold">
              Next: {RUNG_NAMES[next.rung].toLowerCase()}
              {next.loadKg === null ? '' : `, ${kg(next.loadKg)}`}
            </p>
            <p className="text-[14.5px]">{BECAUSE[next.because]}</p>
          </>
        ) : (
          <p>Weigh {dog.name} first: a load goes by its weight.</p>
        )}
        <ol className="mt-2 grid grid-cols-4" aria-label="Rungs">
          {RUNGS.map((rung) => (
            <li
              key={rung}
              className={`border-t-[6px] pt-1 text-[14px] ${next && RUNGS.indexOf(rung) <= RUNGS.indexOf(next.rung) ? 'border-tape font-bold' : 'border-rule text-mute'}`}
              {...(next?.rung === rung ? { 'aria-current': 'step' as const } : {})}
            >
              {RUNG_NAMES[rung]}
            </li>
          ))}
        </ol>
      </div>
      <ul>
        {standing.slice(0, 12).map((outing) => (
          <li key={outing.id} className="flex items-center gap-3 border-b border-rule px-4 py-1">
            <Mark grade={outing.calm ? 'holds' : 'doubt'} basis="seen" size={18} />
            <p className="min-w-0 flex-1 text-[15px] leading-[19px]">
              <b>
                {RUNG_NAMES[outing.rung]}
                {outing.loadKg === null ? '' : `, ${kg(outing.loadKg)}`}
              </b>
              , {outing.calm ? 'calm' : 'not calm'}
              <span className="block text-[13.5px] text-mute">
                {longDay(outing.on)}
                {outing.minutes === null ? '' : `, ${outing.minutes} min`}
                {outing.rigId === null ? '' : `, ${rigs.find(({ id }) => id === outing.rigId)?.name ?? 'a rig'}`}
                {outing.note ? `. ${outing.note}` : ''}
              </span>
            </p>
            <button
              type="button"
              className="min-h-11 px-1 font-semibold underline"
              aria-label={`Take ${longDay(outing.on)} off`}
              onClick={() => set(outing, true)}
            >
              off
            </button>
          </li>
        ))}
      </ul>
      {off[0] && (
        <p className="flex items-center justify-between gap-3 px-4 text-[14.5px] text-mute">
          {longDay(off[0].on)} was taken off.
          <button type="button" className="min-h-11 font-semibold text-ink underline" onClick={() => off[0] && set(off[0], false)}>
            Put it back
          </button>
        </p>
      )}
      <NewOuting
        key={`${next?.rung ?? ''} ${next?.loadKg ?? ''}`}
        dog={dog}
        rung={next?.rung ?? 'wear'}
        loadKg={next?.loadKg ?? null}
        weightUnit={weightUnit}
      />
    </section>
  )
}

function NewOuting({ dog, rung: first, loadKg, weightUnit }: { dog: Dog; rung: Rung; loadKg: number | null; weightUnit: 'kg' | 'lb' }) {
  const by = useAppSelector((state) => state.settings.fitter)
  const [add] = useAddOutingMutation()
  const { data: rigs = [] } = useRigsQuery(undefined)
  const once = useOnce()
  const [rung, setRung] = useState<Rung>(first)
  const [calm, setCalm] = useState(true)
  const [on, setOn] = useState(today())
  const [rigId, setRigId] = useState<string>('none')
  const { register, handleSubmit, setError, reset, getValues, formState } = useForm({
    defaultValues: { load: loadKg === null ? '' : formatWeight(loadKg, weightUnit).replace(/[^\d.]/g, ''), minutes: '', note: '' },
  })
  const { errors } = formState
  const keep = async (): Promise<boolean> => {
    const { load, minutes, note } = getValues()
    const weight = rung === 'load' ? parseWeight(load, weightUnit) : null
    if (weight && !weight.ok) {
      setError('load', { message: weightProblemWords(weight.problem) })
      return false
    }
    const took = minutes.trim() === '' ? null : Number(minutes.replace(',', '.'))
    if (took !== null && !(took >= 0 && took <= 1440)) {
      setError('minutes', { message: 'Minutes, up to a day.' })
      return false
    }
    const { error } = await add({
      dogId: dog.id,
      id: uuid(),
      body: {
        on,
        rung,
        calm,
        loadKg: weight?.ok ? weight.kg : null,
        minutes: took,
        rigId: rigId === 'none' ? null : rigId,
        note: note.trim(),
        at: new Date().toISOString(),
        by,
      },
    })
    if (error) {
      setError('root', { message: `Not kept. ${problemWords(error)} It stays here.` })
      return false
    }
    reset({ load, minutes: '', note: '' })
    return true
  }
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center px-4 font-bold">Write an outing down</summary>
      <form noValidate className="space-y-2 px-4 pb-3" onSubmit={(event) => void handleSubmit(() => once(keep))(event)}>
        <Segmented label="What it did" value={rung} options={RUNGS.map((value) => ({ value, label: RUNG_NAMES[value] }))} onChange={setRung} />
        <div className="flex flex-wrap items-end gap-2">
          <Segmented
            label="How it was"
            value={calm ? 'calm' : 'not'}
            options={[
              { value: 'calm', label: 'Calm' },
              { value: 'not', label: 'Not calm' },
            ]}
            onChange={(value) => setCalm(value === 'calm')}
          />
          {rung === 'load' && <TextField label={`Load (${weightUnit})`} inputMode="decimal" problem={errors.load?.message} {...register('load')} />}
        </div>
        <div className="grid gap-2 sm:grid-cols-3">
          <DayField
            label="Day"
            value={on}
            onSave={(day) => {
              if (day === '') return Promise.resolve({ kept: false, problem: 'Which day?' })
              setOn(day)
              return Promise.resolve({ kept: true })
            }}
          />
          <TextField label="Minutes" inputMode="numeric" problem={errors.minutes?.message} {...register('minutes')} />
          {rigs.length > 0 && (rung === 'empty' || rung === 'load') && (
            <Picker
              label="Behind it"
              value={rigId}
              options={[{ value: 'none', label: 'Nothing named' }, ...rigs.map(({ id, name }) => ({ value: id, label: name }))]}
              onChange={setRigId}
              className="w-full self-end"
            />
          )}
        </div>
        <TextField label="What was seen" maxLength={200} {...register('note')} />
        <Button type="submit">Keep this outing</Button>
        <Problem>{errors.root?.message}</Problem>
      </form>
    </details>
  )
}
