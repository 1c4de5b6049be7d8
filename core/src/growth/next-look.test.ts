import { describe, expect, it } from 'vitest'
import { nextLook } from './next-look.ts'

const dog = (born: string, breed = 'Golden Retriever') => ({ born, ageMonths: null, ageSaidOn: null, breed, crossWith: '', sex: 'female' as const })

describe('when a growing dog is looked at again', () => {
  it('X24 within two to four weeks under six months, then in a month, and nothing is proposed for a grown one', () => {
    expect(nextLook(dog('2026-08-01'), '2026-11-28')).toBe('2026-12-19')
    expect(nextLook(dog('2026-03-01'), '2026-11-28')).toBe('2026-12-28')
    expect(nextLook(dog('2020-03-01'), '2026-11-28')).toBeNull()
    expect(nextLook(null, '2026-11-28')).toBeNull()
    expect(nextLook({ ...dog('2026-08-01'), born: null }, '2026-11-28')).toBeNull()
  })
})
