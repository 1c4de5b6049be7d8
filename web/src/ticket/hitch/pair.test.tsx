import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Dog, Rig } from '@merry-tailor/core'
import { aDog, anItem, aReading, AT, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { FIRST_CART } from '../../rigs'
import { PairRoom } from './PairRoom'

withTestShop()
const cart: Rig = { ...FIRST_CART, massKg: 140, name: 'Ash cart', id: nextId(), createdAt: AT }
let other: Dog
beforeEach(() => {
  other = aDog({ id: nextId(), name: 'Gannet', weightKg: 26 })
  testShop().answers['GET /rigs'] = () => Response.json([cart])
  testShop().dogSheets[other.id] = {
    dog: other,
    owner: null,
    tickets: [],
    notes: [],
    photos: [],
    weighings: [],
    outings: [],
    tracings: [],
    bootOutings: [],
    joins: [],
  }
})
const sheet = () => aTicket({ items: [anItem({ family: 'H23' })], readings: [aReading('M07', 820), aReading('M07', 822), aReading('M00', 40, { unit: 'kg' })] })
const title = () => screen.getByRole('heading', { level: 1 }).textContent
const shares = (): number[] => [...title().matchAll(/(\d[\d.]*)\s*(?:lb|kg)/g)].map(([, each]) => Number(each))
const beside = async (name: string): Promise<void> => {
  await waitFor(() => {
    // Before the dogs are known the list is empty.
    if (!screen.queryByRole('listbox')) fireEvent.keyDown(screen.getByRole('combobox', { name: /^Beside/ }), { key: 'Enter' })
    fireEvent.click(screen.getByRole('option', { name }))
  })
}

describe('two dogs before one rig', () => {
  it('asks who goes beside, then shares the pull evenly, and says where the pin goes by their weights', async () => {
    renderStage(sheet(), 'pair', <PairRoom />)
    await waitFor(() => expect(title()).toBe('Who goes beside Tern?'))
    await beside('Gannet')
    await waitFor(() => expect(title()).toMatch(/^Tern pulls .*, Gannet /))
    const [left, right] = shares()
    expect([left, (left ?? 0) > 0]).toEqual([right, true])
    // The heavier pulls more on the shorter arm: the pin goes to its side.
    expect(screen.getByText(/By their weights the pin goes .* to the left/)).toBeDefined()
  })

  it('moves the shares with the arms, says what no evener reaches, and is locked with the set-up', async () => {
    renderStage(sheet(), 'pair', <PairRoom />)
    await beside('Gannet')
    await waitFor(() => expect(title()).toMatch(/^Tern pulls/))
    fireEvent.change(screen.getByLabelText(/^Left arm, pin to eye/), { target: { value: '9' } })
    await waitFor(() => {
      const [left, right] = shares()
      expect(left).toBeGreaterThan(right ?? 0)
    })
    const lead = screen.getByLabelText(/^One dog ahead/)
    fireEvent.change(lead, { target: { value: '60' } })
    await waitFor(() => expect(title()).toBe('One dog is further ahead than the evener reaches'))
    fireEvent.change(lead, { target: { value: '1' } })
    await waitFor(() => expect(title()).toMatch(/^Tern pulls/))
    // The rig is only told of here, so the writes are answered here too.
    testShop().answers['PUT /tickets/'] = (body) => Response.json(body)
    fireEvent.click(screen.getByRole('button', { name: /^Lock this set-up/ }))
    await waitFor(() => expect(testShop().sent.filter(({ path }) => path.includes('/choices/'))).toHaveLength(1))
    const setUp = testShop().sent.find(({ path }) => path.includes('/set-ups/'))
    expect(setUp?.body).toMatchObject({ pair: { dogId: other.id, side: 'left' } })
  })
})
