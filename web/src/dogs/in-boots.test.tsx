import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { AT, aDog, anItem, aTicket, nextId, renderPage, testShop, withTestShop } from '../test/shop'
import { DogPage } from './DogPage'

withTestShop()
const sent = (part: string) => testShop().sent.filter(({ path }) => path.includes(part))
const fine = { worn: false, lost: false, seen: [] }

describe('boots on a dog’s page', () => {
  it('says what comes next in getting used to them, lists the outings, and takes a new one', async () => {
    const dog = aDog()
    const outing = { id: nextId(), on: '2026-10-04', km: 0.2, footing: 'indoor' as const, minutes: 2, paws: { 'front-left': fine, 'front-right': { ...fine, worn: true } }, note: '', removed: false, at: AT, by: 'Ylva' } // prettier-ignore
    testShop().tickets.push(aTicket({ dog, items: [anItem({ family: 'B2' })], bootOutings: [outing] }))
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const boots = await screen.findByRole('region', { name: 'In boots' })
    // Two clean minutes indoors in one pair: all four next, five minutes.
    expect(boots.textContent).toContain('step 2 of 4: all four, indoors, 5 min')
    expect(within(boots).getByRole('list', { name: 'Outings in boots' }).textContent).toContain('worn through right front')
    fireEvent.click(within(boots).getByRole('button', { name: /^Back from an outing/ }))
    fireEvent.click(within(boots).getByRole('radio', { name: 'Rock' }))
    fireEvent.click(within(boots).getByRole('button', { name: 'Keep this outing' }))
    await waitFor(() => expect(sent('/boot-outings/')).toHaveLength(1))
    expect(sent('/boot-outings/')[0]?.body).toMatchObject({ footing: 'rock' })
  })

  it('a dog without boots has no such part', async () => {
    const dog = aDog()
    testShop().tickets.push(aTicket({ dog, items: [anItem({ family: 'H01' })] }))
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    await screen.findByRole('heading', { name: 'Every reading by date' })
    expect(screen.queryByRole('region', { name: 'In boots' })).toBeNull()
  })
})
