import { expect, it } from 'vitest'
import { along, sample, smoothOpen } from './geometry'

const corner = [
  { x: 0, y: 0 },
  { x: 10, y: 0 },
  { x: 10, y: 10 },
]

it('walks a line at its shares', () => {
  expect(along(corner, 0.75)).toMatchObject({ x: 10, y: 5 })
  expect(along(corner, 2)).toMatchObject({ x: 10, y: 10 })
  expect(sample(corner).at(-1)).toEqual({ x: 10, y: 10 })
})

it('draws a smooth line from its first point to its last', () => {
  const path = smoothOpen(corner)
  expect(path.startsWith('M0 0C')).toBe(true)
  expect(path.endsWith('10 10')).toBe(true)
})
