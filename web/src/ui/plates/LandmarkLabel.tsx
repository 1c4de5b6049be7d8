import { sizeOfLabel, type PlacedLabel } from './place-labels'

/** A bone's name beside its point. */
export function LandmarkLabel({ label: { at, words, tx, ty, anchor, above }, phone }: { label: PlacedLabel; phone: boolean }) {
  return (
    <g>
      <line
        x1={at.x}
        y1={at.y}
        x2={tx + (anchor === 'start' ? -4 : anchor === 'end' ? 4 : 0)}
        y2={ty + (above ? 5 : -12)}
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
          fontSize={sizeOfLabel(phone)}
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
