import { fixed, lineThrough } from '../../ui/plates/geometry'
import type { PawNow } from './paw-data'

interface PawPlateProps {
  now: PawNow
  /** Pixels a millimetre, the same for all four. */
  by: number
  width: number
  height: number
  live: boolean
  label: string
}

/** A paw from below: its outline, two tapes crossing on it, and how far off either may be. */
export function PawPlate({ now: { outline, axisRad, width: wide, length: long, tracing }, by, width, height, live, label }: PawPlateProps) {
  const [cx, cy] = [width / 2, height / 2]
  const lean = axisRad + Math.PI / 2
  const tape = live ? 'var(--tape)' : 'var(--tape-pale, var(--tape))'
  const strip = (mm: number, sigma: number, turn: number) => {
    const half = (mm * by) / 2
    const spread = Math.min(half, 2 * sigma * by)
    return (
      <g transform={`rotate(${fixed((turn * 180) / Math.PI)} ${cx} ${cy})`}>
        <rect x={cx - half} y={cy - 6} width={2 * half} height={12} fill={tape} fillOpacity={live ? 1 : 0.75} stroke="var(--tape-ink)" strokeWidth={1.2} />
        {Array.from({ length: Math.floor(mm / 6.35) }, (_, i) => (
          <line
            key={i}
            x1={cx - half + (i + 1) * 6.35 * by}
            x2={cx - half + (i + 1) * 6.35 * by}
            y1={cy - 6}
            y2={cy - (i % 4 === 3 ? -2 : 1)}
            stroke="var(--tape-ink)"
            strokeWidth={1}
          />
        ))}
        {[-1, 1].map((end) => (
          <g key={end}>
            <line x1={cx + end * half - spread / 2} x2={cx + end * half + spread / 2} y1={cy + 11} y2={cy + 11} stroke="var(--ink)" strokeWidth={4} />
            <circle cx={cx + end * half} cy={cy} r={4.5} fill="var(--ink)" />
          </g>
        ))}
      </g>
    )
  }
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label} className="block">
      <path
        d={lineThrough(outline.map(([x, y]) => ({ x: cx + x * by, y: cy + y * by })), true)}
        fill="var(--plate)"
        stroke="var(--ink)"
        strokeWidth={2.2}
        strokeDasharray={tracing ? undefined : '4 4'}
        strokeLinejoin="round"
      />
      <Pads outline={outline} to={(x, y) => ({ x: cx + x * by, y: cy + y * by })} by={by} lean={lean} centre={[cx, cy]} />
      {long && strip(long.mm, long.sigmaMm, lean + Math.PI / 2)}
      {wide && strip(wide.mm, wide.sigmaMm, lean)}
    </svg>
  ) // prettier-ignore
}

/** Where pads usually lie, shares of half width and half length: the large one and four toes. Drawn, not measured. */
const PADS = [
  [0, 0.34, 0.46, 0.36],
  [-0.62, -0.12, 0.2, 0.25],
  [-0.24, -0.52, 0.2, 0.27],
  [0.24, -0.52, 0.2, 0.27],
  [0.62, -0.12, 0.2, 0.25],
] as const

function Pads({
  outline,
  to,
  by,
  lean,
  centre,
}: {
  outline: readonly [number, number][]
  to: (x: number, y: number) => { x: number; y: number }
  by: number
  lean: number
  centre: [number, number]
}) {
  const half = (k: 0 | 1): number => (Math.max(...outline.map((p) => p[k])) - Math.min(...outline.map((p) => p[k]))) / 2
  const [w, l] = [half(0), half(1)]
  return (
    <g transform={`rotate(${fixed((lean * 180) / Math.PI)} ${centre[0]} ${centre[1]})`}>
      {PADS.map(([x, y, rx, ry]) => {
        const at = to(x * w, y * l)
        return <ellipse key={`${x}${y}`} cx={at.x} cy={at.y} rx={rx * w * by} ry={ry * l * by} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.2} />
      })}
    </g>
  )
}
