import { parseLength } from '@merry-tailor/core'
import { cleanup, render } from '@testing-library/react'
import fc from 'fast-check'
import { afterEach, describe, expect, it } from 'vitest'
import { Length } from './Fraction'
import { lengthText } from './length-text'
import { SvgLength } from './SvgLength'
import { TypedLength } from './TypedLength'

afterEach(cleanup)

const eighths = { unit: 'in', step: 0.125 } as const
const halves = { unit: 'cm', step: 0.5 } as const
const inch = (value: number): number => value * 25.4

describe('lengthText', () => {
  it('writes a fraction in lowest terms, a bare fraction without its nought, decimals in centimetres', () => {
    expect(lengthText(inch(22.75), eighths)).toBe('22 3⁄4')
    expect(lengthText(inch(0.5), eighths, true)).toBe('1⁄2 in')
    expect(lengthText(inch(23), eighths, true)).toBe('23 in')
    expect(lengthText(575, halves, true)).toBe('57.5 cm')
  })

  it('is read back as what it says, within half a step', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 1500, noNaN: true }), fc.constantFrom(eighths, halves), (mm, look) => {
        const read = parseLength(lengthText(mm, look).replace('⁄', '/'), look.unit)
        const step = look.unit === 'in' ? inch(look.step) : look.step * 10
        expect(read.ok && Math.abs(read.mm - mm) <= step / 2 + 1e-6).toBe(true)
      }),
    )
  })
})

describe('a length on screen', () => {
  it('is read aloud once, as one number with its unit, however it is built', () => {
    const { container } = render(<Length mm={inch(13.375)} look={eighths} stacked />)
    expect(container.querySelector('.sr-only')?.textContent).toBe('13 3/8 in')
    expect(container.querySelectorAll('[aria-hidden]')).toHaveLength(1)
  })

  it('stacks the fraction of what is being typed only once it is one', () => {
    const shown = (text: string) => render(<TypedLength text={text} />).container
    expect(shown('12 3').textContent).toBe('12 3')
    cleanup()
    expect(shown('12 3/').querySelector('.pnum')).toBeNull()
    cleanup()
    expect(shown('12 3/8').querySelector('.pnum')?.textContent).toBe('38')
    cleanup()
    expect(shown('12-3/8').querySelector('.sr-only')?.textContent).toBe('12-3/8')
  })

  it('is drawn in a picture with its line back where it began', () => {
    const { container } = render(
      <svg>
        <text>
          <SvgLength mm={inch(7.625)} look={eighths} size={20} />
        </text>
      </svg>,
    )
    expect(container.textContent).toBe('75⁄8')
    const shifts = [...container.querySelectorAll('tspan')].map((each) => Number(each.getAttribute('dy')))
    expect(shifts.reduce((sum, dy) => sum + dy, 0)).toBeCloseTo(0, 9)
  })
})
