type Place = readonly [x: number, y: number, turn: number]
type Spot = readonly [x: number, y: number]
type Range = readonly [from: number, to: number]

export interface WayInQuestion {
  /** Walls as segments. */
  walls: readonly (readonly [Spot, Spot])[]
  /** The box as it is moved: from the side its length and height, from above its length and width. */
  lengthMm: number
  heightMm: number
  start: Place
  goal: Place
  /** How far it may be moved and turned. */
  within: { x: Range; y: Range; turnRad: Range }
  stepMm?: number
  stepRad?: number
}

/** Lattice steps: 10 mm and 1 degree are 3 to 6 mm pessimistic. */
const STEP_MM = 10
const STEP_RAD = Math.PI / 180
const MOST_NODES = 4_000_000
/** Clearances are told apart by this, mm. */
const GRAIN = 0.5

/** How far a box stands from a segment: the least of the larger of its two gaps, exact; negative inside. */
export function clearanceOf([x, y, turn]: Place, lengthMm: number, heightMm: number, [a, b]: readonly [Spot, Spot]): number {
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const into = ([px, py]: Spot): [number, number] => [(px - x) * c + (py - y) * s, -(px - x) * s + (py - y) * c]
  const [u0, v0] = into(a)
  const [u1, v1] = into(b)
  const [du, dv] = [u1 - u0, v1 - v0]
  const [hl, hh] = [lengthMm / 2, heightMm / 2]
  const at = (t: number): number => Math.max(Math.abs(u0 + du * t) - hl, Math.abs(v0 + dv * t) - hh)
  let least = Math.min(at(0), at(1))
  // Convex and made of straight pieces: the least lies at an end, at a fold, or where two pieces cross.
  const folds = [-u0 / du, -v0 / dv, (hl - hh - (u0 - v0)) / (du - dv), (hl - hh + (u0 + v0)) / -(du + dv), (hl - hh - (u0 + v0)) / (du + dv), (hl - hh + (u0 - v0)) / -(du - dv)] // prettier-ignore
  for (const t of folds) if (t > 0 && t < 1) least = Math.min(least, at(t))
  return least
}

/**
 * A way to bring a box in past walls, as wide as there is, and of those the one that turns least; level with a dog
 * inside: then `within` leaves no turn.
 *
 * @returns how much it gives at its narrowest, mm (within 10 mm it could go either way), and the way; `null` where there is none
 * @throws RangeError for a box, ranges or steps that are none
 */
