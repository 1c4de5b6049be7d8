import { measures, measuresOf, parseLength, type Band, type Piece } from '@merry-tailor/core'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { TextField } from '../ui/controls/TextField'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'
import { isSewn, layFlatWords, partName } from '../words/laid-flat'
import { measureName } from '../words/stages'

/** Measures that can be laid flat on a piece, the likely ones first. */
const FLAT_MEASURES = ['M01', 'M07', 'M08', 'M06', 'M10', 'M11', 'M12', 'M13', 'M14', 'M02', 'M04', 'M15', 'M18', 'M29'].filter((id) => measures[id])

interface FlatMeasuresProps {
  piece: Piece
  onSave: (flat: Piece['flat']) => Promise<string | null>
}

/** The piece laid flat: by measure, its shortest and longest setting. They beat its label. */
export function FlatMeasures({ piece, onSave }: FlatMeasuresProps) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  // Parts this kind has go before the rest.
  const own = new Set<string>(measuresOf({ family: piece.family, way: 'stock' }))
  const parts = [...FLAT_MEASURES].sort((a, b) => Number(own.has(b)) - Number(own.has(a)))
  const sewn = isSewn(piece.family)
  const [measure, setMeasure] = useState<string>(parts[0] ?? 'M01')
  const { register, handleSubmit, setError, reset, formState } = useForm({ defaultValues: { from: '', to: '' } })
  const { errors } = formState
  const add = handleSubmit(async ({ from, to }) => {
    const short = parseLength(from, settings.unit)
    if (!short.ok || short.mm <= 0) return setError('from', { message: 'A length, such as 21 3/8 or 54 cm.' })
    const long = to.trim() === '' ? short : parseLength(to, settings.unit)
    if (!long.ok) return setError('to', { message: 'A length, or nothing where it can’t be set.' })
    if (long.mm < short.mm) return setError('to', { message: 'Shorter than its shortest setting.' })
    if (long.mm > 3000) return setError(sewn ? 'from' : 'to', { message: 'Longer than 3 metres: is the unit right?' })
    const refused = await onSave({ ...piece.flat, [measure]: [short.mm, long.mm] satisfies Band })
    if (refused) setError('from', { message: refused })
    else reset()
  })
  const remove = (id: string): void => void onSave(Object.fromEntries(Object.entries(piece.flat).filter(([key]) => key !== id)))
  const rows = Object.entries(piece.flat).sort(([a], [b]) => (a < b ? -1 : 1))
  return (
    <section aria-label="Laid flat" className="border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">Laid flat</h2>
      <p className="text-mute">{layFlatWords(piece.family)} What is measured here counts before the label.</p>
      <ul className="mt-1">
        {rows.map(([id, [short, long]]) => (
          <li key={id} className="flex min-h-11 items-center justify-between gap-3 border-b border-rule">
            <span className="font-semibold">
              {partName(id)} <span className="font-normal text-mute">{measureName(id).toLowerCase()}</span>
            </span>
            <span className="ml-auto">
              <Worded text={short === long ? lengthText(short, look, true) : `${lengthText(short, look)} to ${lengthText(long, look, true)}`} />
            </span>
            <button type="button" onClick={() => remove(id)} className="min-h-11 px-2 font-semibold underline" aria-label={`Remove ${measureName(id)}`}>
              remove
            </button>
          </li>
        ))}
      </ul>
      <form noValidate className="mt-3 grid grid-cols-2 items-start gap-3 sm:grid-cols-[1fr_120px_120px_auto]" onSubmit={(event) => void add(event)}>
        <div className="max-sm:col-span-2">
          <span className="mb-1 block text-[13.5px] font-semibold text-mute">Part</span>
          <Picker
            label="Part laid flat"
            value={measure}
            options={parts.map((id) => ({ value: id, label: partName(id), note: measureName(id).toLowerCase() }))}
            onChange={setMeasure}
            className="w-full"
          />
        </div>
        <TextField label={sewn ? `Length, ${look.unit}` : `Shortest, ${look.unit}`} inputMode="decimal" problem={errors.from?.message} {...register('from')} />
        {!sewn && <TextField label={`Longest, ${look.unit}`} inputMode="decimal" problem={errors.to?.message} {...register('to')} />}
        <Button type="submit" className="mt-[24px] max-sm:col-span-2">
          Keep it
        </Button>
      </form>
    </section>
  )
}
