import type { Point } from './geometry'

/** A wheel from the side: tyre, eight spokes, hub. */
export function Wheel({ at, radius }: { at: Point; radius: number }) {
  return (
    <g fill="none">
      <circle cx={at.x} cy={at.y} r={radius} stroke="var(--ink)" strokeWidth={6} />
      <circle cx={at.x} cy={at.y} r={radius} stroke="var(--plate)" strokeWidth={3} />
      {Array.from({ length: 8 }, (_, i) => (
        <line
          key={i}
          x1={at.x}
          y1={at.y}
          x2={at.x + radius * Math.cos((i * Math.PI) / 4)}
          y2={at.y + radius * Math.sin((i * Math.PI) / 4)}
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
      ))}
      <circle cx={at.x} cy={at.y} r={6} fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.8} />
    </g>
  )
}
