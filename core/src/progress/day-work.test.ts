import { describe, expect, it } from 'vitest'
import { PLAIN_CIRCUMSTANCES, type Choice, type Reading, type TicketSheet, type TryOn } from '../model/index.ts'
import { dayWork } from './index.ts'

const DAY = '2026-03-02'
/** A moment of that day where this runs, as the record keeps it. */
const at = (clock: string, day = DAY): string => new Date(`${day}T${clock}:00`).toISOString()
let n = 0
const id = (): string => `01900000-0000-7000-8000-${(n += 1).toString(16).padStart(12, '0')}`
const reading = (clock: string, day = DAY): Reading => ({
  ...PLAIN_CIRCUMSTANCES,
  id: id(),
  measure: 'M07',
  mm: 690,
  side: 'both',
  asTyped: '69',
  unit: 'cm',
  takenAt: at(clock, day),
  by: '',
})
const round = (clock: string, label: string): TryOn => ({
  id: id(),
  itemId: id(),
  of: { named: true },
  settings: [],
  label,
  changed: '',
  at: at(clock),
  by: '',
  observations: [],
  symptoms: [],
})
const choice = (clock: string, labels: string[]): Choice => ({
  id: id(),
  itemId: id(),
  kind: 'size',
  tableId: 't',
  tableVersion: 1,
  labels,
  predicted: [],
  rulesVersion: null,
  overruled: null,
  at: at(clock),
  by: '',
})
const sheet = (number: number, createdAt: string, over: Partial<TicketSheet> = {}): TicketSheet =>
  ({ ticket: { id: id(), number, createdAt }, dog: { name: `Dog ${number}` }, readings: [], choices: [], tryOns: [], ...over }) as TicketSheet

describe('the day’s work', () => {
  it('is the stays of the day in their order, and what each came to', () => {
    const stays = dayWork(
      [
        sheet(2, at('10:00'), { readings: [reading('10:05'), reading('10:09')], choices: [choice('10:15', ['M', 'L'])] }),
        sheet(1, at('08:30'), { tryOns: [round('08:40', 'S'), round('08:50', 'M')] }),
      ],
      DAY,
    )
    expect(stays).toMatchObject([
      { number: 1, dog: 'Dog 1', fromAt: at('08:30'), toAt: at('08:50'), triedOn: ['S', 'M'], readings: 0 },
      { number: 2, dog: 'Dog 2', fromAt: at('10:00'), toAt: at('10:15'), readings: 2, chosen: ['M', 'L'] },
    ])
  })

  it('makes two stays of a dog that came back', () => {
    const stays = dayWork([sheet(1, at('09:00'), { readings: [reading('09:10'), reading('14:00')] })], DAY)
    expect(stays.map((stay) => [stay.fromAt, stay.toAt, stay.readings])).toEqual([
      [at('09:00'), at('09:10'), 1],
      [at('14:00'), at('14:00'), 1],
    ])
  })

  it('leaves other days out, and a counter ticket without a name', () => {
    const old = sheet(1, at('09:00', '2026-03-01'), { readings: [reading('23:59', '2026-03-01')] })
    expect(dayWork([old, sheet(2, at('00:00'), { dog: null })], DAY)).toMatchObject([{ number: 2, dog: null }])
    expect(dayWork([old], DAY)).toEqual([])
  })

  it('counts an old ticket taken up again from today’s first act', () => {
    const [stay] = dayWork([sheet(1, at('09:00', '2026-02-20'), { readings: [reading('11:30')] })], DAY)
    expect(stay).toMatchObject({ fromAt: at('11:30'), readings: 1 })
  })
})
