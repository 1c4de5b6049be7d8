import type { FingerGauge } from '../model/index.ts'

export type FlatPoint = readonly [x: number, y: number]

/** What goes under a strap flat: fingers side by side, or the flat hand. */
export type GaugeName = 'one' | 'two' | 'four' | 'hand'

export interface GaugeSize {
  widthMm: number
  thicknessMm: number
}

/** A block lying on an outline: the middle of its inner face, which way is out, and its size. */
export interface Block extends GaugeSize {
  at: FlatPoint
  /** Outwards, of any length. */
  normal: FlatPoint
}

/** Anybody's fingers. Source: handbook 7.1, from memory, unverified; people differ by up to half. */
const FINGER = { widthMm: 20, thicknessMm: 16 } as const
const COUNT = { one: 1, two: 2, four: 4, hand: 4 } as const

/**
 * The size of fingers lying flat, or of a flat hand: four's width by the hand's thickness.
 *
 * @param gauge whose they are (M49); `null`: 20 mm a finger by 16, which is to be said
 */
export function gaugeBlock(name: GaugeName, gauge: FingerGauge | null): GaugeSize {
  if (!gauge) return { widthMm: COUNT[name] * FINGER.widthMm, thicknessMm: FINGER.thicknessMm }
  const widthMm = name === 'one' ? gauge.twoMm / 2 : name === 'two' ? gauge.twoMm : gauge.fourMm
  return { widthMm, thicknessMm: name === 'hand' ? gauge.handMm : gauge.indexMm }
}

/** Convex hull, counterclockwise, by Andrew's monotone chain. */
export function hullOf(points: readonly FlatPoint[]): FlatPoint[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const turn = (o: FlatPoint, a: FlatPoint, b: FlatPoint): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0])
  const chain = (list: readonly FlatPoint[]): FlatPoint[] => {
    const out: FlatPoint[] = []
    for (const point of list) {
      while (out.length >= 2 && turn(out.at(-2) as FlatPoint, out.at(-1) as FlatPoint, point) <= 0) out.pop()
      out.push(point)
    }
    return out.slice(0, -1)
  }
  return sorted.length < 3 ? sorted : [...chain(sorted), ...chain(sorted.reverse())]
}

/** Length of a strap drawn tight round points in a plane. */
function tightRound(points: readonly FlatPoint[]): number {
  const hull = hullOf(points)
  return hull.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = hull[(i + 1) % hull.length] as FlatPoint
    return sum + Math.hypot(nextX - x, nextY - y)
  }, 0)
}

function cornersOf({ at, normal, widthMm, thicknessMm }: Block): FlatPoint[] {
  const length = Math.hypot(...normal)
  if (![...at, ...normal, widthMm, thicknessMm].every(Number.isFinite) || length === 0)
    throw new RangeError('block: a place, a direction and a size are numbers')
  if (widthMm < 0 || thicknessMm < 0) throw new RangeError('block: its size is not below nothing')
  const [nx, ny] = [normal[0] / length, normal[1] / length]
  const corner = (side: number, out: number): FlatPoint => [at[0] - (ny * side * widthMm) / 2 + nx * out, at[1] + (nx * side * widthMm) / 2 + ny * out]
  return [corner(-1, 0), corner(1, 0), corner(-1, thicknessMm), corner(1, thicknessMm)]
}

function askOutline(outline: readonly FlatPoint[]): void {
  if (outline.length < 3) throw new RangeError('outline: three points and more')
  for (const [x, y] of outline) if (!Number.isFinite(x) || !Number.isFinite(y)) throw new RangeError('outline: a point is no number')
}

/**
 * How much longer a strap is that lies tight over blocks on an outline than one tight on the outline alone, mm. Four and
 * four fingers are two blocks. Flesh gives: the true slack lies between half of it and all of it.
 *
 * Not 2 pi t: that is an even gap all round, and five times as much on a middle girth.
 *
 * @param outline a section of the body, closed, mm; over its hollows a strap goes straight
 * @throws RangeError for an outline of fewer than three points, or a number that is none
 * Source: derived (facts 9b), a taut strap without friction is the convex hull.
 */
export function slackUnder(outline: readonly FlatPoint[], blocks: readonly Block[]): number {
  askOutline(outline)
  return tightRound([...outline, ...blocks.flatMap(cornersOf)]) - tightRound(outline)
}

const MOST_FINGERS = 12

/**
 * How many flat fingers go side by side into the room a strap leaves, rounded down to halves.
 *
 * @param place where they go in: a point of the outline, and which way is out
 * @param roomMm strap less the tight ring, mm
 * @throws RangeError as `slackUnder`, or where the room is no number
 */
export function fingersIn(outline: readonly FlatPoint[], place: Pick<Block, 'at' | 'normal'>, roomMm: number, gauge: FingerGauge | null): number {
  askOutline(outline)
  if (!Number.isFinite(roomMm)) throw new RangeError('room: no number')
  const { widthMm, thicknessMm } = gaugeBlock('one', gauge)
  let most = 0
  for (let fingers = 0.5; fingers <= MOST_FINGERS; fingers += 0.5) {
    if (slackUnder(outline, [{ ...place, widthMm: fingers * widthMm, thicknessMm }]) > roomMm + 1e-9) break
    most = fingers
  }
  return most
}
