import { describe, expect, it } from 'vitest'
import { missedBy } from './misses'

const look = { unit: 'in', step: 1 / 8 } as const

describe('by how much a piece misses', () => {
  it('is a length with a way, and no length where a tape could not read it', () => {
    expect(missedBy('M07', 25.4 * 2.25, look)).toBe('2 1⁄4 too tight')
    expect(missedBy('M14', -25.4, look)).toBe('1 too long')
    expect(missedBy('M01', 0.4, look)).toBe('just too tight')
    expect(missedBy('M01', -0.4, { unit: 'cm', step: 0.1 })).toBe('just too wide')
    expect(missedBy('M01', 10.16 * 25.4, look)).toMatch(/^10/)
  })
})
