import { addressOf, applyAct, didAct, NO_HISTORY, redo, undo, type Act, type ActSheet, type History, type TicketSheet } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, reading, round, send, sizeChoice, sizeTable } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
  await send(app, 'PUT', '/api/size-tables/test-table/1', sizeTable())
})
afterAll(() => close())

const KINDS = ['read', 'mark', 'acknowledge', 'change', 'write-down', 'answer', 'item', 'choose', 'hitch', 'try-on', 'observe', 'symptom', 'set', 'undo', 'redo'] as const // prettier-ignore
type Command = { kind: (typeof KINDS)[number]; pick: number }
const commands = fc.array(fc.record({ kind: fc.constantFrom(...KINDS), pick: fc.nat(60) }), { minLength: 4, maxLength: 30 })

const by = { at: AT, by: 'Test' }
const at = <T>(list: readonly T[], pick: number): T | undefined => list[pick % Math.max(1, list.length)]

/** The act a command comes to on this sheet; `null` where it has nothing to stand on. */
function actOf({ kind, pick }: Command, sheet: ActSheet): Act | null {
  const id = nextId()
  const item = at(sheet.items, pick)
  const seen = at(sheet.tryOns, pick)
  switch (kind) {
    case 'read':
      return { act: 'read', id, body: reading({ measure: ['M01', 'M06', 'M07'][pick % 3] ?? 'M07', mm: 300 + pick, side: 'both' }) }
    case 'mark': {
      const facts = [
        ...sheet.readings.map((each) => ['reading', each.id] as const),
        ...sheet.choices.map((each) => ['choice', each.id] as const),
        ...sheet.hitches.map((each) => ['hitch', each.id] as const),
        ...sheet.tryOns.map((each) => ['try-on', each.id] as const),
        ...sheet.tryOns.flatMap((each) => each.observations.map((one) => ['observation', one.id] as const)),
        ...sheet.settings.map((each) => ['setting', each.id] as const),
      ]
      const fact = at(facts, pick)
      return fact ? { act: 'mark', id, body: { what: fact[0], about: fact[1], kind: pick % 3 === 0 ? 'restored' : 'struck', why: 'so', ...by } } : null
    }
    case 'acknowledge':
      return { act: 'acknowledge', id, body: { kind: 'finding', code: `c${pick}`, text: 'so', reason: '', ...by } }
    case 'change':
      return { act: 'change', changes: [{ field: 'notes', from: sheet.ticket.notes, to: `note ${pick}` }] }
    case 'write-down':
      return { act: 'write-down', id, body: { letters: 'A-C', asWritten: String(pick), came: 'mail', wanted: null, remark: '', ...by } }
    case 'answer': {
      const open = sheet.asWritten.find((each) => !each.became)
      const answer = at(sheet.readings, pick)
      return open && answer ? { act: 'answer', id: open.id, body: { readingId: answer.id, ...by } } : null
    }
    case 'item':
      return { act: 'item', id, body: { family: pick % 2 ? 'H01' : 'H11', way: 'stock', school: null, at: AT } }
    case 'choose':
      return item ? { act: 'choose', id, body: sizeChoice(item.id) as Extract<Act, { act: 'choose' }>['body'] } : null
    case 'hitch':
      return { act: 'hitch', id, body: { where: 'sled', heightMm: 200 + pick, lineMm: 3000, family: null, ...by } }
    case 'try-on':
      return item ? { act: 'try-on', id, body: round(item.id) as Extract<Act, { act: 'try-on' }>['body'] } : null
    case 'observe':
      return seen
        ? { act: 'observe', id, roundId: seen.id, body: { check: 'throat', state: 'slack', grade: 'holds', asTyped: '', mm: null, fingers: null, ...by } }
        : null
    case 'symptom':
      return seen ? { act: 'symptom', id, roundId: seen.id, body: { symptom: 'S24', remedy: null, present: pick % 2 === 0, ...by } } : null
    case 'set':
      return item ? { act: 'set', id, body: { of: { itemId: item.id }, dogId: null, part: 'Girth', side: 'both', mm: pick, mark: '', ...by } } : null
    default:
      return null
  }
}

/** The day of a record is set by whoever keeps it. */
const plain = (sheet: ActSheet): unknown =>
  JSON.parse(
    JSON.stringify(
      { items: sheet.items, readings: sheet.readings, choices: sheet.choices, hitches: sheet.hitches, tryOns: sheet.tryOns, settings: sheet.settings, acknowledgements: sheet.acknowledgements, asWritten: sheet.asWritten, marks: sheet.marks, notes: sheet.ticket.notes },
      (key, value: unknown) => (key === 'on' ? undefined : value),
    ),
  ) // prettier-ignore

it('the sheet the server reads is the acts done over an empty one, in the order in which they came', async () => {
  await fc.assert(
    fc.asyncProperty(commands, async (list) => {
      const ticket = await openTicket(app)
      const sheetOf = async (): Promise<TicketSheet> => (await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet
      const here = await sheetOf()
      let history: History = NO_HISTORY
      for (const command of [{ kind: 'item', pick: 0 } as const, ...list]) {
        const turn = command.kind === 'undo' ? undo : command.kind === 'redo' ? redo : null
        let act: Act | null
        if (turn) {
          const step = turn(history, { id: nextId(), ...by })
          act = step?.act ?? null
          history = step?.history ?? history
        } else {
          act = actOf(command, here)
          if (act) history = didAct(history, act)
        }
        if (!act) continue
        const { method, path, body } = addressOf(ticket, act)
        const { status, body: answer } = await send(app, method, `/api${path}`, body)
        // A field that stands otherwise by now is no act done.
        if (status === 409) continue
        expect([act.act, status, status < 300 ? '' : answer]).toEqual([act.act, 200, ''])
        applyAct(here, act)
      }
      expect(plain(await sheetOf())).toEqual(plain(here))
    }),
    { numRuns: 40 },
  )
}, 60_000)
