import { describe, expect, it } from 'vitest'
import { solveForm } from '../form/index.ts'
import { madeToMeasure } from '../fit/index.ts'
import { layGear } from '../lay/index.ts'
import { pullPointOf } from './index.ts'

describe('where the pull leaves', () => {
  const form = solveForm({}, { breed: 'Bernese Mountain Dog', sex: 'male', ageMonths: 40 })

  it('T35 drafting gear pulls low, along the traces; a front clip at the chest', () => {
    const [cart, freight, clip, back] = [pullPointOf(form, 'H23'), pullPointOf(form, 'H22'), pullPointOf(form, 'H08'), pullPointOf(form, 'H01')]
    expect([cart.place, freight.place, clip.place]).toEqual(['side-ring', 'bar-eye', 'chest-ring'])
    expect(cart.heightMm).toBeLessThan(0.75 * back.heightMm)
    expect(freight.heightMm).toBeLessThanOrEqual(cart.heightMm)
    // The bar hangs behind the tail, the chest ring lies ahead of the withers.
    expect(freight.xMm).toBeLessThan(form.sections.tail.tx)
    expect(clip.xMm).toBeGreaterThan(back.xMm)
  })

  it('is where the piece itself ends in the pull, where one is laid: a longer harness lets the line leave further back', () => {
    const straps = Object.fromEntries(Object.entries(madeToMeasure({ form, family: 'H11', gauge: null }).straps).map(([id, { mm }]) => [id, mm]))
    const at = (by: number) =>
      pullPointOf(
        form,
        'H11',
        layGear({
          form,
          family: 'H11',
          pull: { riseRad: 0 },
          withoutSpread: true,
          straps: Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, mm * by])),
        }),
      )
    expect(Math.abs(at(1).xMm - pullPointOf(form, 'H11').xMm)).toBeLessThan(40)
    expect(at(1.12).xMm).toBeLessThan(at(1).xMm - 20)
    // Where the pull leaves the harness elsewhere, its end says nothing.
    expect(pullPointOf(form, 'H08', { nodes: { tug: { at: [0, 0, 0], sigmaMm: 1 } } } as unknown as ReturnType<typeof layGear>)).toEqual(
      pullPointOf(form, 'H08'),
    )
  })
})
