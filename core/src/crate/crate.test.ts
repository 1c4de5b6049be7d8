import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { solveForm, type Form } from '../form/index.ts'
import { withGuesses, type SizedBody } from '../sizing/index.ts'
import { crateChecks, type Inside } from './crate-checks.ts'
import { CRATE_LABELS, crateFor, insideOf } from './crate-for.ts'
import { curledUp, leastCircle } from './curled-up.ts'
import { planOf, type DogPlan } from './dog-plan.ts'
import { bentPlaces, postureOutline, rimOf } from './posture.ts'
import { turningRoom } from './turning-room.ts'

const bar = (long: number, half: number): DogPlan => ({ links: [{ lengthMm: long, bendRad: 0 }], stiff: 0, halves: [[0, half], [long, half]] }) // prettier-ignore
const folding = (long: number): DogPlan => ({ links: [{ lengthMm: long / 2, bendRad: 0 }, { lengthMm: long / 2, bendRad: Math.PI }], stiff: 0, halves: [[0, 0], [long, 0]] }) // prettier-ignore

const weighing = (kg: number, breed?: string): Form => solveForm({ M00: { mm: kg, sigmaMm: kg * 0.01 } }, breed === undefined ? null : { breed })
const BUILDS: [string, number][] = [['Chihuahua', 1.8], ['Border Terrier', 6.5], ['Dachshund', 9], ['Siberian Husky', 20.6], ['Labrador Retriever', 32], ['Greyhound', 30], ['Great Dane', 70]] // prettier-ignore
const forms = BUILDS.map(([breed, kg]) => weighing(kg, breed))
const read = (form: Form): SizedBody => Object.fromEntries(Object.entries(form.measures).map(([id, { mm }]) => [id, { mm, sigmaMm: 4 }]))

describe('turning round', () => {
  it('a stiff bar asks for its diagonal', () => {
    expect(turningRoom(bar(600, 100), 5000)?.widthMm).toBeCloseTo(Math.hypot(600, 200), 0)
  })
  it('two thin halves that fold ask for one half', () => {
    expect(turningRoom(folding(600), 700)?.widthMm).toBeCloseTo(300, 6)
  })
  it('a bar longer than its crate does not turn; nothing is said of a length that is none', () => {
    expect(turningRoom(bar(600, 20), 500)).toBeNull()
    expect(() => turningRoom(bar(600, 20), 0)).toThrow(RangeError)
    expect(() => turningRoom({ links: [], stiff: 0, halves: [] }, 900)).toThrow(RangeError)
  })
  it('every posture of the way lies within length and width, and it ends turned round', () => {
    for (const form of forms) {
      const plan = planOf(form)
      const lengthMm = (form.measures.M42?.mm ?? 0) + 50
      const room = turningRoom(plan, lengthMm)
      expect(room).not.toBeNull()
      if (!room) continue
      for (const posture of room.path) {
        const points = postureOutline(plan, posture)
        const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
        expect(Math.max(...xs) - Math.min(...xs)).toBeLessThanOrEqual(lengthMm + 1e-6)
        expect(Math.max(...ys) - Math.min(...ys)).toBeLessThanOrEqual(room.widthMm + 1e-6)
      }
      expect(room.path[0]?.headingRad).toBe(0)
      expect(room.path.at(-1)?.headingRad).toBeCloseTo(Math.PI, 9)
      expect(room.leastMm).toBeLessThan(room.widthMm)
      // Its own length on four feet: 0.65 to 0.82 of it (a trial's figures, unverified).
      expect(room.widthMm / (form.measures.M42?.mm ?? 1)).toBeGreaterThan(0.62)
      expect(room.widthMm / (form.measures.M42?.mm ?? 1)).toBeLessThan(0.84)
    }
  })
  it('a longer crate never asks for more width; a dog twice the size asks for twice as much', () => {
    const plan = planOf(forms[3] as Form)
    const widths = [820, 860, 950, 1200].map((mm) => turningRoom(plan, mm)?.widthMm ?? Infinity)
    for (let i = 1; i < widths.length; i++) expect(widths[i]).toBeLessThanOrEqual((widths[i - 1] ?? 0) + 1e-9)
    const twice: DogPlan = { ...plan, links: plan.links.map((link) => ({ ...link, lengthMm: 2 * link.lengthMm })), halves: plan.halves.map(([at, half]) => [2 * at, 2 * half]) } // prettier-ignore
    expect(turningRoom(twice, 1900)?.widthMm).toBeCloseTo(2 * (turningRoom(plan, 950)?.widthMm ?? 0), 6)
  })
})

