import { isMeasureId, measureIds, measures, type AsWritten } from '@merry-tailor/core'
import { v7 as uuid } from 'uuid'
import { useActs, useOpenTicket, useTapes } from '../../bench'
import { useAppSelector } from '../../state/store'
import { useKeptForm } from '../../state/use-kept-form'
import { useOnce } from '../../state/use-once'
import { Button } from '../../ui/controls/Button'
import { Choice } from '../../ui/controls/Choice'
import { Picker } from '../../ui/controls/Picker'
import { Problem } from '../../ui/controls/Problem'
import { Segmented } from '../../ui/controls/Segmented'
import { TextField } from '../../ui/controls/TextField'
import { problemWords } from '../../words/problems'
import { CAME } from './came'
import type { LetterLine } from './letter-lines'
import { WholeLetter } from './WholeLetter'

interface Letter {
  letters: string
  asWritten: string
  came: AsWritten['came']
  wanted: string
  remark: string
}
const NO_LETTER: Letter = { letters: '', asWritten: '', came: 'mail', wanted: '', remark: '' }
const isLetter = (kept: unknown): kept is Letter =>
  typeof kept === 'object' && kept !== null && Object.keys(NO_LETTER).every((field) => typeof (kept as Record<string, unknown>)[field] === 'string')
const isSaid = (words: string) => (typed: string) => typed.trim() !== '' || words

/** One number as it came: its letter, the number just as it stood, and what it may be. */
export function NewLetter() {
  const { sheet } = useOpenTicket()
  const { rows } = useTapes()
  const { fitter } = useAppSelector((state) => state.settings)
  const { act } = useActs()
  const once = useOnce()
  // What this ticket wants is likelier than the rest of the catalogue.
  const wantedHere = new Set<string>(rows.map(({ tape }) => tape.measure))
  const likelyFirst = [...measureIds].sort((a, b) => Number(wantedHere.has(b)) - Number(wantedHere.has(a)))
  // Left half typed it is there again.
  const [form, beginAnew] = useKeptForm(`letter-${sheet.ticket.id}`, NO_LETTER, isLetter)
  const { register, control, handleSubmit, setError, setFocus, getValues, formState } = form
  const { errors } = formState
  const write = (line: LetterLine, wanted: string, remark: string) =>
    act({
      act: 'write-down',
      id: uuid(),
      body: {
        ...line,
        came: getValues('came'),
        wanted: isMeasureId(wanted) ? wanted : null,
        remark,
        at: new Date().toISOString(),
        by: fitter,
      },
    })
  const keep = handleSubmit(({ letters, asWritten, wanted, remark }) =>
    once(async () => {
      const { error } = await write({ letters: letters.trim(), asWritten: asWritten.trim() }, wanted, remark.trim())
      // Cleared once it is known to be kept.
      if (error) setError('root', { message: `Not kept. ${problemWords(error)} What you typed stays.` })
      else {
        // The next number of the same letter begins where this one did.
        setFocus('letters')
        beginAnew()
      }
      return !error
    }),
  )
  return (
    <form noValidate className="space-y-3" onSubmit={(event) => void keep(event)}>
      <h2 className="text-[19px] leading-6">A number that came</h2>
      <Problem>{errors.root?.message}</Problem>
      <Choice control={control} name="came">
        {(choice) => (
          <Segmented
            label="How it came"
            {...choice}
            options={(['mail', 'phone', 'form', 'message'] as const).map((value) => ({ value, label: CAME[value].replace(/^(?:By|On a) /, '') }))}
          />
        )}
      </Choice>
      <WholeLetter
        onKeep={async (lines) => {
          for (const line of lines) {
            const { error } = await write(line, '', '')
            if (error) return `Not kept from “${line.letters}” on. ${problemWords(error)}`
          }
          return null
        }}
      />
      <TextField
        label="Their letter or word"
        maxLength={60}
        placeholder="A–C, neck, length"
        problem={errors.letters?.message}
        {...register('letters', { validate: isSaid('What did they call it? A letter will do.') })}
      />
      <TextField
        label="The number, as written"
        maxLength={60}
        placeholder="34, or 13 1/2 in"
        problem={errors.asWritten?.message}
        hint="Exactly as it stood; nothing is read into it."
        {...register('asWritten', { validate: isSaid('The number just as it stood there.') })}
      />
      <div>
        <p className="mb-1 text-[13.5px] font-semibold text-mute">It may be</p>
        <Choice control={control} name="wanted">
          {(choice) => (
            <Picker
              label="Which measure it may be"
              {...choice}
              placeholder="Nobody knows yet"
              options={likelyFirst.map((id) => ({ value: id, label: measures[id]?.name ?? id, note: id }))}
              className="w-full"
            />
          )}
        </Choice>
      </div>
      <TextField label="Remark" maxLength={300} {...register('remark')} />
      <Button type="submit">Keep as written</Button>
    </form>
  )
}
