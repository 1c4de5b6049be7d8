import { describe, expect, it } from 'vitest'
import { PLAIN_CIRCUMSTANCES, USUAL_SHOP, type Dog, type Reading } from '../model/index.ts'
import { takeOver, type TakeOverQuestion } from './index.ts'

let n = 0
const read = (measure: Reading['measure'], mm: number, at: string, over: Partial<Reading> = {}): Reading => ({ ...PLAIN_CIRCUMSTANCES, id: `r${String((n += 1)).padStart(4, "0")}`, measure, mm, side: 'both', asTyped: String(mm), unit: 'mm', takenAt: at, by: 'Ylva', ...over }) // prettier-ignore
const dog: Dog = {
  id: '01900000-0000-7000-8000-000000000001', name: 'Tern', breed: '', crossWith: '', sex: null, born: '2021-01-01', ageMonths: null, ageSaidOn: null, weightKg: 20,
  coat: null, flatFace: false, sparing: false, notes: '', ownerId: null, createdAt: '2026-01-01T00:00:00Z',
} // prettier-ignore
const THEN = '2026-09-20T09:00:00Z'
const NOW = '2026-10-05T09:00:00Z'
const before = () => ({
  readings: [read('M07', 700, THEN), read('M07', 702, THEN), read('M14', 500, THEN), read('M14', 501, THEN), read('M06', 290, THEN)],
})
const ask = (over: Partial<TakeOverQuestion> = {}) =>
  takeOver({
    dog,
    earlier: [before()],
    notes: [],
    weighings: [],
    readings: [],
    wanted: ['M07', 'M14', 'M06'],
    worn: ['H01'],
    on: '2026-10-05',
    rules: USUAL_SHOP,
    ...over,
  })

describe('X16: tapes of last time that still hold', () => {
  it('want one check reading first, then stand with their own day and hand; one read once never does', () => {
    expect(ask()).toMatchObject({ on: '2026-09-20', by: 'Ylva', tapes: ['M07', 'M14'], check: { state: 'wanted' } })
    const checked = ask({ readings: [read('M07', 705, NOW)] })
    expect(checked).toMatchObject({ tapes: ['M14'], check: { state: 'holds', tape: 'M07' } })
    expect(checked?.readings.map(({ mm, takenAt }) => [mm, takenAt])).toEqual([
      [500, THEN],
      [501, THEN],
    ])
  })

  it('do not stand where the check reads another number', () => {
    expect(ask({ readings: [read('M07', 730, NOW)] })?.check).toMatchObject({ state: 'differs', tape: 'M07', mm: 730, thenMm: 702 })
  })

  it('are no check of themselves once taken over', () => {
    const [a, b] = before().readings
    expect(ask({ readings: [a, b].flatMap((each) => each ?? []) })?.check).toEqual({ state: 'wanted' })
  })

  it('are out of date on a growing dog, after half a year, and after anything that asks for measuring anew (handbook 4.8)', () => {
    expect(ask({ dog: { ...dog, born: '2026-05-01' } })).toBeNull()
    expect(ask({ on: '2027-04-05' })).toBeNull()
    expect(ask({ weighings: [{ id: 'a', kg: 20, asTyped: '', unit: 'kg', on: '2026-09-19', at: THEN, by: '' }, { id: 'b', kg: 17, asTyped: '', unit: 'kg', on: '2026-10-01', at: NOW, by: '' }] })).toBeNull() // prettier-ignore
    expect(ask({ notes: [{ kind: 'surgery', on: '2026-09-28', over: null }] })).toBeNull()
    expect(ask({ notes: [{ kind: 'lump', on: '2026-09-28', over: null }] })).not.toBeNull()
    // A pulling harness is measured for before each season.
    expect(ask({ earlier: [{ readings: before().readings.map((each) => ({ ...each, takenAt: '2026-08-20T09:00:00Z' })) }], worn: ['H11'] })).toBeNull()
  })

  it('are nothing where nobody measured, or nothing wanted was taken', () => {
    expect(ask({ earlier: [] })).toBeNull()
    expect(ask({ wanted: ['M32/front-left'] })).toBeNull()
  })
})
