import { useWidth } from '../../ui/use-width'

/** What the belt would have to hold beside what is said to hold: a tape of kilonewtons. */
export function ForceTape({ least, most, pins, title }: { least: number; most: number; pins: readonly { kn: number; label: string }[]; title: string }) {
  const [ref, width] = useWidth<SVGSVGElement>(380)
  const end = Math.max(most, ...pins.map(({ kn }) => kn)) * 1.12
  const x = (kn: number): number => (width * kn) / end
  const step = end > 30 ? 5 : end > 12 ? 2 : 1
  return (
    <svg ref={ref} role="img" aria-label={title} width="100%" height={74} viewBox={`0 0 ${width} 74`} className="block">
      <rect x={0} y={36} width={width} height={24} fill="var(--tape-rest)" />
      <path d={`M0 36H${width}M0 60H${width}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
      {Array.from({ length: Math.floor(end) + 1 }, (_, i) => (
        <g key={i}>
          <line x1={x(i)} x2={x(i)} y1={36} y2={i % step === 0 ? 52 : 44} stroke="var(--tape-ink)" strokeWidth={1.4} />
          {i % step === 0 && i > 0 && x(i) < width - 16 && (
            <text x={x(i) + 3} y={57} fontSize={13} fontWeight={800} fill="var(--tape-ink)">
              {i}
            </text>
          )}
        </g>
      ))}
      <rect x={x(least)} y={62} width={Math.max(4, x(most) - x(least))} height={9} fill="var(--ink)" />
      {pins.map(({ kn, label }, i) => {
        const left = x(kn) > width / 2
        return (
          <g key={label}>
            <line x1={x(kn)} x2={x(kn)} y1={26} y2={58} stroke="var(--ink)" strokeWidth={2} />
            <circle cx={x(kn)} cy={26} r={5.5} fill="var(--ink)" />
            <text
              x={left ? x(kn) - 9 : x(kn) + 9}
              y={i % 2 === 0 ? 31 : 15}
              textAnchor={left ? 'end' : 'start'}
              fontSize={13.5}
              fontWeight={600}
              fill="var(--ink)"
            >
              {label} {kn.toFixed(1)}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
