import type { SizeTable } from '@merry-tailor/core'
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDog, aReading, aTicket, renderPage, testShop, withTestShop } from '../test/shop'
import { judgeDraft, draftOf, freshDraft, inUnit, tableId } from './table-draft'
import { TableEditor } from './TableEditor'

withTestShop()
const table = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'plain-y',
  version: 3,
  name: 'Plain Y',
  maker: 'Harbour Hems',
  family: 'H09',
  way: 'stock',
  unit: 'cm',
  between: 'up',
  sizes: [
    { label: 'S', bands: { M07: [500, 600] } },
    { label: 'M', bands: { M07: [620, 700] } },
  ],
  lead: { minWeeks: 1, maxWeeks: 2, peak: { months: [9, 10], minWeeks: 2, maxWeeks: 4 } },
  rules: { fingers: [2, 2], cut: 'snug' },
  price: [20, 30],
  unjudged: ['Fit'],
  ...over,
})
const open = (id = 'plain-y') => {
  const address = id === 'new' ? '/sizes/new' : `/sizes/${id}/edit`
  return renderPage(address, id === 'new' ? '/sizes/new' : '/sizes/:tableId/edit', <TableEditor />)
}

describe('the size-table editor', () => {
  it('X28 says what to type before anybody can stand anywhere, and names every dog of a crowded tape', async () => {
    testShop().sizeTables = [table()]
    testShop().tickets = ['Tern', 'Oakum', 'Fulmar'].map((name, i) => aTicket({ dog: aDog({ name }), readings: [aReading('M07', 612 + i), aReading('M07', 612 + i)] })) // prettier-ignore
    open('new')
    expect(await screen.findByText('Type a size and the measure it goes by: then it says who stands where.')).toBeDefined()
    cleanup()
    open()
    // On the tape they are three in one place; under it each has its own number.
    await screen.findByText('3 dogs')
    for (const [name, mm] of [['Tern', '61'], ['Oakum', '61'], ['Fulmar', '61']] as const) expect(screen.getByText(name, { selector: 'span.font-semibold' }).parentElement?.textContent).toContain(`${name} ${mm}`) // prettier-ignore
  })

  it('moves an end by keys, says gap and overlap, and who changes size', async () => {
    testShop().sizeTables = [table()]
    const dog = aDog({ name: 'Tern' })
    testShop().tickets = [aTicket({ dog, readings: [aReading('M07', 612), aReading('M07', 612)] })]
    open()
    const end = await screen.findByRole('slider', { name: 'S, larger end' })
    expect(screen.getByText(/Gap of 2.0 cm between S and M/, { selector: '.sr-only' })).toBeDefined()
    expect(screen.getByText('Nobody, so far. Drag an end and see.')).toBeDefined()
    for (let i = 0; i < 4; i++) fireEvent.keyDown(end, { key: 'PageUp' })
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('S, Girth, largest, to').value).toBe('68'))
    expect(screen.getByText(/S and M share 6.0 cm/, { selector: '.sr-only' })).toBeDefined()
    const dogs = screen.getByRole('complementary', { name: 'Dogs' })
    await waitFor(() => expect(dogs.textContent).toContain('Tern'))
    fireEvent.click(screen.getByRole('button', { name: 'Publish table' }))
    await waitFor(() => expect(testShop().sent[0]).toMatchObject({ path: '/size-tables/plain-y/4' }))
    expect(testShop().sent[0]?.body).toEqual({ ...table(), version: 4, sizes: [{ label: 'S', bands: { M07: [500, 680] } }, table().sizes[1]] })
  })

  it('begins a table, names every cell that is wrong only when asked, and loses nothing typed', async () => {
    open('new')
    await screen.findByRole('heading', { level: 1, name: 'A new size table' })
    fireEvent.click(screen.getByRole('button', { name: 'Publish table' }))
    await waitFor(() => expect(screen.getAllByRole('alert').length).toBeGreaterThan(3))
    const type = (label: string, value: string): void => void fireEvent.change(screen.getByRole('textbox', { name: label }), { target: { value } })
    type('Maker', 'Own Work')
    type('Table', 'Rack')
    type('Name of size 1', 'S')
    type('S, Girth, largest, from', '50')
    type('S, Girth, largest, to', '45')
    expect(screen.getByText('Smaller than its other end.')).toBeDefined()
    type('S, Girth, largest, to', '58')
    type('Name of size 2', 'S')
    expect(screen.getByText('Row 1 is called S too.')).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Publish table' }))
    expect(testShop().sent).toEqual([])
    fireEvent.click(screen.getAllByRole('button', { name: 'Remove size S' })[1]!)
    fireEvent.click(screen.getByRole('button', { name: 'Publish table' }))
    await waitFor(() =>
      expect(testShop().sent[0]).toMatchObject({
        path: '/size-tables/own-work-rack/1',
        body: { unit: 'cm', sizes: [{ label: 'S', bands: { M07: [500, 580] } }] },
      }),
    )
  })

  it('adds rows, measures and straps, and takes them out', async () => {
    testShop().sizeTables = [table()]
    open()
    fireEvent.click(await screen.findByRole('button', { name: 'Another size' }))
    expect(screen.getByLabelText('Name of size 3')).toBeDefined()
    fireEvent.change(screen.getByLabelText('A strap the maker gives lengths for'), { target: { value: 'Belly' } })
    fireEvent.click(screen.getByRole('button', { name: 'Its column' }))
    fireEvent.change(screen.getByLabelText('S, Belly, from'), { target: { value: '40' } })
    fireEvent.change(screen.getByLabelText('S, Belly, to'), { target: { value: '52' } })
    fireEvent.click(screen.getByRole('button', { name: 'Remove size 3' }))
    fireEvent.click(screen.getByRole('button', { name: 'Publish table' }))
    await waitFor(() => expect((testShop().sent[0]?.body as SizeTable).sizes[0]?.straps).toEqual({ Belly: [400, 520] }))
  })

  it('ties a maker’s strap to one of the family’s, and keeps it with the build through the next version', async () => {
    testShop().sizeTables = [
      {
        ...table(),
        family: 'H24',
        build: 'panel',
        strapWords: { Chest: null },
        sizes: [{ label: 'S', bands: { M07: [500, 600] }, straps: { Chest: [520, 640] } }],
      },
    ]
    open()
    expect((await screen.findByRole('radio', { name: 'Panel' })).getAttribute('aria-checked')).toBe('true')
    expect(screen.getByRole('combobox', { name: 'The maker’s “Chest” is' }).textContent).toContain('None of its straps')
    fireEvent.click(screen.getByRole('radio', { name: 'Two buckles' }))
    fireEvent.click(screen.getByRole('button', { name: 'Publish table' }))
    await waitFor(() => expect(testShop().sent[0]?.body).toMatchObject({ build: 'two-buckle', strapWords: { Chest: null } }))
  })

  it('says what the server refuses and keeps what was typed', async () => {
    testShop().sizeTables = [table()]
    testShop().answers['PUT /size-tables'] = () => new Response('{"code":"id-taken","detail":"Version 4 is kept with other sizes."}', { status: 409 })
    open()
    fireEvent.change(await screen.findByLabelText('Price, from and to'), { target: { value: '25-28' } })
    fireEvent.click(screen.getByRole('button', { name: 'Publish table' }))
    expect((await within(screen.getByRole('complementary')).findByRole('alert')).textContent).toContain('What you typed stays')
    expect(screen.getByLabelText<HTMLInputElement>('Price, from and to').value).toBe('25-28')
  })
})

