import { wayIn, type CarSpace } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { wayOf } from './way-of'

const space: CarSpace = {
  floor: [[0, 0], [1200, 0], [1200, 1100], [0, 1100]],
  side: [[0, 0], [1200, 0], [1000, 850], [0, 850]],
  arches: [],
  opening: [[0, 0], [1000, 0], [1000, 780], [0, 780]],
  floorUpMm: 600,
  sillMm: 40,
  anchors: [],
} // prettier-ignore
const box = { lengthMm: 800, widthMm: 550, heightMm: 600 }

describe('a way into a car, from the side', () => {
  it('over the sill and under the edge: half of what the opening leaves', () => {
    const way = wayIn(wayOf(space, box, 500, true))
    // 780 less 40 of sill less 600 of crate leaves 140: 70 above and below, less the lattice.
    expect(way?.giveMm).toBeGreaterThan(55)
    expect(way?.giveMm).toBeLessThanOrEqual(72)
    expect(new Set(way?.path.map(([, , turn]) => turn)).size).toBe(1)
  })
  it('higher than the opening over its sill it does not go in', () => {
    expect(wayIn(wayOf(space, { ...box, heightMm: 745 }, 600, true))).toBeNull()
  })
})
