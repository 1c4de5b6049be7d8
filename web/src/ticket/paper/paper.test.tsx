import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { DUE, tapesFor, type Choice, type SizeTable } from '@merry-tailor/core'
import { anItem, aReading, aTicket, AT, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { notPinned } from '../../bench'
import { AskBack } from './AskBack'
import { MeasuringSheet } from './MeasuringSheet'
import { DressingCards } from './DressingCards'
import { OrderSheet } from './OrderSheet'
import { QuickEntry } from './QuickEntry'

withTestShop()
const box = (name: string): HTMLInputElement => screen.getByLabelText<HTMLInputElement>(name)

describe('U03: the order sheet', () => {
  it('has exactly the maker’s tapes in the maker’s own unit, both dates, what was said, and the readings behind each number', async () => {
    const item = anItem({ family: 'H11', way: 'made' })
    const inches: SizeTable = { id: 'cut', version: 2, name: 'Cut', maker: 'Fell Loft', family: 'H11', way: 'made', unit: 'in', school: 'A', between: null, lead: { minWeeks: 6, maxWeeks: 10 }, sizes: [{ label: 'To measure', bands: { M01: [300, 900], M13: [300, 1200] } }] } // prettier-ignore
    testShop().sizeTables = [inches]
    const choice: Choice = {
      kind: 'made', id: nextId(), itemId: item.id, tableId: 'cut', tableVersion: 2, rulesVersion: null, numbers: { M01: 406.4, M13: 609.6 },
      options: { Colour: 'red', 'Needed by': '2027-02-14', [DUE]: '2027-01-08 to 2027-02-05' }, predicted: [], overruled: null, at: AT, by: 'Ylva',
    } // prettier-ignore
    const readings = [aReading('M01', 203.2, { side: 'one', asTyped: '8', unit: 'in' }), aReading('M13', 609.6, { asTyped: '24 in', unit: 'in' })]
    renderStage(aTicket({ items: [item], readings, choices: [choice] }), 'order', <OrderSheet />)
    const rows = (await screen.findAllByRole('row')).slice(1)
    expect(rows.map((row) => row.textContent)).toEqual([
      expect.stringMatching(/M01 Harness neck.*The whole of it, both sides\..*16 in.*40\.6 cm.*8 in one side/),
      expect.stringMatching(/M13 Overall pulling length.*24 in.*61\.0 cm.*24 in/),
    ])
    const sheet = document.body.textContent
    expect(sheet).toContain('To Fell Loft, by “Cut”, version 2, school A')
    for (const said of ['Colour:red', 'Needed by:14 February 2027', 'Expected:8 January 2027 to 5 February 2027']) expect(sheet).toContain(said)
    expect(sheet).not.toContain(DUE + ':')
    expect(sheet).toContain('nothing here was converted')
  })

  it('says where an order comes from while none is made', async () => {
    renderStage(aTicket(), 'order', <OrderSheet />)
    expect(await screen.findByText('Nothing is ordered yet')).toBeDefined()
  })
})

describe('the cards to take home', () => {
  it('are a page for each item: on, set, off and out at once, in the kind’s own order', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'H09' }), anItem({ family: 'H11' })] }), 'cards', <DressingCards />)
    const assist = await screen.findByRole('region', { name: 'Multi-strap assist' })
    expect(assist.className).toContain('break-after-page')
    const set = within(assist).getByRole('region', { name: /Set in this order/ })
    const order = within(set)
      .getAllByRole('listitem')
      .map((step) => step.textContent.toLowerCase())
    expect(order.findIndex((step) => step.includes('belly'))).toBeLessThan(order.findIndex((step) => step.includes('neck')))
    const cross = screen.getByRole('region', { name: 'Full cross-back' })
    expect(within(within(cross).getByRole('region', { name: 'Off' })).getAllByRole('listitem')[0]?.textContent).toMatch(/line/i)
    expect(cross.className).not.toContain('break-after-page')
  })
})

describe('the ask-back page', () => {
  const walking = (readings: ReturnType<typeof aReading>[]) => aTicket({ items: [anItem({ family: 'H01', way: 'stock' })], readings })

  it('U32 says that nothing is to ask where every tape is in, and what to choose where nothing was', async () => {
    const needed = [...new Set(tapesFor([{ family: 'H01', way: 'stock', school: null }]).flatMap((tape) => (tape.need === 'must' ? [tape.measure] : [])))]
    renderStage(walking(needed.flatMap((id) => [aReading(id, 500), aReading(id, 501)])), 'ask-back', <AskBack />)
    expect(await screen.findByText(/Nothing to ask: all \d+ tapes are here\./)).toBeDefined()
    expect(document.body.textContent).not.toContain('Choose an item')
    cleanup()
    renderStage(aTicket({ items: [] }), 'ask-back', <AskBack />)
    expect(await screen.findByText(/Nothing is asked yet: .* Choose an item under Ask/)).toBeDefined()
  })

  it('X06 lists each number that came once, as it was sent, with one box for it again', async () => {
    const needed = [...new Set(tapesFor([{ family: 'H01', way: 'stock', school: null }]).flatMap((tape) => (tape.need === 'must' ? [tape.measure] : [])))]
    renderStage(walking(needed.map((id, i) => aReading(id, 500 + i, { asTyped: `${50 + i} cm` }))), 'ask-back', <AskBack />)
    expect(await screen.findByText(/Please measure each once more, without looking at the first/)).toBeDefined()
    const rows = screen.getAllByRole('row').filter((row) => /5\d cm/.test(row.textContent))
    expect(rows).toHaveLength(needed.length)
    for (const row of rows) expect(row.querySelectorAll('.write')).toHaveLength(1)
  })
})

