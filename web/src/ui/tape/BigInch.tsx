import { MM_PER_UNIT } from '@merry-tailor/core'
import { useRef } from 'react'
import { SvgLength } from '../length/SvgLength'
import { useWidth } from '../use-width'
import type { TapeUnit } from './scale'

interface BigInchProps {
  unit: TapeUnit
  /** What the field reads now, mm; `null` shows the unit a reading would land in. */
  mm: number | null
  /** Where to look while nothing is typed. */
  aroundMm: number
  /** Earlier readings, drawn as pins when they lie in the inch shown. */
  pins: readonly { mm: number; label: string }[]
  /** Half an inch at most fits a phone. */
  span?: 1 | 0.5
  height?: number
  onSet: (mm: number) => void
}

/**
 * The inch being read, magnified: tap a mark for the eighth, between two marks for the sixteenth; drag past an end for
 * the next inch. In centimetres one centimetre with its millimetres.
 */
export function BigInch({ unit, mm, aroundMm, pins, span = 1, height = 58, onSet }: BigInchProps) {
  const [ref, width] = useWidth<SVGSVGElement>(508)
  const drag = useRef<{ x: number; base: number; moved: boolean } | null>(null)
  const unitMm = MM_PER_UNIT[unit]
  const parts = unit === 'in' ? 8 : 10
  const window = unit === 'in' ? span : 1
  const shown = mm ?? aroundMm
  const base = Math.max(0, Math.floor(shown / unitMm / window + 1e-6) * window)
  const margin = 26
  const usable = width - 2 * margin
  const count = parts * window
  const pitch = usable / count
  const xOf = (value: number): number => margin + ((value / unitMm - base) / window) * usable
  const headRoom = pins.length > 0 ? 22 : 4
  const inSight = pins
    .filter((pin) => pin.mm / unitMm >= base - 0.01 && pin.mm / unitMm <= base + window + 0.01)
    .map((pin) => ({ ...pin, x: xOf(pin.mm) }))
    .sort((a, b) => a.x - b.x)
  const flags = flagged(inSight, width)
  const feet = flags.some((flag) => flag.below)
  const total = headRoom + height + 2 + (feet ? 20 : 0)
  const inWindow = mm !== null && mm / unitMm >= base - 1e-6 && mm / unitMm <= base + window + 1e-6
  const hitPart = inWindow ? (mm / unitMm - base) * parts : null

  const setAt = (clientX: number): void => {
    const box = ref.current?.getBoundingClientRect()
    if (!box) return
    const at = (clientX - box.left - margin) / pitch
    const half = Math.round(at * 2) / 2
    const clamped = Math.min(count, Math.max(0, half))
    // Halfway between marks is a sixteenth only when the finger is really there.
    const mark = Math.abs(at - Math.round(at)) < 0.3 ? Math.min(count, Math.max(0, Math.round(at))) : clamped
    const value = (base + mark / parts) * unitMm
    if (value > 0) onSet(value)
  }
  const step = (by: number): void => {
    const now = mm ?? aroundMm
    const parted = Math.round((now / unitMm) * parts) + by
    if (parted > 0) onSet((parted / parts) * unitMm)
  }

  return (
    <svg
      ref={ref}
      role="slider"
      tabIndex={0}
      aria-label={unit === 'in' ? 'Big Inch: set the eighth' : 'Big Inch: set the millimetre'}
      aria-valuenow={Math.round((mm ?? aroundMm) * 10) / 10}
      aria-valuemin={0}
      aria-valuemax={3000}
      aria-valuetext={mm === null ? 'nothing set' : `${(mm / unitMm).toFixed(unit === 'in' ? 3 : 1)} ${unit}`}
      width="100%"
      height={total}
      viewBox={`0 0 ${width} ${total}`}
      style={{ display: 'block', touchAction: 'none', cursor: 'pointer', userSelect: 'none' }}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1, ArrowLeft: -1, PageUp: parts, PageDown: -parts }[event.key]
        if (by === undefined) return
        event.preventDefault()
        event.stopPropagation()
        step(by)
      }}
      onPointerDown={(event) => {
        if (event.isPrimary) event.currentTarget.setPointerCapture(event.pointerId)
        drag.current = { x: event.clientX, base, moved: false }
      }}
      onPointerMove={(event) => {
        const start = drag.current
        const box = ref.current?.getBoundingClientRect()
        if (!start || !box) return
        if (Math.abs(event.clientX - start.x) > 8) start.moved = true
        if (!start.moved) return
        const past = event.clientX < box.left ? -1 : event.clientX > box.right ? 1 : 0
        if (past !== 0) {
          const edge = base + (past > 0 ? window + window / 2 : -window / 2)
          if (edge > 0) onSet(edge * unitMm)
          start.moved = false
          start.x = event.clientX + past * 60
        } else setAt(event.clientX)
      }}
      onPointerUp={(event) => {
        if (drag.current && !drag.current.moved) setAt(event.clientX)
        drag.current = null
      }}
      onPointerCancel={() => {
        drag.current = null
      }}
    >
      <rect x={0} y={headRoom} width={width} height={height} fill="var(--tape)" />
      {hitPart !== null && (
        <rect
          x={Math.max(0, margin + hitPart * pitch - Math.min(26, pitch * 0.46))}
          y={headRoom}
          width={Math.min(52, pitch * 0.92)}
          height={height}
          fill="var(--tape-ink)"
        />
      )}
      <path d={`M0 ${headRoom}H${width}M0 ${headRoom + height}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.8} />
      {Array.from({ length: count * 2 + 1 }, (_, i) => {
        const isMark = i % 2 === 0
        const part = i / 2
        const value = base + part / parts
        const whole = Math.abs(value - Math.round(value)) < 1e-9
        const x = margin + part * pitch
        const hit = hitPart !== null && Math.abs(hitPart - part) < 0.26 && isMark
        const colour = hit ? 'var(--tape)' : 'var(--tape-ink)'
        const tall = whole ? (height < 50 ? 0.34 : 0.44) : !isMark ? 0.14 : (part * 2) % parts === 0 ? Math.min(0.36, height < 50 ? 0.3 : 0.36) : 0.26
        return (
          <g key={i}>
            <line x1={x} x2={x} y1={headRoom} y2={headRoom + height * tall} stroke={colour} strokeWidth={whole ? 2.6 : isMark ? 1.8 : 1} />
            {isMark && (
              <text
                x={x}
                y={headRoom + height - 9}
                textAnchor="middle"
                fill={colour}
                fontWeight={800}
                fontSize={whole ? (height < 50 ? 20 : 24) : unit === 'in' ? (height < 50 ? 18 : 21) : 15}
              >
                {whole ? Math.round(value) : unit === 'in' ? <EighthLabel part={Math.round(value * 8) % 8} /> : Math.round(value * 10) % 10}
              </text>
            )}
          </g>
        )
      })}
      {flags.map(({ pin, anchor, below }) => (
        <g key={`${pin.label}-${pin.mm}`}>
          {below ? (
            <line x1={pin.x} x2={pin.x} y1={headRoom + height - 4} y2={headRoom + height + 8} stroke="var(--ink)" strokeWidth={2.2} />
          ) : (
            <line x1={pin.x} x2={pin.x} y1={headRoom - 10} y2={headRoom + 10} stroke="var(--ink)" strokeWidth={2.2} />
          )}
          <circle cx={pin.x} cy={below ? headRoom + height + 9 : headRoom - 11} r={5.2} fill="var(--ink)" />
          <text
            x={pin.x + (anchor === 'end' ? -10 : 10)}
            y={below ? headRoom + height + 15 : headRoom - 7}
            textAnchor={anchor}
            fontSize={15}
            fontWeight={600}
            fill="var(--ink)"
          >
            {pin.label} <SvgLength mm={pin.mm} look={{ unit, step: unit === 'in' ? 0.0625 : 0.1 }} size={15} />
          </text>
        </g>
      ))}
    </svg>
  )
}

interface Flag<P> {
  pin: P
  /** The side its words stand on. */
  anchor: 'start' | 'end'
  /** Under the strip: above it there is no room. */
  below: boolean
}

/** Px a pin's words take, about. */
const wordsPx = (label: string): number => 62 + 7.5 * label.length

/** Where each pin's words stand: above the strip to one side, else to the other, else below it; never over each other. */
export function flagged<P extends { x: number; label: string }>(pins: readonly P[], width: number): Flag<P>[] {
  const taken: Record<'above' | 'below', [from: number, to: number][]> = { above: [], below: [] }
  return pins.map((pin) => {
    const long = wordsPx(pin.label) + 10
    const ends = (anchor: 'start' | 'end'): [number, number] => (anchor === 'end' ? [pin.x - long, pin.x + 6] : [pin.x - 6, pin.x + long])
    const usual = pin.x > 120 ? (['end', 'start'] as const) : (['start', 'end'] as const)
    const free = (row: 'above' | 'below', anchor: 'start' | 'end'): boolean => {
      const [from, to] = ends(anchor)
      return from >= 0 && to <= width && taken[row].every(([a, b]) => to <= a || from >= b)
    }
    const found = (['above', 'below'] as const).flatMap((row) => usual.map((anchor) => ({ row, anchor }))).find(({ row, anchor }) => free(row, anchor))
    const { row, anchor } = found ?? { row: 'below' as const, anchor: usual[0] }
    taken[row].push(ends(anchor))
    return { pin, anchor, below: row === 'below' }
  })
}

function EighthLabel({ part }: { part: number }) {
  const divisor = part % 4 === 0 ? 4 : part % 2 === 0 ? 2 : 1
  return (
    <>
      <tspan fontSize={15} dy={-4}>
        {part / divisor}
      </tspan>
      <tspan fontSize={15} dy={2}>
        ⁄
      </tspan>
      <tspan fontSize={15} dy={2}>
        {8 / divisor}
      </tspan>
    </>
  )
}
