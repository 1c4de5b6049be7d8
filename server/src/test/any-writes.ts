import { addressOf, type Act } from '@merry-tailor/core'
import fc from 'fast-check'
import { AT, nextId, piece, reading, round, sizeChoice } from './shop.ts'

/** One write as a device sends it. */
export interface Write {
  id: string
  method: 'PUT' | 'PATCH' | 'DELETE'
  url: string
  body: unknown
}
/** What a fitter may do next, over every kind of write; numbers choose among what is there. */
export const commands = fc.array(fc.record({ kind: fc.nat(22), pick: fc.nat(1000), mm: fc.integer({ min: 150, max: 900 }) }), { minLength: 1, maxLength: 26 })

/** Turns commands into writes on one ticket and dog of their own, some of which the server must refuse. */
export function writesOf(list: readonly { kind: number; pick: number; mm: number }[]): { writes: Write[]; ticket: string } {
  const [ticket, dog, owner] = [nextId(), nextId(), nextId()]
  const items: string[] = []
  const readings: string[] = []
  const rounds: string[] = []
  const chosen: string[] = []
  const written: string[] = []
  const any = (list: string[], pick: number): string => list[pick % Math.max(1, list.length)] ?? nextId()
  const writes: Write[] = [
    { id: nextId(), method: 'PUT', url: `/api/owners/${owner}`, body: { name: 'Runa', at: AT } },
    { id: nextId(), method: 'PUT', url: `/api/dogs/${dog}`, body: { name: 'Skua', ownerId: owner, at: AT } },
    { id: nextId(), method: 'PUT', url: `/api/tickets/${ticket}`, body: { dogId: dog, ownerId: null, kind: 'real', at: AT, by: 'Test' } },
  ]
  const by = { at: AT, by: 'Test' }
  const act = (each: Act): void => {
    const { method, path, body } = addressOf(ticket, each)
    writes.push({ id: nextId(), method, url: `/api${path}`, body })
  }
  const fresh = (into: string[]): string => {
    const id = nextId()
    into.push(id)
    return id
  }
  for (const { kind, pick, mm } of list) {
    const id = nextId()
    if (kind === 0) act({ act: 'item', id: fresh(items), body: { family: pick % 2 ? 'H11' : 'H01', way: 'stock', school: null, at: AT } })
    else if (kind === 1) act({ act: 'change', itemId: any(items, pick), changes: [{ field: 'way', from: 'stock', to: 'made' }] })
    else if (kind <= 4) act({ act: 'read', id: fresh(readings), body: reading({ measure: 'M07', mm, side: 'both' }) })
    else if (kind === 5) {
      const [what, of] = ([['reading', readings], ['reading', readings], ['choice', chosen], ['try-on', rounds]] as const)[mm % 4]! // prettier-ignore
      act({ act: 'mark', id, body: { what, about: any(of, pick), kind: pick % 3 ? 'struck' : 'restored', why: 'slipped', ...by } })
    } else if (kind === 6)
      act({ act: 'acknowledge', id, body: { kind: 'stop', code: 'growing-no-load', text: 'No load.', reason: pick % 2 ? 'fitted only' : '', ...by } })
    else if (kind === 7) act({ act: 'write-down', id: fresh(written), body: { letters: 'A', asWritten: '34', came: 'mail', wanted: null, remark: '', ...by } })
    else if (kind === 8) act({ act: 'answer', id: any(written, pick), body: { readingId: any(readings, pick), ...by } })
    else if (kind <= 10) act({ act: 'choose', id: fresh(chosen), body: sizeChoice(any(items, pick), { labels: [pick % 5 ? 'M' : 'XS'] }) as never })
    else if (kind === 11) act({ act: 'hitch', id, body: { where: 'sled', heightMm: mm, lineMm: 3000, family: null, ...by } })
    else if (kind <= 13)
      act({
        act: 'try-on',
        id: fresh(rounds),
        body: round(any(items, pick), pick % 2 && chosen.length > 0 ? { of: { choiceId: any(chosen, pick) } } : {}) as never,
      })
    else if (kind === 14)
      act({
        act: 'observe',
        id,
        roundId: any(rounds, pick),
        body: { check: 'no-sway', state: 'slack', grade: 'holds', asTyped: '', mm: null, fingers: null, ...by },
      })
    else if (kind === 15) act({ act: 'symptom', id, roundId: any(rounds, pick), body: { symptom: 'S25', remedy: null, present: pick % 2 === 0, ...by } })
    else if (kind === 16) act({ act: 'set', id, body: { of: { itemId: any(items, pick) }, dogId: dog, part: 'girth', side: 'left', mm, mark: '', ...by } })
    else if (kind === 17) act({ act: 'change', changes: [{ field: 'wholeBody', from: false, to: true }] })
    else if (kind === 18) act({ act: 'change', changes: [{ field: 'state', from: pick % 2 ? 'open' : 'closed', to: pick % 2 ? 'closed' : 'open' }] })
    else if (kind === 19)
      writes.push({
        id,
        method: 'PATCH',
        url: `/api/dogs/${dog}`,
        body: { changes: [{ field: 'weightKg', from: pick % 2 ? null : 20, to: 10 + (pick % 30) }] },
      })
    else if (kind === 20)
      writes.push({ id, method: 'PUT', url: `/api/dogs/${dog}/notes/${nextId()}`, body: { kind: 'scar', text: 'x', on: '2026-10-01', ...by } })
    else if (kind === 21)
      writes.push({
        id,
        method: 'PUT',
        url: `/api/pieces/${nextId()}`,
        body: piece({ tag: `Peg ${pick}`, family: 'H11', wearerId: pick % 3 ? null : nextId() }),
      })
    else writes.push({ id, method: 'PUT', url: `/api/fitters/${nextId()}`, body: { name: `Fitter ${pick % 4}`, at: AT } })
  }
  return { writes, ticket }
}
