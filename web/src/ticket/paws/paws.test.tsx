import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { inventedPaw, renderedSheet, type Picture, type Shot, type SizeTable, type Tracing } from '@merry-tailor/core'
import { afterAll, beforeEach, describe, expect, it } from 'vitest'
import { AT, aDog, anItem, aReading, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { BootList } from './BootList'
import { OutlineSheet } from './OutlineSheet'
import { PawsRoom } from './PawsRoom'

const SHOT: Shot = { width: 660, height: 880, turnRad: 0.1, tiltRad: 0.15, sideRad: 0, lens: 0, light: 1.5, noise: 0.004, blurPx: 0.6, pencil: 0.6, pencilMm: 0.8, fill: 0.58 } // prettier-ignore
/** What a photograph shows: there is no camera and no canvas here; `null`: a file that is no picture. */
const shown: { picture: Picture | null } = { picture: null }
const canvas = HTMLCanvasElement.prototype as { getContext: unknown; toBlob: unknown }
const [getContext, toBlob] = [canvas.getContext, canvas.toBlob]
/** A canvas that gives the shown picture back, and a small file of whatever is put on it. */
const standIn = (): void => {
  const context = { drawImage: () => undefined, putImageData: () => undefined, getImageData: () => ({ data: shown.picture?.data ?? new Uint8ClampedArray() }) }
  canvas.getContext = () => context
  canvas.toBlob = (done: (blob: Blob) => void) => done(new Blob(['x'], { type: 'image/webp' }))
  const { width, height } = shown.picture ?? { width: 1, height: 1 }
  Object.assign(globalThis, {
    createImageBitmap: () => (shown.picture ? Promise.resolve({ width, height, close: () => undefined }) : Promise.reject(new Error('no picture'))),
    ImageData: function ImageData() {
      return {}
    },
  })
}
afterAll(() => void Object.assign(canvas, { getContext, toBlob }))
withTestShop()
const table: SizeTable = {
  id: 'plain-booties', version: 1, name: 'Plain booties', maker: 'Harbour Hems', family: 'B1', way: 'stock', unit: 'cm', between: null,
  sizes: [{ label: 'Small', bands: { M32: [44, 55], M33: [55, 69] } }, { label: 'Large', bands: { M32: [55, 66], M33: [68, 79] } }],
  lead: { minWeeks: 0, maxWeeks: 0 },
} // prettier-ignore
beforeEach(() => {
  testShop().sizeTables = [table]
  shown.picture = null
  Object.assign(URL, { createObjectURL: () => 'blob:x', revokeObjectURL: () => undefined })
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
    const set = await screen.findByRole('button', { name: /^Set of 4/ })
    await waitFor(() => expect(set.textContent).toContain('3 Large, 1 Small'))
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
    const season = await screen.findByRole('region', { name: 'The season' })
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

describe('keys, shelf and season on the bench', () => {
  it('W and arrows try a tape’s end: the size goes along, nothing is kept, Escape puts it back', async () => {
    open()
    await screen.findByText(/^Set of 4/)
    const rows = () => screen.getAllByRole('img', { name: /^(Front|Rear) paw width/i })
    await waitFor(() => expect(rows().length).toBe(4))
    fireEvent.keyDown(document.body, { key: '3' })
    fireEvent.keyDown(document.body, { key: 'w' })
    for (let i = 0; i < 3; i++) fireEvent.keyDown(document.body, { key: 'ArrowRight' })
    // 49 mm and three eighths of an inch are 58.5: a Large.
    const tried = (await screen.findByText('Tried, not read. Esc puts it back.')).parentElement
    expect(tried?.textContent).toContain('Large')
    fireEvent.keyDown(document.body, { key: 'Escape' })
    expect(screen.queryByText(/^Tried, not read/)).toBeNull()
    expect(sent('/readings/')).toHaveLength(0)
  })

  it('the shelf takes a count, says what is left after this set, and refuses what is no number at the field', async () => {
    open()
    const shelf = await screen.findByRole('region', { name: 'On the shelf' })
    const large = await within(shelf).findByRole('textbox', { name: 'Large here' })
    fireEvent.change(large, { target: { value: 'many' } })
    expect(within(shelf).getByText('A whole number.')).toBeDefined()
    fireEvent.change(large, { target: { value: '2' } })
    fireEvent.blur(large)
    await waitFor(() => expect(sent('/shop')).toHaveLength(1))
    expect(JSON.stringify(sent('/shop')[0]?.body)).toContain('{"tableId":"plain-booties","label":"Large","here":2}')
    // Three paws ask the Large: one is missing.
    await waitFor(() => expect(within(shelf).getByRole('row', { name: /^Large/ }).textContent).toMatch(/3-1$/))
  })

  it('in season the yellow button is Back from an outing; nails and an earlier outline are shown', async () => {
    const on = new Date().toISOString().slice(0, 10)
    open({
      tracings: [aTracing({ nails: 'long' }), aTracing({ points: inventedPaw(63, 74) })],
      bootOutings: [{ id: nextId(), on, km: 6, footing: 'snow', minutes: 30, paws: {}, note: '', removed: false, at: AT, by: 'Ylva' }],
    })
    expect((await screen.findByText('nails long')).className).toContain('text-chalk')
    expect(screen.getByText('2 agree')).toBeDefined()
    fireEvent.keyDown(document.body, { key: 'Enter' })
    expect(await screen.findByRole('button', { name: 'Keep this outing' })).toBeDefined()
    expect(sent('/choices/')).toHaveLength(0)
  })
})

describe('a photograph traced', () => {
  const pictures: Record<string, () => Picture> = {
    sheet: () => renderedSheet([{ points: inventedPaw(62, 74).map(([x, y]): [number, number] => [x, y + 4]) }], SHOT, 4),
    bare: () => ({ width: 300, height: 400, data: new Uint8ClampedArray(4 * 300 * 400).fill(200) }),
  }
  const take = async (name: string) => {
    fireEvent.click((await screen.findAllByRole('button', { name: 'Trace it' }))[0] as HTMLElement)
    shown.picture = pictures[name]?.() ?? null
    standIn()
    fireEvent.change(screen.getByLabelText('Photograph of the sheet'), { target: { files: [new File(['x'], 'x.png')] } })
  }
  it('found, it is kept once with its nails: a picture, a tracing, two readings that point to it', async () => {
    const { dog } = open()
    // A picture does not outlive the made-up store of this test; the journeys send a true one.
    testShop().answers[`PUT /dogs/${dog.id}/photos/`] = () => Response.json({})
    await take('sheet')
    const keep = await screen.findByRole('button', { name: 'Keep left front' })
    fireEvent.click(screen.getByRole('radio', { name: 'Short' }))
    fireEvent.click(keep)
    fireEvent.click(keep)
    await waitFor(() => expect(sent('/readings/')).toHaveLength(2))
    const tracing = sent(`/dogs/${dog.id}/tracings/`)
    expect(tracing).toHaveLength(1)
    expect(tracing[0]?.body).toMatchObject({ paw: 'front-left', nails: 'short', edited: false })
    const [width, length] = sent('/readings/').map(({ body }) => body as { measure: string; mm: number; tracingId: string })
    // The line was drawn 62 wide and 74 long; the usual pencil runs 1 mm outside each side.
    expect(width?.measure).toBe('M32')
    expect(Math.abs((width?.mm ?? 0) - 60)).toBeLessThan(0.8)
    expect(Math.abs((length?.mm ?? 0) - 72)).toBeLessThan(1)
    expect(tracing[0]?.path).toContain(width?.tracingId)
  }, 30_000)

  it('without its marks the corners are set by hand and it is read; a ruler gives a note, never a reading', async () => {
    const { dog } = open()
    await take('bare')
    expect((await screen.findByRole('alert')).textContent).toContain('set its corners by hand')
    const corner = screen.getByRole('slider', { name: 'top left' })
    fireEvent.focus(corner)
    const before = corner.getAttribute('aria-valuetext')
    fireEvent.keyDown(corner, { key: 'ArrowRight' })
    expect(corner.getAttribute('aria-valuetext')).not.toBe(before)
    fireEvent.click(screen.getByRole('button', { name: 'Lay it flat and trace' }))
    // No line on it: an outline is laid on by hand, and says so.
    fireEvent.click(await screen.findByRole('button', { name: 'Lay an outline on it' }))
    expect(screen.getByText(/^Corners set by hand: about/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Set the corners by hand' }))
    fireEvent.click(screen.getByRole('combobox', { name: 'What the points are set on' }))
    fireEvent.click(await screen.findByRole('option', { name: /^Two points of a ruler/ }))
    fireEvent.click(screen.getByRole('button', { name: 'Keep it as a note' }))
    await waitFor(() => expect(sent(`/dogs/${dog.id}/notes/`)).toHaveLength(1))
    expect(JSON.stringify(sent(`/dogs/${dog.id}/notes/`)[0]?.body)).toContain('a note, no reading')
    expect(sent('/readings/')).toHaveLength(0)
  }, 30_000)
})

describe('boots on paper', () => {
  it('the list has each paw with its size and strap, and how many of each; outlines are in true scale', async () => {
    const sheet = aTicket({ dog: aDog({ sex: 'female', breed: 'Siberian Husky' }), items: [anItem({ family: 'B1', way: 'stock' })], readings: [...paw('front-left', 59, 72), ...paw('front-right', 60, 72), ...paw('rear-left', 49, 63), ...paw('rear-right', 57, 71)], tracings: [aTracing()] }) // prettier-ignore
    renderStage(sheet, 'list', <BootList />)
    const list = await screen.findByRole('region', { name: 'Boots' })
    await waitFor(() => expect(list.textContent).toContain('To order: 3 Large, 1 Small.'))
    renderStage(aTicket({ dog: aDog(), items: [], tracings: [aTracing()] }), 'outlines', <OutlineSheet />)
    const outline = await screen.findByRole('img', { name: 'Left front in true scale' })
    // 62 and 74 mm, 6 of room.
    expect(outline.getAttribute('width')).toMatch(/^68(\.0+)?mm$/)
  })
})
