/*
 * Seating: what is to be least, under straps that are no longer than they are. Sequential quadratic programming with a
 * penalty of its own: the multipliers of the small problem are capped by it, so that a strap too short for any path misses
 * by the least instead of stopping everything.
 */

export interface Evaluated {
  value: number
  gradient: Float64Array
  /** Strap course less strap, by strap; above nothing it would have to stretch. */
  over: Float64Array
  /** Slopes of these, strap after strap. */
  rows: Float64Array
}

export interface SeatProblem {
  unknowns: number
  straps: number
  low: Float64Array
  high: Float64Array
  /** Lengths; all unknowns are scaled to millimetres. */
  evaluate: (at: Float64Array) => Evaluated
  /** A length the dog is long by: steps and curvature are judged by it. */
  sizeMm: number
}

export interface Seat {
  at: Float64Array
  evaluated: Evaluated
  multipliers: Float64Array
  settled: boolean
}

const PENALTY = 12
const MOST_STEP = 0.3
const TURNS = 60
/** Settled where neither a step nor a strap misses by more, mm. */
const NEAR = 0.02
/** What is not worth another step: forces of one times millimetres. */
const GAIN = 2e-4
const SHAKES = 4

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number)
  return sum
}

/** What a seat is worth: the value and what every strap misses by. */
function merit({ value, over }: Evaluated, penalty: number): number {
  let sum = value
  for (let i = 0; i < over.length; i++) sum += penalty * Math.max(0, over[i] as number)
  return sum
}

/** Inverse of a small positive definite matrix, by Cholesky. */
function inverse(matrix: Float64Array, n: number): Float64Array | null {
  const lower = new Float64Array(n * n)
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i * n + j] as number
      for (let k = 0; k < j; k++) sum -= (lower[i * n + k] as number) * (lower[j * n + k] as number)
      if (i !== j) lower[i * n + j] = sum / (lower[j * n + j] as number)
      else if (sum > 1e-14) lower[i * n + i] = Math.sqrt(sum)
      else return null
    }
  const out = new Float64Array(n * n)
  for (let column = 0; column < n; column++) {
    const y = new Float64Array(n)
    for (let i = 0; i < n; i++) {
      let sum = i === column ? 1 : 0
      for (let k = 0; k < i; k++) sum -= (lower[i * n + k] as number) * (y[k] as number)
      y[i] = sum / (lower[i * n + i] as number)
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = y[i] as number
      for (let k = i + 1; k < n; k++) sum -= (lower[k * n + i] as number) * (out[k * n + column] as number)
      out[i * n + column] = sum / (lower[i * n + i] as number)
    }
  }
  return out
}

/** Straps of the small problem, and the ends of unknowns it would run past. */
interface Bound {
  row: Float64Array
  right: number
  most: number
}

/**
 * The small problem: the best step for a quadratic value under straight straps, its multipliers between nothing and the
 * penalty. Ends of the unknowns and the longest step are asked for only where the step runs past them.
 */
function quadratic(inverseOf: Float64Array, now: Evaluated, low: Float64Array, high: Float64Array): { step: Float64Array; multipliers: Float64Array } {
  const n = now.gradient.length
  const m = now.over.length
  const bounds: Bound[] = Array.from({ length: m }, (_, e) => ({ row: now.rows.subarray(e * n, (e + 1) * n), right: now.over[e] as number, most: PENALTY }))
  for (let round = 0; ; round++) {
    const { step, multipliers } = under(inverseOf, now.gradient, bounds)
    let past = false
    if (round < 2 * n)
      for (let i = 0; i < n; i++) {
        const way = (step[i] as number) > (high[i] as number) + 1e-9 ? 1 : (step[i] as number) < (low[i] as number) - 1e-9 ? -1 : 0
        if (way === 0 || bounds.slice(m).some(({ row }) => row[i] === way)) continue
        const row = new Float64Array(n)
        row[i] = way
        bounds.push({ row, right: way > 0 ? -(high[i] as number) : (low[i] as number), most: 1e6 })
        past = true
      }
    if (past) continue
    for (let i = 0; i < n; i++) step[i] = Math.max(low[i] as number, Math.min(high[i] as number, step[i] as number))
    return { step, multipliers: multipliers.slice(0, m) }
  }
}

