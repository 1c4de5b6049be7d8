import { agree, measures, parseLength, parseWeight, pawSizes, rankSizes } from '@merry-tailor/core'
import { SizeTable } from '@merry-tailor/core/schemas'
import { describe, expect, it } from 'vitest'
import { dogs, owners, tickets } from './scenario.ts'
import { sizeTables } from './size-tables.ts'

/** Check values of the handbook's chapter 14 and of the look's drawings: never demo data. */
const NOT_OURS = [
  4, 5.5, 7, 7.5, 8, 8.5, 10, 13, 13.5, 14, 15, 17, 17.5, 19, 20, 22, 23, 27, 28, 29, 32, 34, 35, 36, 50, 56, 10.5, 11.625, 11.75, 12.125, 15.25, 23.25, 23.375,
  24.5, 27.3, 28.25, 28.375, 29.125, 29.375,
]
const readings = tickets.flatMap((ticket) =>
  ticket.readings.filter((reading) => reading.measure !== 'M00').map((reading) => ({ ...reading, unit: ticket.unit })),
)
const weighings = tickets.flatMap((ticket) => ticket.readings.filter((reading) => reading.measure === 'M00').map((reading) => parseWeight(reading.typed)))

describe('the demo scenario', () => {
  it('has the people, dogs and tickets a shop of this size has', () => {
    expect(dogs.length).toBeGreaterThanOrEqual(12)
    expect(owners).toHaveLength(9)
    expect(dogs.every((dog) => owners.some((owner) => owner.key === dog.owner))).toBe(true)
    expect(tickets.every((ticket) => ticket.dog === null || dogs.some((dog) => dog.key === ticket.dog))).toBe(true)
    expect(new Set(dogs.map((dog) => dog.sex)).size).toBe(2)
  })

  it('types every length so that it can be read, of a measure that may be taken so', () => {
    for (const reading of readings) {
      expect([reading.typed, parseLength(reading.typed, reading.unit).ok]).toEqual([reading.typed, true])
      expect(measures[reading.measure]).toBeDefined()
      if (reading.one) expect(measures[reading.measure]?.doubling).toBe(true)
    }
  })

  it('uses none of the handbook’s numbers', () => {
    const numbers = readings.map((reading) => {
      const read = parseLength(reading.typed, reading.unit)
      return read.ok ? read.mm / (read.unit === 'in' ? 25.4 : 10) : Number.NaN
    })
    expect(weighings.every((read) => read.ok)).toBe(true)
    const weights = [...dogs.map((dog) => dog.weightKg ?? 0), ...weighings.map((read) => (read.ok ? read.kg : 0))]
    expect([...numbers, ...weights].filter((value) => NOT_OURS.some((taken) => Math.abs(taken - value) < 1e-6))).toEqual([])
  })

  it('ships three makers a family, inches and centimetres, stock and made, both schools', () => {
    for (const family of ['H01', 'H11'] as const) {
      const of = sizeTables.filter((table) => table.family === family)
      expect(new Set(of.map((table) => table.maker)).size).toBeGreaterThanOrEqual(3)
      expect(new Set(of.map((table) => table.unit))).toEqual(new Set(['in', 'cm']))
      expect(of.map((table) => table.way)).toEqual(expect.arrayContaining(['stock', 'quick-ship', 'made']))
    }
    expect(sizeTables.flatMap((table) => table.school ?? []).sort()).toEqual(['A', 'B'])
    for (const table of sizeTables) expect(SizeTable.safeParse(table).success).toBe(true)
  })

  it('has a dog with two years of tapes, numbers under other people’s letters, and four paws', () => {
    const days = tickets.filter((ticket) => ticket.dog === 'spinnaker').map((ticket) => ticket.daysAgo)
    expect(Math.max(...days) - Math.min(...days)).toBeGreaterThanOrEqual(725)
    expect(days.length).toBeGreaterThanOrEqual(8)
    expect(tickets.flatMap((ticket) => ticket.asWritten ?? []).length).toBeGreaterThanOrEqual(3)
    expect(new Set(readings.flatMap((reading) => reading.with?.place ?? [])).size).toBeGreaterThanOrEqual(3)
  })

  it('tells of boots in two sizes, the hind pair smaller', () => {
    const table = sizeTables.find((each) => each.family === 'B2')!
    const story = tickets.find((ticket) => ticket.items.some((item) => item.family === 'B2'))!
    const body = Object.fromEntries(
      story.readings.flatMap((reading) => {
        const read = parseLength(reading.typed, story.unit)
        return read.ok ? [[`${reading.measure}/${reading.with?.place ?? ''}`, { mm: read.mm, sigmaMm: 0.5 }]] : []
      }),
    )
    expect(pawSizes(table, body).map(({ size }) => [size?.label, size?.grade])).toEqual([
      ['Mussel', 'holds'],
      ['Mussel', 'holds'],
      ['Whelk', 'holds'],
      [undefined, undefined],
    ])
  })

  it('tells its cases: a dog between sizes, and one whose neck and length disagree', () => {
    const bodyOf = (key: string) => {
      const story = tickets.find((ticket) => ticket.dog === key && !ticket.closed)
      const ids = [...new Set(story?.readings.map((reading) => reading.measure))]
      return Object.fromEntries(
        ids.map((id) => [
          id,
          agree(
            id,
            (story?.readings ?? [])
              .filter((reading) => reading.measure === id)
              .map((reading) => {
                const read = parseLength(reading.typed, story?.unit ?? 'cm')
                return { mm: read.ok ? read.mm : 0, side: reading.one ? ('one' as const) : ('both' as const) }
              }),
          ),
        ]),
      )
    }
    const shelf = sizeTables.find((table) => table.id === 'rimefold-cross-back')!
    expect(rankSizes(shelf, bodyOf('bilberry'))[0]?.because.code).toBe('between-down')
    const marlin = rankSizes(shelf, bodyOf('marlin'))
    expect(marlin[0]?.grade).toBe('fails')
    expect(marlin.find((size) => size.label === 'Fir')?.perMeasure.map((fit) => fit.grade)).toEqual(['holds', 'fails'])
  })
})
