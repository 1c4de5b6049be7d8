import { describe, expect, it } from 'vitest'
import { solveForm, crossCheck, type About } from '../src/form/index.ts'
import { bodyLength } from '../src/form/places.ts'
import { shapeOf } from '../src/form/shape.ts'
import { breeds } from '../src/reference/breeds.ts'

const IN = 25.4
/** Tapes taken by owners: half an inch to one side or the other. */
const owners = (values: Record<string, number>, inches = 0.5) =>
  Object.fromEntries(Object.entries(values).map(([id, value]) => [id, { mm: value * IN, sigmaMm: inches * IN }]))
const gross = ['one-side-not-doubled', 'doubled-twice', 'inches-for-centimetres', 'centimetres-for-inches'] as const

describe('dog A of the handbook (V01 to V05), a plush-coated northern dog', () => {
  const about: About = { build: 'nordic', coat: 'thick-double' }
  const V = { M01: 28, M06: 14, M07: 32, M10: 17, M12: 10 }

  it('has no gross cause named', () => {
    const { suspects } = crossCheck(owners(V), about)
    for (const suspect of suspects) expect(gross.some((cause) => suspect.causes[0]?.cause === cause)).toBe(false)
  })

  it('has its last rib (V04) where neck, sternum and girth alone put it, four times in five', () => {
    const { M10 } = solveForm(owners({ M01: 28, M06: 14, M07: 32 }), about).measures
    expect(Math.abs((M10?.mm ?? 0) / IN - 17)).toBeLessThan((1.2816 * (M10?.sigmaMm ?? 0)) / IN)
  })

  it('does not agree with itself to the last: the tail is nearer than the front says, and the misfit tells so', () => {
    const { chi2, dof, measures } = solveForm(owners(V), about)
    expect(dof).toBe(5)
    expect(chi2).toBeGreaterThan(dof)
    expect((measures.M12?.mm ?? 0) / IN).toBeGreaterThan(10)
  })

  it('with the neck one side only, suspects the neck first, and why', () => {
    const { state, suspects } = crossCheck(owners({ ...V, M01: 14 }), about)
    expect([state, suspects[0]?.measure, suspects[0]?.causes[0]?.cause]).toEqual(['unusual', 'M01', 'one-side-not-doubled'])
    expect((suspects[0]?.causes[0]?.wouldReadMm ?? 0) / IN).toBeCloseTo(28, 6)
  })

  it('W10: a neck of 56 in beside a girth of 32 in was doubled twice', () => {
    const { suspects } = crossCheck(owners({ M01: 56, M06: 14, M07: 32 }), about)
    expect([suspects[0]?.measure, suspects[0]?.causes[0]?.cause]).toEqual(['M01', 'doubled-twice'])
  })

  it('W09: 17 and 10 make 27 on the form’s one line; 29 is read longer than the parts expect', () => {
    const { M10, M12, M13 } = solveForm(owners({ M10: 17, M12: 10 }), about).measures
    expect((M10?.mm ?? 0) + (M12?.mm ?? 0)).toBeCloseTo(M13?.mm ?? 0, 3)
    expect((M13?.mm ?? 0) / IN).toBeLessThan(29)
    const [calm, warned] = [27, 29].map((M13) => solveForm(owners({ M10: 17, M12: 10, M13 }, 0.25), about).chi2) as [number, number]
    expect(warned).toBeGreaterThan(calm + 2)
  })
})

it('dog H (V37), slender and smooth-coated: nine coat measures with the neck base, no gross cause named', () => {
  const { suspects } = crossCheck(owners({ M04: 13, M17: 23, M16: 22, M21: 17, M23: 17.5, M20: 5.5, M05: 7, M03: 14 }), { coat: 'smooth' })
  for (const suspect of suspects) expect(gross.some((cause) => suspect.causes[0]?.cause === cause)).toBe(false)
})

describe('breeds (standards of the FCI number, values from memory)', () => {
  it('are as long to their height as their standards say: 90 of those stated, within 3 %', () => {
    const stated = breeds.filter((breed) => breed.lengthToHeight)
    const near = stated.filter((breed) => {
      const form = solveForm({}, { breed: breed.name, sex: 'male' })
      const shape = shapeOf(form.parameters, form)
      return Math.abs(bodyLength(shape) / shape.stations.withers.tz / (breed.lengthToHeight ?? 1) - 1) < 0.03
    })
    expect(near.length).toBeGreaterThanOrEqual(90)
    for (const name of ['Boxer', 'Akita', 'Dachshund', 'Swedish Vallhund', 'Sloughi']) expect(near.some((breed) => breed.name === name)).toBe(true)
  })

  it('weigh what their volume says, from the height alone and the weight withheld: 40 within 15 %', () => {
    const stated = breeds.filter(({ maleKg, maleCm }) => maleKg?.[0] && maleKg[1] && maleCm?.[0] && maleCm[1])
    const near = stated.filter(({ build, coat, flatFace, maleKg, maleCm }) => {
      const height = Math.sqrt((maleCm?.[0] ?? 1) * (maleCm?.[1] ?? 1)) * 10
      const { M00 } = solveForm({ M45: { mm: height, sigmaMm: height * 0.01 } }, { build, coat, flatFace, sex: 'male' }).measures
      return Math.abs((M00?.mm ?? 0) / Math.sqrt((maleKg?.[0] ?? 1) * (maleKg?.[1] ?? 1)) - 1) < 0.15
    })
    expect(near.length).toBeGreaterThanOrEqual(40)
  })

  it('have the girths few standards state', () => {
    const girth = (breed: string): number => (solveForm({}, { breed, sex: 'male' }).measures.M07?.mm ?? 0) / 10
    const height = (breed: string): number => (solveForm({}, { breed, sex: 'male' }).measures.M45?.mm ?? 0) / 10
    // FCI 197: chest about 25 % more than the height; FCI 65: about two thirds more. From memory.
    expect(girth('Neapolitan Mastiff') / height('Neapolitan Mastiff')).toBeGreaterThan(1.1)
    expect(girth('Maltese') / height('Maltese')).toBeGreaterThan(1.25)
  })
})
