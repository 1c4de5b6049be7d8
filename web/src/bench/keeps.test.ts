import { describe, expect, it } from 'vitest'
import { suspectCode } from '../words/suspects'
import { keeps } from './use-read-form'

describe('a reading kept as the dog’s own', () => {
  const suspect = { measure: 'M07', readMm: 60.2 }
  it('is known by the form’s own question and by a rule’s that names it', () => {
    expect(keeps(suspectCode(suspect), suspect)).toBe(true)
    expect(keeps('neck-past-girth:M01=900,M07=60', suspect)).toBe(true)
  })

  it('A16: is not another reading that begins with the same digits, or another measure that ends the same', () => {
    expect(keeps('neck-past-girth:M07=600', suspect)).toBe(false)
    expect(keeps('neck-past-girth:M07=605,M01=60', suspect)).toBe(false)
    expect(keeps(suspectCode({ measure: 'M07', readMm: 600 }), suspect)).toBe(false)
  })
})
