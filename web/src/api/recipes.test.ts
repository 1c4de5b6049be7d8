import { USUAL_SHOP, type Change, type Dog, type DogSheet, type Owner, type Piece, type ShopFields, type TicketSheet } from '@merry-tailor/core'
import { describe, expect, it } from 'vitest'
import { freshSheet, sheetRecipes, withWaiting } from './recipes'

const AT = '2026-10-05T09:00:00Z'
const write = (endpoint: string, arg: unknown) => ({ endpoint, arg })
const change = (field: string, from: unknown, to: unknown): Change[] => [{ field, from, to } as Change]
const sheet = (dog: Partial<Dog> | null = null): TicketSheet => ({ ...freshSheet('0190', { dogId: null, ownerId: null, counter: true, at: AT, by: '' }, null, null), dog: dog as Dog | null }) // prettier-ignore

describe('lists with what waits done over them', () => {
  it('have what was taken in here, once, and what was changed here', () => {
    const dogs = withWaiting('/dogs', [{ id: 'd1', name: 'Tern' }], [
      write('addDog', { id: 'd2', body: { name: 'Skua', at: AT } }),
      write('addDog', { id: 'd1', body: { name: 'Tern again', at: AT } }),
      write('changeDog', { id: 'd1', changes: change('weightKg', null, 21) }),
      write('changeDog', { id: 'gone', changes: change('weightKg', null, 9) }),
    ]) as Dog[] // prettier-ignore
    expect(dogs.map(({ id, name, weightKg }) => [id, name, weightKg ?? null])).toEqual([['d1', 'Tern', 21], ['d2', 'Skua', null]]) // prettier-ignore
    const owners = withWaiting('/owners', [], [write('addOwner', { id: 'o1', body: { name: 'Runa', at: AT } }), write('changeOwner', { id: 'o1', changes: change('contact', '', 'at the mill') })]) as Owner[] // prettier-ignore
    expect(owners).toMatchObject([{ name: 'Runa', contact: 'at the mill', notes: '' }])
    const pieces = withWaiting('/pieces', [], [write('addPiece', { id: 'p1', body: { tag: 'Peg 4', at: AT } }), write('changePiece', { id: 'p1', changes: change('state', 'good', 'worn') })]) as Piece[] // prettier-ignore
    expect(pieces).toMatchObject([{ tag: 'Peg 4', state: 'worn', retired: null, createdAt: AT }])
  })

  it('show the shop’s fields as they were set here', () => {
    const shop = withWaiting('/shop', { ...USUAL_SHOP }, [write('changeShop', change('paper', 'A4', 'Letter'))]) as ShopFields
    expect(shop).toEqual({ ...USUAL_SHOP, paper: 'Letter' })
  })

  it('are the answer itself where nothing waits, and never a changed one', () => {
    const answer = [{ id: 'd1', name: 'Tern' }]
    expect(withWaiting('/dogs', answer, [])).toBe(answer)
    const before = structuredClone(answer)
    withWaiting('/dogs', answer, [write('changeDog', { id: 'd1', changes: change('name', 'Tern', 'Skua') })])
    expect(answer).toEqual(before)
    expect(withWaiting('/dogs', null, [write('addDog', { id: 'd2', body: { name: 'Skua', at: AT } })])).toBeNull()
  })
})

describe('a dog’s page with what waits done over it', () => {
  const page = (): DogSheet => ({ dog: { id: 'd1', name: 'Tern' }, notes: [{ id: 'n1', text: 'Limps' }], tickets: [sheet({ id: 'd1', name: 'Tern' })] }) as unknown as DogSheet // prettier-ignore

  it('has new notes, changed fields, and its tickets’ own acts', () => {
    const shown = withWaiting('/dogs/d1', page(), [
      write('changeDog', { id: 'd1', changes: change('coat', null, 'wire') }),
      write('addDogNote', { dogId: 'd1', id: 'n2', body: { text: 'Chafe behind the elbow' } }),
      write('addDogNote', { dogId: 'another', id: 'n3', body: { text: 'not hers' } }),
      write('addItem', { ticketId: '0190', id: 'i1', body: { family: 'H01', at: AT } }),
    ]) as DogSheet // prettier-ignore
    expect(shown.dog.coat).toBe('wire')
    expect(shown.notes.map(({ id }) => id)).toEqual(['n1', 'n2'])
    expect(shown.notes[1]).toMatchObject({ over: null })
    expect(shown.tickets[0]).toMatchObject({ dog: { coat: 'wire' }, items: [{ id: 'i1', removed: false, createdAt: AT }] })
  })
})

describe('a ticket with what waits done over it', () => {
  it('takes its dog and owner from what waits too', () => {
    const shown = withWaiting('/tickets/0190', sheet(), [
      write('addDog', { id: 'd9', body: { name: 'Skua', ownerId: 'o9', at: AT } }),
      write('addOwner', { id: 'o9', body: { name: 'Runa', at: AT } }),
      write('changeTicket', { ticketId: '0190', changes: change('dogId', null, 'd9') }),
    ]) as TicketSheet // prettier-ignore
    expect([shown.dog?.name, shown.owner?.name]).toEqual(['Skua', 'Runa'])
  })

  it('keeps one row to an id, the newest word of it, for every part', () => {
    const one = sheet()
    sheetRecipes.addItem(one, { ticketId: '0190', id: 'i1', body: { family: 'H01', way: 'stock', school: null, at: AT } })
    sheetRecipes.addItem(one, { ticketId: '0190', id: 'i1', body: { family: 'H01', way: 'made', school: null, at: AT } })
    sheetRecipes.changeItem(one, { ticketId: '0190', id: 'i1', changes: change('removed', false, true) })
    sheetRecipes.changeItem(one, { ticketId: '0190', id: 'none', changes: change('removed', false, true) })
    expect(one.items).toMatchObject([{ id: 'i1', way: 'made', removed: true }])
    const round = { ticketId: '0190', id: 'r1', body: { itemId: 'i1', at: AT } as never }
    sheetRecipes.addTryOn(one, round)
    sheetRecipes.addObservation(one, { ticketId: '0190', roundId: 'r1', id: 's1', body: { check: 'no-sway' } as never })
    sheetRecipes.addSymptomNote(one, { ticketId: '0190', roundId: 'r1', id: 'y1', body: { symptom: 'S24' } as never })
    // A round told once more keeps what was seen in it; what belongs to no round is nowhere.
    sheetRecipes.addTryOn(one, round)
    sheetRecipes.addObservation(one, { ticketId: '0190', roundId: 'none', id: 's2', body: { check: 'no-sway' } as never })
    expect(one.tryOns).toMatchObject([{ id: 'r1', observations: [{ id: 's1' }], symptoms: [{ id: 'y1' }] }])
  })
})
