import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { beforeEach, describe, expect, it } from 'vitest'
import type { FamilyId, NewSetting, Prediction, SizeTable, TryOn } from '@merry-tailor/core'
import { AT, anItem, aReading, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { TryOnStage } from './TryOnStage'

withTestShop()

const table: SizeTable = {
  id: 'plain-y', version: 1, name: 'Plain Y', maker: 'Harbour Hems', family: 'H01', way: 'stock', unit: 'cm', between: null,
  sizes: [{ label: 'M', bands: { M01: [500, 560], M06: [180, 220], M07: [640, 740] } }],
  lead: { minWeeks: 0, maxWeeks: 0 },
} // prettier-ignore
beforeEach(() => {
  testShop().sizeTables = [table]
})
const tapes = [aReading('M01', 530), aReading('M01', 532), aReading('M07', 690), aReading('M07', 692)]
const settings = () =>
  testShop()
    .sent.filter((each) => each.path.includes('/settings/'))
    .map((each) => each.body as NewSetting)

function worn(over: Partial<TryOn> = {}, family: FamilyId = 'H01') {
  const item = anItem({ family })
  const round: TryOn = {
    id: nextId(), itemId: item.id, of: { tableId: 'plain-y', tableVersion: 1 }, settings: [], label: 'M', changed: '', at: AT, by: 'Ylva', observations: [], symptoms: [], ...over,
  } // prettier-ignore
  return aTicket({ items: [item], tryOns: [round], readings: tapes })
}

describe('straps at the dog', () => {
  it('sets every strap to its mark, and keeps each as a setting of its strap', async () => {
    testShop().sizeTables = [{ ...table, family: 'H21' }]
    renderStage(worn({}, 'H21'), 'try-on', <TryOnStage />)
    fireEvent.click(await screen.findByRole('button', { name: /Start here/ }))
    await waitFor(() => expect(settings().map(({ part }) => part)).toEqual(['girth']))
    expect(settings().every(({ mm, side }) => (mm ?? 0) > 50 && side === 'both')).toBe(true)
  })

  it('says the next move from how the straps stand, and a press shortens or lets out a hole', async () => {
    const sheet = worn()
    const set = (part: string, mm: number) => ({
      id: nextId(),
      of: { itemId: sheet.items[0]?.id ?? '' },
      dogId: sheet.dog?.id ?? null,
      part,
      side: 'both' as const,
      mm,
      mark: '',
      at: AT,
      by: '',
    })
    renderStage({ ...sheet, settings: [set('neck', 545), set('keel', 200), set('girth', 640)] }, 'try-on', <TryOnStage />)
    const strip = await screen.findByRole('region', { name: 'Straps' })
    expect(await screen.findByRole('button', { name: /:\s*slide .*left and right/ })).toBeDefined()
    fireEvent.click(within(strip).getByRole('button', { name: /Girth strap: longer by/ }))
    await waitFor(() => expect(settings().at(-1)).toMatchObject({ part: 'girth', side: 'both' }))
    expect(settings().at(-1)?.mm).toBeGreaterThan(640)
  })

  it('keeps what a round was begun with, before any answer', async () => {
    const item = anItem({ family: 'H01' })
    renderStage(aTicket({ items: [item], readings: tapes }), 'try-on', <TryOnStage />)
    fireEvent.click(await screen.findByRole('button', { name: /Put M on/ }))
    const begun = () =>
      testShop().sent.find((each) => each.path.includes('/try-ons/'))?.body as
        { foretold: Prediction | null; moves: unknown[]; seconds: number | null } | undefined
    await waitFor(() => expect(begun()).toBeDefined())
    expect(begun()?.foretold?.checks.some(({ check, grade }) => check === 'y-on-breastbone' && grade !== 'none')).toBe(true)
    expect(Object.keys(begun()?.foretold?.straps ?? {}).sort()).toEqual(['back', 'girth', 'keel', 'neck'])
    expect([begun()?.moves, begun()?.seconds]).toEqual([[], null])
  })

  it('shows the kept prediction beside the answers, hollow, and never another', async () => {
    const foretold: Prediction = { version: 1, straps: {}, checks: [{ check: 'top-at-withers', state: 'slack', mm: 2, sigmaMm: 3, grade: 'fails' }] }
    renderStage(worn({ foretold }), 'try-on', <TryOnStage />)
    const tag = await screen.findByRole('button', { name: /^\d+ Top rests at the withers: Likely misses; Not tried$/ })
    expect(screen.getAllByText('Likely misses')).toHaveLength(1)
    fireEvent.click(tag)
    expect((await screen.findByRole('group', { name: 'Top rests at the withers, slack' })).textContent).toContain('Likely misses')
  })

  it('ranks what a symptom may come from, and answers the parting check where it stands', async () => {
    const note = { id: nextId(), symptom: 'S24', remedy: null, present: true, at: AT, by: '' }
    renderStage(worn({ symptoms: [note] }), 'try-on', <TryOnStage />)
    const causes = await screen.findByRole('list', { name: 'Likely causes' })
    expect(within(causes).getAllByRole('listitem')).toHaveLength(2)
    const [parting] = await screen.findAllByText(/One check parts 1 and 2/)
    fireEvent.click(within(parting?.closest('div') as HTMLElement).getByRole('button', { name: 'Doesn’t hold' }))
    await waitFor(() => expect(testShop().sent.some((each) => each.path.includes('/observations/'))).toBe(true))
  })

  it('says that sewn straps have nothing to set', async () => {
    testShop().sizeTables = [{ ...table, id: 'cross', family: 'H11' }]
    const item = anItem({ family: 'H11' })
    const round = {
      id: nextId(),
      itemId: item.id,
      of: { tableId: 'cross', tableVersion: 1 },
      settings: [],
      label: 'M',
      changed: '',
      at: AT,
      by: '',
      observations: [],
      symptoms: [],
    }
    renderStage(aTicket({ items: [item], tryOns: [round], readings: tapes }), 'try-on', <TryOnStage />)
    expect(await screen.findByText(/Nothing to set: every strap is sewn/)).toBeDefined()
  })
})
