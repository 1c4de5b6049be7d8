import { describe, expect, it } from 'vitest'
import { PLAIN_CIRCUMSTANCES, UNASKED, type Choice, type Item, type Reading, type TicketSheet, type MeasureId } from '../model/index.ts'
import { checksFor } from '../gear/index.ts'
import { progressOf, urgencyOf } from './index.ts'

const AT = '2026-10-05T09:00:00Z'
const item: Item = { id: 'i1', family: 'H01', way: 'stock', school: null, removed: false, purpose: '', createdAt: AT }
let n = 0
const reading = (measure: MeasureId, mm: number): Reading => ({
  ...PLAIN_CIRCUMSTANCES,
  id: String((n += 1)).padStart(4, '0'),
  measure,
  mm,
  side: 'both',
  asTyped: '',
  unit: 'cm',
  method: 'tape',
  takenAt: AT,
  by: '',
})
const sheet = (over: Partial<TicketSheet> = {}): TicketSheet => ({
  ticket: {
    id: 't',
    number: 1,
    dogId: null,
    ownerId: null,
    kind: 'counter',
    ...UNASKED,
    activities: ['stroll'],
    createdAt: AT,
    by: '',
  },
  dog: null,
  owner: null,
  dogNotes: [],
  weighings: [],
  outings: [],
  tracings: [],
  bootOutings: [],
  items: [item],
  readings: [],
  choices: [],
  hitches: [],
  setUps: [],
  settings: [],
  tryOns: [],
  acknowledgements: [],
  asWritten: [],
  marks: [],
  ...over,
})
const waits = (over: Partial<TicketSheet>) => {
  const { stage, waitsFor } = progressOf(sheet(over), '2026-10-05')
  return [stage, waitsFor]
}
const taken = [reading('M01', 560), reading('M06', 290), reading('M07', 690)]
const choice: Choice = {
  id: 'c',
  itemId: 'i1',
  kind: 'size',
  tableId: 't',
  tableVersion: 1,
  labels: ['M'],
  predicted: [],
  rulesVersion: null,
  overruled: null,
  at: AT,
  by: '',
}
const round = (grade: 'holds' | 'fails', all = true) => ({
  id: 'r',
  itemId: 'i1',
  of: { choiceId: 'c' },
  settings: [],
  label: 'M',
  changed: '',
  at: AT,
  by: '',
  symptoms: [],
  observations: checksFor('H01')
    .flatMap((check) =>
      check.states.map((state) => ({ id: `${check.id}${state}`, check: check.id, state, grade, asTyped: '', mm: null, fingers: null, at: AT, by: '' })),
    )
    .slice(0, all ? undefined : 1),
})

describe('progressOf', () => {
  it('names the one thing a ticket waits for, stage by stage', () => {
    expect(waits({ items: [] })).toEqual(['ask', { code: 'items' }])
    expect(waits({})).toEqual(['measure', { code: 'tape', measure: 'M01', left: 3 }])
    expect(waits({ readings: [...taken, reading('M06', 320)] })).toEqual(['measure', { code: 'third-reading', measure: 'M06' }])
    expect(waits({ readings: taken })).toEqual(['choose', { code: 'choice', family: 'H01' }])
    expect(waits({ readings: taken, choices: [choice] })).toEqual(['try-on', { code: 'try-on', kind: 'size', label: 'M' }])
    expect(waits({ readings: taken, choices: [choice], tryOns: [round('holds', false)] })).toEqual(['try-on', { code: 'look-again', grade: 'doubt' }])
    expect(waits({ readings: taken, choices: [choice], tryOns: [round('fails')] })[1]).toMatchObject({ code: 'refit', grade: 'fails' })
    expect(waits({ readings: taken, choices: [choice], tryOns: [round('holds')] })).toEqual(['finish', { code: 'close' }])
  })

  it('locks nothing: a try-on alone is enough to finish', () => {
    expect(waits({ tryOns: [round('holds')] })).toEqual(['finish', { code: 'close' }])
  })

  it('shows trouble in its stage', () => {
    expect(progressOf(sheet({ tryOns: [round('fails')] }), '2026-10-05').states['try-on']).toBe('trouble')
    const scattered = [reading('M01', 500), reading('M01', 540), reading('M01', 590)]
    expect(progressOf(sheet({ readings: scattered }), '2026-10-05').states.measure).toBe('trouble')
    const load = sheet({ items: [{ ...item, family: 'H01' }] })
    load.ticket.activities = ['sled-team']
    expect(progressOf(load, '2026-10-05')).toMatchObject({ states: { ask: 'trouble' }, waitsFor: { code: 'stop-unread' } })
  })
})

it('sorts the day: overdue, today, waiting', () => {
  const ticket = { promisedOn: null, neededOn: '2026-10-05', createdAt: AT }
  expect(['2026-10-04', '2026-10-05', '2026-10-06'].map((on) => urgencyOf(ticket, on))).toEqual(['waiting', 'today', 'overdue'])
  expect(urgencyOf({ ...ticket, promisedOn: '2026-10-09' }, '2026-10-06')).toBe('waiting')
})
