import { expect, it } from 'vitest'
import { ACTIVITIES } from '../model/index.ts'
import { families, suits } from './index.ts'

it('knows every activity of the table for each family, and keeps walking gear from draught', () => {
  for (const family of Object.values(families)) {
    expect(Object.keys(family.activities).sort()).toEqual([...ACTIVITIES].sort())
  }
  expect(suits('H01', 'stroll')).toBe('first')
  expect(suits('H11', 'sled-team')).toBe('first')
  for (const activity of ['sled-team', 'bike-front', 'weight-drag', 'cart'] as const) expect(suits('H01', activity)).toBe('wrong')
  for (const id of ['H01', 'H11'] as const) expect(suits(id, 'car')).toBe('wrong')
})
