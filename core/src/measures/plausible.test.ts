import { describe, expect, it } from 'vitest'
import { plausible } from './index.ts'

const body = (values: Record<string, number>) => Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm, sigmaMm: 4 }]))
const first = (values: Record<string, number>) => plausible(body(values))[0]

describe('plausible', () => {
  it('is quiet about a body that hangs together', () => {
    expect(plausible(body({ M01: 560, M06: 290, M07: 690, M10: 372, M12: 301, M13: 668, M14: 541 }))).toEqual([])
    expect(plausible({})).toEqual([])
    expect(plausible({ M01: { mm: Number.NaN }, M07: { mm: null } })).toEqual([])
  })

  it('asks whether a neck was doubled twice, or not at all', () => {
    expect(first({ M01: 1120, M07: 690 })).toMatchObject({ rule: 'neck-under-girth', byMm: 430, ask: expect.arrayContaining(['doubled-twice']) })
    expect(first({ M01: 1120, M07: 690 })?.ask[0]).toBe('doubled-twice')
    expect(first({ M01: 280, M07: 690 })).toMatchObject({ rule: 'half-neck-to-girth', ask: ['not-doubled', 'collar-line', 'dog-is-so'] })
    expect(first({ M01: 460, M07: 690 })?.ask[0]).toBe('collar-line')
    expect(first({ M01: 670, M07: 690 })?.ask[0]).toBe('thick-ruff')
  })

  it('keeps the lines on one route in order', () => {
    expect(first({ M06: 400, M10: 372 })).toMatchObject({ rule: 'route-order', measures: ['M06', 'M10'], byMm: 28 })
    expect(first({ M10: 700, M13: 668 })).toMatchObject({ rule: 'route-order', measures: ['M10', 'M13'] })
    expect(first({ M10: 372, M12: 301, M13: 690 })).toMatchObject({ rule: 'length-parts', byMm: 17 })
    expect(plausible(body({ M10: 372, M12: 301, M13: 640 }))).toEqual([])
    expect(first({ M10: 372, M11: 350 })).toMatchObject({ rule: 'schools-window' })
  })

  it('only asks about a number that stands twice, the half neck included', () => {
    expect(first({ M06: 300, M14: 300 })).toMatchObject({ rule: 'same-value', byMm: 0, ask: ['copied', 'dog-is-so'] })
    expect(first({ M01: 600, M06: 300 })).toMatchObject({ rule: 'same-value', measures: ['M01', 'M06'] })
  })
})
