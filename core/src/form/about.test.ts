import { describe, expect, it } from 'vitest'
import { kindOf } from './about.ts'

const ears = (breed: string) => kindOf({ breed }).ears

// Ears by breed. Source: breed standards, from memory, unverified.
describe('C16: a breed is known by its whole name, not by a part of another’s', () => {
  it('a Staffordshire Bull Terrier has no Bull Terrier’s ears', () => {
    expect(ears('Bull Terrier')).toBe('erect')
    expect(ears('Staffordshire Bull Terrier')).not.toBe('erect')
  })

  it('a part still speaks for all that carry it, where nothing longer does', () => {
    expect(ears('French Bulldog')).toBe('erect')
    expect(ears('Miniature Bull Terrier')).toBe('erect')
    expect(ears('Cavalier King Charles Spaniel')).toBe('drop')
    expect(ears('Welsh Corgi Pembroke')).toBe('erect')
  })
})
