import { describe, expect, it } from 'vitest'
import {
  agree,
  checkById,
  checkByMaker,
  checksFor,
  formatLength,
  judgeAnswer,
  orderBy,
  parseLength,
  plausible,
  rankSizes,
  strapSlackMm,
  tapesFor,
  type SizeTable,
} from '../src/index.ts'

/** Check values of the trade handbook, chapter 14, by their IDs. V rows: common practice. W rows: from memory, unverified. */
const inch = (value: number): number => value * 25.4
const taken = (values: Record<string, number>) => Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, { mm, sigmaMm: 3 }]))

describe('values stated by practitioners (common practice)', () => {
  it('V01: one-sided neck 14 in makes a harness neck of 28 in', () => {
    const read = parseLength('14 in', 'cm')
    expect(read.ok && formatLength(agree('M01', [{ mm: read.mm, side: 'one' }]).mm ?? 0, { unit: 'in', step: 0.125 }).text).toBe('28 in')
  })

  it('V02: half neck and sternum may be the same number; the question only asks', () => {
    const [finding, ...rest] = plausible(taken({ M01: inch(28), M06: inch(14) }))
    expect(finding).toMatchObject({ rule: 'same-value', byMm: 0 })
    expect(rest).toEqual([])
  })

  it('V03: the largest of several girths counts, and the dog passes the neck-to-girth window', () => {
    expect(
      agree(
        'M07',
        [inch(31.5), inch(32), inch(31.75)].map((mm) => ({ mm, side: 'both' as const })),
      ).mm,
    ).toBeCloseTo(inch(32), 6)
    expect(plausible(taken({ M01: inch(28), M07: inch(32) }))).toEqual([])
  })

  it('V04: sternum 14 in lies below the under-route 17 in', () => {
    expect(plausible(taken({ M06: inch(14.01), M10: inch(17) }))).toEqual([])
    expect(plausible(taken({ M06: inch(17.5), M10: inch(17) }))[0]?.rule).toBe('route-order')
  })

  it('V05: 17 and 10 in parts allow an overall length of up to 27 in', () => {
    expect(plausible(taken({ M10: inch(17), M12: inch(10), M13: inch(27) }))).toEqual([])
    expect(plausible(taken({ M10: inch(17), M12: inch(10), M13: inch(25.5) }))).toEqual([])
  })

  it('V06: a walking Y and a school-A cross-back want five tapes, not six', () => {
    const tapes = tapesFor([
      { family: 'H01', way: 'made' },
      { family: 'H11', way: 'made', school: 'A' },
    ])
    expect(tapes.map((tape) => tape.measure).sort()).toEqual(['M01', 'M06', 'M07', 'M10', 'M12'])
    expect(tapes.find((tape) => tape.measure === 'M01')?.items).toHaveLength(2)
  })

  it('V07, T49: a fitted walking Y takes one to two fingers where its maker says so; elsewhere one is a doubt, none a failure', () => {
    const check = checkById('under-every-strap')
    if (!check) throw new Error('a check')
    const said = (text: string, fingers?: [number, number]) => {
      const answer = judgeAnswer(checkByMaker(check, fingers ? { fingers } : undefined), text, 'in')
      return answer.ok ? answer.grade : answer.problem
    }
    expect([said('0'), said('1'), said('2'), said('4')]).toEqual(['fails', 'doubt', 'holds', 'fails'])
    expect([said('1', [1, 2]), said('2', [1, 2]), said('0', [1, 2])]).toEqual(['holds', 'holds', 'fails'])
  })

  it('V14: a full-ring neck of 19 in picks a stock size by neck alone, without doubling', () => {
    const table: Pick<SizeTable, 'family' | 'between' | 'sizes'> = {
      family: 'H11',
      between: null,
      sizes: [
        { label: 'smaller', bands: { M01: [inch(16), inch(17.75)] } },
        { label: 'right', bands: { M01: [inch(18.25), inch(19.75)] } },
        { label: 'larger', bands: { M01: [inch(20.25), inch(21.75)] } },
      ],
    }
    const body = { M01: agree('M01', [{ mm: inch(19), side: 'both' }]) }
    expect(body.M01.mm).toBeCloseTo(inch(19), 9)
    expect(rankSizes(table, body)[0]).toMatchObject({ label: 'right', grade: 'holds' })
  })

  it('V23: a collar neck of 34 cm entered as harness neck beside a girth of 50 cm trips the window', () => {
    const [finding] = plausible(taken({ M01: 340, M07: 500 }))
    expect(finding).toMatchObject({ rule: 'half-neck-to-girth', because: { found: 0.34, limit: 0.35 } })
    expect(finding?.ask).toContain('collar-line')
  })
})

