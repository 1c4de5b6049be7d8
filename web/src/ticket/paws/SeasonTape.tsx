import { countCdf } from '@merry-tailor/core'

interface SeasonTapeProps {
  label: string
  mean: number
  shape: number
  asked: number
  used: number
  most: number
}

const WIDE = 300

/** A season's boots of one size on a tape of boots: used so far, the mean season, nine seasons in ten between, and what is asked. */
export function SeasonTape({ label, mean, shape, asked, used, most }: SeasonTapeProps) {
  const x = (n: number): number => (Math.min(n, most) * WIDE) / most
  const under = (share: number): number => {
    let k = 0
    while (countCdf(k, mean, shape) < share && k < 5000) k++
    return k
  }
  const [low, high] = [under(0.1), under(0.9)]
  const step = most > 120 ? 20 : most > 45 ? 10 : most > 16 ? 5 : 2
  return (
    <div className="text-[15px]">
      <p className="flex justify-between">
        <b className="text-[17px]">{label}</b>
        <b>{asked} boots asked</b>
      </p>
      <svg viewBox={`0 0 ${WIDE} 62`} className="w-full" role="img" aria-label={`${label}: ${used} used in a year, ${mean.toFixed(1)} in a mean season, eight seasons in ten between ${low} and ${high}, ${asked} asked`}>
        <rect x={0} y={20} width={WIDE} height={20} fill="var(--tape-rest)" />
        <path d={`M0 20H${WIDE}M0 40H${WIDE}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
        {Array.from({ length: Math.floor((most * 5) / step) }, (_, i) => {
          const strong = i % 5 === 4
          const at = x(((i + 1) * step) / 5)
          return (
            <g key={i}>
              <line x1={at} x2={at} y1={20} y2={strong ? 33 : 26} stroke="var(--tape-ink)" strokeWidth={strong ? 1.6 : 1} />
              {strong && at > 16 && (
                <text x={at - 3} y={37} fontSize={12.5} fontWeight={800} textAnchor="end" fill="var(--tape-ink)">
                  {Math.round(((i + 1) * step) / 5)}
                </text>
              )}
            </g>
          )
        })}
        <path d={`M${x(low)} 41V45H${Math.max(x(low) + 2, x(high))}V41`} fill="none" stroke="var(--ink)" strokeWidth={2} strokeDasharray="4 2.5" />
        <g stroke="var(--ink)" strokeWidth={2}>
          <line x1={x(mean)} x2={x(mean)} y1={12} y2={40} strokeDasharray="3 3" />
          <circle cx={x(mean)} cy={9} r={4.5} fill="var(--panel)" />
          <line x1={x(used)} x2={x(used)} y1={12} y2={40} />
          <circle cx={x(used)} cy={9} r={5} fill="var(--ink)" />
        </g>
        <g fontSize={14} fontWeight={700} fill="var(--ink)">
          <text x={x(used) + (used <= mean ? -8 : 8)} y={14} textAnchor={used <= mean && x(used) > 24 ? 'end' : 'start'} dx={used <= mean && x(used) <= 24 ? 16 : 0}>
            {Math.abs(x(used) - x(mean)) > 34 || used > mean ? used : ''}
          </text>
          <text x={x(mean) + 8} y={14} dx={used > mean && x(used) - x(mean) < 60 ? -16 : 0} textAnchor={used > mean && x(used) - x(mean) < 60 ? 'end' : 'start'}>
            {mean.toFixed(mean < 10 ? 1 : 0)}
          </text>
        </g>
        <path d={`M1 50V57H${x(asked)}V50`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      </svg>
    </div>
  ) // prettier-ignore
}
