import { landmarks, type LandmarkId } from '@merry-tailor/core'
import { expect, it } from 'vitest'
import { boxOfWords, placeLabels } from './place-labels'

const label = (id: LandmarkId, x: number, y: number) => ({ id, at: { x, y }, name: landmarks[id].name })
const mat = { width: 480, height: 320, top: 60, phone: false }

it('U42 names of bones stand apart from each other, from questions and from the small plates, inside the mat', () => {
  const question = boxOfWords(['ended here?'], 14.5, 'end', 120, 96)
  const cases = [
    // A short rump: tail base over last rib; and bones at the mat's very edges.
    [label('L12', 130, 120), label('L14', 96, 110)],
    [label('L01', 474, 150), label('L02', 440, 250), label('L03', 400, 66)],
    [label('L14', 4, 70), label('L16', 60, 90), label('L17', 80, 310)],
    [label('L03', 200, 100), label('L18', 212, 96), label('L19', 220, 110)],
  ]
  for (const phone of [false, true])
    for (const names of cases) {
      const placed = placeLabels(names, [question], { ...mat, phone })
      const boxes = [question, ...placed.map(({ box }) => box)]
      for (const [i, a] of boxes.entries())
        for (const b of boxes.slice(i + 1)) expect(a.left >= b.right || b.left >= a.right || a.top >= b.bottom || b.top >= a.bottom).toBe(true)
      for (const { box } of placed) {
        expect(box.left).toBeGreaterThanOrEqual(0)
        expect(box.right).toBeLessThanOrEqual(mat.width)
        expect(box.top).toBeGreaterThanOrEqual(mat.top)
        expect(box.bottom).toBeLessThanOrEqual(mat.height)
      }
    }
})

it('U42 a name with room stands where it always does', () => {
  const [only] = placeLabels([label('L12', 240, 200)], [], mat)
  expect([only?.tx, only?.ty, only?.anchor]).toEqual([214, 156, 'end'])
})