describe('rules as they are shown (common practice)', () => {
  it('V27: the girth strap 2 to 3 fingers from the elbow, every strap 2 fingers', () => {
    const of = Object.fromEntries(checksFor('H01').map((check) => [check.id, check]))
    expect(of['girth-strap-behind-elbow']).toMatchObject({ pass: '2 to 3 fingers wide.', gauge: { passFingers: [2, 3] } })
    expect(of['under-every-strap']).toMatchObject({ gauge: { passFingers: [2, 2] } })
    expect(of['under-every-strap']?.pass).toMatch(/^2 fingers/)
  })
})

describe('computed values (from memory, unverified)', () => {
  it('W02: two flat fingers of 40 by 16 mm at 75 cm of girth take 1.7 cm of strap', () => {
    expect(strapSlackMm(750, { widthMm: 40, thicknessMm: 16 }) / 10).toBeCloseTo(1.7, 1)
  })

  it('W08: 29 in, 34 cm and 50 cm said the other way', () => {
    const said = (typed: string, other: 'in' | 'cm'): number => {
      const read = parseLength(typed, 'cm')
      return read.ok ? Math.round((read.mm / (other === 'in' ? 25.4 : 10)) * 10) / 10 : NaN
    }
    expect([said('29 in', 'cm'), said('34 cm', 'in'), said('50 cm', 'in')]).toEqual([73.7, 13.4, 19.7])
    expect(formatLength(inch(29), { unit: 'cm', step: 0.1 }).text).toBe('73.7 cm')
  })

  it('W03: a half neck of 14 in with an error of 1/4 in is 28 in with 1/2 in', () => {
    const half = agree('M06', [{ mm: inch(14), side: 'both' }])
    const full = agree('M01', [{ mm: inch(14), side: 'one' }])
    expect(full.mm).toBeCloseTo(inch(28), 9)
    expect((full.sigmaMm ?? 0) / (half.sigmaMm ?? 1)).toBeCloseTo(2, 9)
  })

  it('W04 and W05: first use on 1 December', () => {
    expect(orderBy('2026-12-01', { minWeeks: 6, maxWeeks: 10 }, { marginWeeks: 0 })).toBe('2026-09-22')
    expect(orderBy('2026-12-01', { minWeeks: 4, maxWeeks: 6 }, { marginWeeks: 0 })).toBe('2026-10-20')
  })

  it('W09: an overall length of 29 in is 2 in longer than its parts', () => {
    const finding = plausible(taken({ M10: inch(17), M12: inch(10), M13: inch(29) })).find((each) => each.rule === 'length-parts')
    expect(finding?.byMm).toBeCloseTo(inch(2), 6)
  })

  it('W10: a neck of 56 in beside a girth of 32 in was doubled twice', () => {
    expect(plausible(taken({ M01: inch(56), M07: inch(32) }))[0]).toMatchObject({ rule: 'neck-under-girth', ask: expect.arrayContaining(['doubled-twice']) })
    expect(plausible(taken({ M01: inch(56), M07: inch(32) }))[0]?.ask[0]).toBe('doubled-twice')
  })
})
