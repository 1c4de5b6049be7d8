import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { kindOf } from './about.ts'
import { fit } from './fit-form.ts'
import { bestNext, FORM_MEASURES, predictMeasures, readForm, solveForm, typicalForm, type About } from './index.ts'
import { PARAMETERS, placeOf } from './parameters.ts'
import { priorFor } from './prior.ts'
import { rowsFor } from './readings.ts'
import { slopes } from './tangent.ts'
import { reachOf } from './reach.ts'
import { shapeOf } from './shape.ts'
import { laysFor } from './tapes.ts'
import { parameterNames } from './parameters.ts'

const body = (values: Record<string, number>, share = 0.012) => Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm, sigmaMm: mm * share }]))
const sled = { M01: 578, M06: 290, M07: 700, M10: 400, M12: 300, M14: 510 }
const nordic: About = { build: 'nordic', coat: 'thick-double', sex: 'female' }

describe('solveForm', () => {
  it('follows the readings, and keeps the reading beside its own value', () => {
    const { measures, dof } = solveForm(body(sled), nordic)
    expect(dof).toBe(6)
    for (const [id, mm] of Object.entries(sled)) {
      expect([id, Math.abs((measures[id]?.mm ?? 0) / mm - 1) < 0.05, measures[id]?.taken, measures[id]?.readMm]).toEqual([
        id,
        true,
        true,
        expect.closeTo(mm, 6),
      ])
    }
    expect(measures.M13).toMatchObject({ taken: false })
    expect(measures.M13?.mm).toBeGreaterThan(measures.M10?.mm ?? 0)
  })

  it('has every measure of the catalogue that is the dog’s: a sheath only where there is one', () => {
    expect(Object.keys(solveForm({}, { sex: 'male' }).measures)).toEqual(FORM_MEASURES)
    expect(Object.keys(solveForm({}, { sex: 'female' }).measures)).toEqual(FORM_MEASURES.filter((id) => id !== 'M30'))
    for (const id of ['M09', 'M47', 'M48', 'M49']) expect(FORM_MEASURES).not.toContain(id)
  })

  it('holds the handbook’s orders between measures for every build', () => {
    for (const build of ['nordic', 'sighthound', 'molosser', 'terrier', 'long-low', 'toy', 'retriever', 'giant', 'hound', 'herding'] as const) {
      const { measures: m } = solveForm({}, { build, sex: 'male' })
      const mm = (id: string): number => m[id]?.mm ?? Number.NaN
      const inOrder = (...ids: string[]): void => {
        ids.slice(1).forEach((id, i) => expect([build, ids[i], id, mm(ids[i] ?? '') <= mm(id) + 1e-6]).toEqual([build, ids[i], id, true]))
      }
      inOrder('M06', 'M10', 'M13')
      inOrder('M08', 'M07')
      inOrder('M02', 'M03', 'M01', 'M07')
      inOrder('M14', 'M16', 'M15')
      inOrder('M22', 'M21', 'M07')
      inOrder('M20', 'M19')
      inOrder('M26', 'M25')
      inOrder('M39', 'M40')
      expect([build, mm('M10') + mm('M12')]).toEqual([build, expect.closeTo(mm('M13'), 6)])
      // A half drop counts doubled, as in the agreed body.
      expect([build, mm('M18')]).toEqual([build, expect.closeTo(mm('M17'), 6)])
      expect(mm('M18')).toBeLessThan(mm('M07'))
    }
  })

  it('fattens rings with the coat, not lengths', () => {
    const slick = solveForm(body({ M14: 520, M45: 560 }), { build: 'nordic', coat: 'smooth' }).measures
    const plush = solveForm(body({ M14: 520, M45: 560 }), { build: 'nordic', coat: 'thick-double' }).measures
    expect((plush.M07?.mm ?? 0) - (slick.M07?.mm ?? 0)).toBeGreaterThan(25)
    expect(Math.abs((plush.M13?.mm ?? 0) - (slick.M13?.mm ?? 0))).toBeLessThan(8)
  })

  it('tells sexes, ears and faces apart where they matter', () => {
    const of = (about: About) => solveForm({}, about)
    expect(of({ build: 'nordic', sex: 'female' }).measures.M24?.mm).toBeGreaterThan(of({ build: 'nordic', sex: 'male' }).measures.M24?.mm ?? 0)
    expect(of({ breed: 'Siberian Husky' }).ears).toBe('erect')
    expect(of({ breed: 'Beagle' }).ears).toBe('drop')
    expect(solveForm(body({ M39: 600, M40: 690 }), null).ears).toBe('erect')
    const [pug, terrier] = [of({ breed: 'Pug' }), of({ build: 'toy' })]
    const muzzle = (form: typeof pug): number => form.parameters[placeOf('muzzle')] ?? 0
    expect(muzzle(pug)).toBeLessThan(muzzle(terrier) - 0.3)
  })
})

