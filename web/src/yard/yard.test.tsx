import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { AT, aDog, anItem, aReading, aTicket, nextId, renderPage, testShop, withTestShop } from '../test/shop'
import { YardEntry } from './YardEntry'
import { YardPage } from './YardPage'
import { YardSheet } from './YardSheet'

withTestShop()
const press = (key: string): void => void fireEvent.keyDown(document.body, { key })

/** Two dogs, the first with a ticket. */
function line(): string {
  const [one, two] = [aDog({ name: 'Fulmar' }), aDog({ name: 'Gannet' })]
  testShop().dogs.push(one, two)
  testShop().tickets.push(aTicket({ dog: one, items: [anItem()] }))
  return `${one.id},${two.id}`
}

describe('a team round', () => {
  it('is planned by tapping dogs in their order and choosing tapes', async () => {
    line()
    renderPage('/round', '/round', <YardPage />)
    expect(await screen.findByRole('button', { name: 'Waits for a dog' })).toBeDefined()
    fireEvent.click(await screen.findByRole('button', { name: 'Gannet' }))
    fireEvent.click(await screen.findByRole('button', { name: 'Fulmar' }))
    expect(await screen.findByRole('button', { name: '1. Gannet' })).toBeDefined()
    expect(screen.getByRole('button', { name: '2. Fulmar' })).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Leave out harness neck' }))
    fireEvent.click(screen.getByRole('button', { name: 'Leave out girth, largest' }))
    expect(await screen.findByRole('button', { name: 'Waits for a tape' })).toBeDefined()
  })

  it('X23 puts one item, one way and one day on every ticket of the line, opening those that are wanting', async () => {
    const dogs = line()
    renderPage(`/round?dogs=${dogs}`, '/round', <YardPage />)
    const all = within(await screen.findByRole('region', { name: 'For all of these' }))
    fireEvent.click(all.getByRole('button', { name: 'Put it on all 2 tickets' }))
    expect((await all.findByRole('alert')).textContent).toContain('Which item?')
    fireEvent.keyDown(all.getByRole('combobox', { name: 'Item for all' }), { key: 'ArrowDown' })
    fireEvent.click(await screen.findByRole('option', { name: 'Full cross-back' }))
    fireEvent.click(all.getByRole('button', { name: 'Put it on all 2 tickets' }))
    expect((await all.findByRole('status')).textContent).toBe('Full cross-back is on 2 tickets more.')
    const items = testShop().sent.filter((each) => each.path.includes('/items/'))
    expect(items.map((each) => each.body)).toMatchObject([
      { family: 'H11', way: 'made' },
      { family: 'H11', way: 'made' },
    ])
    // The dog without a ticket got one, once.
    expect(testShop().sent.filter((each) => /^\/tickets\/[^/]+$/.test(each.path) && each.method === 'PUT')).toHaveLength(1)
  })

  it('runs one tape down the line, opens a ticket once for a dog without one, and brings the next tape', async () => {
    const dogs = line()
    renderPage(`/round?dogs=${dogs}&tapes=M07,M08`, '/round', <YardPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Down the line' }))
    for (const number of ['66', '71', '65', '69']) {
      for (const key of number) press(key)
      press('Enter')
    }
    await screen.findByRole('heading', { name: '4 of 4 taken' })
    // U19: what is there and what is not, each with the way to it.
    expect((await screen.findByRole('table', { name: 'The round: dogs and tapes' })).textContent).toContain('66.0 cm')
    await waitFor(() => expect(testShop().sent.filter((each) => each.path.includes('/readings/'))).toHaveLength(4))
    const opened = testShop().sent.filter((each) => /^\/tickets\/[^/]+$/.test(each.path))
    expect(opened).toHaveLength(1)
    const of = (i: number) => testShop().sent.filter((each) => each.path.includes('/readings/'))[i]
    expect([of(0)?.body, of(3)?.body]).toMatchObject([
      { measure: 'M07', mm: 660 },
      { measure: 'M08', mm: 690 },
    ])
    // Both of Gannet's go to the ticket that was opened for her.
    expect(of(1)?.path.split('/')[2]).toBe(of(3)?.path.split('/')[2])
  })

  it('U01, U02 asks about a number before the next dog is brought, and takes the last one back', async () => {
    const dog = aDog({ name: 'Fulmar' })
    testShop().dogs.push(dog)
    testShop().tickets.push(aTicket({ dog, items: [anItem()], readings: [aReading('M01', 275, { side: 'one' }), aReading('M07', 690)] }))
    renderPage(`/round?dogs=${dog.id}&tapes=M01`, '/round', <YardPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Down the line' }))
    await screen.findAllByText(/So far 55.0 cm, once/)
    for (const key of '107') press(key)
    press('Enter')
    const asked = await screen.findByRole('alert')
    expect(asked.textContent).toMatch(/Harness neck/)
    expect(testShop().sent.filter((each) => each.path.includes('/readings/'))).toEqual([])
    fireEvent.click(within(asked).getByRole('button', { name: 'Type it again' }))
    expect(screen.queryByRole('alert')).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'Take the last one back' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ what: 'reading', kind: 'struck' }))
    await screen.findByText('No number yet.')
  })

  it('X04 of two dogs of one name says whose each is', async () => {
    const runa = { id: nextId(), name: 'Runa', contact: '', notes: '', createdAt: AT }
    testShop().owners.push(runa)
    testShop().dogs.push(aDog({ name: 'Gannet', ownerId: runa.id }), aDog({ name: 'Gannet', breed: 'Border Terrier' }))
    renderPage('/round', '/round', <YardPage />)
    expect(await screen.findByRole('button', { name: 'Gannet (Runa)' })).toBeDefined()
    expect(screen.getByRole('button', { name: 'Gannet (Border Terrier)' })).toBeDefined()
  })

  it('goes on without a number, and back to the dog before', async () => {
    renderPage(`/round?dogs=${line()}&tapes=M07`, '/round', <YardPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Down the line' }))
    press('Enter')
    expect(screen.getByRole('heading', { level: 1, name: 'Gannet' })).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Dog before' }))
    expect(screen.getByRole('heading', { level: 1, name: 'Fulmar' })).toBeDefined()
  })

  it('prints a yard sheet with two boxes for each dog and tape, and the paths', async () => {
    renderPage(`/round/sheet?dogs=${line()}&tapes=M01,M07`, '/round/sheet', <YardSheet />)
    const row = await screen.findByRole('row', { name: /2\. Gannet/ })
    expect(row.querySelectorAll('.write')).toHaveLength(4)
    expect(document.querySelectorAll('figure svg')).toHaveLength(2)
  })

  it('takes a filled sheet, and names a bad box without losing it', async () => {
    renderPage(`/round/entry?dogs=${line()}&tapes=M01,M07`, '/round/entry', <YardEntry />)
    const box = (name: string) => screen.findByLabelText<HTMLInputElement>(name)
    fireEvent.change(await box('Fulmar, Harness neck, 1. reading'), { target: { value: '27,6' } })
    fireEvent.change(await box('Gannet, Girth, largest, 1. reading'), { target: { value: 'big' } })
    fireEvent.change(await box('Gannet, Girth, largest, 2. reading'), { target: { value: '70' } })
    fireEvent.click(screen.getByRole('button', { name: 'Pin 3 readings' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Can’t read that')
    expect(testShop().sent).toEqual([])
    fireEvent.change(await box('Gannet, Girth, largest, 1. reading'), { target: { value: '70,4' } })
    // Pressed twice by a hurried hand: each reading is kept once.
    const pin = screen.getByRole('button', { name: 'Pin 3 readings' })
    fireEvent.click(pin)
    fireEvent.click(pin)
    await screen.findByText('elsewhere')
    expect(
      testShop()
        .sent.filter((each) => each.path.includes('/readings/'))
        .map((each) => each.body),
    ).toMatchObject([
      { measure: 'M01', side: 'one', remark: 'From the yard sheet' },
      { measure: 'M07', mm: 704 },
      { measure: 'M07', mm: 700 },
    ])
    expect(testShop().sent.filter((each) => /^\/tickets\/[^/]+$/.test(each.path))).toHaveLength(1)
  })
})
