import { addressOf, applyAct, bodyOf, didAct, NO_HISTORY, redo, undo, type Act, type History, type TicketSheet, type MeasureId } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, reading, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

/** What a fitter may do next; numbers choose among what is there. */
type Command =
  | { do: 'pin'; measure: MeasureId; mm: number }
  | { do: 'strike'; which: number }
  | { do: 'undo' }
  | { do: 'redo' }
  | { do: 'keep'; code: string }
  | { do: 'write'; letters: string }

const commands = fc.array(
  fc.oneof(
    {
      weight: 5,
      arbitrary: fc.record({ do: fc.constant('pin' as const), measure: fc.constantFrom('M01', 'M06', 'M07'), mm: fc.integer({ min: 150, max: 900 }) }),
    },
    { weight: 2, arbitrary: fc.record({ do: fc.constant('strike' as const), which: fc.nat(20) }) },
    { weight: 3, arbitrary: fc.constant({ do: 'undo' as const }) },
    { weight: 2, arbitrary: fc.constant({ do: 'redo' as const }) },
    { weight: 1, arbitrary: fc.record({ do: fc.constant('keep' as const), code: fc.constantFrom('a', 'b') }) },
    { weight: 1, arbitrary: fc.record({ do: fc.constant('write' as const), letters: fc.constantFrom('A', 'neck') }) },
  ),
  { maxLength: 24 },
)

/** Turns commands into the acts one device would send, in order. */
function actsOf(list: readonly Command[]): Act[] {
  let history: History = NO_HISTORY
  const acts: Act[] = []
  const pinned: string[] = []
  const signed = () => ({ id: nextId(), at: AT, by: 'Test' })
  const act = (each: Act): void => {
    history = didAct(history, each)
    acts.push(each)
  }
  for (const command of list) {
    if (command.do === 'pin') {
      const id = nextId()
      pinned.push(id)
      act({ act: 'read', id, body: reading({ measure: command.measure, mm: command.mm, side: 'both' }) })
    } else if (command.do === 'strike' && pinned.length > 0) {
      act({
        act: 'mark',
        id: nextId(),
        body: { what: 'reading', about: pinned[command.which % pinned.length] ?? '', kind: 'struck', why: 'slipped', at: AT, by: 'Test' },
      })
    } else if (command.do === 'keep') {
      act({ act: 'acknowledge', id: nextId(), body: { kind: 'finding', code: command.code, text: 'so', reason: '', at: AT, by: 'Test' } })
    } else if (command.do === 'write') {
      act({ act: 'write-down', id: nextId(), body: { letters: command.letters, asWritten: '34', came: 'mail', wanted: null, remark: '', at: AT, by: 'Test' } })
    } else if (command.do === 'undo' || command.do === 'redo') {
      const step = command.do === 'undo' ? undo(history, signed()) : redo(history, signed())
      if (step) {
        history = step.history
        acts.push(step.act)
      }
    }
  }
  return acts
}

const sheetOf = async (ticket: string) => (await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet

/** What must be the same: the body, and what counts and what does not. */
const essence = (sheet: TicketSheet) => ({
  body: bodyOf(sheet.readings),
  readings: sheet.readings.map((each) => [each.id, each.struck?.why]).sort(),
  kept: sheet.acknowledgements.map((each) => [each.id, each.struck?.why]).sort(),
  written: sheet.asWritten.map((each) => [each.id, each.struck?.why]).sort(),
  marks: sheet.marks.map((mark) => mark.id),
})

it('any sequence of pin, strike, undo and redo, online or kept and replayed, leaves the same body', async () => {
  await fc.assert(
    fc.asyncProperty(commands, fc.array(fc.nat(6), { maxLength: 12 }), async (list, stumbles) => {
      const acts = actsOf(list)
      // Online: each at once. Every client-made id is used on one ticket only, so the replay has its own.
      const ticket = await openTicket(app)
      const local = await sheetOf(ticket)
      // Kept here and replayed: in order, but after a stumble the last few are sent once more.
      for (const [i, act] of acts.entries()) {
        const again = stumbles[i % Math.max(1, stumbles.length)] ?? 0
        for (let back = Math.max(0, i - again); back <= i; back++) {
          const { method, path, body } = addressOf(ticket, acts[back] ?? act)
          expect((await send(app, method, `/api${path}`, body)).status).toBe(200)
        }
        applyAct(local, act)
      }
      const server = await sheetOf(ticket)
      expect(essence(server)).toEqual(essence(local))
      // The same acts shown over an old answer give the same again.
      const over = structuredClone(server)
      for (const act of acts.filter((each) => each.act !== 'mark')) applyAct(over, act)
      expect(essence(over)).toEqual(essence(server))
    }),
    { numRuns: 40 },
  )
}, 120_000)

it('undo takes back exactly the newest act, redo does it again', () => {
  const read = { act: 'read' as const, id: nextId(), body: reading() }
  const one = didAct(NO_HISTORY, read)
  const back = undo(one, { id: nextId(), at: AT, by: 'Test' })
  expect(back?.act).toMatchObject({ act: 'mark', body: { about: read.id, kind: 'struck', why: 'Unpinned' } })
  const again = back && redo(back.history, { id: nextId(), at: AT, by: 'Test' })
  expect(again?.act).toMatchObject({ act: 'mark', body: { about: read.id, kind: 'restored' } })
  expect(again?.history).toEqual(one)
  expect(undo(NO_HISTORY, { id: nextId(), at: AT, by: '' })).toBeNull()
  const change = { act: 'change' as const, changes: [{ field: 'wholeBody', from: false, to: true }] }
  expect(undo(didAct(NO_HISTORY, change), { id: nextId(), at: AT, by: '' })?.act).toEqual({
    act: 'change',
    changes: [{ field: 'wholeBody', from: true, to: false }],
  })
})
