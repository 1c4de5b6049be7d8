import { describe, expect, it } from 'vitest'
import { answeredWords } from './expected'

describe('U52: what was answered', () => {
  it('is in the unit on screen, whatever it was typed in', () => {
    expect(answeredWords({ asTyped: '9 cm', mm: 90, fingers: null }, 'in')).toBe('3 1/2 in')
    expect(answeredWords({ asTyped: '-0,5 cm', mm: -5, fingers: null }, 'in')).toBe('-1/4 in')
    expect(answeredWords({ asTyped: '-1/4 in', mm: -6.35, fingers: null }, 'cm')).toBe('-0.6 cm')
    expect(answeredWords({ asTyped: '3/4"', mm: 19.05, fingers: null }, 'cm')).toBe('1.9 cm')
  })

  it('stays as it was typed in that unit, in fingers, and in words', () => {
    expect(answeredWords({ asTyped: '3/4"', mm: 19.05, fingers: null }, 'in')).toBe('3/4"')
    expect(answeredWords({ asTyped: '12 mm', mm: 12, fingers: null }, 'cm')).toBe('12 mm')
    expect(answeredWords({ asTyped: '2', mm: 30, fingers: 2 }, 'in')).toBe('2 fingers')
    expect(answeredWords({ asTyped: '1', mm: 16, fingers: 1 }, 'cm')).toBe('1 finger')
    expect(answeredWords({ asTyped: 'hand', mm: 80, fingers: 4 }, 'in')).toBe('hand')
    expect(answeredWords({ asTyped: '', mm: null, fingers: null }, 'in')).toBe('')
  })
})
