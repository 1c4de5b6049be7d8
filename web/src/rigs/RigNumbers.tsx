import { formatWeight, parseWeight, type Change, type Rig } from '@merry-tailor/core'
import { useChangeRigMutation } from '../api/queries'
import { SavedLength } from '../length-entry'
import { saveField } from '../state/save-field'
import { useAppSelector } from '../state/store'
import { Segmented } from '../ui/controls/Segmented'
import { SavedField, type SaveResult } from '../ui/controls/SavedField'
import { weightProblemWords } from '../words/problems'

/** The rig’s own numbers, each kept when its field is left. */
export function RigNumbers({ rig }: { rig: Rig }) {
  const look = useAppSelector((state) => state.settings)
  const [changeRig] = useChangeRigMutation()
  const weightUnit = look.unit === 'in' ? 'lb' : 'kg'
  const send = (changes: Change[]) => changeRig({ id: rig.id, changes })
  const save = <K extends keyof Rig>(field: K, to: Rig[K]): Promise<SaveResult> => saveField(send, field, rig[field], to)
  const length = (label: string, mm: number, put: (mm: number) => Promise<SaveResult>, signed = false) => (
    <SavedLength key={label} label={label} mm={mm} onSave={put} {...(signed ? { minus: 'behind the axle' } : {})} />
  )
  const refused = (problem: string): Promise<SaveResult> => Promise.resolve({ kept: false, problem })
  const weight = (label: string, kg: number, put: (kg: number) => Promise<SaveResult>) => (
    <SavedField
      label={`${label} (${weightUnit})`}
      inputMode="decimal"
      value={formatWeight(kg, weightUnit)}
      onSave={(text) => {
        const parsed = parseWeight(text, weightUnit)
        return parsed.ok ? put(parsed.kg) : refused(weightProblemWords(parsed.problem))
      }}
    />
  )
  const { shafts, hitch, bar, bed } = rig
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center font-bold">Its numbers, empty and level</summary>
      <div className="space-y-2 pb-2">
        <SavedField
          label="Its name"
          value={rig.name}
          maxLength={60}
          onSave={(text) => (text.trim() === '' ? refused('What is it called?') : save('name', text.trim()))}
        />
        {weight('Weighs', rig.massKg, (kg) => save('massKg', kg))}
        {length('Its middle ahead of the axle', rig.massAheadMm, (mm) => save('massAheadMm', mm), true)}
        {length('Its middle above the ground', rig.massHeightMm, (mm) => save('massHeightMm', mm))}
        {length('Axle above the ground', rig.axleMm, (mm) => save('axleMm', mm))}
        {rig.kind === 'wagon' && rig.wheelbaseMm !== null && length('Axles apart', rig.wheelbaseMm, (mm) => save('wheelbaseMm', mm))}
        {rig.kind === 'wagon' && rig.lockRad !== null && (
          <SavedField
            label="Its front axle turns (degrees)"
            inputMode="decimal"
            value={String(Math.round((rig.lockRad * 180) / Math.PI))}
            onSave={(text) => {
              const degrees = Number(text.replace(',', '.'))
              return degrees >= 3 && degrees <= 85 ? save('lockRad', (degrees * Math.PI) / 180) : refused('From 3 to 85 degrees.')
            }}
          />
        )}
        {length('Track', rig.trackMm, (mm) => save('trackMm', mm))}
        {shafts && length('Loops ahead of the axle', shafts.aheadMm, (aheadMm) => save('shafts', { ...shafts, aheadMm }))}
        {shafts && length('Shafts’ height there', shafts.levelMm, (levelMm) => save('shafts', { ...shafts, levelMm }))}
        {shafts && length('Shafts’ thickness', shafts.thickMm, (thickMm) => save('shafts', { ...shafts, thickMm }))}
        {shafts && length('Their stops’', shafts.stopMm, (stopMm) => save('shafts', { ...shafts, stopMm }))}
        {shafts?.massKg !== undefined && weight('Shafts weigh', shafts.massKg, (massKg) => save('shafts', { ...shafts, massKg }))}
        {length('Bar’s pivot ahead', hitch.aheadMm, (aheadMm) => save('hitch', { ...hitch, aheadMm }), true)}
        {length('Its height', hitch.heightMm, (heightMm) => save('hitch', { ...hitch, heightMm }))}
        {length('Bar’s width', bar.widthMm, (widthMm) => save('bar', { ...bar, widthMm }))}
        <Segmented
          label="The bar"
          value={bar.swings ? 'swings' : 'fixed'}
          options={[
            { value: 'swings', label: 'Bar swings' },
            { value: 'fixed', label: 'Fixed' },
          ]}
          onChange={(to) => void save('bar', { ...bar, swings: to === 'swings' })}
        />
        {length('Bed from', bed.fromMm, (fromMm) => save('bed', { ...bed, fromMm }), true)}
        {length('Bed to', bed.toMm, (toMm) => save('bed', { ...bed, toMm }), true)}
        {length('Bed’s floor', bed.heightMm, (heightMm) => save('bed', { ...bed, heightMm }))}
        <Segmented
          label="A brake"
          value={rig.brake ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'No brake' },
            { value: 'yes', label: 'It has a brake' },
          ]}
          onChange={(to) => void save('brake', to === 'yes')}
        />
        <SavedField label="Notes" value={rig.notes} maxLength={300} onSave={(text) => save('notes', text.trim())} />
      </div>
    </details>
  )
}
