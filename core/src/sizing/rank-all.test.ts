import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { typicalForm } from '../form/index.ts'
import { checkById, endangeredBy, families, symptoms } from '../gear/index.ts'
import { measureIds } from '../measures/index.ts'
import type { FamilyId, SizeTable } from '../model/index.ts'
import { adviseOffer, rankAll, rankSizes, spareOf, tableIn, withGuesses } from './index.ts'

const table = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'any',
  version: 1,
  name: 'Any',
  maker: 'Any',
  family: 'H11',
  way: 'stock',
  unit: 'cm',
  between: null,
  sizes: [
    { label: '5', bands: { M01: [550, 590], M10: [400, 430], M13: [660, 700] } },
    { label: '6', bands: { M01: [600, 640], M10: [440, 470], M13: [710, 760] } },
  ],
  lead: { minWeeks: 0, maxWeeks: 0 },
  ...over,
})
const read = (values: Record<string, number>, sigmaMm = 3) => Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm, sigmaMm }]))
const size = (family: FamilyId, bands: Record<string, [number, number]>, label = 'one') => table({ family, sizes: [{ label, bands }] })

describe('what was not read', () => {
  const form = typicalForm(null)
  const expected = form.measures.M13!

  it('is taken from the form, marked as a guess, and never over a reading', () => {
    const body = withGuesses(read({ M01: 570 }), form)
    expect(body.M01).toEqual({ mm: 570, sigmaMm: 3 })
    expect(body.M13).toEqual({ mm: expected.mm, sigmaMm: expected.sigmaMm, guess: true })
    expect(withGuesses(read({ M01: 570 }), null)).toEqual(read({ M01: 570 }))
    const [ranked] = rankAll([table()], read({ M01: 570 }), form)
    expect(ranked!.best!.perMeasure.map((fit) => [fit.measure, fit.guess])).toEqual([['M01', false], ['M10', true], ['M13', true]]) // prettier-ignore
  })

  it('holds at nine chances in ten, misses at one in twenty, and is open between', () => {
    const at = (mm: number) => rankSizes(size('H11', { M13: [700, 800] }), { M13: { mm, sigmaMm: 20, guess: true } })[0]!.grade
    expect([at(750), at(795), at(835), at(870)]).toEqual(['holds', 'doubt', 'fails', 'fails'])
  })

  it('alone gives no size to try', () => {
    const [ranked] = rankAll([table()], {}, form)
    expect(adviseOffer(ranked!).kind).toBe('guess')
  })

  it('keeps to the suitable families', () => {
    expect(rankAll([table(), table({ id: 'y', family: 'H01' })], {}, form, { families: ['H01'] }).map((each) => tableIn(each)?.id)).toEqual(['y'])
  })
})

describe('what a miss does on the dog', () => {
  it('names checks and symptoms the bench has', () => {
    for (const family of Object.keys(families) as FamilyId[])
      for (const measure of measureIds)
        for (const way of ['small', 'big'] as const) {
          const danger = endangeredBy(family, measure, way)
          if (!danger) continue
          expect(danger.symptom).toMatch(/^S(0[1-9]|[1-6]\d|7[0-4])$/)
          if (danger.check) expect(checkById(danger.check), `${family} ${measure}`).toBeDefined()
          if (families[family].shelf === 'walking' || families[family].shelf === 'pulling') expect(symptoms[danger.symptom], danger.symptom).toBeDefined()
        }
  })

  it('goes by the end the dog lies nearer, with the room both ways', () => {
    const fit = (mm: number) => rankSizes(size('H11', { M01: [550, 590] }), read({ M01: mm }))[0]!.perMeasure[0]!
    expect(fit(600)).toMatchObject({ danger: { symptom: 'S01' } })
    expect(spareOf(fit(600))).toEqual({ below: 50, above: -10 })
    expect(fit(540)).toMatchObject({ danger: { symptom: 'S03' } })
    expect(spareOf(fit(540))).toEqual({ below: -10, above: 50 })
    expect(rankSizes(size('H10', { M06: [200, 240] }), read({ M06: 250 }))[0]!.perMeasure[0]!.danger?.symptom).toBe('S31')
  })
})