/** Multipliers by projected Gauss and Seidel, and the step they leave. */
function under(inverseOf: Float64Array, gradient: Float64Array, bounds: readonly Bound[]): { step: Float64Array; multipliers: Float64Array } {
  const n = gradient.length
  const count = bounds.length
  const spread = new Float64Array(count * n)
  const table = new Float64Array(count * count)
  const b = new Float64Array(count)
  const multipliers = new Float64Array(count)
  for (let e = 0; e < count; e++) {
    const { row, right } = bounds[e] as Bound
    let sum = right
    for (let i = 0; i < n; i++) {
      let value = 0
      for (let k = 0; k < n; k++) value += (inverseOf[i * n + k] as number) * (row[k] as number)
      spread[e * n + i] = value
      sum -= value * (gradient[i] as number)
    }
    b[e] = sum
    for (let j = 0; j <= e; j++) {
      const other = (bounds[j] as Bound).row
      let value = 0
      for (let i = 0; i < n; i++) value += (other[i] as number) * (spread[e * n + i] as number)
      table[e * count + j] = value
      table[j * count + e] = value
    }
  }
  for (let sweep = 0; sweep < 400; sweep++) {
    let moved = 0
    for (let e = 0; e < count; e++) {
      const own = table[e * count + e] as number
      if (own < 1e-14) continue
      let sum = b[e] as number
      for (let j = 0; j < count; j++) sum -= (table[e * count + j] as number) * (multipliers[j] as number)
      const before = multipliers[e] as number
      const next = Math.max(0, Math.min((bounds[e] as Bound).most, before + sum / own))
      multipliers[e] = next
      const by = Math.abs(next - before) * Math.sqrt(own)
      if (by > moved) moved = by
    }
    if (moved < 1e-6) break
  }
  const step = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    let sum = 0
    for (let k = 0; k < n; k++) sum -= (inverseOf[i * n + k] as number) * (gradient[k] as number)
    for (let e = 0; e < count; e++) sum -= (multipliers[e] as number) * (spread[e * n + i] as number)
    step[i] = sum
  }
  return { step, multipliers }
}

/** Straight model of what a step would come to, less what is: minus is a gain. */
function expectedGain({ gradient, over, rows }: Evaluated, step: Float64Array, penalty: number): number {
  const n = step.length
  let gain = dot(gradient, step)
  for (let e = 0; e < over.length; e++) {
    let there = over[e] as number
    for (let i = 0; i < n; i++) there += (rows[e * n + i] as number) * (step[i] as number)
    gain += penalty * (Math.max(0, there) - Math.max(0, over[e] as number))
  }
  return gain
}

