import { formatWeight, parseWeight, rollingPull, SURFACES, SUSTAINED_PULL, type HitchPlace, type Surface } from '@merry-tailor/core'
import { useState } from 'react'
import { Picker } from '../../ui/controls/Picker'
import { TextField } from '../../ui/controls/TextField'
import { SURFACE_NAMES } from '../../words/hitch'

const USUAL: Partial<Readonly<Record<HitchPlace, Surface>>> = { sled: 'packed-snow', wheel: 'packed-snow', cart: 'hard-tyre', 'bike-front': 'dirt-road' }

/** What the load behind asks of this dog: level or up a grade, beside what a conditioned dog is planned with. */
export function LoadBlock({ hitch, dogKg, unit }: { hitch: HitchPlace; dogKg: number; unit: 'in' | 'cm' }) {
  const [typed, setTyped] = useState('')
  const [picked, setPicked] = useState<Surface | null>(null)
  const [grade, setGrade] = useState('0')
  const weightUnit = unit === 'in' ? 'lb' : 'kg'
  const surface = picked ?? USUAL[hitch]
  if (!surface) return null
  const load = typed.trim() === '' ? null : parseWeight(/[a-z]/i.test(typed) ? typed : `${typed} ${weightUnit}`)
  const percent = Number(grade.replace(',', '.').replace('−', '-'))
  const gradeOff = grade.trim() === '' || !Number.isFinite(percent) || Math.abs(percent) > 40
  const pulls = load?.ok && !gradeOff ? SURFACES[surface].map((resistance) => rollingPull({ massKg: load.kg, resistance, gradePercent: percent })) : null
  const [least, most] = pulls ?? []
  const say = (kg: number): string => formatWeight(Math.abs(kg), weightUnit)
  const planned = SUSTAINED_PULL.map((share) => share * dogKg) as [number, number]
  return (
    <section aria-label="The load behind" className="space-y-2">
      <h3 className="border-t border-rule pt-2 text-[17px] leading-[22px]">The load behind</h3>
      {least && most && (
        <p aria-live="polite">
          {most.runsByItself ? (
            <b>It runs onto the dog: brake it, {say(least.pullKg)} to hold back.</b>
          ) : (
            <>
              Pulls like <b>{least.pullKg === most.pullKg ? say(most.pullKg) : `${say(Math.max(0, least.pullKg))} to ${say(most.pullKg)}`}</b>
              {least.runsByItself ? ', and may run by itself: have a brake' : ''}.{' '}
              {most.pullKg > planned[1] ? 'More than' : most.pullKg > planned[0] ? 'About' : 'Below'} what a conditioned dog of this weight is planned with for
              long: {say(planned[0])} to {say(planned[1])}.
            </>
          )}
        </p>
      )}
      <TextField
        label={`All that moves, for this dog (${weightUnit})`}
        inputMode="decimal"
        value={typed}
        problem={load && !load.ok ? `A weight, such as 40 ${weightUnit}.` : undefined}
        onChange={(event) => setTyped(event.target.value)}
      />
      <Picker
        label="It runs on"
        value={surface}
        options={(Object.keys(SURFACES) as Surface[]).map((value) => ({ value, label: SURFACE_NAMES[value] }))}
        onChange={setPicked}
        className="w-full"
      />
      <TextField
        label="Grade, up in a hundred"
        inputMode="decimal"
        value={grade}
        problem={gradeOff ? 'A number up to 40; below nothing is downhill.' : undefined}
        onChange={(event) => setGrade(event.target.value)}
      />
      <p className="text-[13.5px] leading-[17px] text-mute">A plan, no limit: begin empty and short, watch the dog, and follow the rules of the place.</p>
    </section>
  )
}
