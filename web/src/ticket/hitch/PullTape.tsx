import { useWidth } from '../../ui/use-width'

interface PullTapeProps {
  /** Least and most of the pull, and where long and in doubt end, in the shop’s weight. */
  pull: readonly [number, number]
  holds: number
  doubt: number
  unit: string
  title: string
}

/** A pull on a tape of weights, over what the dog is planned with. */
export function PullTape({ pull, holds, doubt, unit, title }: PullTapeProps) {
  const [ref, width] = useWidth<SVGSVGElement>(320)
  const most = Math.max(doubt * 1.25, pull[1] * 1.15, 1)
  const x = (value: number): number => (width * Math.max(0, Math.min(value, most))) / most
  const step = most > 40 ? 10 : most > 16 ? 5 : most > 6 ? 2 : 1
  return (
    <svg ref={ref} role="img" aria-label={title} width="100%" height={66} viewBox={`0 0 ${width} 66`} className="block">
      <rect x={0} y={2} width={width} height={24} fill="var(--tape-rest)" />
      <path d={`M0 2H${width}M0 26H${width}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
      {Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step).map((value) => (
        <g key={value}>
          <line x1={x(value)} x2={x(value)} y1={2} y2={18} stroke="var(--tape-ink)" strokeWidth={1.4} />
          {value > 0 && x(value) < width - 14 && (
            <text x={x(value) + 3} y={22} fontSize={13} fontWeight={800} fill="var(--tape-ink)">
              {value}
            </text>
          )}
        </g>
      ))}
      <rect x={x(pull[0])} y={28} width={Math.max(3, x(pull[1]) - x(pull[0]))} height={8} fill="var(--ink)" />
      <rect x={0} y={40} width={x(holds)} height={22} fill="var(--band-hit)" />
      <text x={8} y={56} fontSize={13.5} fontWeight={700} fill="var(--band-hit-ink)">
        planned, to {holds.toFixed(1)} {unit}
      </text>
      <rect x={x(holds)} y={40.75} width={x(doubt) - x(holds)} height={20.5} fill="var(--panel)" stroke="var(--edge)" strokeWidth={1.5} />
    </svg>
  )
}
