import { describe, expect, it } from 'vitest'
import { fingersIn, gaugeBlock, slackUnder, strapSlackMm, type FlatPoint } from '../src/index.ts'

const ellipse = (a: number, b: number, n = 40_000): FlatPoint[] =>
  Array.from({ length: n }, (_, i) => [b * Math.cos((2 * Math.PI * i) / n), a * Math.sin((2 * Math.PI * i) / n)])
const top = (r: number) => ({ at: [0, r] as const, normal: [0, 1] as const })

/** Facts 9b, computed: R, then slack of one and two fingers by 16 and of two by 19 mm. */
const TABLE = [
  [40, 23.481, 33.92, 39.486],
  [50, 20.996, 29.598, 34.858],
  [60, 19.104, 26.376, 31.345],
  [70, 17.609, 23.882, 28.585],
  [80, 16.393, 21.891, 26.356],
  [100, 14.523, 18.908, 22.97],
  [120, 13.142, 16.769, 20.508],
  [140, 12.072, 15.155, 18.628],
  [160, 11.214, 13.888, 17.14],
] as const

describe('fingers under a strap, by the hull (facts 9b, derived)', () => {
  it.each(TABLE)('on a circle of %d mm', (radius, one, two, thick) => {
    const outline = ellipse(radius, radius)
    const slack = (widthMm: number, thicknessMm: number): number => slackUnder(outline, [{ ...top(radius), widthMm, thicknessMm }])
    expect(slack(20, 16)).toBeCloseTo(one, 2)
    expect(slack(40, 16)).toBeCloseTo(two, 2)
    expect(slack(40, 19)).toBeCloseTo(thick, 2)
    expect(slack(40, 16)).toBeCloseTo(strapSlackMm(2 * Math.PI * radius, { widthMm: 40, thicknessMm: 16 }), 2)
    // The usual mistake: an even gap all round.
    expect(slack(40, 16)).toBeLessThan(2 * Math.PI * 16 * 0.45)
  })

  it('takes more on a narrow top than at a flat side of the same chest', () => {
    const chest = ellipse(120, 80)
    const block = { widthMm: 40, thicknessMm: 16 }
    const [above, beside] = [slackUnder(chest, [{ at: [0, 120], normal: [0, 7], ...block }]), slackUnder(chest, [{ at: [80, 0], normal: [0.1, 0], ...block }])]
    // The trial of the method had 27.0 and 13.3 on a chest of 240 by 160 mm.
    expect(above).toBeCloseTo(27, 0)
    expect(beside).toBeCloseTo(13.3, 0)
    expect(slackUnder(chest, [])).toBe(0)
    // Four and four are two blocks, and more than either.
    const [left, right] = [-1, 1].map((side) => ({ at: [80 * side, 0] as const, normal: [side, 0] as const, widthMm: 80, thicknessMm: 16 })) as [never, never]
    expect(slackUnder(chest, [left, right])).toBeCloseTo(2 * slackUnder(chest, [left]), 0)
  })

  it('counts fingers in halves, down, and none where none goes', () => {
    const outline = ellipse(80, 80)
    expect(fingersIn(outline, top(80), 21.9, null)).toBe(2)
    expect(fingersIn(outline, top(80), 21.8, null)).toBe(1.5)
    expect(fingersIn(outline, top(80), 0, null)).toBe(0)
    expect(fingersIn(outline, top(80), -5, null)).toBe(0)
  })

  it('goes by whose fingers they are', () => {
    const gauge = { indexMm: 14, twoMm: 34, fourMm: 70, handMm: 20, at: '2026-10-05T09:00:00Z' }
    expect((['one', 'two', 'four', 'hand'] as const).map((name) => gaugeBlock(name, gauge))).toEqual([
      { widthMm: 17, thicknessMm: 14 },
      { widthMm: 34, thicknessMm: 14 },
      { widthMm: 70, thicknessMm: 14 },
      { widthMm: 70, thicknessMm: 20 },
    ])
    expect((['one', 'two', 'four', 'hand'] as const).map((name) => gaugeBlock(name, null).widthMm)).toEqual([20, 40, 80, 80])
  })

  it('says what is no outline, no block and no room', () => {
    expect(() => slackUnder([[0, 0], [1, 1]], [])).toThrow(/outline/) // prettier-ignore
    expect(() => slackUnder(ellipse(80, 80, 60), [{ at: [0, 80], normal: [0, 0], widthMm: 40, thicknessMm: 16 }])).toThrow(/block/)
    expect(() => fingersIn(ellipse(80, 80, 60), top(80), Number.NaN, null)).toThrow(/room/)
  })
})
