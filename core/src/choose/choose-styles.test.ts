import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { solveForm } from '../form/index.ts'
import { ACTIVITIES, type Activity, DISAGREEMENT_IDS, type Dog } from '../model/index.ts'
import { chooseStyles, disagreements, optionsOf, unusualBody, type StyleOptions } from './index.ts'

const on = '2026-10-05'
const dog: Dog = {
  id: '01900000-0000-7000-8000-000000000001',
  name: 'Tern',
  breed: 'Siberian Husky',
  crossWith: '',
  sex: 'female',
  born: '2021-01-01',
  ageMonths: null,
  ageSaidOn: null,
  weightKg: 21,
  coat: 'thick-double',
  flatFace: false,
  sparing: false,
  notes: '',
  ownerId: null,
  createdAt: '2026-01-01T00:00:00Z',
}
const ORDER = ['first', 'works', 'conditions', 'wrong', 'pointless']
const ask = (purpose: Activity, options: Partial<StyleOptions> = {}, over: Partial<Dog> = {}, more: object = {}) =>
  chooseStyles({ dog: { ...dog, ...over }, purpose, hitch: null, options: { on, ...options }, ...more })
const of = (styles: ReturnType<typeof ask>, family: string) => styles.find((style) => style.family === family)

describe('chooseStyles', () => {
  it('puts what fits the way of going in front of its equals', () => {
    expect(ask('sled-team', { crabs: true })[0]?.family).toBe('H17')
    expect(ask('bike-front', { swings: true })[0]?.family).toBe('H18')
    expect(ask('sled-team', { flexes: true })[0]?.family).toBe('H13')
    expect(of(ask('sled-team', { flexes: true }), 'H11')?.rank).toBe('conditions')
    expect(of(ask('sled-team', { flexes: true, views: { D21: 'A' } }), 'H11')?.rank).toBe('first')
  })

  it('takes the shop’s side where practitioners disagree, and says that it is a side', () => {
    expect(ask('bike-front', { views: { D22: 'B' } })[0]?.family).toBe('H11')
    expect(of(ask('bike-front', { views: { D22: 'A' } }), 'H14')?.reasons).toContainEqual({ code: 'shop-view', for: true })
    expect(of(ask('stroll', { views: { D17: 'B' } }), 'H03')?.rank).toBe('wrong')
    expect(of(ask('learning-puller', { views: { D18: 'B' } }), 'H08')?.rank).toBe('wrong')
    expect(of(ask('learning-puller'), 'H08')?.rank).toBe('first')
    expect(ask('sled-team', { views: { D21: 'B' } })[0]?.family).toBe('H12')
    expect(ask('wheel-place', { views: { D23: 'B' } })[0]?.family).toBe('H20')
    expect(ask('sled-team', { crabs: true, views: { D24: 'B' } })[0]?.family).toBe('H17')
    expect(ask('weight-drag', { views: { D27: 'A' } })[0]?.family).toBe('H22')
    expect(disagreements.map(({ id }) => id)).toEqual(DISAGREEMENT_IDS)
  })

  it('reads a ticket’s own words for how its dog goes', () => {
    expect(optionsOf({ traits: ['crabs', 'head-shy'], teamPlace: 'wheel', airC: 12, alsoWorn: 'Her brother' }, on, {})).toMatchObject({
      crabs: true,
      headShy: true,
      swings: false,
      shared: true,
      wheelPlace: true,
      airC: 12,
    })
    expect('airC' in optionsOf({ traits: [], teamPlace: null, airC: null, alsoWorn: '' }, on, {})).toBe(false)
  })

  it('wants wide ranges for a giant, and where somebody else wears it too', () => {
    const shared = ask('long-hike', { shared: true })
    expect(of(shared, 'H09')?.reasons).toContainEqual({ code: 'shared', for: true })
    expect(of(shared, 'H02')?.reasons).not.toContainEqual({ code: 'shared', for: true })
    expect(of(ask('long-hike', {}, { breed: 'Great Dane' }), 'H09')?.reasons).toContainEqual({ code: 'giant', for: true })
    expect(unusualBody({ ...dog, breed: '', weightKg: 60 }, null)).toEqual({ narrow: false, shortForNeck: false, tucked: false, giant: true })
    expect(unusualBody(null, null).giant).toBe(false)
  })

  it('minds temper and missing legs on a stroll', () => {
    expect(of(ask('stroll', { headShy: true }), 'H05')?.rank).toBe('conditions')
    expect(of(ask('stroll', { backsOut: true }), 'H09')?.reasons).toContainEqual({ code: 'backs-out', for: true })
    expect(of(ask('long-hike', { threeLegs: true }), 'H09')?.rank).toBe('first')
    expect(of(ask('long-hike', { threeLegs: true }), 'H01')?.rank).toBe('conditions')
  })

  it('reads the body from its form: short for its neck, or deep and narrow', () => {
    const short = solveForm({ M01: { mm: 720, sigmaMm: 5 }, M13: { mm: 540, sigmaMm: 5 } }, { build: 'molosser' })
    const styles = ask('bike-front', {}, {}, { form: short })
    expect(of(styles, 'H11')?.reasons).toContainEqual({ code: 'short-back-thick-neck', for: false })
    expect(styles[0]?.family).toBe('H21')
    const narrow = solveForm({}, { breed: 'Greyhound' })
    expect(of(ask('sled-team', {}, {}, { form: narrow }), 'H16')?.reasons).toContainEqual({ code: 'deep-narrow-chest', for: true })
  })

  it('minds the line: a rising one is not for a cross-back', () => {
    const rising = ask('ski-front', {}, {}, { hitch: 'half-back' })
    expect(of(rising, 'H11')?.rank).toBe('conditions')
    expect(['H02', 'H14']).toContain(rising[0]?.family)
  })

  it('keeps stops apart: heat, youth and flat faces bind the work', () => {
    expect(of(ask('sled-team', { airC: 15 }), 'H11')?.stops).toContain('heat')
    expect(of(ask('sled-team', { airC: 5 }), 'H11')?.stops).not.toContain('heat')
    expect(of(ask('sled-team', {}, { born: '2026-03-01' }), 'H11')?.stops).toContain('growing-no-load')
    expect(of(ask('sled-team', {}, { flatFace: true }), 'H11')?.stops).toContain('flat-face-no-draught')
    expect(of(ask('stroll'), 'H01')?.stops).toEqual([])
  })

  it('names every harness family once, best first, whatever is asked', () => {
    for (const purpose of ACTIVITIES) {
      const styles = ask(purpose)
      expect(new Set(styles.map(({ family }) => family)).size).toBe(24)
      const places = styles.map(({ rank }) => ORDER.indexOf(rank))
      expect(places).toEqual([...places].sort((a, b) => a - b))
    }
  })

  it('never raises a family for youth, a flat face or a way of going that speaks against it', () => {
    const flag = fc.boolean()
    const side = fc.constantFrom('A' as const, 'B' as const)
    const options = fc.record({
      crabs: flag,
      swings: flag,
      flexes: flag,
      wheelPlace: flag,
      headShy: flag,
      backsOut: flag,
      threeLegs: flag,
      chews: flag,
      wriggles: flag,
      sitsClose: flag,
    })
    const views = fc.record({ D17: side, D18: side, D21: side, D22: side, D23: side, D24: side, D27: side }, { requiredKeys: [] })
    fc.assert(
      fc.property(fc.constantFrom(...ACTIVITIES), options, views, flag, flag, flag, (purpose, how, taken, young, flat, sparing) => {
        const plain = new Map(ask(purpose).map((style) => [style.family, style.rank]))
        const over = { ...(young ? { born: '2026-05-01' } : {}), flatFace: flat, sparing }
        for (const style of ask(purpose, { ...how, views: taken, airC: 20 }, over)) {
          expect(ORDER.indexOf(style.rank)).toBeGreaterThanOrEqual(ORDER.indexOf(plain.get(style.family) ?? ''))
        }
      }),
      { numRuns: 80 },
    )
  })
})
