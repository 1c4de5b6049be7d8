import { describe, expect, it } from 'vitest'
import { elasticLine, hitchLine, inRow, rollingPull, SURFACES } from '../src/hitch/index.ts'

const degrees = (rad: number): number => (rad * 180) / Math.PI

describe('line angles', () => {
  it('W06: a hitch 40 cm higher over 250 cm of level way is about 9 degrees, and about 16 % lifts', () => {
    const { angleRad, pressShare } = hitchLine({ pullPointMm: 500, hitchMm: 900, horizontalMm: 2500 })
    expect(Math.round(degrees(angleRad))).toBe(9)
    expect(pressShare).toBeCloseTo(0.16, 2)
  })

  it('are those of the handbook’s table 8.6', () => {
    const lines = [1000, 1800, 2500, 3000]
    const table = [
      [-400, -22, -13, -9, -8],
      [-200, -11, -6, -5, -4],
      [0, 0, 0, 0, 0],
      [200, 11, 6, 5, 4],
      [400, 22, 13, 9, 8],
      [600, 31, 18, 13, 11],
    ] as const
    for (const [rise, ...angles] of table) {
      angles.forEach((angle, i) => {
        const at = degrees(hitchLine({ pullPointMm: 700, hitchMm: 700 + rise, horizontalMm: lines[i] ?? 1 }).angleRad)
        expect([rise, lines[i], Math.abs(at - angle) <= 0.5 + 1e-9]).toEqual([rise, lines[i], true])
      })
    }
  })

  it('are those computed for facts 12, angle and taut length', () => {
    const rows = [[0.2, 1, 11.31, 1.0198], [0.3, 2, 8.531, 2.0224], [0.45, 1.5, 16.699, 1.566], [0.5, 3, 9.462, 3.0414], [0.1, 2.5, 2.291, 2.502], [-0.1, 2, -2.862, 2.0025]] as const // prettier-ignore
    for (const [rise, level, angle, taut] of rows) {
      const byLevel = hitchLine({ pullPointMm: 600, hitchMm: 600 + rise * 1000, horizontalMm: level * 1000 })
      expect(degrees(byLevel.angleRad)).toBeCloseTo(angle, 3)
      expect(byLevel.lineMm / 1000).toBeCloseTo(taut, 4)
      const byLine = hitchLine({ pullPointMm: 600, hitchMm: 600 + rise * 1000, lineMm: byLevel.lineMm })
      expect(byLine.horizontalMm).toBeCloseTo(level * 1000, 6)
    }
  })

  it('press by the sine: 10, 15, 20 and 30 degrees 17, 26, 34 and 50 % (handbook 8.6)', () => {
    for (const [angle, share] of [
      [10, 0.17],
      [15, 0.26],
      [20, 0.34],
      [30, 0.5],
    ] as const) {
      // prettier-ignore
      const level = 1000
      const { pressShare } = hitchLine({ pullPointMm: 500, hitchMm: 500 + level * Math.tan((angle * Math.PI) / 180), horizontalMm: level })
      expect(pressShare).toBeCloseTo(share, 2)
    }
  })
})

describe('elastic lines (facts 12, computed)', () => {
  it('have the peak force, stretch, time and energy of a spring and a mass', () => {
    const rows = [[30, 5, 2000, 1224.74, 0.6124, 192.4, 375], [30, 3, 2000, 734.85, 0.3674, 192.4, 135], [25, 2, 800, 282.84, 0.3536, 277.7, 50], [40, 4, 5000, 1788.85, 0.3578, 140.5, 320], [10, 4, 500, 282.84, 0.5657, 222.1, 80]] as const // prettier-ignore
    for (const [massKg, speedMps, stiffnessNpm, force, stretch, ms, energy] of rows) {
      const pull = elasticLine({ massKg, speedMps, stiffnessNpm, restMm: 1500 })
      expect(pull.peakN).toBeCloseTo(force, 1)
      expect(pull.stretchMm / 1000).toBeCloseTo(stretch, 3)
      expect(pull.timeToPeakS * 1000).toBeCloseTo(ms, 0)
      expect(pull.energyJ).toBeCloseTo(energy, 6)
      expect(pull.longestMm).toBeCloseTo(1500 + pull.stretchMm, 6)
    }
    expect(elasticLine({ massKg: 30, speedMps: 5, stiffnessNpm: 20_000, restMm: 0 }).peakN).toBeCloseTo(3873, 1)
  })

  it('twice the length halves the stiffness and cuts the peak by the square root of two', () => {
    expect(inRow([4000, 4000])).toBeCloseTo(2000, 9)
    const peak = (k: number): number => elasticLine({ massKg: 20, speedMps: 3, stiffnessNpm: k, restMm: 1000 }).peakN
    expect(peak(4000) / peak(inRow([4000, 4000]))).toBeCloseTo(Math.SQRT2, 9)
  })
})

describe('a load that rolls or slides (facts 5b, computed)', () => {
  it('asks the pull of weight, surface and grade', () => {
    const rows = [[60, 0.015, 0, 8.8, 0.9], [60, 0.015, 5, 38.2, 3.9], [60, 0.05, 0, 29.4, 3], [60, 0.05, 8, 76.2, 7.78], [100, 0.02, 0, 19.6, 2], [100, 0.1, 3, 127.4, 12.99], [150, 0.05, -4, 14.7, 1.5], [80, 0.3, 0, 235.4, 24]] as const // prettier-ignore
    for (const [massKg, resistance, gradePercent, newtons, kilos] of rows) {
      const { pullN, pullKg } = rollingPull({ massKg, resistance, gradePercent })
      expect(pullN).toBeCloseTo(newtons, 1)
      expect(pullKg).toBeCloseTo(kilos, 2)
    }
  })
  it('runs by itself downhill once the grade is more than the resistance', () => {
    const at = (gradePercent: number) => rollingPull({ massKg: 80, resistance: 0.03, gradePercent }).runsByItself
    expect([at(-2.9), at(-3.1)]).toEqual([false, true])
    expect(() => rollingPull({ massKg: Number.NaN, resistance: 0.1 })).toThrow(RangeError)
    expect(() => rollingPull({ massKg: 5, resistance: -0.1 })).toThrow(RangeError)
  })
  it('has ranges of surfaces in order, hard before soft (standards and from memory, unverified)', () => {
    for (const [from, to] of Object.values(SURFACES)) expect(from).toBeLessThanOrEqual(to)
    expect(SURFACES['hard-cycle'][1]).toBeLessThan(SURFACES['hard-tyre'][0])
    expect(SURFACES['hard-tyre'][1]).toBeLessThan(SURFACES.gravel[0])
  })
})
