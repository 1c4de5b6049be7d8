import type { Choice, Piece, SizeTable } from '@merry-tailor/core'
import { fireEvent, screen, waitFor } from '@testing-library/react'
import { expect, it } from 'vitest'
import { AT, aReading, anItem, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { ChooseStage } from './ChooseStage'

withTestShop()

it('a piece another ticket has stands behind what is free, says who has it, and is not booked twice', async () => {
  const table: SizeTable = { id: 'y', version: 1, name: 'Y', maker: 'Harbour Hems', family: 'H01', way: 'stock', unit: 'cm', between: null, lead: { minWeeks: 0, maxWeeks: 0 }, sizes: [{ label: 'XL', bands: { M07: [800, 900] } }] } // prettier-ignore
  const peg = (tag: string): Piece => ({ id: nextId(), tag, family: 'H01', maker: 'Harbour Hems', label: 'M', tableId: null, flat: { M07: [620, 680] }, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', retired: null, createdAt: AT }) // prettier-ignore
  const [out, free] = [peg('Peg 1'), peg('Peg 2')]
  testShop().sizeTables = [table]
  testShop().pieces = [out, free]
  const item = anItem()
  const at = new Date().toISOString()
  const choice: Choice = { kind: 'gear', id: nextId(), itemId: item.id, pieceId: out.id, rulesVersion: null, predicted: [], overruled: null, at, by: 'Ylva' }
  testShop().tickets = [aTicket({ ticket: { number: 103 }, items: [item], choices: [choice], readings: [aReading('M07', 650)] })]
  renderStage(aTicket({ readings: [aReading('M07', 650), aReading('M07', 652)] }), 'choose', <ChooseStage />)
  await screen.findByRole('heading', { level: 1, name: /Peg 2 on Tern/ })
  await waitFor(() => expect(document.body.textContent).toMatch(/Out for ticket 103 until \w{3} \d+ \w{3}/))
  fireEvent.click(screen.getByRole('button', { name: /^Peg 1/ }))
  const press = await screen.findByRole('button', { name: /Try Peg 1/ })
  expect(press.className).not.toMatch(/\bbg-tape\b/)
  expect(press.textContent).toContain('out for ticket 103')
  fireEvent.click(press)
  expect((await screen.findByRole('alert')).textContent).toContain('Peg 1 is out for ticket 103')
})
