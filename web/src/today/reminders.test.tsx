import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it } from 'vitest'
import { aDog, renderPage, testShop, withTestShop } from '../test/shop'
import { Reminders } from './Reminders'

withTestShop()
const DOG = '01900000-0000-7000-8000-0000000000d1'

it('says who is to be measured again and why, who comes back, and opens a ticket', async () => {
  testShop().dogs = [aDog({ id: DOG })]
  testShop().answers['GET /reminders'] = () =>
    new Response(
      JSON.stringify({
        again: [
          {
            dogId: DOG,
            dog: 'Petrel',
            measuredOn: '2026-08-01',
            reasons: [
              { code: 'weight', urgency: 'now', since: '2026-08-01', facts: { fromKg: 20, toKg: 22 } },
              { code: 'coat-change', urgency: 'soon', since: '2026-10-02', facts: {} },
            ],
          },
        ],
        back: [{ ticketId: 't1', number: 104, dogId: DOG, dog: 'Skua', on: '2001-01-01', state: 'closed' }],
      }),
    )
  renderPage('/', '/', <Reminders />)
  expect(await screen.findByText('weight 20 kg then, 22 kg now; coat changed, 2 Oct')).toBeDefined()
  expect(screen.getByText('before use')).toBeDefined()
  expect(screen.getByText('Ticket 104, a look')).toBeDefined()
  fireEvent.click(screen.getByRole('button', { name: 'New ticket for Petrel' }))
  await waitFor(() => expect(testShop().sent[0]?.body).toMatchObject({ dogId: DOG, kind: 'real', by: 'Ylva' }))
})

it('says that nobody waits when nobody does', async () => {
  renderPage('/', '/', <Reminders />)
  expect(await screen.findByText(/^Nobody\./)).toBeDefined()
  expect(screen.getByText(/No look agreed/)).toBeDefined()
})