describe('a bent dog', () => {
  it('keeps its links’ lengths and its widths at them', () => {
    const plan = planOf(forms[4] as Form)
    const along = [0, 100, 300, 500]
    const straight = bentPlaces(
      plan,
      { headingRad: 0, share: 0 },
      along.map((at) => [at, 0]),
    )
    straight.forEach(([x, y], i) => {
      expect(x).toBeCloseTo(-(along[i] ?? 0), 9)
      expect(y).toBeCloseTo(0, 9)
    })
    const [left, right] = [30, -30].map((across) => bentPlaces(plan, { headingRad: 1, share: 0.7 }, [[320, across]])[0] ?? [0, 0]) as [number[], number[]]
    expect(Math.hypot((left[0] ?? 0) - (right[0] ?? 0), (left[1] ?? 0) - (right[1] ?? 0))).toBeCloseTo(60, 9)
  })
  it('curls into a circle that holds it, and no smaller one of half a millimetre less does at that bend', () => {
    const plan = planOf(forms[3] as Form)
    const { diameterMm } = curledUp(plan)
    const best = Math.min(...Array.from({ length: 25 }, (_, s) => 2 * leastCircle(bentPlaces(plan, { headingRad: 0.3, share: s / 24 }, rimOf(plan))).r))
    expect(diameterMm).toBeCloseTo(best, 6)
  })
  it('the least circle of points on a circle is that circle', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 6.28, noNaN: true }), { minLength: 1, maxLength: 20 }), (angles) => {
        const ring = [0, 2.1, 4.2, ...angles].map((a): [number, number] => [5 + 3 * Math.cos(a), 1 + 3 * Math.sin(a)])
        expect(leastCircle(ring).r).toBeCloseTo(3, 6)
      }),
    )
  })
})

describe('clearances', () => {
  const inside: Inside = { lengthMm: 1000, widthMm: 700, heightMm: 760, sigmaMm: 0 }
  const body: SizedBody = { M42: { mm: 900, sigmaMm: 4 }, M44: { mm: 220, sigmaMm: 3 }, M39: { mm: 660, sigmaMm: 5 }, M40: { mm: 740, sigmaMm: 5 }, M41: { mm: 620, sigmaMm: 5 }, M45: { mm: 560, sigmaMm: 5 } } // prettier-ignore
  const of = (over: Partial<Inside> = {}, more: Partial<SizedBody> = {}) =>
    Object.fromEntries(crateChecks({ body: { ...body, ...more }, inside: { ...inside, ...over } }).map((each) => [each.check, each]))
  it('needs length and heights with 5 cm of room, and two widths (handbook 10.3, from memory, unverified)', () => {
    const checks = of()
    expect(checks['nose-to-tail']).toMatchObject({ needMm: 950, haveMm: 1000, spareMm: 50, grade: 'holds', basis: 'predicted', symptom: null })
    expect(checks['two-widths']).toMatchObject({ needMm: 440, spareMm: 260, grade: 'holds' })
    expect(checks.head).toMatchObject({ needMm: 710, spareMm: 50, grade: 'holds', symptom: 'S70' })
    expect(checks.sitting).toMatchObject({ needMm: 670, grade: 'holds', symptom: 'S70' })
  })
  it('ears that touch are a doubt and never a fail; without higher ears they are not asked', () => {
    expect(of().ears).toMatchObject({ spareMm: -30, grade: 'doubt' })
    expect(of({}, { M40: { mm: 660, sigmaMm: 5 } }).ears).toBeUndefined()
  })
  it('a reading goes by two standard deviations, a guess by chance', () => {
    expect(of({ lengthMm: 945 })['nose-to-tail']?.grade).toBe('doubt')
    expect(of({ lengthMm: 941 })['nose-to-tail']?.grade).toBe('fails')
    // 1.2816 standard deviations are nine in ten.
    const guess = (spare: number) => of({ lengthMm: 950 + spare }, { M42: { mm: 900, sigmaMm: 20, guess: true } })['nose-to-tail']?.grade
    expect([guess(26), guess(25), guess(-32), guess(-34)]).toEqual(['holds', 'doubt', 'doubt', 'fails'])
  })
  it('a missing measure is said to be missing; a bed takes height; a narrow door is told', () => {
    expect(of({}, { M42: undefined })['nose-to-tail']).toMatchObject({ needMm: null, spareMm: null, grade: 'none' })
    expect(crateChecks({ body, inside, bedMm: 65 }).find(({ check }) => check === 'head')?.grade).toBe('fails')
    expect(of({ door: { widthMm: 200, heightMm: 600 } }).door).toMatchObject({ spareMm: -20, grade: 'fails' })
    expect(of({ door: { widthMm: 500, heightMm: 500 } }).door).toMatchObject({ spareMm: -60, grade: 'doubt' })
  })
  it('under the chest’s own length it does not turn, from the turning width it does, between could go either way', () => {
    const form = forms[4] as Form
    const plan = planOf(form)
    const width = turningRoom(plan, 1000)?.widthMm ?? 0
    const turn = (widthMm: number) => crateChecks({ body: read(form), plan, inside: { ...inside, widthMm } }).find(({ check }) => check === 'turn')?.grade
    expect([turn(width + 30), turn((width + 260) / 2), turn(150)]).toEqual(['holds', 'doubt', 'fails'])
  })
  it('no crate is smaller than nothing', () => {
    expect(() => crateChecks({ body, inside: { ...inside, widthMm: 0 } })).toThrow(RangeError)
    expect(() => crateChecks({ body, inside, bedMm: Number.NaN })).toThrow(RangeError)
  })
})

