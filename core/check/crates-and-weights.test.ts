import { describe, expect, it } from 'vitest'
import { adviseOffer, adviseSizes, allFamilies, breeds, crateOffer, families, newestWeightKg, rankSizes, solveForm, withGuesses, type Reading, type SizedBody, type SizeTable } from '../src/index.ts' // prettier-ignore

const read = (values: Readonly<Record<string, number>>, sigmaMm = 2): SizedBody =>
  Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm, sigmaMm }]))
const best = (body: SizedBody, family: 'K1' | 'K4' = 'K1') => crateOffer(family, body)?.best
const advised = (body: SizedBody) => {
  const offer = crateOffer('K1', body)
  return offer ? adviseOffer(offer) : null
}

describe('crates by stand, turn, lie (handbook 10.2, 10.3: lengths common practice, the rest from memory, unverified)', () => {
  it('T08 take the smallest that meets all three, however short the dog is for it', () => {
    expect(best(read({ M42: 800, M44: 340, M39: 500, M40: 500, M41: 500 }))).toMatchObject({ label: '42', grade: 'holds' })
    expect(best(read({ M42: 1000, M44: 210, M39: 820, M40: 820, M41: 800 }))?.label).toBe('54')
    expect(best(read({ M42: 800, M44: 240, M39: 560, M40: 570, M41: 661 }))).toMatchObject({ label: '42', grade: 'holds' })
    expect(advised(read({ M42: 800, M44: 240, M39: 560, M40: 570, M41: 661 }))).toMatchObject({ labels: ['42'] })
    // On the end of one (its inside is 35 mm shorter than its label): the larger first, the smaller tried too.
    expect(advised(read({ M42: 830, M44: 240, M39: 500, M40: 500, M41: 500 }))).toEqual({ kind: 'both', labels: ['42', '36'] })
  })

  it('T08 every form of a grown breed that some size holds is given one', () => {
    const named = breeds.filter((_, i) => i % 12 === 0)
    for (const { name } of named) {
      const form = solveForm({}, { breed: name, ageMonths: 40 })
      const offer = crateOffer('K1', withGuesses({}, form))
      const holds = offer?.sizes.some((size) => size.grade === 'holds')
      if (holds) expect([name, offer?.best?.grade]).toEqual([name, 'holds'])
    }
  })

  it('T09 of a growing dog the grown one is sized, with the divider behind the puppy', () => {
    const puppy = read({ M42: 380, M44: 110, M39: 300, M40: 310, M41: 320 })
    const grown = read({ M42: 880, M44: 220, M39: 620, M40: 640, M41: 680 })
    expect(crateOffer('K1', puppy)?.best?.label).toBe('24')
    const offer = crateOffer('K1', puppy, { grown })
    expect([offer?.best?.label, offer?.divider, offer?.grown]).toEqual(['42', [430, 480], true])
    // A travel crate takes no divider (10.1).
    expect(crateOffer('K2', puppy, { grown })?.divider).toBeNull()
    // Nobody knows what it will be: no size is named.
    expect(crateOffer('K1', puppy, { grown: null })?.best?.grade).toBe('none')
  })

  it('T10 a pen goes by its height', () => {
    const pen = crateOffer('K4', read({ M39: 620, M40: 640, M42: 1500, M44: 600 }))
    expect(pen?.best).toMatchObject({ label: '30 high', grade: 'holds' })
    expect(pen?.best?.perMeasure.map((fit) => fit.measure).sort()).toEqual(['M39', 'M40'])
  })

  it('V47 a Malamute is not put into the 42 that charts name for it (common practice: thought too small)', () => {
    const offer = crateOffer('K1', withGuesses({}, solveForm({}, { breed: 'Alaskan Malamute', ageMonths: 40 })))
    expect(offer?.sizes.find((size) => size.label === '42')?.grade).not.toBe('holds')
    expect(offer && adviseOffer(offer).labels).not.toContain('42')
  })

  it('X18 a guess wider than two sizes names none', () => {
    const wide: SizedBody = Object.fromEntries(
      ['M42', 'M44', 'M39', 'M40', 'M41'].map((id) => [id, { mm: id === 'M44' ? 180 : 640, sigmaMm: id === 'M44' ? 50 : 220, guess: true }]),
    )
    expect(advised(wide)).toEqual({ kind: 'guess', labels: [] })
    const narrow: SizedBody = Object.fromEntries(
      ['M42', 'M44', 'M39', 'M40', 'M41'].map((id) => [id, { mm: id === 'M44' ? 180 : 600, sigmaMm: 12, guess: true }]),
    )
    expect(advised(narrow)).toEqual({ kind: 'guess', labels: ['42'] })
  })
})

