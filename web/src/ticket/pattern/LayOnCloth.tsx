import { flatBox, MM_PER_UNIT, type Nest, type NestItem } from '@merry-tailor/core'
import { fixed } from '../../ui/plates/geometry'

interface LayProps {
  items: readonly NestItem[]
  lay: Nest | null
  tried: number
  searching: boolean
  widthMm: number
  unit: 'in' | 'cm'
  say: (mm: number) => string
  width: number
  cloth: string
}

const TAPE = 24
const LONGEST = 210

/** Pieces laid on cloth: its width across, its length down a resting tape; better lays as they are found. */
export function LayOnCloth({ items, lay, tried, searching, widthMm, unit, say, width, cloth }: LayProps) {
  if (!lay) return <p className="text-[14.5px] text-mute">The lay is searched once the pieces rest.</p>
  const wide = width - TAPE - 8
  const over = [...new Set(lay.unplaced)].map((id) => ({ id, outline: items.find((each) => each.id === id)?.outline ?? [] }))
  const widest = Math.max(widthMm, ...over.map(({ id }) => boxOf(items, id).widthMm))
  const overMm = over.reduce((sum, { id }) => sum + boxOf(items, id).lengthMm, 0)
  const by = Math.min(wide / widest, LONGEST / Math.max(1, lay.lengthMm + overMm))
  const long = lay.lengthMm * by
  const step = (unit === 'in' ? 10 * MM_PER_UNIT.in : 200) * (lay.lengthMm > 1500 ? 2 : 1)
  const marks = Array.from({ length: Math.floor(lay.lengthMm / step) }, (_, i) => (i + 1) * step)
  const height = long + overMm * by + 18
  return (
    <div>
      <svg
        role="img"
        aria-label={`${lay.placed.length} pieces on ${cloth}, ${say(lay.lengthMm)} long`}
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        className="block"
      >
        <rect x={TAPE + 8} y={2} width={widthMm * by} height={long + 8} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={1.6} />
        <rect x={0} y={2} width={TAPE} height={long} fill="var(--tape-rest)" />
        <path d={`M0 2V${long + 2}M${TAPE} 2V${long + 2}`} stroke="var(--tape-ink)" strokeWidth={1.2} />
        {marks.map((mm) => (
          <g key={mm}>
            <line x1={TAPE} x2={TAPE - 9} y1={2 + mm * by} y2={2 + mm * by} stroke="var(--tape-ink)" strokeWidth={1.4} />
            <text x={2} y={2 + mm * by - 2} fontSize={11.5} fontWeight={800} fill="var(--tape-ink)">
              {Math.round(mm / (unit === 'in' ? MM_PER_UNIT.in : 10))}
            </text>
          </g>
        ))}
        {lay.placed.map(({ id, copy, outline }) => (
          <path
            key={`${id}${copy}`}
            d={`M${outline.map(([x, y]) => `${fixed(TAPE + 8 + y * by)} ${fixed(2 + x * by)}`).join('L')}Z`}
            fill="var(--plate)"
            stroke="var(--ink)"
            strokeWidth={1.2}
            strokeLinejoin="round"
          />
        ))}
        {over.map(({ id, outline }, i) => {
          const top = 8 + long + over.slice(0, i).reduce((sum, each) => sum + boxOf(items, each.id).lengthMm, 0) * by
          const { minX: x0, minY: y0 } = flatBox(outline)
          return (
            <path
              key={id}
              d={`M${outline.map(([x, y]) => `${fixed(TAPE + 8 + (y - y0) * by)} ${fixed(top + (x - x0) * by)}`).join('L')}Z`}
              fill="var(--plate)"
              stroke="var(--snag)"
              strokeWidth={2}
            />
          )
        })}
        <g className="pin-drop">
          <line x1={0} x2={TAPE + 8 + widthMm * by} y1={2 + long} y2={2 + long} stroke="var(--ink)" strokeWidth={1.4} strokeDasharray="4 3" />
          <circle cx={TAPE} cy={2 + long} r={4.6} fill="var(--ink)" />
        </g>
      </svg>
      {lay.unplaced.length > 0 && (
        <p role="alert" className="mt-1 border-l-[5px] border-snag bg-snag-bg px-2 py-1 text-[14px]">
          Wider than the cloth: {[...new Set(lay.unplaced)].map((id) => `${id} needs ${say(boxOf(items, id).widthMm)}`).join(', ')}. Take wider cloth, or a seam
          in the middle.
        </p>
      )}
      <p className="mt-1 text-[14.5px] leading-[19px]" aria-live="polite">
        <b>{say(lay.lengthMm)}</b> of cloth, best of {tried.toLocaleString('en')} lays.{' '}
        {searching
          ? 'Searching on.'
          : lay.lengthMm <= lay.boundMm + 1
            ? 'No shorter one: a piece or the cloth’s width takes it.'
            : `Laid by eye in rows it would take ${say(lay.baselineMm)}.`}
      </p>
    </div>
  )
}

/** How long and how wide cloth has to be for a piece. */
function boxOf(items: readonly NestItem[], id: string): { lengthMm: number; widthMm: number } {
  const { minX, minY, maxX, maxY } = flatBox(items.find((each) => each.id === id)?.outline ?? [[0, 0]])
  return { lengthMm: maxX - minX, widthMm: maxY - minY }
}
