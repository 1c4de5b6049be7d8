import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { anItem, aReading, aTicket, renderStage, withTestShop } from '../../test/shop'
import { SeatRoom } from './SeatRoom'

withTestShop()
const sheet = () => aTicket({ items: [anItem({ family: 'H24' })], readings: [aReading('M07', 690), aReading('M07', 692), aReading('M00', 25, { unit: 'kg' })] })

describe('the dog in its seat', () => {
  it('stops first: an air bag, a tether, a collar, a crash; and warns of what nobody tested', async () => {
    renderStage(sheet(), 'seat', <SeatRoom />)
    const notes = () => screen.queryAllByRole('note').map((each) => each.textContent)
    await screen.findByRole('heading', { level: 1, name: 'Tern in the car' })
    expect(notes()).toEqual([expect.stringContaining('Caution. Nobody says for how heavy a dog')])
    fireEvent.click(screen.getByRole('radio', { name: 'In front' }))
    await waitFor(() => expect(notes()[0]).toContain('Stop. Never before an air bag'))
    fireEvent.click(screen.getByRole('radio', { name: 'Surely off' }))
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
    const rows = within(table).getAllByRole('row').slice(1)
    const newton = (row: HTMLElement | undefined): number[] => [...(row?.textContent ?? '').matchAll(/(\d+\.\d) kN/g)].map(([, kn]) => Number(kn))
    // 25 kg from 48 km/h in half a metre: 10.7 kN taut and 12.9 kN with 15 cm of slack (derived).
    expect(newton(rows[0])[1]).toBeCloseTo(10.7, 1)
    expect(newton(rows[2])[1]).toBeCloseTo(12.9, 1)
    expect(table.textContent).toContain('past a new belt')
    const slack = screen.getByLabelText<HTMLInputElement>(/^Slack in the belt/)
    fireEvent.change(slack, { target: { value: 'much' } })
    expect(screen.getByText('Not a length yet.')).toBeDefined()
    expect(slack.value).toBe('much')
    const before = newton(rows[3])[1] ?? 0
    fireEvent.change(slack, { target: { value: '30 cm' } })
    await waitFor(() => expect(newton(within(table).getAllByRole('row')[4])[1]).toBeGreaterThan(before))
  })

  it('reads a claim, says what it does not say, and keeps the seat when it is left', async () => {
    const ticket = sheet()
    renderStage(ticket, 'seat', <SeatRoom />)
    fireEvent.change(await screen.findByLabelText('What its label or maker claims'), { target: { value: 'FMVSS 213, 30 mph, 4,000 lbf' } })
    expect(await screen.findByText(/48 km\/h, no weight, 17\.8 kN/)).toBeDefined()
    expect(screen.getByText(/it certifies no dog’s harness/)).toBeDefined()
    cleanup()
    renderStage(ticket, 'seat', <SeatRoom />)
    expect((await screen.findByLabelText<HTMLInputElement>('What its label or maker claims')).value).toContain('4,000 lbf')
    expect(screen.getAllByText(/☐/)).toHaveLength(6)
  })
})
