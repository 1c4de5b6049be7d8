import type { Choice, Piece } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDog, anItem, aReading, aTicket, AT, nextId, renderPage, testShop, withTestShop } from '../test/shop'
import { GearWorn } from '../dogs/GearWorn'
import { GearPage } from './GearPage'

withTestShop()
const aPiece = (over: Partial<Piece> = {}): Piece => ({
  id: nextId(), tag: 'Peg 1', family: 'H11', maker: 'Test', label: 'M', tableId: null, flat: {}, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', retired: null, createdAt: AT, ...over,
}) // prettier-ignore
const open = () => renderPage('/gear', '/gear', <GearPage />)
const changes = () =>
  testShop()
    .sent.filter((each) => each.method === 'PATCH')
    .map((each) => (each.body as { changes: { field: string; to: unknown }[] }).changes[0])

describe('U57 a piece laid flat', () => {
  it('is asked by its own parts, once where it is sewn, with how to lay it', async () => {
    testShop().pieces = [aPiece()]
    open()
    const flat = within(await screen.findByRole('region', { name: 'Laid flat' }))
    expect(flat.getByText(/neck ring away from you/)).toBeDefined()
    expect(flat.queryByLabelText(/^Longest/)).toBeNull()
    fireEvent.keyDown(flat.getByRole('combobox', { name: 'Part laid flat' }), { key: 'ArrowDown' })
    expect((await screen.findAllByRole('option'))[0]?.textContent).toContain('Neck ring, inside')
    fireEvent.click(screen.getAllByRole('option')[0] as HTMLElement)
    fireEvent.change(flat.getByLabelText('Length, cm'), { target: { value: '59.7' } })
    fireEvent.submit(flat.getByLabelText('Length, cm'))
    await waitFor(() => expect(changes()).toContainEqual(expect.objectContaining({ field: 'flat', to: { M01: [597, 597] } })))
  })
})

describe('gear a dog wears', () => {
  it('stands on its page, with its state, and leads to the piece', async () => {
    const dog = aDog()
    testShop().dogs = [dog]
    testShop().pieces = [aPiece({ wearerId: dog.id, state: 'to-mend' }), aPiece({ tag: 'Other' })]
    const router = renderPage('/x', '/x', <GearWorn dogId={dog.id} />)
    const link = await screen.findByRole('link', { name: /Peg 1.*To mend/ })
    expect(screen.queryByText('Other')).toBeNull()
    fireEvent.click(link)
    await waitFor(() => expect(`${router.state.location.pathname}${router.state.location.search}`).toMatch(/^\/gear\?piece=/))
  })
})

describe('Gear', () => {
  it('takes in a piece by the name written on it, and not without one', async () => {
    open()
    await screen.findByText(/Nothing here yet/)
    fireEvent.click(screen.getByRole('button', { name: 'Add a piece' }))
    expect((await screen.findByRole('alert')).textContent).toContain('type that')
    fireEvent.change(screen.getByLabelText('Name written on the piece'), { target: { value: 'Peg 4' } })
    const add = screen.getByRole('button', { name: 'Add a piece' })
    fireEvent.click(add)
    fireEvent.click(add)
    await screen.findByRole('heading', { level: 1, name: 'Peg 4' })
    await waitFor(() => expect(testShop().sent[0]?.body).toMatchObject({ tag: 'Peg 4', family: 'H01', flat: {} }))
    expect(testShop().sent).toHaveLength(1)
  })

  it('keeps flat measures in the unit of the bench, and says at the field what is wrong', async () => {
    testShop().pieces = [aPiece({ family: 'H01' })]
    open()
    const flat = await screen.findByRole('region', { name: 'Laid flat' })
    const type = (label: string, value: string): void => void fireEvent.change(within(flat).getByLabelText(label), { target: { value } })
    const keep = (): void => void fireEvent.click(within(flat).getByRole('button', { name: 'Keep it' }))
    type('Shortest, cm', 'wide')
    keep()
    expect((await within(flat).findByRole('alert')).textContent).toContain('A length')
    type('Shortest, cm', '58')
    type('Longest, cm', '55')
    keep()
    expect(await within(flat).findByText(/Shorter than its shortest/)).toBeDefined()
    expect(within(flat).getByLabelText<HTMLInputElement>('Shortest, cm').value).toBe('58')
    type('Longest, cm', '')
    keep()
    await waitFor(() => expect(changes()).toEqual([{ field: 'flat', from: {}, to: { M01: [580, 580] } }]))
    expect(await within(flat).findByText('harness neck', { selector: 'span.text-mute' })).toBeDefined()
    fireEvent.click(within(flat).getByRole('button', { name: 'Remove Harness neck' }))
    await waitFor(() => expect(changes().at(-1)).toMatchObject({ to: {} }))
  })

  it('retires a car harness after a crash for good, and takes a worn one back', async () => {
    testShop().pieces = [aPiece({ tag: 'Car', family: 'H24' })]
    open()
    fireEvent.click(await screen.findByRole('button', { name: 'Was in a crash' }))
    await waitFor(() => expect(changes()[0]).toMatchObject({ field: 'retired', to: { why: 'crash' } }))
    expect(await screen.findByText(/stays out of use/)).toBeDefined()
    expect(screen.queryByRole('button', { name: 'Take it back into use' })).toBeNull()
  })

  it('offers a crash to nothing but gear for the car, and shows what the server refuses', async () => {
    testShop().pieces = [aPiece({ retired: { on: '2026-01-02', why: 'worn-out' } }), aPiece({ tag: 'Peg 2' })]
    open()
    await screen.findByRole('heading', { level: 1, name: 'Peg 2' })
    expect(screen.queryByRole('button', { name: 'Was in a crash' })).toBeNull()
    testShop().answers['PATCH /pieces'] = () => new Response('{"code":"stale-edit","detail":"The same field was changed meanwhile."}', { status: 409 })
    fireEvent.click(screen.getByRole('radio', { name: 'Worn' }))
    expect((await screen.findByRole('alert')).textContent).toContain('meanwhile')
    delete testShop().answers['PATCH /pieces']
    fireEvent.click(screen.getByRole('button', { name: /Peg 1/ }))
    fireEvent.click(await screen.findByRole('button', { name: 'Take it back into use' }))
    await waitFor(() => expect(changes().at(-1)).toMatchObject({ field: 'retired', to: null }))
  })
})

