import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  cutAt,
  hindLegOf,
  pathOn,
  sectionAt,
  sectionThrough,
  skinOf,
  skinOfCuts,
  solveForm,
  tautAlong,
  tautAround,
  type Form,
  type SkinStation,
} from '../src/index.ts'
import { FORM_MEASURES, parameterOf } from '../src/form/index.ts'
import { lengthAlong } from '../src/form/point-on.ts'

const UP = Math.PI / 2
const disc = (x: number, r: number): SkinStation => ({ tx: x, tz: 600 + r, ux: x, uz: 600 - r, w: r, v: 0.5, p: 2 })
const twelve = (of: (i: number) => SkinStation): SkinStation[] => Array.from({ length: 12 }, (_, i) => of(i))
const [STEP, R] = [80, 150]
const cylinder = skinOfCuts(twelve((i) => disc(-STEP * i, R)))
const [WIDE, LESS] = [250, 15]
const cone = skinOfCuts(twelve((i) => disc(-STEP * i, WIDE - LESS * i)))
/** The cone unrolled: a radius' distance from the apex, and what half a turn becomes. */
const slope = LESS / STEP
const slant = (cut: number): number => ((WIDE - LESS * cut) / slope) * Math.hypot(1, slope)
const half = (Math.PI * slope) / Math.hypot(1, slope)
const chord = (a: number, b: number, turn: number): number => Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(turn))

const breeds = ['Chihuahua', 'Greyhound', 'Dachshund', 'Great Dane', 'Pug', 'Siberian Husky', 'Cane Corso', 'Bloodhound', 'Fox Terrier, smooth'] as const
const forms: [string, Form][] = breeds.map((breed) => [breed, solveForm({}, { breed })])
const puppy = solveForm({ M00: { mm: 4, sigmaMm: 0.2 } }, { breed: 'Labrador Retriever', ageMonths: 2 })

describe('strings on skins with known geodesics (elementary geometry of unrolled surfaces)', () => {
  it('along a cylinder: the straight line of the rolled-out sheet, a little short by its chords', () => {
    for (const [from, to, a, b] of [
      [3, 11, -UP, UP],
      [3, 7, UP, 0],
      [3, 4, -UP, UP],
      [2.3, 9.7, -0.4, 0.9],
      [0, 11, -1, 1],
    ] as const) {
      const { lengthMm } = tautAlong(cylinder, { cut: from, angleRad: a }, { cut: to, angleRad: b })
      const off = lengthMm / Math.hypot(R * (b - a), STEP * (to - from)) - 1
      expect(off).toBeLessThan(1e-9)
      expect(off).toBeGreaterThan(-0.002)
    }
  })

  it('along a cone: the chord of its sector', () => {
    const { lengthMm } = tautAlong(cone, { cut: 2, angleRad: -UP }, { cut: 9, angleRad: UP })
    expect(Math.abs(lengthMm / chord(slant(2), slant(9), half) - 1)).toBeLessThan(0.002)
  })

  it('around a cylinder and a cone: exact to a few parts in a million', () => {
    expect(tautAround(cylinder, 5, 5).lengthMm / (Math.PI * R)).toBeCloseTo(1, 5)
    expect(tautAround(cylinder, 5, 8).lengthMm / Math.hypot(Math.PI * R, 3 * STEP)).toBeCloseTo(1, 5)
    expect(tautAround(cone, 4, 7).lengthMm / chord(slant(4), slant(7), half)).toBeCloseTo(1, 5)
  })

  it('a free top slides to where the ring is shortest: square to the topline of the unrolled cone', () => {
    const { topCut, lengthMm } = tautAround(cone, 4, null)
    const foot = slant(4) * Math.cos(half)
    expect(topCut).toBeCloseTo((WIDE - (foot * slope) / Math.hypot(1, slope)) / LESS, 1)
    expect(lengthMm / (slant(4) * Math.sin(half))).toBeCloseTo(1, 5)
    expect(tautAround(cylinder, 5.3, null).topCut).toBeCloseTo(5.3, 6)
  })

  it('lifts off over a hollow: straight across a waist', () => {
    const waisted = skinOfCuts(twelve((i) => disc(-STEP * i, 200 - 12 * (i > 5.5 ? 11 - i : i))))
    const { lengthMm, points } = tautAlong(waisted, { cut: 1, angleRad: 0 }, { cut: 10, angleRad: 0 })
    expect(lengthMm).toBeCloseTo(9 * STEP, 6)
    expect(points).toHaveLength(2)
  })

  it('one cut: round it; the other way: the same string back', () => {
    expect(tautAlong(cylinder, { cut: 4, angleRad: -UP }, { cut: 4, angleRad: UP }).lengthMm / (Math.PI * R)).toBeCloseTo(1, 3)
    const there = tautAlong(cone, { cut: 2, angleRad: -1 }, { cut: 9.4, angleRad: 1.1 })
    const back = tautAlong(cone, { cut: 9.4, angleRad: 1.1 }, { cut: 2, angleRad: -1 })
    expect(back.lengthMm).toBeCloseTo(there.lengthMm, 9)
    expect(back.points).toEqual([...there.points].reverse())
  })

  it('says what is no place on the skin', () => {
    expect(() => tautAlong(cylinder, { cut: -0.1, angleRad: 0 }, { cut: 4, angleRad: 0 })).toThrow(RangeError)
    expect(() => tautAlong(cylinder, { cut: 1, angleRad: 2 }, { cut: 4, angleRad: 0 })).toThrow(/angle from/)
    expect(() => tautAround(cylinder, 3, 12)).toThrow(/cut above/)
    expect(() => tautAround(cylinder, Number.NaN, null)).toThrow(/cut below/)
    expect(() => sectionThrough(cylinder, 3, 11.5)).toThrow(/cut below/)
    expect(() => skinOfCuts(twelve((i) => disc(-i, 1)).slice(1))).toThrow(/12 cuts/)
    expect(() => skinOfCuts(twelve((i) => disc(i === 4 ? Number.NaN : -i, 1)))).toThrow(/no number/)
    expect(() => cutAt(puppy, Number.NaN)).toThrow(RangeError)
  })
})

