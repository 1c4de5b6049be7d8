import { useRef, useState, type KeyboardEvent } from 'react'
import { fixed, type Point } from '../plates/geometry'

interface HandleProps {
  /** The point it moves, and where the handle stands off it. */
  at: Point
  off: Point
  /** px per mm. */
  by: number
  axis: 'both' | 'along' | 'up'
  label: string
  /** Said beside it, line by line. */
  lines: readonly string[]
  /** The same in full for readers; the lines where it is left out. */
  text?: string
  range: readonly [number, number]
  now: number
  inHand: boolean
  onGrab: () => void
  /** Moved from where it was grabbed, mm: along, and up. */
  onMove: (alongMm: number, upMm: number) => void
  /** It is let go: what it moved by is settled. */
  onDrop: () => void
  /** Which side its words stand on. */
  words?: 'left' | 'right'
}

const STEP = 5
const ARROWS: Readonly<Record<string, readonly [along: number, up: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
const snap = (mm: number): number => Math.round(mm / STEP) * STEP

/** A handle off its point on a leader: dragged, or moved by arrows 5 mm, with Shift 1 mm; Escape puts it back. */
export function Handle({ at, off, by, axis, label, lines, text, range, now, inHand, onGrab, onMove, onDrop, words = 'right' }: HandleProps) {
  const from = useRef<Point | null>(null)
  // What the keys moved it by since it was taken in hand.
  const moved = useRef<[number, number]>([0, 0])
  const [held, setHeld] = useState(false)
  const grabbed = useRef(false)
  const grab = (): void => {
    moved.current = [0, 0]
    grabbed.current = true
    onGrab()
  }
  const place: Point = { x: at.x + off.x, y: at.y + off.y }
  const allowed = (along: number, up: number): readonly [number, number] => [axis === 'up' ? 0 : along, axis === 'along' ? 0 : up]
  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') {
      event.stopPropagation()
      moved.current = [0, 0]
      onMove(0, 0)
      return
    }
    const way = ARROWS[event.key]
    if (!way) return
    const [along, up] = allowed(way[0], way[1])
    event.preventDefault()
    event.stopPropagation()
    if (along === 0 && up === 0) return
    if (!grabbed.current) grab()
    const by1 = event.shiftKey ? 1 : STEP
    moved.current = [moved.current[0] + along * by1, moved.current[1] + up * by1]
    onMove(...moved.current)
  }
  const r = inHand ? 15 : 11.5
  const heads = axis === 'both' ? ['M-4-7L0-11L4-7', 'M-4 7L0 11L4 7', 'M-7-4L-11 0L-7 4', 'M7-4L11 0L7 4'] : axis === 'up' ? ['M-4-3L0-7L4-3', 'M-4 3L0 7L4 3'] : ['M-3-4L-7 0L-3 4', 'M3-4L7 0L3 4'] // prettier-ignore
  const x = words === 'right' ? place.x + r + 8 : place.x - r - 8
  return (
    <g>
      <line x1={at.x} y1={at.y} x2={place.x} y2={place.y} stroke="var(--ink)" strokeWidth={1.2} />
      <circle cx={at.x} cy={at.y} r={4} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.8} />
      <g
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuemin={Math.round(range[0])}
        aria-valuemax={Math.round(range[1])}
        aria-valuenow={Math.round(now)}
        aria-valuetext={text ?? lines.join(' ')}
        aria-orientation={axis === 'up' ? 'vertical' : 'horizontal'}
        onKeyDown={onKey}
        onFocus={grab}
        onBlur={() => {
          grabbed.current = false
          onDrop()
        }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          from.current = { x: event.clientX, y: event.clientY }
          setHeld(true)
          grab()
        }}
        onPointerMove={(event) => {
          if (!from.current || !event.currentTarget.hasPointerCapture(event.pointerId)) return
          onMove(...allowed(snap((event.clientX - from.current.x) / by), snap(-(event.clientY - from.current.y) / by)))
        }}
        onPointerUp={() => {
          from.current = null
          setHeld(false)
          onDrop()
        }}
        className={`handle ${held ? 'cursor-grabbing' : 'cursor-grab'}`}
      >
        <circle cx={place.x} cy={place.y} r={22} fill="transparent" />
        <circle cx={place.x} cy={place.y} r={r} fill={inHand ? 'var(--tape)' : 'var(--panel)'} stroke="var(--ink)" strokeWidth={2} />
        <path
          transform={`translate(${fixed(place.x)} ${fixed(place.y)})${inHand ? '' : ' scale(.8)'}`}
          d={heads.join('')}
          fill="none"
          stroke={inHand ? 'var(--tape-ink)' : 'var(--ink)'}
          strokeWidth={2.2}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </g>
      {lines.map((line, i) => (
        <text
          key={i}
          x={x}
          y={place.y + 5 + (i - (lines.length - 1) / 2) * 17}
          textAnchor={words === 'right' ? 'start' : 'end'}
          fontSize={14}
          fontWeight={i > 1 ? 400 : 650}
          fill={i > 1 ? 'var(--mute)' : 'var(--ink)'}
          stroke="var(--mat)"
          strokeWidth={4}
          paintOrder="stroke"
          pointerEvents="none"
        >
          {line}
        </text>
      ))}
    </g>
  )
}
