import { cleanup, render } from '@testing-library/react'
import { afterEach, expect, it } from 'vitest'
import { Worded } from './Worded'

afterEach(cleanup)

it('builds every fraction of a sentence by hand and keeps the plain words for screen readers', () => {
  const { container } = render(<Worded text="Expected 12 3/4 to 14, and 7/8 in to spare." />)
  const [plain, drawn] = container.children
  expect(plain?.textContent).toBe('Expected 12 3/4 to 14, and 7/8 in to spare.')
  expect(drawn?.textContent).toBe('Expected 123⁄4 to 14, and 7⁄8 in to spare.')
  expect(drawn?.getAttribute('aria-hidden')).toBe('true')
  expect(drawn?.querySelectorAll('.pnum')).toHaveLength(2)
})
