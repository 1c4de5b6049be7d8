import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { settingsChanged } from '../../state/settings'
import { store } from '../../state/store'
import { anItem, aReading, aTicket, renderStage, testShop, wideScreen, withTestShop } from '../../test/shop'
import { MeasureStage } from './MeasureStage'

withTestShop()

const show = async (unit: 'in' | 'cm', family: 'H01' | 'B2' = 'H01') => {
  wideScreen(true)
  store.dispatch(settingsChanged({ unit }))
  renderStage(aTicket({ items: [anItem({ family })] }), 'measure', <MeasureStage />)
  await screen.findByRole('button', { name: 'Pin it' })
}
const tap = (...names: string[]): void => {
  for (const name of names) fireEvent.click(screen.getByRole('button', { name }))
}
const readings = () =>
  testShop()
    .sent.filter((each) => each.path.includes('/readings/'))
    .map((each) => each.body as Record<string, unknown>)

describe('the bench on a phone', () => {
  it('takes inches by thumb: digits, a fraction, pin', async () => {
    await show('in')
    tap('1', '1', '3/8', 'Pin it')
    await waitFor(() => expect(readings()[0]).toMatchObject({ measure: 'M01', asTyped: '11 3/8', unit: 'in', side: 'one' }))
    expect(readings()[0]?.mm).toBeCloseTo(288.925, 3)
  })

  it('changes a fraction for another and takes signs back one by one', async () => {
    await show('in')
    tap('1', '1', '3/8', '5/8')
    const field = screen.getByRole<HTMLInputElement>('textbox')
    expect(field.value).toBe('11 5/8')
    tap('Take back')
    expect(field.value).toBe('11')
    tap('Take back')
    expect(field.value).toBe('1')
    // The system keyboard stays shut: the pad is ours.
    expect(field.inputMode).toBe('none')
  })

  it('takes tenths of a centimetre', async () => {
    await show('cm')
    tap('2', '8', 'point 6', 'Pin it')
    await waitFor(() => expect(readings()[0]).toMatchObject({ mm: 286, asTyped: '28.6', unit: 'cm' }))
  })

  it('keeps a doubled neck whole when the switch says so', async () => {
    await show('cm')
    fireEvent.click(screen.getByRole('switch', { name: 'One side, doubled' }))
    tap('5', '6', 'Pin it')
    await waitFor(() => expect(readings()[0]).toMatchObject({ mm: 560, side: 'both' }))
  })

  it('changes the unit under the thumb and skips a tape for now', async () => {
    await show('in')
    fireEvent.click(screen.getByRole('button', { name: 'Unit: in, change' }))
    expect(await screen.findByRole('button', { name: 'point 5' }).catch(() => screen.findByRole('button', { name: 'point' }))).toBeDefined()
    const before = screen.getByRole('heading', { level: 1 }).textContent
    tap('Skip for now')
    await waitFor(() => expect(screen.getByRole('heading', { level: 1 }).textContent).not.toBe(before))
    expect(readings()).toEqual([])
  })

  it('says which paw', async () => {
    await show('cm', 'B2')
    expect(screen.getByText(/left front, 1 of \d+/)).toBeDefined()
  })

  it('U01 asks at once about a number that stands out, and U28 leads on when all is taken', async () => {
    wideScreen(true)
    store.dispatch(settingsChanged({ unit: 'cm' }))
    renderStage(aTicket({ readings: [aReading('M07', 690), aReading('M07', 692), aReading('M06', 290), aReading('M06', 292)] }), 'measure', <MeasureStage />)
    await screen.findByRole('button', { name: 'Pin it' })
    tap('5', '3', 'Pin it')
    const asked = await screen.findByRole('alert')
    expect(asked.textContent).toMatch(/Harness neck: longer than expected/)
    fireEvent.click(within(asked).getByRole('button', { name: 'Take again' }))
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull())
    tap('2', '7', 'point 6', 'Pin it')
    await waitFor(() => expect(readings()).toHaveLength(2))
    tap('2', '7', 'point 8', 'Pin it')
    await screen.findByText('All 3 taken.')
    expect(screen.getAllByRole('link', { name: 'Choose' }).some((link) => link.className.includes('bg-tape'))).toBe(true)
    fireEvent.click(screen.getByRole('heading', { level: 1 }).querySelector('button')!)
    expect((await screen.findByRole('list', { name: 'All tapes' })).textContent).toContain('69.0 cm')
  })

  it('has what is known of the tape behind one word', async () => {
    await show('cm')
    fireEvent.click(screen.getByText('How'))
    expect(screen.getByText(/Usual slip:/)).toBeDefined()
    expect(screen.getByRole('button', { name: 'Ways' })).toBeDefined()
  })
})
