import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDog, anItem, aTicket, bornMonthsAgo, renderStage, testShop, wideScreen, withTestShop } from '../../test/shop'
import { settingsChanged } from '../../state/settings'
import { store } from '../../state/store'
import { AskStage } from './AskStage'

withTestShop()

const changes = (path: string) =>
  testShop()
    .sent.filter((each) => each.method === 'PATCH' && each.path.startsWith(path))
    .flatMap((each) => (each.body as { changes: { field: string; from: unknown; to: unknown }[] }).changes)

describe('Ask', () => {
  it('adds work and items, says what suits, and takes an item back', async () => {
    renderStage(aTicket({ items: [] }), 'ask', <AskStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Ski, dog in front' }))
    await waitFor(() => expect(changes('/tickets')).toContainEqual({ field: 'activities', from: ['stroll'], to: ['stroll', 'ski-front'] }))
    const suits = await screen.findByRole('region', { name: 'What suits' })
    // A ski dog: the long Y leads, and is the yellow action while nothing is on the ticket.
    expect(within(suits).getAllByRole('button', { name: /^Put .* on the ticket$/ })[0]?.textContent).toBe('Put long Y for pulling on the ticket')
    fireEvent.click(within(suits).getByRole('button', { name: 'Put full cross-back on the ticket' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ family: 'H11', way: 'undecided', school: null }))
    const row = within(await screen.findByRole('region', { name: 'On this ticket' })).getByRole('listitem', { name: 'Full cross-back' })
    expect(row.textContent).toContain('from the withers, over the side')
    fireEvent.click(screen.getByRole('radio', { name: 'School B' }))
    await waitFor(() => expect(changes('/tickets')).toContainEqual({ field: 'school', from: null, to: 'B' }))
    fireEvent.click(screen.getByRole('button', { name: 'Remove the Full cross-back' }))
    await waitFor(() => expect(changes('/tickets')).toContainEqual({ field: 'removed', from: false, to: true }))
  })

  it('asks for a measuring school only where the shop has not one, or the item another', async () => {
    testShop().shop = { ...testShop().shop, school: 'A' }
    const items = [anItem({ family: 'H11', way: 'made', school: 'A' }), anItem({ family: 'H12', way: 'made', school: 'B' })]
    renderStage(aTicket({ items }), 'ask', <AskStage />)
    const list = within(await screen.findByRole('region', { name: 'On this ticket' }))
    await waitFor(() => expect(list.getAllByRole('radio', { name: 'School B' })).toHaveLength(1))
    expect(list.getByRole('radio', { name: 'School B' }).getAttribute('aria-checked')).toBe('true')
  })

  it('U36 U54 begins on a phone with name and work, the rest of the dog folded; a group of buttons is one stop', async () => {
    wideScreen(true)
    renderStage(aTicket({ dog: aDog({ name: 'Tern', breed: 'Siberian Husky' }) }), 'ask', <AskStage />)
    const name = await screen.findByLabelText('Name')
    const folded = screen.getByLabelText('Breed').closest('details')
    expect(folded?.open).toBe(false)
    expect(folded?.querySelector('summary')?.textContent).toContain('Siberian Husky')
    const work = screen.getByRole('group', { name: 'What it will do' })
    expect(name.compareDocumentPosition(work) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy()
    // One Tab stop; the arrows go on within.
    const stops = within(work).getAllByRole('button').filter((each) => each.tabIndex === 0) // prettier-ignore
    expect(stops.length).toBeLessThanOrEqual(1)
    expect(screen.getByRole('link', { name: 'Skip to the work' }).getAttribute('href')).toBe('#the-work')
    expect(screen.getByRole('link', { name: /Take the tapes/ }).closest('footer')?.className).toContain('sticky')
  })

  it('U37 folds what every pulling dog is told behind one line, and asks for no act on it', async () => {
    wideScreen()
    renderStage(aTicket({ ticket: { activities: ['sled-team'] }, items: [anItem({ family: 'H11' })] }), 'ask', <AskStage />)
    const cautions = await screen.findByRole('complementary', { name: 'Cautions' })
    const notes = within(cautions)
      .getByText(/notes? for the docket$/)
      .closest('details')
    expect(notes?.open).toBe(false)
    expect(within(notes as HTMLElement).queryByRole('button')).toBeNull()
    expect(notes?.textContent).toMatch(/Not left on alone/)
  })

  it('gives an item of two schools the shop’s own school', async () => {
    testShop().shop.school = 'A'
    renderStage(aTicket({ items: [] }), 'ask', <AskStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Full cross-back' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ family: 'H11', school: 'A' }))
  })

  it('asks how the dog goes, its place in a team, the purse and the air, and keeps each answer', async () => {
    renderStage(aTicket({ ticket: { activities: ['sled-team'] } }), 'ask', <AskStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Crabs sideways' }))
    await waitFor(() => expect(changes('/tickets')).toContainEqual({ field: 'traits', from: [], to: ['crabs'] }))
    fireEvent.click(await screen.findByRole('button', { name: 'Crabs sideways', pressed: true }))
    await waitFor(() => expect(changes('/tickets')).toContainEqual({ field: 'traits', from: ['crabs'], to: [] }))
    fireEvent.click(screen.getByRole('radio', { name: 'Wheel' }))
    await waitFor(() => expect(changes('/tickets')).toContainEqual({ field: 'teamPlace', from: null, to: 'wheel' }))
    const leave = (label: string, value: string): void => {
      const field = screen.getByLabelText(label)
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
    }
    leave('May cost, for each piece', 'lots')
    expect((await screen.findByRole('alert')).textContent).toBe('A number from 0 to 100000, or nothing.')
    leave('May cost, for each piece', '42,5')
    leave('Air at the work, °C', '−3')
    leave('Who else will wear it', 'Her brother')
    await waitFor(() =>
      expect(changes('/tickets')).toEqual(
        expect.arrayContaining([
          { field: 'budget', from: null, to: 42.5 },
          { field: 'airC', from: null, to: -3 },
          { field: 'alsoWorn', from: '', to: 'Her brother' },
        ]),
      ),
    )
  })

  it('asks nothing about teams of a dog that strolls', async () => {
    renderStage(aTicket(), 'ask', <AskStage />)
    await screen.findByRole('button', { name: 'Crabs sideways' })
    expect(screen.queryByRole('radio', { name: 'Wheel' })).toBeNull()
    expect(screen.queryByLabelText('Air at the work, °C')).toBeNull()
  })

  it('offers every family of the trade on its shelf', async () => {
    renderStage(aTicket(), 'ask', <AskStage />)
    const boots = await screen.findByRole('group', { name: 'Boots' })
    fireEvent.click(within(boots).getAllByRole('button')[0] ?? boots)
    await waitFor(() => expect((testShop().sent.at(-1)?.body as { family: string }).family).toBe('B1'))
  })

  it('keeps the growing dog’s stop until it is overruled with a reason', async () => {
    const puppy = aDog({ born: '2026-08-01' })
    renderStage(aTicket({ dog: puppy, items: [anItem({ family: 'H11' })], ticket: { activities: ['ski-front'] } }), 'ask', <AskStage />)
    const stop = await screen.findByRole('region', { name: /^No load:/ })
    expect(stop.textContent).toContain('local rules and the vet go before this.')
    fireEvent.click(within(stop).getByRole('button', { name: 'Overrule, with this reason' }))
    expect(within(stop).getByRole('alert').textContent).toContain('Type why')
    fireEvent.change(within(stop).getByLabelText('To overrule it: why?'), { target: { value: 'Fitting only, no load' } })
    fireEvent.click(within(stop).getByRole('button', { name: 'Overrule, with this reason' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ kind: 'stop', code: 'growing-no-load', reason: 'Fitting only, no load' }))
    await waitFor(() => expect(screen.getByRole('region', { name: /^No load:/ }).textContent).toContain('Fitting only, no load'))
  })

  it('U05 sets a stop right under the work on a phone, before what suits, and lets it be heeded by one tap', async () => {
    wideScreen(true)
    const puppy = aDog({ born: bornMonthsAgo(5) })
    renderStage(aTicket({ dog: puppy, items: [], ticket: { activities: ['bike-front'] } }), 'ask', <AskStage />)
    const stop = await screen.findByRole('region', { name: /^No load:/ })
    const suits = screen.getByRole('region', { name: 'What suits' })
    expect(stop.compareDocumentPosition(suits) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy()
    const work = screen.getByRole('button', { name: /^Bike or scooter/ })
    expect(work.compareDocumentPosition(stop) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy()
    fireEvent.click(within(stop).getByRole('button', { name: /^No bike until about / }))
    await waitFor(() => expect(changes('/tickets')).toContainEqual({ field: 'activities', from: ['bike-front'], to: [] }))
    // The day it is looked at again is set with it.
    expect(changes('/tickets').find(({ field }) => field === 'nextLookOn')?.to).toMatch(/^\d{4}-\d\d-\d\d$/)
  })

  it('U35 says under the switch what each school is, where the item has two', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'H11', way: 'made' }), anItem({ family: 'H01', way: 'made' })] }), 'ask', <AskStage />)
    const on = await screen.findByRole('region', { name: 'On this ticket' })
    const [cross, walking] = within(on).getAllByRole('listitem')
    expect(cross?.textContent).toContain('A: from the breastbone, under. B: from the withers, over the side.')
    expect(walking?.textContent).not.toContain('breastbone')
  })

  it('saves each field of the dog on leaving it, and says at the field what can’t be', async () => {
    const dog = aDog({ breed: 'Pug', flatFace: null })
    renderStage(aTicket({ dog }), 'ask', <AskStage />)
    const leave = (label: string | RegExp, value: string): HTMLElement => {
      const field = screen.getByLabelText(label, { selector: 'input,textarea' })
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
      return field
    }
    await screen.findByText('The breed says yes.')
    leave('Weight', '20 stone')
    expect((await screen.findByRole('alert')).textContent).not.toBe('')
    expect(screen.getByLabelText<HTMLInputElement>('Weight').value).toBe('20 stone')
    fireEvent.change(screen.getByLabelText('Weight'), { target: { value: '45 lb' } })
    await screen.findByText('Reads 20.4 kg, 45 lb')
    fireEvent.blur(screen.getByLabelText('Weight'))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { kg: 20.41, asTyped: '45 lb', unit: 'lb' } }))
    // T43: a bare number is the shop’s own unit.
    leave('Weight', '21')
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ kg: 21, asTyped: '21', unit: 'kg' }))
    store.dispatch(settingsChanged({ unit: 'in' }))
    leave('Weight', '46')
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ kg: 20.87, asTyped: '46', unit: 'lb' }))
    leave('Born, or about how old', '2031-01-01')
    await screen.findByText('That day has not come yet.')
    leave('Born, or about how old', 'old')
    await screen.findByText(/Type a date, or an age/)
    leave('Born, or about how old', 'about 5 months')
    await waitFor(() => expect(changes(`/dogs/${dog.id}`)).toContainEqual({ field: 'ageMonths', from: null, to: 5 }))
    leave('Name', '  ')
    await screen.findByText('A dog has a name. The old one is kept.')
    leave('Body and temper notes', 'Ticklish')
    await waitFor(() => expect(changes(`/dogs/${dog.id}`)).toContainEqual({ field: 'notes', from: '', to: 'Ticklish' }))
  })

  it('goes on to the tapes with one key', async () => {
    const router = renderStage(aTicket(), 'ask', <AskStage />)
    await screen.findByRole('heading', { level: 1 })
    fireEvent.keyDown(document.body, { key: 'Enter' })
    await waitFor(() => expect(router.state.location.pathname).toMatch(/measure$/))
  })
})
