import { cleanup, render, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { VerdictWord } from './VerdictWord'
import { MiniStitch } from '../ui/stitch/MiniStitch'

afterEach(cleanup)

describe('VerdictWord', () => {
  it('is a shape, a word and a colour, dashed only when predicted', () => {
    for (const grade of ['holds', 'doubt', 'fails'] as const) {
      const { container, unmount } = render(<VerdictWord grade={grade} basis="predicted" />)
      const predicted = container.innerHTML
      unmount()
      const seen = render(<VerdictWord grade={grade} basis="seen" />)
      expect(seen.container.innerHTML).not.toBe(predicted)
      expect(predicted).toContain('stroke-dasharray')
      expect(seen.container.innerHTML).not.toContain('stroke-dasharray')
      seen.unmount()
    }
    render(<VerdictWord grade="holds" basis="predicted" />)
    expect(screen.getByText('Should hold')).toBeTruthy()
  })
})

it('draws one point for each stage and cuts the thread where something does not hold', () => {
  const states = (['ask', 'measure', 'choose', 'try-on', 'finish'] as const).map((stage, i) => ({
    stage,
    state: i < 3 ? ('done' as const) : i === 3 ? ('trouble' as const) : ('open' as const),
  }))
  const { container } = render(<MiniStitch states={states} current="try-on" />)
  expect(container.innerHTML).toContain('var(--snag)')
  expect(container.querySelectorAll('line')).toHaveLength(4)
})
