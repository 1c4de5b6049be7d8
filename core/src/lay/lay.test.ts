import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { skinOfCuts, solveForm, tautAlong, tautAround, trunkOf, typicalForm, type SkinStation } from '../form/index.ts'
import { families, type RigStrap } from '../gear/index.ts'
import { FAMILY_IDS, type FamilyId } from '../model/index.ts'
import { aimedLengths, layGear, strapsOf } from './index.ts'
import { pullAlong, pullAround, stringAlong, stringAround } from './taut-string.ts'
import { arcTo, cutAtArc, midline } from './midline.ts'

const HARNESSES = FAMILY_IDS.filter((id) => id.startsWith('H'))
const ROOM = { neckMm: 17, neckLeastMm: 10, neckMostMm: 25, girthMm: 15, bellyMm: 15, behindElbowMm: 50 }
const form = typicalForm({ build: 'nordic' })
const QUARTER = Math.PI / 2
const made = (family: FamilyId, of = form) => aimedLengths(of, family, ROOM).straps

describe('straps of a family', () => {
  it('are those of the handbook’s kinds, from node to node (5.2)', () => {
    const ids = (family: FamilyId): string =>
      strapsOf(family)
        .map(({ id }) => id)
        .join(' ')
    for (const family of ['H11', 'H12', 'H16', 'H17', 'H18', 'H19', 'H20'] as const) expect(ids(family)).toBe('neck side cross rear')
    expect([ids('H13'), ids('H14'), ids('H15')]).toEqual(['neck side', 'neck side back', 'neck side back'])
    expect([ids('H21'), ids('H02')]).toEqual(['neck keel girth side back', 'neck keel girth side back'])
    expect([ids('H01'), ids('H10'), ids('H09')]).toEqual(['neck keel girth back', 'neck keel girth back', 'neck keel girth back rear belly'])
    expect(ids('H22').split(' ').sort()).toEqual('neck keel back upper lower cinch rear'.split(' ').sort())
    expect(ids('H23').split(' ').sort()).toEqual('neck keel back upper lower cinch rear loopDrop belly'.split(' ').sort())
    for (const family of HARNESSES) expect(strapsOf(family).length, family).toBeGreaterThan(1)
    for (const family of ['C1', 'B2', 'K1'] as const) expect(strapsOf(family)).toEqual([])
  })

  it('are doubled through their slider on walking and car gear, and on no other (8.3)', () => {
    const walking = (family: FamilyId): boolean => (family >= 'H01' && family <= 'H10') || family === 'H24'
    for (const family of HARNESSES)
      for (const { id, adjusts, doubled } of strapsOf(family)) expect([family, id, doubled]).toEqual([family, id, adjusts && walking(family)])
  })

  it('V20, V21, V22, V42: set at as many sliders as practitioners count (common practice)', () => {
    const sliders = (family: FamilyId, both: readonly string[]): number =>
      strapsOf(family)
        .filter(({ adjusts }) => adjusts)
        .reduce((sum, { id }) => sum + (both.includes(id) ? 2 : 1), 0)
    expect(sliders('H09', ['neck'])).toBe(5)
    expect(sliders('H10', [])).toBe(4)
    expect(sliders('H01', ['neck'])).toBe(4)
    expect(sliders('H24', ['front', 'girth'])).toBe(4)
  })
})

