import { askNumbers, GRAVITY } from '../units/index.ts'
import { pulseOf, slowingAt, type PulseQuestion } from './pulse.ts'

export interface RideQuestion {
  massKg: number
  pulse: PulseQuestion
  /** Belt the dog runs through before it is taut. */
  slackMm: number
  /** Belt, harness and dog together, N/m. Nobody knows it: show three. */
  stiffnessNpm: number
}

export interface CrashRide {
  peakN: number
  /** On the dog, in its own weights. */
  peakG: number
  /** How far it goes forward in the car. */
  travelMm: number
  /** When the belt is taut, and how fast the dog runs into it; `null` where it never is. */
  tautAtMs: number | null
  closingMps: number
}

/** Soft, usual, firm, N/m. Ours, unverified: belt, harness and dog together were never measured. */
export const STIFFNESSES = [20_000, 40_000, 80_000] as const

const STEP = 0.0002
const LONGEST = 3

/**
 * A dog on a belt while its car stops: x'' = a(t) - k max(0, x - s) / m in the car, by Runge and Kutta’s fourth order at
 * 0.2 ms. An order of size, never a safe force.
 *
 * @throws RangeError for a mass or stiffness of nothing, a slack below it, or a pulse that is none
 * Source: mechanics; closed forms in `core/check`
 */
export function crashRide({ massKg, pulse, slackMm, stiffnessNpm }: RideQuestion): CrashRide {
  askNumbers({ massKg, stiffnessNpm }, 1e-9)
  askNumbers({ slackMm }, 0)
  const { durationMs } = pulseOf(pulse)
  const slow = slowingAt(pulse)
  const slack = slackMm / 1000
  const forceOf = (x: number): number => stiffnessNpm * Math.max(0, x - slack)
  const gain = (t: number, x: number): number => slow(t) - forceOf(x) / massKg
  let [t, x, v] = [0, 0, 0]
  let [peakN, travel] = [0, 0]
  let tautAtMs: number | null = slack === 0 ? 0 : null
  let closingMps = 0
  while (t < LONGEST) {
    const h = STEP
    const [k1, l1] = [v, gain(t, x)]
    const [k2, l2] = [v + (h / 2) * l1, gain(t + h / 2, x + (h / 2) * k1)]
    const [k3, l3] = [v + (h / 2) * l2, gain(t + h / 2, x + (h / 2) * k2)]
    const [k4, l4] = [v + h * l3, gain(t + h, x + h * k3)]
    const [nextX, nextV] = [x + (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4), v + (h / 6) * (l1 + 2 * l2 + 2 * l3 + l4)]
    if (tautAtMs === null && nextX >= slack) {
      const part = nextX > x ? (slack - x) / (nextX - x) : 1
      tautAtMs = (t + part * h) * 1000
      closingMps = v + part * (nextV - v)
    }
    // The top of a swing lies between two steps: a parabola through them.
    const top = v > 0 && nextV <= 0 ? nextX + (nextV * nextV) / (2 * Math.max(1e-9, (v - nextV) / h)) : nextX
    travel = Math.max(travel, top)
    peakN = Math.max(peakN, forceOf(top))
    ;[t, x, v] = [t + h, nextX, nextV]
    if (t * 1000 > durationMs && v <= 0) break
  }
  return { peakN, peakG: peakN / (massKg * GRAVITY), travelMm: travel * 1000, tautAtMs, closingMps }
}

const FASTEST = 200

/**
 * The speed at which a ride reaches a limit, the car stopping in the same way, km/h; `null` where it does not by 200.
 *
 * @throws RangeError as `crashRide`, or for a limit of nothing
 */
export function speedAt({ limitN, pulse, ...ride }: RideQuestion & { limitN: number }): number | null {
  askNumbers({ limitN }, 1e-9)
  const peak = (speedKmh: number): number => crashRide({ ...ride, pulse: { ...pulse, speedKmh } }).peakN
  if (peak(FASTEST) < limitN) return null
  let [slow, fast] = [0.01, FASTEST]
  for (let turn = 0; turn < 40; turn++) {
    const middle = (slow + fast) / 2
    if (peak(middle) < limitN) slow = middle
    else fast = middle
  }
  return (slow + fast) / 2
}
