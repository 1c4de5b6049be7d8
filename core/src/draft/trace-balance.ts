import { linearRegression } from 'simple-statistics'
import { askNumbers } from '../units/index.ts'

type Vec = readonly [x: number, y: number, z: number]

/** The six traces. */
export const TRACES = ['upperLeft', 'upperRight', 'lowerLeft', 'lowerRight', 'rearLeft', 'rearRight'] as const
export type Trace = (typeof TRACES)[number]

export interface TraceQuestion {
  pullN: number
  /** Where the primaries leave the body on its left side, mm: x forward, y left, z up; the right is its mirror. */
  upper: { xMm: number; yMm: number; zMm: number }
  lower: { xMm: number; yMm: number; zMm: number }
  /** How far out the body holds the side rings. */
  ringYMm: number
  /** The bar: its width and height, whether it swings, and how far behind its line the pulling eye lies. */
  bar: { widthMm: number; zMm: number; swings: boolean; eyeMm?: number }
  lengthMm: Record<Trace, number>
  /** Webbing’s EA, N. */
  webbingN: number
  /** What coat, flesh and harness give under a primary, N/m. */
  giveNpm: number
}

export interface TraceBalance {
  tensionN: Record<Trace, number>
  /** The left’s share of the pull. */
  leftShare: number
  /** The upper primary’s share on each side. */
  upperShare: { left: number; right: number }
  /** Plus where the left end of the bar lies back. */
  skewRad: number
  slack: Trace[]
}

/** Under this share of the pull a trace counts as slack. Ours. */
const SLACK = 1e-4
const TURNS = 80
const CLOSE = 1e-9

interface Spring {
  id: Trace
  from: (u: readonly number[]) => Vec
  to: (u: readonly number[]) => Vec
  /** Which unknowns its ends depend on, and how. */
  restMm: number
  /** N/mm. */
  k: number
}

/** Derivatives of an end by the unknowns, as columns; only the bar’s skew bends. */
type Ends = { d: (u: readonly number[]) => Vec[]; bends: (u: readonly number[]) => Vec | null }

/**
 * How unequal traces share a pull: six strings that only pull, their rings free along and up, held sideways by the body;
 * behind them a bar that swings or is fixed. Least energy by Newton’s method with damping.
 *
 * Which side takes more behind a fixed bar hangs on what coat, flesh and harness give, and nobody knows that: show it soft,
 * usual and firm, or by this dog’s own pulls (`giveFrom`).
 *
 * @throws RangeError for a number that is none, or a length, stiffness or pull of nothing
 * Source: statics of strings; checked against a registry’s solver in `core/check`
 */
