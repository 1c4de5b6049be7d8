import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { Provider } from 'react-redux'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { settingsChanged } from '../state/settings'
import { store } from '../state/store'
import { useKeys } from '../state/use-keys'

const did = vi.fn<(what: string) => void>()
const does = (what: string) => () => did(what)

function Screen({ map, everywhere = false }: { map: Record<string, () => void>; everywhere?: boolean }) {
  useKeys(map, everywhere)
  return null
}
const show = (...parts: React.ReactNode[]) =>
  render(
    <Provider store={store}>
      {parts.map((part, i) => (
        <div key={i}>{part}</div>
      ))}
    </Provider>,
  )
const press = (key: string, on: Element = document.body, with_: object = {}) => fireEvent.keyDown(on, { key, ...with_ })
const done = () => did.mock.calls.map(([what]) => what)

beforeEach(() => {
  did.mockClear()
  store.dispatch(settingsChanged({ letterKeys: true }))
})
afterEach(cleanup)

describe('keys of a screen', () => {
  it('run by name, with control, alt and shift told apart, letters in either case', () => {
    show(<Screen map={{ r: does('again'), '$mod+z': does('undo'), '$mod+Shift+z': does('redo'), 'Alt+3': does('third') }} />)
    press('R')
    press('z', document.body, { ctrlKey: true })
    press('Z', document.body, { ctrlKey: true, shiftKey: true })
    press('3', document.body, { altKey: true })
    press('z')
    expect(done()).toEqual(['again', 'undo', 'redo', 'third'])
  })

  it('find a sign where a keyboard has it, by Shift or the third level, and not under another command', () => {
    show(<Screen map={{ '[': does('back'), '?': does('help'), Space: does('next') }} />)
    press('[', document.body, { modifierAltGraph: true })
    press('?', document.body, { shiftKey: true })
    press('?', document.body, { ctrlKey: true })
    press(' ', document.body, { code: 'Space' })
    expect(done()).toEqual(['back', 'help', 'next'])
  })

  it('are text in a field, and a field’s own Enter stays its own', () => {
    show(
      <Screen map={{ r: does('again'), Space: does('next'), Enter: does('pin'), Escape: does('back') }} />,
      <input aria-label="Length" />,
      <textarea aria-label="Notes" />,
    )
    const field = screen.getByLabelText('Length')
    press('r', field)
    press('r', screen.getByLabelText('Notes'))
    press(' ', screen.getByLabelText('Notes'), { code: 'Space' })
    press('Enter', field)
    press('Escape', field)
    expect(done()).toEqual(['back'])
  })

  it('leave Enter to the button it stands on', () => {
    show(<Screen map={{ Enter: does('yellow') }} />, <button>Other</button>, <p>words</p>)
    press('Enter', screen.getByRole('button'))
    press('Enter', screen.getByText('words'))
    expect(done()).toEqual(['yellow'])
  })

  it('stop at letters when those are turned off; numbers and signs go on', () => {
    store.dispatch(settingsChanged({ letterKeys: false }))
    show(<Screen map={{ r: does('again'), ']': does('on'), '4': does('four'), Space: does('next') }} />)
    for (const key of ['r', ']', '4', ' ']) press(key)
    expect(done()).toEqual(['on', 'four', 'next'])
  })

  it('go before those that work everywhere, and give way to a dialog or an open list', () => {
    const { unmount } = show(<Screen everywhere map={{ n: does('everywhere'), '?': does('help') }} />, <Screen map={{ n: does('here') }} />)
    press('n')
    press('?')
    expect(done()).toEqual(['here', 'help'])
    unmount()
    show(<Screen map={{ n: does('under it') }} />, <div role="dialog">Readings</div>)
    press('n')
    expect(done()).toEqual(['here', 'help'])
  })

  it('always run the newest of what they do, and nothing once the screen is gone', () => {
    const first = show(<Screen map={{ n: does('old') }} />)
    first.rerender(
      <Provider store={store}>
        <div>
          <Screen map={{ n: does('new') }} />
        </div>
      </Provider>,
    )
    press('n')
    first.unmount()
    press('n')
    expect(done()).toEqual(['new'])
  })

  it('leave alone what somebody else has taken, and half-typed letters of another script', () => {
    show(<Screen map={{ n: does('n') }} />)
    const taken = new KeyboardEvent('keydown', { key: 'n', bubbles: true, cancelable: true })
    taken.preventDefault()
    document.body.dispatchEvent(taken)
    press('n', document.body, { isComposing: true })
    expect(done()).toEqual([])
  })
})
