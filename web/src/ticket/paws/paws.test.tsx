import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { inventedPaw, type SizeTable, type Tracing } from '@merry-tailor/core'
import { beforeEach, describe, expect, it } from 'vitest'
import { AT, aDog, anItem, aReading, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { PawsRoom } from './PawsRoom'

withTestShop()
const table: SizeTable = {
  id: 'plain-booties', version: 1, name: 'Plain booties', maker: 'Harbour Hems', family: 'B1', way: 'stock', unit: 'cm', between: null,
  sizes: [{ label: 'Small', bands: { M32: [44, 55], M33: [55, 69] } }, { label: 'Large', bands: { M32: [55, 66], M33: [68, 79] } }],
  lead: { minWeeks: 0, maxWeeks: 0 },
} // prettier-ignore
beforeEach(() => {
  testShop().sizeTables = [table]
})
const paw = (place: 'front-left' | 'front-right' | 'rear-left' | 'rear-right', width: number, length: number) => {
  const hind = place.startsWith('rear')
  return [width, width + 0.4].flatMap((mm) => [aReading(hind ? 'M34' : 'M32', mm, { place, method: 'tracing' }), aReading(hind ? 'M35' : 'M33', length, { place, method: 'tracing' })])
} // prettier-ignore
const aTracing = (over: Partial<Tracing> = {}): Tracing => ({
  id: nextId(), paw: 'front-left', points: inventedPaw(62, 74), toesRad: -Math.PI / 2, closedMm: 0, pencilMm: 1, lineRead: true, rmsMm: 0.1, view: null, photoId: null, edited: false, nails: null, removed: false, at: AT, by: 'Ylva', ...over,
}) // prettier-ignore
const open = (more: Partial<Parameters<typeof aTicket>[0]> = {}) => {
  const dog = aDog({ sex: 'female', breed: 'Siberian Husky' })
  const sheet = aTicket({
    dog,
    items: [anItem({ family: 'B1', way: 'stock' })],
    readings: [...paw('front-left', 59, 72), ...paw('front-right', 60, 72), ...paw('rear-left', 49, 63), ...paw('rear-right', 57, 71)],
    ...more,
  })
  renderStage(sheet, 'paws', <PawsRoom />)
  return { sheet, dog }
}
const sent = (part: string) => testShop().sent.filter(({ path }) => path.includes(part))

describe('boots paw by paw', () => {
  it('sizes each paw for itself, names the odd one, and keeps a set of four, once', async () => {
    open()
    const set = await screen.findByRole('button', { name: /^Set of 4/ }, { timeout: 20_000 })
    await waitFor(() => expect(set.textContent).toContain('3 Large, 1 Small'), { timeout: 20_000 })
    expect(screen.getByText(/is the odd paw:/).parentElement?.textContent).toMatch(/^Right hind is the odd paw:.*wider than its pair/)
    fireEvent.click(set)
    fireEvent.click(set)
    await waitFor(() => expect(sent('/choices/')).toHaveLength(1))
    expect(sent('/choices/')[0]?.body).toMatchObject({ kind: 'paws', labels: { 'front-left': 'Large', 'rear-left': 'Small', 'rear-right': 'Large' } })
  })

  it('another footing ranks the kinds anew: sled booties are wrong on hot ground', async () => {
    open()
    const kinds = await screen.findByRole('list', { name: 'Kinds for this footing' })
    expect(within(kinds).getByText('Sled booties').closest('li')?.textContent).toContain('First')
    fireEvent.click(screen.getByRole('radio', { name: 'Hot ground' }))
    expect(within(kinds).getByText('Sled booties').closest('li')?.textContent).toContain('Wrong here')
  })

  it('a traced paw is drawn as it was traced, one that was not is dashed; a strap is placed by the dewclaw', async () => {
    open({ tracings: [aTracing()] })
    expect(await screen.findByText('traced')).toBeDefined()
    const plate = screen.getByRole('img', { name: /^Left front from below/ })
    expect(plate.querySelector('path')?.getAttribute('stroke-dasharray')).toBeNull()
    expect(
      screen
        .getByRole('img', { name: /^Right front from below/ })
        .querySelector('path')
        ?.getAttribute('stroke-dasharray'),
    ).toBe('4 4')
    expect(screen.getAllByText(/^Strap (above|below) the dewclaw$|^No room clear of the dewclaw$/)).toHaveLength(2)
    expect(screen.getByRole('button', { name: /Left front 1:1/ })).toBeDefined()
  })

  it('a photograph that is none is said, and the way to a sheet shown', async () => {
    open()
    fireEvent.click((await screen.findAllByRole('button', { name: 'Trace it' }))[0] as HTMLElement)
    expect(await screen.findByRole('button', { name: /The sheet to print/ })).toBeDefined()
    Object.assign(globalThis, { createImageBitmap: () => Promise.reject(new Error('no picture')) })
    fireEvent.change(screen.getByLabelText('Photograph of the sheet'), { target: { files: [new File(['x'], 'x.txt')] } })
    expect((await screen.findByRole('alert')).textContent).toBe('This is no picture that can be opened.')
    fireEvent.click(screen.getByRole('button', { name: 'Back to the paws' }))
    await screen.findByRole('button', { name: /^Set of 4/ })
  })
})

describe('a season of boots', () => {
  it('less is asked of fewer outings; what was used up is weighed in', async () => {
    open()
    const season = await screen.findByRole('region', { name: 'The season' }, { timeout: 20_000 })
    const asked = (): number => [...season.textContent.matchAll(/(\d+) boots asked/g)].reduce((sum, [, n]) => sum + Number(n), 0)
    await waitFor(() => expect(asked()).toBeGreaterThan(4))
    const before = asked()
    fireEvent.change(within(season).getByLabelText('Outings'), { target: { value: '4' } })
    await waitFor(() => expect(asked()).toBeLessThan(before))
    fireEvent.change(within(season).getByLabelText('Outings'), { target: { value: 'many' } })
    expect(within(season).getByText('From 0 to 400.')).toBeDefined()
    expect(season.textContent).toContain('ours and unverified')
  })

  it('back from an outing: four taps and what was seen are kept once; what hurts stops the boots', async () => {
    const { dog } = open({ bootOutings: [{ id: nextId(), on: '2026-10-04', km: 3, footing: 'snow', minutes: 5, paws: { 'front-left': { worn: false, lost: false, seen: ['S67'] } }, note: '', removed: false, at: AT, by: 'Ylva' }] }) // prettier-ignore
    expect((await screen.findByRole('alert')).textContent).toMatch(/^Stop: .*ask the vet/)
    fireEvent.click(screen.getByRole('button', { name: 'Back from an outing' }))
    fireEvent.click(screen.getByRole('button', { name: 'Left front: Came back' }))
    fireEvent.click(screen.getByRole('button', { name: 'Right hind: Came back' }))
    fireEvent.click(screen.getByRole('button', { name: 'Right hind: Worn through' }))
    const keep = screen.getByRole('button', { name: 'Keep this outing' })
    fireEvent.click(keep)
    fireEvent.click(keep)
    await waitFor(() => expect(sent('/boot-outings/')).toHaveLength(1))
    expect(sent('/boot-outings/')[0]?.path).toContain(dog.id)
    expect(sent('/boot-outings/')[0]?.body).toMatchObject({ footing: 'snow', paws: { 'front-left': { worn: true, lost: false }, 'rear-right': { worn: false, lost: true }, 'rear-left': { worn: false, lost: false } } }) // prettier-ignore
  })
})
