import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { Provider } from 'react-redux'
import { beforeEach, describe, expect, it } from 'vitest'
import { deviceStore, type RefusedWrite } from '../api/device-store'
import { AT, testShop, withTestShop } from '../test/shop'
import { Refused } from './Refused'
import { outboxChanged } from './saving'
import { store } from './store'

withTestShop()

async function refused(write: Partial<RefusedWrite>): Promise<void> {
  const whole: RefusedWrite = {
    seq: 7,
    endpoint: 'changeDog',
    arg: { id: 'd', changes: [{ field: 'weightKg', from: 20, to: 22 }] },
    request: { url: '/dogs/d', method: 'PATCH', body: { changes: [{ field: 'weightKg', from: 20, to: 22 }] } },
    at: AT,
    problem: { code: 'stale-edit', conflicts: [{ field: 'weightKg', yours: 22, theirs: 21 }] },
    ...write,
  }
  await (await deviceStore()).put('refused', whole)
  store.dispatch(outboxChanged({ waiting: 0, reached: true, refused: [whole] }))
  render(
    <Provider store={store}>
      <Refused />
    </Provider>,
  )
}
beforeEach(() => {
  store.dispatch(outboxChanged({ waiting: 0, reached: true, refused: [] }))
})

describe('what the server refused later', () => {
  it('shows both values of a field and sends ours against theirs', async () => {
    await refused({})
    expect(screen.getByText(/meanwhile somebody set it to “21”; here it was set to “22”/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine' }))
    await waitFor(() => expect(testShop().sent).toEqual([{ method: 'PATCH', path: '/dogs/d', body: { changes: [{ field: 'weightKg', from: 21, to: 22 }] } }]))
    expect(await (await deviceStore()).count('refused')).toBe(0)
  })

  it('lets theirs stand when that is chosen', async () => {
    await refused({})
    fireEvent.click(screen.getByRole('button', { name: 'Take theirs' }))
    await waitFor(async () => expect(await (await deviceStore()).count('refused')).toBe(0))
    expect(testShop().sent).toEqual([])
  })

  it('names a reading that could not go in, and sends it again when it can', async () => {
    const body = { measure: 'M07', mm: 690, side: 'both', asTyped: '69', unit: 'cm', method: 'tape', takenAt: AT, by: '' }
    await refused({
      endpoint: 'act',
      arg: { ticketId: 't', act: { act: 'read', id: 'r', body } },
      request: { url: '/tickets/t/readings/r', method: 'PUT', body },
      problem: { code: 'ticket-closed', detail: 'Ticket 101 is closed. Open it again to change it.' },
    })
    expect(screen.getByText('Girth, largest 69.0 cm')).toBeDefined()
    expect(screen.getByText(/Ticket 101 is closed/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Send again' }))
    await waitFor(() => expect(testShop().sent[0]?.path).toBe('/tickets/t/readings/r'))
  })
})
