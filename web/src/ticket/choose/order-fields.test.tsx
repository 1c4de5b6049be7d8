import { render, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { withTestShop } from '../../test/shop'
import { NO_OPTIONS } from './order-options'
import { OrderFields } from './OrderFields'

withTestShop()
const table = (family: 'H11' | 'H01', price?: [number, number]) => ({ family, name: 'Made', maker: 'Rimefold', way: 'made', ...(price ? { price } : {}) }) as unknown as Parameters<typeof OrderFields>[0]['table'] // prettier-ignore
const show = (family: 'H11' | 'H01', price?: [number, number]) =>
  render(<OrderFields options={NO_OPTIONS} table={table(family, price)} onChange={() => undefined} />)

describe('an order made to measure', () => {
  it('V17 hints at what a pulling harness was seen at where its table names no price, and at nothing else (common practice)', () => {
    const { unmount } = show('H11')
    expect(screen.getByText(/seen at about 25 to 50 dollars/)).toBeDefined()
    unmount()
    const priced = show('H11', [61, 68])
    expect(screen.queryByText(/25 to 50 dollars/)).toBeNull()
    priced.unmount()
    show('H01')
    expect(screen.queryByText(/25 to 50 dollars/)).toBeNull()
  })
})