describe('a piece that is out', () => {
  it('names its ticket and its days, and is free once it is back', async () => {
    const item = anItem()
    const piece: Piece = { id: nextId(), tag: 'Peg 7', family: 'H01', maker: '', label: '', tableId: null, flat: {}, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', retired: null, createdAt: AT } // prettier-ignore
    testShop().pieces = [piece]
    const choice: Choice = {
      kind: 'gear',
      id: nextId(),
      itemId: item.id,
      pieceId: piece.id,
      rulesVersion: null,
      predicted: [],
      overruled: null,
      at: AT,
      by: 'Ylva',
    }
    testShop().tickets = [aTicket({ ticket: { number: 103 }, items: [item], choices: [choice], readings: [aReading('M07', 640)] })]
    renderPage(`/gear?piece=${piece.id}`, '/gear', <GearPage />)
    const out = await screen.findByRole('region', { name: 'Out' })
    await waitFor(() => expect(out.textContent).toContain('Ticket 103, Tern'))
    expect(out.textContent).toContain('since 5 October 2026')
    fireEvent.click(within(out).getByRole('button', { name: 'It is back' }))
    await waitFor(() =>
      expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', path: `/bookings/${choice.id}`, body: { changes: [{ field: 'backOn', from: null }] } }),
    )
    await waitFor(() => expect(within(out).queryByRole('button', { name: 'It is back' })).toBeNull())
  })
})

describe('how a piece is set', () => {
  it('stands by dog, with both sides where they differ, and is of this piece alone', async () => {
    const piece = aPiece({ family: 'H01' })
    testShop().pieces = [piece]
    const on = (dog: string, of: object, straps: object) => ({ dogId: nextId(), dog, of, family: 'H01', label: '', at: AT, straps })
    testShop().answers['GET /set-on-dogs'] = () =>
      Response.json([
        on('Thimble', { pieceId: piece.id }, { girth: { leftMm: 700, rightMm: 712 }, neck: { leftMm: 540, rightMm: 540 } }),
        on('Bobbin', { pieceId: nextId() }, { girth: { leftMm: 650, rightMm: 650 } }),
      ])
    open()
    const set = await screen.findByRole('region', { name: 'As it is set' })
    expect(set.textContent).toContain('On Thimble')
    expect(set.textContent).toContain('left and right differ')
    expect(set.textContent).toMatch(/Neck.*Girth strap/)
    expect(set.textContent).not.toContain('Bobbin')
  })
})

describe('flat measures as a list', () => {
  it('is shown before it is kept: a known tag changes, a new one comes in, and a bad cell is named', async () => {
    const piece = aPiece({ flat: { M01: [540, 540] } })
    testShop().pieces = [piece]
    open()
    const list = await screen.findByLabelText('List of pieces laid flat')
    const give = (text: string): void => void fireEvent.change(list, { target: { files: [new File([text], 'flats.csv', { type: 'text/csv' })] } })
    give('tag,family,unit,M01 from,M01 to\nPeg 1,H11,cm,55,54\n')
    expect((await screen.findByRole('alert')).textContent).toContain('line 2: M01 runs from the longer to the shorter')
    expect(testShop().sent).toEqual([])
    give('tag,family,unit,M01 from,M01 to\npeg 1,H11,cm,54.5,\nNail 9,H01,in,21,22 1/2\n')
    fireEvent.click(await screen.findByRole('button', { name: 'Keep them: peg 1, Nail 9' }))
    await waitFor(() => expect(testShop().sent).toHaveLength(2))
    expect(testShop().sent.map(({ method, body }) => [method, body])).toEqual([
      ['PATCH', expect.objectContaining({ changes: [{ field: 'flat', from: { M01: [540, 540] }, to: { M01: [545, 545] } }] })],
      ['PUT', expect.objectContaining({ tag: 'Nail 9', family: 'H01', flat: { M01: [533.4, 571.5] } })],
    ])
    expect(await screen.findByText('2 pieces kept.')).toBeDefined()
  })
})