describe('laws', () => {
  const some = fc.subarray(Object.keys(sled), { minLength: 1 })
  const pick = (ids: readonly string[]) => Object.fromEntries(Object.entries(body(sled)).filter(([id]) => ids.includes(id)))

  it('does not care in which order readings came', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(Object.keys(sled), { minLength: 2 }), (ids) => {
        const shuffled = Object.fromEntries(ids.map((id) => [id, body(sled)[id]]))
        const sorted = Object.fromEntries([...ids].sort().map((id) => [id, body(sled)[id]]))
        expect(solveForm(shuffled, nordic)).toEqual(solveForm(sorted, nordic))
      }),
      { numRuns: 12 },
    )
  })

  it('scales with its readings and its prior', () => {
    fc.assert(
      fc.property(some, fc.double({ min: 0.6, max: 1.7, noNaN: true }), (ids, by) => {
        const kind = kindOf({ build: 'nordic' })
        const prior = priorFor(kind)
        const larger = prior.map((component) => {
          const mean = component.mean.slice()
          mean[0] = (mean[0] ?? 0) + Math.log(by)
          return { ...component, mean }
        })
        const rows = rowsFor(pick(ids), kind)
        const one = fit(prior, kind, rows).x
        const two = fit(
          larger,
          kind,
          rows.map((row) => ({ ...row, log: row.log + Math.log(by) })),
        ).x
        one.forEach((value, k) => expect(two[k]).toBeCloseTo(k === 0 ? value + Math.log(by) : value, 3))
      }),
      { numRuns: 12 },
    )
  })

  it('with the kind fixed, only narrows when a reading says what was expected', () => {
    const kind = kindOf({ build: 'nordic' })
    const prior = priorFor(kind).filter(({ name }) => name === 'nordic')
    const before = fit(prior, kind, rowsFor(body(sled), kind))
    for (const id of ['M13', 'M17', 'M02', 'M45']) {
      const ids = [id]
      const traits = before.traits
      const { values } = slopes(before.x, traits, ids, laysFor(shapeOf(before.x, traits), ids))
      const after = fit(prior, kind, rowsFor(body({ ...sled, [id]: Math.exp(values[0] ?? 0) }), kind))
      for (let k = 0; k < PARAMETERS; k++) {
        expect((after.covariance[k * PARAMETERS + k] ?? 0) <= (before.covariance[k * PARAMETERS + k] ?? 0) * 1.02 + 1e-9).toBe(true)
        expect(Math.abs((after.x[k] ?? 0) - (before.x[k] ?? 0))).toBeLessThan(0.02)
      }
    }
  })

  it('keeps dogs finite on contradictory, tiny, giant and hostile readings', () => {
    const reading = fc.oneof(fc.double({ min: -50, max: 3500, noNaN: true }), fc.constantFrom(0, Number.NaN, Infinity, 3000, 1e-9, 1e12))
    const about = fc.record({
      weightKg: fc.constantFrom(null, 0.5, 20, 110),
      build: fc.constantFrom(null, 'toy' as const, 'giant' as const, 'long-low' as const),
      ageMonths: fc.constantFrom(null, 2, 60),
    })
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom(...FORM_MEASURES), reading, { maxKeys: 14 }), about, (values, who) => {
        const { form, check } = readForm(body(values), who)
        expect(form.parameters.every(Number.isFinite)).toBe(true)
        expect(form.covariance.every(Number.isFinite)).toBe(true)
        expect(Object.values(form.measures).every(({ mm, sigmaMm }) => Number.isFinite(mm) && mm > 0 && Number.isFinite(sigmaMm))).toBe(true)
        expect(check.suspects.every(({ t, expectedMm }) => Number.isFinite(t) && Number.isFinite(expectedMm))).toBe(true)
      }),
      { numRuns: 60 },
    )
  })

  it('says a large misfit where readings can’t be one dog', () => {
    const calm = solveForm(body(sled), nordic)
    const torn = solveForm(body({ ...sled, M07: 3000, M14: 120 }), nordic)
    expect(torn.chi2).toBeGreaterThan(10 * calm.chi2)
    expect(torn.measures.M14?.mm).toBeGreaterThan(250)
  })

  it('leaves out of the slopes only what is truly zero', () => {
    const x = priorFor(kindOf({ build: 'retriever', sex: 'male' }))[0]?.mean ?? new Float64Array(PARAMETERS)
    const traits = { ears: 'erect', sex: 'male' } as const
    const lays = laysFor(shapeOf(x, traits), FORM_MEASURES)
    const { rows } = slopes(x, traits, FORM_MEASURES, lays)
    const moved = x.slice()
    parameterNames.forEach((name, k) => {
      moved[k] = (x[k] ?? 0) + 1e-3
      const there = slopes(moved, traits, FORM_MEASURES, lays).values
      const here = slopes(x, traits, FORM_MEASURES, lays).values
      moved[k] = x[k] ?? 0
      const reached = reachOf(name, FORM_MEASURES)
      FORM_MEASURES.forEach((id, i) => {
        if (!reached.includes(id)) expect([name, id, Math.abs((there[i] ?? 0) - (here[i] ?? 0)) < 1e-9, rows[i]?.[k]]).toEqual([name, id, true, 0])
      })
    })
  })
})

