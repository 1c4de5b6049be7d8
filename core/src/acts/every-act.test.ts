import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PLAIN_CIRCUMSTANCES } from '../model/index.ts'
import {
  NewAcknowledgement,
  NewAsWritten,
  NewChoice,
  NewHitch,
  NewItem,
  NewObservation,
  NewReading,
  NewSetting,
  NewSetUp,
  NewSymptomNote,
  NewTryOn,
} from '../model/schemas.ts'
import { actKinds, againOf } from './kinds.ts'
import { addressOf, applyAct, didAct, inverseOf, NO_HISTORY, noFacts, redo, undo, type Act, type ActName, type ActSheet } from './index.ts'

const AT = '2026-03-01T09:00:00Z'
const id = (n: number): string => `01900000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`
const by = { at: AT, by: 'Ylva' }
const [ITEM, ROUND, READING, LETTER] = [id(1), id(2), id(3), id(4)]
const read: Act = { act: 'read', id: READING, body: { ...PLAIN_CIRCUMSTANCES, measure: 'M07', mm: 690, side: 'both', asTyped: '69', unit: 'cm', takenAt: AT, by: 'Ylva' } } // prettier-ignore

/** One of every act, with what it stands on before it. */
const acts: Record<ActName, Act> = {
  read,
  item: { act: 'item', id: ITEM, body: { family: 'H01', way: 'stock', school: null, at: AT } },
  mark: { act: 'mark', id: id(10), body: { what: 'reading', about: READING, kind: 'struck', why: 'Moved', ...by } },
  acknowledge: { act: 'acknowledge', id: id(11), body: { kind: 'caution', code: 'windpipe', text: 'Words', reason: '', ...by } },
  change: { act: 'change', changes: [{ field: 'wholeBody', from: false, to: true }] },
  'write-down': { act: 'write-down', id: LETTER, body: { letters: 'A-C', asWritten: '34', came: 'mail', wanted: null, remark: '', ...by } },
  answer: { act: 'answer', id: LETTER, body: { readingId: READING, ...by } },
  choose: { act: 'choose', id: id(12), body: { itemId: ITEM, kind: 'size', tableId: 't', tableVersion: 1, labels: ['M'], predicted: [], rulesVersion: null, overruled: null, ...by } },
  'set-up': {
    act: 'set-up',
    id: id(31),
    body: { itemId: id(2), pieceId: null, rigId: id(32), loads: [{ name: 'Churn', massKg: 20, aheadMm: 12, heightMm: 560 }], surface: 'gravel', gradePercent: 2, lasts: 'long', loopMm: null, hitchMm: null, rearMm: { left: 0, right: -4 }, route: [], pair: null, minutes: { neck: 6 }, ...by },
  },
  hitch: { act: 'hitch', id: id(13), body: { where: 'bike-front', heightMm: 450, lineMm: 2200, family: 'H11', ...by } },
  'try-on': { act: 'try-on', id: ROUND, body: { itemId: ITEM, of: { named: true }, label: 'M', settings: [], changed: '', ...by } },
  observe: { act: 'observe', id: id(14), roundId: ROUND, body: { check: 'throat', state: 'slack', grade: 'holds', asTyped: '', mm: null, fingers: 2, ...by } },
  symptom: { act: 'symptom', id: id(15), roundId: ROUND, body: { symptom: 'S01', remedy: null, present: true, ...by } },
  set: { act: 'set', id: id(16), body: { of: { itemId: ITEM }, dogId: null, part: 'Throat', side: 'both', mm: 120, mark: '3', ...by } },
} // prettier-ignore
const FIRST: readonly ActName[] = ['item', 'read', 'write-down', 'try-on']

