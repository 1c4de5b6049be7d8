import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { SizeTable } from '@merry-tailor/core'
import { aReading, anItem, aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { ChooseStage } from './ChooseStage'

withTestShop()

const table: SizeTable = {
  id: 'cross', version: 1, name: 'Cross', maker: 'Harbour Hems', family: 'H11', way: 'stock', unit: 'cm', between: null,
  sizes: [
    { label: 'M', bands: { M01: [500, 540], M13: [600, 650] } },
    { label: 'L', bands: { M01: [541, 590], M13: [651, 710] } },
  ],
  lead: { minWeeks: 0, maxWeeks: 0 },
} // prettier-ignore
beforeEach(() => {
  testShop().sizeTables = [table]
})
const tapes = [aReading('M01', 520), aReading('M01', 522), aReading('M13', 625), aReading('M13', 627)]
const open = () => renderStage(aTicket({ items: [anItem({ family: 'H11' })], readings: tapes }), 'choose', <ChooseStage />)
const mat = () => screen.findByRole('region', { name: 'Where it would lie' })

describe('a size laid on the dog', () => {
  it('shows each check of the pull with its expectation, and turns slack with P and round with F', async () => {
    open()
    const region = await mat()
    expect(within(region).getByRole('img', { name: /pulling, side view, as foretold/ })).toBeDefined()
    const list = within(region).getByRole('list', { name: 'What is expected' })
    expect(within(list).getByText(/Tug begins at the tail base/)).toBeDefined()
    expect(within(list).getAllByText(/Should hold|Could go either way|Likely misses/).length).toBeGreaterThan(3)
    fireEvent.keyDown(document.body, { key: 'p' })
    expect(await within(region).findByRole('img', { name: /slack, side view/ })).toBeDefined()
    expect(within(region).queryByText(/Tug begins at the tail base/)).toBeNull()
    fireEvent.keyDown(document.body, { key: 'f' })
    expect(await within(region).findByRole('img', { name: /slack, above view/ })).toBeDefined()
    // Never a word of what was seen: nothing was.
    expect(within(region).queryByText('Holds')).toBeNull()
  })

  it('sets this size beside one made to measure, check by check', async () => {
    open()
    const side = await screen.findByRole('group', { name: 'Check by check' })
    for (const column of ['Check', 'M', 'Made to measure']) expect(within(side).getByText(column, { selector: 'th' })).toBeDefined()
    expect(within(side).getByText(/Side straps on the ribs/)).toBeDefined()
    // One mark with its word for each number, in each row.
    const numbers = within(side).getAllByRole('columnheader').length - 1
    expect(within(side).getAllByText(/Should hold|Could go either way|Likely misses/)).toHaveLength(2 * numbers)
  })

  it('a strap drawn longer moves what is expected, and goes back with one press', async () => {
    open()
    const region = await mat()
    fireEvent.click(within(region).getByText('Straps, and what another length would do'))
    const list = within(region).getByRole('list', { name: 'What is expected' })
    const expected = () =>
      within(list)
        .getByText(/Tug begins at the tail base/)
        .closest('li')?.textContent
    const before = expected()
    const rear = within(region).getByRole<HTMLInputElement>('slider', { name: /Rear strap/ })
    fireEvent.change(rear, { target: { value: String(Math.round(Number(rear.value) * 1.15)) } })
    await waitFor(() => expect(expected()).not.toBe(before))
    fireEvent.click(within(region).getByRole('button', { name: 'Back to its own lengths' }))
    await waitFor(() => expect(expected()).toBe(before))
  })
})
