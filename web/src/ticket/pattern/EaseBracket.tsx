import { MM_PER_UNIT, type LengthStyle } from '@merry-tailor/core'
import { useRef, type KeyboardEvent } from 'react'
import { useWidth } from '../../ui/use-width'
import { tapeScale, ticksOf, type TapeUnit } from '../../ui/tape/scale'

interface EaseBracketProps {
  name: string
  /** The dog's own, mm; what is added. */
  ownMm: number
  easeMm: number
  style: LengthStyle & { unit: TapeUnit }
  say: (mm: number) => string
  onEase: (mm: number) => void
}

const HEIGHT = 58
const STRIP = 18
const [LEAST, MOST] = [-60, 150]

/** A tape with the dog's own as a pin and the ease as a bracket; its ring is dragged, or moved by the arrow keys. */
export function EaseBracket({ name, ownMm, easeMm, style, say, onEase }: EaseBracketProps) {
  const [ref, width] = useWidth<SVGSVGElement>(284)
  const held = useRef(false)
  const step = style.unit === 'in' ? MM_PER_UNIT.in / 8 : 5
  const unitMm = MM_PER_UNIT[style.unit === 'in' ? 'in' : 'cm'] * (style.unit === 'in' ? 1 : 2)
  const from = (Math.floor((ownMm + Math.min(0, easeMm)) / unitMm) - 0.3) * unitMm
  const scale = tapeScale(style.unit, from, from + 3.2 * unitMm + Math.max(0, easeMm - 2 * unitMm), width)
  const snap = (mm: number): number => Math.min(MOST, Math.max(LEAST, Math.round(mm / step) * step))
  const toEase = (clientX: number): number => {
    const box = ref.current?.getBoundingClientRect()
    if (!box) return easeMm
    return snap(scale.fromMm + ((clientX - box.left) / box.width) * (scale.toMm - scale.fromMm) - ownMm)
  }
  const onKey = (event: KeyboardEvent): void => {
    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
    if (way === undefined) return
    event.preventDefault()
    event.stopPropagation()
    onEase(snap(easeMm + way * step * (event.shiftKey ? 8 : 1)))
  }
  const [pin, ring] = [scale.x(ownMm), scale.x(ownMm + easeMm)]
  const y = HEIGHT - STRIP
  return (
    <div className="pt-1">
      <p className="flex items-baseline justify-between text-[15px] leading-5">
        <b>{name}</b>
        <b>{Math.abs(easeMm) < 0.5 ? 'no ease' : `${easeMm > 0 ? '+ ' : '- '}${say(Math.abs(easeMm))}`}</b>
      </p>
      <svg ref={ref} width="100%" height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} className="block touch-none overflow-visible">
        <rect x={0} y={y} width={width} height={STRIP} fill="var(--tape-rest)" />
        <path d={`M0 ${y}H${width}M0 ${HEIGHT}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.3} />
        {ticksOf(scale).map((tick) => (
          <g key={tick.mm}>
            <line
              x1={scale.x(tick.mm)}
              x2={scale.x(tick.mm)}
              y1={y}
              y2={y + STRIP * 0.6 * tick.height}
              stroke="var(--tape-ink)"
              strokeWidth={tick.strong ? 1.6 : 1}
            />
            {tick.label !== null && scale.x(tick.mm) > 12 && scale.x(tick.mm) < width - 12 && (
              <text x={scale.x(tick.mm)} y={HEIGHT - 3} textAnchor="middle" fontSize={12} fontWeight={800} fill="var(--tape-ink)">
                {tick.label}
              </text>
            )}
          </g>
        ))}
        <path d={`M${pin} ${y + STRIP}V${y - 16}H${ring}V${y}`} fill="none" stroke="var(--ink)" strokeWidth={2} />
        <text x={Math.max(2, Math.min(pin, ring) - 6)} y={y - 24} textAnchor={Math.min(pin, ring) > 60 ? 'end' : 'start'} fontSize={13.5} fill="var(--ink)">
          {Math.min(pin, ring) > 60 ? say(ownMm) : ''}
        </text>
        <text
          x={Math.min(width - 2, Math.max(pin, ring) + 12)}
          y={y - 24}
          textAnchor={Math.max(pin, ring) > width - 70 ? 'end' : 'start'}
          fontSize={13.5}
          fontWeight={700}
          fill="var(--ink)"
        >
          {say(ownMm + easeMm)}
        </text>
        <g
          role="slider"
          tabIndex={0}
          aria-label={`Ease, ${name.toLowerCase()}`}
          aria-valuemin={LEAST}
          aria-valuemax={MOST}
          aria-valuenow={Math.round(easeMm)}
          aria-valuetext={`${say(easeMm)} of ease, ${say(ownMm + easeMm)} finished`}
          className="handle cursor-grab"
          onKeyDown={onKey}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            held.current = true
          }}
          onPointerMove={(event) => {
            if (held.current && event.currentTarget.hasPointerCapture(event.pointerId)) {
              const next = toEase(event.clientX)
              if (Math.abs(next - easeMm) > 0.01) onEase(next)
            }
          }}
          onPointerUp={() => (held.current = false)}
        >
          <rect x={ring - 22} y={y - 34} width={44} height={44} fill="transparent" />
          <circle cx={ring} cy={y - 16} r={6.5} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2.2} />
        </g>
      </svg>
    </div>
  )
}
