import { convex, largest, sidesOf, type Corner, type Limit } from './flat-limits.ts'

/** A car's load space: x from sill to seat back, y to the left, z up, mm. */
export interface LoadSpace {
  /** The floor from above, convex. */
  floor: readonly (readonly [x: number, y: number])[]
  /** From the side, convex: roof, sill, leaning seat back. */
  side: readonly (readonly [x: number, z: number])[]
  /** Wheel arches and other boxes standing on the floor. */
  arches: readonly { xMm: readonly [from: number, to: number]; yMm: readonly [from: number, to: number]; heightMm: number }[]
}

export interface Box {
  lengthMm: number
  widthMm: number
  heightMm: number
}

const askBox = ({ lengthMm, widthMm, heightMm }: Box): void => {
  for (const mm of [lengthMm, widthMm, heightMm])
    if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`a box is longer, wider and higher than 0 mm: ${mm}`)
}

/** Limits a box keeps, standing on the floor, but for the arches. */
function limitsOf({ floor, side }: LoadSpace, { lengthMm, widthMm, heightMm }: Box, yaw: number): Limit[] {
  const [c, s] = [Math.cos(yaw), Math.sin(yaw)]
  /** How far the box reaches in a direction, and what a millimetre of growth adds. */
  const reach = (nx: number, ny: number): { mm: number; per: number } => {
    const [u, v] = [Math.abs(nx * c + ny * s), Math.abs(-nx * s + ny * c)]
    return { mm: (u * lengthMm + v * widthMm) / 2, per: u + v }
  }
  const onFloor = sidesOf(convex(floor, 'floor')).map(({ nx, ny, out }): Limit => {
    const { mm, per } = reach(nx, ny)
    return { nx, ny, ng: per, most: out - mm }
  })
  // In the side view the box is as long as its shadow; what leans over it takes its top, which grows with it.
  const shadow = reach(1, 0)
  const upright = sidesOf(convex(side, 'side')).flatMap(({ nx, ny: nz, out }): Limit[] => {
    const up = Math.max(0, nz)
    // The floor itself is no limit: the box stands on it.
    if (up === 0 && Math.abs(nx) < 1e-9) return []
    return [{ nx, ny: 0, ng: Math.abs(nx) * shadow.per + up, most: out - Math.abs(nx) * shadow.mm - up * heightMm }]
  })
  return [...onFloor, ...upright]
}

/** Ways to keep clear of an arch: on one side of one of its faces, or it on one side of the box's own. */
function ways({ xMm: [x0, x1], yMm: [y0, y1] }: LoadSpace['arches'][number], { lengthMm, widthMm }: Box, yaw: number): Limit[] {
  const [c, s] = [Math.cos(yaw), Math.sin(yaw)]
  const corners: Corner[] = [[x0, y0], [x1, y0], [x1, y1], [x0, y1]] // prettier-ignore
  const shadow = (nx: number, ny: number): { mm: number; per: number } => {
    const [u, v] = [Math.abs(nx * c + ny * s), Math.abs(-nx * s + ny * c)]
    return { mm: (u * lengthMm + v * widthMm) / 2, per: u + v }
  }
  const normals: Corner[] = [[1, 0], [-1, 0], [0, 1], [0, -1], [c, s], [-c, -s], [-s, c], [s, -c]] // prettier-ignore
  return normals.map(([nx, ny]) => {
    const { mm, per } = shadow(nx, ny)
    // The box lies wholly before the arch along the normal.
    const least = Math.min(...corners.map(([x, y]) => nx * x + ny * y))
    return { nx, ny, ng: per, most: least - mm }
  })
}

/** The best over all ways past the arches: one at a time, and only those that are in the way. */
function best(
  limits: readonly Limit[],
  arches: readonly Limit[][],
  gain: { x: number; y: number; g: number },
  gFixed: number | undefined,
  floorValue = -Infinity,
): ReturnType<typeof largest> {
  const found = largest(limits, gain, gFixed)
  if (!found || found.value <= floorValue + 1e-9) return null
  const clear = (way: Limit): boolean => way.nx * found.x + way.ny * found.y + way.ng * found.g <= way.most + 1e-6
  const blocked = arches.findIndex((each) => !each.some(clear))
  if (blocked < 0) return found
  const rest = arches.filter((_, i) => i !== blocked)
  let top: ReturnType<typeof largest> = null
  for (const way of arches[blocked] ?? []) {
    const each = best([...limits, way], rest, gain, gFixed, Math.max(floorValue, top?.value ?? -Infinity))
    if (each && (!top || each.value > top.value)) top = each
  }
  return top
}

