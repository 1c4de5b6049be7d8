import { describe, expect, it } from 'vitest'
import { solveForm, typicalForm, type Form } from '../form/index.ts'
import { FAMILY_IDS } from '../model/index.ts'
import { adjustersOf, families, isHarness, layStraps, placeOn, ringsFor, STRAP_NODES, whereItShows } from './index.ts'

const forms: [string, Form][] = (['Chihuahua', 'Greyhound', 'Dachshund', 'Great Dane', 'Pug', 'Siberian Husky'] as const).map((breed) => [
  breed,
  typicalForm({ breed }),
])

describe('strap graphs', () => {
  it('there is one for every family, and every node is used', () => {
    expect(Object.keys(families).sort()).toEqual([...FAMILY_IDS].sort())
    const used = new Set(
      Object.values(families).flatMap(({ parts: graph }) => [
        ...graph.edges.flatMap((edge) => edge.through),
        ...graph.panels.flatMap((panel) => panel.outline),
        ...graph.rings,
        graph.pull,
      ]),
    )
    for (const node of Object.keys(STRAP_NODES)) expect([node, used.has(node as never)]).toEqual([node, true])
  })

  it('a harness hangs together: from any strap every other is reached', () => {
    for (const family of FAMILY_IDS.filter(isHarness)) {
      const parts = [...families[family].parts.edges.map((edge) => [...edge.through]), ...families[family].parts.panels.map((panel) => [...panel.outline])]
      const reached = new Set(parts[0])
      for (let more = true; more;) {
        more = false
        for (const part of parts)
          if (part.some((node) => reached.has(node)) && part.some((node) => !reached.has(node))) {
            for (const node of part) reached.add(node)
            more = true
          }
      }
      const loose = parts.filter((part) => !part.some((node) => reached.has(node))).flat()
      expect([family, loose]).toEqual([family, []])
    }
  })

  it('U43 every strap ends where it is sewn, closes round the dog, or at a ring; every ring hangs on a strap', () => {
    /** Places on the midline: a strap that ends there goes on down the other side. */
    const MIDDLE: readonly string[] = ['lump', 'collarFront', 'collarTop', 'withers', 'aheadOfWithers', 'girthTop', 'girthLow', 'nearGirthTop', 'nearGirthLow', 'bellyLow', 'backHalf', 'waistTop', 'tail'] // prettier-ignore
    for (const family of FAMILY_IDS) {
      const { edges, panels, rings, pull } = families[family].parts
      const cloth: readonly string[] = panels.flatMap((panel) => panel.outline)
      const hung: readonly string[] = [...rings, ...(pull ? [pull] : [])]
      edges.forEach((edge, i) => {
        for (const end of [edge.through[0], edge.through.at(-1)] as string[]) {
          const sewn = edges.some((other, j) => j !== i && (other.through as readonly string[]).includes(end))
          // A shaft is a rod in its loops.
          const rod = edge.role === 'bar' && family === 'H23'
          expect([family, edge.role, end, sewn || rod || cloth.includes(end) || hung.includes(end) || MIDDLE.includes(end)]).toEqual([
            family,
            edge.role,
            end,
            true,
          ])
        }
      })
      for (const ring of hung)
        expect([family, ring, cloth.includes(ring) || edges.some((edge) => (edge.through as readonly string[]).includes(ring))]).toEqual([family, ring, true])
    }
  })

  it('what pulls has a pull point, and it lies where its family lets the pull leave', () => {
    for (const family of FAMILY_IDS) {
      const { pull } = families[family].parts
      expect([family, pull !== null]).toEqual([family, isHarness(family)])
    }
    expect(families.H14.parts.pull).toBe('backHalf')
    expect(families.H08.parts.pull).toBe('lump')
  })

  it('T39 counts sliders on both sides: V22 four, V42 four, V20 five with two leash points, and none of the walking kinds is sewn fixed', () => {
    expect([adjustersOf('H01'), adjustersOf('H24'), adjustersOf('H09')]).toEqual([4, 4, 5])
    expect(new Set([families.H09.parts.pull, ...families.H09.parts.rings]).size).toBe(2)
    for (const family of ['H04', 'H05', 'H06'] as const) expect([family, adjustersOf(family) > 0]).toEqual([family, true])
  })

  it('adjusters: two to five on what is set at the dog, none on what is sewn fixed', () => {
    for (const family of ['H01', 'H02', 'H03', 'H07', 'H08', 'H09', 'H10'] as const)
      expect([family, adjustersOf(family) >= 2 && adjustersOf(family) <= 5]).toEqual([family, true])
    for (const family of ['H11', 'H12', 'H13', 'H16', 'H18', 'H19', 'H20'] as const) expect([family, adjustersOf(family)]).toEqual([family, 0])
  })

  it.each(forms)('lie on the dog, whatever its build: %s', (_, form) => {
    const { withers, tail, girth } = form.sections
    const back = withers.tx - tail.tx
    for (const family of FAMILY_IDS) {
      const laid = layStraps(form, family)
      for (const { points, lengthMm } of laid.straps) {
        expect(Number.isFinite(lengthMm) && lengthMm > 0).toBe(true)
        for (const [x, z] of points) {
          expect(x).toBeLessThan(form.landmarks.L01![0] + 0.35 * back)
          expect(x).toBeGreaterThan(tail.tx - 0.4 * back)
          expect(z).toBeGreaterThan(0)
          expect(z).toBeLessThan(withers.tz * 1.8)
        }
      }
      const sides = laid.straps.filter((strap) => strap.role === 'girth').flatMap((strap) => strap.points)
      for (const [, z] of sides) expect(z).toBeGreaterThan(girth.uz - 0.1 * back)
      expect(families[family].shelf === 'boot' || families[family].shelf === 'crate').toBe(laid.around !== null)
    }
  })

  it('follow the dog: a longer back moves the pull point of a cross-back to its tail', () => {
    const [short, long] = [400, 520].map((mm) => solveForm({ M14: { mm, sigmaMm: 4 }, M07: { mm: 680, sigmaMm: 4 } }, null)) as [Form, Form]
    const pull = (form: Form) => layStraps(form, 'H11').pull!
    expect(pull(long)[0]).toBeLessThan(pull(short)[0] - 80)
    for (const form of [short, long]) expect(Math.hypot(pull(form)[0] - form.landmarks.L14![0], pull(form)[1] - form.landmarks.L14![2])).toBeLessThan(30)
    // On the girth strap the topline and the underline are found at the strap's own place.
    const [top, low] = [placeOn(short, STRAP_NODES.girthTop), placeOn(short, STRAP_NODES.girthLow)]
    expect(top[0]).toBe(low[0])
    expect(top[1] - low[1]).toBeCloseTo(short.sections.girth.tz - short.sections.girth.uz, -2)
  })
})

it('every measure a harness is sized by shows somewhere on the dog', () => {
  for (const id of ['M01', 'M02', 'M06', 'M07', 'M08', 'M10', 'M11', 'M12', 'M13', 'M14']) expect([id, STRAP_NODES[whereItShows(id)!]]).not.toContain(undefined)
  expect(whereItShows('M00')).toBeNull()
})

it('rings are asked for by the work', () => {
  expect(ringsFor([])).toEqual(['back'])
})
