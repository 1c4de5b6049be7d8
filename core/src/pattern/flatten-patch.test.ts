import { describe, expect, it } from 'vitest'
import { flatLength, flattenPatch, type ClothPoint } from './index.ts'

const grid = (columns: number, rows: number, at: (i: number, j: number) => ClothPoint): ClothPoint[][] =>
  Array.from({ length: columns }, (_, i) => Array.from({ length: rows }, (__, j) => at(i / (columns - 1), j / (rows - 1))))

const cylinder = grid(25, 17, (s, t) => [240 * s, 90 * Math.sin((Math.PI / 2) * t), 90 * Math.cos((Math.PI / 2) * t)])
/** A strip of a sphere along its equator, up to a latitude. */
const sphere = (reach: number, up: number) =>
  grid(41, 15, (s, t) => {
    const [x, y] = [reach * s, up * t]
    return [100 * Math.sin(x) * Math.cos(y), 100 * Math.sin(y), 100 * Math.cos(x) * Math.cos(y)]
  })
const meridians = (columns: readonly number[]) => columns.map((i) => ({ from: [i, 14] as const, to: [i, 0] as const }))

describe('a patch laid flat', () => {
  it('a cylinder unrolls without strain, as wide as its chords', () => {
    const flat = flattenPatch(cylinder, { fold: true })
    expect(flat.strain.max).toBeLessThan(1e-9)
    // Sixteen chords of a quarter ring of 90 mm: 16 * 2 * 90 * sin(pi / 64).
    expect(flat.points[0]?.[16]?.[1]).toBeCloseTo(16 * 180 * Math.sin(Math.PI / 64), 4)
    expect(flat.points.every(([first]) => Math.abs(first?.[1] ?? 1) < 1e-9)).toBe(true)
  })

  it('a cone becomes a sector of its angle', () => {
    const [share, sector] = [0.15, (27 * Math.PI) / 180]
    const cone = grid(25, 33, (s, t) => {
      const [far, a] = [100 + 300 * s, (sector / share) * t]
      return [far * Math.sqrt(1 - share * share), far * share * Math.sin(a), far * share * Math.cos(a)]
    })
    const { points } = flattenPatch(cone)
    const direction = (j: number): number => {
      const [a, b] = [points[0]?.[j], points[24]?.[j]]
      return Math.atan2((b?.[1] ?? 0) - (a?.[1] ?? 0), (b?.[0] ?? 0) - (a?.[0] ?? 0))
    }
    expect(((direction(32) - direction(0)) * 180) / Math.PI).toBeCloseTo(27, 1)
  })

  it('mouths of n darts in a strip of a sphere are n/(n+1) of R X (1 - cos Y), and the strain falls with them', () => {
    const [reach, up] = [1.2, 0.6]
    const whole = 100 * reach * (1 - Math.cos(up))
    const strips = [[], [20], [10, 20, 30]].map((columns) => flattenPatch(sphere(reach, up), { cuts: meridians(columns) }))
    const mouths = strips.map(({ cuts }) => cuts.reduce((sum, { mouthMm }) => sum + mouthMm, 0) / whole)
    expect(Math.abs((mouths[1] ?? 0) - 1 / 2)).toBeLessThan(0.05)
    expect(Math.abs((mouths[2] ?? 0) - 3 / 4)).toBeLessThan(0.05)
    const strain = strips.map((strip) => strip.strain.rms)
    expect(strain[0]).toBeGreaterThan((strain[1] ?? 0) * 1.3)
    expect(strain[1]).toBeGreaterThan((strain[2] ?? 0) * 1.3)
  })

  it('a cut into a saddle laps: it must be a seam', () => {
    const saddle = grid(31, 13, (s, t) => {
      const [x, y] = [180 * (s - 0.5), 96 * t]
      return [x, y, (x * x - y * y) / 300]
    })
    for (const fold of [true, false]) expect(flattenPatch(saddle, { fold, cuts: [{ from: [15, 12], to: [15, 0] }] }).cuts[0]?.mouthMm).toBeLessThan(-2)
  })

  it('held lines keep their own length or take another', () => {
    const strip = sphere(1, 0.7)
    const own = (j: number): number => 100 * Math.cos((0.7 * j) / 14) * 40 * 2 * Math.sin(1 / 80)
    const row = (points: readonly (readonly (readonly [number, number])[])[], j: number) => flatLength(points.map((column) => column[j] as [number, number]))
    const held = flattenPatch(strip, { hold: [{ from: [0, 14], to: [40, 14] }, { from: [0, 0], to: [40, 0], mm: 103 }] }) // prettier-ignore
    expect(row(held.points, 14)).toBeCloseTo(own(14), 0)
    expect(row(held.points, 0)).toBeCloseTo(103, 0)
    expect(Math.abs(row(flattenPatch(strip).points, 14) - own(14))).toBeGreaterThan(1)
  })

  it('scaled cloth gives scaled pieces', () => {
    const [small, large] = [1, 3].map((by) =>
      flattenPatch(
        sphere(1, 0.6).map((column) => column.map(([x, y, z]): ClothPoint => [x * by, y * by, z * by])),
        { fold: true },
      ),
    )
    const [a, b] = [small?.points[40]?.[14], large?.points[40]?.[14]]
    expect((b?.[1] ?? 0) / (a?.[1] ?? 1)).toBeCloseTo(3, 4)
  })

  it('mirrored cloth gives the mirrored piece', () => {
    const [left, right] = [1, -1].map((side) =>
      flattenPatch(
        sphere(1, 0.6).map((column) => column.map(([x, y, z]): ClothPoint => [x, y * side, z])),
        { fold: true },
      ),
    )
    left?.points.forEach((column, i) =>
      column.forEach(([x, y], j) => expect(Math.hypot(x - (right?.points[i]?.[j]?.[0] ?? 0), y - (right?.points[i]?.[j]?.[1] ?? 0))).toBeLessThan(1e-6)),
    )
  })

  it('refuses what is no patch, by name', () => {
    expect(() => flattenPatch([[[0, 0, 0]]])).toThrow(/grid/)
    expect(() => flattenPatch(cylinder, { cuts: [{ from: [0, 0], to: [3, 4] }] })).toThrow(/a cut/)
    expect(() => flattenPatch(cylinder, { hold: [{ from: [0, 0], to: [99, 0] }] })).toThrow(/held line/)
    expect(() => flattenPatch([[[0, 0, 0], [0, 1, 0]], [[1, 0, NaN], [1, 1, 0]]])).toThrow(/no number/) // prettier-ignore
  })
})
