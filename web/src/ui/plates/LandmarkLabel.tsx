import type { LandmarkId } from '@merry-tailor/core'
import type { Point } from './geometry'

/** How a landmark's name stands off its point: dx, dy and which end of the text is at the line. */
const OFFSET: Partial<Record<LandmarkId, readonly [number, number, 'start' | 'middle' | 'end']>> = {
  L01: [24, -24, 'start'],
  L02: [-26, 44, 'end'],
  L03: [-30, -30, 'end'],
  L05: [26, -14, 'start'],
  L06: [-30, 34, 'end'],
  L07: [-20, 40, 'end'],
  L08: [26, 10, 'start'],
  L12: [-26, -44, 'end'],
  L14: [-4, -42, 'middle'],
  L16: [-10, -34, 'middle'],
  L17: [-24, 44, 'end'],
  L18: [-34, -16, 'end'],
  L19: [-40, -22, 'end'],
  L20: [-34, -26, 'end'],
}

interface LandmarkLabelProps {
  at: Point
  id: LandmarkId
  name: string
  width: number
  phone: boolean
  top: number
}

/** A bone's name beside its point, kept inside the mat. */
export function LandmarkLabel({ at, id, name, width, phone, top }: LandmarkLabelProps) {
  const [dx, dy, anchor] = OFFSET[id] ?? [20, -20, 'start']
  const size = phone ? 14 : 14.5
  const long = name.length * size * 0.52
  const wrap = phone && name.length > 10 && name.includes(' ')
  const words = wrap ? [name.slice(0, name.lastIndexOf(' ')), name.slice(name.lastIndexOf(' ') + 1)] : [name]
  const reach = wrap ? long * 0.62 : long
  let tx = at.x + dx
  if (anchor === 'start') tx = Math.min(tx, width - reach - 6)
  if (anchor === 'end') tx = Math.max(tx, reach + 6)
  if (anchor === 'middle') tx = Math.min(Math.max(tx, long / 2 + 6), width - long / 2 - 6)
  const ty = Math.max(at.y + dy, top + 14)
  return (
    <g>
      <line
        x1={at.x}
        y1={at.y}
        x2={tx + (anchor === 'start' ? -4 : anchor === 'end' ? 4 : 0)}
        y2={ty + (dy < 0 ? 5 : -12)}
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <circle cx={at.x} cy={at.y} r={4.4} fill="var(--tape)" stroke="var(--ink)" strokeWidth={1.6} />
      {words.map((word, i) => (
        <text
          key={word}
          x={tx}
          y={ty + i * 16}
          textAnchor={anchor}
          fontSize={size}
          fontWeight={700}
          fill="var(--ink)"
          stroke="var(--mat)"
          strokeWidth={4}
          paintOrder="stroke"
          strokeLinejoin="round"
        >
          {word}
        </text>
      ))}
    </g>
  )
}
