import type { LengthStyle } from '@merry-tailor/core'
import { SvgLength } from '../../ui/length/SvgLength'
import { fixed, lineThrough } from '../../ui/plates/geometry'
import type { TapeUnit } from '../../ui/tape/scale'
import { centred, lengthOf, widthOf, type PawNow, type TapeId } from './paw-data'

interface PawPlateProps {
  now: PawNow
  /** Pixels a millimetre, the same for all four. */
  by: number
  width: number
  height: number
  /** The tape in hand; `null` where another paw is chosen. */
  live: TapeId | null
  tried: { measure: string; mm: number } | null
  look: LengthStyle & { unit: TapeUnit }
  label: string
}

/** A tape's own ticks, mm: a quarter of an inch. */
const TICK = 6.35

/** A paw from below: its outline, an earlier one dotted, two tapes crossing on it with what they read, and how far off either may be. */
export function PawPlate({ now, by, width, height, live, tried, look, label }: PawPlateProps) {
  const { outline, axisRad, width: wide, length: long, tracing, tracings } = now
  const [cx, cy] = [width / 2 - 14, height / 2]
  const lean = axisRad + Math.PI / 2
  const strip = (which: TapeId, read: NonNullable<PawNow['width']>, turn: number) => {
    const mm = tried?.measure === (which === 'W' ? widthOf(now.paw) : lengthOf(now.paw)) ? tried.mm : read.mm
    const half = (mm * by) / 2
    const spread = Math.min(half, 2 * read.sigmaMm * by)
    const inHand = live === which
    return (
      <g transform={`rotate(${fixed((turn * 180) / Math.PI)} ${cx} ${cy})`}>
        <rect
          x={cx - half}
          y={cy - 6}
          width={2 * half}
          height={12}
          fill={live ? 'var(--tape)' : 'var(--tape-rest)'}
          stroke="var(--tape-ink)"
          strokeWidth={inHand ? 2.4 : 1.2}
        />
        {Array.from({ length: Math.floor(mm / TICK) }, (_, i) => (
          <line
            key={i}
            x1={cx - half + (i + 1) * TICK * by}
            x2={cx - half + (i + 1) * TICK * by}
            y1={cy - 6}
            y2={cy - (i % 4 === 3 ? -2 : 1)}
            stroke="var(--tape-ink)"
            strokeWidth={1}
          />
        ))}
        {[-1, 1].map((end) => (
          <g key={end}>
            <line x1={cx + end * half - spread / 2} x2={cx + end * half + spread / 2} y1={cy + 11} y2={cy + 11} stroke="var(--ink)" strokeWidth={4} />
            <circle cx={cx + end * half} cy={cy} r={4.5} fill={tried && inHand ? 'var(--panel)' : 'var(--ink)'} stroke="var(--ink)" strokeWidth={1.6} />
          </g>
        ))}
      </g>
    )
  }
  const value = (read: PawNow['width'], id: string) => {
    const mm = tried?.measure === id ? tried.mm : read?.mm
    return mm === undefined ? '?' : <SvgLength mm={mm} look={look} size={15.5} />
  }
  const line = (points: readonly [number, number][]): string =>
    lineThrough(
      points.map(([x, y]) => ({ x: cx + x * by, y: cy + y * by })),
      true,
    )
  const [, before] = tracings
  const halfLong = ((long?.mm ?? 0) * by) / 2
  const [low, right] = [Math.min(height - 6, cy + halfLong + 5), Math.min(width - 8, cx + ((wide?.mm ?? 0) * by) / 2 + 8)]
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label} className="block">
      {before && <path d={line(centred(before.points))} fill="none" stroke="var(--mute)" strokeWidth={1.6} strokeDasharray="1.5 3.5" strokeLinecap="round" />}
      <path d={line(outline)} fill="var(--plate)" stroke="var(--ink)" strokeWidth={2.2} strokeDasharray={tracing ? undefined : '4 4'} strokeLinejoin="round" />
      <Pads outline={outline} to={(x, y) => ({ x: cx + x * by, y: cy + y * by })} by={by} lean={lean} centre={[cx, cy]} nails={tracing?.nails ?? null} />
      {long && strip('L', long, lean + Math.PI / 2)}
      {wide && strip('W', wide, lean)}
      <g fontSize={15.5} fontWeight={700} fill="var(--ink)" stroke="var(--mat)" strokeWidth={4} paintOrder="stroke" strokeLinejoin="round">
        <text x={right} y={cy - 14} textAnchor={right > width - 46 ? 'end' : 'start'}>
          {value(wide, widthOf(now.paw))}
        </text>
        <text x={cx + 14} y={low}>
          {value(long, lengthOf(now.paw))}
        </text>
      </g>
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
  nails,
}: {
  outline: readonly [number, number][]
  to: (x: number, y: number) => { x: number; y: number }
  by: number
  lean: number
  centre: [number, number]
  nails: 'short' | 'long' | null
}) {
  const half = (k: 0 | 1): number => (Math.max(...outline.map((p) => p[k])) - Math.min(...outline.map((p) => p[k]))) / 2
  const [w, l] = [half(0), half(1)]
  return (
    <g transform={`rotate(${fixed((lean * 180) / Math.PI)} ${centre[0]} ${centre[1]})`}>
      {PADS.map(([x, y, rx, ry], i) => {
        const at = to(x * w, y * l)
        const tip = at.y - ry * l * by
        const out = (nails === 'long' ? 0.16 : 0.09) * l * by
        return (
          <g key={`${x}${y}`}>
            <ellipse cx={at.x} cy={at.y} rx={rx * w * by} ry={ry * l * by} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.2} />
            {i > 0 && nails && <path d={`M${at.x - 3.5} ${tip + 1}L${at.x} ${tip - out}L${at.x + 3.5} ${tip + 1}Z`} fill="var(--ink)" />}
          </g>
        )
      })}
    </g>
  )
}
