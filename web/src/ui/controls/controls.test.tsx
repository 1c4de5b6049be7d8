import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { stubPage } from '../../test/page-stubs'
import { Button } from './Button'
import { KeyCap, LetterKeys } from './KeyCap'
import { KnucklePad, padKeys } from './KnucklePad'
import { Picker } from './Picker'
import { Segmented } from './Segmented'
import { SwitchBox } from './SwitchBox'
import { TextField } from './TextField'
import { Toggles } from './Toggles'

beforeAll(stubPage)
afterEach(cleanup)

/** Every target a finger meets is at least 44 px high, said by its class. */
const tall = (element: Element): boolean => /min-h-(?:11|12|\[5[2-9]px\]|\[6\dpx\])|(?:^| )h-11/.test(element.className)

describe('Button', () => {
  it('is no submit unless it says so, and keeps its own class beside its tone', () => {
    render(
      <>
        <Button tone="snag" className="mine">
          Strike
        </Button>
        <Button type="submit">Send</Button>
      </>,
    )
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Strike' }).type).toBe('button')
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Send' }).type).toBe('submit')
    expect(screen.getByRole('button', { name: 'Strike' }).className).toMatch(/text-snag.* mine$/)
    expect(screen.getAllByRole('button').every(tall)).toBe(true)
  })
})

describe('KeyCap', () => {
  it('vanishes with the letter keys where it is a letter, and is never part of a name', () => {
    const caps = () => [...document.querySelectorAll('kbd')].map((cap) => cap.textContent)
    render(
      <Button>
        Take again <KeyCap>R</KeyCap> <KeyCap>Enter</KeyCap>
      </Button>,
    )
    expect(caps()).toEqual(['R', 'Enter'])
    expect(screen.getByRole('button').getAttribute('aria-label') ?? screen.getByRole('button', { name: 'Take again' })).toBeDefined()
    cleanup()
    render(
      <LetterKeys value={false}>
        <KeyCap>R</KeyCap>
        <KeyCap>[</KeyCap>
      </LetterKeys>,
    )
    expect(caps()).toEqual(['['])
  })
})

describe('TextField', () => {
  it('says what is wrong at the field, in its place of the hint', () => {
    const { rerender } = render(<TextField label="Name" hint="As the owner says it" />)
    const field = screen.getByRole('textbox', { name: 'Name' })
    expect(field.getAttribute('aria-invalid')).toBeNull()
    expect(document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent).toBe('As the owner says it')
    rerender(<TextField label="Name" hint="As the owner says it" problem="A dog needs a name." />)
    expect(screen.getByRole('alert').textContent).toBe('A dog needs a name.')
    expect(field.getAttribute('aria-invalid')).toBe('true')
    expect(field.getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id)
  })
})

describe('choices', () => {
  const options = [
    { value: 'a', label: 'Stock' },
    { value: 'b', label: 'Made' },
  ] as const

  it('segments are radios: one is on, and the other is told', () => {
    const picked = vi.fn()
    render(<Segmented label="Way" value="a" options={options} onChange={picked} />)
    const group = within(screen.getByRole('radiogroup', { name: 'Way' }))
    expect(group.getByRole('radio', { name: 'Stock' }).getAttribute('aria-checked')).toBe('true')
    fireEvent.click(group.getByRole('radio', { name: 'Made' }))
    expect(picked.mock.calls).toEqual([['b']])
    expect(group.getAllByRole('radio').every(tall)).toBe(true)
  })

  it('toggles are each on or off', () => {
    function Both() {
      const [on, setOn] = useState<string[]>(['a'])
      return <Toggles label="Goes" options={options} isOn={(each) => on.includes(each)} onToggle={(each) => setOn(on.includes(each) ? on.filter((one) => one !== each) : [...on, each])} /> // prettier-ignore
    }
    render(<Both />)
    const pressed = () => within(screen.getByRole('group', { name: 'Goes' })).getAllByRole('button').map((each) => each.getAttribute('aria-pressed')) // prettier-ignore
    expect(pressed()).toEqual(['true', 'false'])
    fireEvent.click(screen.getByRole('button', { name: 'Made' }))
    expect(pressed()).toEqual(['true', 'true'])
    fireEvent.click(screen.getByRole('button', { name: 'Stock' }))
    expect(pressed()).toEqual(['false', 'true'])
  })

  it('a list opens by key, and its note is no part of what is chosen', () => {
    const picked = vi.fn()
    render(<Picker label="Table" value="" placeholder="Which" options={[{ value: 'y', label: 'Walking Y', note: 'version 2' }]} onChange={picked} />)
    const box = screen.getByRole('combobox', { name: 'Table' })
    expect(box.textContent).toBe('Which')
    fireEvent.keyDown(box, { key: 'Enter' })
    fireEvent.keyDown(screen.getByRole('option', { name: 'Walking Y' }), { key: 'Enter' })
    expect(picked.mock.calls).toEqual([['y']])
  })

  it('a switch is worked by its whole label', () => {
    const turned = vi.fn()
    render(<SwitchBox label="One side, doubled" checked={false} onChange={turned} />)
    fireEvent.click(screen.getByText('One side, doubled'))
    expect(turned.mock.calls).toEqual([[true]])
  })
})

describe('the pad for a knuckle', () => {
  function Pad({ fractions, start = '' }: { fractions: boolean; start?: string }) {
    const [typed, setTyped] = useState(start)
    return (
      <>
        <output>{typed}</output>
        <KnucklePad typed={typed} onType={setTyped} fractions={fractions} />
      </>
    )
  }
  const press = (...names: string[]) => names.forEach((name) => fireEvent.click(screen.getByRole('button', { name })))
  const typed = () => screen.getByRole('status').textContent

  it('U26 types whole inches and eighths, one in place of another', () => {
    render(<Pad fractions />)
    press('1', '2', '5/8')
    expect(typed()).toBe('12 5/8')
    press('3/4')
    expect(typed()).toBe('12 3/4')
    press('Take back')
    expect(typed()).toBe('12')
    expect(screen.getAllByRole('button').every(tall)).toBe(true)
  })

  it('begins with a quarter alone', () => {
    render(<Pad fractions />)
    press('1/2')
    expect(typed()).toBe('1/2')
  })

  it('types centimetres with a point and has no quarters', () => {
    render(<Pad fractions={false} />)
    press('6', 'point', '5', '0')
    expect(typed()).toBe('6.50')
    expect(screen.queryByRole('button', { name: '1/4' })).toBeNull()
  })

  it('is typed into by a keyboard as well', () => {
    const onType = vi.fn()
    const keys = padKeys('27', onType)
    keys['5']?.()
    keys[',']?.()
    keys.Backspace?.()
    expect(onType.mock.calls).toEqual([['275'], ['27,'], ['2']])
  })
})
