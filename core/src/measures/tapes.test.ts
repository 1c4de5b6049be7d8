import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tapesFor } from '../gear/index.ts'
import { FAMILY_IDS, PLAIN_CIRCUMSTANCES, USUAL_SHOP, type Place, type Reading, type MeasureId } from '../model/index.ts'
import {
  agree,
  bodyOf,
  byStations,
  countingRule,
  derivedOverall,
  estimateMinutes,
  measureIds,
  measures,
  nextTape,
  readingsByTape,
  refusals,
  tapeKey,
} from './index.ts'

let n = 0
const reading = (measure: MeasureId, mm: number, over: Partial<Reading> = {}): Reading => ({
  ...PLAIN_CIRCUMSTANCES,
  id: `00000000-0000-7000-8000-${String((n += 1)).padStart(12, '0')}`,
  measure,
  mm,
  side: 'both',
  asTyped: String(mm),
  unit: 'mm',
  takenAt: `2026-10-05T09:00:${String(n % 60).padStart(2, '0')}Z`,
  by: 'Test',
  ...over,
})
const at = (place: Place) => ({ place })
const three = { ...USUAL_SHOP, repeat: 'three' as const }

describe('tapesFor', () => {
  it('knows the tapes of every family, all of them takeable and in the tape’s round', () => {
    for (const family of FAMILY_IDS) {
      const tapes = tapesFor([{ family, way: 'undecided' }])
      expect([family, tapes.length > 0]).toEqual([family, true])
      expect(tapes.every((tape) => measures[tape.measure])).toBe(true)
      const stations = tapes.map((tape) => measures[tape.measure]?.station ?? 0)
      expect(stations).toEqual([...stations].sort((a, b) => a - b))
    }
  })

  it('gives each paw its own tape, one paw after the other', () => {
    const boots = tapesFor([{ family: 'B1', way: 'stock' }])
    expect(boots.map((tape) => tape.place).filter((place, i, all) => place !== all[i - 1])).toEqual(['front-left', 'front-right', 'rear-left', 'rear-right'])
    expect(boots.filter((tape) => tape.place === 'front-left').map((tape) => tape.measure)).toEqual(['M32', 'M33', 'M36', 'M37'])
    expect(boots.filter((tape) => tape.place === 'rear-right').map((tape) => tape.measure)).toEqual(['M34', 'M35', 'M36', 'M37'])
  })

  it('makes the whole body sheet of every measure that is of the body', () => {
    const all = new Set(tapesFor([], true).map((tape) => tape.measure))
    expect(measureIds.filter((id) => !all.has(id))).toEqual(['M47', 'M48', 'M49'])
    expect(tapesFor([{ family: 'H01', way: 'stock' }], true).find((tape) => tape.measure === 'M01')?.need).toBe('must')
  })

  it('lets the dog decide the order of the stations', () => {
    const rows = tapesFor([{ family: 'C3', way: 'made' }]).map((tape) => ({ tape }))
    const stations = (first: (1 | 2 | 3 | 4 | 5)[]) => [...new Set(byStations(rows, first).map(({ tape }) => measures[tape.measure]?.station))]
    expect(stations([])).toEqual([1, 2, 3, 4, 5])
    expect(stations([4, 2])).toEqual([4, 2, 1, 3, 5])
    expect(byStations(rows, [5])).toHaveLength(rows.length)
  })

  it('estimates 3 to 5 minutes for one item and 10 to 15 for a whole sheet read once (handbook 4.6, from memory, unverified)', () => {
    expect(estimateMinutes(tapesFor([{ family: 'H01', way: 'stock' }]))).toBeGreaterThanOrEqual(3)
    expect(estimateMinutes(tapesFor([{ family: 'H01', way: 'stock' }]))).toBeLessThanOrEqual(5)
    expect(estimateMinutes(tapesFor([], true), 1)).toBeGreaterThanOrEqual(10)
    expect(estimateMinutes(tapesFor([], true), 1)).toBeLessThanOrEqual(15)
    expect(estimateMinutes([])).toBe(0)
  })
})

describe('the shop’s repeat rule', () => {
  it('takes the mean of three where the shop takes three', () => {
    const two = [reading('M06', 300), reading('M06', 302)]
    expect(agree('M06', two).state).toBe('agrees')
    expect(agree('M06', two, three).state).toBe('third-wanted')
    expect(agree('M06', [...two, reading('M06', 308)], three)).toMatchObject({ state: 'agrees', n: 3 })
    expect(agree('M06', [...two, reading('M06', 308)], three).mm).toBeCloseTo(303.333, 2)
    expect(agree('M06', [...two, reading('M06', 308)]).mm).toBe(302)
  })

  it('keeps the largest ring and the shorter length only where the shop says so', () => {
    const plain = { ...USUAL_SHOP, largestCounts: false, shorterOnDoubt: false }
    expect([countingRule('M07'), countingRule('M07', plain), countingRule('M13'), countingRule('M13', plain), countingRule('M06', three)]).toEqual([
      'largest',
      'middle',
      'shortest',
      'middle',
      'mean',
    ])
  })

  it('widens what a string, a loop, a garment or a doubtful stance reads', () => {
    const sigma = (over: Partial<Reading>) => agree('M07', [reading('M07', 700, over)]).sigmaMm ?? 0
    expect(sigma({ method: 'digital' })).toBeLessThan(sigma({}))
    expect(sigma({ method: 'string' })).toBeGreaterThan(sigma({}))
    expect(sigma({ method: 'garment' })).toBeGreaterThan(sigma({ method: 'string' }))
    expect(sigma({ postureDoubt: 'Leaned' })).toBeGreaterThan(sigma({}))
  })

  it('weighs by share alone', () => {
    expect(agree('M00', [reading('M00', 24), reading('M00', 24.3)]).state).toBe('agrees')
    expect(agree('M00', [reading('M00', 24), reading('M00', 26)]).state).toBe('third-wanted')
  })
})

