import { useWidth } from '../use-width'

interface FingerTapeProps {
  /** Fingers that pass. */
  passes: readonly [number, number]
  /** How many are expected to go in, from and to. */
  spread?: readonly [number, number] | null
  /** How many went in. */
  pin?: number | null
  live?: boolean
  title: string
  usualWidth?: number
}

const HEAD = 26
const HEIGHT = 22

/** A tape in fingers: what passes above it, what is expected under it, what went in as a pin. */
export function FingerTape({ passes, spread = null, pin = null, live = false, title, usualWidth = 190 }: FingerTapeProps) {
  const [ref, width] = useWidth<SVGSVGElement>(usualWidth)
  const most = Math.max(4, Math.ceil(Math.max(passes[1], pin ?? 0, spread?.[1] ?? 0)) + 0.5)
  const x = (fingers: number): number => 8 + ((width - 16) * Math.min(fingers, most)) / most
  const total = HEAD + HEIGHT + 10
  return (
    <svg ref={ref} role="img" aria-label={title} width="100%" height={total} viewBox={`0 0 ${width} ${total}`} className="block overflow-hidden">
      <rect x={0} y={HEAD} width={width} height={HEIGHT} fill={live ? 'var(--tape)' : 'var(--tape-rest)'} />
      <path d={`M0 ${HEAD}H${width}M0 ${HEAD + HEIGHT}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
      {Array.from({ length: Math.floor(most * 2) + 1 }, (_, i) => i / 2).map((fingers) => (
        <g key={fingers}>
          <line
            x1={x(fingers)}
            x2={x(fingers)}
            y1={HEAD}
            y2={HEAD + (Number.isInteger(fingers) ? HEIGHT : HEIGHT * 0.45)}
            stroke="var(--tape-ink)"
            strokeWidth={Number.isInteger(fingers) ? 1.5 : 1}
          />
          {Number.isInteger(fingers) && fingers > 0 && x(fingers) < width - 14 && (
            <text x={x(fingers) + 3} y={HEAD + HEIGHT - 5} fontSize={13.5} fontWeight={800} fill="var(--tape-ink)">
              {fingers}
            </text>
          )}
        </g>
      ))}
      <path d={`M${x(passes[0])} ${HEAD - 1}v-8H${Math.max(x(passes[1]), x(passes[0]) + 3)}v8`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      {spread && <rect x={x(spread[0])} y={HEAD + HEIGHT + 2} width={Math.max(3, x(spread[1]) - x(spread[0]))} height={7} fill="var(--ink)" />}
      {pin !== null && (
        <g className="pin-drop">
          <line x1={x(pin)} x2={x(pin)} y1={HEAD - 12} y2={HEAD + HEIGHT} stroke="var(--tape-ink)" strokeWidth={2.2} />
          <circle cx={x(pin)} cy={HEAD - 16} r={5.4} fill="var(--ink)" />
        </g>
      )}
    </svg>
  )
}
