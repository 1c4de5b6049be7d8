import type { Form, HitchLine, PullPoint } from '@merry-tailor/core'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { cutOnce } from '../../ui/plates/cut'
import { fixed } from '../../ui/plates/geometry'

interface HitchDrawingProps {
  form: Form
  pull: PullPoint
  line: HitchLine | null
  hitchMm: number
  width: number
  height: number
  onHitch: (mm: number) => void
  /** The handle's name and value in words. */
  label: string
  valueText: string
  words: string
}

/** The hitch is moved between these heights, and by this much with a key. */
const LOWEST = 50
const HIGHEST = 1500
const STEP = 10

/** The dog's side, its line and the hitch to scale on one floor; the hitch is dragged up and down. */
export function HitchDrawing({ form, pull, line, hitchMm, width, height, onHitch, label, valueText, words }: HitchDrawingProps) {
  const svg = useRef<SVGSVGElement>(null)
  const set = cutOnce(form, 'side')
  const level = line?.horizontalMm ?? 1500
  const left = Math.min(pull.xMm - level, set.box.left) - 120
  const right = set.box.right + 60
  const top = Math.max(set.box.top, hitchMm, 1000) + 80
  const by = Math.min((width - 16) / (right - left), (height - 44) / top)
  const floor = height - 26
  const x = (mm: number): number => width / 2 + (mm - (left + right) / 2) * by
  const y = (mm: number): number => floor - mm * by
  const at = { x: x(pull.xMm - level), y: y(hitchMm) }
  const from = { x: x(pull.xMm), y: y(pull.heightMm) }

  const toHeight = (event: PointerEvent): number => {
    const box = svg.current?.getBoundingClientRect()
    const mm = box ? (floor - (event.clientY - box.top)) / by : hitchMm
    return Math.round(Math.min(HIGHEST, Math.max(LOWEST, mm)) / 5) * 5
  }
  const onKey = (event: KeyboardEvent): void => {
    const move = { ArrowUp: STEP, ArrowDown: -STEP, PageUp: 5 * STEP, PageDown: -5 * STEP }[event.key]
    if (move === undefined) return
    event.preventDefault()
    onHitch(Math.min(HIGHEST, Math.max(LOWEST, hitchMm + move)))
  }
  return (
    <svg
      ref={svg}
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      className="block touch-none"
      aria-label={`${words}. Drawn to scale.`}
      role="group"
    >
      <FloorTape floor={floor} width={width} from={pull.xMm} by={by} x={x} />
      <g stroke="var(--ink)" strokeWidth={1.8} strokeLinejoin="round">
        {set.plates.map((plate, i) => (
          <path
            key={`${plate.name}${i}`}
            d={`M${plate.points.map(([px, pz]) => `${fixed(x(px))} ${fixed(y(pz))}`).join('L')}Z`}
            fill={plate.far ? 'var(--plate-far)' : 'var(--plate)'}
          />
        ))}
      </g>
      <path d={`M${set.nose.map(([px, pz]) => `${fixed(x(px))} ${fixed(y(pz))}`).join('L')}Z`} fill="var(--ink)" />
      {set.eyes.map(([ex, ez], i) => (
        <circle key={i} cx={x(ex)} cy={y(ez)} r={Math.max(2, set.button * by)} fill="var(--ink)" />
      ))}
      <path d={`M${fixed(at.x)} ${fixed(floor)}V${fixed(at.y)}`} stroke="var(--ink)" strokeWidth={3} />
      <path d={`M${fixed(from.x)} ${fixed(from.y)}H${fixed(at.x)}`} stroke="var(--edge)" strokeWidth={1.4} strokeDasharray="4 4" />
      {line && (
        <>
          <path d={`M${fixed(from.x)} ${fixed(from.y)}L${fixed(at.x)} ${fixed(at.y)}`} stroke="var(--plate)" strokeWidth={8} />
          <path d={`M${fixed(from.x)} ${fixed(from.y)}L${fixed(at.x)} ${fixed(at.y)}`} stroke="var(--ink)" strokeWidth={5} />
        </>
      )}
      <circle cx={from.x} cy={from.y} r={5} fill="var(--tape)" stroke="var(--ink)" strokeWidth={1.8} />
      <g
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-orientation="vertical"
        aria-valuemin={LOWEST}
        aria-valuemax={HIGHEST}
        aria-valuenow={Math.round(hitchMm)}
        aria-valuetext={valueText}
        onKeyDown={onKey}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          onHitch(toHeight(event))
        }}
        onPointerMove={(event) => {
          if (event.currentTarget.hasPointerCapture(event.pointerId)) onHitch(toHeight(event))
        }}
        className="cursor-ns-resize"
      >
        <circle cx={at.x} cy={at.y} r={23} fill="transparent" />
        <circle cx={at.x} cy={at.y} r={13} fill="var(--tape)" stroke="var(--ink)" strokeWidth={2} />
        <path
          d={`M${fixed(at.x - 4)} ${fixed(at.y - 3)}l4 -5l4 5M${fixed(at.x - 4)} ${fixed(at.y + 3)}l4 5l4 -5`}
          fill="none"
          stroke="var(--tape-ink)"
          strokeWidth={2}
        />
      </g>
    </svg>
  )
}

/** The floor as a resting tape, its zero under the pull point, a tick every 10 cm. */
function FloorTape({ floor, width, from, by, x }: { floor: number; width: number; from: number; by: number; x: (mm: number) => number }) {
  const count = Math.ceil(width / by / 100) + 2
  const ticks = Array.from({ length: count }, (_, i) => ({ mm: from - (i - Math.floor(count / 3)) * 100, whole: (i - Math.floor(count / 3)) % 10 === 0 }))
  return (
    <g>
      <rect x={0} y={floor} width={width} height={20} fill="var(--tape-rest)" />
      <path d={`M0 ${floor}H${width}M0 ${floor + 20}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
      {ticks.map(({ mm, whole }) => (
        <line key={mm} x1={x(mm)} x2={x(mm)} y1={floor} y2={floor + (whole ? 13 : 7)} stroke="var(--tape-ink)" strokeWidth={whole ? 1.8 : 1} />
      ))}
    </g>
  )
}