describe('strings of the lay', () => {
  const disc = (x: number, r: number): SkinStation => ({ tx: x, tz: 600 + r, ux: x, uz: 600 - r, w: r, v: 0.5, p: 2 })
  const cylinder = skinOfCuts(Array.from({ length: 12 }, (_, i) => disc(-80 * i, 150)))

  it('are the rolled-out straight line on a cylinder (elementary geometry)', () => {
    const along = stringAlong()
    pullAlong(cylinder, along, 3, -QUARTER, 11, QUARTER, false, null)
    expect(Math.abs(along.length / Math.hypot(150 * Math.PI, 80 * 8) - 1)).toBeLessThan(0.002)
    const around = stringAround()
    pullAround(cylinder, around, 5, 8)
    expect(around.length / Math.hypot(Math.PI * 150, 240)).toBeCloseTo(1, 4)
  })

  it('agree with the form’s own, and keep to it when they are pulled again from elsewhere', () => {
    const { skin } = trunkOf(form)
    const [along, around] = [stringAlong(), stringAround()]
    for (const cut of [3, 3.4, 2.8, 3.1]) {
      pullAlong(skin, along, cut, QUARTER, 7, 0.1, false, null)
      expect(Math.abs(along.length / tautAlong(skin, { cut, angleRad: QUARTER }, { cut: 7, angleRad: 0.1 }).lengthMm - 1)).toBeLessThan(0.003)
      pullAround(skin, around, cut, 2.9)
      expect(around.length).toBeCloseTo(tautAround(skin, cut, 2.9).lengthMm, 1)
    }
  })

  it('grow by their slopes where an end moves', () => {
    const { skin } = trunkOf(form)
    fc.assert(
      fc.property(fc.double({ min: 2.6, max: 3.8, noNaN: true }), fc.double({ min: 2.6, max: 3.4, noNaN: true }), (under, top) => {
        const at = (u: number, t: number) => {
          const string = stringAround()
          pullAround(skin, string, u, t)
          return string
        }
        const [here, before, after] = [at(under, top), at(under - 1e-4, top), at(under + 1e-4, top)]
        expect((after.length - before.length) / 2e-4).toBeCloseTo(here.slopes.fromCut, -0.5)
      }),
      { numRuns: 20 },
    )
  })

  it('a midline’s arc and cut are each other’s way back', () => {
    const over = midline(trunkOf(form).skin, 'over')
    for (const cut of [0.3, 2.9, 5.5, 10.8]) expect(cutAtArc(over, arcTo(over, cut))).toBeCloseTo(cut, 5)
  })
})

