import type { Grade } from '@merry-tailor/core'
import type { PlacedTag } from './tag-discs'

const COLOURS: Readonly<Record<Grade, string>> = { holds: 'var(--holds)', doubt: 'var(--chalk)', fails: 'var(--snag)', none: 'var(--mute)' }

/** A check’s number beside the place it speaks of: hollow while it is only foretold. */
export function TagDisc({ n, grade, seen = false, from, disc }: PlacedTag) {
  const colour = COLOURS[grade]
  return (
    <g>
      <line x1={from.x} y1={from.y} x2={disc.x} y2={disc.y} stroke={colour} strokeWidth={1.9} />
      <circle cx={from.x} cy={from.y} r={4.6} fill="var(--plate)" stroke={colour} strokeWidth={2.2} />
      <circle
        cx={disc.x}
        cy={disc.y}
        r={11}
        fill={seen ? colour : 'var(--panel)'}
        stroke={colour}
        strokeWidth={2}
        strokeDasharray={seen ? undefined : '3.5 2.5'}
      />
      <text x={disc.x} y={disc.y + 5} textAnchor="middle" fontSize={14.5} fontWeight={700} fill={seen ? 'var(--panel)' : colour}>
        {n}
      </text>
    </g>
  )
}
