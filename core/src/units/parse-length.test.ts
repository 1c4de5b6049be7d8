import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatGap, formatLength, parseLength } from './index.ts'

const inches = (text: string, unit: 'in' | 'cm' | 'mm' = 'in') => {
  const read = parseLength(text, unit)
  return read.ok ? read.mm / 25.4 : read.problem
}

describe('parseLength', () => {
  it.each([
    ['13 1/2', 13.5],
    ['13-1/2', 13.5],
    ['13½', 13.5],
    ['13 ½ in', 13.5],
    ['13.5"', 13.5],
    ['13.5”', 13.5],
    [`1' 1 1/2"`, 13.5],
    ['1′ 1 1⁄2″', 13.5],
    ['1 ft 1.5 in', 13.5],
    ['1 ft', 12],
    ['２７ ３/８', 27.375],
    ['  7/8 ', 0.875],
    ['27⅜', 27.375],
    ['12\u00a01/4', 12.25],
    ['.5', 0.5],
  ])('reads %j as inches', (text, value) => {
    expect(inches(text)).toBeCloseTo(value, 9)
  })

  it.each([
    ['34.5 cm', 345, 'cm'],
    ['34,5cm', 345, 'cm'],
    ['26 1/2 cm', 265, 'cm'],
    ['345mm', 345, 'mm'],
    ['３４．５ｃｍ', 345, 'cm'],
  ])('reads %j as %d mm and keeps its unit', (text, mm, unit) => {
    const read = parseLength(text, 'in')
    expect(read.ok && [Math.round(read.mm * 1e6) / 1e6, read.unit]).toEqual([mm, unit])
  })

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['13 1/0', 'unreadable'],
    ['1/2/3', 'unreadable'],
    ['12 13', 'unreadable'],
    ['1e3', 'unreadable'],
    ['abc', 'unreadable'],
    ['13 5/4', 'unreadable'],
    ['8/8', 'unreadable'],
    ['in', 'unreadable'],
    ['13 in cm', 'unreadable'],
    ["1' 13", 'unreadable'],
    ['-3', 'not-positive'],
    ['0', 'not-positive'],
    ['301 cm', 'too-long'],
    ['3001mm', 'too-long'],
    ['119', 'too-long'],
  ])('refuses %j: %s', (text, problem) => {
    expect(inches(text)).toBe(problem)
  })

  it('never throws', () => {
    fc.assert(fc.property(fc.string({ unit: 'binary' }), (text) => typeof parseLength(text, 'cm').ok === 'boolean'))
    fc.assert(fc.property(fc.stringMatching(/^[-+0-9 /.,'"½a-z]{0,14}$/), (text) => typeof parseLength(text, 'in').ok === 'boolean'))
  })
})

describe('formatLength', () => {
  it('builds a reduced fraction, half up', () => {
    expect(formatLength(13.5 * 25.4, { unit: 'in', step: 0.125 })).toMatchObject({ whole: 13, numerator: 1, denominator: 2, text: '13 1/2 in' })
    expect(formatLength(13.0625 * 25.4, { unit: 'in', step: 0.125 }).text).toBe('13 1/8 in')
    expect(formatLength(12.97 * 25.4, { unit: 'in', step: 0.125 }).text).toBe('13 in')
    expect(formatLength(0.75 * 25.4, { unit: 'in', step: 0.125 }).text).toBe('3/4 in')
    expect(formatLength(342.5, { unit: 'cm', step: 0.5 }).text).toBe('34.5 cm')
    expect(formatLength(340, { unit: 'mm', step: 1 }).text).toBe('340 mm')
  })

  it('is read back to within half a step, from one step to 3 m', () => {
    const styles = [
      { unit: 'in', step: 0.125 },
      { unit: 'in', step: 0.0625 },
      { unit: 'in', step: 0.25 },
      { unit: 'cm', step: 0.5 },
      { unit: 'cm', step: 0.1 },
      { unit: 'mm', step: 1 },
    ] as const
    const perUnit = { in: 25.4, cm: 10, mm: 1 }
    fc.assert(
      fc.property(fc.constantFrom(...styles), fc.double({ min: 0, max: 1, noNaN: true }), (style, share) => {
        const stepMm = style.step * perUnit[style.unit]
        const mm = stepMm + share * (3000 - stepMm)
        const read = parseLength(formatLength(mm, style).text, style.unit === 'in' ? 'cm' : 'in')
        expect(read.ok && Math.abs(read.mm - mm)).toBeLessThanOrEqual(stepMm / 2 + 1e-6)
      }),
      { numRuns: 500 },
    )
  })

  it('writes gaps with their sign', () => {
    expect(formatGap(-22.3, { unit: 'in', step: 0.125 }).text).toBe('-7/8 in')
    expect(formatGap(25.4, { unit: 'in', step: 0.125 }).text).toBe('+1 in')
    expect(formatGap(-0.4, { unit: 'in', step: 0.125 })).toMatchObject({ sign: 0, text: '0 in' })
  })
})
