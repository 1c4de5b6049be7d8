import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { FamilyId, Item, NewSetting, TryOn } from '@merry-tailor/core'
import { AT, aDog, anItem, aReading, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { TryOnStage } from './TryOnStage'

withTestShop()
const TAPES = [['M02', 470], ['M07', 700], ['M14', 560], ['M16', 590], ['M26', 300], ['M27', 330]] as const // prettier-ignore
const sent = (where: string) =>
  testShop()
    .sent.filter(({ path }) => path.includes(where))
    .map(({ body }) => body)

function worn(family: FamilyId, over: Partial<Item> = {}) {
  const item = anItem({ family, way: 'made', ...over })
  const round: TryOn = { id: nextId(), itemId: item.id, of: { named: true }, settings: [], label: 'Trial', changed: '', at: AT, by: 'Ylva', observations: [], symptoms: [] } // prettier-ignore
  const sheet = aTicket({ dog: aDog({ sex: 'male' }), items: [item], tryOns: [round], readings: TAPES.map(([id, mm]) => aReading(id, mm)) })
  renderStage(sheet, 'try-on', <TryOnStage />)
  return { item, round }
}

describe('a suit on the dog', () => {
  it('asks for its cords one by one in their order, and keeps how much was drawn in and how it lies', async () => {
    const { item } = worn('C4')
    const cords = await screen.findByRole('region', { name: 'Cords' })
    await within(cords).findByText('Next: chest, in front')
    fireEvent.change(await within(cords).findByLabelText(/^Chest, in front, drawn in/), { target: { value: '9' } })
    fireEvent.click(within(cords).getByRole('button', { name: 'Lies close' }))
    await waitFor(() => expect(sent('/settings/')).toHaveLength(1))
    expect(sent('/settings/')[0] as NewSetting).toMatchObject({ of: { itemId: item.id }, part: 'cord-chest', side: 'both', mark: 'lies close' })
    expect((sent('/settings/')[0] as NewSetting).mm).toBeGreaterThan(80)
    // The belly's comes next of itself.
    await within(cords).findByText('Next: belly')
    await within(cords).findByLabelText(/^Belly, drawn in/)
  })

  it('what cannot be read is said at the field, and no answer is kept with it', async () => {
    worn('C4')
    const cords = await screen.findByRole('region', { name: 'Cords' })
    fireEvent.change(await within(cords).findByLabelText(/drawn in/), { target: { value: 'tight' } })
    expect(within(cords).getByText('Not a length yet.')).toBeDefined()
    expect(within(cords).getByRole<HTMLButtonElement>('button', { name: 'Bunches' }).disabled).toBe(true)
  })

  it('a suit off the rail has cords too, foretold by nobody', async () => {
    worn('C4', { way: 'stock' })
    const cords = await screen.findByRole('region', { name: 'Cords' })
    expect(within(cords).getAllByText('not set')).toHaveLength(7)
    expect(screen.queryByRole('radio', { name: 'Pinned here' })).toBeNull()
  })
})

describe('a garment pinned on the dog', () => {
  it('keeps piece, edge, place and how far with the plan, once, and lists it by its round', async () => {
    const { round } = worn('C2')
    const pins = await screen.findByRole('region', { name: 'Pinned here' })
    const keep = within(pins).getByRole<HTMLButtonElement>('button', { name: 'Keep this pin' })
    expect(keep.disabled).toBe(true)
    fireEvent.change(within(pins).getByLabelText(/^By/), { target: { value: '1/2 in' } })
    fireEvent.click(keep)
    fireEvent.click(keep)
    await within(pins).findByText(/^Round 1: .*,\s*in the middle,/)
    await waitFor(() => expect(sent('/choices/')).toHaveLength(1))
    const { moves } = (sent('/choices/')[0] as { plan: { moves: unknown[] } }).plan
    expect(moves).toMatchObject([{ mm: -12.7, at: 0.5, round: round.id }])
    fireEvent.click(within(pins).getByRole('button', { name: /^Remove the pin/ }))
    await waitFor(() => expect(within(pins).queryByText(/^Round 1/)).toBeNull())
    await waitFor(() => expect(sent('/choices/')).toHaveLength(2))
    expect((sent('/choices/')[1] as { was: string }).was).not.toBeNull()
    expect((sent('/choices/')[1] as { plan: { moves: unknown[] } }).plan.moves).toEqual([])
  })
})
