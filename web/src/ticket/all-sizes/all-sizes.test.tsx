import type { SizeTable } from '@merry-tailor/core'
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDog, aReading, anItem, aTicket, AT, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { AllSizesRoom } from './AllSizesRoom'

withTestShop()
const table = (id: string, family: SizeTable['family'], bands: [string, number, number][]): SizeTable => ({
  id, version: 1, name: id, maker: `Maker of ${id}`, family, way: 'stock', unit: 'cm', between: null, lead: { minWeeks: 0, maxWeeks: 0 },
  sizes: bands.map(([label, from, to]) => ({ label, bands: { M07: [from, to] } })),
}) // prettier-ignore
const twice = (mm: number) => [aReading('M07', mm), aReading('M07', mm + 2)]

describe('every size', () => {
  it('of every kind that suits, own pieces with them, best first, and of one kind alone', async () => {
    testShop().sizeTables = [table('y', 'H01', [['S', 500, 600], ['M', 610, 700]]), table('assist', 'H09', [['One', 600, 690]]), table('sled', 'H11', [['40', 600, 700]])] // prettier-ignore
    testShop().pieces = [
      { id: nextId(), tag: 'Peg 1', family: 'H01', maker: '', label: '', tableId: null, flat: { M07: [660, 690] }, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', retired: null, createdAt: AT },
      { id: nextId(), tag: 'Gone', family: 'H01', maker: '', label: '', tableId: null, flat: { M07: [660, 690] }, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', retired: { on: '2026-01-01', why: 'lost' }, createdAt: AT },
    ] // prettier-ignore
    renderStage(aTicket({ items: [anItem()], readings: twice(645), ticket: { activities: ['stroll', 'scramble'] } }), 'all-sizes', <AllSizesRoom />)
    await screen.findByText('Peg 1')
    const list = screen.getByRole('list', { name: 'Sizes, best first' })
    const rows = within(list)
      .getAllByRole('listitem')
      .map((row) => row.textContent)
    expect(rows[0]).toContain('Peg 1')
    expect(rows[0]).toContain('ours')
    expect(rows[0]).toContain('Should hold')
    expect(rows.at(-1)).toContain('Likely misses')
    // U45: by how much, and which way: a girth of 646 in a ring to 600 mm.
    expect(rows.at(-1)).toMatch(/(4\.5|1\s?3.4) too tight/)
    expect(document.body.textContent).not.toContain('Gone')
    // A cross-back suits neither a stroll nor a scramble.
    expect(document.body.textContent).not.toContain('Maker of sled')
    fireEvent.click(within(screen.getByRole('group', { name: 'Kinds shown' })).getByRole('button', { name: 'Multi-strap assist' }))
    expect(within(list).getAllByRole('listitem')).toHaveLength(1)
  })

  it('U34 never says "should hold" of a size of which one tape of two was taken', async () => {
    testShop().sizeTables = [{ ...table('y', 'H01', [['M', 610, 700]]), sizes: [{ label: 'M', bands: { M07: [610, 700], M14: [300, 340] } }] }]
    renderStage(aTicket({ items: [anItem()], dog: aDog({ breed: '' }), readings: twice(645) }), 'all-sizes', <AllSizesRoom />)
    const [row] = within(await screen.findByRole('list', { name: 'Sizes, best first' })).getAllByRole('listitem')
    expect(row?.textContent).toMatch(/M/)
    expect(row?.textContent).not.toMatch(/^M[^G]*Should hold(?!, a guess)/)
  })

  it('goes on without our own pieces where those cannot be had', async () => {
    testShop().sizeTables = [table('y', 'H01', [['M', 610, 700]])]
    testShop().answers['GET /pieces'] = () => new Response(JSON.stringify({ code: 'down' }), { status: 500 })
    renderStage(aTicket({ items: [anItem()], readings: twice(645) }), 'all-sizes', <AllSizesRoom />)
    expect(await screen.findByText('Maker of y, stock')).toBeDefined()
  })

  it('says what to do where no table serves', async () => {
    renderStage(aTicket({ readings: twice(645) }), 'all-sizes', <AllSizesRoom />)
    expect(await screen.findByText(/No size table serves what suits/)).toBeDefined()
  })
})
