import { solveForm, type GarmentPlan, type GarmentQuestion } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { changedEdges } from './changed-edges'

const form = solveForm({}, {})
const asked = (plan: GarmentPlan, over: Partial<GarmentQuestion> = {}): GarmentQuestion => ({ family: 'C3', form, body: {}, about: {}, plan, ...over })

describe('edges that change before the new pieces are there', () => {
  it('ease of a zone moves its edges and no others', () => {
    const edges = changedEdges(asked({}), asked({ ease: { headMm: 20 } }))
    expect(edges).toEqual(new Set(['crown', 'face', 'throat']))
  })
  it('another cloth or another tape moves all; a swatch and the cloth’s width move none', () => {
    expect(changedEdges(asked({}), asked({ cloth: 'fleece' }))).toBe('all')
    expect(changedEdges(asked({}), asked({}, { about: { sex: 'male' } }))).toBe('all')
    expect(changedEdges(asked({}), asked({ clothWidthMm: 1200, oneWay: true, gapMm: 8 }))).toEqual(new Set())
  })
})
