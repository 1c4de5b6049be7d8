import type { SizeTable } from '@merry-tailor/core'
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import { aDog, aReading, anItem, aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { ChooseStage } from './ChooseStage'

withTestShop()

const table = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'tow', version: 1, name: 'Tow', maker: 'Tow Loft', family: 'H11', way: 'stock', unit: 'cm', between: null, lead: { minWeeks: 0, maxWeeks: 0 },
  sizes: [
    { label: 'Birch', bands: { M01: [400, 440], M13: [600, 660] } },
    { label: 'Cedar', bands: { M01: [445, 490], M13: [650, 720] } },
  ],
  ...over,
}) // prettier-ignore
const made = table({ id: 'cut', version: 1, name: 'Cut', maker: 'Fell Loft', way: 'made', lead: { minWeeks: 6, maxWeeks: 10 }, sizes: [{ label: 'To measure', bands: { M01: [300, 900], M13: [300, 1200] } }] }) // prettier-ignore
const twice = (measure: 'M01' | 'M07' | 'M13', mm: number) => [aReading(measure, mm), aReading(measure, mm + 2)]
const pulling = (over: Parameters<typeof aTicket>[0] = {}) => aTicket({ items: [anItem({ family: 'H11', way: 'undecided' })], ticket: { activities: ['sled-team'] }, ...over }) // prettier-ignore
const open = (over: Parameters<typeof aTicket>[0] = {}): void => void renderStage(pulling(over), 'choose', <ChooseStage />)
const count = (of: Record<string, number>) => ({ tableId: 'tow', count: of, lead: { minWeeks: 0, maxWeeks: 0 }, countedAt: new Date().toISOString(), heardAt: new Date().toISOString(), reached: true }) // prettier-ignore

beforeEach(() => {
  testShop().sizeTables = [table()]
})

