import { describe, expect, it } from 'vitest'
import type { FamilyId } from '../model/index.ts'
import { ageInMonths } from '../reference/index.ts'
import { cautionKey, cautionsFor, readOf, type CautionSubject } from './index.ts'

const dog = (over: Partial<NonNullable<CautionSubject['dog']>> = {}): NonNullable<CautionSubject['dog']> => ({
  born: '2022-04-01',
  ageMonths: null,
  ageSaidOn: null,
  flatFace: null,
  breed: '',
  crossWith: '',
  sparing: false,
  weightKg: 20,
  ...over,
})
const codes = (subject: Partial<CautionSubject>) =>
  cautionsFor({ dog: dog(), activities: [], families: [], on: '2026-10-05', ...subject }).map((caution) => `${caution.level}:${caution.code}`)

describe('cautionsFor', () => {
  it('says nothing about a grown dog without work or gear', () => {
    expect(codes({})).toEqual([])
  })

  it('stops load and bike for a growing dog, never the tape', () => {
    const young = cautionsFor({ dog: dog({ born: '2026-05-05' }), activities: ['sled-team', 'bike-front'], families: ['H11'], on: '2026-10-05' })
    expect(young[0]).toMatchObject({ code: 'growing-no-load', level: 'stop', binds: ['load', 'bike'], facts: { months: 5, fromMonths: 18 } })
    expect(codes({ dog: dog({ born: '2025-08-05' }), families: ['H11'] })[0]).toBe('stop:growing-light-only')
    expect(codes({ dog: dog({ born: '2026-05-05' }), families: ['H01'], activities: ['stroll'] })).toContain('caution:growing-refit')
    expect(codes({ dog: dog({ born: '2026-05-05' }), families: ['H01'], activities: ['stroll'] }).some((code) => code.startsWith('stop'))).toBe(false)
  })

  it('gives giants longer', () => {
    const twenty = { born: '2025-02-05' }
    expect(codes({ dog: dog(twenty), families: ['H11'] }).some((code) => code.includes('growing'))).toBe(false)
    expect(codes({ dog: dog({ ...twenty, breed: 'Newfoundland' }), families: ['H11'] })).toContain('stop:growing-light-only')
    expect(codes({ dog: dog({ ...twenty, weightKg: 52 }), families: ['H11'] })).toContain('stop:growing-light-only')
  })

  it('keeps flat faces from draught, by word or by breed, and lets the word win', () => {
    expect(codes({ dog: dog({ breed: 'Pug' }), families: ['H11'] })).toContain('stop:flat-face-no-draught')
    expect(codes({ dog: dog({ breed: 'Pug', flatFace: false }), families: ['H11'] }).some((code) => code.includes('flat'))).toBe(false)
    expect(codes({ dog: dog({ flatFace: true }), families: ['H01'], activities: ['stroll'] })).toContain('caution:flat-face-y-low')
  })

  it('C02: a second wrong harness has a stop of its own, and overruling one leaves the other', () => {
    const all = cautionsFor({ dog: dog(), activities: ['sled-team'], families: ['H01', 'H10'], on: '2026-10-05' })
    const stops = all.filter((each) => each.code === 'not-for-draught')
    expect(stops.map((each) => each.facts.family)).toEqual(['H01', 'H10'])
    const [first, second] = stops
    if (!first || !second) throw new Error('two stops')
    const word = (code: string) => ({ id: 'a', kind: 'stop', code, text: 'x', reason: 'short pull', at: '', by: '' }) as const
    expect(readOf(first, all, [word(cautionKey(first))])).toBeDefined()
    expect(readOf(second, all, [word(cautionKey(first))])).toBeUndefined()
    expect(readOf(second, all, [word(cautionKey(second))])).toBeDefined()
    // A word of before, under the bare code, was about the one stop there was.
    expect(readOf(first, all, [word('not-for-draught')])).toBeDefined()
    expect(readOf(second, all, [word('not-for-draught')])).toBeUndefined()
    // A word taken back no longer counts.
    expect(readOf(first, all, [{ ...word(cautionKey(first)), struck: { why: '', at: '', by: '' } }])).toBeUndefined()
  })

  it('T13 judges in the car what restrains: no coat, no boot, and a travel crate only by how it is held', () => {
    const car = (...wanted: FamilyId[]) => codes({ families: wanted, activities: ['car'] }).filter((code) => /car|tether|held/.test(code))
    expect([car('K2'), car('K2', 'C1'), car('H01', 'K2')]).toEqual([['caution:crate-held-fast'], ['caution:crate-held-fast'], ['caution:crate-held-fast']])
    expect([car('C1'), car('B3'), car()]).toEqual([[], [], []])
    expect([car('H01'), car('H01', 'C1'), car('K3')]).toEqual([['stop:not-for-car'], ['stop:not-for-car'], ['stop:not-for-car']])
    expect(car('H24', 'K2')).toEqual(['stop:tether'])
  })

  it('T47 says of harnesses what is about harnesses', () => {
    expect(codes({ families: ['K1'] })).toEqual([])
    expect(codes({ families: ['B2', 'C1'] })).toEqual(['caution:unattended'])
    expect(codes({ families: ['H01'] })).toEqual(['caution:windpipe', 'caution:unattended'])
  })

  it('keeps gear to its work', () => {
    expect(codes({ families: ['H01'], activities: ['sled-team'] })).toContain('stop:not-for-draught')
    expect(codes({ families: ['H01', 'H11'], activities: ['stroll', 'sled-team'] })).not.toContain('stop:not-for-draught')
    expect(codes({ families: ['H01', 'H11'], activities: ['cart'] })).toContain('stop:not-for-draught')
    expect(codes({ families: ['H01'], activities: ['car'] })).toContain('stop:not-for-car')
    expect(codes({ families: ['H11'], activities: ['sled-team'] })).toEqual(
      expect.arrayContaining(['caution:heat', 'caution:first-outings', 'caution:windpipe']),
    )
    expect(codes({ dog: dog({ sparing: true }), families: ['H11'] })).toContain('stop:sparing')
    expect(codes({ dog: dog({ born: null }), families: ['H11'] })).toContain('caution:age-unknown')
    expect(codes({ dog: null, families: ['H01'] })).toEqual(['caution:windpipe', 'caution:unattended'])
  })
})

describe('ageInMonths', () => {
  it('counts from the birth date, else from an age once said', () => {
    expect(ageInMonths(dog({ born: '2026-05-06' }), '2026-10-05')).toBe(4)
    expect(ageInMonths(dog({ born: null, ageMonths: 7, ageSaidOn: '2026-08-01' }), '2026-10-05')).toBe(9)
    expect(ageInMonths(dog({ born: null }), '2026-10-05')).toBeNull()
    expect(ageInMonths(dog({ born: '2027-01-01' }), '2026-10-05')).toBeNull()
  })
})
