import { openDB } from 'idb'
import 'fake-indexeddb/auto'
import { afterAll, describe, expect, it } from 'vitest'
import { AT, nextId } from '../test/shop'
import { deviceStore } from './device-store'
import { keptOfBefore, writeOfBefore } from './of-before'

const old = (endpoint: string, arg: object) => ({ seq: 3, endpoint, arg, request: { url: '/x', method: 'PUT' as const, body: null }, at: AT })

describe('what an earlier page kept', () => {
  it('is brought up to today’s acts: a size, a made piece, a round, a remedy by its place', () => {
    const choice = (labels: string[]) =>
      writeOfBefore(old('addChoice', { ticketId: 't', id: 'c', body: { itemId: 'i', tableId: 'y', tableVersion: 1, labels, overruled: null, at: AT, by: '' } }))
    expect(choice(['M'])?.arg).toMatchObject({ ticketId: 't', act: { act: 'choose', id: 'c', body: { kind: 'size', labels: ['M'] } } })
    expect(choice(['To measure'])?.arg).toMatchObject({ act: { body: { kind: 'made', tableId: 'y' } } })
    expect(choice(['M'])?.request).toMatchObject({ url: '/tickets/t/choices/c', method: 'PUT' })
    expect(writeOfBefore(old('addTryOn', { ticketId: 't', id: 'r', body: { itemId: 'i', tableId: '', tableVersion: null, label: 'M' } }))?.arg).toMatchObject({
      act: { act: 'try-on', body: { of: { named: true } } },
    })
    expect(writeOfBefore(old('addSymptomNote', { ticketId: 't', roundId: 'r', id: 's', body: { symptom: 'S25', remedy: 0 } }))?.arg).toMatchObject({
      act: { act: 'symptom', roundId: 'r', body: { remedy: null } },
    })
    expect(writeOfBefore(old('addTicket', { id: 't', body: { counter: true, at: AT } }))?.request.body).toEqual({ kind: 'counter', at: AT })
  })

  it('is set aside where nobody can tell what it was', () => {
    expect(writeOfBefore(old('somethingElse', { id: 'x' }))).toBeNull()
    expect(keptOfBefore('/tickets?state=open', [])).toBeNull()
    expect(keptOfBefore('/tickets/0190', null)).toBeNull()
  })

  it('keeps a ticket’s sheet with what has come since', () => {
    const sheet = { ticket: { id: 't', counter: true }, choices: [{ labels: ['To measure'] }], tryOns: [{ tableId: 'y', tableVersion: 2, symptoms: [] }] }
    expect(keptOfBefore('/tickets/0190', sheet)).toMatchObject({
      shape: 2,
      data: { ticket: { kind: 'counter' }, hitches: [], settings: [], choices: [{ kind: 'made' }], tryOns: [{ of: { tableId: 'y', tableVersion: 2 } }] },
    })
  })
})

describe('the device’s shelves of the first version', () => {
  afterAll(() => indexedDB.deleteDatabase('merry-tailor'))

  it('open with everything that waited on them, and an unreadable one is set aside', async () => {
    indexedDB.deleteDatabase('merry-tailor')
    const first = await openDB('merry-tailor', 1, {
      upgrade: (db) => {
        db.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true })
        db.createObjectStore('refused', { keyPath: 'seq' })
        db.createObjectStore('kept')
      },
    })
    const ticketId = nextId()
    await first.add('outbox', {
      endpoint: 'changeTicket',
      arg: { ticketId, changes: [{ field: 'notes', from: '', to: 'x' }] },
      request: { url: '/x', method: 'PATCH', body: null },
      at: AT,
    })
    await first.add('outbox', { endpoint: 'whatever', arg: {}, request: { url: '/x', method: 'PUT', body: null }, at: AT })
    await first.put('kept', [], '/tickets?state=open')
    await first.put('kept', [{ id: 'd' }], '/dogs')
    first.close()
    const db = await deviceStore()
    expect(await db.getAll('outbox')).toMatchObject([
      { shape: 2, endpoint: 'act', arg: { ticketId, act: { act: 'change' } }, request: { url: `/tickets/${ticketId}`, method: 'PATCH' } },
    ])
    expect([await db.count('unread'), await db.getAllKeys('kept')]).toEqual([1, ['/dogs']])
  })
})

describe('A30: a connection to the shelves that was closed', () => {
  it('gives way to a newer page, says so while it cannot be opened, and is opened anew when it can', async () => {
    const first = await deviceStore()
    await first.put('kept', { path: '/a', data: 1 } as never, '/a')
    // A newer page asks for the shelves: this one gives way.
    const newer = await openDB('merry-tailor', 99)
    newer.close()
    await new Promise((done) => setTimeout(done, 20))
    expect(() => first.transaction('kept')).toThrow()
    // The newest shape there is now is not ours: what keeps nothing says so, and does not hang.
    await expect(deviceStore()).rejects.toThrow()
    await new Promise((done) => (indexedDB.deleteDatabase('merry-tailor').onsuccess = done))
    const again = await deviceStore()
    await again.put('kept', { path: '/b', data: 2 } as never, '/b')
    expect(await again.getAllKeys('kept')).toEqual(['/b'])
    again.close()
  })
})
