import { ageInMonths, frontsToLast, HOLES, rugFronts, rugGrowth, type Form, type Garment, type GarmentPlan } from '@merry-tailor/core'
import { useState } from 'react'
import { useOpenTicket } from '../../bench'
import { NumberEntry } from '../../length-entry'
import { today } from '../../state/today'

const WEEKS_A_MONTH = 52.18 / 12

/** How long a growing dog's rug lasts: the overlap month by month as a range, hole by hole. */
export function GrowthPane({
  garment,
  form,
  plan,
  onChange,
  say,
  unit,
}: {
  garment: Garment
  form: Form
  plan: GarmentPlan
  onChange: (over: Partial<GarmentPlan>) => void
  say: (mm: number) => string
  unit: 'in' | 'cm'
}) {
  const { sheet, name } = useOpenTicket()
  const months = (sheet.dog && ageInMonths(sheet.dog, today())) ?? null
  const [age, setAge] = useState(Math.round((months ?? 3) * WEEKS_A_MONTH))
  const weightKg = garment.numbers.M00?.mm ?? sheet.dog?.weightKg ?? null
  const [adult, setAdult] = useState(Math.round((form.measures.M00?.mm ?? 15) * (months !== null && months < 10 ? 1.6 : 1)))
  const spanMm = garment.numbers.M19?.mm ?? 200
  const { eachMm } = rugFronts(spanMm, plan.growing ?? false)
  const at = Array.from({ length: 13 }, (_, i) => age + Math.round(i * WEEKS_A_MONTH))
  const growth = rugGrowth({
    spanMm,
    eachMm,
    holes: HOLES,
    ageWeeks: age,
    adultKg: Math.max(1, adult),
    weightKg: weightKg && weightKg < adult ? weightKg : null,
    atWeeks: at,
  })
  const [first, last] = growth.outgrownWeeks ?? [null, null]
  const inMonths = (weeks: number): string => `${Math.round(weeks / WEEKS_A_MONTH)} months`
  const most = Math.max(2 * eachMm, ...growth.weeks.map(({ spanMm: [, high] }) => high))
  const [w, h] = [560, 190]
  const x = (i: number): number => 44 + (i * (w - 60)) / 12
  const y = (mm: number): number => 12 + (1 - (mm - spanMm * 0.9) / (most * 1.05 - spanMm * 0.9)) * (h - 40)
  return (
    <div className="quiet-scroll h-full space-y-3 p-4" tabIndex={0} role="group" aria-label="Growth">
      <div className="grid max-w-[560px] grid-cols-2 gap-3 border-2 border-ink bg-panel p-3">
        <NumberEntry label="Age now, weeks" value={age} least={1} most={300} problem="From 1 to 300 weeks." onSet={(n) => setAge(Math.round(n))} />
        <NumberEntry
          label={`Grown weight, kg${weightKg ? ` (now ${Math.round(weightKg)})` : ''}`}
          value={adult}
          least={1}
          most={120}
          problem="From 1 to 120 kg."
          onSet={setAdult}
        />
      </div>
      {!plan.growing && (
        <button type="button" onClick={() => onChange({ growing: true })} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold">
          Cut the fronts to grow along
        </button>
      )}
      <p className="max-w-[600px] text-[16px] leading-[22px]">
        <b>
          {first === null
            ? `The fronts of ${say(eachMm)} still meet when ${name} is grown.`
            : last === null
              ? `The fronts of ${say(eachMm)} may stop meeting from ${inMonths(first)} on.`
              : `The fronts of ${say(eachMm)} stop meeting between ${inMonths(first)} and ${inMonths(last)}.`}
        </b>{' '}
        To last to a year, make each{' '}
        {say(
          frontsToLast({
            spanMm,
            ageWeeks: age,
            adultKg: Math.max(1, adult),
            untilWeeks: Math.max(52, age),
            ...(weightKg && weightKg < adult ? { weightKg } : {}),
          }),
        )}
        .
      </p>
      <svg
        role="img"
        aria-label="Shoulder to shoulder month by month beside where the fronts meet"
        viewBox={`0 0 ${w} ${h}`}
        width="100%"
        className="max-w-[640px] border-2 border-ink bg-panel"
      >
        <path
          d={`M${growth.weeks.map(({ spanMm: [low] }, i) => `${x(i)} ${y(low)}`).join('L')}L${growth.weeks
            .map(({ spanMm: [, high] }, i) => `${x(i)} ${y(high)}`)
            .reverse()
            .join('L')}Z`}
          fill="var(--tape-rest)"
          stroke="var(--tape-ink)"
          strokeWidth={1.2}
        />
        <line x1={x(0)} x2={x(12)} y1={y(2 * eachMm)} y2={y(2 * eachMm)} stroke="var(--snag)" strokeWidth={2} strokeDasharray="7 4" />
        <text x={x(0) + 4} y={y(2 * eachMm) - 5} fontSize={13.5} fontWeight={700} fill="var(--ink)">
          fronts just meet, {say(2 * eachMm)}
        </text>
        {growth.weeks.map(({ ageWeeks }, i) =>
          i % 2 === 0 ? (
            <text key={ageWeeks} x={x(i)} y={h - 8} textAnchor="middle" fontSize={12.5} fill="var(--ink)">
              {Math.round(ageWeeks / WEEKS_A_MONTH)} mo
            </text>
          ) : null,
        )}
        <text x={6} y={y(spanMm) + 4} fontSize={12.5} fill="var(--ink)">
          {say(spanMm).replace(unit, '')}
        </text>
      </svg>
      <table className="w-full max-w-[640px] border-2 border-ink bg-panel text-[15px]">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            {['Age', 'Shoulder to shoulder', 'Fronts lap', 'Hole'].map((head) => (
              <th key={head} className="px-3 py-1.5">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {growth.weeks.map(({ ageWeeks, spanMm: [low, high], overlapMm: [least, largest], hole }) => (
            <tr key={ageWeeks} className="border-b border-rule">
              <td className="px-3 py-1">{inMonths(ageWeeks)}</td>
              <td className="px-3 py-1">{Math.abs(high - low) < 1 ? say(low) : `${say(low)} to ${say(high)}`}</td>
              <td className="px-3 py-1">{largest < 0 ? 'meet no more' : `${say(Math.max(0, least))} to ${say(largest)}`}</td>
              <td className="px-3 py-1 font-bold">{hole === null ? 'outgrown' : plan.growing ? hole : '-'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="max-w-[600px] text-[14px] leading-[18px] text-mute">
        From generic growth bands by grown weight, a range for buttonholes, no forecast of any breed. Look at the hole, not at the calendar.
      </p>
    </div>
  )
}
