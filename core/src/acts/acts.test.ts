import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bodyOf } from '../measures/index.ts'
import { PLAIN_CIRCUMSTANCES, type TicketSheet, type MeasureId } from '../model/index.ts'
import { applyAct, didAct, NO_HISTORY, noFacts, redo, undo, type Act, type History, type Signed } from './index.ts'

type Sheet = Parameters<typeof applyAct>[0]

const AT = '2026-03-01T09:00:00Z'
const id = (n: number): string => `01900000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`
const emptySheet = (): Sheet => ({
  ticket: { notes: '', wholeBody: false } as TicketSheet['ticket'],
  ...noFacts(),
})
const reading = (n: number, mm: number, measure: MeasureId = 'M07'): Act => ({
  act: 'read',
  id: id(n),
  body: { ...PLAIN_CIRCUMSTANCES, measure, mm, side: 'both', asTyped: String(mm), unit: 'mm', takenAt: AT, by: 'Ylva' },
})
const strike = (n: number, about: number): Act => ({
  act: 'mark',
  id: id(n),
  body: { what: 'reading', about: id(about), kind: 'struck', why: 'Moved', at: AT, by: 'Ylva' },
})

/** A device: its sheet, its history, and a counter for the ids it makes. */
function device() {
  const sheet = emptySheet()
  let history: History = NO_HISTORY
  let made = 5000
  const signed = (): Signed => ({ id: id((made += 1)), at: AT, by: 'Orrin' })
  const back = (turn: typeof undo): boolean => {
    const step = turn(history, signed())
    if (!step) return false
    applyAct(sheet, step.act)
    history = step.history
    return true
  }
  return {
    sheet,
    do: (act: Act) => {
      applyAct(sheet, act)
      history = didAct(history, act)
    },
    undo: () => back(undo),
    redo: () => back(redo),
    body: () => bodyOf(sheet.readings),
  }
}

describe('acts', () => {
  it('keep one row to an id, however often they arrive', () => {
    const sheet = emptySheet()
    for (let i = 0; i < 3; i++) applyAct(sheet, reading(1, 690))
    expect(sheet.readings).toHaveLength(1)
  })

  it('find a strike that arrived before its reading', () => {
    const sheet = emptySheet()
    applyAct(sheet, strike(2, 1))
    applyAct(sheet, reading(1, 690))
    expect(sheet.readings[0]?.struck).toMatchObject({ why: 'Moved', by: 'Ylva' })
  })

  it('make the same sheet in any order of arrival', () => {
    const acts = [reading(1, 690), reading(2, 694), strike(10, 1), reading(3, 692, 'M06'), strike(11, 3)]
    const inOrder = emptySheet()
    for (const act of acts) applyAct(inOrder, act)
    fc.assert(
      fc.property(fc.shuffledSubarray(acts, { minLength: acts.length }), (shuffled) => {
        const sheet = emptySheet()
        for (const act of shuffled) applyAct(sheet, act)
        expect(bodyOf(sheet.readings)).toEqual(bodyOf(inOrder.readings))
      }),
    )
  })
})

describe('undo and redo', () => {
  it('have nothing to do on a fresh bench', () => {
    const bench = device()
    expect([bench.undo(), bench.redo()]).toEqual([false, false])
  })

  it('strike a pin with who and why, and pin it again without a second reading', () => {
    const bench = device()
    bench.do(reading(1, 690))
    bench.undo()
    expect(bench.sheet.readings[0]?.struck).toEqual({ why: 'Unpinned', at: AT, by: 'Orrin' })
    expect(bench.body().M07?.n ?? 0).toBe(0)
    bench.redo()
    expect(bench.sheet.readings).toHaveLength(1)
    expect(bench.body().M07?.mm).toBe(690)
    expect(bench.sheet.marks.map((mark) => mark.why)).toEqual(['Unpinned', 'Done again'])
  })

  it('put a field back to what it was', () => {
    const bench = device()
    bench.do({ act: 'change', changes: [{ field: 'wholeBody', from: false, to: true }] })
    bench.undo()
    expect(bench.sheet.ticket.wholeBody).toBe(false)
    bench.redo()
    expect(bench.sheet.ticket.wholeBody).toBe(true)
  })

  it('take an answer back by its reading, so that the number is unread again', () => {
    const bench = device()
    bench.do({ act: 'write-down', id: id(1), body: { letters: 'A-C', asWritten: '34', came: 'mail', wanted: null, remark: '', at: AT, by: 'Ylva' } })
    bench.do(reading(2, 340))
    bench.do({ act: 'answer', id: id(1), body: { readingId: id(2), at: AT, by: 'Ylva' } })
    bench.undo()
    expect(bench.sheet.readings[0]?.struck?.why).toBe('Answer taken back')
    expect(bench.body().M07?.n ?? 0).toBe(0)
  })

  it('forget what was taken back once something new is done', () => {
    const bench = device()
    bench.do(reading(1, 690))
    bench.undo()
    bench.do(reading(2, 700))
    expect(bench.redo()).toBe(false)
    expect(bench.body().M07?.mm).toBe(700)
  })

  it('all taken back leave an empty body, all done again the whole one (property)', () => {
    const act = fc.nat({ max: 3 }).chain((kind) => fc.record({ kind: fc.constant(kind), mm: fc.integer({ min: 400, max: 900 }), pick: fc.nat() }))
    fc.assert(
      fc.property(fc.array(act, { maxLength: 25 }), (plan) => {
        const bench = device()
        let n = 0
        let done = 0
        for (const { kind, mm, pick } of plan) {
          if (kind === 3 && n > 0) bench.do(strike(1000 + done, 1 + (pick % n)))
          else bench.do(reading((n += 1), mm, (['M06', 'M07', 'M14'] as const)[kind] ?? 'M07'))
          done += 1
        }
        const whole = bench.body()
        for (let i = 0; i < done; i++) expect(bench.undo()).toBe(true)
        expect(bench.undo()).toBe(false)
        expect(Object.values(bench.body()).every((agreed) => agreed.n === 0)).toBe(true)
        for (let i = 0; i < done; i++) expect(bench.redo()).toBe(true)
        expect(bench.body()).toEqual(whole)
      }),
      { numRuns: 200 },
    )
  })
})
