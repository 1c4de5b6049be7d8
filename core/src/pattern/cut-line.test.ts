import { Clipper, EndType, JoinType } from 'clipper2-ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bezierPoints, bezierThrough, cutLine, flatArea, flatDistance, smoothLine, type PatternPoint } from './index.ts'

const edges = (corners: readonly PatternPoint[], allowances: readonly number[]) =>
  corners.map((a, i) => ({ points: [a, corners[(i + 1) % corners.length] as PatternPoint], allowanceMm: allowances[i % allowances.length] as number }))
const box: PatternPoint[] = [[0, 0], [100, 0], [100, 50], [0, 50]] // prettier-ignore

describe('the cut line', () => {
  it('a rectangle grows by each edge’s own allowance, corners square', () => {
    const cut = cutLine(edges(box, [10, 5, 0, 20]))
    expect(Math.abs(flatArea(cut))).toBeCloseTo((100 + 5 + 20) * (50 + 10), 2)
    expect(cut).toHaveLength(4)
  })

  it('runs the way its edges run, either way round', () => {
    const back = [...box].reverse()
    expect(flatArea(cutLine(edges(box, [10])))).toBeCloseTo(120 * 70, 2)
    expect(flatArea(cutLine(edges(back, [10])))).toBeCloseTo(-120 * 70, 2)
  })

  it('equal allowances agree with another program’s mitred offset', () => {
    const star = fc.integer({ min: 5, max: 12 }).chain((n) =>
      fc.array(fc.double({ min: 40, max: 110, noNaN: true }), { minLength: n, maxLength: n }).map((far) =>
        far.map((r, i): PatternPoint => [r * Math.cos((2 * Math.PI * i) / n), r * Math.sin((2 * Math.PI * i) / n)]),
      ),
    ) // prettier-ignore
    fc.assert(
      fc.property(star, fc.double({ min: 1, max: 12, noNaN: true }), (corners, mm) => {
        const ours = Math.abs(flatArea(cutLine(edges(corners, [mm]))))
        const [theirs] = Clipper.inflatePaths(
          [corners.map(([x, y]) => ({ x: Math.round(x * 1000), y: Math.round(y * 1000) }))],
          mm * 1000,
          JoinType.Miter,
          EndType.Polygon,
          4,
        )
        const area = Math.abs(flatArea((theirs ?? []).map(({ x, y }): PatternPoint => [x / 1000, y / 1000])))
        // Past four allowances they square the corner off, we cut it blunt.
        expect(Math.abs(ours - area)).toBeLessThan(0.02 * area + 0.35 * mm * mm * corners.length)
      }),
      { numRuns: 60 },
    )
  })

  it('an inner corner makes no loop; a sharp one is cut blunt', () => {
    const bite: PatternPoint[] = [[0, 0], [100, 0], [100, 60], [52, 60], [50, 20], [48, 60], [0, 60]] // prettier-ignore
    const cut = cutLine(edges(bite, [10]))
    expect(Math.abs(flatArea(cut))).toBeCloseTo(120 * 80, -1)
    const needle = cutLine(edges([[0, 0], [100, 0], [0, 4]], [10])) // prettier-ignore
    expect(Math.max(...needle.map(([x]) => x))).toBeLessThanOrEqual(100 + 40 + 1e-6)
  })

  it('a gentle curve keeps its allowance all along', () => {
    const curve = Array.from({ length: 41 }, (_, i): PatternPoint => [200 * (i / 40), -32 * (i / 40) * (1 - i / 40)])
    const cut = cutLine([{ points: curve, allowanceMm: 10 }, { points: [[200, 0], [200, 90], [0, 90], [0, 0]], allowanceMm: 4 }]) // prettier-ignore
    const far = (p: PatternPoint): number =>
      Math.min(
        ...cut.map((a, i) => {
          const b = cut[(i + 1) % cut.length] as PatternPoint
          const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
          const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy)))
          return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy)
        }),
      )
    for (const p of curve.slice(4, -4)) expect(Math.abs(far(p) - 10)).toBeLessThan(0.02)
  })

  it('refuses what is no outline', () => {
    expect(() => cutLine([{ points: [[0, 0], [1, 0]], allowanceMm: 1 }])).toThrow(/three corners/) // prettier-ignore
    expect(() => cutLine(edges(box, [-1]))).toThrow(/allowance/)
    expect(() => cutLine([{ points: [[0, 0], [9, 0], [9, 9]], allowanceMm: 1 }, { points: [[5, 9], [0, 0]], allowanceMm: 1 }])).toThrow(/does not end/) // prettier-ignore
  })
})

describe('curves', () => {
  it('cubics keep within 0.1 mm of the line, ends kept', () => {
    const line = smoothLine([[0, 0], [40, 30], [90, 20], [130, 70], [200, 60]]) // prettier-ignore
    const curve = bezierThrough(line)
    const fine = bezierPoints(curve, 200)
    const step = Math.max(...fine.slice(1).map((q, i) => flatDistance(q, fine[i] as PatternPoint)))
    for (const p of line) expect(Math.min(...fine.map((q) => flatDistance(p, q)))).toBeLessThan(0.1 + step)
    expect(step).toBeLessThan(0.4)
    expect(curve[0]?.[0]).toEqual(line[0])
    expect(curve.at(-1)?.[3]).toEqual(line.at(-1))
    expect(curve.length).toBeLessThan(line.length * 0.6)
  })
})
