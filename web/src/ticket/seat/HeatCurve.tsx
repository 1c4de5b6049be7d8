import { parkedCarC } from '@merry-tailor/core'
import { NumberEntry } from '../../length-entry'

const CURVE = { width: 340, height: 104, most: 70 }

/** A parked car only gets warmer: a curve without minutes, since none is safe. */
export function HeatCurve({ airC, onAir }: { airC: number; onAir: (airC: number) => void }) {
  const points = Array.from({ length: 31 }, (_, i) => ({
    x: (CURVE.width * i) / 30,
    y: CURVE.height - (CURVE.height * Math.max(0, parkedCarC({ airC, minutes: 2 * i }))) / CURVE.most,
  }))
  const end = parkedCarC({ airC, minutes: 60 })
  return (
    <section aria-label="Parked">
      <h2 className="text-[19px] leading-6">Parked in the sun</h2>
      <div className="flex flex-wrap items-end gap-4">
        <div className="w-[140px]">
          <NumberEntry label="Outside (°C)" value={airC} onSet={onAir} least={-30} most={50} problem="From -30 to 50 °C." />
        </div>
        <svg
          role="img"
          aria-label={`From ${airC} degrees towards ${Math.round(end)} within the hour`}
          viewBox={`0 0 ${CURVE.width} ${CURVE.height}`}
          className="mt-1 block min-w-[200px] flex-1 border-b-2 border-l-2 border-ink"
        >
          <path d={`M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`} fill="none" stroke="var(--snag)" strokeWidth={3} />
          <text x={6} y={(points[0]?.y ?? 0) - 6} fontSize={14} fontWeight={700} fill="var(--ink)">
            {airC} °C
          </text>
          <text x={CURVE.width - 6} y={(points.at(-1)?.y ?? 0) - 6} textAnchor="end" fontSize={14} fontWeight={700} fill="var(--snag)">
            {Math.round(end)} °C
          </text>
        </svg>
      </div>
      <p className="text-[14.5px]">
        <b>It only climbs. No time in it is safe.</b> <span className="text-mute">From memory, unverified.</span>
      </p>
    </section>
  )
}
