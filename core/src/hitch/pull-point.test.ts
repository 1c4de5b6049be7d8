import { describe, expect, it } from 'vitest'
import { solveForm } from '../form/index.ts'
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
})
