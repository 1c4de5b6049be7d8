import { describe, expect, it } from 'vitest'
import { layPlaces } from './lay-places'

describe('places of what is expected', () => {
  it('never lie over each other or the mat’s edge, and leave the dog its room', () => {
    for (const width of [700, 768, 932, 1100, 1600])
      for (let count = 0; count <= 16; count++) {
        const { boxes, height, inset } = layPlaces(width, count)
        expect(boxes).toHaveLength(count)
        for (const [i, box] of boxes.entries()) {
          expect([width, count, box.x >= 0, box.x + box.width <= width, box.y + box.height <= height]).toEqual([width, count, true, true, true])
          for (const other of boxes.slice(i + 1))
            expect(box.x + box.width <= other.x || other.x + other.width <= box.x || box.y + box.height <= other.y || other.y + other.height <= box.y).toBe(
              true,
            )
        }
        expect(height - inset.top - inset.bottom).toBeGreaterThanOrEqual(270)
        expect(width - inset.right).toBeGreaterThan(width / 2)
      }
  })
})
