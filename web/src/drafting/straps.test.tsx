import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { anItem, aReading, AT, aTicket, nextId, renderStage, testShop, withTestShop } from '../test/shop'
import type { SetOnDog, Setting } from '@merry-tailor/core'
import { StepStrip } from './StepStrip'
import { StrapTable } from './StrapTable'

withTestShop()
const cart = () => anItem({ family: 'H23' })
const setting = (itemId: string, part: string, side: Setting['side'], mm: number, at = AT): Setting => ({
  id: nextId(), of: { itemId }, dogId: null, part, side, mm, mark: '', at, by: 'Ylva',
}) // prettier-ignore
const sheet = (item = cart(), settings: Setting[] = []) =>
  aTicket({ items: [item], settings, readings: [aReading('M07', 820), aReading('M07', 822), aReading('M46', 462), aReading('M46', 464)] })
const sent = (part: string) => testShop().sent.filter(({ path }) => path.includes(part))

describe('straps of a drafting harness', () => {
  it('opens one at a time, takes both sides as a tape finds them, and says which to shorten', async () => {
    const item = cart()
    renderStage(
      sheet(item, [setting(item.id, 'rear', 'both', 812), setting(item.id, 'rear', 'left', 826)]),
      'draft',
      <StrapTable item={item} rig={undefined} />,
    )
    const table = await screen.findByRole('region', { name: 'Straps, in order' })
    const rear = within(table).getByRole('button', { name: /Rear trace/ })
    expect(rear.textContent).toContain('Could go either way')
    fireEvent.click(rear)
    expect(await screen.findByText(/^Shorten left/)).toBeDefined()
    const left = screen.getByRole<HTMLInputElement>('textbox', { name: /^Rear trace, left/ })
    fireEvent.change(left, { target: { value: 'long' } })
    fireEvent.blur(left)
    expect(await screen.findByText(/A length, such as/)).toBeDefined()
    expect(left.value).toBe('long')
    fireEvent.change(left, { target: { value: '81.2 cm' } })
    fireEvent.blur(left)
    await waitFor(() => expect(sent('/settings/').at(-1)?.body).toMatchObject({ part: 'rear', side: 'left', mm: 812, of: { itemId: item.id } }))
    await waitFor(() => expect(screen.queryByText(/^Shorten left/)).toBeNull())
  })

  it('sets it as on another dog: how many sliders move, which, and how far, then every strap', async () => {
    const item = cart()
    const other: SetOnDog = {
      dogId: nextId(), dog: 'Thimble', of: { itemId: nextId() }, family: 'H23', label: '', at: AT,
      straps: { neck: { leftMm: 600, rightMm: 600 }, rear: { leftMm: 800, rightMm: 800 }, loop: { leftMm: 108, rightMm: 108 } },
    } // prettier-ignore
    testShop().answers['GET /set-on-dogs'] = () => Response.json([other])
    renderStage(sheet(item, [setting(item.id, 'neck', 'both', 622), setting(item.id, 'rear', 'both', 801), setting(item.id, 'loop', 'both', 108)]), 'draft', <StrapTable item={item} rig={undefined} />) // prettier-ignore
    fireEvent.click(await screen.findByRole('button', { name: /Set as on Thimble.*one slider moves/ }))
    expect(screen.getAllByText('Neck').length).toBeGreaterThan(1)
    fireEvent.click(screen.getByRole('button', { name: 'Every strap is set so' }))
    await waitFor(() =>
      expect(
        sent('/settings/')
          .map(({ body }) => (body as Setting).part)
          .sort(),
      ).toEqual(['loop', 'neck', 'rear']),
    )
  })

  it('V43 at Try on goes strap by strap with what each took, and asks for the rear trace in stride', async () => {
    const item = cart()
    const at = (minutes: number): string => new Date(Date.parse(AT) + minutes * 60_000).toISOString()
    renderStage(
      sheet(item, [setting(item.id, 'neck', 'both', 610, at(7)), setting(item.id, 'keel', 'both', 214, at(12))]),
      'try-on',
      <StepStrip item={item} rig={undefined} begunAt={AT} soFar="12 min" />,
    )
    const strip = await screen.findByRole('region', { name: 'Straps' })
    expect(strip.textContent).toContain('Next: Back, near')
    expect(strip.textContent).toContain('about 2 hours is usual')
    expect(within(strip).getByRole('button', { name: /Neck/ }).textContent).toContain('7 min')
    expect(within(strip).getByRole('button', { name: /Keel/ }).textContent).toContain('5 min')
    fireEvent.click(within(strip).getByRole('button', { name: /^It is/ }))
    await waitFor(() => expect(sent('/settings/').at(-1)?.body).toMatchObject({ part: 'back', side: 'both' }))
    fireEvent.click(within(strip).getByRole('button', { name: /Rear trace/ }))
    const ring = await screen.findByRole('textbox', { name: /^Ring to bar, right/ })
    fireEvent.change(ring, { target: { value: '76.4 cm' } })
    fireEvent.blur(ring)
    await waitFor(() => expect(sent('/readings/').at(-1)?.body).toMatchObject({ measure: 'M47', place: 'right', mm: 764, side: 'both' }))
  })
})