describe('measures that disagree (handbook 6.3)', () => {
  const conflict = (sized: SizeTable, body: Record<string, number>, label?: string) =>
    rankSizes(sized, read(body)).find((each) => !label || each.label === label)

  it('the neck fits and the length runs far past the tail: leave the family', () => {
    expect(conflict(table(), { M01: 570, M10: 415, M13: 560 }, '5')).toMatchObject({ grade: 'fails', conflict: { code: 'length-veto', byMm: 100 } })
  })
  it('a little past the tail, all else right: accept; not when anything else is in doubt', () => {
    expect(conflict(table(), { M01: 570, M10: 415, M13: 645 }, '5')).toMatchObject({
      grade: 'doubt',
      because: { code: 'past-tail', mm: -15 },
      conflict: { code: 'past-tail-accept', byMm: 15 },
    })
    expect(conflict(table(), { M01: 590, M10: 415, M13: 645 }, '5')).toMatchObject({ grade: 'fails' })
    expect(conflict(table(), { M01: 570, M10: 415, M13: 638 }, '5')).toMatchObject({ grade: 'fails' })
  })
  it('the neck fits and the sides are short: the armpit', () => {
    expect(conflict(table(), { M01: 570, M10: 445, M13: 680 }, '5')?.conflict).toMatchObject({ code: 'armpit', measures: ['M01', 'M10'] })
  })
  it('girth one size, neck another: the girth decides where the neck can be let out, else the neck', () => {
    const sizes = [
      { label: 'S', bands: { M01: [300, 350], M07: [500, 560] } },
      { label: 'M', bands: { M01: [360, 410], M07: [570, 640] } },
    ] satisfies SizeTable['sizes']
    const body = { M01: 325, M07: 600 }
    expect(rankSizes(table({ family: 'H01', sizes }), read(body))[0]).toMatchObject({ label: 'M', conflict: { code: 'girth-decides' } })
    expect(rankSizes(table({ family: 'H05', sizes }), read(body))[0]).toMatchObject({ label: 'S' })
  })
  it('a neck thicker than the head may back out; a girth chart says nothing about a short back', () => {
    expect(conflict(size('H01', { M07: [500, 560] }), { M07: 530, M02: 400, M04: 380 })?.conflict?.code).toBe('neck-over-head')
    expect(conflict(size('H09', { M07: [500, 560] }), { M07: 530, M14: 390 })?.conflict?.code).toBe('girth-alone-short-dog')
    expect(conflict(size('H09', { M07: [500, 560] }), { M07: 530, M14: 460 })?.conflict).toBeNull()
  })
})

describe('laws of ranking', () => {
  const mm = fc.integer({ min: 480, max: 720 })
  it('does not depend on the order of the tables', () => {
    const many = Array.from({ length: 7 }, (_, i) =>
      table({
        id: `t${i}`,
        sizes: table().sizes.map((each) => ({ ...each, bands: { M01: [each.bands.M01![0] + 7 * (i % 4), each.bands.M01![1] + 7 * (i % 4)] } })),
      }),
    )
    fc.assert(
      fc.property(mm, fc.shuffledSubarray(many, { minLength: many.length }), (neck, shuffled) => {
        const order = (tables: SizeTable[]) => rankAll(tables, read({ M01: neck }), null).map((each) => tableIn(each)?.id)
        expect(order(shuffled)).toEqual(order(many))
      }),
    )
  })

  it('a body shifted towards a band’s middle never fits it worse, nor ranks it lower among ordered sizes', () => {
    const sizes = [500, 550, 600, 650].map((from) => ({ label: `${from}`, bands: { M01: [from, from + 44] as [number, number] } }))
    const GRADES = ['holds', 'doubt', 'fails']
    fc.assert(
      fc.property(
        mm,
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 12 }),
        (neck, which, share, sigma) => {
          const { label, bands } = sizes[which]!
          const middle = (bands.M01[0] + bands.M01[1]) / 2
          const nearer = neck + (middle - neck) * share
          for (const family of ['H01', 'H11'] as const) {
            const place = (value: number) => {
              const ranked = rankSizes(table({ family, sizes }), read({ M01: value }, sigma))
              const at = ranked.findIndex((each) => each.label === label)
              return { at, grade: GRADES.indexOf(ranked[at]!.grade), chance: ranked[at]!.chance! }
            }
            const [before, after] = [place(neck), place(nearer)]
            expect(after.grade).toBeLessThanOrEqual(before.grade)
            expect(after.chance).toBeGreaterThanOrEqual(before.chance - 1e-12)
            expect(after.at).toBeLessThanOrEqual(before.at)
          }
        },
      ),
      { numRuns: 400 },
    )
  })
})
