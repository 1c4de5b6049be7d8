import type { SizeTable } from '@merry-tailor/core'
import { sizeTableToCsv, sizeTableToJson } from '@merry-tailor/core/formats'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { renderPage, testShop, withTestShop } from '../test/shop'
import { SizesPage } from './SizesPage'

withTestShop()

const table = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'plain-y',
  version: 1,
  name: 'Plain Y',
  maker: 'Harbour Hems',
  family: 'H01',
  way: 'stock',
  unit: 'cm',
  between: 'up',
  sizes: [
    { label: 'S', bands: { M07: [500, 600] } },
    { label: 'M', bands: { M07: [600, 700], M06: [150, 200] } },
  ],
  lead: { minWeeks: 1, maxWeeks: 2 },
  ...over,
})
const show = () => renderPage('/sizes', '/sizes', <SizesPage />)
const bringIn = (name: string, text: string): void => {
  fireEvent.change(screen.getByLabelText('Size table file'), { target: { files: [new File([text], name)] } })
}

describe('Sizes', () => {
  it('shows a table’s newest version with its bands, and what a size is not sized by', async () => {
    testShop().sizeTables = [table(), table({ version: 2, maker: 'Harbour Hems', sizes: [{ label: 'XS', bands: { M06: [90, 120] } }, ...table().sizes] })]
    show()
    await screen.findByRole('heading', { level: 1, name: 'Harbour Hems' })
    expect(screen.getByText(/version 2 of 2/).textContent).toContain('Between sizes: up, the maker says')
    const row = screen.getByRole('row', { name: /^XS/ })
    expect(within(row).getByText('not sized by')).toBeDefined()
    expect(within(screen.getByRole('row', { name: /^M/ })).getAllByRole('cell')[1]?.textContent).toContain('60.0 to 70.0')
  })

  it('brings in a CSV as it was taken out', async () => {
    show()
    await screen.findByText(/No size table yet/)
    bringIn('plain.csv', sizeTableToCsv(table()))
    await screen.findByText('Harbour Hems, Plain Y: kept.')
    expect(testShop().sent[0]).toEqual({ method: 'PUT', path: '/size-tables/plain-y/1', body: table() })
  })

  it('brings in JSON by its content, whatever the file is called', async () => {
    show()
    await screen.findByText(/No size table yet/)
    bringIn('plain.txt', sizeTableToJson(table({ version: 3 })))
    await waitFor(() => expect(testShop().sent[0]?.path).toBe('/size-tables/plain-y/3'))
  })

  it('U58 an empty shelf says what to copy and where it goes', async () => {
    testShop().sizeTables = []
    renderPage('/sizes', '/sizes', <SizesPage />)
    expect((await screen.findByText(/Copy the cells of a maker’s table/)).textContent).toContain('off the labels of your harnesses')
    expect(screen.getByRole('link', { name: 'Paste a maker’s table' }).getAttribute('href')).toBe('/sizes/paste')
    expect(screen.getByRole('link', { name: 'Type the sizes off the labels' }).getAttribute('href')).toBe('/sizes/new')
  })

  it('names what is wrong, and takes nothing', async () => {
    show()
    await screen.findByText(/No size table yet/)
    bringIn('plain.csv', 'size,M07 from\nS,wide')
    expect((await screen.findByText('Nothing was brought in.')).parentElement?.textContent.length).toBeGreaterThan(30)
    expect(testShop().sent).toEqual([])
  })

  it('says so when the shop has that version already', async () => {
    testShop().answers['PUT /size-tables'] = () =>
      new Response(JSON.stringify({ code: 'version-taken', detail: 'Version 1 is already kept.' }), { status: 409 })
    show()
    await screen.findByText(/No size table yet/)
    bringIn('plain.json', sizeTableToJson(table()))
    expect(await screen.findByText('Nothing was brought in.')).toBeDefined()
    expect(screen.getByText('plain.json:')).toBeDefined()
  })

  it('X10 puts a table away and offers it again, each as a version of its own', async () => {
    testShop().sizeTables = [table()]
    show()
    fireEvent.click(await screen.findByRole('button', { name: 'No longer offered' }))
    await screen.findByRole('button', { name: 'Offer it again' })
    expect(screen.getByText(/No longer offered since/).textContent).toContain('Tickets keep the version')
    await waitFor(() =>
      expect(testShop().sent[0]).toMatchObject({ path: '/size-tables/plain-y/2', body: { version: 2, retired: expect.stringMatching(/^\d{4}-/) as string } }),
    )
    await waitFor(() => {
      // A press right after the first is taken for a slip: pressed until it is taken.
      const again = screen.queryByRole('button', { name: 'Offer it again' })
      if (again) fireEvent.click(again)
      expect(testShop().sent[1]).toEqual({ method: 'PUT', path: '/size-tables/plain-y/3', body: table({ version: 3 }) })
    })
  })
})
