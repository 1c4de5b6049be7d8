import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { anItem, aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { notPinned } from '../../bench'
import { MeasuringForm } from './MeasuringForm'
import { QuickEntry } from './QuickEntry'

withTestShop()
const box = (name: string): HTMLInputElement => screen.getByLabelText<HTMLInputElement>(name)

describe('the measuring form', () => {
  it('has a drawn path, three boxes and the methods for each tape of the wish list', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'H11', way: 'made', school: 'A' })] }), 'form', <MeasuringForm />)
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
    renderStage(aTicket(), 'form', <MeasuringForm />)
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
    fireEvent.click(screen.getByRole('button', { name: 'Pin 3 readings' }))
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
