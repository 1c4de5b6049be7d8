import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Rig } from '@merry-tailor/core'
import { AT, anItem, aReading, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { DraftRoom } from './DraftRoom'
import { FIRST_CART } from '../../rigs'

withTestShop()
const cart: Rig = { ...FIRST_CART, name: 'Ash cart', id: nextId(), createdAt: AT, bar: { widthMm: 400, swings: false } }
beforeEach(() => {
  testShop().answers['GET /rigs'] = () => Response.json([cart])
})
const sheet = () => aTicket({ items: [anItem({ family: 'H23' })], readings: [aReading('M07', 820), aReading('M07', 822), aReading('M00', 40, { unit: 'kg' })] })
const title = () => screen.getByRole('heading', { level: 1 }).textContent
const addLoad = async (weight: string): Promise<void> => {
  fireEvent.change(await screen.findByLabelText(/^A load/), { target: { value: weight } })
  fireEvent.click(screen.getByRole('button', { name: 'Add' }))
}

describe('what a drafting harness draws', () => {
  it('says what rests on the dog, and moves with the load under the arrow keys', async () => {
    renderStage(sheet(), 'draft', <DraftRoom />)
    await addLoad('30 kg')
    const handle = await screen.findByRole('slider', { name: 'Load 1, ahead of the axle' })
    const before = title()
    for (let i = 0; i < 12; i++) fireEvent.keyDown(handle, { key: 'ArrowRight' })
    await waitFor(() => expect(title()).toMatch(/^Shafts rest/))
    expect(title()).not.toBe(before)
    expect(handle.getAttribute('aria-valuetext')).toContain('ahead of the axle')
    // Steeper up the pull grows past what it is planned with.
    fireEvent.change(screen.getByLabelText(/^Grade/), { target: { value: '20' } })
    await waitFor(() => expect(screen.getAllByText('Likely misses').length).toBeGreaterThan(0))
    fireEvent.change(screen.getByLabelText(/^Grade/), { target: { value: '60' } })
    expect(screen.getByText('From -30 to 30: steeper no cart is drawn.')).toBeDefined()
    fireEvent.change(screen.getByLabelText(/^Grade/), { target: { value: '-12' } })
    await waitFor(() => expect(screen.getByText(/holds back .*brake it/)).toBeDefined())
  })

  it('keeps what was set up when it is left, and asks of a load what it weighs', async () => {
    const ticket = sheet()
    renderStage(ticket, 'draft', <DraftRoom />)
    await addLoad('much')
    expect(screen.getByText(/A weight, such as 12/)).toBeDefined()
    expect(screen.getByLabelText<HTMLInputElement>(/^A load/).value).toBe('much')
    await addLoad('18 kg')
    await screen.findByRole('slider', { name: /^Load 1/ })
    cleanup()
    renderStage(ticket, 'draft', <DraftRoom />)
    expect(await screen.findByRole('slider', { name: 'Load 1, ahead of the axle' })).toBeDefined()
  })

  it('takes the rig’s own numbers when their field is left, and says what is none', async () => {
    renderStage(sheet(), 'draft', <DraftRoom />)
    const bar = await screen.findByLabelText<HTMLInputElement>(/^Bar’s width/)
    fireEvent.change(bar, { target: { value: 'wide' } })
    fireEvent.blur(bar)
    expect(await screen.findByText(/A length, such as/)).toBeDefined()
    expect(bar.value).toBe('wide')
    fireEvent.change(bar, { target: { value: '42 cm' } })
    fireEvent.blur(bar)
    await waitFor(() =>
      expect(testShop().sent.at(-1)).toMatchObject({
        method: 'PATCH',
        body: { changes: [{ field: 'bar', from: cart.bar, to: { widthMm: 420, swings: false } }] },
      }),
    )
  })

  it('lists where every strap starts, in order, and that the rear traces are a guess', async () => {
    renderStage(sheet(), 'draft', <DraftRoom />)
    const straps = await screen.findByRole('region', { name: 'Straps, in order' })
    const rows = within(straps).getAllByRole('listitem')
    expect(rows.map((each) => each.querySelector('b')?.textContent)).toEqual([
      'Neck',
      'Keel',
      'Back',
      'Upper trace',
      'Lower trace',
      'Cinch',
      'Loop drop',
      'Shaft loop',
      'Belly band',
      'Rear trace',
    ])
    expect(rows[5]?.textContent).toContain('by its tape')
    expect(rows[9]?.textContent).toMatch(/[\d.]+ to [\d.]+/)
    expect(rows[9]?.textContent).toContain('not set')
    expect(straps.textContent).toContain('a guess until it was seen in stride')
  })

  it('is locked on the ticket as it stands, once, and opened again as it was locked', async () => {
    delete testShop().answers['GET /rigs']
    const ticket = sheet()
    renderStage(ticket, 'draft', <DraftRoom />)
    fireEvent.click(await screen.findByRole('button', { name: 'Add a cart' }))
    await addLoad('18 kg')
    fireEvent.click(await screen.findByRole('button', { name: /^Lock this set-up/ }))
    const setUps = () => testShop().sent.filter(({ path }) => path.includes('/set-ups/'))
    await waitFor(() => expect(setUps()).toHaveLength(1))
    expect(setUps()[0]?.body).toMatchObject({
      loads: [{ name: 'Load 1', massKg: 18 }],
      surface: 'gravel',
      gradePercent: 0,
      rearMm: { left: 0, right: 0 },
      pieceId: null,
    })
    // Locking is a choice; the rear traces are kept as settings.
    const kept = (part: string) =>
      testShop()
        .sent.filter(({ path }) => path.includes(part))
        .map(({ body }) => body)
    await waitFor(() => expect(kept('/choices/')).toMatchObject([{ kind: 'set-up' }]))
    expect(kept('/settings/')).toMatchObject([{ part: 'rear', side: 'both' }])
    const done = await screen.findByRole('button', { name: /^This set-up is on the ticket/ })
    expect((done as HTMLButtonElement).disabled).toBe(true)
    // A change is another set-up.
    fireEvent.change(screen.getByLabelText(/^Grade/), { target: { value: '3' } })
    expect(await screen.findByRole('button', { name: /^Lock this set-up/ })).toBeDefined()
  })

  it('says of uneven traces behind a fixed bar that nobody knows the give, and to make them equal', async () => {
    renderStage(sheet(), 'draft', <DraftRoom />)
    await addLoad('20 kg')
    const left = await screen.findByLabelText<HTMLInputElement>(/^Left rear trace/)
    const inches = Number(left.value.split(' ')[0])
    fireEvent.change(left, { target: { value: `${inches - 1}` } })
    await waitFor(() => expect(screen.getByText(/make them equal/)).toBeDefined())
    expect(screen.getByText(/nobody knows that/)).toBeDefined()
    expect(screen.getByRole('img', { name: /^firm: left/ })).toBeDefined()
  })

  it('moves shafts, bar and rear traces by their handles, and puts them back with Escape', async () => {
    renderStage(sheet(), 'draft', <DraftRoom />)
    const at = (name: RegExp) => Number(screen.getByRole('slider', { name }).getAttribute('aria-valuenow'))
    await screen.findByRole('slider', { name: /^Shafts/ })
    for (const [name, key, by] of [
      [/^Shafts/, 'ArrowUp', 5],
      [/^Bar’s height/, 'ArrowDown', -5],
      [/^Rear trace, left/, 'ArrowLeft', 5],
      [/^Rear trace, right/, 'ArrowRight', -5],
    ] as const) {
      const before = at(name)
      const handle = screen.getByRole('slider', { name })
      handle.focus()
      fireEvent.keyDown(handle, { key })
      await waitFor(() => expect(at(name)).toBeCloseTo(before + by, 0))
      fireEvent.keyDown(handle, { key, shiftKey: true })
      await waitFor(() => expect(at(name)).toBeCloseTo(before + by * 1.2, 0))
      fireEvent.keyDown(handle, { key: 'Escape' })
      await waitFor(() => expect(at(name)).toBeCloseTo(before, 0))
    }
  })

  it('plans a way stretch by stretch: what pulls hardest, and where it is held back', async () => {
    renderStage(sheet(), 'draft', <DraftRoom />)
    await addLoad('40 kg')
    fireEvent.click(await screen.findByText('The way'))
    for (let i = 0; i < 2; i++) fireEvent.click(screen.getByRole('button', { name: 'Add a stretch' }))
    const grades = screen.getAllByLabelText(/^Grade/)
    fireEvent.change(grades[1] as HTMLElement, { target: { value: '8' } })
    fireEvent.change(grades[2] as HTMLElement, { target: { value: '-8' } })
    await waitFor(() => expect(screen.getByText(/Stretch 1 pulls hardest/)).toBeDefined())
    expect(screen.getByText(/^holds back/)).toBeDefined()
    expect(screen.getByText(/lead Tern down/)).toBeDefined()
    fireEvent.change(screen.getAllByLabelText('Metres')[0] as HTMLElement, { target: { value: 'far' } })
    expect(screen.getByText('From 1 to 100,000 m.')).toBeDefined()
  })

  it('takes in a first cart where there is none', async () => {
    delete testShop().answers['GET /rigs']
    renderStage(sheet(), 'draft', <DraftRoom />)
    fireEvent.click(await screen.findByRole('button', { name: 'Add a cart' }))
    await waitFor(() =>
      expect(testShop().sent.at(-1)).toMatchObject({
        method: 'PUT',
        path: expect.stringMatching(/^\/rigs\//) as string,
        body: { name: 'Cart 1', kind: 'cart' },
      }),
    )
    expect(await screen.findByRole('group', { name: /Cart 1 behind Tern, from the side/ })).toBeDefined()
  })
})