describe('weight is weight', () => {
  const car = (testedKg: number[]): Pick<SizeTable, 'family' | 'between' | 'sizes'> => ({
    family: 'H24',
    between: null,
    sizes: testedKg.map((kg, i) => ({ label: `${i}`, bands: { M07: [500 + 100 * i, 600 + 100 * i] }, testedKg: kg })),
  })

  it('T11 a size tested for a lighter dog fails', () => {
    const body: SizedBody = { M07: { mm: 650, sigmaMm: 2 }, M00: { mm: 27, sigmaMm: 0.2 } }
    const heavy = rankSizes(car([15, 20]), body)
    expect(heavy.find(({ label }) => label === '1')).toMatchObject({ grade: 'fails', because: { code: 'over-tested', measure: 'M00' } })
    expect(adviseSizes({ way: 'stock' }, heavy).kind).toBe('nothing')
    expect(rankSizes(car([15, 35]), body)[0]).toMatchObject({ label: '1', grade: 'holds' })
    // Not weighed is not known to be too heavy.
    expect(rankSizes(car([15, 20]), { M07: { mm: 650, sigmaMm: 2 } })[0]?.grade).toBe('holds')
  })

  it('T11 the newest weighing counts, wherever it was', () => {
    const reading = (kg: number, takenAt: string): Reading => ({ measure: 'M00', mm: kg, takenAt }) as Reading
    const at = { dog: { weightKg: 20 }, readings: [reading(24, '2026-10-01T09:00:00Z')] }
    const weighed = (on: string, kg: number) => ({ id: on, kg, asTyped: '', unit: 'kg', on, at: `${on}T08:00:00Z`, by: '' }) as const
    expect(newestWeightKg(at)).toBe(24)
    expect(newestWeightKg({ ...at, weighings: [weighed('2026-11-01', 26), weighed('2026-01-01', 19)] })).toBe(26)
    expect(newestWeightKg({ ...at, weighings: [weighed('2026-09-01', 26)] })).toBe(24)
    expect(newestWeightKg({ dog: { weightKg: 20 }, readings: [] })).toBe(20)
    expect(newestWeightKg({ dog: null, readings: [] })).toBeNull()
  })

  it('T12 a band of kilograms is held against kilograms', () => {
    const table: Pick<SizeTable, 'family' | 'between' | 'sizes'> = {
      family: 'H01',
      between: null,
      sizes: [{ label: 'M', bands: { M07: [600, 700], M00: [18, 27] } }],
    }
    expect(rankSizes(table, { M07: { mm: 640, sigmaMm: 2 }, M00: { mm: 24.3, sigmaMm: 0.2 } })[0]?.grade).toBe('holds')
    expect(rankSizes(table, { M07: { mm: 640, sigmaMm: 2 }, M00: { mm: 31, sigmaMm: 0.2 } })[0]?.grade).toBe('fails')
  })
})

