import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Outing } from '@merry-tailor/core'
import { aDog, AT, nextId, renderPage, testShop, withTestShop } from '../test/shop'
import { Ladder } from './Ladder'

withTestShop()
const outing = (on: string, over: Partial<Outing> = {}): Outing => ({ id: nextId(), on, rung: 'wear', calm: true, loadKg: null, minutes: null, rigId: null, note: '', removed: false, at: AT, by: '', ...over }) // prettier-ignore
const grown = () => aDog({ id: nextId(), weightKg: 30, born: '2020-01-01' })
const show = (outings: Outing[], dog = grown()) => renderPage('/x', '/x', <Ladder dog={dog} outings={outings} />)

describe('the ladder to drawing', () => {
  it('begins with wearing it, goes up after three calm days, and does not count what was taken off', async () => {
    show([])
    expect(await screen.findByText('Next: wear it')).toBeDefined()
    cleanup()
    const days = ['2026-03-03', '2026-03-02', '2026-03-01'].map((on) => outing(on))
    show(days)
    expect(await screen.findByText('Next: draw lines')).toBeDefined()
    expect(screen.getByRole('list', { name: 'Rungs' }).querySelector('[aria-current]')?.textContent).toBe('Draw lines')
    cleanup()
    show(days.map((each, i) => ({ ...each, removed: i === 0 })))
    expect(await screen.findByText('Next: wear it')).toBeDefined()
    expect(screen.getByText(/was taken off/)).toBeDefined()
  })

  it('while it grows lines are the most, and a dog nobody weighed is weighed first', async () => {
    const lines = ['2026-03-03', '2026-03-02', '2026-03-01'].map((on) => outing(on, { rung: 'lines' }))
    const born = new Date(Date.now() - 200 * 86_400_000).toISOString().slice(0, 10)
    show(lines, aDog({ id: nextId(), weightKg: 20, born }))
    expect(await screen.findByText(/It still grows: lines at most/)).toBeDefined()
    cleanup()
    show(lines, aDog({ id: nextId(), weightKg: null }))
    expect(await screen.findByText(/^Weigh Tern first/)).toBeDefined()
  })

  it('keeps an outing, says at the field what is no load, and takes one off', async () => {
    const dog = grown()
    const kept = outing('2026-03-01')
    show([kept], dog)
    fireEvent.click(await screen.findByText('Write an outing down'))
    const form = within(screen.getByRole('button', { name: 'Keep this outing' }).closest('form') as HTMLElement)
    fireEvent.click(form.getByRole('radio', { name: 'A load' }))
    const load = form.getByLabelText<HTMLInputElement>(/^Load/)
    fireEvent.change(load, { target: { value: 'some' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep this outing' }))
    await waitFor(() => expect(form.getByRole('alert').textContent).not.toBe(''))
    expect(load.value).toBe('some')
    fireEvent.change(load, { target: { value: '8 kg' } })
    fireEvent.click(form.getByRole('radio', { name: 'Not calm' }))
    fireEvent.click(screen.getByRole('button', { name: 'Keep this outing' }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { rung: 'load', calm: false, loadKg: 8 } }))
    fireEvent.click(screen.getByRole('button', { name: /^Take .* off/ }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', body: { changes: [{ field: 'removed', from: false, to: true }] } }))
  })
})
