import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measureCovariance, shareOf, solveForm } from '../form/index.ts'
import { settle, withGuesses } from './index.ts'

const gap = { family: 'H11' as const, between: null, sizes: [{ label: '5', bands: { M01: [550, 600] as [number, number] } }, { label: '6', bands: { M01: [600, 650] as [number, number] } }] } // prettier-ignore

describe('what would settle it', () => {
  it('one more tape decides between two sizes that meet where the dog may be', () => {
    const found = settle(gap, { M01: { mm: 598, sigmaMm: 9 } })
    expect(found).toMatchObject({ says: 'tape', favoured: '5' })
    expect(found.gains[0]).toMatchObject({ measure: 'M01', between: ['5', '6'] })
    expect(found.gains[0]!.after).toBeCloseTo(found.now + found.gains[0]!.gain, 6)
  })
  it('is settled in the middle of a band', () => {
    expect(settle(gap, { M01: { mm: 575, sigmaMm: 5 } }).says).toBe('settled')
  })
  it('says so when none of these sizes fits, and leaves it to the try-on where no tape helps', () => {
    expect(settle(gap, { M01: { mm: 720, sigmaMm: 2 } }).says).toBe('none-fits')
    // Half in, half out, and read as well as hands can: one more reading says next to nothing.
    expect(settle({ ...gap, sizes: [{ label: '5', bands: { M01: [550, 600] } }] }, { M01: { mm: 600, sigmaMm: 0.2 } }, { errorMm: () => 12 }).says).toBe(
      'try-on',
    )
  })
  it('knows nothing of a dog without a tape', () => {
    expect(settle(gap, {})).toEqual({ now: 0, favoured: null, gains: [], says: 'nothing' })
  })
  it('gives a gap to the size the rule names: down for a cross-back, up by the maker’s word, half and half for a walking harness', () => {
    const sizes = [
      { label: '5', bands: { M01: [550, 590] as [number, number] } },
      { label: '6', bands: { M01: [610, 650] as [number, number] } },
    ]
    const at = (mm: number, over: object = {}) => settle({ ...gap, sizes, ...over }, { M01: { mm, sigmaMm: 2 } })
    expect(at(600)).toMatchObject({ says: 'settled', favoured: '5' })
    expect(at(600, { between: 'up' })).toMatchObject({ says: 'settled', favoured: '6' })
    expect(at(598, { family: 'H01' }).gains[0]?.between).toEqual(['5', '6'])
    expect(settle({ ...gap, sizes }, { M01: { mm: 608, sigmaMm: 11 } })).toMatchObject({ says: 'tape', gains: [{ between: ['5', '6'] }] })
  })
  it('never expects less from reading on than from stopping', () => {
    const n = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    fc.assert(
      fc.property(n(500, 700), n(0, 40), n(500, 700), n(0, 40), n(-1, 1), (a, sa, b, sb, r) => {
        const sizes = [{ label: 'x', bands: { M01: [550, 600], M13: [560, 640] } }, { label: 'y', bands: { M01: [590, 660], M13: [620, 700] } }] as unknown as typeof gap.sizes // prettier-ignore
        const found = settle(
          { ...gap, sizes },
          { M01: { mm: a, sigmaMm: sa, guess: true }, M13: { mm: b, sigmaMm: sb, guess: true } },
          { covarianceMm: () => r * sa * sb },
        )
        for (const { gain, after } of found.gains) {
          expect(gain).toBeGreaterThanOrEqual(0)
          expect(after).toBeLessThanOrEqual(1 + 1e-9)
        }
      }),
    )
  })
  it('lets a reading of one guess narrow the others of the same form', () => {
    const form = solveForm({ M07: { mm: 700, sigmaMm: 7 } }, null)
    const body = withGuesses({ M07: { mm: 700, sigmaMm: 7 } }, form)
    const [m13, m14] = [form.measures.M13!.mm, form.measures.M14!.mm]
    const sizes = [{ label: 'x', bands: { M13: [m13 - 80, m13], M14: [m14 - 80, m14] } }, { label: 'y', bands: { M13: [m13, m13 + 80], M14: [m14, m14 + 80] } }] as unknown as typeof gap.sizes // prettier-ignore
    const shares = measureCovariance(form, ['M13', 'M14'])
    const covarianceMm = (a: string, b: string) => shareOf(shares, a, b) * form.measures[a]!.mm * form.measures[b]!.mm
    const alone = settle({ ...gap, sizes }, body).gains.find((each) => each.measure === 'M14')!
    const together = settle({ ...gap, sizes }, body, { covarianceMm }).gains.find((each) => each.measure === 'M14')!
    expect(covarianceMm('M13', 'M14')).toBeGreaterThan(0)
    expect(together.gain).toBeGreaterThan(alone.gain)
  })
})
