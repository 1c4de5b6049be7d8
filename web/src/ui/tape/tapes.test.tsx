import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { stubPage } from '../../test/page-stubs'
import { BigInch } from './BigInch'
import { Tape } from './Tape'

beforeAll(stubPage)
afterEach(cleanup)

const look = { unit: 'in', step: 0.125 } as const
const inch = (value: number): number => value * 25.4

describe('Tape', () => {
  it('says in words what it shows, and draws pin, spread, bands and gap', () => {
    const { container } = render(
      <Tape
        look={look}
        fromMm={inch(20)}
        toMm={inch(25)}
        pins={[{ mm: inch(22.75), kind: 'ink', value: true }]}
        spread={{ fromMm: inch(22.5), toMm: inch(23) }}
        bands={[
          { fromMm: inch(21), toMm: inch(22.5), label: 'Cedar', hit: true },
          { fromMm: inch(23), toMm: inch(24.5), label: 'Elm', hit: false },
        ]}
        title="Harness neck reads 22 3/4 in"
      />,
    )
    expect(screen.getByRole('img', { name: 'Harness neck reads 22 3/4 in' })).toBeTruthy()
    const words = [...container.querySelectorAll('text')].map((text) => text.textContent)
    expect(words).toEqual(expect.arrayContaining(['Cedar', 'Elm', '21', '24']))
    expect(container.querySelectorAll('pattern')).toHaveLength(1)
    expect(container.querySelector('.pin-drop')).not.toBeNull()
  })

  it('writes a size’s name where no other size lies over it', () => {
    const bands = [
      { fromMm: 100, toMm: 200, label: 'Whelk', hit: false },
      { fromMm: 160, toMm: 260, label: 'Mussel', hit: false },
    ]
    const { container } = render(<Tape look={look} fromMm={90} toMm={270} bands={bands} title="x" />)
    const lap = container.querySelector('[data-part="overlap"] rect')
    const [from, to] = [Number(lap?.getAttribute('x')), Number(lap?.getAttribute('x')) + Number(lap?.getAttribute('width'))]
    const at = (name: string): number => Number([...container.querySelectorAll('text')].find((text) => text.textContent === name)?.getAttribute('x'))
    expect(at('Whelk')).toBeLessThan(from)
    expect(at('Mussel')).toBeGreaterThan(to)
  })

  it('marks a reading outside the strip at that end', () => {
    const { container } = render(<Tape look={look} fromMm={inch(20)} toMm={inch(24)} pins={[{ mm: inch(50), kind: 'again', label: 'you read' }]} title="x" />)
    expect(container.querySelector('.pin-drop')).toBeNull()
    expect(container.textContent).toContain('you read')
  })
})

describe('BigInch', () => {
  const show = (unit: 'in' | 'cm', mm: number | null) => {
    const set = vi.fn<(mm: number) => void>()
    render(<BigInch unit={unit} mm={mm} aroundMm={inch(12)} pins={[]} onSet={set} />)
    return { slider: screen.getByRole('slider'), set }
  }

  it('moves by an eighth or a whole inch on the keys', () => {
    const { slider, set } = show('in', inch(11.5))
    fireEvent.keyDown(slider, { key: 'ArrowRight' })
    fireEvent.keyDown(slider, { key: 'ArrowLeft' })
    fireEvent.keyDown(slider, { key: 'PageUp' })
    expect(set.mock.calls.map(([mm]) => Math.round((mm / 25.4) * 1e6) / 1e6)).toEqual([11.625, 11.375, 12.5])
  })

  it('moves by a millimetre in centimetres, and starts where a reading would land', () => {
    const { slider, set } = show('cm', null)
    expect(slider.getAttribute('aria-valuetext')).toBe('nothing set')
    fireEvent.keyDown(slider, { key: 'ArrowRight' })
    expect(set.mock.calls[0]?.[0]).toBeCloseTo(306, 6)
  })

  it('never sets nothing or less', () => {
    const { slider, set } = show('in', inch(0.125))
    fireEvent.keyDown(slider, { key: 'ArrowLeft' })
    expect(set).not.toHaveBeenCalled()
  })
})
