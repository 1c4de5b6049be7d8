import { families } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDog, anItem, aReading, aTicket, bornMonthsAgo, renderStage, testShop, withTestShop } from '../../test/shop'
import { reasonWords, stopWords, wrongWords } from '../../words/kinds'
import { KindsRoom } from './KindsRoom'

withTestShop()

const open = async (over: Parameters<typeof aTicket>[0] = {}): Promise<void> => {
  renderStage(aTicket({ items: [anItem({ family: 'H11' })], ticket: { activities: ['sled-team', 'stroll'] }, ...over }), 'kinds', <KindsRoom />)
  await screen.findByRole('heading', { level: 1 })
}
const best = () => within(screen.getByRole('region', { name: 'The best kinds' })).getAllByRole('heading', { level: 2 }).map((each) => each.textContent) // prettier-ignore

describe('which kind', () => {
  it('shows three best and every other harness with why not', async () => {
    await open()
    expect(best()).toHaveLength(3)
    expect(best()[0]).toBe(families.H11.name)
    const others = within(screen.getByRole('region', { name: 'The others' })).getAllByRole('listitem')
    expect(others).toHaveLength(21)
    expect(screen.getAllByText('Not for this').length).toBeGreaterThan(3)
  })

  it('U44 says each thing once, folds what is not for this, and compares by what differs', async () => {
    await open({ ticket: { activities: ['sled-team'] } })
    const folded = screen.getByText(/^Not for this: \d+ more kinds$/)
    expect(folded.closest('details')?.open).toBe(false)
    // Crabbing stands in the kind's own sentence: not once more as a reason.
    const crabs = {
      reasons: [
        { code: 'crabs' as const, for: true },
        { code: 'swings' as const, for: true },
      ],
    }
    expect(reasonWords(crabs, 'Counters crabbing.')).toBe('Lets the tug travel from side to side.')
    expect(reasonWords(crabs)).toBe('Counters running sideways; lets the tug travel from side to side.')
    for (let i = 0; i < 2; i++) fireEvent.click(screen.getAllByRole('button', { name: 'compare' })[0]!)
    expect(screen.getAllByRole('button', { name: 'comparing' })).toHaveLength(2)
    const region = screen.getByRole('region', { name: 'Two kinds beside each other' })
    for (const row of within(region).getAllByRole('row').slice(1)) {
      const [one, two] = within(row).getAllByRole('cell').map((cell) => cell.textContent) // prettier-ignore
      expect(one).not.toBe(two)
    }
    expect(region.textContent).not.toMatch(/Here: /)
  })

  it('judges for another of the ticket’s activities', async () => {
    await open()
    fireEvent.click(screen.getByRole('button', { name: 'Stroll' }))
    expect(best()[0]).toBe(families.H01.name)
  })

  it('puts forward only what suits: in the car the one kind made for it', async () => {
    await open({ ticket: { activities: ['car'] } })
    expect(best()).toEqual([families.H24.name])
    // T14: the right gear for the car has no stop to overrule.
    expect(screen.queryByText('Lead and tether off before driving.')).toBeNull()
  })

  it('sets any two beside each other, and a third takes the place of the first', async () => {
    await open()
    for (let i = 0; i < 3; i++) fireEvent.click(screen.getAllByRole('button', { name: 'compare' })[0]!)
    const table = within(screen.getByRole('region', { name: 'Two kinds beside each other' }))
    expect(table.getAllByRole('columnheader')).toHaveLength(2)
    expect(table.getByRole('rowheader', { name: 'Wrong when' })).toBeTruthy()
  })

  it('puts a kind on the ticket', async () => {
    await open()
    fireEvent.click(screen.getAllByRole('button', { name: 'Put it on the ticket' })[0]!)
    await waitFor(() => expect(testShop().sent.some(({ path, body }) => path.includes('/items/') && (body as { family?: string }).family === 'H12')).toBe(true))
  })

  it('says a stop apart from the rank, and follows a locked hitch', async () => {
    const height = aReading('M48', 1100, { place: 'height' })
    const line = aReading('M48', 2000, { place: 'line' })
    await open({ dog: aDog({ born: '2026-05-01' }), readings: [height, line], ticket: { activities: ['ski-front'] } })
    expect(screen.getAllByText(/No load while the dog grows/).length).toBeGreaterThan(0)
  })

  it('U31 says from when, and what may be done meanwhile, where nothing suits a young flat-faced dog', async () => {
    await open({ dog: aDog({ breed: 'Pug', flatFace: true, born: bornMonthsAgo(5) }), items: [], ticket: { activities: ['bike-front'] } })
    const instead = screen.getByRole('region', { name: 'What may be done' })
    expect(instead.textContent).toMatch(/Nothing for bike or scooter, dog in front before about \w+ \d{4}/)
    expect(instead.textContent).toContain('get used to gear without load')
    const put = within(instead).getAllByRole('button', { name: /^Put .* on the ticket$/ })
    expect(put.length).toBeGreaterThan(0)
    // Nothing below that does not suit leads in yellow.
    const shown = within(screen.getByRole('region', { name: 'The best kinds' })).getAllByRole('button')
    expect(shown.filter((button) => /\bbg-tape\b/.test(button.className))).toEqual([])
    fireEvent.click(put[0]!)
    await waitFor(() => expect((testShop().sent.at(-1)?.body as { family?: string }).family).toMatch(/^H0/))
  })

  it('asks for the work first', async () => {
    renderStage(aTicket({ ticket: { activities: [] } }), 'kinds', <KindsRoom />)
    expect(await screen.findByText('What for is not said yet')).toBeTruthy()
  })
})

it('words of reasons and stops leave no hole', () => {
  expect(reasonWords({ reasons: [{ code: 'purpose', for: true }] })).toBe('')
  expect(reasonWords({ reasons: [{ code: 'crabs', for: true }, { code: 'head-shy', for: false }] })).toBe('Counters running sideways; goes over the head.') // prettier-ignore
  expect([families.H01.wrong, families.H11.wrong].map(wrongWords)).toEqual([expect.stringMatching(/^Wrong for draught/), expect.stringMatching(/^Wrong: /)])
  expect(stopWords(['heat', 'windpipe'])).toBe('Too warm for pulling.')
})