/** One descent from a start. */
function descend(problem: SeatProblem, start: Float64Array): Seat {
  const { unknowns: n, low, high, sizeMm, evaluate } = problem
  const held = (at: Float64Array): Float64Array => at.map((value, i) => Math.max(low[i] as number, Math.min(high[i] as number, value)))
  const at = held(start)
  let now = evaluate(at)
  const fresh = (): Float64Array => {
    const out = new Float64Array(n * n)
    for (let i = 0; i < n; i++) out[i * n + i] = 3 / sizeMm
    return out
  }
  let curvature = fresh()
  const known = { bent: false }
  let multipliers: Float64Array = new Float64Array(now.over.length)
  const reach = MOST_STEP * sizeMm
  let smallGains = 0
  for (let turn = 0; turn < TURNS; turn++) {
    let inverted = inverse(curvature, n)
    if (!inverted) {
      curvature = fresh()
      inverted = inverse(curvature, n) ?? fresh()
    }
    const least = low.map((value, i) => Math.max(-reach, value - (at[i] as number)))
    const most = high.map((value, i) => Math.min(reach, value - (at[i] as number)))
    const solved = quadratic(inverted, now, least, most)
    const { step } = solved
    multipliers = solved.multipliers
    // No more than the straps bear: a stiffer penalty only makes the way along them slow.
    const penalty = Math.min(PENALTY, 0.5 + 1.5 * multipliers.reduce((top, each) => Math.max(top, each), 0))
    const longest = step.reduce((top, each) => Math.max(top, Math.abs(each)), 0)
    const worst = now.over.reduce((top, each, e) => Math.max(top, (multipliers[e] as number) >= PENALTY - 1e-6 ? 0 : each), 0)
    const expected = expectedGain(now, step, penalty)
    if (worst < NEAR && (longest < NEAR || expected > -GAIN * (known.bent ? 1 : 0.1))) return { at, evaluated: now, multipliers, settled: true }
    const before = merit(now, penalty)
    const take = (there: Float64Array, next: Evaluated): void => {
      const move = there.map((value, i) => value - (at[i] as number))
      const change = next.gradient.map((value, i) => value - (now.gradient[i] as number))
      for (let e = 0; e < now.over.length; e++)
        if ((multipliers[e] as number) !== 0)
          for (let i = 0; i < n; i++)
            change[i] = (change[i] as number) + (multipliers[e] as number) * ((next.rows[e * n + i] as number) - (now.rows[e * n + i] as number))
      update(curvature, n, move, change)
      known.bent = true
      smallGains = before - merit(next, penalty) < GAIN && worst < NEAR ? smallGains + 1 : 0
      at.set(there)
      now = next
    }
    let share = 1
    let found = false
    for (let attempt = 0; attempt < 10 && !found; attempt++) {
      const there = held(at.map((value, i) => value + share * (step[i] as number)))
      const next = evaluate(there)
      if (merit(next, penalty) <= before + 1e-4 * share * Math.min(0, expected) + 1e-9) {
        take(there, next)
        found = true
      } else if (attempt === 0) {
        // Straps bend away from the straight model: the whole step once more, put right by what they miss there.
        const bent: Evaluated = { ...now, over: next.over.map((value, e) => value - dot(now.rows.subarray(e * n, (e + 1) * n), step)) }
        const again = held(at.map((value, i) => value + (quadratic(inverted, bent, least, most).step[i] as number)))
        const put = evaluate(again)
        if (merit(put, penalty) <= before + 1e-4 * Math.min(0, expected) + 1e-9) {
          take(again, put)
          found = true
        }
      }
      share /= attempt < 2 ? 2 : 3
    }
    if (smallGains >= 3) return { at, evaluated: now, multipliers, settled: true }
    if (!found) {
      now = evaluate(at)
      if (!known.bent) return { at, evaluated: now, multipliers, settled: worst < 5 * NEAR && expected > -20 * GAIN }
      curvature = fresh()
      known.bent = false
    }
  }
  return { at, evaluated: now, multipliers, settled: false }
}

/** Damped BFGS: the curvature stays positive whatever the straps do. */
function update(curvature: Float64Array, n: number, move: Float64Array, change: Float64Array): void {
  const bent = new Float64Array(n)
  for (let i = 0; i < n; i++) for (let k = 0; k < n; k++) bent[i] = (bent[i] as number) + (curvature[i * n + k] as number) * (move[k] as number)
  const own = dot(move, bent)
  if (own < 1e-16) return
  const seen = dot(move, change)
  const share = seen >= 0.2 * own ? 1 : (0.8 * own) / (own - seen)
  const y = change.map((value, i) => share * value + (1 - share) * (bent[i] as number))
  const by = dot(move, y)
  if (by < 1e-16) return
  for (let i = 0; i < n; i++)
    for (let k = 0; k < n; k++)
      curvature[i * n + k] = (curvature[i * n + k] as number) + ((y[i] as number) * (y[k] as number)) / by - ((bent[i] as number) * (bent[k] as number)) / own
}

/**
 * Finds the seat from a start, and from shaken ones where that does not settle.
 *
 * @returns the best seat found; `settled` false where none came to rest
 */
export function seat(problem: SeatProblem, start: Float64Array): Seat {
  let best = descend(problem, start)
  for (let shake = 0; shake < SHAKES && !best.settled; shake++) {
    const by = 0.04 * problem.sizeMm
    const again = descend(
      problem,
      best.at.map((value, i) => value + by * Math.sin(1.7 * (i + 1) * (shake + 1))),
    )
    if (again.settled || merit(again.evaluated, PENALTY) < merit(best.evaluated, PENALTY)) best = again
  }
  return best
}
