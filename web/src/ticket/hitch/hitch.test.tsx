import { hitchLine } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { anItem, aReading, aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { lineWords, pressWords, pullWords, riseWords } from '../../words/hitch'
import { HitchRoom } from './HitchRoom'

withTestShop()

const open = async (family: 'H11' | 'H14' | 'H01' = 'H11'): Promise<void> => {
  const readings = [aReading('M14', 520), aReading('M07', 690)]
  renderStage(aTicket({ items: [anItem({ family })], readings, ticket: { activities: ['sled-team'] } }), 'hitch', <HitchRoom />)
  await screen.findByRole('heading', { level: 1 })
}
const heading = () => screen.getByRole('heading', { level: 1 }).textContent

describe('the hitch', () => {
  it('begins with the activity’s hitch and follows the height in the same breath', async () => {
    await open()
    expect(heading()).toMatch(/^Line falls/)
    const handle = screen.getByRole('slider', { name: 'Hitch height' })
    expect(handle.getAttribute('aria-valuenow')).toBe('200')
    const before = heading()
    for (let i = 0; i < 10; i++) fireEvent.keyDown(handle, { key: 'PageUp' })
    expect(handle.getAttribute('aria-valuenow')).toBe('700')
    expect(heading()).not.toBe(before)
    expect(heading()).toMatch(/^Line rises/)
    fireEvent.keyDown(handle, { key: 'a' })
    expect(handle.getAttribute('aria-valuenow')).toBe('700')
  })

  it('says at the field what can’t be, keeps what was typed, and offers the line that would do', async () => {
    await open()
    const line = screen.getByLabelText(/Taut line/)
    fireEvent.change(line, { target: { value: 'long' } })
    expect(screen.getByRole('alert').textContent).toBe('Not a length yet.')
    expect((line as HTMLInputElement).value).toBe('long')
    fireEvent.change(line, { target: { value: '25' } })
    expect(screen.getByRole('alert').textContent).toMatch(/Shorter than the heights are apart/)
    expect(screen.getByRole('button', { name: /Waits for a longer line/ })).toHaveProperty('disabled', true)
    fireEvent.change(line, { target: { value: '60' } })
    fireEvent.click(await screen.findByRole('button', { name: /^Take / }))
    expect(screen.getByText('This line is in its band.')).toBeTruthy()
  })

  it('judges the item’s family in prediction words', async () => {
    await open('H14')
    expect(screen.getByText('Could go either way')).toBeTruthy()
    const handle = screen.getByRole('slider', { name: 'Hitch height' })
    for (let i = 0; i < 18; i++) fireEvent.keyDown(handle, { key: 'PageUp' })
    expect(screen.getByText('Should hold')).toBeTruthy()
  })

  it('C06 locks the hitch as a record of the ticket, no reading of the dog', async () => {
    await open()
    fireEvent.click(screen.getByRole('button', { name: /Put this hitch on the ticket/ }))
    await waitFor(() => expect(testShop().sent.filter(({ path }) => path.includes('/hitches/'))).toHaveLength(1))
    expect(testShop().sent[0]?.body).toMatchObject({ where: 'sled', heightMm: 200, lineMm: 3000 })
    expect(testShop().sent.some(({ path }) => path.includes('/readings/'))).toBe(false)
    await screen.findByRole('button', { name: /This hitch is on the ticket/ })
  })

  it('has the kit and the lunge of the hitch', async () => {
    await open()
    expect(screen.getByText('Gang line')).toBeTruthy()
    const lunge = within(screen.getByRole('region', { name: 'A lunge' }))
    // T51: three metres a second is a run, no walk.
    expect(screen.getByRole('region', { name: 'A lunge' }).textContent).toMatch(/when it runs into the line’s end/)
    expect(lunge.getAllByRole('row')).toHaveLength(3)
  })
})

describe('words of a line', () => {
  const inches = { unit: 'in', step: 0.125 } as const
  const cm = { unit: 'cm', step: 0.5 } as const
  it('fall or rise per foot or 30 cm, never in degrees', () => {
    expect(riseWords(hitchLine({ pullPointMm: 500, hitchMm: 900, horizontalMm: 2500 }), inches)).toBe('Line rises 1 7/8 in per foot')
    expect(riseWords(hitchLine({ pullPointMm: 600, hitchMm: 200, horizontalMm: 2500 }), cm)).toBe('Line falls 4.8 cm per 30 cm')
    expect(riseWords(hitchLine({ pullPointMm: 600, hitchMm: 600, horizontalMm: 2500 }), cm)).toBe('Line runs level')
  })

  it('press and pull as weights a hand knows', () => {
    const line = hitchLine({ pullPointMm: 500, hitchMm: 900, horizontalMm: 2500 })
    expect(pressWords(line, 'cm')).toBe('Of every 10 kg of pull 1.6 kg lifts the harness.')
    expect(pressWords(line, 'in')).toBe('Of every 20 lb of pull 3.2 lb lifts the harness.')
    expect(pullWords(98.0665, 'cm')).toBe('10 kg')
    expect([lineWords(1500, 'cm'), lineWords(1500, 'in'), lineWords(304.8, 'in'), lineWords(100, 'in')]).toEqual(['1.5 m', '5 ft', '1 ft', '4 in'])
  })
})
