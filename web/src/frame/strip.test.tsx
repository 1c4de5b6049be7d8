import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import { act } from 'react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { renderPage, testShop, withTestShop } from '../test/shop'
import { kept, notKept, outboxChanged } from '../state/saving'
import { store } from '../state/store'
import { PlaceFrame } from './Strip'

withTestShop()
const outbox = (waiting: number, reached: boolean) =>
  store.dispatch(outboxChanged({ why: null, held: {}, elsewhere: 0, cannotKeep: null, savedAt: null, waiting, reached, refused: [] }))
beforeEach(() => {
  outbox(0, true)
  store.dispatch(kept('2026-10-05T09:41:00'))
})
const open = (): void => {
  renderPage(
    '/sizes',
    '/sizes',
    <PlaceFrame name="Sizes" detail="12 size tables">
      <p>the room</p>
    </PlaceFrame>,
  )
}
const says = () => document.querySelector('[aria-live="polite"]')?.textContent

describe('the strip along the top', () => {
  it('names the place, and every other is one link away', () => {
    open()
    expect(screen.getByRole('heading', { level: 1, name: 'Sizes' })).toBeDefined()
    expect(document.title).toBe('Sizes · Merry Tailor')
    const places = within(screen.getByRole('navigation', { name: 'Places' }))
    expect(places.getAllByRole('link').map((link) => link.textContent)).toEqual(['Today', 'Dogs', 'Sizes', 'Gear', 'Shop'])
    expect(places.getByRole('link', { current: 'page' }).textContent).toBe('Sizes')
  })

  it('A07 says on an address that is not secure that this device opens only while the server answers', () => {
    open()
    expect(screen.queryByText(/opens only while the server answers/)).toBeNull()
    cleanup()
    vi.stubGlobal('isSecureContext', false)
    open()
    expect(screen.getByText(/opens only while the server answers/).parentElement?.textContent).toContain('Who gets in')
    vi.unstubAllGlobals()
  })

  it('A14 says that the file the book is kept in is damaged, and what to do', async () => {
    testShop().answers['GET /copies'] = () => Response.json({ folder: 'copies', copies: [], failure: null, damage: 'row 7 missing from index', canCopy: true })
    open()
    expect((await screen.findByText('The file the book is kept in is damaged.')).parentElement?.textContent).toContain('names the newest checked copy')
  })

  it('U33 says what is kept: saved at, sending, not sent first, the server away', () => {
    open()
    expect(says()).toBe('Saved 09:41')
    act(() => void outbox(3, true))
    expect(says()).toBe('Sending 3')
    act(() => void outbox(3, false))
    expect(says()).toBe('Not sent: 3, kept here')
    act(() => void outbox(0, false))
    expect(says()).toBe('Server away')
  })

  it('says that the last act was not saved until one is, and that nothing else is lost', () => {
    open()
    act(() => void store.dispatch(notKept('Ticket 101 is closed.')))
    expect(says()).toBe('Not saved')
    expect(screen.getByRole('status').textContent).toBe('The last act was not saved. Ticket 101 is closed. What was saved before is kept; do it once more.')
    act(() => void store.dispatch(kept('2026-10-05T09:42:00')))
    expect(screen.queryByRole('status')).toBeNull()
  })

  it('turns the evening on and the unit over, for this device', () => {
    open()
    fireEvent.click(screen.getByRole('button', { name: 'Evening colours' }))
    expect(screen.getByRole('button', { name: 'Day colours' })).toBeDefined()
    fireEvent.click(screen.getByRole('radio', { name: 'in' }))
    expect(store.getState().settings).toMatchObject({ theme: 'evening', unit: 'in', unitChosen: true })
  })
})
