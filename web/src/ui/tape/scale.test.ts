import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tapeRange, tapeScale, ticksOf } from './scale'

const unit = fc.constantFrom('in' as const, 'cm' as const)
const length = fc.double({ min: 0, max: 1500, noNaN: true })

describe('tapeRange', () => {
  it('shows every point, at least three whole units, and nothing below 0', () => {
    fc.assert(
      fc.property(unit, fc.array(length, { minLength: 1, maxLength: 5 }), (of, points) => {
        const [from, to] = tapeRange(of, points)
        expect(from).toBeGreaterThanOrEqual(0)
        expect(points.every((mm) => mm >= from && mm <= to)).toBe(true)
        expect(to - from).toBeGreaterThanOrEqual((of === 'in' ? 3 * 25.4 : 30) * (Math.max(...points) < 100 ? 0.4 : 1) - 1e-9)
      }),
    )
  })

  it('comes closer for a paw, so that its bands can be read', () => {
    const [from, to] = tapeRange('cm', [55, 69])
    expect(to - from).toBeLessThan(45)
    expect([from < 55, to > 69]).toEqual([true, true])
    // Beside a length the same distance stays as it was.
    const far = tapeRange('cm', [555, 569])
    expect(far[1] - far[0]).toBeCloseTo(80, 6)
  })

  it('goes below 0 only for signed distances', () => {
    expect(tapeRange('cm', [-20, 10])[0]).toBeLessThan(-20)
  })
})

describe('ticksOf', () => {
  it('never crowds: the finest ticks stand well apart, and labels are whole units', () => {
    fc.assert(
      fc.property(unit, length, fc.double({ min: 80, max: 900, noNaN: true }), fc.integer({ min: 80, max: 600 }), (of, from, span, width) => {
        const scale = tapeScale(of, from, from + span, width)
        const ticks = ticksOf(scale)
        const gaps = ticks.slice(1).map((tick, i) => scale.x(tick.mm) - scale.x(ticks[i]!.mm))
        expect(Math.min(...gaps, 99)).toBeGreaterThan(1.5)
        expect(ticks.filter((tick) => tick.label !== null).every((tick) => tick.strong && Number.isInteger(Number(tick.label)))).toBe(true)
      }),
    )
  })
})
