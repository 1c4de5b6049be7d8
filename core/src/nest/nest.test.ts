import { Clipper } from 'clipper2-ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { flatArea, type PatternPoint } from '../pattern/index.ts'
import { nestPieces, noFitPolygon, type NestItem } from './index.ts'

const rect = (id: string, long: number, wide: number): NestItem => ({ id, outline: [[0, 0], [long, 0], [long, wide], [0, wide]] }) // prettier-ignore
const ell: PatternPoint[] = [[0, 0], [80, 0], [80, 30], [30, 30], [30, 90], [0, 90]] // prettier-ignore
const tri: PatternPoint[] = [[0, 0], [60, 10], [20, 50]] // prettier-ignore
const cloth = { widthMm: 300, gapMm: 4, oneWay: false }

/** How near two outlines come, corner to side. */
function apart(a: readonly PatternPoint[], b: readonly PatternPoint[]): number {
  const from = (p: PatternPoint, line: readonly PatternPoint[]): number =>
    Math.min(
      ...line.map((q, i) => {
        const r = line[(i + 1) % line.length] as PatternPoint
        const [dx, dy] = [r[0] - q[0], r[1] - q[1]]
        const t = Math.min(1, Math.max(0, ((p[0] - q[0]) * dx + (p[1] - q[1]) * dy) / (dx * dx + dy * dy)))
        return Math.hypot(p[0] - q[0] - t * dx, p[1] - q[1] - t * dy)
      }),
    )
  return Math.min(...a.map((p) => from(p, b)), ...b.map((p) => from(p, a)))
}

describe('no-fit polygons', () => {
  it('agree with another program’s Minkowski sum', () => {
    const toPath = (points: readonly PatternPoint[]) => points.map(([x, y]) => ({ x: x * 1000, y: y * 1000 }))
    for (const [a, b] of [
      [ell, tri],
      [tri, ell],
      [ell, ell],
    ] as const) {
      const ours = noFitPolygon(a, b).reduce((sum, path) => sum + flatArea(path), 0)
      // Their sum is of the outline alone; what it encloses belongs to it.
      const theirs = Clipper.minkowskiSum(toPath(a), toPath(b.map(([x, y]): PatternPoint => [-x, -y])), true)
      const outer = theirs.map((path) => Math.abs(flatArea(path.map(({ x, y }): PatternPoint => [x / 1000, y / 1000])))).sort((p, q) => q - p)
      expect(ours / (outer[0] ?? 0)).toBeCloseTo(1, 5)
    }
  })
})

describe('a lay', () => {
  it('keeps the gap between pieces and stays on the cloth; the same seed and orders give the same lay', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.array(fc.tuple(fc.integer({ min: 20, max: 140 }), fc.integer({ min: 20, max: 140 })), { minLength: 2, maxLength: 6 }),
        (seed, sizes) => {
          const items = [...sizes.map(([l, w], i) => rect(`r${i}`, l, w)), { id: 'ell', outline: ell, count: 2, mirrored: true }, { id: 'tri', outline: tri }]
          const lay = nestPieces(items, cloth, { orders: 6, seed })
          expect(lay.unplaced).toEqual([])
          expect(lay.placed).toHaveLength(sizes.length + 3)
          for (const { outline } of lay.placed)
            for (const [x, y] of outline) expect(x >= -0.05 && y >= -0.05 && y <= 300.05 && x <= lay.lengthMm + 0.05).toBe(true)
          for (const [i, a] of lay.placed.entries()) for (const b of lay.placed.slice(i + 1)) expect(apart(a.outline, b.outline)).toBeGreaterThan(4 - 0.1)
          expect(lay.lengthMm).toBeGreaterThanOrEqual(lay.boundMm - 0.05)
          expect(nestPieces(items, cloth, { orders: 6, seed })).toEqual(lay)
        },
      ),
      { numRuns: 12 },
    )
  })

  it('lays the perfect rectangle of order nine (Moroń 1925, 33 x 32, value from memory) within an eighth', () => {
    const squares = [18, 15, 7, 8, 14, 4, 10, 1, 9].map((side, i) => rect(`s${i}`, side, side))
    expect(squares.reduce((sum, { outline }) => sum + flatArea(outline), 0)).toBe(33 * 32)
    const lay = nestPieces(squares, { widthMm: 33, gapMm: 0, oneWay: true }, { orders: 300, seed: 1 })
    expect(lay.boundMm).toBeCloseTo(32, 6)
    expect(lay.lengthMm).toBeLessThanOrEqual(36.01)
    expect(lay.lengthMm).toBeLessThan(lay.baselineMm)
  })

  it('lays the perfect square of order 21 (Duijvestijn 1978, side 112, values from memory) better than shelves; no area is lost', () => {
    const sides = [50, 35, 27, 8, 19, 15, 17, 11, 6, 24, 29, 25, 9, 2, 7, 18, 16, 42, 4, 37, 33]
    expect(sides.reduce((sum, side) => sum + side * side, 0)).toBe(112 * 112)
    const lay = nestPieces(
      sides.map((side, i) => rect(`s${i}`, side, side)),
      { widthMm: 112, gapMm: 0, oneWay: true },
      { orders: 120, seed: 2 },
    )
    expect(lay.boundMm).toBeCloseTo(112, 6)
    expect(lay.lengthMm).toBeLessThanOrEqual(112 * 1.16)
    expect(lay.lengthMm).toBeLessThan(lay.baselineMm)
    // Cloth used and cloth left over are the whole cloth.
    const used = lay.placed.reduce((sum, { outline }) => sum + Math.abs(flatArea(outline)), 0)
    expect(lay.areaShare * lay.lengthMm * 112).toBeCloseTo(used, 3)
  })

  it('every second copy is turned over; one-way cloth turns nothing round; what is too wide is named', () => {
    const lay = nestPieces([{ id: 'ell', outline: ell, count: 4, mirrored: true }, rect('wide', 40, 400)], { ...cloth, oneWay: true }, { orders: 4, seed: 3 })
    expect(lay.placed.map(({ mirrored }) => mirrored).filter(Boolean)).toHaveLength(2)
    expect(lay.placed.every(({ turned }) => !turned)).toBe(true)
    expect(lay.unplaced).toEqual(['wide'])
  })

  it('cloth that shrinks is laid larger; nothing to lay is no length', () => {
    const [plain, shrunk] = [0, [0.1, 0] as const].map((shrink) => nestPieces([rect('a', 90, 50)], { ...cloth, shrink }, { orders: 1, seed: 1 }))
    expect((shrunk?.lengthMm ?? 0) / (plain?.lengthMm ?? 1)).toBeCloseTo(1 / 0.9, 6)
    expect(nestPieces([], cloth, { orders: 1, seed: 1 }).lengthMm).toBe(0)
    expect(() => nestPieces([rect('a', 1, 1)], { ...cloth, widthMm: 0 }, { orders: 1, seed: 1 })).toThrow(/width/)
  })
})