describe('the series', () => {
  it('is that of V45, 18 to 54, longer and higher from one to the next', () => {
    expect(CRATE_LABELS).toEqual(['18', '24', '30', '36', '42', '48', '54'])
    const sizes = CRATE_LABELS.map(insideOf)
    for (let i = 1; i < sizes.length; i++) expect(sizes[i]?.lengthMm).toBeGreaterThan(sizes[i - 1]?.lengthMm ?? 0)
    // Metric series, handbook 10.2: 107 cm outside for 42; the inside is 2 to 5 cm shorter.
    expect(1067 - insideOf('42').lengthMm).toBeGreaterThan(20)
    expect(1067 - insideOf('42').lengthMm).toBeLessThan(50)
    expect(() => insideOf('43')).toThrow(RangeError)
  })
  it('V47: a Malamute listed at 42 asks for more by its own tapes', () => {
    const form = weighing(38, 'Alaskan Malamute')
    const found = crateFor({ body: read(form), plan: planOf(form) })
    expect(Number(found.smallest ?? found.perhaps)).toBeGreaterThanOrEqual(48)
    expect(found.decides.length).toBeGreaterThan(0)
  })
  it('a larger dog never gets a smaller crate', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: forms.length - 1 }), fc.double({ min: 1, max: 1.6, noNaN: true }), (i, by) => {
        const form = forms[i] as Form
        const plan = planOf(form)
        const grown: DogPlan = { ...plan, links: plan.links.map((link) => ({ ...link, lengthMm: by * link.lengthMm })), halves: plan.halves.map(([at, half]) => [by * at, by * half]) } // prettier-ignore
        const body = read(form)
        const larger = Object.fromEntries(Object.entries(body).map(([id, each]) => [id, each && { ...each, mm: by * (each.mm ?? 0) }])) as SizedBody
        const at = (label: string | null): number => (label === null ? 99 : Number(label))
        const [small, large] = [crateFor({ body, plan }), crateFor({ body: larger, plan: grown })]
        expect(at(large.smallest)).toBeGreaterThanOrEqual(at(small.smallest))
        expect(at(large.perhaps)).toBeGreaterThanOrEqual(at(small.perhaps))
      }),
      { numRuns: 10 },
    )
  })
  it('names what keeps the next smaller from it, least spare first; an inside somebody measured counts', () => {
    const form = forms[3] as Form
    const body = read(form)
    const plan = planOf(form)
    const found = crateFor({ body, plan })
    const label = found.smallest ?? found.perhaps
    const before = found.sizes[found.sizes.findIndex((size) => size.label === label) - 1]
    const spare = (check: string): number => before?.checks.find((each) => each.check === check)?.spareMm ?? 0
    for (let i = 1; i < found.decides.length; i++) expect(spare(found.decides[i] ?? '')).toBeGreaterThanOrEqual(spare(found.decides[i - 1] ?? ''))
    const huge = { lengthMm: 3000, widthMm: 3000, heightMm: 3000, sigmaMm: 1 }
    expect(crateFor({ body, plan, insides: { '18': huge } }).smallest).toBe('18')
  })
  it('with nothing known it names none', () => {
    expect(crateFor({ body: {} })).toMatchObject({ smallest: null, perhaps: null, decides: [] })
    const guessed = crateFor({ body: withGuesses({}, weighing(20)), plan: null })
    expect(guessed.perhaps).not.toBeNull()
  })
})