const archesOf = ({ arches }: LoadSpace, box: Box, yaw: number): Limit[][] => {
  for (const { xMm, yMm, heightMm } of arches)
    if (![...xMm, ...yMm, heightMm].every(Number.isFinite) || xMm[1] < xMm[0] || yMm[1] < yMm[0]) throw new RangeError('an arch goes from less to more')
  return arches.filter(({ heightMm, xMm, yMm }) => heightMm > 0 && xMm[1] > xMm[0] && yMm[1] > yMm[0]).map((arch) => ways(arch, box, yaw))
}

/**
 * Room a box has in a load space when it stands turned so far: how much each of its sides could grow, top included;
 * negative: so much too big. Exact for flat sides; curved floors are not known.
 *
 * @param yawRad the box's length against x
 * @returns where its middle stands then; `null` where it could not shrink enough to stand anywhere
 * @throws RangeError for a floor or side that is no convex outline, or a box that is none
 */
export function roomFor(space: LoadSpace, box: Box, yawRad: number): { roomMm: number; at: [x: number, y: number] } | null {
  askBox(box)
  if (!Number.isFinite(yawRad)) throw new RangeError(`a turn is an angle: ${yawRad}`)
  const found = best(limitsOf(space, box, yawRad), archesOf(space, box, yawRad), { x: 0, y: 0, g: 1 }, undefined)
  // A box shrunk to nothing stands nowhere.
  return found && found.g > -Math.min(box.lengthMm, box.widthMm) / 2 && found.g > -box.heightMm ? { roomMm: found.g, at: [found.x, found.y] } : null
}

interface Beside {
  yawRad: readonly [a: number, b: number]
  /** The line they stand along. */
  along: 'x' | 'y'
}

/**
 * Two boxes beside each other in the better order, each against its own end: what is left between, negative where they do
 * not both go in, and where their middles stand.
 *
 * @returns `null` where one of them does not go in alone
 * @throws RangeError for a space or a box that is none
 */
export function placesBeside(
  space: LoadSpace,
  a: Box,
  b: Box,
  { yawRad, along }: Beside,
): { betweenMm: number; at: [[x: number, y: number], [x: number, y: number]] } | null {
  for (const box of [a, b]) askBox(box)
  const ends = ([a, b] as const).map((box, i) => {
    const yaw = yawRad[i] as number
    const [limits, arches] = [limitsOf(space, box, yaw), archesOf(space, box, yaw)]
    const to = (sign: 1 | -1) => best(limits, arches, { x: along === 'x' ? sign : 0, y: along === 'y' ? sign : 0, g: 0 }, 0)
    const [c, s] = [Math.abs(Math.cos(yaw)), Math.abs(Math.sin(yaw))]
    const half = along === 'x' ? (c * box.lengthMm + s * box.widthMm) / 2 : (s * box.lengthMm + c * box.widthMm) / 2
    const [high, low] = [to(1), to(-1)]
    return high === null || low === null ? null : { high, low, half }
  })
  const [one, two] = ends
  if (!one || !two) return null
  const gap = (lower: typeof one, upper: typeof one): number => upper.high.value - upper.half - (-lower.low.value + lower.half)
  const spot = ({ x, y }: { x: number; y: number }): [number, number] => [x, y]
  const [first, other] = [gap(one, two), gap(two, one)]
  return first >= other ? { betweenMm: first, at: [spot(one.low), spot(two.high)] } : { betweenMm: other, at: [spot(one.high), spot(two.low)] }
}

/**
 * What is left between two boxes beside each other, in the better order, negative where they do not both go in.
 *
 * @returns mm; `null` where one of them does not go in alone
 */
export const sideBySide = (space: LoadSpace, a: Box, b: Box, how: Beside): number | null => placesBeside(space, a, b, how)?.betweenMm ?? null
