import type { Form, Rig } from '@merry-tailor/core'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { DogPlates } from '../../ui/plates/DogPlates'
import { fixed, type Point } from '../../ui/plates/geometry'
import type { PlateScale } from '../../ui/plates/plate-scale'
import type { DraftNow, Load } from './draft-now'
import { draftScale, FLOOR_TAPE as TAPE } from './draft-scale'

interface DraftSideProps {
  form: Form
  rig: Rig
  now: DraftNow
  loads: readonly Load[]
  /** The load in hand. */
  inHand: number
  onPick: (i: number) => void
  onMove: (i: number, to: { aheadMm: number; heightMm: number }) => void
  /** The handle in words. */
  words: (load: Load) => string
  width: number
  height: number
  label: string
}

const STEP = 5

/** A cart and its dog from the side, to scale on one floor; the load in hand is dragged, or moved by arrow keys. */
export function DraftSide({ form, rig, now, loads, inHand, onPick, onMove, words, width, height, label }: DraftSideProps) {
  const svg = useRef<SVGSVGElement>(null)
  const pitch = now.balance?.[1].pitchRad ?? 0
  const { by, x0, floor } = draftScale(form, rig, now, loads, width, height)
  const to = (x: number, z: number): Point => ({ x: x0 + x * by, y: floor - z * by })
  /** A place of the cart, tipped with it. */
  const on = (aheadMm: number, heightMm: number): Point => {
    const z = heightMm - rig.axleMm
    return to(aheadMm * Math.cos(pitch) - z * Math.sin(pitch), rig.axleMm + aheadMm * Math.sin(pitch) + z * Math.cos(pitch))
  }
  const scale: PlateScale = { by, floor, to: ([x, z]) => to(x + now.offsetMm, z), on: (p) => to(p[0] + now.offsetMm, p[2]) }
  const poly = (points: readonly Point[]): string => `M${points.map((p) => `${fixed(p.x)} ${fixed(p.y)}`).join('L')}`
  const ring = to(now.ring.xMm + now.offsetMm, now.ring.heightMm)
  const hitch = on(rig.hitch.aheadMm, rig.hitch.heightMm)
  const load = loads[inHand]
  const handle = load && on(load.aheadMm, load.heightMm)
  const place = (event: PointerEvent): { aheadMm: number; heightMm: number } | null => {
    const box = svg.current?.getBoundingClientRect()
    if (!box) return null
    const [x, z] = [(event.clientX - box.left - x0) / by, (floor - (event.clientY - box.top)) / by - rig.axleMm]
    const snap = (mm: number): number => Math.round(mm / STEP) * STEP
    return { aheadMm: snap(x * Math.cos(-pitch) - z * Math.sin(-pitch)), heightMm: snap(rig.axleMm + x * Math.sin(-pitch) + z * Math.cos(-pitch)) }
  }
  const keep = ({ aheadMm, heightMm }: { aheadMm: number; heightMm: number }): void =>
    onMove(inHand, {
      aheadMm: Math.min(rig.bed.toMm, Math.max(rig.bed.fromMm, aheadMm)),
      heightMm: Math.min(1500, Math.max(rig.bed.heightMm, heightMm)),
    })
  const onKey = (event: KeyboardEvent): void => {
    if (!load) return
    const by1 = event.shiftKey ? 1 : STEP
    const move = { ArrowLeft: [-by1, 0], ArrowRight: [by1, 0], ArrowUp: [0, by1], ArrowDown: [0, -by1] }[event.key]
    if (!move) return
    event.preventDefault()
    event.stopPropagation()
    keep({ aheadMm: load.aheadMm + (move[0] ?? 0), heightMm: load.heightMm + (move[1] ?? 0) })
  }
  return (
    <svg ref={svg} width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="group" aria-label={label} className="block touch-none">
      <FloorTape floor={floor} width={width} by={by} x0={x0} />
      <DogPlates form={form} view="side" scale={scale} width={width} />
      {now.stride && (
        <g fill="none" stroke="var(--mute)" strokeWidth={1.4} strokeDasharray="5 4">
          <path d={poly(now.stride.pawPath.map(([x, z]) => to(x + now.offsetMm, z)))} />
          <path d={poly(now.stride.hockPath.map(([x, z]) => to(x + now.offsetMm, z)))} />
        </g>
      )}
      <path d={poly([ring, hitch])} stroke="var(--plate)" strokeWidth={8} />
      <path d={poly([ring, hitch])} stroke="var(--web)" strokeWidth={5} strokeDasharray={now.balance && now.balance[1].traceN === 0 ? '3 6' : undefined} />
      <g stroke="var(--ink)" strokeWidth={1.8} strokeLinejoin="round" fill="var(--plate)">
        {loads.map((each, i) => {
          const half = 90 + 5 * Math.cbrt(each.massKg * 60)
          const rise = Math.max(60, each.heightMm - rig.bed.heightMm)
          const box = [
            on(each.aheadMm - half, rig.bed.heightMm),
            on(each.aheadMm + half, rig.bed.heightMm),
            on(each.aheadMm + half, rig.bed.heightMm + 2 * rise),
            on(each.aheadMm - half, rig.bed.heightMm + 2 * rise),
          ]
          return <path key={i} d={`${poly(box)}Z`} onPointerDown={() => onPick(i)} fill={i === inHand ? 'var(--panel)' : 'var(--plate)'} />
        })}
        <path
          d={`${poly([on(rig.bed.fromMm, rig.bed.heightMm), on(rig.bed.toMm, rig.bed.heightMm), on(rig.bed.toMm, rig.bed.heightMm - 28), on(rig.bed.fromMm, rig.bed.heightMm - 28)])}Z`}
        />
        {rig.shafts && (
          <>
            <path
              d={poly([on(rig.bed.toMm, rig.bed.heightMm - 10), on(rig.shafts.aheadMm + 70, rig.shafts.levelMm)])}
              fill="none"
              strokeWidth={Math.max(4, rig.shafts.thickMm * by + 3)}
            />
            <path
              d={poly([on(rig.bed.toMm, rig.bed.heightMm - 10), on(rig.shafts.aheadMm + 70, rig.shafts.levelMm)])}
              fill="none"
              stroke="var(--plate)"
              strokeWidth={Math.max(2, rig.shafts.thickMm * by)}
            />
            <path
              d={poly([on(rig.shafts.aheadMm, rig.shafts.levelMm + 26), on(rig.shafts.aheadMm, rig.shafts.levelMm - 26)])}
              strokeWidth={7}
              stroke="var(--web)"
            />
          </>
        )}
        {(rig.kind === 'cart' || rig.kind === 'wagon') &&
          [0, ...(rig.kind === 'wagon' && rig.wheelbaseMm !== null ? [-rig.wheelbaseMm] : [])].map((x) => (
            <Wheel key={x} at={to(x, rig.axleMm)} radius={rig.axleMm * by} />
          ))}
      </g>
      <circle cx={ring.x} cy={ring.y} r={6} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2.2} />
      <circle cx={hitch.x} cy={hitch.y} r={5} fill="var(--ink)" />
      {load && handle && (
        <g
          role="slider"
          tabIndex={0}
          aria-label={`${load.name}, ahead of the axle`}
          aria-valuemin={rig.bed.fromMm}
          aria-valuemax={rig.bed.toMm}
          aria-valuenow={Math.round(load.aheadMm)}
          aria-valuetext={words(load)}
          onKeyDown={onKey}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) => {
            const next = event.currentTarget.hasPointerCapture(event.pointerId) ? place(event) : null
            if (next) keep(next)
          }}
          className="cursor-move"
        >
          <circle cx={handle.x} cy={handle.y} r={23} fill="transparent" />
          <circle cx={handle.x} cy={handle.y} r={14} fill="var(--tape)" stroke="var(--ink)" strokeWidth={2} />
          <path
            d={`M${fixed(handle.x - 8)} ${fixed(handle.y)}H${fixed(handle.x + 8)}M${fixed(handle.x)} ${fixed(handle.y - 8)}V${fixed(handle.y + 8)}`}
            stroke="var(--tape-ink)"
            strokeWidth={2}
          />
        </g>
      )}
    </svg>
  )
}

