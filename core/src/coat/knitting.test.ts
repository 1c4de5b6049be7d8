import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gaugeOf, knitProfile, ribStretch, spreadEvenly, stitchesFor } from './index.ts'

const per = (stitches: number, widthMm: number) => ({ stitchesPerMm: stitches / widthMm })

describe('stitches', () => {
  it('gauge arithmetic (facts of knitting, computed rows)', () => {
    expect(stitchesFor(400, per(22, 100), { multiple: 2, edge: 0 }).stitches).toBe(88)
    expect(stitchesFor(15 * 25.4, per(20, 4 * 25.4), { multiple: 2, edge: 1 }).stitches).toBe(75)
    expect(stitchesFor(330, per(26, 100), { multiple: 4, edge: 2 }).stitches).toBe(86)
    expect(stitchesFor(520, per(18, 100), { multiple: 4, edge: 0 }).stitches).toBe(92)
    expect(stitchesFor(10 * 25.4, per(28, 4 * 25.4), { multiple: 6, edge: 2 }).stitches).toBe(68)
    expect(stitchesFor(610, per(16, 100), { multiple: 8, edge: 3 }).stitches).toBe(99)
  })

  it('even spreading (Bresenham; computed rows)', () => {
    expect(spreadEvenly(60, 7)).toEqual([8, 9, 8, 9, 8, 9, 9])
    expect(spreadEvenly(88, 12)).toEqual([7, 7, 8, 7, 7, 8, 7, 7, 8, 7, 7, 8])
    expect(spreadEvenly(100, 8)).toEqual([12, 13, 12, 13, 12, 13, 12, 13])
    expect(spreadEvenly(45, 6)).toEqual([7, 8, 7, 8, 7, 8])
    expect(spreadEvenly(72, 10)).toEqual([7, 7, 7, 7, 8, 7, 7, 7, 7, 8])
    expect(spreadEvenly(37, 5)).toEqual([7, 7, 8, 7, 8])
  })

  it('a swatch of nothing, or of a blanket, is refused by name', () => {
    const swatch = { stitches: 22, rows: 30, widthMm: 100, heightMm: 100 }
    expect(gaugeOf({ ...swatch, grams: 5.1 })).toEqual({ stitchesPerMm: 0.22, rowsPerMm: 0.3, gramsPerM2: expect.closeTo(510, 6) as number })
    expect(gaugeOf(swatch).gramsPerM2).toBeNull()
    for (const bad of [{ stitches: 0 }, { rows: -1 }, { widthMm: 1e9 }, { heightMm: NaN }])
      expect(() => gaugeOf({ ...swatch, ...bad })).toThrow(Object.keys(bad)[0])
  })
})

describe('an outline in rows', () => {
  const gauge = gaugeOf({ stitches: 22, rows: 30, widthMm: 100, heightMm: 100, grams: 5.1 })
  const plain = { multiple: 2, edge: 1 }

  it('rows chain, lines add up to the last count, shaping lies on right-side rows and keeps to the outline', () => {
    const width = fc.double({ min: 30, max: 500, noNaN: true })
    fc.assert(
      fc.property(fc.array(width, { minLength: 2, maxLength: 6 }), fc.double({ min: 40, max: 600, noNaN: true }), (widths, long) => {
        const profile = widths.map((wide, i): [number, number] => [(long * i) / (widths.length - 1), wide])
        const plan = knitProfile(profile, gauge, plain)
        expect(plan.rows[0]).toEqual({ row: 0, stitches: plan.castOn, change: 0 })
        expect((plan.rows.length - 1) % 2).toBe(0)
        plan.rows.forEach((row, i) => {
          if (i === 0) return
          expect(row.stitches).toBe((plan.rows[i - 1]?.stitches ?? 0) + row.change)
          expect(row.stitches).toBeGreaterThan(0)
          if (row.row % 2 === 1) expect(row.change).toBe(0)
          expect(Math.abs(row.change % 2)).toBe(0)
        })
        expect(plan.castOn + plan.lines.reduce((sum, { times, by }) => sum + times * by, 0)).toBe(plan.rows.at(-1)?.stitches)
        // Two stitches beside the outline, and the step of one right-side row where it is steep.
        const steepest = Math.max(...widths.slice(1).map((wide, i) => Math.abs(wide - (widths[i] ?? 0)))) / (long / (widths.length - 1))
        const last = plan.rows.at(-1)?.stitches ?? 0
        expect(Math.abs(last - (widths.at(-1) ?? 0) * gauge.stitchesPerMm)).toBeLessThan(2.5 + (steepest * 2 * gauge.stitchesPerMm) / gauge.rowsPerMm / 4)
      }),
    )
  })

  it('a straight run is one line; a steep one casts on', () => {
    const straight = knitProfile([[0, 200], [100, 200]], gauge, plain) // prettier-ignore
    expect(straight.lines).toEqual([{ code: 'straight', row: 1, every: 1, times: 30, by: 0 }])
    const steep = knitProfile([[0, 100], [20, 200], [100, 200]], gauge, plain) // prettier-ignore
    expect(steep.lines[0]?.code).toBe('cast-on')
    expect(knitProfile([[0, 200], [100, 150], [200, 150]], gauge, plain).lines[0]).toMatchObject({ code: 'decrease', by: -2 }) // prettier-ignore
  })

  it('yarn by the swatch: area times its mass, a tenth to spare; metres near what a ball says', () => {
    const plan = knitProfile([[0, 100], [100, 100]], gauge, plain) // prettier-ignore
    // A square decimetre of this swatch weighs 5.1 g.
    expect(plan.grams ?? 0).toBeCloseTo(5.1 * 1.1 * ((plan.castOn * 30) / 660), 6)
    // Light yarn runs about 200 to 250 m a 100 g: common practice.
    expect((100 * plan.metres) / (plan.grams ?? 1)).toBeGreaterThan(190)
    expect((100 * plan.metres) / (plan.grams ?? 1)).toBeLessThan(260)
    expect(knitProfile([[0, 100], [1, 100]], { ...gauge, gramsPerM2: null }, plain)).toMatchObject({ grams: null, rows: { length: 3 } }) // prettier-ignore
  })

  it('refuses an outline that is none, and one of too many rows', () => {
    expect(() => knitProfile([[0, 1]], gauge, plain)).toThrow(/two places/) // prettier-ignore
    expect(() => knitProfile([[5, 1], [0, 1]], gauge, plain)).toThrow(/two places/) // prettier-ignore
    expect(() => knitProfile([[0, 1], [1e6, 1]], gauge, plain)).toThrow(/rows/) // prettier-ignore
  })

  it('a rib stretched to more than half as much again is hard', () => {
    expect(ribStretch(400, 500)).toEqual({ stretch: 1.25, state: 'holds' })
    expect(ribStretch(400, 620).state).toBe('hard')
    expect(ribStretch(400, 390).state).toBe('hangs')
  })
})