describe('what Choose says of one dog', () => {
  it('T30 asks whether the dog pulls yet, and takes a pet in training for no beginner of draught', async () => {
    testShop().sizeTables = [table(), made]
    const readings = () => [...twice('M01', 420), ...twice('M13', 630)]
    const ways = async () => (await screen.findByRole('region', { name: 'Ways to get it' })).textContent
    open({ readings: readings(), ticket: { activities: ['sled-team', 'learning-puller'] } })
    expect(await ways()).not.toContain('once the dog pulls')
    cleanup()
    open({ readings: readings(), ticket: { activities: ['sled-team'], pulls: false } })
    expect(await ways()).toContain('true fit shows only once the dog pulls')
    cleanup()
    open({ readings: readings(), ticket: { activities: ['sled-team'], pulls: true } })
    expect(await ways()).not.toContain('once the dog pulls')
  })

  it('U06 words a guess as a guess, with its range, and never as a miss that was read', async () => {
    open({ readings: twice('M01', 420), dog: aDog({ breed: 'Siberian Husky' }) })
    await screen.findByRole('heading', { level: 1, name: /Birch on Tern/ })
    const title = screen.getByRole('region', { name: 'How it should fit' }).textContent
    expect(title).not.toMatch(/would be about/)
    await waitFor(() => expect(document.body.textContent).toMatch(/No tape yet: guessed [\d.]+ cm to [\d.]+ cm/))
  })

  it('U06 says of a size that may miss by a guess that it may, not that it does', async () => {
    // A dog far shorter than the chart: guessed still, so it "may be" too long.
    testShop().sizeTables = [table({ id: 'long', sizes: [{ label: 'Elm', bands: { M01: [400, 440], M13: [1000, 1100] } }] })]
    open({ readings: twice('M01', 420), dog: aDog({ breed: 'Siberian Husky' }) })
    await waitFor(() => expect(document.body.textContent).toMatch(/No overall pulling length tape yet; guessed .* to .*, Elm may be too long/))
    expect(document.body.textContent).not.toContain('Elm would be about')
  })

  it('U13 shows two makers of one kind on the same ticket, each with its own sizes', async () => {
    testShop().sizeTables = [table(), table({ id: 'lee', maker: 'Lee Loft', name: 'Lee', way: 'quick-ship', sizes: [{ label: 'Two', bands: { M01: [410, 470] } }] })] // prettier-ignore
    open({ readings: twice('M01', 425) })
    await screen.findByRole('heading', { level: 1 })
    const sizes = within(screen.getByRole('region', { name: 'Sizes' }))
    expect(await sizes.findByRole('button', { name: /^Birch/ })).toBeDefined()
    expect(sizes.getByRole('button', { name: /^Two/ })).toBeDefined()
    // On one measure both makers' bands lie under one tape.
    const beside = await screen.findByRole('article', { name: 'Makers beside each other' })
    expect(beside.textContent).toContain('Tow Loft')
    expect(beside.textContent).toContain('Lee Loft, quick-ship')
  })

  it('U47 says what was chosen and turns to the next item; its tab has the size', async () => {
    testShop().sizeTables = [table(), table({ id: 'half', family: 'H13', sizes: [{ label: 'Ash', bands: { M01: [400, 460] } }] })]
    open({ items: [anItem({ family: 'H11', way: 'stock' }), anItem({ family: 'H13', way: 'stock' })], readings: [...twice('M01', 420), ...twice('M13', 630)] })
    const tabs = await screen.findAllByRole('tab')
    expect(tabs.map((tab) => tab.textContent)).toEqual([expect.stringContaining('not chosen yet'), expect.stringContaining('not chosen yet')])
    fireEvent.click(await screen.findByRole('button', { name: /Try Birch/ }))
    expect((await screen.findByText('Birch chosen.')).parentElement?.textContent).toMatch(/Now the open-back/)
    await waitFor(() => expect(screen.getAllByRole('tab')[0]?.textContent).toContain('Birch'))
    expect(screen.getAllByRole('tab')[1]?.getAttribute('aria-selected')).toBe('true')
  })

  it('U46 has the sizes first, and the ways to get them under them', async () => {
    testShop().sizeTables = [table(), made]
    open({ readings: [...twice('M01', 420), ...twice('M13', 630)] })
    const ways = await screen.findByRole('region', { name: 'Ways to get it' })
    const tables = within(screen.getByRole('region', { name: 'Sizes' })).getAllByRole('table')
    for (const each of tables.slice(0, 2)) expect(each.compareDocumentPosition(ways) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy()
  })

  it('U48 puts what two sizes do alike once, and only what tells them apart in each', async () => {
    // The same at the overall length, apart at the neck.
    testShop().sizeTables = [table({ sizes: [{ label: 'Birch', bands: { M01: [400, 440], M13: [604, 640] } }, { label: 'Cedar', bands: { M01: [445, 490], M13: [604, 640] } }] })] // prettier-ignore
    open({ readings: [...twice('M01', 442), ...twice('M13', 600)] })
    const alike = await screen.findByRole('region', { name: 'In both' })
    expect(alike.textContent).toContain('Overall pulling length')
    for (const label of ['Birch', 'Cedar']) expect(screen.getByRole('region', { name: `In ${label}` }).textContent).not.toContain('Overall pulling length')
  })

  it('X27 offers the hitch to what pulls and the kinds of harness to a harness alone', async () => {
    const links = async (family: 'H11' | 'C1' | 'K2' | 'B1') => {
      renderStage(aTicket({ items: [anItem({ family })], readings: twice('M07', 601) }), 'choose', <ChooseStage />)
      const sizes = await screen.findByRole('region', { name: 'Sizes' })
      const names = within(sizes).getAllByRole('link').map((link) => link.textContent) // prettier-ignore
      cleanup()
      return [names.includes('Which kind'), names.includes('The hitch')]
    }
    expect(await links('H11')).toEqual([true, true])
    for (const family of ['C1', 'K2', 'B1'] as const) expect(await links(family)).toEqual([false, false])
  })

  it('U14 tries first what hangs on the shelf, and says which is sold out', async () => {
    testShop().supply = [count({ Birch: 0, Cedar: 3 })]
    // A first count is heard, as the shelf asks for it.
    await fetch('/api/supply')
    open({ readings: [...twice('M01', 441), ...twice('M13', 655)] })
    const press = await screen.findByRole('button', { name: /Try Cedar, then Birch/ })
    expect(press.textContent).toContain('Birch is sold out: order it if Cedar does not do')
    expect(screen.queryByRole('button', { name: /Try Birch, then Cedar/ })).toBeNull()
  })

  it('U15 never has the yellow action order against its own advice, and says when it would come', async () => {
    testShop().sizeTables = [table({ sizes: [{ label: 'Birch', bands: { M01: [200, 240], M13: [300, 330] } }] }), made]
    const soon = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10)
    open({ readings: [...twice('M01', 600), ...twice('M13', 800)], ticket: { activities: ['sled-team'], neededOn: soon } })
    const ways = await screen.findByRole('region', { name: 'Ways to get it' })
    await waitFor(() => expect(within(ways).getAllByText('Not this time').length).toBeGreaterThan(1))
    const press = await screen.findByRole('button', { name: /Order it made to measure/ })
    expect(press.className).not.toMatch(/\bbg-tape\b/)
    expect(press.textContent).toMatch(/too late for .*; it would come/)
  })

  it('U16 says of the piece what it does on the dog, in the number it is out by', async () => {
    open({ readings: [...twice('M01', 420), ...twice('M13', 520)] })
    await screen.findByRole('heading', { level: 1, name: /Birch on Tern/ })
    expect(document.body.textContent).toMatch(/Birch would be about 8.0 cm too long at the overall pulling length/)
    expect(document.body.textContent).not.toMatch(/under the band|over the band|lies on Birch/)
    await waitFor(() => expect(document.body.textContent).toMatch(/Your readings leave [\d.]+ cm open/))
  })

  it('U34 says nothing in the first moment, and before the tables are there', async () => {
    open({ readings: twice('M01', 420) })
    // Before the tables are there the button waits and claims nothing.
    await screen.findByRole('region', { name: 'Sizes' })
    expect(document.body.textContent).not.toMatch(/No size is near|No size to show yet|No size table here/)
    await screen.findByRole('heading', { level: 1, name: /Birch on Tern/ })
  })

  it('X06 waits with what is cut to measure while a tape was read only once, and says which', async () => {
    testShop().sizeTables = [made]
    const cut = () => [anItem({ family: 'H11', way: 'made' })]
    open({ items: cut(), readings: [aReading('M01', 420), ...twice('M13', 630)] })
    const wait = await screen.findByRole('button', { name: /Waits for its tapes/ })
    expect(wait.textContent).toContain('Harness neck: read once, a second reading first')
    expect(wait.hasAttribute('disabled')).toBe(true)
    cleanup()
    open({ items: cut(), readings: [...twice('M01', 420), ...twice('M13', 630)] })
    expect((await screen.findByRole('button', { name: /Order it made to measure/ })).hasAttribute('disabled')).toBe(false)
  })

  it('T48 words the rule between two sizes by the kind of thing it is', async () => {
    testShop().sizeTables = (['C1', 'C2', 'H01'] as const).map((family) =>
      table({ id: family.toLowerCase(), family, sizes: [{ label: 'S', bands: { M07: [500, 600], M15: [400, 500] } }, { label: 'M', bands: { M07: [600, 700], M15: [500, 600] } }] }),
    ) // prettier-ignore
    const says = async (family: 'C1' | 'C2' | 'H01', dog = aDog()): Promise<string> => {
      cleanup()
      renderStage(aTicket({ dog, items: [anItem({ family })], readings: twice('M07', 601) }), 'choose', <ChooseStage />)
      return (await screen.findByRole('heading', { name: 'Between two sizes' })).parentElement?.textContent ?? ''
    }
    expect(await says('H01')).toContain('what adjusts in its middle third')
    expect(await says('C2')).not.toMatch(/harness|middle third/)
    expect(await says('C1')).not.toMatch(/growing|grows/)
    expect(await says('C1', aDog({ born: new Date(Date.now() - 120 * 86_400_000).toISOString().slice(0, 10) }))).toContain('a growing dog grows into it')
  })
})

