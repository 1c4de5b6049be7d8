import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rankWays, type WayOption } from './index.ts'

type Question = Parameters<typeof rankWays>[0]

const option = (over: Partial<WayOption> = {}): WayOption => ({ way: 'stock', grade: 'holds', misses: 0, orderBy: null, peak: false, onShelf: null, price: null, ...over }) // prettier-ignore
const ask = (options: readonly WayOption[], over: Partial<Question> = {}): Question => ({
  options, today: '2026-10-05', neededOn: null, growing: false, beginner: false, oddBody: false, budget: null, views: {}, forCar: false, isCrate: false, ...over,
}) // prettier-ignore
const order = (question: Question) => rankWays(question).map(({ way, verdict }) => [way, verdict])

const ways = ['stock', 'quick-ship', 'made', 'second-hand'] as const
const someOptions = fc
  .tuple(
    ...ways.map((way) =>
      fc
        .record({
          grade: fc.constantFrom('holds', 'doubt', 'fails', 'none'),
          misses: fc.integer({ min: 0, max: 3 }),
          orderBy: fc.constantFrom(null, '2026-09-01', '2026-11-01'),
          peak: fc.boolean(),
          onShelf: fc.constantFrom(null, 0, 4),
          price: fc.constantFrom(null, 20, 60),
        })
        .map((rest) => ({ ...rest, way })),
    ),
  ) // prettier-ignore
  .map((list) => list as WayOption[])
const someQuestion = fc
  .record({
    options: someOptions,
    neededOn: fc.constantFrom(null, '2026-12-01'),
    growing: fc.boolean(),
    beginner: fc.boolean(),
    oddBody: fc.boolean(),
    budget: fc.constantFrom(null, 40),
    forCar: fc.boolean(),
    isCrate: fc.boolean(),
  }) // prettier-ignore
  .map(({ options, ...rest }) => ask(options, rest))

describe('ways to get it', () => {
  it('has one first at most, and never puts first what cannot be', () => {
    fc.assert(
      fc.property(someQuestion, (question) => {
        const ranked = rankWays(question)
        expect(ranked.filter((each) => each.verdict === 'first')).toHaveLength(ranked[0]?.verdict === 'not-now' ? 0 : 1)
        const barred = ranked.map((each) => each.verdict === 'not-now')
        expect(barred).toEqual([...barred].sort())
        for (const each of ranked) {
          const late = question.neededOn !== null && each.orderBy !== null && each.orderBy < question.today
          if (each.grade === 'fails' || late) expect(each.verdict).toBe('not-now')
        }
      }),
    )
  })

  it('does not depend on the order it is asked in, but for what is equal', () => {
    fc.assert(
      fc.property(someQuestion, (question) => {
        const verdicts = (each: Question) => Object.fromEntries(rankWays(each).map(({ way, reasons }) => [way, reasons]))
        expect(verdicts({ ...question, options: [...question.options].reverse() })).toEqual(verdicts(question))
      }),
    )
  })

  it('gives every way a reason once something speaks, and never the same one twice', () => {
    fc.assert(
      fc.property(someQuestion, (question) => {
        for (const each of rankWays(question)) expect(new Set(each.reasons.map(({ code }) => code)).size).toBe(each.reasons.length)
      }),
    )
  })

  it('a growing dog waits with made to measure, an odd body goes to it', () => {
    const both = [option({ grade: 'doubt' }), option({ way: 'made' })]
    expect(order(ask(both, { growing: true }))[0]).toEqual(['stock', 'first'])
    expect(order(ask(both, { oddBody: true }))[0]).toEqual(['made', 'first'])
  })

  it('an empty shelf sends to the next way, and a late one is not now', () => {
    const both = [option({ onShelf: 0 }), option({ way: 'quick-ship', orderBy: '2026-11-01' })]
    expect(order(ask(both, { neededOn: '2026-12-01' }))).toEqual([
      ['quick-ship', 'first'],
      ['stock', 'works'],
    ])
    const late = [option({ onShelf: 0 }), option({ way: 'quick-ship', orderBy: '2026-10-01' })]
    expect(order(ask(late, { neededOn: '2026-12-01' }))).toEqual([
      ['stock', 'first'],
      ['quick-ship', 'not-now'],
    ])
  })

  it('the shop’s side moves the two schools (D11), and no side saves what cannot be', () => {
    const both = [option({ grade: 'doubt' }), option({ way: 'made', grade: 'doubt' })]
    expect(order(ask(both, { views: { D11: 'A' } }))[0]?.[0]).toBe('stock')
    expect(order(ask(both, { views: { D11: 'B' } }))[0]?.[0]).toBe('made')
    expect(order(ask([option(), option({ way: 'made', grade: 'fails' })], { views: { D11: 'B' } }))[1]).toEqual(['made', 'not-now'])
  })
})
