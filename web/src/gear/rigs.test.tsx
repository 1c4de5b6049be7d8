import { fireEvent, screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Car, Rig } from '@merry-tailor/core'
import { rigToJson } from '@merry-tailor/core/formats'
import { NewRig } from '@merry-tailor/core/schemas'
import { FIRST_CART } from '../rigs'
import { AT, nextId, renderPage, testShop, withTestShop } from '../test/shop'

import { GearPage } from './GearPage'

withTestShop()
const cart: Rig = { ...FIRST_CART, name: 'Ash cart', id: nextId(), createdAt: AT }
const place = { aheadMm: -90, leftMm: 260, upMm: 620 }
const car: Car = {
  id: nextId(), createdAt: AT, name: 'Green estate', ownerId: null, notes: '', space: null,
  seats: [{ name: 'Rear left', row: 'rear', outlet: place, buckle: { aheadMm: 40, leftMm: -230, upMm: 40 }, frontSeatMm: 780, cushionMm: 500, airBag: 'none' }],
} // prettier-ignore
beforeEach(() => {
  testShop().answers['GET /rigs'] = () => Response.json([cart])
  testShop().answers['GET /cars'] = () => Response.json([car])
})
const bring = async (text: string): Promise<void> => {
  const input = await screen.findByLabelText<HTMLInputElement>('A rig as JSON')
  fireEvent.change(input, { target: { files: [new File([text], 'rig.json', { type: 'application/json' })] } })
}

describe('carts and cars under Gear', () => {
  it('draws a cart to scale, brings one in from JSON, and refuses a newer one with its reason', async () => {
    renderPage('/gear?view=carts', '/gear', <GearPage />)
    expect(await screen.findByRole('img', { name: /Ash cart from the side and from above/ })).toBeDefined()
    await bring(rigToJson({ ...cart, name: 'Loan cart' }).replace('"version": 1', '"version": 9'))
    expect((await screen.findByRole('alert')).textContent).toContain('newer')
    await bring(rigToJson({ ...cart, name: 'Loan cart' }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { name: 'Loan cart', axleMm: cart.axleMm } }))
  })

  it('takes in every kind of rig, and keeps a wagon’s own numbers', async () => {
    const wagon: Rig = { ...cart, id: nextId(), kind: 'wagon', name: 'Hay wagon', wheelbaseMm: 850, lockRad: 0.6 }
    testShop().answers['GET /rigs'] = () => Response.json([wagon])
    renderPage('/gear?view=carts', '/gear', <GearPage />)
    const lock = await screen.findByLabelText<HTMLInputElement>(/^Its front axle turns/)
    expect(lock.value).toBe('34')
    fireEvent.change(lock, { target: { value: '120' } })
    fireEvent.blur(lock)
    expect(await screen.findByText('From 3 to 85 degrees.')).toBeDefined()
    fireEvent.change(lock, { target: { value: '30' } })
    fireEvent.blur(lock)
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', body: { changes: [{ field: 'lockRad', from: 0.6 }] } }))
    for (const [kind, taken] of [
      ['Wagon', 'a wagon'],
      ['Runners', 'runners'],
      ['Drag', 'a drag'],
    ] as const) {
      fireEvent.keyDown(screen.getByRole('combobox', { name: 'Kind of rig' }), { key: 'Enter' })
      fireEvent.click(await screen.findByRole('option', { name: new RegExp(`^${kind}`) }))
      fireEvent.click(await screen.findByRole('button', { name: `Add ${taken}` }))
      await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { kind: kind.toLowerCase() } }))
      const { id: _, ...body } = testShop().sent.at(-1)?.body as Rig
      expect([kind, NewRig.safeParse(body).success]).toEqual([kind, true])
    }
  })

  it('draws a car’s place and keeps a tape of it when its field is left', async () => {
    renderPage('/gear?view=cars', '/gear', <GearPage />)
    expect(await screen.findByRole('img', { name: /Rear left from the side and from above/ })).toBeDefined()
    const front = screen.getByLabelText<HTMLInputElement>(/^Fold to the seat or dash ahead/)
    fireEvent.change(front, { target: { value: 'far' } })
    fireEvent.blur(front)
    expect(await screen.findByText(/A length, such as/)).toBeDefined()
    fireEvent.change(front, { target: { value: '81.5 cm' } })
    fireEvent.blur(front)
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', body: { changes: [{ field: 'seats', to: [{ frontSeatMm: 815 }] }] } }))
  })
})
