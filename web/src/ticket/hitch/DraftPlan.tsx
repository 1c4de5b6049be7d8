import type { Form, Rig, Turn } from '@merry-tailor/core'
import { axlesOf, halfBedMm, rigFromAbove } from '../../rigs'
import { DogPlates } from '../../ui/plates/DogPlates'
import { lineThrough, type Point } from '../../ui/plates/geometry'
import type { DraftNow, Load } from './draft-now'
import { draftScale } from './draft-scale'
import { Handle } from '../../ui/handle/Handle'
import type { Handles } from './use-handles'

interface DraftPlanProps {
  form: Form
  rig: Rig
  now: DraftNow
  loads: readonly Load[]
  width: number
  /** Of the side above it: both share one scale. */
  sideHeight: number
  height: number
  handles: Handles
  say: (mm: number) => string
  /** How long the rear traces are. */
  rearMm: { left: number; right: number }
  label: string
}

/** The same from above, the dog’s left at the page’s top: bed, wheels, shafts, bar and rear traces. */
export function DraftPlan({ form, rig, now, loads, width, sideHeight, height, handles, say, rearMm, label }: DraftPlanProps) {
  const { by, x0 } = draftScale(form, rig, now, loads, width, sideHeight)
  const middle = height / 2
  const to = (x: number, left: number): Point => ({ x: x0 + x * by, y: middle - left * by })
  const skew = (now.shares[1] ?? now.shares[0])?.traces.skewRad ?? 0
  const half = rig.bar.widthMm / 2
  const end = (side: 1 | -1): Point => to(now.hitch.aheadMm - side * half * Math.sin(skew), side * half * Math.cos(skew))
  const slack = (now.shares[1] ?? now.shares[0])?.traces.slack ?? []
  const shaftY = now.ring.outMm + 40
  const wide = halfBedMm(rig)
  const outlines = rigFromAbove(rig, to)
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="group" aria-label={label} className="block touch-none">
      {now.turn && <Lane turn={now.turn} rearMm={axlesOf(rig).at(-1) ?? 0} to={to} by={by} />}
      <DogPlates
        form={form}
        view="above"
        width={width}
        scale={{ by, floor: middle, to: ([x, across]) => to(x + now.offsetMm, -across), on: (p) => to(p[0] + now.offsetMm, p[1]) }}
      />
      <g stroke="var(--ink)" strokeWidth={1.8} fill="var(--plate)" strokeLinejoin="round">
        <path d={lineThrough(outlines.bed, true)} />
        {loads.map((load, i) => {
          const across = 90 + 5 * Math.cbrt(load.massKg * 60)
          return (
            <path
              key={i}
              d={lineThrough(
                [to(load.aheadMm - across, across), to(load.aheadMm + across, across), to(load.aheadMm + across, -across), to(load.aheadMm - across, -across)],
                true,
              )}
            />
          )
        })}
        {outlines.wheels.map((points, i) => (
          <path key={`wheel ${i}`} d={lineThrough(points, true)} />
        ))}
        {rig.shafts &&
          ([1, -1] as const).map((side) => (
            <path
              key={side}
              d={lineThrough([to(rig.bed.toMm, side * Math.min(wide, shaftY + 40)), to((rig.shafts?.aheadMm ?? 0) + 70, side * shaftY)])}
              fill="none"
              strokeWidth={Math.max(3, (rig.shafts?.thickMm ?? 25) * by)}
            />
          ))}
        <path d={lineThrough([end(1), end(-1)])} fill="none" strokeWidth={5} />
      </g>
      {([1, -1] as const).map((side) => {
        const ring = to(now.ring.xMm + now.offsetMm, side * now.ring.outMm)
        return (
          <g key={side}>
            <path
              d={lineThrough([ring, end(side)])}
              stroke="var(--web)"
              strokeWidth={3.6}
              strokeDasharray={slack.includes(side === 1 ? 'rearLeft' : 'rearRight') ? '3 6' : undefined}
            />
            <circle cx={ring.x} cy={ring.y} r={5} fill="var(--panel)" stroke="var(--ink)" strokeWidth={2} />
          </g>
        )
      })}
      {([1, -1] as const).map((side) => {
        const name = side === 1 ? 'left' : 'right'
        const [a, b] = [to(now.ring.xMm + now.offsetMm, side * now.ring.outMm), end(side)]
        return (
          <Handle
            key={side}
            {...handles.of(name)}
            at={{ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }}
            off={{ x: 0, y: -side * 36 }}
            by={by}
            axis="along"
            label={`Rear trace, ${name}`}
            lines={[`${name} rear ${say(rearMm[name])}`]}
            range={[50, 3000]}
            now={rearMm[name]}
          />
        )
      })}
      <text x={width - 10} y={18} textAnchor="end" fontSize={14} fontWeight={600} fill="var(--ink)">
        From above
      </text>
    </svg>
  )
}

/** The lane of the tightest turn to the right: inside and outside, about a point on the line of the axle. */
function Lane({ turn, rearMm, to, by }: { turn: Turn; rearMm: number; to: (x: number, left: number) => Point; by: number }) {
  const about = to(rearMm, -turn.radiusMm)
  return (
    <g fill="none" stroke="var(--mute)" strokeWidth={1.4} strokeDasharray="7 5" aria-hidden>
      <circle cx={about.x} cy={about.y} r={Math.max(1, turn.insideMm * by)} />
      <circle cx={about.x} cy={about.y} r={turn.outsideMm * by} />
    </g>
  )
}