describe('what measures say where they disagree (handbook 6.3, 7.2, 7.3)', () => {
  const pull = (family: 'H11' | 'H14' | 'H20' | 'H21') =>
    rankSizes(
      { family, between: null, sizes: [{ label: 'M', bands: { M01: [480, 520], M13: [700, 760] } }] },
      { M01: { mm: 500, sigmaMm: 2 }, M13: { mm: 688, sigmaMm: 1 } },
    )[0]

  it('T36 the tail rules are for what ends at the tail', () => {
    expect(pull('H11')).toMatchObject({ grade: 'doubt', because: { code: 'past-tail' }, conflict: { code: 'past-tail-accept' } })
    for (const family of ['H14', 'H20', 'H21'] as const) expect([family, pull(family)?.grade, pull(family)?.conflict]).toEqual([family, 'fails', null])
    for (const family of ['H14', 'H15', 'H19', 'H20', 'H21'] as const) expect([family, families[family].dangers['M13']]).toEqual([family, undefined])
    expect(families.H11.dangers['M13']?.big?.symptom).toBe('S06')
  })

  it('T37 the girth decides an adjustable neck, and the advice says so; the neck never holds', () => {
    const gull: Pick<SizeTable, 'family' | 'between' | 'sizes'> = {
      family: 'H01',
      between: null,
      sizes: [
        { label: 'Gull', bands: { M07: [600, 700], M06: [120, 150], M01: [360, 420] } },
        { label: 'Skua', bands: { M07: [720, 820], M06: [160, 190], M01: [440, 500] } },
      ],
    }
    const ranked = rankSizes(gull, read({ M07: 650, M06: 135, M01: 452 }, 1))
    expect(ranked[0]).toMatchObject({ label: 'Gull', grade: 'doubt', because: { code: 'girth-decides', measure: 'M01' } })
    expect(ranked[0]?.perMeasure.find((fit) => fit.measure === 'M01')?.grade).toBe('doubt')
    expect(adviseSizes({ way: 'stock' }, ranked)).toEqual({ kind: 'one', labels: ['Gull'] })
    // A neck sewn fixed decides itself.
    expect(rankSizes({ ...gull, family: 'H05' }, read({ M07: 650, M06: 135, M01: 452 }, 1))[0]?.grade).toBe('fails')
  })

  it('T38 foretells only what 7.3 names', () => {
    const said = (family: 'C1' | 'C4' | 'B2' | 'K1' | 'H24', measure: string) => {
      const found = families[family].dangers[measure]
      return [found?.small?.symptom ?? null, found?.big?.symptom ?? null]
    }
    expect([said('C4', 'M14'), said('C1', 'M15'), said('C4', 'M26'), said('C4', 'M24')]).toEqual([[null, 'S51'], [null, 'S51'], [null, 'S56'], [null, 'S55']]) // prettier-ignore
    expect([said('C1', 'M05'), said('C1', 'M07'), said('C1', 'M03')]).toEqual([['S59', null], ['S53', 'S52'], ['S60', null]]) // prettier-ignore
    expect([said('B2', 'M33'), said('B2', 'M35'), said('B2', 'M32')]).toEqual([['S65', 'S64'], ['S65', 'S64'], ['S65', 'S63']]) // prettier-ignore
    expect([said('K1', 'M42'), said('K1', 'M44'), said('K1', 'M41')]).toEqual([[null, 'S71'], [null, 'S71'], ['S70', 'S71']]) // prettier-ignore
    expect(said('H24', 'M07')).toEqual([null, null])
    for (const { id, shelf, dangers } of allFamilies) if (shelf === 'coat') expect([id, JSON.stringify(dangers).includes('S57')]).toEqual([id, false])
  })

  it('boots go up only where the paw is long too, sled booties down (6.2, from memory, unverified)', () => {
    const boots = (family: 'B1' | 'B2'): Pick<SizeTable, 'family' | 'between' | 'sizes'> => ({
      family,
      between: null,
      sizes: [
        { label: 'S', bands: { M32: [50, 55], M33: [60, 66] } },
        { label: 'M', bands: { M32: [57, 62], M33: [67, 73] } },
      ],
    })
    expect(rankSizes(boots('B2'), read({ M32: 56, M33: 63 }, 0.5))[0]?.label).toBe('S')
    expect(rankSizes(boots('B2'), read({ M32: 56, M33: 66.5 }, 0.5))[0]?.label).toBe('M')
    expect(rankSizes(boots('B2'), read({ M32: 56 }, 0.5))[0]?.label).toBe('M')
    expect(rankSizes(boots('B1'), read({ M32: 56, M33: 66.5 }, 0.5))[0]?.label).toBe('S')
  })
})
