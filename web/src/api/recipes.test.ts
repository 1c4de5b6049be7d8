import { USUAL_SHOP, type Dog, type DogSheet, type DogsPage, type Fitter, type ShopFields, type SizeTable, type TicketSheet } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { aDog, anItem, AT, aTicket, nextId } from '../test/shop'
import { dogsPagePath } from './dogs-page'
import { heldBack } from './held-back'
import { touchedBy, type NamedWrite } from './named-writes'
import { mayTouch, withWrites } from './recipes'

const read = (ticketId: string, mm: number): NamedWrite => ({
  endpoint: 'act',
  arg: {
    ticketId,
    act: { act: 'read', id: nextId(), body: { measure: 'M07', mm, side: 'both', asTyped: '', unit: 'mm', method: 'tape', takenAt: AT, by: '' } },
  },
})

describe('a ticket with what waits done over it', () => {
  it('a list is asked about by what could be in it alone', () => {
    const change: NamedWrite = { endpoint: 'changeDog', arg: { id: nextId(), changes: [] } }
    expect(['/shop', '/owners', '/dogs', '/dogs/page?limit=9', `/dogs/${nextId()}?newest=40`, '/copies'].map((path) => mayTouch(path, change))).toEqual([
      false,
      false,
      true,
      true,
      true,
      false,
    ])
  })

  it('is the answer itself where nothing touches it, and never a changed one', () => {
    const sheet = aTicket()
    const path = `/tickets/${sheet.ticket.id}`
    expect(withWrites(path, sheet, [])).toBe(sheet)
    expect(withWrites(path, sheet, [read(nextId(), 1)])).toBe(sheet)
    const over = withWrites(path, sheet, [read(sheet.ticket.id, 690)]) as TicketSheet
    expect([sheet.readings.length, over.readings.length]).toEqual([0, 1])
    expect([over.dog, over.items]).toEqual([sheet.dog, sheet.items])
  })

  it('shares with the answer whatever no write touches: a dog of years is not drawn anew for one reading', () => {
    const [dog, at] = [aDog(), aTicket()]
    const tickets = [aTicket({ dog }), aTicket({ dog })]
    const path = `/dogs/${dog.id}`
    const known: DogSheet = { dog, owner: null, tickets, notes: [], photos: [], weighings: [], outings: [], tracings: [], bootOutings: [], joins: [] }
    const over = withWrites(`${path}?newest=40`, known, [read(tickets[1]?.ticket.id ?? '', 690)]) as DogSheet
    expect(over.tickets[1]?.readings).toMatchObject([{ mm: 690 }])
    expect(over.tickets[0]).toBe(tickets[0])
    expect(over.dog).toBe(dog)
    expect(withWrites(path, known, [read(at.ticket.id, 1)])).toBe(known)
  })

  it('is made of what waits when nothing came from the server, with its dog and owner', () => {
    const [ticketId, dogId, ownerId] = [nextId(), nextId(), nextId()]
    const writes: NamedWrite[] = [
      { endpoint: 'addOwner', arg: { id: ownerId, body: { name: 'Runa', at: AT } } },
      { endpoint: 'addDog', arg: { id: dogId, body: { name: 'Skua', ownerId, at: AT } } },
      { endpoint: 'addTicket', arg: { id: ticketId, body: { dogId, ownerId: null, kind: 'real', at: AT, by: '' } } },
      { endpoint: 'act', arg: { ticketId, act: { act: 'item', id: nextId(), body: { family: 'H11', way: 'stock', school: null, at: AT } } } },
      read(ticketId, 700),
    ]
    const sheet = withWrites(`/tickets/${ticketId}`, null, writes) as TicketSheet
    expect(sheet).toMatchObject({
      ticket: { number: 0, kind: 'real' },
      dog: { name: 'Skua' },
      owner: { name: 'Runa' },
      items: [{ family: 'H11' }],
      readings: [{ mm: 700 }],
    })
    expect((withWrites(`/dogs/${dogId}`, null, writes) as DogSheet).tickets).toHaveLength(1)
    expect(withWrites(`/tickets/${nextId()}`, null, writes)).toBeNull()
  })
})

