import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { AT, nextId, renderPage, testShop, withTestShop } from '../test/shop'
import { store } from '../state/store'
import { SettingsPage } from './SettingsPage'

withTestShop()
const open = () => renderPage('/shop', '/shop', <SettingsPage />)
const changes = () =>
  testShop()
    .sent.filter((each) => each.path === '/shop')
    .map((each) => (each.body as { changes: unknown[] }).changes[0])

describe('the shop’s agreements', () => {
  it('are sent each against the value seen, and every device follows', async () => {
    open()
    fireEvent.click(await screen.findByRole('radio', { name: 'Three times, mean' }))
    fireEvent.click(screen.getByRole('radio', { name: 'School B' }))
    fireEvent.click(screen.getByRole('radio', { name: 'A sixteenth' }))
    fireEvent.click(screen.getByRole('switch', { name: /Largest rings/ }))
    await waitFor(() =>
      expect(changes()).toEqual([
        { field: 'repeat', from: 'twice', to: 'three' },
        { field: 'school', from: 'both', to: 'B' },
        { field: 'inchStep', from: 0.125, to: 0.0625 },
        { field: 'largestCounts', from: true, to: false },
      ]),
    )
    await waitFor(() => expect(store.getState().settings.inchStep).toBe(0.0625))
  })

  it('takes a side where practitioners disagree, and goes back to the case', async () => {
    open()
    const view = await screen.findByRole('radiogroup', { name: 'Strap across the chest' })
    fireEvent.click(within(view).getByRole('radio', { name: 'Second' }))
    await waitFor(() => expect(changes()).toContainEqual({ field: 'views', from: {}, to: { D17: 'B' } }))
    await waitFor(() => expect(within(view).getByRole('radio', { name: 'Second' }).getAttribute('aria-checked')).toBe('true'))
    fireEvent.click(within(view).getByRole('radio', { name: 'By the case' }))
    await waitFor(() => expect(changes()).toContainEqual({ field: 'views', from: { D17: 'B' }, to: {} }))
  })

  it('keeps its own angles, rising one after the other', async () => {
    open()
    const field = await screen.findByLabelText('Full length up to, °')
    const leave = (value: string): void => {
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
    }
    leave('30')
    expect((await screen.findByRole('alert')).textContent).toBe('The three angles rise one after the other.')
    leave('8')
    await waitFor(() =>
      expect(changes()).toContainEqual({
        field: 'lineBands',
        from: { wheelBelowDeg: -10, fullToDeg: 5, halfToDeg: 20 },
        to: { wheelBelowDeg: -10, fullToDeg: 8, halfToDeg: 20 },
      }),
    )
  })

  it('show what is wrong with a number at its field, and both values when somebody was faster', async () => {
    open()
    const field = await screen.findByLabelText<HTMLInputElement>('Two readings may differ, mm')
    fireEvent.change(field, { target: { value: 'a lot' } })
    fireEvent.blur(field)
    expect((await screen.findByRole('alert')).textContent).toBe('A number, please.')
    testShop().answers['PATCH /shop'] = () =>
      new Response('{"code":"stale-edit","detail":"Both are given.","conflicts":[{"field":"toleranceMm","yours":12,"theirs":8}]}', { status: 409 })
    fireEvent.change(field, { target: { value: '12' } })
    fireEvent.blur(field)
    expect((await screen.findByRole('alert')).textContent).toContain('somebody set it to “8”; you typed “12”')
  })

  it('keep the rest in minutes and the share of the length in hundredths', async () => {
    open()
    const rest = await screen.findByLabelText<HTMLInputElement>('Rest between rounds, min')
    expect(rest.value).toBe('3')
    fireEvent.change(rest, { target: { value: '5' } })
    fireEvent.blur(rest)
    const share = screen.getByLabelText('or of the length, per 100')
    fireEvent.change(share, { target: { value: '1,5' } })
    fireEvent.blur(share)
    await waitFor(() =>
      expect(changes()).toEqual([
        { field: 'restSeconds', from: 180, to: 300 },
        { field: 'toleranceShare', from: 0.02, to: 0.015 },
      ]),
    )
  })
})