describe('a draft', () => {
  it('is the table it came from', () => {
    expect(judgeDraft(draftOf(table(), 4)).table).toEqual({ ...table(), version: 4 })
    const inches = table({ unit: 'in', sizes: [{ label: 'S', bands: { M07: [20.125 * 25.4, 24 * 25.4] }, testedKg: 12 }] })
    expect(judgeDraft(draftOf(inches, 4)).table?.sizes[0]).toMatchObject({ testedKg: 12 })
    expect(judgeDraft(draftOf(inches, 4)).table?.sizes[0]?.bands.M07?.[0]).toBeCloseTo(20.125 * 25.4, 6)
  })
  it('keeps its lengths in another unit', () => {
    const turned = judgeDraft(inUnit(draftOf(table(), 4), 'in')).sizes[0]?.bands.M07
    expect(turned?.[0]).toBeCloseTo(500, 1)
    expect(turned?.[1]).toBeCloseTo(600, 1)
  })
  it('says what is wrong, where', () => {
    const draft = draftOf(table(), 4)
    const at = (over: Partial<typeof draft>): string[] => judgeDraft({ ...draft, ...over }).problems.map((each) => each.at)
    const [first, second] = draft.rows
    expect(at({ weeks: 'soon', peakWeeks: 'later', fingers: 'few', price: 'dear', maker: ' ', name: '' })).toEqual([
      'maker',
      'name',
      'weeks',
      'peakWeeks',
      'fingers',
      'price',
    ])
    expect(at({ rows: [{ ...first!, cells: { 'measure M07': ['60', '50'] } }, second!] })).toEqual([`row ${first!.key} measure M07 1`])
    expect(
      at({
        rows: [
          { ...first!, cells: { 'measure M07': ['60', ''] } },
          { ...second!, label: 'S' },
        ],
      }),
    ).toEqual([`row ${first!.key} measure M07 1`, `row ${second!.key} label`])
    expect(at({ rows: [{ ...first!, tested: '-4' }, second!] })).toEqual([`row ${first!.key} tested`])
    expect(at({ rows: [] })).toContain('rows')
    expect(judgeDraft({ ...freshDraft('cm'), maker: 'x', name: 'y' }).problems.length).toBeGreaterThan(1)
  })
  it('finds a free name of its own', () => {
    expect(tableId({ maker: 'Wick & Awl', name: 'Jacke für Größe' }, [])).toBe('wick-awl-jacke-fur-gro-e')
    expect(tableId({ maker: 'a', name: 'b' }, ['a-b', 'a-b-2'])).toBe('a-b-3')
    expect(tableId({ maker: '犬', name: '' }, [])).toBe('table')
  })

  it('X08 keeps a table that is left half typed, and begins anew when told to', async () => {
    testShop().sizeTables = [table()]
    open()
    fireEvent.change(await screen.findByLabelText('S, Girth, largest, to'), { target: { value: '61' } })
    cleanup()
    open()
    expect((await screen.findByLabelText<HTMLInputElement>('S, Girth, largest, to')).value).toBe('61')
    fireEvent.click(screen.getByRole('button', { name: 'Begin anew' }))
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('S, Girth, largest, to').value).toBe('60'))
    expect(screen.queryByText(/As you left it/)).toBeNull()
  })
})