describe('lists and pages with what waits done over them', () => {
  it('have fitters, size tables and changed dogs: nothing done here vanishes', () => {
    const dog = aDog()
    const table = { id: 'y', version: 2 } as SizeTable
    const fitters = withWrites('/fitters', [], [{ endpoint: 'addFitter', arg: { id: nextId(), body: { name: 'Orrin', at: AT } } }]) as Fitter[]
    expect(fitters).toMatchObject([{ name: 'Orrin', gauge: null, left: false, createdAt: AT }])
    expect(withWrites('/size-tables', [{ id: 'y', version: 1 }], [{ endpoint: 'addSizeTable', arg: table }])).toMatchObject([{ version: 2 }, { version: 1 }])
    const changed = withWrites('/dogs', [dog], [{ endpoint: 'changeDog', arg: { id: dog.id, changes: [{ field: 'weightKg', from: 20.4, to: 21 }] } }]) as Dog[]
    expect([changed[0]?.weightKg, dog.weightKg]).toEqual([21, 20.4])
    const shop = withWrites('/shop', USUAL_SHOP, [{ endpoint: 'changeShop', arg: [{ field: 'name', from: '', to: 'Quay' }] }]) as ShopFields
    expect(shop.name).toBe('Quay')
  })

  it('have cars, and outings on the dog’s page and its tickets, newest day first, off the list and back', () => {
    const dog = aDog()
    const outing = (on: string) => ({ on, rung: 'wear' as const, calm: true, loadKg: null, minutes: null, rigId: null, note: '', at: AT, by: '' })
    const [first, second, rig] = [nextId(), nextId(), nextId()]
    const writes: NamedWrite[] = [
      { endpoint: 'addOuting', arg: { dogId: dog.id, id: first, body: outing('2026-03-04') } },
      { endpoint: 'addOuting', arg: { dogId: dog.id, id: second, body: outing('2026-03-01') } },
      { endpoint: 'changeOuting', arg: { dogId: dog.id, id: second, changes: [{ field: 'removed', from: false, to: true }] } },
    ]
    const sheet: DogSheet = { dog, owner: null, tickets: [], notes: [], photos: [], weighings: [], outings: [], tracings: [], bootOutings: [], joins: [] }
    const over = withWrites(`/dogs/${dog.id}`, sheet, writes) as DogSheet
    expect(over.outings.map(({ id, removed }) => [id, removed])).toEqual([[first, false], [second, true]]) // prettier-ignore
    const ticket = aTicket({ dog })
    expect((withWrites(`/tickets/${ticket.ticket.id}`, ticket, writes) as TicketSheet).outings).toHaveLength(2)
    const car = { name: 'Estate', ownerId: null, seats: [], notes: '', at: AT }
    expect(withWrites('/cars', [], [{ endpoint: 'addCar', arg: { id: first, body: car } }])).toMatchObject([{ id: first, name: 'Estate', createdAt: AT }])
    // An outing behind a rig waits for it.
    expect(touchedBy({ endpoint: 'addOuting', arg: { dogId: dog.id, id: first, body: { ...outing('2026-03-05'), rigId: rig } } }).needs).toEqual([dog.id, rig])
  })

  it('have notes, closed notes and photographs on the dog’s page', () => {
    const dog = aDog()
    const [noteId, photoId] = [nextId(), nextId()]
    const sheet: DogSheet = { dog, owner: null, tickets: [], notes: [], photos: [], weighings: [], outings: [], tracings: [], bootOutings: [], joins: [] }
    const writes: NamedWrite[] = [
      { endpoint: 'addDogNote', arg: { dogId: dog.id, id: noteId, body: { kind: 'scar', text: 'flank', on: '2026-10-01', at: AT, by: '' } } },
      { endpoint: 'changeDogNote', arg: { dogId: dog.id, id: noteId, changes: [{ field: 'over', from: null, to: '2026-10-05' }] } },
      { endpoint: 'addPhoto', arg: { dogId: dog.id, id: photoId, view: 'side', at: AT, by: '', picture: new Blob(['x'], { type: 'image/jpeg' }) } },
    ]
    const over = withWrites(`/dogs/${dog.id}`, sheet, writes) as DogSheet
    expect(over).toMatchObject({ notes: [{ kind: 'scar', over: '2026-10-05' }], photos: [{ id: photoId, view: 'side', bytes: 1 }] })
    // Done again over an answer that has them it changes nothing.
    expect(withWrites(`/dogs/${dog.id}`, over, writes)).toEqual(over)
  })
})

describe('what hangs on a refused write', () => {
  it('is the same record, what it would have made, and what needs that in turn', () => {
    const item = anItem()
    const ticketId = nextId()
    const kept = (seq: number, write: NamedWrite) => ({
      ...write,
      seq,
      shape: 2,
      id: nextId(),
      book: null,
      request: { url: '', method: 'PUT' as const, body: null },
      at: AT,
      skewMs: 0,
    })
    const round = nextId()
    const writes = [
      kept(2, { endpoint: 'act', arg: { ticketId, act: { act: 'try-on', id: round, body: { itemId: item.id, of: { named: true } } } } }),
      kept(3, { endpoint: 'act', arg: { ticketId, act: { act: 'observe', id: nextId(), roundId: round, body: {} } } }),
      kept(4, read(ticketId, 690)),
    ]
    const refused = { ...kept(1, { endpoint: 'act', arg: { ticketId, act: { act: 'item', id: item.id, body: {} } } }), problem: {} }
    expect([...heldBack(writes, [refused])]).toEqual([
      [2, 1],
      [3, 1],
    ])
    expect(touchedBy(writes[0]!)).toMatchObject({ record: round, makes: true, needs: [ticketId, item.id] })
  })
})

describe('a page of dogs', () => {
  const page = (dogs: Dog[]): DogsPage => ({ dogs, total: dogs.length })
  const path = dogsPagePath({ search: 'mo', owner: null, limit: 60 })
  const added = (id: string, name: string): NamedWrite => ({ endpoint: 'addDog', arg: { id, body: { name, at: AT } } })

  it('has a dog that so far is only here, at its place, where its name belongs to what was typed', () => {
    const shown = withWrites(path, page([aDog({ name: 'Amos' }), aDog({ name: 'Moss 10' })]), [added('a', 'Moss 2'), added('b', 'Heath')]) as DogsPage
    expect([shown.total, ...shown.dogs.map(({ name }) => name)]).toEqual([3, 'Amos', 'Moss 2', 'Moss 10'])
  })

  it('moves a dog that was given another name, or lets it go', () => {
    const dog = aDog({ name: 'Moss' })
    const renamed = (to: string): NamedWrite => ({ endpoint: 'changeDog', arg: { id: dog.id, changes: [{ field: 'name', from: 'Moss', to }] } })
    const before = page([dog, aDog({ name: 'Motte' })])
    expect((withWrites(path, before, [renamed('Smoke')]) as DogsPage).dogs.map(({ name }) => name)).toEqual(['Motte', 'Smoke'])
    expect(withWrites(path, before, [renamed('Heath')])).toMatchObject({ total: 1, dogs: [{ name: 'Motte' }] })
    expect(before.dogs[0]?.name).toBe('Moss')
  })
})
