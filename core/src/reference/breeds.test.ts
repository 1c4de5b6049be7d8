import { describe, expect, it } from 'vitest'
import { buildTypes } from '../form/index.ts'
import { breeds, findBreed, suggestBreeds } from './index.ts'

describe('breeds', () => {
  it('are whole rows: known build, coat, and ranges in order', () => {
    for (const breed of breeds) {
      expect([breed.name, breed.build in buildTypes]).toEqual([breed.name, true])
      for (const range of [breed.maleCm, breed.femaleCm, breed.maleKg, breed.femaleKg]) {
        if (range?.[0] != null && range[1] != null) expect([breed.name, range[0] <= range[1]]).toEqual([breed.name, true])
      }
    }
    expect(new Set(breeds.map((breed) => breed.name)).size).toBe(breeds.length)
  })

  it('are suggested by what was typed, beginnings first, marks aside', () => {
    expect(suggestBreeds('lab')[0]?.name).toBe('Labrador Retriever')
    expect(suggestBreeds('terr').every((breed) => breed.name.toLowerCase().includes('terr'))).toBe(true)
    expect(suggestBreeds('lowchen').map((breed) => breed.fci)).toEqual([233])
    expect(suggestBreeds('  ')).toEqual([])
    expect(suggestBreeds('e', 5)).toHaveLength(5)
    expect(findBreed('')).toBeUndefined()
  })
})