describe('a lay', () => {
  it('comes to rest for every harness on six bodies, slack and pulling, and no strap is too short', () => {
    for (const build of ['nordic', 'toy', 'sighthound', 'long-low', 'molosser', 'giant'] as const) {
      const of = typicalForm({ build })
      for (const family of HARNESSES)
        for (const pull of [null, { riseRad: 0 }]) {
          const laid = layGear({ form: of, family, straps: made(family, of), pull, withoutSpread: true })
          expect([build, family, laid.settled, laid.short]).toEqual([build, family, true, []])
        }
    }
  })

  it('says what a strap has to spare, and which is too short to close at all', () => {
    const straps = made('H01')
    const laid = layGear({ form, family: 'H01', straps, pull: null })
    for (const id of ['neck', 'keel', 'girth', 'back'] as const) expect(laid.straps[id]?.points.length).toBeGreaterThan(3)
    expect(laid.straps.girth?.spareMm).toBeCloseTo(ROOM.girthMm, -1)
    const tight = layGear({ form, family: 'H01', straps: { ...straps, girth: 300 }, pull: null, withoutSpread: true })
    expect(tight.short.map(({ strap }) => strap)).toContain('girth')
  })

  it('names what it cannot lay', () => {
    const straps = made('H11')
    const ask = (changes: object) => () => layGear({ form, family: 'H11', straps, pull: null, ...changes })
    expect(ask({ straps: { ...straps, belly: 500 } })).toThrow(/no strap belly/)
    expect(ask({ straps: { neck: 500 } })).toThrow(/wants its strap side/)
    expect(ask({ straps: { ...straps, neck: Number.NaN } })).toThrow(/strap neck is no length/)
    expect(ask({ pull: { riseRad: 2 } })).toThrow(/rises by no angle/)
    expect(ask({ overMm: -1 })).toThrow(/no thickness/)
    expect(() => layGear({ form, family: 'C1', straps: {}, pull: null })).toThrow(RangeError)
  })

  it('finds the same place from another start, within a millimetre', () => {
    const straps = made('H11')
    const first = layGear({ form, family: 'H11', straps, pull: { riseRad: 0 }, withoutSpread: true })
    const near = layGear({
      form,
      family: 'H11',
      straps: Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, mm * 1.05])),
      pull: { riseRad: 0 },
      withoutSpread: true,
    })
    const again = layGear({ form, family: 'H11', straps, pull: { riseRad: 0 }, withoutSpread: true, near })
    for (const id of ['v', 'top', 'ribs', 'tug'] as const) expect(Math.abs((again.figures[id]?.mm ?? 0) - (first.figures[id]?.mm ?? 99))).toBeLessThan(1)
  })

  it('a longer strap never leaves less to spare, and a coat under it leaves less in every ring', () => {
    const straps = made('H01')
    const room = (by: number, overMm = 0): number =>
      layGear({ form, family: 'H01', straps: { ...straps, girth: straps.girth * by }, pull: null, withoutSpread: true, overMm }).figures.girthRoom?.mm ?? 0
    const rooms = [0.98, 1, 1.03, 1.08].map((by) => room(by))
    expect([...rooms].sort((a, b) => a - b)).toEqual(rooms)
    // It takes 2 pi t off every ring; what is no longer there the strap finds further forward, where the dog is slimmer.
    expect(room(1.05) - room(1.05, 3)).toBeGreaterThan(2 * Math.PI * 3 * 0.8)
    expect(room(1, 5)).toBeLessThan(room(1) - 5)
  })

  it('the more tapes, the less spread; the same dog on both sides', () => {
    const straps = made('H11')
    const taped = (ids: readonly string[]) =>
      solveForm(Object.fromEntries(ids.map((id) => [id, { mm: form.measures[id]?.mm ?? 0, sigmaMm: 0.013 * (form.measures[id]?.mm ?? 0) }])), {
        build: 'nordic',
      })
    const spread = (of: typeof form, id: 'v' | 'ribs' | 'tug'): number =>
      layGear({ form: of, family: 'H11', straps, pull: { riseRad: 0 } }).figures[id]?.sigmaMm ?? 0
    const [none, three, nine] = [form, taped(['M01', 'M07', 'M13']), taped(['M01', 'M02', 'M06', 'M07', 'M10', 'M11', 'M12', 'M13', 'M14'])]
    for (const id of ['v', 'ribs', 'tug'] as const) {
      expect(spread(three, id)).toBeLessThan(spread(none, id))
      // Its leading ways are counted, not all of them: a hair either way is no more knowledge.
      expect(spread(nine, id)).toBeLessThan(1.03 * spread(three, id))
      expect(spread(nine, id)).toBeGreaterThan(1)
    }
    // The lay is the left side of a dog that is alike on both: nothing of it lies right of the middle.
    const laid = layGear({ form, family: 'H11', straps, pull: { riseRad: 0 }, withoutSpread: true })
    for (const strap of Object.values(laid.straps)) for (const [, y] of strap.points) expect(y).toBeGreaterThan(-1e-6)
  })

  it('U17: two sizes of one kind are drawn as two: each strap runs by its own length', () => {
    const straps = made('H11')
    const [small, large] = [0.95, 1.1].map((by) =>
      layGear({
        form,
        family: 'H11',
        straps: Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, mm * by])),
        pull: { riseRad: 0 },
        withoutSpread: true,
      }),
    )
    const end = (laid: typeof small): number => laid?.straps.rear?.points.at(-1)?.[0] ?? 0
    expect(end(small) - end(large)).toBeGreaterThan(60)
  })

  it('a line that falls draws the end down behind the tail, one that rises up', () => {
    const straps = Object.fromEntries(Object.entries(made('H11')).map(([id, mm]) => [id, mm * 1.08]))
    const z = (riseRad: number): number => layGear({ form, family: 'H11', straps, pull: { riseRad }, withoutSpread: true }).nodes.tug?.at[2] ?? 0
    expect(z(-0.2)).toBeLessThan(z(0))
    expect(z(0.2)).toBeGreaterThan(z(0))
  })

  it('every rig’s straps join nodes that its other straps or its ends know', () => {
    for (const family of HARNESSES) {
      const straps = families[family].rig?.straps ?? []
      const uses = (node: RigStrap['from']): number => straps.filter(({ from, to }) => from === node || to === node).length
      for (const { from, to } of straps) expect([family, uses(from) + uses(to) > 1]).toEqual([family, true])
    }
  })
})