describe('around the solver', () => {
  it('predicts what it is asked for and leaves out what it can’t', () => {
    const predicted = predictMeasures(body(sled), nordic, ['M13', 'M17', 'M49'])
    expect(Object.keys(predicted)).toEqual(['M13', 'M17'])
    expect(predicted.M13?.sigmaMm).toBeGreaterThan(0)
  })

  it('lets an earlier visit stand as evidence, less the longer ago', () => {
    const now = body({ M07: 700, M01: 575 })
    const sigma = (earlier: Parameters<typeof solveForm>[2]): number => solveForm(now, nordic, earlier).measures.M14?.sigmaMm ?? 0
    const then = body({ M14: 512, M13: 690 })
    const [none, recent, old] = [sigma([]), sigma([{ body: then, daysBefore: 20 }]), sigma([{ body: then, daysBefore: 900 }])]
    expect(recent).toBeLessThan(old)
    expect(old).toBeLessThan(none)
  })

  it('proposes the tape that narrows the wanted ones most, and none that was taken', () => {
    const form = solveForm(body({ M01: 575, M07: 700 }), nordic)
    const next = bestNext(form, ['M13', 'M10', 'M12'], ['M04', 'M13', 'M01', 'M32'])
    expect(next.map(({ measure }) => measure)[0]).toBe('M13')
    expect(next.map(({ measure }) => measure)).not.toContain('M01')
    expect(next.every(({ narrows }) => narrows >= 0 && narrows <= 1)).toBe(true)
    expect(bestNext(form, [], ['M13'])).toEqual([])
  })

  it('has a middle dog ready before anything is solved', () => {
    expect(typicalForm({ breed: 'Dachshund' }).measures.M45?.mm).toBeLessThan(typicalForm({ breed: 'Greyhound' }).measures.M45?.mm ?? 0)
    expect(typicalForm(null)).toBe(typicalForm(null))
    expect(structuredClone(typicalForm(null))).toEqual(typicalForm(null))
  })
})
