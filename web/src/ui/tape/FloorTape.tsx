import type { TapeUnit } from './scale'

/** How high it is, px. */
export const FLOOR_TAPE = 24

/** Ticks of a floor tape: 10 cm and 50 cm, or 2 in and a foot, mm. */
const TICKS = { cm: { small: 100, every: 5, say: (n: number) => `${n * 10} cm` }, in: { small: 50.8, every: 6, say: (n: number) => `${n * 2} in` } } as const

/** The floor as a resting tape, its zero under the axle, in the shop’s unit. */
export function FloorTape({ floor, width, by, x0, unit, zero }: { floor: number; width: number; by: number; x0: number; unit: TapeUnit; zero: string }) {
  const { small, every, say } = TICKS[unit]
  const first = Math.ceil(-x0 / by / small)
  const count = Math.ceil(width / by / small)
  return (
    <g>
      <rect x={0} y={floor} width={width} height={FLOOR_TAPE} fill="var(--tape-rest)" />
      <path d={`M0 ${floor}H${width}M0 ${floor + FLOOR_TAPE}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
      {Array.from({ length: count }, (_, i) => first + i).map((tick) => {
        const x = x0 + tick * small * by
        const big = tick % every === 0
        return (
          <g key={tick}>
            <line x1={x} x2={x} y1={floor} y2={floor + (big ? 14 : 7)} stroke="var(--tape-ink)" strokeWidth={big ? 1.8 : 1} />
            {big && (
              <text x={x + 4} y={floor + FLOOR_TAPE - 4} fontSize={13.5} fontWeight={800} fill="var(--tape-ink)">
                {tick === 0 ? zero : say(tick)}
              </text>
            )}
          </g>
        )
      })}
    </g>
  )
}
