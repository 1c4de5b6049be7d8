import { formatLength, formatWeight, parseLength, parseWeight, type Rig } from '@merry-tailor/core'
import { useState } from 'react'
import { useChangeRigMutation } from '../../api/queries'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { Segmented } from '../../ui/controls/Segmented'
import { TextField } from '../../ui/controls/TextField'
import { problemWords } from '../../words/problems'

type Said = { ok: true; value: number } | { ok: false }

/** The rig’s own numbers, each kept when its field is left. */
export function RigNumbers({ rig }: { rig: Rig }) {
  const look = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(look), unit: look.unit }
  const [changeRig] = useChangeRigMutation()
  const weightUnit = look.unit === 'in' ? 'lb' : 'kg'
  const save = async <K extends keyof Rig>(field: K, to: Rig[K]): Promise<string | null> => {
    const { error } = await changeRig({ id: rig.id, changes: [{ field, from: rig[field], to }] })
    return error ? `Not kept. ${problemWords(error)}` : null
  }
  const length = (label: string, mm: number, put: (mm: number) => Promise<string | null>, signed = false) => (
    <NumberLine
      key={label}
      label={`${label} (${look.unit})`}
      shown={`${mm < 0 ? '-' : ''}${formatLength(Math.abs(mm), style)
        .text.replace(/[^\d./ ⁄]/g, '')
        .trim()}`}
      read={(text) => {
        const minus = /^\s*[-−]/.test(text)
        const parsed = parseLength(text.replace(/^\s*[-−+]/, ''), look.unit)
        return parsed.ok && (signed || !minus) ? { ok: true, value: minus ? -parsed.mm : parsed.mm } : { ok: false }
      }}
      wrong={signed ? 'A length; minus lies behind the axle.' : 'A length, such as 12 1/2 or 31 cm.'}
      onSave={put}
    />
  )
  const { shafts, hitch, bar, bed } = rig
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center font-bold">Its numbers, empty and level</summary>
      <div className="space-y-2 pb-2">
        <NumberLine
          label={`Weighs (${weightUnit})`}
          shown={formatWeight(rig.massKg, weightUnit).replace(/[^\d.]/g, '')}
          read={(text) => {
            const parsed = parseWeight(/[a-z]/i.test(text) ? text : `${text} ${weightUnit}`)
            return parsed.ok ? { ok: true, value: parsed.kg } : { ok: false }
          }}
          wrong={`A weight, such as 14 ${weightUnit}.`}
          onSave={(kg) => save('massKg', kg)}
        />
        {length('Axle above the ground', rig.axleMm, (mm) => save('axleMm', mm))}
        {length('Track', rig.trackMm, (mm) => save('trackMm', mm))}
        {shafts && length('Loops ahead of the axle', shafts.aheadMm, (aheadMm) => save('shafts', { ...shafts, aheadMm }))}
        {shafts && length('Shafts’ height there', shafts.levelMm, (levelMm) => save('shafts', { ...shafts, levelMm }))}
        {shafts && length('Shafts’ thickness', shafts.thickMm, (thickMm) => save('shafts', { ...shafts, thickMm }))}
        {shafts && length('Their stops’', shafts.stopMm, (stopMm) => save('shafts', { ...shafts, stopMm }))}
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
      </div>
    </details>
  )
}

interface NumberLineProps {
  label: string
  shown: string
  read: (text: string) => Said
  wrong: string
  onSave: (value: number) => Promise<string | null>
}

/** One number: what can’t be read or kept is said under it, and stays. */
function NumberLine({ label, shown, read, wrong, onSave }: NumberLineProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const keep = async (): Promise<void> => {
    if (typed === null || typed.trim() === shown) {
      setTyped(null)
      return
    }
    const said = read(typed)
    if (!said.ok) {
      setProblem(wrong)
      return
    }
    const refused = await onSave(said.value)
    setProblem(refused)
    if (refused === null) setTyped(null)
  }
  return (
    <TextField
      label={label}
      value={typed ?? shown}
      problem={problem ?? undefined}
      onChange={(event) => {
        setTyped(event.target.value)
        setProblem(null)
      }}
      onBlur={() => void keep()}
      onKeyDown={(event) => {
        if (event.key === 'Enter') void keep()
      }}
    />
  )
}