export function traceBalance({ pullN, upper, lower, ringYMm, bar, lengthMm, webbingN, giveNpm }: TraceQuestion): TraceBalance {
  askNumbers({ pullN, webbingN, giveNpm, 'bar.widthMm': bar.widthMm, ...lengthMm }, 1e-6)
  askNumbers({ ...spread('upper', upper), ...spread('lower', lower), ringYMm, 'bar.zMm': bar.zMm, eyeMm: bar.eyeMm ?? 0 })
  const eye = bar.eyeMm ?? 0
  const half = bar.widthMm / 2
  // Unknowns: the eye’s x; the skew by the bar’s half width, mm; x and z of the left and of the right ring.
  const anchor = (at: TraceQuestion['upper'], side: 1 | -1): Vec => [at.xMm, side * at.yMm, at.zMm]
  const ring = (u: readonly number[], side: 1 | -1): Vec => [u[side === 1 ? 2 : 4] as number, side * ringYMm, u[side === 1 ? 3 : 5] as number]
  const skewOf = (u: readonly number[]): number => (bar.swings ? (u[1] as number) / half : 0)
  const end = (u: readonly number[], side: 1 | -1): Vec => {
    const s = skewOf(u)
    return [(u[0] as number) + eye * Math.cos(s) - side * half * Math.sin(s), eye * Math.sin(s) + side * half * Math.cos(s), bar.zMm]
  }
  const primary = (L: number): number => 1 / (L / webbingN + 1000 / giveNpm)
  const springs: Spring[] = ([1, -1] as const).flatMap((side): Spring[] => {
    const name = side === 1 ? 'Left' : 'Right'
    const of = (part: 'upper' | 'lower' | 'rear'): Trace => `${part}${name}`
    return [
      { id: of('upper'), from: () => anchor(upper, side), to: (u) => ring(u, side), restMm: lengthMm[of('upper')], k: primary(lengthMm[of('upper')]) },
      { id: of('lower'), from: () => anchor(lower, side), to: (u) => ring(u, side), restMm: lengthMm[of('lower')], k: primary(lengthMm[of('lower')]) },
      { id: of('rear'), from: (u) => ring(u, side), to: (u) => end(u, side), restMm: lengthMm[of('rear')], k: webbingN / lengthMm[of('rear')] },
    ]
  })
  const ringEnds = (side: 1 | -1): Ends => ({
    d: () => Array.from({ length: 6 }, (_, i): Vec => (i === (side === 1 ? 2 : 4) ? [1, 0, 0] : i === (side === 1 ? 3 : 5) ? [0, 0, 1] : [0, 0, 0])),
    bends: () => null,
  })
  const barEnds = (side: 1 | -1): Ends => ({
    d: (u) => {
      const s = skewOf(u)
      const ds: Vec = bar.swings
        ? [(-eye * Math.sin(s) - side * half * Math.cos(s)) / half, (eye * Math.cos(s) - side * half * Math.sin(s)) / half, 0]
        : [0, 0, 0]
      return [[1, 0, 0], ds, [0, 0, 0], [0, 0, 0], [0, 0, 0], [0, 0, 0]]
    },
    bends: (u) => {
      const s = skewOf(u)
      return bar.swings ? [(-eye * Math.cos(s) + side * half * Math.sin(s)) / half ** 2, (-eye * Math.sin(s) - side * half * Math.cos(s)) / half ** 2, 0] : null
    },
  })
  const still: Ends = { d: () => Array.from({ length: 6 }, (): Vec => [0, 0, 0]), bends: () => null }
  const endsOf = ({ id }: Spring): [Ends, Ends] => {
    const side = id.endsWith('Left') ? 1 : -1
    return id.startsWith('rear') ? [ringEnds(side), barEnds(side)] : [still, ringEnds(side)]
  }

  const energyOf = (u: readonly number[]): number =>
    springs.reduce(
      (sum, { from, to, restMm, k }) => {
        const stretch = Math.max(0, apart(from(u), to(u)) - restMm)
        return sum + (k * stretch * stretch) / 2
      },
      pullN * (u[0] as number),
    )
  const free = bar.swings ? [0, 1, 2, 3, 4, 5] : [0, 2, 3, 4, 5]
  const slopes = (u: readonly number[]): { g: number[]; h: number[][] } => {
    const g = Array.from({ length: 6 }, () => 0)
    const h = Array.from({ length: 6 }, () => Array.from({ length: 6 }, () => 0))
    g[0] = pullN
    for (const spring of springs) {
      const [p, q] = [spring.from(u), spring.to(u)]
      const r = apart(p, q)
      const stretch = r - spring.restMm
      if (stretch <= 0 || r === 0) continue
      const n = minus(q, p).map((value) => value / r) as unknown as Vec
      const force = spring.k * stretch
      const [a, b] = endsOf(spring)
      const [da, db] = [a.d(u), b.d(u)]
      const rel = db.map((each, i) => minus(each, da[i] as Vec))
      for (let i = 0; i < 6; i++) {
        const along = dot(n, rel[i] as Vec)
        g[i] = (g[i] as number) + force * along
        for (let j = 0; j <= i; j++) {
          const other = dot(n, rel[j] as Vec)
          const both = dot(rel[i] as Vec, rel[j] as Vec)
          const value = spring.k * along * other + (force / r) * (both - along * other)
          ;(h[i] as number[])[j] = ((h[i] as number[])[j] as number) + value
        }
      }
      const [ba, bb] = [a.bends(u), b.bends(u)]
      const bend = (bb ? dot(n, bb) : 0) - (ba ? dot(n, ba) : 0)
      ;(h[1] as number[])[1] = ((h[1] as number[])[1] as number) + force * bend
    }
    for (let i = 0; i < 6; i++) for (let j = i + 1; j < 6; j++) (h[i] as number[])[j] = (h[j] as number[])[i] as number
    return { g, h }
  }

  let u = startOf({ upper, lower, bar, lengthMm, eye })
  let energy = energyOf(u)
  let damping = 1e-3
  for (let turn = 0; turn < TURNS; turn++) {
    const { g, h } = slopes(u)
    if (Math.hypot(...free.map((i) => g[i] as number)) < CLOSE * pullN) break
    let stepped = false
    for (let attempt = 0; attempt < 40 && !stepped; attempt++) {
      const step = solve(
        free.map((i) => free.map((j) => ((h[i] as number[])[j] as number) + (i === j ? damping : 0))),
        free.map((i) => -(g[i] as number)),
      )
      if (step) {
        const next = u.map((value, i) => value + (free.includes(i) ? (step[free.indexOf(i)] as number) : 0))
        const there = energyOf(next)
        if (there < energy || (there === energy && damping < 1e-9)) {
          u = next
          energy = there
          damping = Math.max(1e-12, damping / 6)
          stepped = true
          continue
        }
      }
      damping = Math.max(1e-9, damping * 6)
    }
    if (!stepped) break
  }

  const tensionN = Object.fromEntries(springs.map(({ id, from, to, restMm, k }) => [id, k * Math.max(0, apart(from(u), to(u)) - restMm)])) as Record<
    Trace,
    number
  >
  const along = (id: 'rearLeft' | 'rearRight'): number => {
    const spring = springs.find((each) => each.id === id) as Spring
    const [p, q] = [spring.from(u), spring.to(u)]
    return (tensionN[id] * (p[0] - q[0])) / apart(p, q)
  }
  const [left, right] = [along('rearLeft'), along('rearRight')]
  const share = (a: number, b: number): number => (a + b > 0 ? a / (a + b) : 0.5)
  return {
    tensionN,
    leftShare: share(left, right),
    upperShare: { left: share(tensionN.upperLeft, tensionN.lowerLeft), right: share(tensionN.upperRight, tensionN.lowerRight) },
    skewRad: skewOf(u),
    slack: TRACES.filter((id) => tensionN[id] < SLACK * pullN),
  }
}

