import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Car, CarSeat } from '@merry-tailor/core'
import { anItem, aReading, AT, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { SeatRoom } from './SeatRoom'

withTestShop()
const place = (over: Partial<CarSeat>): CarSeat => ({
  name: 'Rear left', row: 'rear', outlet: { aheadMm: -90, leftMm: 260, upMm: 620 }, buckle: { aheadMm: 40, leftMm: -230, upMm: 40 }, frontSeatMm: 900, cushionMm: 500,
  airBag: 'none', ...over,
}) // prettier-ignore
const car: Car = {
  id: nextId(), createdAt: AT, name: 'Grey estate', ownerId: null, notes: '', space: null,
  seats: [place({}), place({ name: 'Front', row: 'front', airBag: 'unknown' }), place({ name: 'Front, bag off', row: 'front', airBag: 'off' })],
} // prettier-ignore
beforeEach(() => {
  testShop().answers['GET /cars'] = () => Response.json([car])
})
const sheet = () => aTicket({ items: [anItem({ family: 'H24' })], readings: [aReading('M07', 690), aReading('M07', 692), aReading('M00', 25, { unit: 'kg' })] })
const title = () => screen.getByRole('heading', { level: 1 }).textContent
const sitIn = async (name: string): Promise<void> => {
  fireEvent.keyDown(await screen.findByRole('combobox', { name: 'Car and place' }), { key: 'Enter' })
  fireEvent.click(await screen.findByRole('option', { name }))
}

describe('the dog in its seat', () => {
  it('stops first: an air bag, a tether, a collar, a crash; and warns of what nobody tested', async () => {
    renderStage(sheet(), 'seat', <SeatRoom />)
    const notes = () => screen.queryAllByRole('note').map((each) => each.textContent)
    await screen.findByRole('combobox', { name: 'Car and place' })
    expect(notes()).toEqual([expect.stringContaining('Caution. Nobody says for how heavy a dog')])
    await sitIn('Grey estate, front')
    await waitFor(() => expect(notes()[0]).toContain('Stop. Never before an air bag'))
    await sitIn('Grey estate, front, bag off')
    await waitFor(() => expect(notes()[0]).toContain('Caution. The front seat'))
    fireEvent.click(screen.getByRole('radio', { name: 'Left on' }))
    fireEvent.click(screen.getByRole('radio', { name: 'The collar' }))
    await waitFor(() =>
      expect(notes().slice(0, 2)).toEqual([expect.stringContaining('Take the lead off'), expect.stringContaining('Never held by the collar')]),
    )
  })

  it('shows forces by three stiffnesses, more with slack, and marks what is past a new belt', async () => {
    renderStage(sheet(), 'seat', <SeatRoom />)
    const table = await screen.findByRole('table')
    const cells = (row: number): number[] => within(within(table).getAllByRole('row')[row] as HTMLElement).getAllByRole('cell').slice(1).map((each) => parseFloat(each.textContent)) // prettier-ignore
    const slack = screen.getByRole<HTMLInputElement>('textbox', { name: /^Slack in the belt/ })
    fireEvent.change(slack, { target: { value: '15 cm' } })
    // 25 kg from 48 km/h in half a metre, usual give: 10.7 kN taut and 12.9 kN with 15 cm of slack (derived).
    await waitFor(() => expect(cells(2)[2]).toBeCloseTo(12.9, 1))
    expect(cells(2)[0]).toBeCloseTo(10.7, 1)
    expect(table.textContent).toContain('past a new belt')
    for (const row of [1, 2, 3]) expect(cells(row)).toEqual([...cells(row)].sort((a, b) => a - b))
    fireEvent.change(slack, { target: { value: 'much' } })
    expect(screen.getByText('Not a length yet.')).toBeDefined()
    expect(slack.value).toBe('much')
  })

  it('says how far the nose comes: further with slack, nearer a near front seat; lying it is across', async () => {
    renderStage(sheet(), 'seat', <SeatRoom />)
    const short = (): number => parseFloat(/stops ([\d.]+)/.exec(title())?.[1] ?? '0')
    await screen.findByRole('slider', { name: 'Slack in the belt' })
    const before = short()
    const handle = screen.getByRole('slider', { name: 'Slack in the belt' })
    for (let i = 0; i < 20; i++) fireEvent.keyDown(handle, { key: 'ArrowDown' })
    await waitFor(() => expect(title()).toMatch(/reaches the front seat|stops/))
    expect(title().includes('reaches') || short() < before).toBe(true)
    fireEvent.click(screen.getByRole('radio', { name: 'Lying' }))
    expect(await screen.findByText(/lying across, head inward/)).toBeDefined()
  })

  it('reads a claim, says what it does not say, counts the lines seen, and keeps the seat when it is left', async () => {
    const ticket = sheet()
    renderStage(ticket, 'seat', <SeatRoom />)
    fireEvent.change(await screen.findByLabelText('What its label or maker claims'), { target: { value: 'FMVSS 213, 30 mph, 4,000 lbf' } })
    expect(await screen.findByText(/48 km\/h, 17\.8 kN/)).toBeDefined()
    expect(screen.getByText(/Says not: what mass, how far the head went/)).toBeDefined()
    expect(screen.getByText(/it certifies no dog’s harness/)).toBeDefined()
    const lines = within(screen.getByRole('region', { name: 'Before you drive' }))
    expect(lines.getAllByRole('button')).toHaveLength(6)
    fireEvent.click(lines.getByRole('button', { name: /Slack drawn out/ }))
    expect(lines.getByText('1 of 6 seen')).toBeDefined()
    cleanup()
    renderStage(ticket, 'seat', <SeatRoom />)
    expect((await screen.findByLabelText<HTMLInputElement>('What its label or maker claims')).value).toContain('4,000 lbf')
    expect(screen.getByText('1 of 6 seen')).toBeDefined()
    // Another day it is looked at anew.
    cleanup()
    const place = `merry-tailor-draft-seat-${ticket.items[0]?.id ?? ''}`
    localStorage.setItem(place, JSON.stringify({ ...(JSON.parse(localStorage.getItem(place) ?? '{}') as object), seenOn: '2026-01-01' }))
    renderStage(ticket, 'seat', <SeatRoom />)
    expect(await screen.findByText('0 of 6 seen')).toBeDefined()
  })

  it('without a car draws a middling seat, says so, and takes one in for the owner', async () => {
    delete testShop().answers['GET /cars']
    renderStage(sheet(), 'seat', <SeatRoom />)
    expect(await screen.findByText(/a middling rear seat is drawn/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Add a car' }))
    await waitFor(() =>
      expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', path: expect.stringMatching(/^\/cars\//) as string, body: { name: 'Car 1' } }),
    )
  })
})
