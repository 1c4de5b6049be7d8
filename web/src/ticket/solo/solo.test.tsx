import { fireEvent, screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { SoloBench } from './SoloBench'

withTestShop()
const press = (key: string): void => void fireEvent.keyDown(document.body, { key })

describe('alone with the dog', () => {
  it('pins with one key or any tap, and says which readings are unreliable alone', async () => {
    renderStage(aTicket(), 'solo', <SoloBench />)
    await screen.findByText(/Unreliable alone/)
    for (const key of '27,6') press(key)
    press('Enter')
    await waitFor(() => expect(testShop().sent[0]?.body).toMatchObject({ measure: 'M01', mm: 276, side: 'both', method: 'loop' }))
    expect(screen.getByText(/Kept: Harness neck, 27.6 cm$/)).toBeDefined()
    for (const key of ['2', '8']) fireEvent.click(screen.getByRole('button', { name: key }))
    fireEvent.click(screen.getByRole('button', { name: 'Pin it and go on' }))
    await waitFor(() => expect(testShop().sent).toHaveLength(2))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Sternum length')
    // Any tap without a number goes on.
    fireEvent.click(screen.getByRole('button', { name: 'Next tape' }))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Girth, largest')
    press('ArrowLeft')
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Sternum length')
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