describe('the measuring form', () => {
  it('has a drawn path, three boxes and the methods for each tape of the wish list', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'H11', way: 'made', school: 'A' })] }), 'form', <MeasuringSheet />)
    const rows = (await screen.findAllByRole('row')).slice(1)
    expect(rows.map((row) => /\d\. ([^M]+)M\d\d/.exec(row.textContent)?.[1]?.trim())).toEqual(['Harness neck', 'Last rib, under-route', 'Rib to tail'])
    for (const row of rows) {
      expect(row.querySelectorAll('svg')).toHaveLength(1)
      expect(row.querySelectorAll('.write')).toHaveLength(3)
      expect(within(row).getByText(/by a garment/)).toBeDefined()
    }
    expect(rows[0]?.textContent).toContain('one side')
    expect(rows[1]?.textContent).toContain('through one chalk mark')
  })

  it('prints on the paper chosen', async () => {
    renderStage(aTicket(), 'form', <MeasuringSheet />)
    fireEvent.click(await screen.findByRole('radio', { name: 'Letter' }))
    await waitFor(() => expect(document.querySelector('style')?.textContent).toContain('size: Letter'))
    expect(document.querySelector('.paper-letter')).not.toBeNull()
  })
})

describe('the quick entry', () => {
  it('goes from box to box with Enter and pins all in order', async () => {
    renderStage(aTicket(), 'quick', <QuickEntry />)
    await screen.findByLabelText('Harness neck, 1. reading')
    fireEvent.change(box('Harness neck, 1. reading'), { target: { value: '27,6' } })
    fireEvent.keyDown(box('Harness neck, 1. reading'), { key: 'Enter' })
    expect(document.activeElement).toBe(box('Harness neck, 2. reading'))
    fireEvent.change(box('Sternum length, 1. reading'), { target: { value: '29' } })
    fireEvent.change(box('Girth, largest, 3. reading'), { target: { value: '27 1/2 in' } })
    fireEvent.click(screen.getByRole('button', { name: 'Pin 3 readings' }))
    // X07: whose numbers they are is asked, never taken for granted.
    expect((await screen.findByRole('alert')).textContent).toContain('Say who measured')
    expect(testShop().sent).toEqual([])
    fireEvent.click(screen.getByRole('button', { name: 'The owner' }))
    // Pressed twice by a hurried hand: each reading is kept once.
    const pin = screen.getByRole('button', { name: 'Pin 3 readings' })
    fireEvent.click(pin)
    fireEvent.click(pin)
    await screen.findByText('another stage')
    expect(testShop().sent.map((each) => each.body)).toMatchObject([
      { measure: 'M01', mm: 276, side: 'one', remark: 'From the paper form', by: 'The owner', heldBy: '' },
      { measure: 'M06', mm: 290, side: 'both' },
      { measure: 'M07', unit: 'in' },
    ])
    const times = testShop().sent.map((each) => (each.body as { takenAt: string }).takenAt)
    expect(times).toEqual([...times].sort())
  })

  it('names every bad box, keeps what was typed and pins nothing', async () => {
    renderStage(aTicket(), 'quick', <QuickEntry />)
    await screen.findByLabelText('Harness neck, 1. reading')
    fireEvent.change(box('Harness neck, 1. reading'), { target: { value: '27,6' } })
    fireEvent.change(box('Sternum length, 1. reading'), { target: { value: 'long' } })
    fireEvent.click(screen.getByRole('button', { name: 'Somebody else' }))
    fireEvent.click(screen.getByRole('button', { name: 'Pin 2 readings' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Can’t read that as a length')
    expect(document.activeElement).toBe(box('Sternum length, 1. reading'))
    expect([box('Harness neck, 1. reading').value, box('Sternum length, 1. reading').value]).toEqual(['27,6', 'long'])
    expect(testShop().sent).toEqual([])
  })

  it('leaves in its box what the server refused', async () => {
    testShop().answers['PUT /tickets'] = (body) =>
      (body as { measure: string }).measure === 'M06' ? new Response('{"code":"ticket-closed","detail":"Closed."}', { status: 409 }) : new Response('{}')
    renderStage(aTicket(), 'quick', <QuickEntry />)
    await screen.findByLabelText('Harness neck, 1. reading')
    fireEvent.change(box('Harness neck, 1. reading'), { target: { value: '27,6' } })
    fireEvent.change(box('Sternum length, 1. reading'), { target: { value: '29' } })
    fireEvent.click(screen.getByRole('button', { name: 'Somebody else' }))
    fireEvent.click(screen.getByRole('button', { name: 'Pin 2 readings' }))
    await waitFor(() => expect([box('Harness neck, 1. reading').value, box('Sternum length, 1. reading').value]).toEqual(['', '29']))
    expect(screen.getByText('1 pinned.')).toBeDefined()
  })

  it('X08 keeps what was typed when it is left, and takes it up again until it is pinned', async () => {
    const sheet = aTicket()
    renderStage(sheet, 'quick', <QuickEntry />)
    await screen.findByLabelText('Harness neck, 1. reading')
    fireEvent.change(box('Harness neck, 1. reading'), { target: { value: '27,6' } })
    fireEvent.click(screen.getByRole('button', { name: 'The owner' }))
    cleanup()
    expect(notPinned(sheet.ticket.id)).toBe(1)
    renderStage(sheet, 'quick', <QuickEntry />)
    await waitFor(() => expect(box('Harness neck, 1. reading').value).toBe('27,6'))
    fireEvent.click(screen.getByRole('button', { name: 'Pin 1 reading' }))
    await screen.findByText('another stage')
    expect(testShop().sent.at(-1)?.body).toMatchObject({ measure: 'M01', by: 'The owner' })
    expect(notPinned(sheet.ticket.id)).toBe(0)
  })
})
