import { FAMILY_IDS } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { aDog, aReading, anItem, aTicket, AT, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { atHomeWords } from '../../words/at-home'
import { Docket } from './Docket'
import { FinishStage } from './FinishStage'

withTestShop()

const inch = 25.4
const rug = (born: string) =>
  aTicket({
    dog: aDog({ born, sex: 'male' }),
    items: [anItem({ family: 'C1', way: 'made' })],
    readings: [aReading('M15', 10 * inch), aReading('M18', 7.5 * inch, { side: 'one' }), aReading('M19', 8 * inch), aReading('M07', 20 * inch)],
  })

describe('Finish', () => {
  it('says what is still open, sets the next look, and closes', async () => {
    renderStage(aTicket(), 'finish', <FinishStage />)
    const panel = await screen.findByRole('region', { name: 'Finish' })
    expect(panel.textContent).toContain('Still open: harness neck was not taken; a size is not chosen yet; not every check was seen to hold')
    const look = within(panel).getByLabelText('Next visit on')
    fireEvent.change(look, { target: { value: '2026-12-24' } })
    fireEvent.blur(look)
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toEqual({ changes: [{ field: 'nextLookOn', from: null, to: '2026-12-24' }] }))
    fireEvent.click(within(panel).getByRole('button', { name: 'Close the ticket' }))
    await waitFor(() =>
      expect(testShop().sent.at(-1)?.body).toMatchObject({ changes: [{ field: 'state', from: 'open', to: 'closed' }, { field: 'closedAt' }] }),
    )
    expect(await within(panel).findByRole('button', { name: 'Open again' })).toBeDefined()
  })

  it('says why a ticket was not closed', async () => {
    testShop().answers['PATCH /tickets'] = () => new Response(JSON.stringify({ code: 'invalid', detail: 'The field says otherwise now.' }), { status: 400 })
    renderStage(aTicket(), 'finish', <FinishStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Close the ticket' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Not closed.')
  })

  it('has the pieces of a grown dog’s rug and of a growing one’s', async () => {
    renderStage(rug('2023-05-01'), 'finish', <FinishStage />)
    const panel = await screen.findByRole('region', { name: 'Finish' })
    expect(panel.textContent).toContain('Back: 25.5 cm long, from just under the collarWidth: 38.0 cm across')
    expect(panel.textContent).toContain('leaves 12.5 cm open below')
    expect(panel.textContent).toContain('Fronts: 10.0 cm each; they meet')
    expect(panel.textContent).toContain('ahead of the sheath')
  })

  it('lets the fronts of a growing dog cross', async () => {
    renderStage(rug('2026-06-01'), 'finish', <FinishStage />)
    const panel = await screen.findByRole('region', { name: 'Finish' })
    expect(panel.textContent).toContain('15.0 cm each, growing: cross by 10.0 cm, five holes 2.5 cm apart; outgrown at 30.5 cm')
  })
})

