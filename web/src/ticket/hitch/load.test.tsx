import { fireEvent, render, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { withTestShop } from '../../test/shop'
import { LoadBlock } from './LoadBlock'

withTestShop()
const type = (label: RegExp, value: string): void => void fireEvent.change(screen.getByLabelText(label), { target: { value } })

describe('the load behind', () => {
  it('says what it pulls like, beside what the dog is planned with', () => {
    render(<LoadBlock hitch="cart" dogKg={40} unit="cm" />)
    type(/All that moves/, '100')
    // 0.011 to 0.015 of 100 kg on a hard road.
    expect(document.body.textContent).toContain('Pulls like 1.1 kg to 1.5 kg')
    expect(document.body.textContent).toContain('Below what a conditioned dog of this weight is planned with for long: 4 kg to 6 kg')
    type(/Grade/, '8')
    expect(document.body.textContent).toContain('More than what')
  })
  it('asks for a brake downhill, and says at the field what it can’t read', () => {
    render(<LoadBlock hitch="cart" dogKg={40} unit="in" />)
    type(/All that moves/, '200 lb')
    type(/Grade/, '-6')
    expect(document.body.textContent).toContain('It runs onto the dog: brake it')
    type(/Grade/, 'steep')
    expect(screen.getByRole('alert').textContent).toContain('A number up to 40')
    type(/All that moves/, 'heavy')
    expect(screen.getAllByRole('alert')[0]?.textContent).toContain('A weight, such as')
  })
  it('has nothing to say where nothing rolls', () => {
    const { container } = render(<LoadBlock hitch="hand" dogKg={20} unit="cm" />)
    expect(container.textContent).toBe('')
  })
})
