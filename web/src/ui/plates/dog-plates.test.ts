import { figure } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { cutPlates, tapeLine } from './dog-plates'
import { along, sample } from './geometry'

const about = { breed: '', crossWith: '', weightKg: null, flatFace: null }
const dog = (values: Record<string, number>, breed = '') =>
  cutPlates(figure(Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm }])), { ...about, breed }))

describe('cutPlates', () => {
  it('stretches with the readings and leaves no point unplaced', () => {
    const [short, long] = [dog({ M14: 480, M07: 650 }), dog({ M14: 620, M07: 650 })]
    expect(long.box.width).toBeGreaterThan(short.box.width)
    expect(long.marks.tailBase.x).toBeLessThan(short.marks.tailBase.x)
    for (const each of [short, long, dog({}, 'Dachshund'), dog({}, 'Pug'), dog({ M01: 2900, M07: 60 })]) {
      expect(each.plates.flatMap((plate) => plate.points).every((point) => Number.isFinite(point.x) && Number.isFinite(point.y))).toBe(true)
    }
  })

  it('keeps the handbook’s landmarks in their places', () => {
    const { marks, floorY } = dog({ M01: 560, M06: 290, M07: 690, M14: 541 })
    expect(marks.breastbone.x).toBeGreaterThan(marks.withers.x)
    expect(marks.sternumEnd.x).toBeLessThan(marks.underLegs.x)
    expect(marks.lastRib.x).toBeLessThan(marks.sternumEnd.x)
    expect(marks.tailBase.x).toBeLessThan(marks.lastRib.x)
    expect(marks.girthBottom.y).toBeLessThan(floorY)
  })

  it('lays every tape of the first two families from its first landmark to its last', () => {
    const cut = dog({ M14: 541 })
    const ends = {
      M01: ['withers', 'breastbone'],
      M06: ['breastbone', 'sternumEnd'],
      M10: ['breastbone', 'lastRib'],
      M12: ['lastRib', 'tailBase'],
      M13: ['breastbone', 'tailBase'],
      M11: ['withers', 'lastRib'],
      M14: ['withers', 'tailBase'],
    } as const
    for (const [id, [first, last]] of Object.entries(ends)) {
      const line = tapeLine(id, cut)?.points ?? []
      expect([line[0], line.at(-1)]).toEqual([cut.marks[first], cut.marks[last]])
    }
    expect(tapeLine('M99', cut)).toBeNull()
  })
})

it('walks a line at its shares', () => {
  const line = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 10 },
  ]
  expect(along(line, 0.75)).toMatchObject({ x: 10, y: 5 })
  expect(sample(line).at(-1)).toEqual({ x: 10, y: 10 })
})