describe('U03: made to measure is an order', () => {
  it('waits while the readings lie apart, then keeps the numbers, what the maker is told, and leads to the order sheet', async () => {
    testShop().sizeTables = [made]
    const cut = () => [anItem({ family: 'H11', way: 'made' })]
    open({ items: cut(), readings: [aReading('M01', 420), aReading('M01', 446), ...twice('M13', 630)] })
    expect((await screen.findByRole('button', { name: /Waits for its tapes/ })).textContent).toContain('Harness neck: third reading first')
    cleanup()
    const sheet = pulling({ items: cut(), readings: [...twice('M01', 420), ...twice('M13', 630)] })
    const router = renderStage(sheet, 'choose', <ChooseStage />)
    fireEvent.change(await screen.findByLabelText('Colour'), { target: { value: 'red' } })
    fireEvent.change(screen.getByLabelText('Rings'), { target: { value: 'back, left, right' } })
    fireEvent.click(screen.getByRole('button', { name: /Order it made to measure/ }))
    await waitFor(() => expect(router.state.location.pathname).toMatch(/\/order$/))
    const sent = testShop().sent.find((each) => each.path.includes('/choices/'))?.body as {
      kind: string
      numbers: Record<string, number>
      options: Record<string, string>
    }
    // Of a length in doubt the shorter reading counts (handbook 6.2, common practice).
    expect(sent).toMatchObject({ kind: 'made', numbers: { M01: 421, M13: 630 }, options: { Colour: 'red', Rings: 'back, left, right' } })
    expect(sent.options.Due).toMatch(/^\d{4}-\d\d-\d\d to \d{4}-\d\d-\d\d$/)
  })
})
