import { describe, expect, it } from 'vitest'
import { measureAgain, type MeasuredRecord } from './index.ts'

const record = (over: Partial<MeasuredRecord> = {}): MeasuredRecord => ({
  born: '2022-03-01',
  ageMonths: null,
  ageSaidOn: null,
  measuredOn: '2026-10-01',
  weightThenKg: 24,
  weightNowKg: 24,
  notes: [],
  symptoms: [],
  worn: ['H11'],
  measuredFor: { activities: ['sled-team'], schools: ['A'], makers: ['One'] },
  askedSince: { activities: [], schools: [], makers: [] },
  ...over,
})
const codes = (over: Partial<MeasuredRecord>, on = '2026-11-01') => measureAgain(record(over), on).map((reason) => `${reason.code} ${reason.urgency}`)

describe('when to measure again (handbook 4.8)', () => {
  it('lets a grown dog of this season’s tapes be', () => {
    expect(codes({})).toEqual([])
    expect(codes({ measuredOn: null })).toEqual([])
  })

  it('asks for a growing dog every four weeks, then monthly (from memory, unverified)', () => {
    expect(codes({ born: '2026-07-01' })).toEqual(['growing now'])
    expect(codes({ born: '2026-07-01', measuredOn: '2026-10-20' })).toEqual([])
    expect(codes({ born: '2026-01-01' })).toEqual(['growing soon'])
    expect(codes({ born: null, ageMonths: 3, ageSaidOn: '2026-10-01' })).toEqual(['growing now'])
  })

  it('asks at 5 % of weight for pulling gear and 10 % for coats (from memory, unverified)', () => {
    expect(codes({ weightNowKg: 25.2 })).toEqual(['weight now'])
    expect(codes({ weightNowKg: 25.1 })).toEqual([])
    expect(codes({ weightNowKg: 25.2, worn: ['C1'] })).toEqual([])
    expect(codes({ weightNowKg: 21.6, worn: ['C1'] })).toEqual(['weight now'])
  })

  it('asks before the season, after events and on signs at the dog', () => {
    expect(codes({ measuredOn: '2026-06-10' })).toEqual(['season soon'])
    expect(codes({ measuredOn: '2026-06-10', worn: ['C1'] })).toEqual([])
    expect(codes({ notes: [{ kind: 'whelped', on: '2026-10-10', over: null }] })).toEqual(['whelped soon'])
    expect(codes({ notes: [{ kind: 'chafe', on: '2026-10-10', over: null }] })).toEqual(['chafe now'])
    expect(codes({ notes: [{ kind: 'chafe', on: '2026-09-10', over: null }] })).toEqual([])
    expect(codes({ symptoms: ['S06', 'S23'] })).toEqual(['tug-past-tail now', 'cough now'])
  })

  it('asks for a new sport, school or maker', () => {
    expect(codes({ askedSince: { activities: ['bike-front'], schools: ['B'], makers: ['Two'] } })).toEqual([
      'new-sport soon',
      'new-school soon',
      'new-maker soon',
    ])
    expect(codes({ askedSince: { activities: ['sled-team'], schools: ['A'], makers: ['One'] } })).toEqual([])
  })

  it('leaves a dog with stitches or in whelp in peace', () => {
    const stitched = { notes: [{ kind: 'stitches' as const, on: '2026-10-20', over: null }], weightNowKg: 27 }
    expect(codes(stitched)).toEqual([])
    expect(codes({ ...stitched, notes: [{ kind: 'stitches', on: '2026-10-02', over: '2026-10-12' }] })).toEqual(['weight now'])
  })
})
