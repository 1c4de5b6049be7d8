import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { checksFor, type FamilyId, type NewSetting, type Observation, type TryOn } from '@merry-tailor/core'
import { AT, anItem, aTicket, nextId, renderStage, testShop, wideScreen, withTestShop } from '../../test/shop'
import { TryOnStage } from './TryOnStage'

withTestShop()

const seen = (check: string, state: Observation['state'], grade: Observation['grade']): Observation => ({
  id: nextId(), check, state, grade, asTyped: '', mm: null, fingers: null, at: AT, by: '',
}) // prettier-ignore
const allHold = (family: FamilyId): Observation[] => checksFor(family).flatMap((check) => check.states.map((state) => seen(check.id, state, 'holds')))
const aRound = (itemId: string, over: Partial<TryOn> = {}): TryOn => ({
  id: nextId(), itemId, of: { named: true }, settings: [], label: 'M', changed: '', at: AT, by: 'Ylva', observations: [], symptoms: [], ...over,
}) // prettier-ignore
const sent = (part: string) =>
  testShop()
    .sent.filter((each) => each.path.includes(part))
    .map((each) => each.body as Record<string, unknown>)

describe('the loop of a fitting', () => {
  it('stands as one line, and ends with the safe place and the tails', async () => {
    const item = anItem({ family: 'H01' })
    renderStage(aTicket({ items: [item], tryOns: [aRound(item.id, { observations: allHold('H01') })] }), 'try-on', <TryOnStage />)
    const line = await screen.findByRole('list', { name: 'Where the fitting stands' })
    const now = () =>
      within(line)
        .getAllByRole('listitem')
        .find((each) => each.getAttribute('aria-current') === 'step')?.textContent
    expect(now()).toContain('Safe place')
    // Yellow is the test; it is answered among the rounds.
    fireEvent.click(screen.getByRole('button', { name: /^Safe-place test/ }))
    const test = screen.getByRole('group', { name: 'Safe place' })
    expect(test.contains(document.activeElement)).toBe(true)
    fireEvent.click(within(test).getByRole('button', { name: 'It held' }))
    await waitFor(() => expect(sent('/observations/')[0]).toMatchObject({ check: 'safe-place', state: 'moving', grade: 'holds' }))
    await waitFor(() => expect(now()).toContain('Tails'))
    fireEvent.click(within(test).getByRole('button', { name: 'It slipped' }))
    await waitFor(() => expect(screen.getByRole('region', { name: 'Checks' }).querySelector('header')?.textContent).toContain('Doesn’t hold'))
  })

  it('lists the rounds newest first, each with its time and what was moved in it', async () => {
    const item = anItem({ family: 'H01' })
    const moves = [
      { strap: 'neck', side: 'left' as const, byMm: -12.7 },
      { strap: 'neck', side: 'right' as const, byMm: -12.7 },
      { strap: 'girth', side: null, byMm: 19 },
    ]
    const rounds = [aRound(item.id, { at: '2026-10-05T09:00:00Z' }), aRound(item.id, { at: '2026-10-05T09:03:10Z', moves, seconds: 190 })]
    renderStage(aTicket({ items: [item], tryOns: rounds }), 'try-on', <TryOnStage />)
    const rows = within(await screen.findByRole('region', { name: 'Rounds' })).getAllByRole('button', { name: /^\d\. M/ })
    expect(rows.map((each) => each.textContent.slice(0, 4))).toEqual(['2. M', '1. M'])
    expect(rows[1]?.textContent).toContain('3 min 10 s')
    expect(rows[1]?.textContent).toMatch(/Neck in.*Girth strap out/)
    expect(rows[1]?.textContent).not.toContain('left')
  })

  it('opens a tag by its number and answers it by a letter', async () => {
    const item = anItem({ family: 'H11' })
    renderStage(aTicket({ items: [item], tryOns: [aRound(item.id)] }), 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    fireEvent.keyDown(document.body, { key: '2' })
    const second = checksFor('H11').filter((check) => check.states.includes('slack'))[1]
    expect(await screen.findByRole('group', { name: `${second?.name ?? ''}, slack` })).toBeDefined()
    fireEvent.keyDown(document.body, { key: 'x' })
    await waitFor(() => expect(sent('/observations/')[0]).toMatchObject({ check: second?.id, grade: 'fails' }))
    fireEvent.keyDown(document.body, { key: 'Escape' })
    await waitFor(() => expect(screen.queryByRole('group', { name: /, slack$/ })).toBeNull())
  })
})

describe('straps set before', () => {
  it('come back after washing, and begin as on another dog', async () => {
    const item = anItem({ family: 'H01' })
    const sheet = aTicket({ items: [item] })
    const set = (part: string, mm: number) => ({
      id: nextId(),
      of: { itemId: item.id },
      dogId: sheet.dog?.id ?? null,
      part,
      side: 'both' as const,
      mm,
      mark: '',
      at: AT,
      by: '',
    })
    const [neck, slid] = [set('neck', 545), set('neck', 600)]
    testShop().sizeTables = [
      { id: 'plain-y', version: 1, name: 'Plain Y', maker: 'Harbour Hems', family: 'H01', way: 'stock', unit: 'cm', between: null, sizes: [{ label: 'M', bands: { M01: [500, 560], M06: [180, 220], M07: [640, 740] } }], lead: { minWeeks: 0, maxWeeks: 0 } },
    ] // prettier-ignore
    testShop().answers['GET /set-on-dogs'] = () =>
      Response.json([
        { dogId: nextId(), dog: 'Thimble', of: { itemId: nextId() }, family: 'H01', label: 'S', at: AT, straps: { girth: { leftMm: 700, rightMm: 712 } } },
      ])
    const round = aRound(item.id, { of: { tableId: 'plain-y', tableVersion: 1 }, observations: allHold('H01'), settings: [neck.id] })
    renderStage({ ...sheet, tryOns: [round], settings: [neck, slid] }, 'try-on', <TryOnStage />)
    const settings = () => sent('/settings/') as unknown as NewSetting[]
    fireEvent.click(await screen.findByRole('button', { name: /^After washing/ }))
    fireEvent.click(screen.getByRole('button', { name: /^Set so: one slider moves|^Set so: 2 sliders move/ }))
    await waitFor(() => expect(settings().at(-1)).toMatchObject({ part: 'neck', side: 'both', mm: 545 }))
    expect(await screen.findByRole('button', { name: 'Set so again' })).toBeDefined()
    fireEvent.click(await screen.findByRole('button', { name: /^As on Thimble/ }))
    fireEvent.click(screen.getByRole('button', { name: /^Set so/ }))
    await waitFor(() => expect(settings().slice(-2).map(({ part, side, mm }) => [part, side, mm])).toEqual([['girth', 'left', 700], ['girth', 'right', 712]])) // prettier-ignore
  })
})

describe('on a phone', () => {
  it('is one check a screen: fingers by a key, on to the next, other screens by their tab', async () => {
    wideScreen(true)
    const item = anItem({ family: 'H11' })
    renderStage(aTicket({ items: [item], tryOns: [aRound(item.id)] }), 'try-on', <TryOnStage />)
    const neck = await screen.findByRole('group', { name: 'Neck snug, hair drawn through, slack' })
    expect(screen.getAllByRole('group', { name: /, slack$/ })).toHaveLength(1)
    fireEvent.click(within(neck).getByRole('button', { name: 'hand' }))
    await waitFor(() => expect(sent('/observations/')[0]).toMatchObject({ check: 'pulling-neck', asTyped: 'hand', fingers: 4, grade: 'fails' }))
    fireEvent.click(within(neck).getByRole('button', { name: /^Next: / }))
    const equal = await screen.findByRole('group', { name: 'Left and right equal, slack' })
    // The last of a state leads to the next state.
    fireEvent.click(within(equal).getByRole('button', { name: 'Next: pulling' }))
    expect(await screen.findByRole('group', { name: /, pulling$/ })).toBeDefined()
    fireEvent.click(screen.getByRole('radio', { name: 'Symptoms' }))
    expect(await screen.findByRole('complementary', { name: 'Symptoms' })).toBeDefined()
    expect(screen.queryByRole('group', { name: /, pulling$/ })).toBeNull()
  })
})
