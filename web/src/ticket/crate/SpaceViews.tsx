import type { Box, CarSpace } from '@merry-tailor/core'
import { useRef, useState } from 'react'
import { Handle } from '../../ui/handle/Handle'
import { fixed } from '../../ui/plates/geometry'
import { useBox } from '../../ui/use-width'

/** A box where it stands. */
export interface Standing {
  outer: Box
  yaw: number
  at: readonly [number, number]
  name: string
}

interface SpaceViewsProps {
  space: CarSpace
  boxes: readonly Standing[]
  ghosts: readonly [number, number, number][]
  strap: readonly (readonly [number, number, number])[]
  say: (mm: number) => string
  /** While it is measured its corners can be dragged. */
  onSpace: ((next: CarSpace) => void) | null
}

type Flat = readonly [number, number]
const shut = (points: readonly Flat[], to: (p: Flat) => string): string => `M${points.map(to).join('L')}Z`

/** A load space from the side and from above with boxes in it, the way in as ghosts; its corners dragged while it is measured. */
export function SpaceViews({ space, boxes, ghosts, strap, say, onSpace }: SpaceViewsProps) {
  const [ref, { width, height: tall }] = useBox<HTMLDivElement>(600, 520)
  const [inHand, setInHand] = useState<string | null>(null)
  const from = useRef<CarSpace | null>(null)
  const height = Math.max(380, tall)
  const long = Math.max(...space.floor.map((p) => p[0]), ...space.side.map((p) => p[0]))
  const wide = Math.max(...space.floor.map((p) => p[1]))
  const high = Math.max(...space.side.map((p) => p[1]), ...boxes.map(({ outer }) => outer.heightMm))
  const halves = boxes.map(({ outer, yaw }) => {
    const [c, s] = [Math.abs(Math.cos(yaw)), Math.abs(Math.sin(yaw))]
    return { x: (c * outer.lengthMm + s * outer.widthMm) / 2, y: (s * outer.lengthMm + c * outer.widthMm) / 2 }
  })
  const first = boxes[0]
  const reach = (first?.outer.lengthMm ?? 0) / 2
  const x0 = Math.min(0, ...ghosts.map(([gx]) => gx - reach), ...boxes.map(({ at }, i) => at[0] - (halves[i]?.x ?? 0)))
  const x1 = Math.max(long, ...boxes.map(({ at }, i) => at[0] + (halves[i]?.x ?? 0)))
  const [y0, y1] = [
    Math.min(0, ...boxes.map(({ at }, i) => at[1] - (halves[i]?.y ?? 0))),
    Math.max(wide, ...boxes.map(({ at }, i) => at[1] + (halves[i]?.y ?? 0))),
  ]
  const pad = onSpace ? 60 : 30
  const by = Math.max(0.02, Math.min((width - 2 * pad) / (x1 - x0), (height - 130) / (high + (y1 - y0))))
  const left = (width - (x1 - x0) * by) / 2 - x0 * by
  const floorY = 44 + high * by
  const planY = floorY + 50 + (y1 - wide) * by
  const sideAt = ([x, z]: Flat): { x: number; y: number } => ({ x: left + x * by, y: floorY - z * by })
  const planAt = ([x, y]: Flat): { x: number; y: number } => ({ x: left + x * by, y: planY + (wide - y) * by })
  const text = ({ x, y }: { x: number; y: number }): string => `${fixed(x)} ${fixed(y)}`
  const side = (p: Flat): string => text(sideAt(p))
  const plan = (p: Flat): string => text(planAt(p))
  const corners = ({ outer, yaw, at: [cx, cy] }: Standing): Flat[] => {
    const [c, s] = [Math.cos(yaw), Math.sin(yaw)]
    return ([[1, 1], [-1, 1], [-1, -1], [1, -1]] as const).map(([u, v]) => [cx + (u * outer.lengthMm * c) / 2 - (v * outer.widthMm * s) / 2, cy + (u * outer.lengthMm * s) / 2 + (v * outer.widthMm * c) / 2]) // prettier-ignore
  }
  /** A handle of the space: what it moves is worked out from where it was grabbed. */
  const handle = (key: string, label: string, at: { x: number; y: number }, off: { x: number; y: number }, axis: 'both' | 'along' | 'up', now: number, move: (was: CarSpace, along: number, up: number) => CarSpace) =>
    onSpace && (
      <Handle
        key={key}
        at={at}
        off={off}
        by={by}
        axis={axis}
        label={label}
        lines={inHand === key ? [say(now)] : []}
        text={say(now)}
        range={[0, 4000]}
        now={now}
        inHand={inHand === key}
        onGrab={() => {
          from.current = space
          setInHand(key)
        }}
        onMove={(along, up) => from.current && onSpace(move(from.current, along, up))}
        onDrop={() => setInHand(null)}
      />
    ) // prettier-ignore
  const moved = (points: readonly (readonly [number, number])[], i: number, [x, y]: Flat): [number, number][] =>
    points.map((p, k): [number, number] => (k === i ? [Math.max(0, p[0] + x), Math.max(0, p[1] + y)] : [p[0], p[1]]))
  return (
    <div ref={ref} className="h-full">
      <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role={onSpace ? 'group' : 'img'} aria-label={`${boxes.map(({ name }) => name).join(' and ')} in the load space, from the side and from above`} className="block">
        <text x={16} y={24} fontSize={14} fill="var(--ink)">
          From the side, seat back to the right
        </text>
        {ghosts
          .filter((_, i) => i % Math.max(1, Math.floor(ghosts.length / 6)) === 0)
          .map(([gx, gz, turned], i) => (
            <path key={i} d={shut(cornersAt(gx, gz, turned, first?.outer ?? { lengthMm: 1, widthMm: 1, heightMm: 1 }), side)} fill="none" stroke="var(--mute)" strokeWidth={1.4} strokeDasharray="2 3" />
          ))}
        <path d={shut(space.side, side)} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={2} />
        {space.arches.map(({ xMm, heightMm }, i) => (
          <path key={i} d={shut([[xMm[0], 0], [xMm[1], 0], [xMm[1], heightMm], [xMm[0], heightMm]], side)} fill="var(--mat)" stroke="var(--ink)" strokeWidth={1.4} strokeDasharray="4 3" />
        ))}
        {boxes.map(({ outer, at, name }, i) => {
          const half = halves[i]?.x ?? 0
          return <path key={name + String(i)} d={shut([[at[0] - half, 0], [at[0] + half, 0], [at[0] + half, outer.heightMm], [at[0] - half, outer.heightMm]], side)} fill={i === 0 ? 'var(--plate)' : 'none'} stroke="var(--web)" strokeWidth={i === 0 ? 5 : 3} strokeDasharray={i === 0 ? undefined : '8 5'} opacity={0.9} />
        })}
        {strap.length > 1 && <path d={`M${strap.map(([x, , z]) => side([x, z])).join('L')}`} fill="none" stroke="var(--chalk)" strokeWidth={4} />}
        <text x={16} y={floorY + 28} fontSize={14} fill="var(--ink)">
          From above, the car’s left at the top
        </text>
        <path d={shut(space.floor, plan)} fill="var(--plate-far)" stroke="var(--ink)" strokeWidth={2} />
        {space.arches.map(({ xMm, yMm }, i) => (
          <path key={i} d={shut([[xMm[0], yMm[0]], [xMm[1], yMm[0]], [xMm[1], yMm[1]], [xMm[0], yMm[1]]], plan)} fill="var(--mat)" stroke="var(--ink)" strokeWidth={1.6} />
        ))}
        {boxes.map((box, i) => (
          <g key={box.name + String(i)}>
            <path d={shut(corners(box), plan)} fill="var(--plate)" stroke="var(--web)" strokeWidth={5} opacity={0.9} />
            <text x={planAt(box.at).x} y={planAt(box.at).y + 5} fontSize={14} fontWeight={700} textAnchor="middle" fill="var(--ink)">
              {box.name}
            </text>
          </g>
        ))}
        {strap.length > 1 && <path d={`M${strap.map(([x, y]) => plan([x, y])).join('L')}`} fill="none" stroke="var(--chalk)" strokeWidth={4} />}
        {space.anchors.map(([x, y], i) => (
          <g key={i}>
            <circle cx={planAt([x, y]).x} cy={planAt([x, y]).y} r={9} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.6} />
            <text x={planAt([x, y]).x} y={planAt([x, y]).y + 4.5} fontSize={13} fontWeight={700} textAnchor="middle" fill="var(--ink)">
              {i + 1}
            </text>
          </g>
        ))}
        {onSpace && (
          <>
            {space.side.map((p, i) =>
              p[1] < 1 ? null : handle(`side${i}`, `Side, corner ${i + 1}`, sideAt(p), { x: p[0] > long / 2 ? 26 : -26, y: -10 }, p[0] < 1 ? 'up' : 'both', p[1], (was, along, up) => ({ ...was, side: moved(was.side, i, [p[0] < 1 ? 0 : along, up]) })),
            )}
            {space.floor.map((p, i) =>
              handle(`floor${i}`, `Floor, corner ${i + 1}`, planAt(p), { x: p[0] > long / 2 ? 28 : -28, y: p[1] > wide / 2 ? -18 : 18 }, p[0] < 1 ? 'up' : 'both', p[0] < 1 ? p[1] : p[0], (was, along, up) => {
                const floor = moved(was.floor, i, [p[0] < 1 ? 0 : along, up])
                const far = Math.max(...floor.map(([x]) => x))
                // The floor's far edge is the side's too.
                return { ...was, floor, side: was.side.map(([x, z]): [number, number] => (z < 1 && x > 1 ? [far, z] : [x, z])) }
              }),
            )}
            {space.arches.map(({ xMm, yMm }, i) => {
              const onLeft = (yMm[0] + yMm[1]) / 2 > wide / 2
              const inner = onLeft ? yMm[0] : yMm[1]
              return handle(`arch${i}`, `Arch ${onLeft ? 'left' : 'right'}, its inner edge`, planAt([(xMm[0] + xMm[1]) / 2, inner]), { x: 0, y: onLeft ? 24 : -24 }, 'up', onLeft ? wide - inner : inner, (was, _, up) => ({
                ...was,
                arches: was.arches.map((arch, k) => (k !== i ? arch : { ...arch, yMm: onLeft ? [Math.min(arch.yMm[1], Math.max(0, arch.yMm[0] + up)), arch.yMm[1]] : [arch.yMm[0], Math.max(arch.yMm[0], arch.yMm[1] + up)] })),
              }))
            })}
          </>
        )}
      </svg>
    </div>
  ) // prettier-ignore
}

/** A box from the side at a place on its way. */
const cornersAt = (x: number, z: number, turned: number, { lengthMm, heightMm }: Box): [number, number][] =>
  ([[1, 1], [-1, 1], [-1, -1], [1, -1]] as const).map(([u, v]) => [x + (u * lengthMm * Math.cos(turned)) / 2 - (v * heightMm * Math.sin(turned)) / 2, z + (u * lengthMm * Math.sin(turned)) / 2 + (v * heightMm * Math.cos(turned)) / 2]) // prettier-ignore
