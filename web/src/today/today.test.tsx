import type { SizeTable } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { format, subDays, addDays } from 'date-fns'
import { aDog, aReading, aTicket, renderPage, testShop, withTestShop } from '../test/shop'
import { TodayPage } from './TodayPage'

withTestShop()

const day = (by: number): string => format(by < 0 ? subDays(new Date(), -by) : addDays(new Date(), by), 'yyyy-MM-dd')
const ticketOf = (name: string, number: number, promisedOn: string | null) => aTicket({ dog: aDog({ name }), ticket: { number, promisedOn } })
const table: SizeTable = {
  id: 'tow',
  version: 1,
  name: 'Tow',
  maker: 'Tow Loft',
  family: 'H11',
  way: 'stock',
  unit: 'cm',
  between: null,
  sizes: [
    { label: '40', bands: { M01: [400, 460] } },
    { label: '46', bands: { M01: [460, 520] } },
  ],
  lead: { minWeeks: 0, maxWeeks: 0 },
}
const show = () => renderPage('/', '/', <TodayPage />)

describe('Today', () => {
  beforeEach(() => {
    testShop().tickets = [ticketOf('Marlin', 103, null), ticketOf('Dulse', 101, day(0)), ticketOf('Skiff', 102, day(-2))]
  })

  it('groups the tickets by urgency, the most pressing first, and says what each waits for', async () => {
    show()
    await screen.findByText('Skiff')
    const titles = screen.getAllByRole('heading', { level: 2 }).map((each) => each.textContent)
    expect(titles.filter((title) => /ticket/.test(title))).toEqual(['Overdue1 ticket', 'Today1 ticket', 'Waiting1 ticket'])
    expect(within(screen.getByRole('region', { name: 'Overdue' })).getByText('Skiff')).toBeDefined()
    expect(within(screen.getByRole('region', { name: 'Waiting' })).getByRole('link', { name: /Marlin/ }).textContent).toContain('arness neck')
  })

  it('A31 draws what is seen, however many are open, and the rest as it comes into sight', async () => {
    testShop().tickets = Array.from({ length: 90 }, (_, i) => ticketOf(`Dog ${i}`, 200 + i, null))
    show()
    const rows = () => screen.getAllByRole('link', { name: /^Dog \d+/ }).length
    const names = () => screen.getAllByRole('link', { name: /^Dog \d+/ }).map((link) => Number(/\d+/.exec(link.textContent)?.[0]))
    await screen.findAllByRole('link', { name: /^Dog \d+/ })
    expect(rows()).toBeLessThan(40)
    const first = names()
    // By arrow keys: each row comes as it is gone to, and knows its place.
    for (let i = 0; i < 30; i++) fireEvent.keyDown(document.body, { key: 'ArrowDown' })
    await waitFor(() => expect(Math.max(...screen.getAllByRole('listitem').map((row) => Number(row.getAttribute('aria-posinset'))))).toBeGreaterThan(31))
    expect(rows()).toBeLessThan(40)
    expect(names()).not.toEqual(first)
    expect(screen.getAllByRole('listitem').every((row) => row.getAttribute('aria-setsize') !== '0')).toBe(true)
  })

  it('opens the ticket due today with Enter, another after the arrow', async () => {
    const router = show()
    await screen.findByText('Dulse')
    fireEvent.keyDown(document.body, { key: 'ArrowDown' })
    fireEvent.keyDown(document.body, { key: 'Enter' })
    await waitFor(() => expect(router.state.location.pathname).toBe(`/tickets/${testShop().tickets[0]?.ticket.id}`))
  })

  it('is an open door when the book is empty', async () => {
    testShop().tickets = []
    show()
    fireEvent.click(await screen.findByRole('button', { name: 'Open the first ticket' }))
    await waitFor(() => expect(testShop().sent[0]).toMatchObject({ method: 'PUT', body: { dogId: null, kind: 'real' } }))
  })

  it('says it when the tickets can’t be read', async () => {
    testShop().answers['GET /day'] = () => new Response(JSON.stringify({ code: 'internal', detail: 'The book is shut.' }), { status: 500 })
    show()
    expect((await screen.findByText('The tickets can’t be read.')).parentElement?.textContent).toContain('Nothing is lost')
  })
})

