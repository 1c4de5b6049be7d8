import { formatLength, formatWeight, isMeasureId, measureIds, measures, type AsWritten } from '@merry-tailor/core'
import { useForm, useWatch } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { useActs } from '../../bench'
import { parseEntry } from '../../length-entry'
import { useAppSelector } from '../../state/store'
import { useOnce } from '../../state/use-once'
import { Button } from '../../ui/controls/Button'
import { Choice } from '../../ui/controls/Choice'
import { Picker } from '../../ui/controls/Picker'
import { Problem } from '../../ui/controls/Problem'
import { Segmented } from '../../ui/controls/Segmented'
import { TextField } from '../../ui/controls/TextField'
import { PLACES } from '../../words/measuring'
import { problemWords } from '../../words/problems'

interface Answer {
  measure: string
  place: string
  typed: string
  said: 'in' | 'cm' | null
  side: 'one' | 'both' | null
}

const UNITS = [
  { value: 'in', label: 'Inches' },
  { value: 'cm', label: 'Centimetres' },
] as const
const SIDES = [
  { value: 'both', label: 'Full' },
  { value: 'one', label: 'One side' },
] as const

/** A number with its unit behind it needs no other. */
const namesUnit = (typed: string): boolean => /\d\s*(?:in\b|inch|"|″|''|cm|mm|kg|kilo|lb|pound)/i.test(typed)
const weighs = (about: (typeof measures)[string] | undefined): boolean => about?.quantity === 'mass'

/** What a typed number says, in both units; nothing until it can be read. */
function readWords({ measure, typed, said }: Answer, shopUnit: 'in' | 'cm'): string | undefined {
  if (typed.trim() === '') return undefined
  const heavy = weighs(measures[measure])
  const inBoth = (mm: number) => `${formatLength(mm, { unit: 'in', step: 0.125 }).text}, ${formatLength(mm, { unit: 'cm', step: 0.1 }).text}`
  if (namesUnit(typed) || said !== null) {
    const read = parseEntry(measure === '' ? 'M07' : measure, typed, said ?? shopUnit)
    return read.ok ? `Reads ${heavy ? `${formatWeight(read.mm)}, ${formatWeight(read.mm, 'lb')}` : inBoth(read.mm)}` : undefined
  }
  if (heavy) return undefined
  const [asIn, asCm] = [parseEntry('M07', typed, 'in'), parseEntry('M07', typed, 'cm')]
  if (!asIn.ok || !asCm.ok) return undefined
  return `As inches it is ${formatLength(asIn.mm, { unit: 'cm', step: 0.1 }).text}; as centimetres ${formatLength(asCm.mm, { unit: 'in', step: 0.125 }).text}.`
}

/** The sender said what a number means: its measure, its unit, one side or all round. Then it is a reading. */
export function TheirAnswer({ written }: { written: AsWritten }) {
  const { unit: shopUnit, fitter } = useAppSelector((state) => state.settings)
  const { act } = useActs()
  const once = useOnce()
  const first: Answer = { measure: written.wanted ?? '', place: '', typed: written.asWritten, said: null, side: null }
  const { register, control, handleSubmit, setError, setValue, formState } = useForm<Answer>({ defaultValues: first })
  const { errors } = formState
  const answer = { ...first, ...useWatch({ control }) }
  const about = measures[answer.measure]
  const named = namesUnit(answer.typed)

  const take = handleSubmit(({ measure, place, typed, said, side }) =>
    once(async () => {
      const spec = measures[measure]
      const read = parseEntry(measure, typed, said ?? shopUnit)
      if (!spec || !isMeasureId(measure) || !read.ok) return false
      const readingId = uuid()
      const at = new Date().toISOString()
      const kept = await act({
        act: 'read',
        id: readingId,
        body: {
          measure,
          mm: read.mm,
          side: spec.doubling && side === 'one' ? 'one' : 'both',
          asTyped: typed.trim().slice(0, 40),
          unit: read.unit,
          method: 'tape',
          takenAt: at,
          by: '',
          place: spec.places.find((each) => each === place) ?? null,
          remark: `Came as “${written.letters}”, answered by the sender`.slice(0, 200),
        },
      })
      if (kept.error) {
        setError('root', { message: `Not kept. ${problemWords(kept.error)} It stays here.` })
        return false
      }
      const answered = await act({ act: 'answer', id: written.id, body: { readingId, at, by: fitter } })
      if (answered.error) setError('root', { message: `The reading is kept, its answer is not. ${problemWords(answered.error)}` })
      return !answered.error
    }),
  )

  return (
    <form
      noValidate
      className="mt-3 grid max-w-[640px] items-start gap-3 border-l-[5px] border-ink bg-bench px-4 py-3 md:grid-cols-2"
      onSubmit={(event) => void take(event)}
    >
      <div>
        <p className="mb-1 text-[13.5px] font-semibold text-mute">They say it is</p>
        <Choice control={control} name="measure" must={(measure) => isMeasureId(measure) || 'Which measure is it? They must say.'}>
          {({ onChange, ...choice }) => (
            <Picker
              label="The measure it is"
              {...choice}
              options={measureIds.map((id) => ({ value: id, label: measures[id]?.name ?? id, note: id }))}
              onChange={(measure) => {
                onChange(measure)
                setValue('place', '')
                setValue('side', null)
              }}
              className="w-full"
            />
          )}
        </Choice>
      </div>
      <TextField
        label="The number, read"
        problem={errors.typed?.message}
        hint={readWords(answer, shopUnit)}
        {...register('typed', {
          validate: (typed, { measure, said }) => {
            if (weighs(measures[measure]) && !namesUnit(typed)) return 'Kilograms or pounds? Write it behind the number.'
            const read = parseEntry(measure === '' ? 'M07' : measure, typed, said ?? shopUnit)
            return read.ok || read.problem
          },
        })}
      />
      {!named && !weighs(about) && (
        <div>
          <p className="mb-1 text-[13.5px] font-semibold text-mute">It is in</p>
          {/* What others sent means what they meant: a number without a unit is asked about, never read in the shop's own. */}
          <Choice
            control={control}
            name="said"
            must={(said) => said !== null || 'Inches or centimetres? The letter does not say; ask, or choose what they answered.'}
          >
            {(choice) => <Segmented label="Unit of the number" {...choice} options={UNITS} />}
          </Choice>
        </div>
      )}
      {about && about.places.length > 0 && (
        <Choice control={control} name="place" must={(place) => place !== '' || 'Which one of them?'}>
          {(choice) => <Picker label="Which one" {...choice} options={about.places.map((each) => ({ value: each, label: PLACES[each] }))} />}
        </Choice>
      )}
      {about?.doubling && (
        <Choice control={control} name="side" must={(side) => side !== null || 'One side, or all round? They must say.'}>
          {(choice) => <Segmented label="One side or full" {...choice} options={SIDES} />}
        </Choice>
      )}
      <div className="md:col-span-2">
        <Problem>{errors.root?.message}</Problem>
        <Button type="submit">Take it as a reading</Button>
      </div>
    </form>
  )
}
