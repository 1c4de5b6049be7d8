import { dragOutline } from '@merry-tailor/core'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'

/** How far along an outline a drag is felt, mm; a key's step. */
const REACH = 14
const STEP = 0.5
export const FIELD = { left: -74, top: -92, wide: 148, high: 196 }

interface OutlineProps {
  url: string
  points: readonly [number, number][]
  others: readonly (readonly [number, number][])[]
  axisRad: number
  onMove: (points: [number, number][]) => void
}

/** The flattened sheet with the outline and its two tapes: a point is dragged, or arrow keys move the end they point to. */
export function Outline({ url, points, others, axisRad, onMove }: OutlineProps) {
  const held = useRef<{ i: number; x: number; y: number; from: [number, number][] } | null>(null)
  const ref = useRef<SVGSVGElement>(null)
  const mm = (event: PointerEvent): [number, number] => {
    const box = ref.current?.getBoundingClientRect()
    if (!box) return [0, 0]
    return [FIELD.left + ((event.clientX - box.left) / box.width) * FIELD.wide, FIELD.top + ((event.clientY - box.top) / box.height) * FIELD.high]
  }
  const down = (event: PointerEvent<SVGSVGElement>): void => {
    const [x, y] = mm(event)
    let [best, far] = [-1, 12]
    points.forEach(([px, py], i) => {
      const off = Math.hypot(px - x, py - y)
      if (off < far) [best, far] = [i, off]
    })
    if (best < 0) return
    held.current = { i: best, x, y, from: points.map(([px, py]): [number, number] => [px, py]) }
    event.currentTarget.setPointerCapture(event.pointerId)
  }
  const move = (event: PointerEvent<SVGSVGElement>): void => {
    const now = held.current
    if (!now) return
    const [x, y] = mm(event)
    onMove(dragOutline(now.from, now.i, [x - now.x, y - now.y], REACH))
  }
  const key = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] as [number, number] | undefined
    if (!by) return
    event.preventDefault()
    // The end of the outline the arrow points to.
    const i = points.reduce((most, [x, y], k) => (x * by[0] + y * by[1] > (points[most]?.[0] ?? 0) * by[0] + (points[most]?.[1] ?? 0) * by[1] ? k : most), 0)
    const step = event.shiftKey ? -STEP : STEP
    onMove(dragOutline(points, i, [by[0] * step, by[1] * step], REACH))
  }
  const line = (all: readonly (readonly [number, number])[]): string =>
    `M${all.map(([x, y]) => `${(x - FIELD.left).toFixed(2)} ${(y - FIELD.top).toFixed(2)}`).join('L')}Z`
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${FIELD.wide} ${FIELD.high}`}
      className="block max-h-[70vh] w-full touch-none outline-offset-2"
      role="application"
      aria-label="Outline on the sheet: drag it, or arrow keys move the end they point to, Shift back"
      tabIndex={0}
      onKeyDown={key}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => (held.current = null)}
      onPointerCancel={() => (held.current = null)}
    >
      <image href={url} x={0} y={0} width={FIELD.wide} height={FIELD.high} preserveAspectRatio="none" />
      {others.map((each, i) => (
        <path key={i} d={line(each)} fill="none" stroke="var(--mute)" strokeWidth={0.6} strokeDasharray="2 1.5" />
      ))}
      {(points.length > 2 ? [axisRad, axisRad + Math.PI / 2] : []).map((along) => (
        <Across key={along} points={points} along={along} />
      ))}
      {points.length > 2 && <path d={line(points)} fill="none" stroke="var(--chalk)" strokeWidth={0.9} />}
    </svg>
  )
}

/** One of the two tapes: from end to end of the outline along a direction. */
function Across({ points, along }: { points: readonly [number, number][]; along: number }) {
  const [c, s] = [Math.cos(along), Math.sin(along)]
  const span = (of: readonly number[]): [number, number] => [Math.min(...of), Math.max(...of)]
  const [from, to] = span(points.map(([x, y]) => x * c + y * s))
  const [low, high] = span(points.map(([x, y]) => y * c - x * s))
  const mid = (low + high) / 2
  return (
    <g
      transform={`translate(${-FIELD.left} ${-FIELD.top}) rotate(${((along * 180) / Math.PI).toFixed(2)})`}
      fillOpacity={0.8}
      strokeWidth={0.4}
      pointerEvents="none"
    >
      <rect x={from} y={mid - 2} width={to - from} height={4} fill="var(--tape)" stroke="var(--tape-ink)" />
      {Array.from({ length: Math.floor((to - from) / 10) }, (_, i) => (
        <line key={i} x1={from + 10 * (i + 1)} x2={from + 10 * (i + 1)} y1={mid - 2} y2={mid + 0.4} stroke="var(--tape-ink)" />
      ))}
      {[from, to].map((end) => (
        <circle key={end} cx={end} cy={mid} r={1.5} fill="var(--ink)" />
      ))}
    </g>
  )
}