describe.each([...forms, ['a puppy of eight weeks', puppy] as [string, Form]])('the skin of %s', (_, form) => {
  const skin = skinOf(form)
  const back = form.measures.M14?.mm ?? 1

  it('goes through its sections', () => {
    for (const [name, at] of [
      ['throat', 0],
      ['withers', 3],
      ['girth', 5],
      ['tail', 11],
    ] as const) {
      // prettier-ignore
      const [ours, theirs] = [sectionAt(skin, at), form.sections[name]]
      for (const key of ['tx', 'tz', 'ux', 'uz', 'w', 'v', 'p'] as const) expect(ours[key]).toBeCloseTo(theirs[key], 6)
    }
  })

  it('carries the tapes: M13 is the taut string from breastbone to tail, M11 from withers to rib', () => {
    const under = tautAlong(skin, { cut: 3, angleRad: -UP }, { cut: 11, angleRad: UP })
    expect(under.lengthMm / (form.measures.M13?.mm ?? 0)).toBeCloseTo(1, 6)
    expect(tautAlong(skin, { cut: 3, angleRad: UP }, { cut: 7, angleRad: 0 }).lengthMm / (form.measures.M11?.mm ?? 0)).toBeCloseTo(1, 6)
    const split = ['M10', 'M12'].map((id) => form.measures[id]?.mm ?? 0)
    expect(((split[0] ?? 0) + (split[1] ?? 0)) / under.lengthMm).toBeCloseTo(1, 6)
    expect(under.points.every(([, y]) => y >= 0)).toBe(true)
  })

  it('a tape is drawn as it is measured', () => {
    /** What the measure has beside its path: the collar's start, the coat under a drop. */
    const coat = parameterOf(form, 'coat')
    const beside: Readonly<Record<string, number>> = { M15: 0.02, M17: (Math.PI / 2) * coat }
    for (const id of ['M06', 'M10', 'M11', 'M12', 'M13', 'M14', 'M15', 'M16', 'M17', 'M23', 'M24', 'M30', 'M45']) {
      const path = pathOn(form, id)
      if (!path) continue
      const drawn = lengthAlong(path.points) + (beside[id] ?? 0) * parameterOf(form, 'back')
      expect([id, drawn / (form.measures[id]?.mm ?? 0)]).toEqual([id, expect.closeTo(1, 6)])
    }
  })

  it('a taut neck ring is shorter than the flat section through its two landmarks, by 1 to 4 %', () => {
    const less = 1 - (2 * tautAround(skin, 3, 3).lengthMm) / sectionThrough(skin, 3, 3).ringMm
    expect(less).toBeGreaterThan(0.01)
    expect(less).toBeLessThan(0.04)
  })

  it('is cut upright anywhere on the trunk, and nowhere else', () => {
    const { girth, tail } = form.sections
    const cut = cutAt(form, girth.tx)
    // The girth's own section is upright: the largest ring is at least this one, coat included.
    expect(cut?.ringMm).toBeLessThanOrEqual((form.measures.M07?.mm ?? 0) * 1.0005)
    expect(cut?.topMm).toBeCloseTo(girth.tz, 6)
    expect(cut?.underMm).toBeCloseTo(girth.uz, 6)
    expect(Math.max(...(cut?.half ?? []).map(([y]) => y)) / girth.w).toBeCloseTo(1, 1)
    expect([cutAt(form, 1), cutAt(form, tail.tx - 1)]).toEqual([null, null])
    for (let x = -0.01; x > -0.98; x -= 0.03) {
      const at = cutAt(form, x * -tail.tx)
      expect(at).not.toBeNull()
      const heights = (at?.half ?? []).map(([, z]) => z)
      expect([x, heights[0], heights.at(-1)]).toEqual([x, at?.topMm, at?.underMm])
      expect([x, heights.every((z, i) => i === 0 || z <= (heights[i - 1] ?? z) + 1e-6)]).toEqual([x, true])
      expect(at?.half.every(([y]) => y >= -1e-9)).toBe(true)
    }
  })

  it('a section goes through any two places of top and underline', () => {
    for (const [top, under] of [
      [3, 3],
      [3.5, 4.5],
      [7, 6],
      [8.2, 8.9],
    ] as const) {
      // prettier-ignore
      const { half: points, ringMm } = sectionThrough(skin, top, under)
      const [a, b] = [sectionAt(skin, top), sectionAt(skin, under)]
      expect(points[0]).toEqual([a.tx, 0, a.tz])
      expect(points.at(-1)).toEqual([b.ux, 0, b.uz])
      const off = points.map(([x, , z]) => ((x - b.ux) * (a.tz - b.uz) - (z - b.uz) * (a.tx - b.ux)) / Math.hypot(a.tx - b.ux, a.tz - b.uz))
      expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.02 * back)
      expect(2 * tautAround(skin, under, top).lengthMm).toBeLessThanOrEqual(ringMm * 1.0001)
    }
  })

  it('stands on hind legs: hip over stifle over hock over paw, behind the girth', () => {
    const { hip, stifle, hock, paw } = hindLegOf(form)
    const heights = [hip, stifle, hock, paw].map(([, z]) => z)
    expect(heights).toEqual([...heights].sort((a, b) => b - a))
    for (const [x] of [hip, stifle, hock, paw]) expect(x).toBeLessThan(form.sections.girth.tx)
    expect(paw[1]).toBeLessThan(0.05 * back)
  })

  it('a string moves smoothly with its ends: no jump where a contact comes or goes', () => {
    const length = (by: number): number => tautAlong(skin, { cut: 3 + by, angleRad: -UP }, { cut: 11 - by, angleRad: UP }).lengthMm
    const lengths = Array.from({ length: 21 }, (_, i) => length(i * 0.02))
    const steps = lengths.slice(1).map((value, i) => value - (lengths[i] ?? 0))
    steps.slice(1).forEach((step, i) => expect(Math.abs(step - (steps[i] ?? 0))).toBeLessThan(0.004 * back))
  })
})

it('no string is shorter than the straight line between its ends, nor longer than it is round the other way', () => {
  const n = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  const skins = forms.map(([, form]) => skinOf(form))
  fc.assert(
    fc.property(fc.integer({ min: 0, max: skins.length - 1 }), n(2, 10.9), n(2, 10.9), n(-UP, UP), n(-UP, UP), (i, a, b, from, to) => {
      const { lengthMm, points } = tautAlong(skins[i] as (typeof skins)[number], { cut: a, angleRad: from }, { cut: b, angleRad: to })
      const [first, last] = [points[0], points.at(-1)]
      if (!first || !last) return false
      return Number.isFinite(lengthMm) && lengthMm >= Math.hypot(first[0] - last[0], first[1] - last[1], first[2] - last[2]) - 1e-6
    }),
    { numRuns: 150 },
  )
})

it('every measure with a path has one of finite length on every dog', () => {
  for (const [, form] of forms)
    for (const id of FORM_MEASURES) {
      const path = pathOn(form, id)
      if (path) expect([id, Number.isFinite(lengthAlong(path.points))]).toEqual([id, true])
    }
})
