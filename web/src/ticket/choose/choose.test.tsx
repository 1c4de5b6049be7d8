import type { SizeTable } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { aReading, anItem, aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { ChooseStage } from './ChooseStage'

withTestShop()

const table = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'plain-y',
  version: 1,
  name: 'Plain Y',
  maker: 'Harbour Hems',
  family: 'H01',
  way: 'stock',
  unit: 'cm',
  between: null,
  sizes: [
    { label: 'S', bands: { M07: [500, 600] } },
    { label: 'M', bands: { M07: [600, 700] } },
    { label: 'L', bands: { M07: [700, 800] } },
  ],
  lead: { minWeeks: 0, maxWeeks: 0 },
  ...over,
})
const twice = (measure: string, mm: number) => [aReading(measure, mm), aReading(measure, mm + 2)]
beforeEach(() => {
  testShop().sizeTables = [table()]
})
const choices = () =>
  testShop()
    .sent.filter((each) => each.path.includes('/choices/'))
    .map((each) => each.body as Record<string, unknown>)

describe('Choose', () => {
  it('predicts in prediction words, with the size in the band first, and keeps what was chosen', async () => {
    const router = renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    const heading = await screen.findByRole('heading', { level: 1, name: /M on Tern/ })
    expect(heading).toBeDefined()
    expect(document.body.textContent).toContain('Predicted. Nothing seen on the dog yet.')
    expect(document.body.textContent).not.toContain('Holds')
    expect(screen.getAllByText('Should hold').length).toBeGreaterThan(0)
    fireEvent.click(screen.getByRole('button', { name: /Try M/ }))
    await waitFor(() => expect(choices()[0]).toMatchObject({ tableId: 'plain-y', tableVersion: 1, labels: ['M'], overruled: null, by: 'Ylva' }))
    await waitFor(() => expect(router.state.location.pathname).toMatch(/try-on$/))
  })

  it('wants a reason for another size than the bench’s, and keeps both', async () => {
    renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'L', pressed: false }))
    expect(screen.getByText('against the bench’s advice')).toBeDefined()
    fireEvent.keyDown(document.body, { key: 'Enter' })
    expect((await screen.findByRole('alert')).textContent).toContain('Say why in a few words')
    fireEvent.change(screen.getByLabelText(/The bench would say: Try M/), { target: { value: 'Coming into coat' } })
    fireEvent.click(screen.getByRole('button', { name: /Try L/ }))
    await waitFor(() => expect(choices()[0]).toMatchObject({ labels: ['L'], overruled: { advised: 'Try M', why: 'Coming into coat' } }))
  })

  it('moves through the sizes by arrow keys', async () => {
    renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    await screen.findByRole('heading', { level: 1, name: /M on Tern/ })
    const labels = within(screen.getByRole('table'))
      .getAllByRole('button')
      .map((each) => each.textContent)
    fireEvent.keyDown(document.body, { key: 'ArrowDown' })
    const next = labels[labels.findIndex((label) => label.startsWith('M')) + 1] ?? ''
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain(`${next} on Tern`)
  })

  it('says what waits: a tape, a table, an item', async () => {
    renderStage(aTicket(), 'choose', <ChooseStage />)
    expect(await screen.findByText(/No tape yet\. Take one under Measure/)).toBeDefined()
  })

  it('has no size where no table serves', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'C1' })], readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    expect(await screen.findByText(/No size table serves this item/)).toBeDefined()
  })

  it('says to choose an item first', async () => {
    renderStage(aTicket({ items: [] }), 'choose', <ChooseStage />)
    expect(await screen.findByText('Nothing to size yet')).toBeDefined()
  })

  it('goes on to the next item that waits', async () => {
    testShop().sizeTables.push(table({ id: 'tow', family: 'H11', maker: 'Tow Loft', name: 'Tow', sizes: [{ label: '40', bands: { M01: [400, 480] } }] }))
    const items = [anItem(), anItem({ family: 'H11' })]
    renderStage(aTicket({ items, readings: [...twice('M07', 650), ...twice('M01', 440)] }), 'choose', <ChooseStage />)
    fireEvent.click(await screen.findByRole('button', { name: /Try M/ }))
    expect(await screen.findByRole('heading', { level: 1, name: /40 on Tern/ })).toBeDefined()
    expect(screen.getByText(/Slack says nothing about a pulling harness/)).toBeDefined()
  })

  it('says when it is too late to order', async () => {
    testShop().sizeTables = [table({ lead: { minWeeks: 6, maxWeeks: 8 } })]
    renderStage(aTicket({ readings: twice('M07', 650), ticket: { neededOn: '2026-01-10' } }), 'choose', <ChooseStage />)
    expect(await screen.findByText(/Too late to order for/)).toBeDefined()
  })
})