describe('the docket', () => {
  it('has every reading as typed, the struck with its reason, and what was seen apart from what was predicted', async () => {
    const item = anItem()
    const sheet = aTicket({
      items: [item],
      readings: [
        aReading('M07', 690, { asTyped: '69', unit: 'cm' }),
        aReading('M07', 960, { asTyped: '96', unit: 'cm', struck: { why: 'Digits swapped', at: AT, by: 'Ylva' } }),
      ],
      tryOns: [
        {
          id: nextId(),
          itemId: item.id,
          of: { named: true },
          settings: [],
          label: 'M',
          changed: '',
          at: AT,
          by: 'Ylva',
          symptoms: [{ id: nextId(), symptom: 'S25', remedy: 'equalise-left-and-right', present: true, at: AT, by: '' }],
          observations: [{ id: nextId(), check: 'no-sway', state: 'slack', grade: 'holds', asTyped: '', mm: null, fingers: null, at: AT, by: 'Ylva' }],
        },
      ],
    })
    renderStage(sheet, 'docket', <Docket />)
    const page = await screen.findByRole('article', { name: 'Docket of ticket 101' })
    expect(page.textContent).toContain('96 cm (Digits swapped)')
    expect(within(page).getByText('96 cm').className).toContain('docket-struck')
    expect(page.textContent).toContain('Does not sway or roll (slack): holds')
    expect(page.textContent).toContain('not looked at')
    expect(page.textContent).toContain('not chosen')
    expect(page.textContent).toContain('Local rules, the carrier and the vet go before this paper.')
  })

  it('U51 is two papers: the shop’s record with letters, strikes and moments, the customer’s with what counts', async () => {
    const readings = [
      aReading('M07', 690, { asTyped: '69', takenAt: '2026-10-05T09:01:00Z' }),
      aReading('M07', 692, { asTyped: '69.2', takenAt: '2026-10-05T09:40:00Z' }),
      aReading('M07', 900, { asTyped: '90', struck: { why: 'Slipped', at: AT, by: 'Ylva' } }),
    ]
    renderStage(aTicket({ readings }), 'docket', <Docket />)
    const paper = await screen.findByRole('article')
    expect(paper.textContent).toContain('M07 Girth, largest')
    expect(paper.textContent).toContain('Slipped')
    // Taken at two moments, each says its own.
    expect(paper.textContent.match(/\d\d:01|\d\d:40/g)).toHaveLength(2)
    fireEvent.click(screen.getByRole('radio', { name: 'For the customer' }))
    const customers = await screen.findByRole('article')
    expect(customers.textContent).toContain('Girth, largest')
    for (const word of ['M07', 'Slipped', '69.2', 'band ']) expect(customers.textContent).not.toContain(word)
    expect(customers.textContent).toMatch(/69\.\d cm/)
  })

  it('says the size of each paw, so that nobody orders four alike', async () => {
    const item = anItem({ family: 'B2' })
    const bands = (a: number, b: number) => ({ M32: [a, a + 10] as [number, number], M33: [b, b + 10] as [number, number] })
    testShop().sizeTables = [
      { id: 'boots', version: 2, name: 'Boots', maker: 'Test', family: 'B2', way: 'stock', unit: 'cm', between: null, lead: { minWeeks: 0, maxWeeks: 0 }, sizes: [{ label: 'Low', bands: bands(50, 60) }, { label: 'Tall', bands: bands(60, 70) }] },
    ] // prettier-ignore
    const place = 'front-left' as const
    const hind = 'rear-right' as const
    const sheet = aTicket({
      items: [item],
      readings: [aReading('M32', 65, { place }), aReading('M33', 75, { place }), aReading('M34', 55, { place: hind }), aReading('M35', 65, { place: hind })],
      choices: [{ id: nextId(), itemId: item.id, kind: 'paws', tableId: 'boots', tableVersion: 2, labels: { 'front-left': 'Tall', 'rear-right': 'Low' }, predicted: [], rulesVersion: 1, overruled: null, at: AT, by: 'Ylva' }], // prettier-ignore
    })
    renderStage(sheet, 'docket', <Docket />)
    const page = await screen.findByRole('article', { name: 'Docket of ticket 101' })
    await waitFor(() => expect(page.textContent).toContain('left front Tall, right hind Low, Test “Boots”, version 2'))
  })

  it('prints on one key', async () => {
    const print = vi.fn()
    vi.stubGlobal('print', print)
    renderStage(aTicket(), 'docket', <Docket />)
    await screen.findByRole('article', { name: /Docket/ })
    fireEvent.keyDown(document.body, { key: 'Enter' })
    expect(print).toHaveBeenCalledOnce()
  })

  it('U22 prints a locked hitch as a line and its kit to tick, in the shop’s unit, never as a tape', async () => {
    const sheet = aTicket({
      readings: [aReading('M07', 690), aReading('M48', 900, { place: 'height' })],
      hitches: [{ id: nextId(), where: 'ski-belt', heightMm: 900, lineMm: 2800, family: null, at: AT, by: 'Ylva' }],
    })
    renderStage(sheet, 'docket', <Docket />)
    const page = await screen.findByRole('article')
    await waitFor(() => expect(page.textContent).toContain('line 2.8 m to a ski belt, 90.0 cm above the floor'))
    expect(page.textContent).toMatch(/line (?:rises|falls) .* per 30 cm, predicted/)
    for (const part of ['Belt, low on the hips', 'Elastic part', 'Snap, of brass']) expect(page.textContent).toContain(`☐ ${part}`)
    expect(page.textContent).not.toContain('M48')
  })

  it('U23 says for each kind how gear that fits looks at home and what to come back for', () => {
    expect(atHomeWords('H11')).toMatchObject({
      looks: expect.stringContaining('bunches over the shoulders') as string,
      back: expect.stringContaining('chokes') as string,
    })
    expect(atHomeWords('H19').looks).toContain('below the tail')
    expect(atHomeWords('H01').looks).not.toContain('bunches')
    for (const family of FAMILY_IDS) for (const said of Object.values(atHomeWords(family))) expect(said.length).toBeGreaterThan(30)
  })
})
