import { describe, expect, it } from 'vitest'
import { parseEntry, written } from './parse-entry'

describe('parseEntry', () => {
  it('reads lengths in the unit of the screen and weights by their own', () => {
    expect(parseEntry('M07', '26 1/2', 'in')).toMatchObject({ ok: true, unit: 'in' })
    expect(parseEntry('M00', '27,3', 'cm')).toEqual({ ok: true, mm: 27.3, unit: 'kg' })
    expect(parseEntry('M00', '60', 'in')).toMatchObject({ ok: true, unit: 'lb' })
    expect(parseEntry('M00', '27.3 kg', 'in')).toMatchObject({ ok: true, mm: 27.3, unit: 'kg' })
  })

  it('says what is wrong in the product’s voice', () => {
    expect(parseEntry('M07', 'wide', 'cm')).toMatchObject({ ok: false, problem: expect.stringContaining('Can’t read that as a length') as string })
    expect(parseEntry('M00', 'heavy', 'cm')).toMatchObject({ ok: false, problem: expect.stringContaining('weight') as string })
    expect(parseEntry('M00', '', 'in')).toEqual({ ok: false, problem: 'Nothing typed yet.' })
    expect(parseEntry('M00', '500', 'cm').ok).toBe(false)
  })
})

it('writes a length as a fitter would type it', () => {
  expect([written(292.1, 'in'), written(19.05, 'in'), written(254, 'in'), written(297.6, 'cm')]).toEqual(['11 1/2', '3/4', '10', '29.8'])
})
