import { describe, expect, it } from 'vitest'
import { layString, stringPoints } from '../src/form/lay-string.ts'
import { lengthAlong, pointOn } from '../src/form/point-on.ts'
import { frustum } from '../src/form/bulk.ts'
import { tautLength } from '../src/form/hull.ts'
import { solveForm } from '../src/form/index.ts'
import { besideDense } from './under-route.ts'
import { quarterArc, ring, ringArea } from '../src/form/superellipse.ts'
import type { Station } from '../src/form/stations.ts'

/**
 * Perimeter of an ellipse by the complete elliptic integral of the second kind, through the arithmetic-geometric mean
 * (Abramowitz & Stegun, Handbook of Mathematical Functions, 17.6; value from memory).
 */
function ellipse(a: number, b: number): number {
  let [x, y, sum, power] = [Math.max(a, b), Math.min(a, b), 0, 0.5]
  sum = x * x - (x * x - y * y) * 0.5
  for (let i = 0; i < 12; i++) {
    const [nextX, nextY] = [(x + y) / 2, Math.sqrt(x * y)]
    power *= 2
    sum -= power * ((x - y) / 2) ** 2
    ;[x, y] = [nextX, nextY]
  }
  return (2 * Math.PI * sum) / x
}

/** A round section of radius r standing upright at x. */
const disc = (x: number, r: number, centre = 2): Station => ({ tx: x, tz: centre + r, ux: x, uz: centre - r, w: r, v: 0.5, p: 2 })
const UP = Math.PI / 2

describe('rings', () => {
  it('are the perimeters of ellipses (facts 9b, computed by the complete elliptic integral)', () => {
    const rows = [[100, 100, 628.3185], [120, 80, 634.6176], [150, 90, 765.81], [160, 70, 750.5015], [60, 50, 346.2896]] as const // prettier-ignore
    for (const [a, b, girth] of rows) {
      expect(ellipse(a, b)).toBeCloseTo(girth, 3)
      expect(ring(b, a, a, 2) / girth).toBeCloseTo(1, 4)
      expect(4 * quarterArc(a, b, 2)).toBeCloseTo(ring(b, a, a, 2), 6)
    }
  })

  it('are the perimeter of a square and of a diamond at the ends of the exponent', () => {
    expect(ring(1, 1, 1, 1)).toBeCloseTo(4 * Math.SQRT2, 3)
    expect(Math.abs(ring(1, 1, 1, 40) / 8 - 1)).toBeLessThan(0.02)
  })

  it('enclose the area of an ellipse', () => expect(ringArea(3, 5, 5, 2)).toBeCloseTo(Math.PI * 15, 3))
})

describe('volumes', () => {
  it('are those of cylinder, cone and frustum', () => {
    expect(frustum(disc(0, 1), disc(3, 1))).toBeCloseTo(3 * Math.PI, 3)
    expect(frustum(disc(0, 1), disc(3, 1e-9))).toBeCloseTo(Math.PI, 3)
    expect(frustum(disc(0, 1), disc(3, 2))).toBeCloseTo(7 * Math.PI, 3)
  })
})

describe('strings over shapes with known geodesics', () => {
  const laid = (cuts: Station[], from: number, to: number): number => lengthAlong(stringPoints(cuts, layString(cuts, from, to)).points)

  it('cylinder: the rolled-out straight line', () => {
    const cuts = Array.from({ length: 25 }, (_, i) => disc(-i / 8, 0.5))
    expect(laid(cuts, -UP, UP) / Math.hypot(3, 0.5 * Math.PI)).toBeCloseTo(1, 2.5)
    expect(laid(cuts, -0.4, 0.9) / Math.hypot(3, 0.5 * 1.3)).toBeCloseTo(1, 3)
  })

  it('cone: the straight line of its unrolled sector', () => {
    const cuts = Array.from({ length: 33 }, (_, i) => disc(-i / 16, 1 - i / 64))
    // Slant from the apex, and the angle the half turn takes in the sector.
    const slant = (r: number): number => r * Math.sqrt(1 + 16)
    const turn = 1.4 / Math.sqrt(17)
    const [a, b] = [slant(1), slant(0.5)]
    expect(laid(cuts, -0.7, 0.7) / Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(turn))).toBeCloseTo(1, 3)
  })

  it('sphere: the great circle', () => {
    const at = (x: number): Station => disc(x, Math.sqrt(1 - x * x))
    const cuts = Array.from({ length: 41 }, (_, i) => at(0.8 - (i / 40) * 1.6))
    const [p, q] = [pointOn(cuts[0] as Station, -0.5), pointOn(cuts.at(-1) as Station, 0.8)]
    const dot = p[0] * q[0] + p[1] * q[1] + (p[2] - 2) * (q[2] - 2)
    expect(laid(cuts, -0.5, 0.8) / Math.acos(dot)).toBeCloseTo(1, 2.7)
  })

  it('torus: the inner rim is left where the string can cut straight across (lift-off)', () => {
    // The waist of a torus of radii 2 and 1 seen along its axis: sections narrow to a half and widen again.
    const at = (x: number): Station => disc(x, 1.5 - Math.sqrt(1 - x * x), 3)
    const cuts = Array.from({ length: 33 }, (_, i) => at(0.8 - (i / 32) * 1.6))
    const lay = layString(cuts, 0, 0)
    const straight = 1.6
    expect(lengthAlong(stringPoints(cuts, lay).points)).toBeCloseTo(straight, 6)
    expect([...lay.touches].reduce((sum, touch) => sum + touch, 0)).toBe(2)
  })

  it('never shorter than the straight line between its ends', () => {
    const cuts = Array.from({ length: 20 }, (_, i) => disc(-i / 8, 0.4 + 0.15 * Math.sin(i)))
    for (const [from, to] of [
      [-1.5, 1.5],
      [-1, 0],
      [0.2, 1.1],
    ] as const) {
      // prettier-ignore
      const [p, q] = [pointOn(cuts[0] as Station, from), pointOn(cuts.at(-1) as Station, to)]
      expect(laid(cuts, from, to)).toBeGreaterThanOrEqual(Math.hypot(...p.map((v, i) => v - (q[i] ?? 0))) - 1e-9)
    }
  })

  it('taut over hollows: the hull, not the hollow', () => {
    expect(tautLength([[0, 1], [-1, 0.6], [-2, 1]], 1)).toBeCloseTo(2, 9) // prettier-ignore
    expect(tautLength([[0, 1], [-1, 1.5], [-2, 1]], 1)).toBeCloseTo(2 * Math.hypot(1, 0.5), 9) // prettier-ignore
    expect(tautLength([[0, 0], [-1, 0.4], [-2, 0]], -1)).toBeCloseTo(2, 9) // prettier-ignore
  })
})

describe('the under-route beside a dense reference', () => {
  it('is within 0.5 % of a dynamic programme on a fine grid, lift-off included', () => {
    for (const build of ['nordic', 'sighthound', 'long-low'] as const) {
      expect([build, Math.abs(besideDense(solveForm({}, { build })) - 1) < 0.005]).toEqual([build, true])
    }
  }, 30_000)
})
