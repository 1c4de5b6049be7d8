import { restraintsFor, type NamedPulse } from '@merry-tailor/core'
import { useState } from 'react'
import { WeightEntry } from '../../length-entry'
import { REASON_WORDS, WAY_NAMES } from './seat-words'

/** Ways to hold a dog in a car beside each other, in the stop that is looked at; local law decides. */
export function OtherWays({ kg, pulse, unit }: { kg: number; pulse: NamedPulse; unit: 'kg' | 'lb' }) {
  const [crateKg, setCrateKg] = useState(9)
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center font-bold">Other ways to hold it, in this stop</summary>
      <div className="w-[180px]">
        <WeightEntry label="Its crate weighs" kg={crateKg} unit={unit} mostKg={100} onSet={setCrateKg} />
      </div>
      <ul className="pb-2">
        {restraintsFor({ dogKg: kg, crateKg, car: pulse }).map(({ way, forceN, reasons }) => (
          <li key={way} className="flex items-baseline justify-between gap-3 border-b border-rule py-1 text-[15px]">
            <span>
              <b>{WAY_NAMES[way]}</b> <span className="text-mute">{reasons.map((each) => REASON_WORDS[each]).join('; ')}</span>
            </span>
            <b className="whitespace-nowrap">{(forceN / 1000).toFixed(1)} kN</b>
          </li>
        ))}
      </ul>
      <p className="pb-2 text-[14px] text-mute">What has to be held on the mean of the stop. Which of them is allowed local law decides.</p>
    </details>
  )
}