function Wheel({ at, radius }: { at: Point; radius: number }) {
  return (
    <g fill="none">
      <circle cx={at.x} cy={at.y} r={radius} stroke="var(--ink)" strokeWidth={6} />
      <circle cx={at.x} cy={at.y} r={radius} stroke="var(--plate)" strokeWidth={3} />
      {Array.from({ length: 8 }, (_, i) => (
        <line
          key={i}
          x1={at.x}
          y1={at.y}
          x2={at.x + radius * Math.cos((i * Math.PI) / 4)}
          y2={at.y + radius * Math.sin((i * Math.PI) / 4)}
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
      ))}
      <circle cx={at.x} cy={at.y} r={6} fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.8} />
    </g>
  )
}

/** The floor as a resting tape, its zero under the axle, a tick every 10 cm. */
function FloorTape({ floor, width, by, x0 }: { floor: number; width: number; by: number; x0: number }) {
  const first = Math.ceil(-x0 / by / 100)
  const count = Math.ceil(width / by / 100)
  return (
    <g>
      <rect x={0} y={floor} width={width} height={TAPE} fill="var(--tape-rest)" />
      <path d={`M0 ${floor}H${width}M0 ${floor + TAPE}H${width}`} stroke="var(--tape-ink)" strokeWidth={1.4} />
      {Array.from({ length: count }, (_, i) => first + i).map((tick) => (
        <g key={tick}>
          <line
            x1={x0 + tick * 100 * by}
            x2={x0 + tick * 100 * by}
            y1={floor}
            y2={floor + (tick % 5 === 0 ? 14 : 7)}
            stroke="var(--tape-ink)"
            strokeWidth={tick % 5 === 0 ? 1.8 : 1}
          />
          {tick % 5 === 0 && (
            <text x={x0 + tick * 100 * by + 4} y={floor + TAPE - 4} fontSize={13.5} fontWeight={800} fill="var(--tape-ink)">
              {tick === 0 ? '0 axle' : `${tick * 10} cm`}
            </text>
          )}
        </g>
      ))}
    </g>
  )
}