describe('bodyOf', () => {
  it('keeps paws apart and lets the largest of a pair count', () => {
    const body = bodyOf([
      reading('M32', 60, at('front-left')),
      reading('M32', 61, at('front-left')),
      reading('M32', 64, at('front-right')),
      reading('M34', 55, at('rear-left')),
    ])
    expect(body['M32/front-left']).toMatchObject({ mm: 60.5, n: 2, state: 'agrees' })
    expect(body['M32/front-right']).toMatchObject({ mm: 64, state: 'once' })
    expect(body.M32).toMatchObject({ mm: 64, n: 3, state: 'once' })
    expect(body.M34?.mm).toBe(55)
  })

  it('never joins what only shares an ID', () => {
    const body = bodyOf([reading('M49', 15, at('index')), reading('M49', 80, at('four'))])
    expect(body.M49).toBeUndefined()
    expect(body['M49/index']?.mm).toBe(15)
  })

  it('takes the mean of a left and a right side, and unnamed readings with both', () => {
    const sides = bodyOf([reading('M11', 280, at('left')), reading('M11', 284, at('right'))])
    expect(sides.M11?.mm).toBe(282)
    expect(sides['M11/left']?.mm).toBe(280)
    expect(bodyOf([reading('M11', 280, at('left')), reading('M11', 290)]).M11?.mm).toBe(285)
  })

  it('gives a struck reading no say, whatever the order', () => {
    const struck = { struck: { why: 'slipped', at: '2026-10-05T10:00:00Z', by: '' } }
    fc.assert(
      fc.property(fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4 }), (order) => {
        const list = [reading('M06', 300), reading('M06', 304), reading('M06', 200, struck), reading('M07', 700)]
        const body = bodyOf(order.map((i) => list[i]!))
        expect([body.M06?.mm, body.M06?.n, body.M07?.mm]).toEqual([302, 2, 700])
      }),
    )
    expect(Object.keys(readingsByTape([reading('M32', 60, at('front-left')), reading('M11', 280, at('left'))])).sort()).toEqual(['M11', 'M32/front-left'])
  })
})

describe('identities', () => {
  it('adds under-route and rib to tail only through one chalk mark, and shows it as derived', () => {
    const marked = [reading('M10', 430, { chalkMark: true }), reading('M12', 250, { chalkMark: true })]
    expect(derivedOverall(bodyOf(marked), marked)).toMatchObject({ measure: 'M13', mm: 680, from: ['M10', 'M12'] })
    const one = [reading('M10', 430, { chalkMark: true }), reading('M12', 250)]
    expect(derivedOverall(bodyOf(one), one)).toBeNull()
    expect(bodyOf(marked).M13).toBeUndefined()
  })

  it('refuses every other conversion and says what to take', () => {
    expect(refusals('M11')).toMatchObject([{ from: 'M10', take: 'M11' }])
    expect(refusals('M01').map((refusal) => refusal.from)).toEqual(['M02'])
    const converted = Object.values(measures).flatMap((measure) =>
      measure.alternates.filter((alternate) => alternate.converts === 'identity').map(() => measure.id),
    )
    expect([...new Set(converted)].sort()).toEqual(['M01', 'M13', 'M18'])
  })
})

describe('nextTape', () => {
  const tapes = (...counts: number[]) => counts.map((count, i) => ({ key: 'abcd'[i] ?? '', n: count }))

  it('stays for the second reading, then goes on to a tape that lacks one', () => {
    expect(nextTape(tapes(1, 0, 0), 'a', 'together', 2)).toEqual({ key: 'a', rest: false })
    expect(nextTape(tapes(2, 2, 0), 'a', 'together', 2)).toEqual({ key: 'c', rest: false })
    expect(nextTape(tapes(2, 2, 2), 'b', 'together', 2)).toEqual({ key: null, rest: false })
  })

  it('runs the second round backwards after a rest', () => {
    expect(nextTape(tapes(1, 0, 0), 'a', 'apart', 2)).toEqual({ key: 'b', rest: false })
    expect(nextTape(tapes(1, 1, 1), 'c', 'apart', 2)).toEqual({ key: 'c', rest: true })
    expect(nextTape(tapes(1, 1, 2), 'c', 'apart', 2)).toEqual({ key: 'b', rest: false })
    expect(nextTape(tapes(2, 2, 2), 'a', 'apart', 2)).toEqual({ key: null, rest: false })
  })

  it('takes every tape as often as wanted, by either way', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 3 }),
        fc.constantFrom('together' as const, 'apart' as const),
        (count, wanted, rounds) => {
          const state = tapes(...Array.from({ length: count }, () => 0))
          let key: string | null = 'a'
          for (let i = 0; key !== null && i < 40; i++) {
            state.find((tape) => tape.key === key)!.n += 1
            key = nextTape(state, key, rounds, wanted).key
          }
          expect(state.every((tape) => tape.n === wanted)).toBe(true)
        },
      ),
    )
  })
})

it('names a tape by measure and place', () => {
  expect([tapeKey('M07', null), tapeKey('M32', 'front-left')]).toEqual(['M07', 'M32/front-left'])
})
