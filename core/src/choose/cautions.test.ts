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
    expect(codes({ dog: dog({ born: '2026-05-05' }), families: ['H01'], activities: ['stroll'] })).toContain('note:growing-refit')
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
    expect(codes({ dog: dog({ flatFace: true }), families: ['H01'], activities: ['stroll'] })).toContain('note:flat-face-y-low')
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
    expect([car('K2'), car('K2', 'C1'), car('H01', 'K2')]).toEqual([['confirm:crate-held-fast'], ['confirm:crate-held-fast'], ['confirm:crate-held-fast']])
    expect([car('C1'), car('B3'), car()]).toEqual([[], [], []])
    expect([car('H01'), car('H01', 'C1'), car('K3')]).toEqual([['stop:not-for-car'], ['stop:not-for-car'], ['stop:not-for-car']])
    expect(car('H24', 'K2')).toEqual(['confirm:tether'])
  })

  it('T47 says of harnesses what is about harnesses', () => {
    expect(codes({ families: ['K1'] })).toEqual(['note:crate-no-punishment'])
    expect(codes({ families: ['B2', 'C1'] })).toEqual(['note:unattended'])
    expect(codes({ families: ['H01'] })).toEqual(['note:windpipe', 'note:unattended'])
  })

  it('T14 the car harness asks to take the tether off, whether the car was ticked or not, and never stops', () => {
    for (const activities of [['car'], ['stroll'], []] as const) {
      const all = cautionsFor({ dog: dog(), activities, families: ['H24'], on: '2026-10-05' })
      expect(all.filter(({ level }) => level !== 'note')).toEqual([{ code: 'tether', level: 'confirm', binds: [], facts: { family: 'H24' } }])
    }
  })

  it('T15 a running harness in front is to confirm, and binds the load once the dog is said to pull', () => {
    const front = (pulls: boolean | null, ...more: FamilyId[]) =>
      cautionsFor({ dog: dog(), activities: ['front-of-runner'], families: ['H10', ...more], on: '2026-10-05', pulls }).find(
        ({ code }) => code === 'running-in-front',
      )
    expect([front(null)?.level, front(false)?.level]).toEqual(['confirm', 'confirm'])
    expect(front(true)).toMatchObject({ level: 'stop', binds: ['load'], facts: { family: 'H10' } })
    // A half-back on the same ticket is what pulls.
    expect(front(true, 'H14')).toBeUndefined()
  })

  it('T16 a front clip wants its end date, and is not worn by a growing dog', () => {
    const clip = (born: string | null) => cautionsFor({ dog: dog({ born }), activities: ['learning-puller'], families: ['H08'], on: '2026-10-05' })[0]
    expect(clip('2022-04-01')).toMatchObject({ code: 'front-clip', level: 'confirm', binds: [], facts: { family: 'H08' } })
    expect(clip('2026-08-10')).toMatchObject({ code: 'front-clip', level: 'stop', binds: ['wear'], facts: { family: 'H08', months: 1 } })
    // Bones still grow at sixteen months; a giant's at twenty (handbook 5.6).
    expect(clip('2025-05-20')?.level).toBe('stop')
    expect(clip(null)?.level).toBe('confirm')
  })

  it('T18 heat and damp air stand wherever stops stand', () => {
    const air = (activities: CautionSubject['activities'], families: FamilyId[], airC: number | null, humidity: number | null = null) =>
      cautionsFor({ dog: dog(), activities, families, on: '2026-10-05', airC, humidity }).find(({ code }) => code === 'heat' || code === 'humid')
    expect(air(['sled-team'], ['H11'], 25)).toMatchObject({ code: 'heat', level: 'stop', binds: ['load'], facts: { airC: 25, maxC: 10 } })
    expect(air(['bike-side'], ['H10'], 30)).toMatchObject({ code: 'heat', level: 'stop', binds: ['bike'] })
    expect(air(['beside-runner'], ['H10'], 30)).toMatchObject({ code: 'heat', level: 'confirm', binds: [] })
    expect(air(['stroll'], ['H01'], 30)).toBeUndefined()
    // V18: 10 °C is the limit, not over it.
    expect(air(['sled-team'], ['H11'], 10)?.level).toBe('note')
    // 9 °C is 48.2 °F: with 81 % it makes 129.2, with 82 % 130.2 (facts 6, from memory, unverified).
    expect(air(['sled-team'], ['H11'], 9, 81)).toMatchObject({ code: 'heat', level: 'note' })
    expect(air(['sled-team'], ['H11'], 9, 82)).toMatchObject({ code: 'humid', level: 'confirm' })
  })

  it('T20 an open note of injury, stitches, surgery or whelping is the same as the switch', () => {
    const spared = (openNotes: CautionSubject['openNotes'], families: FamilyId[]) =>
      cautionsFor({ dog: dog(), activities: [], families, on: '2026-10-05', openNotes: openNotes ?? [] }).find(({ code }) => code === 'sparing')
    for (const kind of ['injury', 'stitches', 'surgery', 'pregnant'] as const) {
      expect(spared([kind], ['H11'])).toMatchObject({ level: 'stop', binds: ['load', 'measuring-stress'] })
      expect(spared([kind], ['C1'])).toMatchObject({ level: 'confirm', binds: ['measuring-stress'] })
    }
    expect(spared(['lump', 'scar', 'whelped'], ['H11'])).toBeUndefined()
  })

  it('has one entry for each piece, one in all for dog and day, and no more than three at a glance for an ordinary dog', () => {
    const all = cautionsFor({ dog: dog({ flatFace: true }), activities: ['car'], families: ['H01', 'H09', 'K3'], on: '2026-10-05' })
    expect(all.filter(({ code }) => code === 'not-for-car').map(({ facts }) => facts.family)).toEqual(['H01', 'H09', 'K3'])
    expect(new Set(all.map(cautionKey)).size).toBe(all.length)
    expect(all.map(({ level }) => level)).toEqual([...all].sort((a, b) => ['stop', 'confirm', 'note'].indexOf(a.level) - ['stop', 'confirm', 'note'].indexOf(b.level)).map(({ level }) => level)) // prettier-ignore
    for (const [activities, families] of [
      [['stroll'], ['H01']],
      [['sled-team'], ['H11']],
      [
        ['ski-front', 'car'],
        ['H14', 'H24'],
      ],
      [
        ['stroll', 'car'],
        ['H01', 'K2', 'C1', 'B1'],
      ],
    ] as const)
      // prettier-ignore
      expect(cautionsFor({ dog: dog(), activities, families, on: '2026-10-05' }).filter(({ level }) => level !== 'note').length).toBeLessThanOrEqual(3)
  })

  it('a word about a line to confirm does not answer the stop it became', () => {
    const clip = (born: string) => cautionsFor({ dog: dog({ born }), activities: [], families: ['H08'], on: '2026-10-05' })
    const word = { id: 'a', kind: 'caution', code: 'front-clip:H08', text: 'x', reason: '', at: '', by: '' } as const
    const [grown, growing] = [clip('2022-04-01'), clip('2026-06-01')]
    expect(readOf(grown[0]!, grown, [word])).toBeDefined()
    expect(readOf(growing[0]!, growing, [word])).toBeUndefined()
  })

  it('keeps gear to its work', () => {
    expect(codes({ families: ['H01'], activities: ['sled-team'] })).toContain('stop:not-for-draught')
    expect(codes({ families: ['H01', 'H11'], activities: ['stroll', 'sled-team'] })).not.toContain('stop:not-for-draught')
    expect(codes({ families: ['H01', 'H11'], activities: ['cart'] })).toContain('stop:not-for-draught')
    expect(codes({ families: ['H01'], activities: ['car'] })).toContain('stop:not-for-car')
    expect(codes({ families: ['H11'], activities: ['sled-team'] })).toEqual(expect.arrayContaining(['note:heat', 'note:first-outings', 'note:windpipe']))
    expect(codes({ dog: dog({ sparing: true }), families: ['H11'] })).toContain('stop:sparing')
    expect(codes({ dog: dog({ born: null }), families: ['H11'] })).toContain('confirm:age-unknown')
    expect(codes({ dog: null, families: ['H01'] })).toEqual(['note:windpipe', 'note:unattended'])
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