describe('the counter', () => {
  beforeEach(() => {
    testShop().sizeTables = [table]
  })
  const type = async (text: string): Promise<HTMLInputElement> => {
    const field = within(await screen.findByRole('form', { name: 'Counter' })).getByRole<HTMLInputElement>('textbox')
    fireEvent.change(field, { target: { value: text } })
    return field
  }

  it('predicts a size from one number, and opens a ticket of item and reading', async () => {
    const router = show()
    await type('44')
    // U04: a neck may be a half one; which it was is asked, and both answers are shown.
    expect((await screen.findByText('Try 40')).parentElement?.textContent).toContain('Which was it?')
    fireEvent.submit(screen.getByRole('form', { name: 'Counter' }))
    expect(screen.getByRole('alert').textContent).toContain('One side, or all round?')
    expect(testShop().sent).toEqual([])
    await waitFor(() => expect(document.activeElement?.textContent).toBe('one side'))
    fireEvent.click(screen.getByRole('button', { name: 'all round' }))
    await waitFor(() => expect(testShop().sent).toHaveLength(3))
    expect(testShop().sent.map((each) => each.body)).toMatchObject([
      { kind: 'counter', dogId: null },
      { family: 'H11', way: 'undecided' },
      { measure: 'M01', mm: 440, asTyped: '44', unit: 'cm', side: 'both' },
    ])
    await waitFor(() => expect(router.state.location.pathname).toMatch(/choose$/))
  })

  it('U12 has every kind with a table, the one asked for last first, by neck or by girth', async () => {
    testShop().sizeTables = [table, { ...table, id: 'y', family: 'H01', sizes: [{ label: 'M', bands: { M07: [600, 700], M02: [300, 360] } }] }, { ...table, id: 'half', family: 'H13', sizes: [{ label: '5', bands: { M01: [400, 460] } }] }] // prettier-ignore
    show()
    // Once a number is judged the tables are in.
    await type('44')
    await screen.findByText('Try 40')
    const kinds = within(await screen.findByRole('form', { name: 'Counter' })).getByRole('combobox', { name: 'Item' })
    fireEvent.keyDown(kinds, { key: 'ArrowDown' })
    const names = (await screen.findAllByRole('option')).map((each) => each.textContent)
    expect(names).toEqual(expect.arrayContaining(['Full cross-back', 'Walking Y, short', 'Open-back']))
    fireEvent.click(screen.getByRole('option', { name: 'Walking Y, short' }))
    fireEvent.keyDown(await screen.findByRole('combobox', { name: 'Which number' }), { key: 'ArrowDown' })
    expect((await screen.findAllByRole('option')).map((each) => each.textContent)).toEqual(['Girth, largest', 'Collar neck'])
  })

  it('says what can’t be read and keeps it', async () => {
    show()
    const field = await type('some')
    fireEvent.submit(screen.getByRole('form', { name: 'Counter' }))
    expect((await screen.findByRole('alert')).textContent).not.toBe('')
    expect(field.value).toBe('some')
    expect(testShop().sent).toEqual([])
  })

  it('keeps the number when the ticket is not saved', async () => {
    testShop().answers['PUT /tickets'] = () => new Response(JSON.stringify({ code: 'bad-request', detail: 'No.' }), { status: 400 })
    show()
    const field = await type('44')
    fireEvent.click(await screen.findByRole('button', { name: 'all round' }))
    fireEvent.submit(screen.getByRole('form', { name: 'Counter' }))
    expect((await screen.findByRole('alert')).textContent).toContain('The number stays here')
    expect(field.value).toBe('44')
  })
})

describe('the search', () => {
  it('goes to what was found, and says when nobody is', async () => {
    const dog = aDog({ name: 'Marlin' })
    testShop().answers['GET /find'] = () => new Response(JSON.stringify([{ kind: 'dog', id: dog.id, title: 'Marlin', detail: 'Signe' }]))
    const router = show()
    const field = await screen.findByPlaceholderText('Dog, owner, ticket')
    // Keys are listened to once the page has been drawn.
    await waitFor(() => {
      if (document.activeElement !== field) fireEvent.keyDown(document.body, { key: '/' })
      expect(document.activeElement).toBe(field)
    })
    fireEvent.change(field, { target: { value: 'marl' } })
    fireEvent.click(await screen.findByRole('option', { name: /Marlin Signe/ }))
    expect(router.state.location.pathname).toBe(`/dogs/${dog.id}`)
  })

  it('says that nobody is here by that name', async () => {
    testShop().answers['GET /find'] = () => new Response('[]')
    show()
    fireEvent.change(await screen.findByPlaceholderText('Dog, owner, ticket'), { target: { value: 'zz' } })
    expect(await screen.findByText('Nobody here by “zz”.')).toBeDefined()
  })
})

describe('the day so far', () => {
  it('has who was at the bench today, in the order they came, and nobody of other days', async () => {
    const at = (hour: number, minute = 0): string => new Date(new Date().setHours(hour, minute, 0, 0)).toISOString()
    const seen = aTicket({
      dog: aDog({ name: 'Oakum' }),
      ticket: { number: 105, createdAt: at(0, 20) },
      readings: [aReading('M07', 690, { takenAt: at(0, 22) }), aReading('M07', 692, { takenAt: at(0, 24) })],
    })
    testShop().tickets = [ticketOf('Marlin', 103, null), aTicket({ dog: null, ticket: { number: 106, createdAt: at(0, 5) } }), seen]
    show()
    const aside = await screen.findByRole('complementary', { name: 'The day so far' })
    await waitFor(() =>
      expect(
        within(aside)
          .getAllByRole('link')
          .map((each) => each.textContent),
      ).toEqual(['Counter00:05, opened', 'Oakum00:20, 2 readings']),
    )
  })

  it('says when nothing was done yet', async () => {
    testShop().tickets = [ticketOf('Marlin', 103, null)]
    show()
    expect(await screen.findByText('Nothing done at the bench yet.')).toBeDefined()
  })
})
