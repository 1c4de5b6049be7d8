import { USUAL_SHOP } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { filledUp } from './kept-copies'

const before = { ticket: { id: 'a', activities: ['stroll'], notes: 'old' }, readings: [] }

describe('copies kept by an earlier page', () => {
  it('gain what came since, and keep what they had', () => {
    const filled = {
      ticket: { id: 'a', activities: ['stroll'], notes: 'old', traits: [], budget: null, alsoWorn: '', teamPlace: null, airC: null },
      readings: [],
    }
    expect(filledUp('/tickets/a', before)).toMatchObject(filled)
    expect(filledUp('/tickets?state=open', [before])).toMatchObject([filled])
    expect(filledUp('/dogs/0190', { dog: {}, tickets: [before] })).toMatchObject({ dog: {}, tickets: [filled] })
    expect(filledUp('/shop', { name: 'Old', unit: 'cm' })).toEqual({ ...USUAL_SHOP, name: 'Old', unit: 'cm' })
  })
  it('that are not there, and others, stay as they are', () => {
    expect(filledUp('/tickets/a', undefined)).toBeNull()
    expect(filledUp('/dogs', [{ name: 'Tern' }])).toEqual([{ name: 'Tern' }])
  })
})
