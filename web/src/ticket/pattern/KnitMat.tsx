import { MM_PER_UNIT, type Garment, type GarmentPlan } from '@merry-tailor/core'
import { useKeys } from '../../state/use-keys'
import { Segmented } from '../../ui/controls/Segmented'
import { KnitChart } from './KnitChart'
import type { Knit } from './use-knit'

/** The heading above the chart and the buttons under it, px. */
const BARS = 112

interface KnitMatProps {
  garment: Garment
  knit: Knit
  piece: string
  onPiece: (id: string) => void
  plan: GarmentPlan
  onChange: (over: Partial<GarmentPlan>) => void
  say: (mm: number) => string
  unit: 'in' | 'cm'
  width: number
  height: number
}

/** A piece in rows: the chart, what is knitted of it, the row in work large at its right edge. */
export function KnitMat({ knit, piece, onPiece, plan, onChange, say, unit, width, height }: KnitMatProps) {
  const kept = plan.knitted?.[piece] ?? 0
  const rows = knit.plan ? knit.plan.rows.length - 1 : 0
  const knitted = Math.min(kept, rows)
  const to = (next: number): void => onChange({ knitted: { ...plan.knitted, [piece]: Math.min(rows, Math.max(0, next)) } })
  useKeys({
    Space: knit.plan ? () => to(knitted + 1) : undefined,
    ArrowUp: knit.plan ? () => to(knitted + 1) : undefined,
    ArrowDown: knit.plan ? () => to(knitted - 1) : undefined,
  })
  const picker = (
    <Segmented label="Piece" value={piece} options={knit.pieces.slice(0, 4).map(({ id, name }) => ({ value: id, label: name }))} onChange={onPiece} />
  )
  if (!knit.plan || !knit.gauge || !knit.piece)
    return (
      <div className="space-y-3 p-4">
        {picker}
        <p className="border-l-[5px] border-chalk bg-chalk-bg px-3 py-2 text-[16px]">{knit.says}</p>
      </div>
    )
  const { plan: rowsPlan, gauge } = knit
  const most = Math.max(...rowsPlan.rows.map(({ stitches }) => stitches))
  const ratio = gauge.stitchesPerMm / gauge.rowsPerMm
  const [left, top, foot, right] = [132, 170, 34, 96]
  const room = height - BARS
  const stitch = Math.max(1.2, Math.min(14, (width - left - right) / most, (room - top - foot) / (rows * ratio)))
  const row = stitch * ratio
  const bottom = Math.max(top + rows * row, room - foot)
  const unitMm = MM_PER_UNIT[unit] * (unit === 'cm' ? 2 : 1)
  const byMm = row * gauge.rowsPerMm
  const tight = unitMm * byMm < 16 ? 2 : 1
  const units = Array.from({ length: Math.floor(rows / gauge.rowsPerMm / unitMm / tight) }, (_, i) => (i + 1) * tight)
  const next = rowsPlan.rows.slice(knitted + 1, knitted + 5)
  const work = next[0]
  return (
    <div className="flex h-full flex-col">
      <div className="flex flex-wrap items-center justify-between gap-2 px-3 pt-2">
        <p className="text-[14.5px]">
          <b className="text-[19px]">{knit.piece.name}</b> knit {knit.piece.count}, from its front end up. Cells as your swatch.
        </p>
        {knit.pieces.length > 1 && picker}
      </div>
      <div className="quiet-scroll min-h-0 flex-1" tabIndex={0} role="group" aria-label="Chart">
        <svg
          role="img"
          width={width}
          height={Math.max(room, bottom + foot)}
          viewBox={`0 0 ${width} ${Math.max(room, bottom + foot)}`}
          aria-label={`${rows} rows, cast on ${rowsPlan.castOn}, ${rowsPlan.rows.at(-1)?.stitches} at the end; ${knitted} knitted`}
          className="block"
        >
          {next
            .map((each, i) => ({ each, y: 88 - i * 23, first: i === 0 }))
            .reverse()
            .map(({ each, y, first }) => {
              const cells = Math.min(13, each.stitches)
              const wide = Math.min(34, (width - 250) / 13)
              const shift = ((work?.stitches ?? each.stitches) - each.stitches) / 2
              const x0 = 100
              const x1 = x0 + (cells - shift) * wide
              return (
                <g key={each.row}>
                  <text x={92} y={y + 16} textAnchor="end" fontSize={14} fontWeight={700} fill="var(--ink)">
                    row {each.row}
                  </text>
                  <rect
                    x={x0}
                    y={y}
                    width={Math.max(wide, x1 - x0)}
                    height={23}
                    fill={first ? 'var(--tape)' : 'var(--plate)'}
                    stroke="var(--ink)"
                    strokeWidth={1.4}
                  />
                  {Array.from({ length: Math.max(0, Math.floor((x1 - x0) / wide)) }, (_, k) => (
                    <line key={k} x1={x0 + k * wide} x2={x0 + k * wide} y1={y} y2={y + 23} stroke="var(--ink)" strokeWidth={0.7} />
                  ))}
                  {each.change !== 0 && (
                    <path
                      d={each.change > 0 ? `M${x1 - wide * 1.7} ${y + 6}l${wide * 0.2} 11l${wide * 0.2} -11` : `M${x1 - wide * 1.7} ${y + 6}l${wide * 0.4} 11`}
                      fill="none"
                      stroke={first ? 'var(--tape-ink)' : 'var(--ink)'}
                      strokeWidth={2.4}
                    />
                  )}
                  <text x={Math.max(x0 + wide, x1) + 10} y={y + 16} fontSize={14} fill="var(--ink)">
                    {each.stitches} st
                  </text>
                </g>
              )
            })}
          <rect x={14} y={bottom - rows * row} width={24} height={rows * row} fill="var(--tape-rest)" />
          <path d={`M14 ${bottom - rows * row}V${bottom}M38 ${bottom - rows * row}V${bottom}`} stroke="var(--tape-ink)" strokeWidth={1.2} />
          {units.map((n) => (
            <g key={n}>
              <line x1={38} x2={27} y1={bottom - n * unitMm * byMm} y2={bottom - n * unitMm * byMm} stroke="var(--tape-ink)" strokeWidth={1.4} />
              <text x={16} y={bottom - n * unitMm * byMm - 2} fontSize={11.5} fontWeight={800} fill="var(--tape-ink)">
                {unit === 'cm' ? n * 2 : n}
              </text>
            </g>
          ))}
          <KnitChart plan={rowsPlan} knitted={knitted} x={left} bottom={bottom} stitch={stitch} row={row} />
          <g className="pin-drop">
            <circle cx={46} cy={bottom - knitted * row} r={4.6} fill="var(--ink)" />
            <text x={54} y={bottom - knitted * row + 5} fontSize={13.5} fontWeight={700} fill="var(--ink)" className="map-halo">
              {say(knitted / gauge.rowsPerMm)}
            </text>
          </g>
          <text x={left + (most * stitch) / 2} y={bottom + 20} textAnchor="middle" fontSize={14} fontWeight={600} fill="var(--ink)">
            cast on {rowsPlan.castOn} st
          </text>
          <text x={left + (most * stitch) / 2} y={bottom - rows * row - 8} textAnchor="middle" fontSize={14} fontWeight={600} fill="var(--ink)">
            {rowsPlan.rows.at(-1)?.stitches} st, bind off
          </text>
        </svg>
      </div>
      <div className="flex items-center gap-2 border-t border-ink bg-panel px-3 py-1">
        <button
          type="button"
          onClick={() => to(knitted - 1)}
          disabled={knitted === 0}
          className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold disabled:text-mute"
        >
          Row back
        </button>
        <button
          type="button"
          onClick={() => to(knitted + 1)}
          disabled={knitted >= rows}
          className="min-h-11 flex-1 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold disabled:text-mute"
        >
          {knitted >= rows ? 'All rows knitted' : `Row ${knitted + 1} knitted (Space)`}
        </button>
      </div>
    </div>
  )
}