export function wayIn({
  walls,
  lengthMm,
  heightMm,
  start,
  goal,
  within,
  stepMm = STEP_MM,
  stepRad = STEP_RAD,
}: WayInQuestion): { giveMm: number; path: [number, number, number][] } | null {
  for (const mm of [lengthMm, heightMm, stepMm, stepRad]) if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`lengths and steps are over 0: ${mm}`)
  const ranges = [within.x, within.y, within.turnRad] as const
  for (const [from, to] of ranges) if (!Number.isFinite(from) || !Number.isFinite(to) || to < from) throw new RangeError('a range goes from less to more')
  if (![...start, ...goal, ...walls.flat(2)].every(Number.isFinite)) throw new RangeError('places are numbers')
  const steps = [stepMm, stepMm, stepRad] as const
  const counts = ranges.map(([from, to], k) => Math.max(1, Math.round((to - from) / (steps[k] as number)) + 1)) as [number, number, number]
  const [nx, ny, nt] = counts
  const whole = nx * ny * nt
  if (whole > MOST_NODES) throw new RangeError(`too fine: ${whole} places`)
  const valueOf = (k: 0 | 1 | 2, i: number): number => (counts[k] === 1 ? ranges[k][0] : ranges[k][0] + ((ranges[k][1] - ranges[k][0]) * i) / (counts[k] - 1))
  const placeOf = (node: number): Place => [valueOf(0, node % nx), valueOf(1, Math.floor(node / nx) % ny), valueOf(2, Math.floor(node / (nx * ny)))]
  const nearest = (place: Place): number => {
    const at = ([0, 1, 2] as const).map((k) => {
      const [from, to] = ranges[k]
      return Math.min(counts[k] - 1, Math.max(0, Math.round(to > from ? ((place[k] - from) / (to - from)) * (counts[k] - 1) : 0)))
    }) as [number, number, number]
    return at[0] + nx * (at[1] + ny * at[2])
  }
  const clear = new Float32Array(whole).fill(Number.NaN)
  const clearAt = (node: number): number => {
    const known = clear[node] as number
    if (!Number.isNaN(known)) return known
    const place = placeOf(node)
    let least = 1e6
    for (const wall of walls) {
      const gap = clearanceOf(place, lengthMm, heightMm, wall)
      if (gap < least) least = gap
    }
    clear[node] = least
    return least
  }
  const [from, to] = [nearest(start), nearest(goal)]
  const near = (node: number): number[] => {
    const [i, j, k] = [node % nx, Math.floor(node / nx) % ny, Math.floor(node / (nx * ny))]
    const out: number[] = []
    if (i > 0) out.push(node - 1)
    if (i < nx - 1) out.push(node + 1)
    if (j > 0) out.push(node - nx)
    if (j < ny - 1) out.push(node + nx)
    if (k > 0) out.push(node - nx * ny)
    if (k < nt - 1) out.push(node + nx * ny)
    return out
  }
  const width = widest(from, to, clearAt, near, whole)
  // At rest it may touch, but not lie in a wall.
  if (width === null || width < 0) return null
  const path = leastTurning(
    from,
    to,
    (node) => clearAt(node) >= width - GRAIN,
    near,
    (a, b) => Math.abs(Math.floor(a / (nx * ny)) - Math.floor(b / (nx * ny))),
    whole,
  )
  return path && { giveMm: Math.min(...path.map(clearAt)), path: path.map((node) => [...placeOf(node)] as [number, number, number]) }
}

/** The largest width that is kept all the way: places are opened the widest first, in buckets. */
function widest(from: number, to: number, clearAt: (node: number) => number, near: (node: number) => number[], whole: number): number | null {
  const seen = new Uint8Array(whole)
  const buckets = new Map<number, number[]>()
  const grain = (mm: number): number => Math.floor(Math.min(mm, 400) / GRAIN)
  let top = grain(clearAt(from))
  buckets.set(top, [from])
  seen[from] = 1
  let narrowest = Infinity
  while (top >= 0) {
    const row = buckets.get(top)
    const node = row?.pop()
    if (node === undefined) {
      top--
      continue
    }
    narrowest = Math.min(narrowest, clearAt(node))
    if (node === to) return narrowest
    for (const next of near(node)) {
      if (seen[next]) continue
      seen[next] = 1
      // A place wider than what was passed already helps no more than that.
      const at = Math.min(top, grain(clearAt(next)))
      const into = buckets.get(at)
      if (into) into.push(next)
      else buckets.set(at, [next])
    }
  }
  return null
}

/** Among ways wide enough the one that turns least, then the shortest. */
function leastTurning(
  from: number,
  to: number,
  isOpen: (node: number) => boolean,
  near: (node: number) => number[],
  turns: (a: number, b: number) => number,
  whole: number,
): number[] | null {
  const before = new Int32Array(whole).fill(-1)
  const cost = new Float32Array(whole).fill(Infinity)
  const rows: number[][] = [[from]]
  cost[from] = 0
  // A turn costs as much as twenty steps aside.
  for (let at = 0; at < rows.length; at++) {
    const row = rows[at]
    if (!row) continue
    for (let i = 0; i < row.length; i++) {
      const node = row[i] as number
      if ((cost[node] as number) < at) continue
      if (node === to) {
        const path = [to]
        for (let back = before[to] as number; back >= 0; back = before[back] as number) path.unshift(back)
        return path
      }
      for (const next of near(node)) {
        const there = at + 1 + 20 * turns(node, next)
        if (there >= (cost[next] as number) || !(isOpen(next) || next === to)) continue
        cost[next] = there
        before[next] = node
        ;(rows[there] ??= []).push(next)
      }
    }
  }
  return null
}
