import type { ReactNode } from 'react'
import { PULSES, pulseOf, type NamedPulse } from '@merry-tailor/core'
import { Picker } from '../../ui/controls/Picker'
import type { SeatNow } from './seat-now'
import { PULSE_NAMES } from './seat-words'

const STIFF_NAMES = ['soft', 'usual', 'firm'] as const

/** What the belt would have to hold, by give and slack; the stop is chosen at the table’s head. */
export function ForceTable({
  now,
  pulse,
  massWords,
  slackMm,
  limitN,
  say,
  onPulse,
  mass,
}: {
  now: SeatNow
  pulse: NamedPulse
  massWords: string
  slackMm: number
  limitN: number
  say: (mm: number) => string
  onPulse: (id: string) => void
  mass: ReactNode
}) {
  const { meanG, peakG } = pulseOf(pulse)
  const here = now.slacks.indexOf(Math.round(slackMm))
  const kn = (newton: number): string => (newton / 1000).toFixed(1)
  return (
    <section aria-label="Pull on the belt">
      <h2 className="flex flex-wrap items-baseline justify-between gap-x-3 text-[19px] leading-6">Pull on the belt, kN</h2>
      <div className="mt-1 grid grid-cols-[1fr_116px] items-end gap-2">
        <Picker
          label="How the car stops"
          value={pulse.id}
          options={PULSES.map(({ id }) => ({ value: id, label: PULSE_NAMES[id] ?? id }))}
          onChange={onPulse}
          className="w-full"
        />
        {mass}
      </div>
      <p className="pt-1 text-[14px] text-mute">
        {massWords}; {pulse.speedKmh} km/h gone in {say(pulse.stopMm)}: mean {meanG.toFixed(meanG < 3 ? 1 : 0)} g, peak {peakG.toFixed(peakG < 3 ? 1 : 0)} g of
        the car.
      </p>
      <table className="mt-1 w-full text-[15.5px]">
        <thead>
          <tr>
            <th className="text-left text-[14px] font-normal text-mute">give</th>
            {now.slacks.map((mm, i) => (
              <th
                key={mm}
                className={`px-2 py-1 text-right text-[14px] ${i === here ? 'border-x-2 border-t-2 border-ink bg-bench font-bold' : 'font-normal text-mute'}`}
              >
                {mm === 0 ? 'taut' : say(mm)}
                {i === here && mm > 0 ? ' slack' : ''}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {now.rides.map(({ stiffnessNpm, peakN }, row) => (
            <tr key={stiffnessNpm} className="border-t border-rule">
              <td className="py-1.5">
                <b>{STIFF_NAMES[row]}</b> <span className="text-[13.5px] text-mute">{stiffnessNpm / 1000} kN/m</span>
              </td>
              {peakN.map((peak, i) => (
                <td
                  key={i}
                  className={`px-2 text-right font-bold ${i === here ? `border-x-2 border-ink bg-bench ${row === now.rides.length - 1 ? 'border-b-2' : ''}` : ''} ${peak > limitN ? 'text-snag' : ''}`}
                >
                  {kn(peak)}
                  {peak > limitN && <span className="sr-only"> kN, past a new belt</span>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
