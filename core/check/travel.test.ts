import { describe, expect, it } from 'vitest'
import { beltReach, crashRide, pulseOf } from '../src/index.ts'
import { seeded } from '../../bench/form/random.ts'

describe('a stop in numbers (derived: E = m v^2 / 2, T = 2 d / v)', () => {
  // m kg, v km/h, d m, mean g, T ms, half-sine peak g, triangular peak N.
  it.each([
    [25, 48, 0.5, 18.13, 75.0, 28.48, 8889],
    [25, 48, 0.3, 30.21, 45.0, 47.46, 14_815],
    [25, 50, 0.65, 15.13, 93.6, 23.77, 7419],
    [10, 48, 0.5, 18.13, 75.0, 28.48, 3556],
    [40, 48, 0.5, 18.13, 75.0, 28.48, 14_222],
    [5, 30, 0.4, 8.85, 96.0, 13.9, 868],
  ])('%f kg from %f km/h in %f m', (massKg, speedKmh, d, meanG, ms, halfG, triangleN) => {
    const half = pulseOf({ shape: 'half-sine', speedKmh, stopMm: d * 1000 })
    expect(half.meanG).toBeCloseTo(meanG, 2)
    expect(half.durationMs).toBeCloseTo(ms, 1)
    expect(half.peakG).toBeCloseTo(halfG, 2)
    expect(pulseOf({ shape: 'triangle', speedKmh, stopMm: d * 1000 }).peakG * massKg * 9.80665).toBeCloseTo(triangleN, -1)
  })
})

describe('rides with a closed form', () => {
  it('in a long square stop the belt’s first swing is m a + sqrt((m a)^2 + 2 k m a s)', () => {
    for (const [massKg, slackMm, stiffnessNpm] of [
      [25, 0, 40_000],
      [10, 80, 20_000],
      [60, 150, 80_000],
    ] as const) {
      // So long a stop that the swing is over before it: 5 g from 200 km/h.
      const speedKmh = 200
      const stopMm = ((speedKmh / 3.6) ** 2 / (2 * 5 * 9.80665)) * 1000
      const ma = massKg * 5 * 9.80665
      const force = ma + Math.sqrt(ma ** 2 + 2 * stiffnessNpm * ma * (slackMm / 1000))
      expect(crashRide({ massKg, slackMm, stiffnessNpm, pulse: { shape: 'square', speedKmh, stopMm } }).peakN / force).toBeCloseTo(1, 4)
    }
  })

  it('taut only after the car stands, it is v sqrt(k m)', () => {
    for (const [massKg, stiffnessNpm] of [
      [20, 40_000],
      [8, 20_000],
    ] as const) {
      const found = crashRide({ massKg, slackMm: 900, stiffnessNpm, pulse: { shape: 'half-sine', speedKmh: 36, stopMm: 300 } })
      expect(found.closingMps).toBeCloseTo(10, 4)
      expect(found.peakN / (10 * Math.sqrt(stiffnessNpm * massKg))).toBeCloseTo(1, 4)
    }
  })
})

describe('a belt against random points', () => {
  it('no place that the belt allows lies further, and some lie nearly as far', () => {
    const random = seeded(99)
    const outlet = [0, 240, 560] as const
    const buckle = [70, -210, 240] as const
    const loop = [140, 10, 430] as const
    const toward = [1, 0.1, -0.05] as const
    for (const slackMm of [0, 60, 140]) {
      const { beltMm, forwardMm } = beltReach({ outlet, buckle, loop, slackMm, toward })
      const n = toward.map((value) => value / Math.hypot(...toward))
      let far = -Infinity
      for (let i = 0; i < 200_000; i++) {
        const p = [loop[0] + 600 * (random() - 0.5), loop[1] + 600 * (random() - 0.5), loop[2] + 600 * (random() - 0.5)] as const
        const long = Math.hypot(p[0] - outlet[0], p[1] - outlet[1], p[2] - outlet[2]) + Math.hypot(p[0] - buckle[0], p[1] - buckle[1], p[2] - buckle[2])
        if (long <= beltMm + slackMm)
          far = Math.max(
            far,
            p.reduce((sum, value, k) => sum + (value - (loop[k] ?? 0)) * (n[k] ?? 0), 0),
          )
      }
      expect(far).toBeLessThanOrEqual(forwardMm + 1e-6)
      expect(far).toBeGreaterThan(forwardMm - 12)
    }
  })
})