const spread = (name: string, { xMm, yMm, zMm }: TraceQuestion['upper']): Record<string, number> => ({
  [`${name}.xMm`]: xMm,
  [`${name}.yMm`]: yMm,
  [`${name}.zMm`]: zMm,
})
const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const apart = (a: Vec, b: Vec): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])

/** Everything drawn a little too far back, so that each trace pulls at first. */
function startOf({ upper, lower, bar, lengthMm, eye }: Pick<TraceQuestion, 'upper' | 'lower' | 'bar' | 'lengthMm'> & { eye: number }): number[] {
  const ringAt = (side: 'Left' | 'Right'): [number, number] => [
    Math.min(upper.xMm - lengthMm[`upper${side}`], lower.xMm - lengthMm[`lower${side}`]),
    (upper.zMm + lower.zMm) / 2,
  ]
  const [left, right] = [ringAt('Left'), ringAt('Right')]
  const barX = Math.min(left[0] - lengthMm.rearLeft, right[0] - lengthMm.rearRight) - Math.abs(bar.zMm - left[1]) * 0.02 - 5
  return [barX - eye, 0, left[0], left[1], right[0], right[1]]
}

/** A small linear system by elimination with pivots; `null` where it has no one answer. */
function solve(a: readonly (readonly number[])[], b: readonly number[]): number[] | null {
  const n = b.length
  const m = a.map((row, i) => [...row, b[i] as number])
  for (let col = 0; col < n; col++) {
    let pivot = col
    for (let row = col + 1; row < n; row++) if (Math.abs((m[row] as number[])[col] as number) > Math.abs((m[pivot] as number[])[col] as number)) pivot = row
    ;[m[col], m[pivot]] = [m[pivot] as number[], m[col] as number[]]
    const top = m[col] as number[]
    if (Math.abs(top[col] as number) < 1e-14) return null
    for (let row = col + 1; row < n; row++) {
      const by = ((m[row] as number[])[col] as number) / (top[col] as number)
      for (let k = col; k <= n; k++) (m[row] as number[])[k] = ((m[row] as number[])[k] as number) - by * (top[k] as number)
    }
  }
  const x = Array.from({ length: n }, () => 0)
  for (let row = n - 1; row >= 0; row--) {
    let sum = (m[row] as number[])[n] as number
    for (let k = row + 1; k < n; k++) sum -= ((m[row] as number[])[k] as number) * (x[k] as number)
    x[row] = sum / ((m[row] as number[])[row] as number)
  }
  return x
}

/**
 * What coat, flesh and harness give on this dog, N/m: the slope of pulls on how far they moved, with a zero of their own.
 *
 * @throws RangeError for fewer than two pulls, all at one place, or a slope that is none
 * Source: least squares
 */
export function giveFrom(pulls: readonly { pullN: number; mm: number }[]): number {
  if (pulls.length < 2) throw new RangeError('pulls: two at least')
  for (const { pullN, mm } of pulls) askNumbers({ pullN, mm })
  if (new Set(pulls.map(({ mm }) => mm)).size === 1) throw new RangeError('pulls: all at one length')
  // From newtons a millimetre to newtons a metre.
  const slope = linearRegression(pulls.map(({ mm, pullN }) => [mm, pullN])).m * 1000
  if (!(slope > 0)) throw new RangeError('pulls: a harder pull must give more')
  return slope
}
