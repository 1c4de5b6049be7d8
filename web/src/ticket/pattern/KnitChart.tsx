import type { KnitPlan, KnitRow } from '@merry-tailor/core'

interface KnitChartProps {
  plan: KnitPlan
  /** Rows knitted: shaded. The next one is the row in work. */
  knitted: number
  x: number
  bottom: number
  /** px of a stitch and a row. */
  stitch: number
  row: number
  /** On paper there are no shades. */
  paper?: boolean
}

/** A chart in the swatch's own proportion: rows from below, shaping marked, every tenth line strong. */
export function KnitChart({ plan, knitted, x, bottom, stitch, row, paper = false }: KnitChartProps) {
  const most = Math.max(...plan.rows.map(({ stitches }) => stitches))
  const middle = x + (most * stitch) / 2
  const edge = (count: number): number => (count * stitch) / 2
  const rows = plan.rows.slice(1)
  const high = rows.length * row
  const side = (way: 1 | -1): string =>
    rows.map(({ stitches }, i) => `${middle + way * edge(stitches)} ${bottom - i * row}L${middle + way * edge(stitches)} ${bottom - (i + 1) * row}`).join('L')
  const outline = `M${side(1)}L${rows
    .map(({ stitches }, i) => ({ stitches, i }))
    .reverse()
    .map(({ stitches, i }) => `${middle - edge(stitches)} ${bottom - (i + 1) * row}L${middle - edge(stitches)} ${bottom - i * row}`)
    .join('L')}Z`
  const done = rows.slice(0, knitted)
  const doneOutline =
    done.length === 0
      ? ''
      : done
          .map(
            ({ stitches }, i) =>
              `M${middle - edge(stitches)} ${bottom - i * row}H${middle + edge(stitches)}V${bottom - (i + 1) * row}H${middle - edge(stitches)}Z`,
          )
          .join('')
  const every = (step: number): number[] => Array.from({ length: Math.floor(rows.length / step) }, (_, i) => (i + 1) * step)
  const work = rows[knitted]
  const clip = `knit-${Math.round(x)}-${paper ? 'p' : 's'}`
  return (
    <g>
      <clipPath id={clip}>
        <path d={outline} />
      </clipPath>
      <path d={outline} fill={paper ? 'white' : 'var(--plate)'} stroke={paper ? 'black' : 'var(--ink)'} strokeWidth={1.8} strokeLinejoin="round" />
      <g clipPath={`url(#${clip})`}>
        {!paper && <path d={doneOutline} fill="var(--mat)" />}
        {row >= 2 && (
          <path
            d={
              Array.from({ length: rows.length }, (_, i) => `M${x} ${bottom - i * row}H${x + most * stitch}`).join('') +
              Array.from({ length: most + 1 }, (_, i) => `M${x + i * stitch} ${bottom}V${bottom - high}`).join('')
            }
            stroke={paper ? '#bbb' : 'var(--mat-line)'}
            strokeWidth={0.6}
          />
        )}
        <path
          d={every(10)
            .map((n) => `M${x} ${bottom - n * row}H${x + most * stitch}`)
            .join('')}
          stroke={paper ? '#555' : 'var(--edge)'}
          strokeWidth={1}
        />
        {work && !paper && (
          <rect
            x={middle - edge(work.stitches)}
            y={bottom - (knitted + 1) * row}
            width={work.stitches * stitch}
            height={Math.max(5, row)}
            fill="var(--tape)"
            stroke="var(--tape-ink)"
          />
        )}
      </g>
      {rows.map(({ change, stitches }, i) => {
        if (change === 0) return null
        const y = bottom - (i + 0.5) * row
        return ([1, -1] as const).map((way) => {
          const at = middle + way * (edge(stitches) - stitch * 0.9)
          const s = Math.max(2.2, Math.min(5, row))
          const d =
            Math.abs(change) > 2
              ? `M${at - s} ${y}H${at + s}`
              : change > 0
                ? `M${at - s} ${y - s}L${at} ${y + s}L${at + s} ${y - s}`
                : way > 0
                  ? `M${at - s} ${y - s}L${at + s} ${y + s}`
                  : `M${at + s} ${y - s}L${at - s} ${y + s}`
          return <path key={`${i}${way}`} d={d} fill="none" stroke={paper ? 'black' : 'var(--ink)'} strokeWidth={Math.abs(change) > 2 ? 3 : 1.5} />
        })
      })}
      {every(row < 1.3 ? 20 : 10).map((n) => (
        <text
          key={n}
          x={middle - edge(rows[n - 1]?.stitches ?? most) - 8}
          y={bottom - n * row + 4}
          textAnchor="end"
          fontSize={12}
          fill={paper ? 'black' : 'var(--ink)'}
        >
          {n}
        </text>
      ))}
      {saidCounts(plan, row).map((at) => (
        <text key={at.row} x={middle + edge(at.stitches) + 8} y={bottom - at.row * row + 4} fontSize={12} fill={paper ? 'black' : 'var(--ink)'}>
          {at.stitches} st
        </text>
      ))}
    </g>
  )
}

/** Counts at the ends of shaped runs, no closer to each other than they can be read. */
function saidCounts(plan: KnitPlan, row: number): KnitRow[] {
  const ends = plan.lines.slice(0, -1).flatMap((line) => {
    const last = line.row + (line.every ?? 2) * (line.times - 1)
    const at = plan.rows[Math.min(plan.rows.length - 1, Math.max(1, last))]
    return line.by === 0 || !at ? [] : [at]
  })
  return ends.reduce<KnitRow[]>((said, at) => {
    const before = said.at(-1)
    return before && (at.row - before.row) * row < 15 ? said : [...said, at]
  }, [])
}
