import { describe, expect, it } from 'vitest'
import type { TagBox } from '../../ui/plates/tag-box'
import { OPEN_HEIGHT, tagPlaces } from './tag-places'

const apart = (a: TagBox, b: TagBox): boolean => a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y

describe('places of tags', () => {
  it('never lie over each other, the open one or the mat’s edge, for any number of checks on any bench', () => {
    for (const width of [640, 768, 790, 816, 1100, 1500])
      for (const height of [430, 500, 620])
        for (let count = 1; count <= 14; count++)
          for (const open of [OPEN_HEIGHT, 360]) {
            const places = tagPlaces(width, height, count, open)
            const boxes = [places.open, ...places.closed]
            expect(places.closed).toHaveLength(count)
            for (const [i, box] of boxes.entries()) {
              expect([width, count, box.x >= 0, box.x + box.width <= width, box.y >= 0, box.y + box.height <= places.height]).toEqual([
                width,
                count,
                true,
                true,
                true,
                true,
              ])
              for (const other of boxes.slice(i + 1)) expect([width, height, count, open, apart(box, other)]).toEqual([width, height, count, open, true])
            }
            // The dog keeps a third of the mat.
            expect(width - places.inset.right).toBeGreaterThan(width / 3)
            expect(places.height - places.inset.top - places.inset.bottom).toBeGreaterThanOrEqual(230)
          }
  })
})
