import type { DogPlan } from './dog-plan.ts'

/** A posture on the spot: where the chest points, and by what part of the whole every link is bent. */
export interface Posture {
  headingRad: number
  /** 0 straight, 1 bent as far as it goes. */
  share: number
}

type Point = readonly [x: number, y: number]

/** The middle line of a bent dog: joints and the directions of its links, nose first; the nose points along the direction, the rest trails behind. */
interface Spine {
  joints: Point[]
  directions: number[]
  ends: number[]
}

function spineOf({ links, stiff }: DogPlan, { headingRad, share }: Posture): Spine {
  const directions = links.map(() => headingRad)
  // Head and tail turn the same way round: the dog lies along one arc.
  for (let i = stiff - 1; i >= 0; i--) directions[i] = (directions[i + 1] as number) + share * (links[i]?.bendRad ?? 0)
  for (let i = stiff + 1; i < links.length; i++) directions[i] = (directions[i - 1] as number) - share * (links[i]?.bendRad ?? 0)
  let [x, y] = [0, 0]
  let past = 0
  const joints: Point[] = [[0, 0]]
  const ends: number[] = []
  for (const [i, { lengthMm }] of links.entries()) {
    const at = directions[i] as number
    x -= lengthMm * Math.cos(at)
    y -= lengthMm * Math.sin(at)
    past += lengthMm
    joints.push([x, y])
    ends.push(past)
  }
  return { joints, directions, ends }
}

/** Where a place of the straight dog comes to lie: along from the nose, across to its left. */
function bent({ joints, directions, ends }: Spine, along: number, across: number): Point {
  let i = ends.findIndex((end) => along <= end)
  if (i < 0) i = ends.length - 1
  const from = joints[i] as Point
  const at = directions[i] as number
  const past = along - (ends[i - 1] ?? 0)
  // Across a joint the skin turns gradually, half a link before and half after.
  const length = (ends[i] as number) - (ends[i - 1] ?? 0)
  const t = length > 0 ? past / length : 0
  const other = directions[t < 0.5 ? i - 1 : i + 1]
  const skin = other === undefined ? at : at + (other - at) * Math.abs(0.5 - Math.min(1, Math.max(0, t)))
  return [from[0] - past * Math.cos(at) - across * Math.sin(skin), from[1] - past * Math.sin(at) + across * Math.cos(skin)]
}

/** Where places of the straight dog (along from the nose, across to its left, mm) lie in a posture; the nose at the origin. */
export function bentPlaces(plan: DogPlan, posture: Posture, places: readonly Point[]): [number, number][] {
  const spine = spineOf(plan, posture)
  return places.map(([along, across]) => {
    const [x, y] = bent(spine, along, across)
    return [x, y]
  })
}

/** Places both sides of a dog that say how much room it takes: its widths, its joints, and between them. */
export function rimOf({ links, halves }: DogPlan): [along: number, across: number][] {
  const long = links.reduce((sum, { lengthMm }) => sum + lengthMm, 0)
  const places = new Set<number>([0, long, ...halves.map(([at]) => at)])
  let past = 0
  for (const { lengthMm } of links) {
    places.add(past + lengthMm / 2)
    places.add((past += lengthMm))
  }
  const row = [...places].filter((at) => at >= 0 && at <= long + 1e-9).sort((a, b) => a - b)
  const left = row.map((at): [number, number] => [at, halfAt(halves, at)])
  return [...left, ...[...left].reverse().map(([at, half]): [number, number] => [at, -half])]
}

/** Half width at a place, straight between those that are known. */
export function halfAt(halves: DogPlan['halves'], at: number): number {
  const i = halves.findIndex(([along]) => along >= at)
  const [before, after] = [halves[i - 1], halves[i]]
  if (i < 0) return halves.at(-1)?.[1] ?? 0
  if (!before || !after) return after?.[1] ?? 0
  const t = after[0] > before[0] ? (at - before[0]) / (after[0] - before[0]) : 1
  return before[1] + (after[1] - before[1]) * t
}

/** A posture's outline, closed, its box's middle at the origin; x along the crate. */
export function postureOutline(plan: DogPlan, posture: Posture): [number, number][] {
  const points = bentPlaces(plan, posture, rimOf(plan))
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const middle = (of: readonly number[]): number => (Math.min(...of) + Math.max(...of)) / 2
  const [mx, my] = [middle(xs), middle(ys)]
  return points.map(([x, y]) => [x - mx, y - my])
}