describe('fitters', () => {
  it('come in by name and are chosen by chip', async () => {
    testShop().fitters.push(
      { id: nextId(), name: 'Orrin', gauge: null, left: false, createdAt: AT },
      { id: nextId(), name: 'Gone', gauge: null, left: true, createdAt: AT },
    )
    open()
    fireEvent.click(await screen.findByRole('button', { name: 'Orrin' }))
    expect(store.getState().settings.fitter).toBe('Orrin')
    expect(screen.queryByRole('button', { name: 'Gone' })).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'Add' }))
    expect((await screen.findByRole('alert')).textContent).toContain('A name')
    testShop().answers['PUT /fitters'] = () => new Response('{"code":"name-taken","detail":"There is a Orrin at the bench already."}', { status: 409 })
    fireEvent.change(screen.getByLabelText('A fitter’s name'), { target: { value: 'Orrin' } })
    fireEvent.click(screen.getByRole('button', { name: 'Add' }))
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('already'))
    expect(screen.getByLabelText<HTMLInputElement>('A fitter’s name').value).toBe('Orrin')
  })

  it('measure their own fingers in four steps, and a hand that is none is asked again', async () => {
    testShop().fitters.push({ id: nextId(), name: 'Ylva', gauge: null, left: false, createdAt: AT })
    open()
    fireEvent.click(await screen.findByRole('button', { name: 'Measure them' }))
    const step = async (title: RegExp, typed: string): Promise<void> => {
      await screen.findByText(title)
      fireEvent.change(screen.getByLabelText('Length, cm'), { target: { value: typed } })
      fireEvent.click(screen.getByRole('button', { name: /Next|Keep/ }))
    }
    await step(/1 of 4\. The index finger/, '14')
    expect((await screen.findByRole('alert')).textContent).toContain('for any hand')
    await step(/1 of 4/, '1,4')
    await step(/2 of 4/, '3,2')
    await step(/3 of 4/, '6,8')
    await step(/4 of 4/, '2,3')
    await waitFor(() =>
      expect(testShop().sent.at(-1)).toMatchObject({
        method: 'PATCH',
        body: { changes: [{ field: 'gauge', from: null, to: { indexMm: 14, twoMm: 32, fourMm: 68, handMm: 23 } }] },
      }),
    )
  })
})

describe('the whole book', () => {
  const choose = (text: string): void => {
    const file = new File([text], 'book.json')
    Object.assign(file, { text: () => Promise.resolve(text) })
    fireEvent.change(screen.getByLabelText('A copy of the whole book'), { target: { files: [file] } })
  }

  it('is replaced only when that is said', async () => {
    testShop().answers['PUT /book?replace=no'] = () => new Response('{"code":"shop-not-empty"}', { status: 409 })
    testShop().answers['PUT /book?replace=yes'] = () => new Response('{"rows":42}')
    open()
    await screen.findByText('The whole book')
    choose('{"format":"merry-tailor/book"}')
    const asked = await screen.findByText('There is a book here already.')
    fireEvent.click(within(asked.closest('[role="alert"]') as HTMLElement).getByRole('button', { name: 'Replace this book' }))
    await screen.findByText('book.json is back: 42 records.')
  })

  it('says what is wrong and that nothing was changed', async () => {
    testShop().answers['PUT /book'] = () => new Response('{"code":"bad-document","detail":"dogs, row 1: the column \\"tail\\" does not fit."}', { status: 422 })
    open()
    await screen.findByText('The whole book')
    choose('{}')
    expect((await screen.findByRole('alert')).textContent).toContain('does not fit. Nothing was changed.')
  })
})

describe('what was foretold, and seen', () => {
  const pair = (i: number, predicted: string, seen: string) => ({
    round: `r${i}`, ticketId: nextId(), dog: 'Gannet', label: 'Cedar', at: AT, family: 'H11', check: 'v-on-breastbone', state: 'pulling', predicted, seen,
  }) // prettier-ignore
  const answer = (pairs: unknown[]): void => {
    testShop().answers['GET /foretold'] = () => new Response(JSON.stringify(pairs), { headers: { 'content-type': 'application/json' } })
  }

  it('says how often it came true, with its interval, and that too few rounds only order what to try', async () => {
    answer([pair(1, 'holds', 'holds'), pair(2, 'holds', 'fails'), pair(3, 'fails', 'fails')])
    open()
    const table = await screen.findByRole('table', { name: 'Full cross-back: how often it came true' })
    expect(within(table).getByText('1 of 2')).toBeDefined()
    expect(within(table).getByText('0 of 1')).toBeDefined()
    expect(within(table).getByText('never asked')).toBeDefined()
    expect(screen.getByText('27 more before they count')).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'All 3 pairs' }))
    expect(screen.getAllByRole('link', { name: /V on the breastbone/ })).toHaveLength(3)
  })

  it('lets predictions count from thirty rounds on, where they came true', async () => {
    answer(Array.from({ length: 34 }, (_, i) => pair(i, i % 2 === 0 ? 'holds' : 'fails', i % 2 === 0 ? 'holds' : 'fails')))
    open()
    expect(await screen.findByText('its predictions count')).toBeDefined()
  })
})
