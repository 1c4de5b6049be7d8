import { RULES_VERSION, type SizeTable, type TicketSheet, type MeasureId } from '@merry-tailor/core'
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
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
const twice = (measure: MeasureId, mm: number) => [aReading(measure, mm), aReading(measure, mm + 2)]
beforeEach(() => {
  testShop().sizeTables = [table()]
})
const choices = () =>
  testShop()
    .sent.filter((each) => each.path.includes('/choices/'))
    .map((each) => each.body as Record<string, unknown>)

/** Boots by one width and one length, and a paw read twice. */
const boots = table({ id: 'boots', family: 'B2', sizes: [{ label: 'Low', bands: { M32: [50, 60], M33: [60, 70] } }, { label: 'Tall', bands: { M32: [60, 70], M33: [70, 80] } }] }) // prettier-ignore
const paw = (place: 'front-left' | 'front-right' | 'rear-left', width: number, length: number) =>
  ([[place === 'rear-left' ? 'M34' : 'M32', width], [place === 'rear-left' ? 'M35' : 'M33', length]] as const).flatMap(([id, mm]) => [aReading(id, mm, { place }), aReading(id, mm, { place })]) // prettier-ignore

describe('Choose', () => {
  it('predicts in prediction words, with the size in the band first, and keeps what was chosen', async () => {
    const router = renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    const heading = await screen.findByRole('heading', { level: 1, name: /M on Tern/ })
    expect(heading).toBeDefined()
    expect(document.body.textContent).toContain('Predicted. Nothing seen on the dog yet.')
    expect(document.body.textContent).not.toContain('Holds')
    await waitFor(() => expect(screen.getByRole('region', { name: 'How it should fit' }).textContent).toContain('Should hold'))
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
    fireEvent.change(screen.getByLabelText(/Advised here: try M/), { target: { value: 'Coming into coat' } })
    fireEvent.click(screen.getByRole('button', { name: /Try L/ }))
    await waitFor(() => expect(choices()[0]).toMatchObject({ labels: ['L'], overruled: { advised: 'Try M', why: 'Coming into coat' } }))
  })

  it('moves through the sizes by arrow keys', async () => {
    renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    await screen.findByRole('heading', { level: 1, name: /M on Tern/ })
    // What is foretold of it comes as a table of its own, later.
    const [sizes] = screen.getAllByRole('table')
    const labels = within(sizes as HTMLElement)
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
    expect(await screen.findByText('No table to judge by')).toBeDefined()
    expect(screen.getByRole('link', { name: 'Paste a maker’s cells' }).getAttribute('href')).toBe('/sizes/paste')
    expect(screen.getByRole('button', { name: /No size is near/ }).hasAttribute('disabled')).toBe(true)
  })

  it('sends what is cut here, where no maker has sizes, on to its pieces', async () => {
    const item = anItem({ family: 'C1', way: 'made' })
    const router = renderStage(aTicket({ items: [item], readings: twice('M15', 480) }), 'choose', <ChooseStage />)
    expect(await screen.findByRole('heading', { level: 1, name: 'Cut for Tern alone' })).toBeDefined()
    expect(screen.getByText('Made here, or by a maker')).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: /^Its pieces/ }))
    await waitFor(() => expect(router.state.location.pathname).toMatch(new RegExp(`/pattern/${item.id}$`)))
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
    expect(await screen.findByText(/Too late for .*ordered today it comes/)).toBeDefined()
  })

  it('takes what was not read from the form, as a guess, and never calls it a reading', async () => {
    testShop().sizeTables = [table({ sizes: [{ label: 'M', bands: { M07: [600, 700], M06: [10, 900] } }] })]
    renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    expect(await screen.findByText(/No tape yet: guessed/, { selector: '.sr-only' })).toBeDefined()
    expect(screen.getByText('Should hold, a guess')).toBeDefined()
  })

  it('names the tape that decides, and leads to it', async () => {
    testShop().sizeTables = [
      table({
        sizes: [
          { label: 'S', bands: { M07: [500, 650] } },
          { label: 'M', bands: { M07: [650, 800] } },
        ],
      }),
    ]
    const router = renderStage(aTicket({ readings: twice('M07', 649) }), 'choose', <ChooseStage />)
    const block = await screen.findByRole('article', { name: 'What would decide the size' })
    expect(block.textContent).toContain('One more girth, largest decides between')
    fireEvent.click(within(block).getByRole('link', { name: 'Take girth, largest again' }))
    await waitFor(() => expect(`${router.state.location.pathname}${router.state.location.search}`).toMatch(/measure\?tape=M07$/))
  })

  it('says that only a try-on settles it, or that nothing is open', async () => {
    renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    const block = await screen.findByRole('article', { name: 'What would decide the size' })
    expect(block.textContent).toContain('On paper nothing is open: M')
  })

  it('shows both outcomes of two near sizes, the rule, and what the maker says and does not', async () => {
    testShop().sizeTables = [
      table({
        family: 'H11',
        rules: { fingers: [1, 2] },
        sizes: [
          { label: '5', bands: { M01: [400, 440] } },
          { label: '6', bands: { M01: [445, 490] } },
        ],
      }),
    ]
    renderStage(aTicket({ items: [anItem({ family: 'H11' })], readings: twice('M01', 441) }), 'choose', <ChooseStage />)
    const five = await screen.findByRole('region', { name: 'In 5' })
    expect(five.textContent).toContain('chokes, coughs or gasps')
    expect(screen.getByRole('region', { name: 'In 6' }).textContent).toContain('neck slides')
    expect(document.body.textContent).toContain('go down: it looks tiny')
    expect(document.body.textContent).toContain('Harbour Hems says: 1 to 2 fingers under a strap.')
    // U49: what a maker leaves unsaid is not said by us on every size.
    expect(document.body.textContent).not.toContain('Nothing from Harbour Hems')
  })

  it('says what the trade does where neck and length disagree', async () => {
    testShop().sizeTables = [table({ family: 'H11', sizes: [{ label: '5', bands: { M01: [430, 470], M13: [700, 760] } }] })]
    renderStage(aTicket({ items: [anItem({ family: 'H11' })], readings: [...twice('M01', 450), ...twice('M13', 600)] }), 'choose', <ChooseStage />)
    expect((await screen.findByRole('article', { name: 'Where the tapes disagree' })).textContent).toContain('Whatever the neck says, leave this family')
  })

  it('puts the shop’s own piece first where it fits and no shelf does, by its flat measures before its label', async () => {
    testShop().sizeTables = [
      table({
        sizes: [
          { label: 'S', bands: { M07: [500, 600] } },
          { label: 'L', bands: { M07: [700, 800] } },
        ],
      }),
    ]
    testShop().pieces = [
      { id: '01900000-0000-7000-8000-00000000aaaa', tag: 'Peg 1', family: 'H01', maker: 'Harbour Hems', label: 'L', tableId: 'plain-y', flat: { M07: [660, 690] }, sliders: '', home: 'loan', holder: 'Next door', wearerId: null, state: 'worn', wear: '', retired: null, createdAt: '2026-01-01T00:00:00Z' },
    ] // prettier-ignore
    const sheet = aTicket({ readings: twice('M07', 650) })
    renderStage(sheet, 'choose', <ChooseStage />)
    expect(await screen.findByRole('heading', { level: 1, name: /Peg 1 on Tern/ })).toBeDefined()
    expect(screen.getByText(/On loan, Next door; worn\. Laid flat and measured\./)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: /Try Peg 1/ }))
    await waitFor(() => expect(choices()[0]).toMatchObject({ kind: 'gear', pieceId: '01900000-0000-7000-8000-00000000aaaa' }))
    // The true server takes it, and the sheet it gives has it.
    const kept = (await (await fetch(`/api/tickets/${sheet.ticket.id}`)).json()) as TicketSheet
    expect(kept.choices).toMatchObject([{ kind: 'gear', predicted: [{ label: 'Peg 1', grade: 'holds' }], rulesVersion: RULES_VERSION }])
  })

  it('shows shelves and weeks as the supplier has them, or its last word with its age', async () => {
    const heard = { tableId: 'plain-y', count: { S: 0, M: 4, L: 2 }, lead: { minWeeks: 0, maxWeeks: 1 }, countedAt: new Date(Date.now() - 3 * 86_400_000).toISOString(), heardAt: '', reached: false } // prettier-ignore
    // The true supplier's port: heard once, then away.
    testShop().supply = [heard]
    await fetch('/api/supply')
    testShop().supply = []
    renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    expect(await screen.findByText('4 on the shelf')).toBeDefined()
    expect(screen.getByText('none on the shelf')).toBeDefined()
    expect(screen.getByText('Supplier not reached; counted 3 days ago.')).toBeDefined()
  })

  it('says that a count is old although the supplier was reached', async () => {
    testShop().supply = [{ tableId: 'plain-y', count: { M: 4 }, lead: { minWeeks: 0, maxWeeks: 1 }, countedAt: new Date(Date.now() - 3 * 86_400_000).toISOString(), heardAt: '', reached: true }] // prettier-ignore
    renderStage(aTicket({ readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    expect(await screen.findByText('The supplier’s count is old: counted 3 days ago.')).toBeDefined()
  })

  it('weighs the ways: too late, too dear, first weeks', async () => {
    const soon = new Date(Date.now() + 2 * 86_400_000).toISOString().slice(0, 10)
    testShop().sizeTables = [
      table({ price: [20, 25] }),
      table({ id: 'cut', way: 'made', price: [70, 90], lead: { minWeeks: 4, maxWeeks: 6 }, sizes: [{ label: 'To measure', bands: { M07: [300, 1200] } }] }),
    ]
    renderStage(
      aTicket({
        items: [anItem({ way: 'undecided' })],
        readings: twice('M07', 650),
        ticket: { activities: ['learning-puller'], budget: 40, neededOn: soon },
      }),
      'choose',
      <ChooseStage />,
    )
    const ways = await screen.findByRole('region', { name: 'Ways to get it' })
    const rows = within(ways)
      .getAllByRole('listitem')
      .map((each) => each.textContent)
    expect(rows[0]).toMatch(/^StockBest/)
    expect(rows.find((each) => each.startsWith('Made'))).toMatch(/Not this time.*too late for the day needed.*over what it may cost/)
    expect(rows.find((each) => each.startsWith('Second-hand'))).toContain('seams and sliders')
  })

  it('says what decides a piece cut to the dog', async () => {
    testShop().sizeTables = [table({ family: 'H11', way: 'made', sizes: [{ label: 'To measure', bands: { M01: [300, 900] } }] })]
    renderStage(aTicket({ items: [anItem({ family: 'H11', way: 'made' })], readings: twice('M01', 450) }), 'choose', <ChooseStage />)
    expect(await screen.findByText(/the shorter one counts/)).toBeDefined()
    expect(screen.queryByText('Between two sizes')).toBeNull()
  })

  it('orders nothing made to measure on guesses alone', async () => {
    testShop().sizeTables = [table({ way: 'made', family: 'C3', sizes: [{ label: 'To measure', bands: { M16: [200, 800], M03: [150, 700] } }] })]
    renderStage(aTicket({ items: [anItem({ family: 'C3', way: 'made' })] }), 'choose', <ChooseStage />)
    expect((await screen.findByRole('button', { name: /Waits for its tapes/ })).hasAttribute('disabled')).toBe(true)
    expect(screen.queryByLabelText(/Why another/)).toBeNull()
  })

  it('names the stop that stands on an item, and none where another item on the ticket does that work', async () => {
    const activities = ['stroll', 'bike-front'] as const
    renderStage(aTicket({ ticket: { activities: [...activities] }, readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    expect((await screen.findByText(/Walking Y, short: not for this work/)).textContent).toBe('Walking Y, short: not for this work.')
    expect(screen.getByRole('link', { name: 'Read under Ask' }).getAttribute('href')).toMatch(/\/ask$/)
    cleanup()
    renderStage(
      aTicket({ items: [anItem(), anItem({ family: 'H11' })], ticket: { activities: [...activities] }, readings: twice('M07', 650) }),
      'choose',
      <ChooseStage />,
    )
    await screen.findByRole('heading', { level: 1, name: /M on Tern/ })
    expect(screen.queryByText(/not for this work/)).toBeNull()
  })

  it('offers crates in their usual series', async () => {
    testShop().sizeTables = []
    renderStage(
      aTicket({
        items: [anItem({ family: 'K1' })],
        readings: [...twice('M42', 800), ...twice('M41', 540), ...twice('M39', 540), ...twice('M40', 550), ...twice('M44', 230)],
      }),
      'choose',
      <ChooseStage />,
    )
    expect(await screen.findByRole('heading', { level: 1, name: /42.* on Tern/ })).toBeDefined()
  })

  it('warns of a dog heavier than the one a car harness was tested with', async () => {
    testShop().sizeTables = [table({ family: 'H24', sizes: [{ label: 'M', bands: { M07: [600, 700] }, testedKg: 15 }] })]
    renderStage(aTicket({ items: [anItem({ family: 'H24' })], readings: twice('M07', 650) }), 'choose', <ChooseStage />)
    expect(await screen.findByText(/Heavier than the dog it was tested with/)).toBeDefined()
  })

  it('sizes boots paw by paw, says how many of each, and leads to the paw not read', async () => {
    testShop().sizeTables = [boots]
    const router = renderStage(
      aTicket({ items: [anItem({ family: 'B2' })], readings: [...paw('front-left', 65, 75), ...paw('front-right', 65, 75), ...paw('rear-left', 55, 65)] }),
      'choose',
      <ChooseStage />,
    )
    await screen.findByRole('heading', { level: 1, name: /Tall on Tern/ })
    const block = within(await screen.findByRole('article', { name: 'Paw by paw' }))
    expect(block.getByText('1 Low, 2 Tall. One paw is not read: it may differ.')).toBeDefined()
    fireEvent.click(block.getByRole('link', { name: 'Take it' }))
    await waitFor(() => expect(router.state.location.search).toBe('?tape=M34%2Frear-right'))
  })
})
