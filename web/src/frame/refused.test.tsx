import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { Provider } from 'react-redux'
import { describe, expect, it } from 'vitest'
import { deviceStore } from '../api/device-store'
import type { RefusedWrite } from '../api/kept'
import { outbox } from '../api/outbox'
import { AT, aDog, aTicket, testShop, withTestShop } from '../test/shop'
import { Refused } from './Refused'
import { store } from '../state/store'

withTestShop()
const DOG = '01900000-0000-7000-8000-0000000000d1'

async function refused(write: Partial<RefusedWrite>): Promise<void> {
  const whole: RefusedWrite = {
    seq: 7,
    shape: 2,
    id: '01900000-0000-7000-8000-0000000000f7',
    book: null,
    skewMs: 0,
    endpoint: 'changeDog',
    arg: { id: DOG, changes: [{ field: 'weightKg', from: 20, to: 22 }] },
    request: { url: `/dogs/${DOG}`, method: 'PATCH', body: { changes: [{ field: 'weightKg', from: 20, to: 22 }] } },
    at: AT,
    problem: { code: 'stale-edit', conflicts: [{ field: 'weightKg', yours: 22, theirs: 21 }] },
    ...write,
  }
  testShop().dogs = [aDog({ id: DOG, weightKg: 21 })]
  await (await deviceStore()).put('refused', whole)
  await outbox.refresh()
  render(
    <Provider store={store}>
      <Refused />
    </Provider>,
  )
}
describe('what the server refused later', () => {
  it('shows both values of a field and sends ours against theirs', async () => {
    await refused({})
    expect(await screen.findByText(/meanwhile somebody set it to “21”; here it was set to “22”/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine' }))
    await waitFor(() =>
      expect(testShop().sent).toEqual([{ method: 'PATCH', path: `/dogs/${DOG}`, body: { changes: [{ field: 'weightKg', from: 21, to: 22 }] } }]),
    )
    await waitFor(async () => expect(await (await deviceStore()).count('refused')).toBe(0))
  })

  it('A29 quotes words once', async () => {
    await refused({
      arg: { id: DOG, changes: [{ field: 'notes', from: 'calm', to: 'Pulls “hard”' }] },
      problem: { code: 'stale-edit', conflicts: [{ field: 'notes', yours: 'Pulls “hard”', theirs: 'shy of "tapes"' }] },
    })
    const said = screen.getByText(/meanwhile somebody set it to/).textContent
    expect(said).toContain('set it to “shy of "tapes"”; here it was set to “Pulls “hard””')
    expect(said).not.toMatch(/“"|\\"|"”(?!;)/)
  })

  it('lets theirs stand when that is chosen', async () => {
    await refused({})
    fireEvent.click(screen.getByRole('button', { name: 'Take theirs' }))
    await waitFor(async () => expect(await (await deviceStore()).count('refused')).toBe(0))
    expect(testShop().sent).toEqual([])
  })

  it('names a reading that could not go in, and sends it again when it can', async () => {
    const sheet = aTicket()
    testShop().tickets = [sheet]
    const id = '01900000-0000-7000-8000-0000000000e1'
    const url = `/tickets/${sheet.ticket.id}/readings/${id}`
    const body = { measure: 'M07', mm: 690, side: 'both', asTyped: '69', unit: 'cm', method: 'tape', takenAt: AT, by: '' }
    await refused({
      endpoint: 'act',
      arg: { ticketId: sheet.ticket.id, act: { act: 'read', id, body } },
      request: { url, method: 'PUT', body },
      problem: { code: 'ticket-closed', detail: 'Ticket 101 is closed. Open it again to change it.' },
    })
    expect(screen.getByText('Girth, largest 69.0 cm')).toBeDefined()
    expect(screen.getByText(/Ticket 101 is closed/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Send again' }))
    await waitFor(() => expect(testShop().sent[0]?.path).toBe(url))
    // Under a new id, so that the refusal kept for the old one is not the answer.
    await waitFor(async () => expect(await (await deviceStore()).count('outbox')).toBe(0))
    expect(await (await deviceStore()).count('refused')).toBe(0)
  })
})
