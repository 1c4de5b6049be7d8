import type { LengthStyle } from '@merry-tailor/core'
import { useWidth } from '../use-width'
import { SvgLength } from '../length/SvgLength'
import { tapeScale, ticksOf, type TapeUnit } from './scale'

interface PairTapeProps {
  look: LengthStyle & { unit: TapeUnit }
  fromMm: number
  toMm: number
  leftMm: number
  rightMm: number
  /** Where both stand after the next move. */
  goalMm: number | null
  title: string
}

const HEAD = 22
const STRIP = 16

/** Left and right of one strap on two strips back to back: uneven shows as two pins not in line. */
export function PairTape({ look, fromMm, toMm, leftMm, rightMm, goalMm, title }: PairTapeProps) {
  const [ref, width] = useWidth<SVGSVGElement>(230)
  const scale = tapeScale(look.unit, fromMm, toMm, width)
  const mid = HEAD + STRIP
  const total = 2 * mid
  const ticks = ticksOf(scale)
  const words = (mm: number, y: number, side: string) => {
    const x = Math.min(width - 8, Math.max(8, scale.x(mm)))
    const right = x < width - 90
    return (
      <text x={right ? x + 9 : x - 9} y={y} textAnchor={right ? 'start' : 'end'} fontSize={14} fontWeight={600} fill="var(--ink)">
        {side} <SvgLength mm={mm} look={look} size={14} />
      </text>
    )
  }
  return (
    <svg ref={ref} role="img" aria-label={title} width="100%" height={total} viewBox={`0 0 ${width} ${total}`} className="block overflow-hidden">
      <rect x={0} y={HEAD} width={width} height={2 * STRIP} fill="var(--tape-rest)" />
      <path d={`M0 ${HEAD}H${width}M0 ${mid}H${width}M0 ${mid + STRIP}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.3} />
      {ticks.map((tick) => (
        <g key={tick.mm} stroke="var(--tape-ink)" strokeWidth={tick.strong ? 1.6 : 1}>
          <line x1={scale.x(tick.mm)} x2={scale.x(tick.mm)} y1={HEAD} y2={HEAD + STRIP * 0.8 * tick.height} />
          <line x1={scale.x(tick.mm)} x2={scale.x(tick.mm)} y1={mid + STRIP} y2={mid + STRIP - STRIP * 0.8 * tick.height} />
          {tick.label !== null && scale.x(tick.mm) > 14 && (
            <text x={scale.x(tick.mm) - 3} y={mid - 3} textAnchor="end" fontSize={12} fontWeight={800} fill="var(--tape-ink)" stroke="none">
              {tick.label}
            </text>
          )}
        </g>
      ))}
      {goalMm !== null && (
        <g stroke="var(--ink)" strokeWidth={1.6} strokeDasharray="3 2.5">
          <line x1={scale.x(goalMm)} x2={scale.x(goalMm)} y1={HEAD - 5} y2={mid + STRIP + 5} />
          <circle cx={scale.x(goalMm)} cy={HEAD - 8} r={4.6} fill="var(--panel)" strokeDasharray="none" />
          <circle cx={scale.x(goalMm)} cy={mid + STRIP + 8} r={4.6} fill="var(--panel)" strokeDasharray="none" />
        </g>
      )}
      <g className="pin-drop" stroke="var(--ink)" strokeWidth={2.2}>
        <line x1={scale.x(leftMm)} x2={scale.x(leftMm)} y1={HEAD - 5} y2={mid} />
        <circle cx={scale.x(leftMm)} cy={HEAD - 8} r={4.6} fill="var(--ink)" />
        <line x1={scale.x(rightMm)} x2={scale.x(rightMm)} y1={mid} y2={mid + STRIP + 5} />
        <circle cx={scale.x(rightMm)} cy={mid + STRIP + 8} r={4.6} fill="var(--ink)" />
      </g>
      {words(leftMm, 12, 'left')}
      {words(rightMm, total - 4, 'right')}
    </svg>
  )
}