const fresh = (): ActSheet => ({
  ticket: { notes: '', wholeBody: false } as ActSheet['ticket'],
  ...noFacts(),
})
/** What counts: struck facts and items taken off are out, and so are the marks themselves. */
const counting = (sheet: ActSheet): unknown => {
  const live = <T extends { struck?: unknown }>(list: readonly T[]): T[] => list.filter((each) => !each.struck)
  return {
    ticket: sheet.ticket,
    items: sheet.items.filter((item) => !item.removed),
    readings: live(sheet.readings),
    choices: live(sheet.choices),
    hitches: live(sheet.hitches),
    setUps: live(sheet.setUps),
    settings: live(sheet.settings),
    acknowledgements: live(sheet.acknowledgements),
    // An answer counts as long as its reading does.
    asWritten: live(sheet.asWritten).map(({ became, ...each }) => ({ ...each, answered: became ? live(sheet.readings).some((one) => one.id === became.readingId) : false })),
    tryOns: live(sheet.tryOns).map((round) => ({ ...round, observations: live(round.observations), symptoms: live(round.symptoms) })),
  } // prettier-ignore
}

describe('every act', () => {
  it('is here, once', () => {
    expect(Object.keys(acts).sort()).toEqual(Object.keys(actKinds).sort())
    expect(acts.choose.act === 'choose' && NewChoice.safeParse(acts.choose.body).success).toBe(true)
    const schemas = { read: NewReading, acknowledge: NewAcknowledgement, 'write-down': NewAsWritten, hitch: NewHitch, 'set-up': NewSetUp, item: NewItem, 'try-on': NewTryOn, observe: NewObservation, symptom: NewSymptomNote, set: NewSetting } // prettier-ignore
    for (const [name, schema] of Object.entries(schemas)) {
      const act = acts[name as keyof typeof schemas] as { body: unknown }
      const read = schema.safeParse(act.body)
      expect([name, read.success ? [] : read.error.issues]).toEqual([name, []])
    }
  })

  it('alone is taken back by its inverse and done again by its own', () => {
    for (const name of Object.keys(acts) as ActName[]) {
      const sheet = fresh()
      for (const before of FIRST) if (before !== name) applyAct(sheet, acts[before])
      const none = structuredClone(counting(sheet))
      applyAct(sheet, acts[name])
      const done = structuredClone(counting(sheet))
      expect(done).not.toEqual(none)
      const back = inverseOf(acts[name], { id: id(900), at: AT, by: 'Orrin' })
      applyAct(sheet, back)
      // An answer goes with its reading; all else leaves what was there.
      if (name === 'answer') expect(counting(sheet)).toMatchObject({ readings: [], asWritten: [{ answered: false }] })
      else expect(counting(sheet)).toEqual(none)
      applyAct(sheet, againOf(acts[name], { id: id(901), at: AT, by: 'Orrin' }))
      expect(counting(sheet)).toEqual(done)
    }
  })

  it('in any order with the others, all are taken back to nothing and done again to the whole', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(Object.keys(acts) as ActName[]), (names) => {
        const sheet = fresh()
        const none = structuredClone(counting(sheet))
        let history = NO_HISTORY
        let made = 1000
        const signed = () => ({ id: id((made += 1)), at: AT, by: 'Orrin' })
        // What is struck is there before it is struck.
        const plan = [...FIRST, ...names.filter((name) => !FIRST.includes(name) && name !== 'mark'), 'mark' as const]
        for (const name of plan) {
          applyAct(sheet, acts[name])
          history = didAct(history, acts[name])
        }
        const whole = structuredClone(counting(sheet))
        const all = (turn: typeof undo): void => {
          for (let step = turn(history, signed()); step; step = turn(history, signed())) {
            applyAct(sheet, step.act)
            history = step.history
          }
        }
        all(undo)
        expect(counting(sheet)).toEqual(none)
        all(redo)
        expect(counting(sheet)).toEqual(whole)
      }),
    )
  })

  it('done again changes nothing, and each goes to its own address', () => {
    const sheet = fresh()
    const plan = [...FIRST, ...(Object.keys(acts) as ActName[]).filter((name) => !FIRST.includes(name))].map((name) => acts[name])
    for (const act of plan) applyAct(sheet, act)
    const once = structuredClone(sheet)
    for (const act of plan) applyAct(sheet, act)
    expect(sheet).toEqual(once)
    const sent = plan.map((act) => addressOf('t1', act))
    expect(new Set(sent.map((each) => `${each.method} ${each.path}`)).size).toBe(plan.length)
    expect(sent.every((each) => each.path.startsWith('/tickets/t1'))).toBe(true)
  })
})
