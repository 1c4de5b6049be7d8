import { askNumbers, GRAVITY } from '../units/index.ts'

export interface PulseQuestion {
  shape: 'square' | 'half-sine' | 'triangle' | 'trapezoid'
  /** Speed that is taken away, and the way the car stops in. */
  speedKmh: number
  stopMm: number
  /** Of a trapezoid: how much of its time it rises, and as much it falls. */
  ramp?: number
}

export interface Pulse {
  durationMs: number
  meanG: number
  peakG: number
}

const RAMP = 0.2

const rampOf = ({ shape, ramp = RAMP }: PulseQuestion): number => (shape === 'square' ? 0 : shape === 'triangle' ? 0.5 : ramp)

function ask(pulse: PulseQuestion): void {
  askNumbers({ speedKmh: pulse.speedKmh, stopMm: pulse.stopMm }, 1e-9)
  const ramp = rampOf(pulse)
  if (!(ramp >= 0 && ramp <= 0.5)) throw new RangeError('ramp: up to half the time')
}

/**
 * How a car slows that stops from a speed in a way: T = 2 d / v, mean v^2 / 2 d; the peak by the pulse’s shape.
 *
 * @throws RangeError for a speed or way of nothing, or a ramp over half the time
 * Source: mechanics (facts 4)
 */
export function pulseOf(pulse: PulseQuestion): Pulse {
  ask(pulse)
  const [v, d] = [pulse.speedKmh / 3.6, pulse.stopMm / 1000]
  const meanG = v ** 2 / (2 * d) / GRAVITY
  return { durationMs: ((2 * d) / v) * 1000, meanG, peakG: meanG * peakOf(pulse) }
}

/** Peak over mean. */
const peakOf = (pulse: PulseQuestion): number => (pulse.shape === 'half-sine' ? Math.PI / 2 : 1 / (1 - rampOf(pulse)))

/** Deceleration of the car at a time, m/s^2. */
export function slowingAt(pulse: PulseQuestion): (seconds: number) => number {
  const { durationMs, meanG } = pulseOf(pulse)
  const [T, peak] = [durationMs / 1000, meanG * peakOf(pulse) * GRAVITY]
  const ramp = rampOf(pulse)
  return (t) => {
    if (t < 0 || t > T) return 0
    if (pulse.shape === 'half-sine') return peak * Math.sin((Math.PI * t) / T)
    if (ramp === 0) return peak
    return peak * Math.min(1, t / (ramp * T), (T - t) / (ramp * T))
  }
}

export interface NamedPulse extends PulseQuestion {
  id: string
  /** Where it comes from, and how sure its numbers are. */
  source: string
  mark: 'value from memory' | 'from memory, unverified'
}

/** Stops to compare by. None of them certifies a dog’s restraint: they were written for people, child seats or luggage. */
export const PULSES: readonly NamedPulse[] = [
  { id: 'us-child-sled', shape: 'half-sine', speedKmh: 48, stopMm: 500, source: '49 CFR 571.213 S6.1', mark: 'value from memory' },
  { id: 'un-child-sled', shape: 'trapezoid', speedKmh: 50, stopMm: 650, source: 'UN R44 8.1.3, R129 7.1.3', mark: 'from memory, unverified' },
  { id: 'un-child-rear', shape: 'trapezoid', speedKmh: 30, stopMm: 275, source: 'UN R44 8.1.3', mark: 'from memory, unverified' },
  { id: 'hard-braking', shape: 'trapezoid', speedKmh: 50, stopMm: 10_930, ramp: 0.1, source: 'about 0.9 g', mark: 'from memory, unverified' },
]
