import { describe, expect, it } from 'vitest'
import { hasPath, pathOn, pathParts, plates, solveForm, vouchedParts, type About, type Flat, type View } from '../index.ts'

const views: View[] = ['side', 'above', 'front', 'below', 'sitting']
const dogs: About[] = [
  { breed: 'Chihuahua' }, { breed: 'Greyhound' }, { breed: 'Cane Corso' }, { breed: 'Dachshund' }, { breed: 'Fox Terrier, smooth' }, { breed: 'Siberian Husky', sex: 'male' },
  { breed: 'Pug' }, { breed: 'Great Dane' }, { breed: 'Labrador Retriever', ageMonths: 4, weightKg: 12 }, { breed: 'Bloodhound' },
] // prettier-ignore

/** Do two stretches of an outline truly cross? Neighbours and touching ends don't count. */
function crosses(a: Flat, b: Flat, c: Flat, d: Flat): boolean {
  const side = (p: Flat, q: Flat, r: Flat): number => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])
  return side(a, b, c) * side(a, b, d) < -1e-9 && side(c, d, a) * side(c, d, b) < -1e-9
}

function selfCrossings(points: readonly Flat[]): number {
  let count = 0
  const n = points.length
  const at = (i: number): Flat => points[i % n] as Flat
  for (let i = 0; i < n; i++) {
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue
      if (crosses(at(i), at(i + 1), at(j), at(j + 1))) count += 1
    }
  }
  return count
}

describe('plates', () => {
  it('are closed outlines that never cross themselves, feet on the floor', () => {
    for (const about of dogs) {
      const form = solveForm({}, about)
      for (const view of views) {
        const set = plates(form, view)
        for (const plate of set.plates) {
          expect([about.breed, view, plate.name, selfCrossings(plate.points)]).toEqual([about.breed, view, plate.name, 0])
        }
        if (view === 'side' || view === 'front') {
          expect([about.breed, view, Math.abs(set.box.bottom) < 0.02 * set.box.top]).toEqual([about.breed, view, true])
        }
      }
    }
  })

  it('stay dogs on hostile readings', () => {
    for (const values of [{ M01: 3000, M07: 60 }, { M14: 3000 }, { M07: 3000, M14: 90, M45: 40 }, { M13: 20, M04: 2900 }]) {
      const form = solveForm(Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm, sigmaMm: 5 }])), null)
      for (const view of views) {
        const set = plates(form, view)
        const all = set.plates.flatMap(({ points }) => points)
        expect(all.every(([x, z]) => Number.isFinite(x) && Number.isFinite(z))).toBe(true)
        for (const plate of set.plates)
          expect([JSON.stringify(values), view, plate.name, selfCrossings(plate.points)]).toEqual([JSON.stringify(values), view, plate.name, 0])
      }
    }
  })

  it('carry every tape from its first landmark to its last, near the landmarks of the catalogue', () => {
    const form = solveForm({}, { breed: 'Siberian Husky', sex: 'male' })
    for (const id of Object.keys(form.measures)) {
      expect([id, hasPath(id)]).toEqual([id, !['M00', 'M41'].includes(id)])
      const path = pathOn(form, id)
      if (!path) continue
      expect(path.points.length).toBeGreaterThan(1)
      expect(path.points.flat().every(Number.isFinite)).toBe(true)
    }
    const near = (a: readonly number[] | undefined, b: readonly number[] | undefined): number => Math.hypot(...(a ?? []).map((v, i) => v - (b?.[i] ?? 0)))
    const { L01, L03, L12, L14 } = form.landmarks
    const ends = { M10: [L01, L12], M12: [L12, L14], M13: [L01, L14], M14: [L03, L14] } as const
    for (const [id, [from, to]] of Object.entries(ends)) {
      const points = pathOn(form, id)?.points ?? []
      expect([id, near(points[0], from) < 2, near(points.at(-1), to) < 2]).toEqual([id, true, true])
    }
    expect(pathOn(form, 'M01')?.closed).toBe(true)
    expect(pathOn(form, 'M09')).toBeNull()
  })

  it('mirror left and right: what is doubled is twice one side', () => {
    const ring = pathOn(solveForm({}, { build: 'retriever' }), 'M07')?.points ?? []
    for (const [x, y, z] of ring) expect(ring.some((p) => Math.abs(p[0] - x) < 1e-6 && Math.abs(p[1] + y) < 1e-6 && Math.abs(p[2] - z) < 1e-6)).toBe(true)
    const { plates: above } = plates(solveForm({}, { build: 'retriever' }), 'above')
    const loin = above.find(({ name }) => name === 'loin')?.points ?? []
    expect(Math.max(...loin.map(([, y]) => y))).toBeCloseTo(-Math.min(...loin.map(([, y]) => y)), 6)
  })

  it('cut a path where it goes out of sight', () => {
    const form = solveForm({}, { build: 'nordic' })
    expect(pathParts(form, 'M07', 'side').map(({ hidden }) => hidden)).toContain(true)
    expect(pathParts(form, 'M14', 'side').every(({ hidden }) => !hidden)).toBe(true)
    expect(pathParts(form, 'M14', 'above').every(({ hidden }) => !hidden)).toBe(true)
    expect(pathParts(form, 'M06', 'below').every(({ hidden }) => !hidden)).toBe(true)
    expect(pathParts(form, 'M41', 'sitting')).toHaveLength(1)
    expect(pathParts(form, 'M41', 'side')).toEqual([])
  })

  it('say which parts a reading stands behind', () => {
    expect(vouchedParts(solveForm({}, null))).toEqual([])
    expect(vouchedParts(solveForm({ M07: { mm: 700 } }, null))).toEqual(['ribs'])
    expect(vouchedParts(solveForm({ M01: { mm: 560 } }, null))).toEqual(['neck', 'chest'])
  })
})
