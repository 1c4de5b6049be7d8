import { askPlan, type DogPlan } from './dog-plan.ts'
import { bentPlaces, rimOf, type Posture } from './posture.ts'

/** Postures asked about: headings of half a turn, and shares of the bend. Halving both moves the answer by a tenth of a millimetre. */
const HEADINGS = 91
const SHARES = 25
const NODES = HEADINGS * SHARES

/** How much room each posture takes, along the crate and across. */
interface Extents {
  along: Float64Array
  across: Float64Array
}

const known = new WeakMap<DogPlan, Extents>()

function extentsOf(plan: DogPlan): Extents {
  const before = known.get(plan)
  if (before) return before
  askPlan(plan)
  const [along, across] = [new Float64Array(NODES), new Float64Array(NODES)]
  const rim = rimOf(plan)
  for (let s = 0; s < SHARES; s++) {
    const points = bentPlaces(plan, { headingRad: 0, share: s / (SHARES - 1) }, rim)
    for (let h = 0; h < HEADINGS; h++) {
      const at = (h / (HEADINGS - 1)) * Math.PI
      const [c, n] = [Math.cos(at), Math.sin(at)]
      let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity]
      for (const [px, py] of points) {
        const [x, y] = [px * c - py * n, px * n + py * c]
        if (x < x0) x0 = x
        if (x > x1) x1 = x
        if (y < y0) y0 = y
        if (y > y1) y1 = y
      }
      along[h * SHARES + s] = x1 - x0
      across[h * SHARES + s] = y1 - y0
    }
  }
  const found = { along, across }
  known.set(plan, found)
  return found
}

export interface TurningRoom {
  /** The narrowest crate of this length it turns round in, on four feet and level. */
  widthMm: number
  /** Its chest alone, laid across: under this it does not turn at all. */
  leastMm: number
  /** From head first to tail first, as it turns in that width. */
  path: Posture[]
}

const postureAt = (node: number): Posture => ({ headingRad: (Math.floor(node / SHARES) / (HEADINGS - 1)) * Math.PI, share: (node % SHARES) / (SHARES - 1) })

function* beside(node: number): Generator<number> {
  const [h, s] = [Math.floor(node / SHARES), node % SHARES]
  for (let dh = -1; dh <= 1; dh++)
    for (let ds = -1; ds <= 1; ds++) {
      const [to, bend] = [h + dh, s + ds]
      if ((dh !== 0 || ds !== 0) && to >= 0 && to < HEADINGS && bend >= 0 && bend < SHARES) yield to * SHARES + bend
    }
}

/** The least of the largest across along any way from the first heading to the last; `null` where none is as short as the crate. */
function leastWidth({ along, across }: Extents, lengthMm: number): number | null {
  const order = Array.from({ length: NODES }, (_, node) => node).filter((node) => (along[node] as number) <= lengthMm + 1e-9)
  order.sort((a, b) => (across[a] as number) - (across[b] as number))
  // Two more places stand for both ends.
  const parent = Int32Array.from({ length: NODES + 2 }, (_, i) => i)
  const root = (i: number): number => {
    while (parent[i] !== i) {
      parent[i] = parent[parent[i] as number] as number
      i = parent[i] as number
    }
    return i
  }
  const open = new Uint8Array(NODES)
  for (const node of order) {
    open[node] = 1
    for (const other of beside(node)) if (open[other]) parent[root(node)] = root(other)
    if (node < SHARES) parent[root(node)] = root(NODES)
    if (node >= NODES - SHARES) parent[root(node)] = root(NODES + 1)
    if (root(NODES) === root(NODES + 1)) return across[node] as number
  }
  return null
}

/** The way with the fewest turns that stays within both. */
function pathWithin({ along, across }: Extents, lengthMm: number, widthMm: number): Posture[] {
  const fits = (node: number): boolean => (along[node] as number) <= lengthMm + 1e-9 && (across[node] as number) <= widthMm + 1e-9
  const from = new Int32Array(NODES).fill(-2)
  let row: number[] = []
  for (let s = 0; s < SHARES; s++)
    if (fits(s)) {
      from[s] = -1
      row.push(s)
    }
  let end = -1
  while (row.length > 0 && end < 0) {
    const next: number[] = []
    for (const node of row) {
      if (node >= NODES - SHARES) {
        end = node
        break
      }
      for (const other of beside(node))
        if (from[other] === -2 && fits(other)) {
          from[other] = node
          next.push(other)
        }
    }
    row = next
  }
  const path: number[] = []
  for (let node = end; node >= 0; node = from[node] as number) path.unshift(node)
  return [...led(path[0], fits, 0), ...path, ...led(path.at(-1), fits, HEADINGS - 1).reverse()].map(postureAt)
}

/** From straight to the bend the way begins with, where the crate leaves room to stand straight. */
function led(node: number | undefined, fits: (node: number) => boolean, heading: number): number[] {
  if (node === undefined) return []
  const steps = Array.from({ length: node % SHARES }, (_, s) => heading * SHARES + s)
  return steps.every(fits) ? steps : []
}

/**
 * How wide a crate must be for a dog to turn round in it, on four feet: the least width over all ways of bending and
 * turning half round. A posture fits where its extents do; they change without steps, so the widest place of the best way
 * decides.
 *
 * @param lengthMm the crate's length inside
 * @returns `null` where no posture is as short as the crate
 * @throws RangeError for a plan or a length that is none
 */
export function turningRoom(plan: DogPlan, lengthMm: number): TurningRoom | null {
  if (!(lengthMm > 0) || !Number.isFinite(lengthMm)) throw new RangeError(`a length is over 0 mm: ${lengthMm}`)
  const extents = extentsOf(plan)
  const widthMm = leastWidth(extents, lengthMm)
  if (widthMm === null) return null
  return { widthMm, leastMm: plan.links[plan.stiff]?.lengthMm ?? 0, path: pathWithin(extents, lengthMm, widthMm) }
}
