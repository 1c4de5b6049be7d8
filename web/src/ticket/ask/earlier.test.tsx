import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDog, anItem, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { AskStage } from './AskStage'

withTestShop()

describe('X16: a dog that has other tickets', () => {
  it('says which one is open, what it had before, and puts the same kind on this ticket', async () => {
    const dog = aDog()
    const had = anItem({ family: 'H13', way: 'made', school: 'A' })
    const at = '2025-09-12T09:00:00Z'
    const last = aTicket({
      dog,
      ticket: { number: 88, state: 'closed', createdAt: at },
      items: [had],
      choices: [
        {
          kind: 'made',
          id: nextId(),
          itemId: had.id,
          tableId: 'own',
          tableVersion: 1,
          rulesVersion: null,
          numbers: {},
          options: { colour: 'red' },
          predicted: [],
          overruled: null,
          at,
          by: 'Ylva',
        },
      ],
    })
    const open = aTicket({ dog, ticket: { number: 120 }, items: [] })
    const now = aTicket({ dog, items: [] })
    testShop().tickets = [last, open]
    renderStage(now, 'ask', <AskStage />)
    const earlier = await screen.findByRole('region', { name: 'Tern on other tickets' })
    await waitFor(() => expect(earlier.textContent).toContain('Ticket 120'))
    expect(within(earlier).getByRole('link', { name: 'Go on there' }).getAttribute('href')).toBe(`/tickets/${open.ticket.id}/measure`)
    expect(earlier.textContent).toContain('Had before: Open-back, made to measure, Made to measure, colour: red')
    expect(earlier.textContent).toContain('12 September 2025, ticket 88')
    fireEvent.click(within(earlier).getByRole('button', { name: 'The same again: Open-back' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ family: 'H13', way: 'made', school: 'A' }))
  })
})
