import { describe, expect, it } from 'vitest'
import { solveForm } from '../form/index.ts'
import { proposedChoice, type SizedBody } from '../sizing/index.ts'
import { crateFor } from './crate-for.ts'
import { crateOffer } from './crate-offer.ts'
import { planOf } from './dog-plan.ts'

const mm = (value: number) => ({ mm: value, sigmaMm: 0.8 })

describe('crates of the usual series as an offer', () => {
  const lying: SizedBody = { M42: mm(640), M44: mm(200), M39: mm(460) }

  it('is its label and its inside, never a table; the inside is shorter than the label by its walls', () => {
    const series = crateOffer('K1', lying)!
    const proposed = proposedChoice([series], null, null, lying)
    expect(proposed?.settlement).toMatchObject({ kind: 'series', family: 'K1', label: '30' })
    const { insideMm } = proposed!.settlement as { insideMm: number[] }
    // Handbook 10.2: 30 in outside, 19 x 21 in inside (width and height from memory, unverified).
    expect(insideMm[0]).toBeCloseTo(30 * 25.4 - 35, 6)
    for (const [i, inches] of [19, 21].entries()) expect(insideMm[i + 1]).toBeCloseTo(inches * 25.4, 6)
    expect(crateOffer('H01', lying)).toBeNull()
  })

  it('says the same as the clearances, size by size, for every kind of crate that has them', () => {
    for (const [kg, breed] of [[2, 'Chihuahua'], [21, 'Siberian Husky'], [30, 'Greyhound'], [70, 'Great Dane']] as const) {
      const form = solveForm({ M00: { mm: kg, sigmaMm: 0.2 } }, { breed })
      const body = Object.fromEntries(Object.entries(form.measures).map(([id, each]) => [id, { mm: each.mm, sigmaMm: 3 }]))
      const plan = planOf(form)
      const crates = crateFor({ body, plan })
      const offer = crateOffer('K2', body, { plan })!
      for (const { label, grade } of crates.sizes) expect([label, offer.sizes.find((size) => size.label === label)?.grade]).toEqual([label, grade])
      expect(offer.best?.label).toBe(crates.smallest ?? offer.best?.label)
    }
  }) // prettier-ignore

  it('where only turning round decides, that is the reason given', () => {
    const form = solveForm({ M00: { mm: 30, sigmaMm: 0.3 } }, { breed: 'Greyhound' })
    const body: SizedBody = { ...Object.fromEntries(Object.entries(form.measures).map(([id, each]) => [id, { mm: each.mm, sigmaMm: 2 }])), M39: mm(500), M40: mm(500), M41: mm(500), M42: mm(700), M45: mm(300) } // prettier-ignore
    const offer = crateOffer('K1', body, { plan: planOf(form) })!
    const turns = offer.sizes.filter(({ because }) => because.code === 'clearance')
    expect(turns.length).toBeGreaterThan(0)
    expect(turns.every(({ because }) => ['turn', 'curled', 'flat-out'].includes(because.other ?? ''))).toBe(true)
  })

  it('ears alone never fail a crate, and what somebody measured inside counts', () => {
    const eared: SizedBody = { M42: mm(640), M44: mm(150), M39: mm(430), M40: mm(560) }
    const offer = crateOffer('K1', eared)!
    expect(offer.sizes.find(({ label }) => label === '30')?.perMeasure.find(({ measure }) => measure === 'M40')?.grade).toBe('doubt')
    const measured = crateOffer('K1', eared, { insides: { '30': { lengthMm: 700, widthMm: 480, heightMm: 700, sigmaMm: 2 } } })!
    expect(measured.best?.label).toBe('30')
    expect(measured.best?.grade).toBe('holds')
  })

  it('a growing dog nobody knows the grown size of gets none; a pen goes by its height', () => {
    expect(crateOffer('K1', lying, { grown: null })).toMatchObject({ grade: 'none', grown: true, divider: [690, 740] })
    expect(crateOffer('K4', { M39: mm(500) })?.best?.label).toBe('24 high')
  })
})
