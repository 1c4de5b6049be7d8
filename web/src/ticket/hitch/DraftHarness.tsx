import type { DraftNow } from './draft-now'
import { fixed, lineThrough, type Point } from '../../ui/plates/geometry'

interface DraftHarnessProps {
  now: DraftNow
  /** A shaft hangs in loops: they and the belly band are drawn. */
  loops: boolean
  /** A place of the dog, its own axes, from the side. */
  to: (xMm: number, zMm: number) => Point
}

/** A drafting harness on the dog, from the side: neck, keel, cinch under the traces, band ahead of the breastbone’s end. */
export function DraftHarness({ now: { places }, loops, to }: DraftHarnessProps) {
  const { upper, lower, ring, cinch, band, loop, withers } = places
  const low = to(cinch.xMm, cinch.underMm)
  const [top, span, lump] = [to(withers.xMm, withers.zMm), to(upper[0], upper[2]), to(lower[0], lower[2])]
  const back = to(cinch.xMm, cinch.topMm)
  const at = to(ring[0], ring[2])
  const bulge = (a: Point, b: Point, by: number): string =>
    `M${fixed(a.x)} ${fixed(a.y)}Q${fixed((a.x + b.x) / 2 + by)} ${fixed((a.y + b.y) / 2)} ${fixed(b.x)} ${fixed(b.y)}`
  const straps: [id: string, d: string][] = [
    ['keel', lineThrough([lump, low])],
    ['lower', lineThrough([low, at])],
    ['cinch', bulge(back, low, 4)],
    ['neck', bulge(top, lump, 10)],
    ['back', lineThrough([top, back])],
    ['upper', lineThrough([span, at])],
  ]
  if (loops) straps.splice(3, 0, ['band', bulge(to(band.xMm, band.topMm), to(band.xMm, band.underMm), 4)])
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      {straps.map(([id, d]) => (
        <g key={id}>
          <path d={d} stroke="var(--plate)" strokeWidth={7.5} />
          <path d={d} stroke="var(--web)" strokeWidth={5} />
          <path d={d} stroke="var(--plate)" strokeWidth={1} strokeDasharray="3 3" />
        </g>
      ))}
      {loops && <ellipse cx={to(loop.xMm, loop.zMm).x} cy={to(loop.xMm, loop.zMm).y} rx={4.5} ry={7} stroke="var(--web)" strokeWidth={4} fill="none" />}
    </g>
  )
}
