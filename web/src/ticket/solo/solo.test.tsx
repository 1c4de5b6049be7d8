import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { aReading, aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { SoloBench } from './SoloBench'

withTestShop()
const press = (key: string): void => void fireEvent.keyDown(document.body, { key })

describe('alone with the dog', () => {
  it('T19 pins a loop as the whole ring with one key or any tap, and says which readings are unreliable alone', async () => {
    renderStage(aTicket(), 'solo', <SoloBench />)
    await screen.findByText(/Unreliable alone/)
    for (const key of '55,2') press(key)
    press('Enter')
    await waitFor(() => expect(testShop().sent[0]?.body).toMatchObject({ measure: 'M01', mm: 552, side: 'both', method: 'loop' }))
    expect(screen.getByText(/Kept: Harness neck, 55.2 cm$/)).toBeDefined()
    for (const key of ['2', '8']) fireEvent.click(screen.getByRole('button', { name: key }))
    fireEvent.click(screen.getByRole('button', { name: 'Pin it and go on' }))
    await waitFor(() => expect(testShop().sent).toHaveLength(2))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Sternum length')
    // Any tap without a number goes on, and says that it skipped one.
    fireEvent.click(screen.getByRole('button', { name: 'Skip to the next tape' }))
    expect(screen.getByText('Skipped: Sternum length')).toBeDefined()
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Girth, largest')
    press('ArrowLeft')
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Sternum length')
  })

  it('U01, U27 asks at once about an odd number, and ends with what is settled and what is not', async () => {
    renderStage(aTicket({ readings: [aReading('M07', 690), aReading('M07', 692)] }), 'solo', <SoloBench />)
    await screen.findByText(/Unreliable alone/)
    for (const key of '107') press(key)
    press('Enter')
    const asked = await screen.findByRole('alert')
    expect(asked.textContent).toMatch(/Harness neck: longer than expected/)
    fireEvent.click(within(asked).getByRole('button', { name: /^Keep:/ }))
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull())
    for (let i = 0; i < 4; i++) press('ArrowRight')
    const end = await screen.findByRole('list', { name: 'The tapes' })
    expect(end.textContent).toMatch(/Sternum length–Not taken/)
    expect(screen.getAllByRole('link', { name: 'Choose' }).some((link) => link.className.includes('bg-tape'))).toBe(true)
  })

  it('says large what can’t be read, and keeps it', async () => {
    renderStage(aTicket(), 'solo', <SoloBench />)
    await screen.findByText(/Unreliable alone/)
    for (const key of ['2', ' ', '7']) press(key)
    press('Enter')
    await screen.findByText(/Can’t read that as a length/)
    press('Backspace')
    press('Backspace')
    press('Enter')
    await waitFor(() => expect(testShop().sent).toHaveLength(1))
  })

  it('is silent until asked, and works where the browser has no voice', async () => {
    const speak = vi.fn()
    renderStage(aTicket(), 'solo', <SoloBench />)
    expect((await screen.findByRole('switch', { name: /No voice in this browser/ })).getAttribute('aria-checked')).toBe('false')
    vi.stubGlobal('speechSynthesis', { cancel: vi.fn(), speak })
    vi.stubGlobal(
      'SpeechSynthesisUtterance',
      class {
        readonly text: string
        constructor(text: string) {
          this.text = text
        }
      },
    )
    fireEvent.click(screen.getByRole('switch', { name: /voice/i }))
    await waitFor(() => expect(speak).toHaveBeenCalled())
    expect((speak.mock.calls.at(-1)?.[0] as { text: string }).text).toContain('Harness neck. Breastbone to withers and back')
    Reflect.deleteProperty(window, 'speechSynthesis')
  })
})
