import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Car, Item } from '@merry-tailor/core'
import { AT, aDog, anItem, aReading, aTicket, bornMonthsAgo, nextId, renderStage, testShop, wideScreen, withTestShop } from '../../test/shop'
import { AirSheet } from './AirSheet'
import { CarSheet } from './CarSheet'
import { DividerSheet } from './DividerSheet'
import { CrateRoom } from './CrateRoom'

withTestShop()
const crate = (over: Partial<Item> = {}): Item => anItem({ family: 'K1', way: 'stock', ...over })
const TAPES = [['M42', 782], ['M44', 204], ['M39', 618], ['M40', 664], ['M41', 602], ['M43', 286], ['M45', 512]] as const // prettier-ignore
const open = (item = crate(), dog = aDog({ breed: 'Siberian Husky', sex: 'female' })) => {
  const sheet = aTicket({ dog, items: [item], readings: [...TAPES.map(([id, mm]) => aReading(id, mm)), aReading('M00', 20.4, { unit: 'kg' })] })
  renderStage(sheet, 'crate', <CrateRoom />)
  return { item, sheet }
}
const heading = () => screen.findByRole('heading', { level: 1 })
const sent = (part: string) => testShop().sent.filter(({ path }) => path.includes(part))

describe('crates by their clearances', () => {
  it('names the smallest that holds, says what keeps the next smaller from it, and shows each clearance on its tape', async () => {
    open()
    expect((await heading()).textContent).toMatch(/in Wire \d\d$/)
    const list = await screen.findByRole('list', { name: 'Crates, none missed first' })
    expect(within(list).getAllByRole('button')).toHaveLength(7)
    expect(screen.getByRole('region', { name: 'Crates' }).textContent).toMatch(/asks (perhaps )?the \d\d: the \d\d is .* at /)
    const tags = screen.getByRole('list', { name: 'Clearances' })
    fireEvent.click(within(tags).getByRole('button', { name: /Turning round/ }))
    expect(screen.getByRole('region', { name: 'Turning round' }).textContent).toContain('unproven on any dog')
    // A number opens its clearance.
    fireEvent.keyDown(document.body, { key: '1' })
    await screen.findByRole('region', { name: 'Nose and tail' })
  })

  it('another row swaps the crate, and choosing keeps label and inside, once', async () => {
    const { item } = open()
    await heading()
    fireEvent.click(screen.getByRole('button', { name: /^Wire 48/ }))
    expect((await heading()).textContent).toMatch(/in Wire 48$/)
    const choose = screen.getByRole('button', { name: /^Choose crate/ })
    fireEvent.click(choose)
    fireEvent.click(choose)
    await waitFor(() => expect(sent('/choices/')).toHaveLength(1))
    expect(sent('/choices/')[0]?.body).toMatchObject({ kind: 'series', family: 'K1', label: '48', itemId: item.id })
    expect((sent('/choices/')[0]?.body as { insideMm: number[] }).insideMm[0]).toBeCloseTo(48 * 25.4 - 35, 6)
  })

  it('a measured inside is kept with the shop; what is no length is said at the field', async () => {
    open()
    await heading()
    fireEvent.click(screen.getByRole('button', { name: 'Measure its inside' }))
    fireEvent.change(screen.getByLabelText(/^Length/), { target: { value: 'long' } })
    expect(screen.getByText('Not a length yet.')).toBeDefined()
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep it' }).disabled).toBe(true)
    fireEvent.change(screen.getByLabelText(/^Length/), { target: { value: '39 1/2 in' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }))
    await waitFor(() => expect(sent('/shop')).toHaveLength(1))
    expect(JSON.stringify(sent('/shop')[0]?.body)).toContain('1003.3')
  })

  it('a harness is no crate', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'H01' })] }), 'crate', <CrateRoom />)
    expect(await screen.findByText('Which crate?')).toBeDefined()
  })
})

describe('other boxes', () => {
  it('a puppy’s crate is the grown dog’s, with a divider by month', async () => {
    const dog = aDog({ breed: 'Golden Retriever', sex: 'female', born: bornMonthsAgo(4), weightKg: 11.3 })
    renderStage(aTicket({ dog, items: [crate()], readings: [aReading('M42', 521)] }), 'crate', <CrateRoom />)
    await heading()
    fireEvent.click(await screen.findByRole('radio', { name: 'Puppy' }))
    expect((await screen.findByText(/^Divider now at/)).parentElement?.textContent).toContain('four in five')
    expect(screen.getAllByRole('row').length).toBeGreaterThan(4)
    expect(screen.getByText(/no forecast of a breed/)).toBeDefined()
  })

  it('an air box by the common rule and by a carrier’s, with refusals; the carrier decides', async () => {
    testShop().shop = { ...testShop().shop, carriers: [{ name: 'Night freight', lengthB: 1, width: null, flatFaceShare: null, refusesFlatFace: true, leastMm: {}, mostMm: {}, answered: '' }] } // prettier-ignore
    open(crate({ family: 'K2' }), aDog({ breed: 'Pug', flatFace: true }))
    await heading()
    fireEvent.click(screen.getByRole('radio', { name: 'Air' }))
    const box = await screen.findByRole('region', { name: 'The box' })
    expect(box.textContent).toContain('a tenth more for a flat face')
    expect(box.textContent).toContain('Carrier, states and vet decide')
    fireEvent.click(within(box).getByRole('combobox', { name: 'Whose rules' }))
    fireEvent.click(await screen.findByRole('option', { name: /Night freight/ }))
    expect(await within(box).findByText('This carrier takes no flat faces.')).toBeDefined()
    expect(box.textContent).toContain('length, carrier’s rule')
  })

  it('a carrier’s answer is kept with the shop; without a name it is refused at once', async () => {
    open(crate({ family: 'K2' }))
    await heading()
    fireEvent.click(screen.getByRole('radio', { name: 'Air' }))
    fireEvent.click(await screen.findByRole('button', { name: 'A carrier’s answer' }))
    fireEvent.click(screen.getByRole('button', { name: 'Keep its rules' }))
    expect((await screen.findByRole('alert')).textContent).toBe('Whose rules? Name the carrier.')
    fireEvent.change(screen.getByLabelText('Carrier'), { target: { value: 'Ferry air' } })
    fireEvent.change(screen.getByLabelText('Of elbow height to length'), { target: { value: '1' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep its rules' }))
    await waitFor(() => expect(sent('/shop')).toHaveLength(1))
    expect(JSON.stringify(sent('/shop')[0]?.body)).toContain('"lengthB":1')
    expect(await screen.findByText(/length, carrier’s rule/)).toBeDefined()
  })

  it('says of a car whether the crate goes in, turned as it may be, and what is not measured', async () => {
    const seats: Car['seats'] = [{ name: 'Rear', row: 'rear', outlet: { aheadMm: 0, leftMm: 200, upMm: 500 }, buckle: { aheadMm: 0, leftMm: -200, upMm: 0 }, frontSeatMm: 700, cushionMm: 480, airBag: 'none' }] // prettier-ignore
    const space: Car['space'] = { floor: [[0, 0], [1400, 0], [1400, 1200], [0, 1200]], side: [[0, 0], [1400, 0], [1400, 1000], [0, 1000]], arches: [], opening: [[0, 0], [400, 0], [400, 300], [0, 300]], floorUpMm: 500, sillMm: 0, anchors: [[50, 600, 0], [1350, 600, 0]] } // prettier-ignore
    const van: Car = { id: nextId(), createdAt: AT, name: 'Wide van', ownerId: null, seats, notes: '', space }
    testShop().answers['GET /cars'] = () => Response.json([van])
    open()
    await heading()
    fireEvent.click(screen.getByRole('radio', { name: 'Load space' }))
    const says = await screen.findByRole('region', { name: 'What it comes to' })
    expect(says.textContent).toMatch(/On the floor, turned 0°: .* free each side/)
    expect(says.textContent).toMatch(/Through the opening, level: .* too big each side/)
    expect(says.textContent).toContain('No strength is promised')
    // The opening is lower than the crate: no way in.
    await waitFor(() => expect(says.textContent).toMatch(/The way in, level: none is foretold/))
    fireEvent.click(within(says).getByRole('button', { name: 'Crosswise' }))
    expect(says.textContent).toContain('turned 90°')
  })
})

const rect = (x: number, y: number): [number, number][] => [[0, 0], [x, 0], [x, y], [0, y]] // prettier-ignore
const aVan = (over: Partial<Car> = {}): Car => ({
  id: nextId(), createdAt: AT, name: 'Wide van', ownerId: null, notes: '',
  seats: [{ name: 'Rear', row: 'rear', outlet: { aheadMm: 0, leftMm: 200, upMm: 500 }, buckle: { aheadMm: 0, leftMm: -200, upMm: 0 }, frontSeatMm: 700, cushionMm: 480, airBag: 'none' }],
  space: { floor: rect(1400, 1600), side: rect(1400, 1000), arches: [{ xMm: [500, 900], yMm: [1500, 1600], heightMm: 300 }], opening: rect(1400, 800), floorUpMm: 500, sillMm: 0, anchors: [[50, 700, 0], [1350, 700, 0], [50, 100, 0]] },
  ...over,
}) // prettier-ignore

describe('other kinds, the car’s opening, one clearance at a time', () => {
  it('a travel crate somebody measured stands among the wire ones; chosen, the item becomes one', async () => {
    testShop().shop = { ...testShop().shop, crates: [{ family: 'K2', label: '42', lengthMm: 1010, widthMm: 680, heightMm: 790, door: null }] }
    const { item } = open()
    await heading()
    fireEvent.click(await screen.findByRole('button', { name: /^Travel 42/ }))
    fireEvent.click(screen.getByRole('button', { name: /^Choose crate/ }))
    await waitFor(() => expect(sent('/choices/')).toHaveLength(1))
    expect(sent('/choices/')[0]?.body).toMatchObject({ family: 'K2', label: '42', insideMm: [1010, 680, 790], itemId: item.id })
    expect(JSON.stringify(sent(`/items/${item.id}`)[0]?.body)).toContain('"to":"K2"')
  })

  it('the owner’s car is asked too: what is higher than its opening misses it, with both on one tape', async () => {
    testShop().answers['GET /cars'] = () => Response.json([aVan()])
    open()
    await heading()
    // 48: 33 in inside and 25 mm of walls are 863 mm, over 800.
    const high = await screen.findByRole('button', { name: /^Wire 48.*Car opening likely misses/ })
    fireEvent.click(high)
    expect((await screen.findByRole('region', { name: 'Car opening' })).textContent).toMatch(/Into Wide van, level: .* too high/)
    fireEvent.click(screen.getByRole('button', { name: /^Wire 36/ }))
    expect(screen.getByRole('region', { name: 'Car opening' }).textContent).toMatch(/over it/)
  })

  it('on a phone one clearance is shown, and Next goes on to each', async () => {
    wideScreen(true)
    open()
    await heading()
    const names: string[] = []
    for (let i = 0; i < 8; i++) {
      names.push(screen.getByText(new RegExp(`^[12345678] of 8$`)).textContent)
      fireEvent.click(screen.getByRole('button', { name: 'Next' }))
    }
    expect(new Set(names).size).toBe(8)
    expect(screen.queryByRole('list', { name: 'Clearances' })).toBeNull()
    expect(screen.getAllByRole('button', { name: /^(Wire|Travel)/ }).length).toBeLessThanOrEqual(4)
    wideScreen(false)
  })

  it('openings are asked by both rules: a closed side, and what is missing', async () => {
    open(crate({ family: 'K2' }))
    await heading()
    fireEvent.click(screen.getByRole('radio', { name: 'Air' }))
    const region = await screen.findByRole('region', { name: 'Openings' })
    const type = (name: string, value: string) => fireEvent.change(within(region).getByRole('textbox', { name: new RegExp(`^${name}`) }), { target: { value } })
    for (const side of ['front', 'right', 'left']) {
      type(`${side}, open across`, '45 cm')
      type(`${side}, open up`, '40 cm')
    }
    await waitFor(() => expect(region.textContent).toMatch(/too little: back/))
    expect(region.textContent).toContain('the carrier decides')
    expect(
      within(region)
        .getByText(/^Carriers/)
        .closest('li')?.textContent,
    ).toContain('Likely misses')
    // Three well opened sides are enough by the law of one country (9 CFR 3.14, value from memory).
    expect(
      within(region)
        .getByText(/^The law of one/)
        .closest('li')?.textContent,
    ).toContain('Should hold')
  })

  it('two crates beside each other, a strap between the eyes chosen, corners moved by keys; what crosses is said and not kept', async () => {
    testShop().answers['GET /cars'] = () => Response.json([aVan()])
    open()
    await heading()
    fireEvent.click(screen.getByRole('radio', { name: 'Load space' }))
    const says = await screen.findByRole('region', { name: 'What it comes to' })
    const long = /A strap over it: (.*?) from eye/.exec(says.textContent)?.[1]
    expect(long).toBeDefined()
    fireEvent.click(within(says).getByRole('combobox', { name: 'Strap to' }))
    fireEvent.click(await screen.findByRole('option', { name: 'Eye 3' }))
    expect(/A strap over it: (.*?) from eye/.exec(says.textContent)?.[1]).not.toBe(long)
    fireEvent.click(within(says).getByRole('combobox', { name: 'One more crate' }))
    fireEvent.click(await screen.findByRole('option', { name: 'the same again' }))
    expect(says.textContent).toMatch(/With the same again: .* between them/)
    fireEvent.click(within(says).getByRole('button', { name: 'One behind the other' }))
    expect(says.textContent).toMatch(/too long together/)
    fireEvent.click(within(says).getByRole('button', { name: /^Measure it again/ }))
    const corner = screen.getByRole('slider', { name: 'Floor, corner 3' })
    fireEvent.focus(corner)
    for (let i = 0; i < 30; i++) fireEvent.keyDown(corner, { key: 'ArrowDown' })
    // 150 mm narrower at one corner: the arch at the left side stands outside no more than the floor's widest place.
    expect(within(says).queryByRole('alert')).toBeNull()
    const left = screen.getByRole('slider', { name: 'Floor, corner 4' })
    fireEvent.focus(left)
    for (let i = 0; i < 30; i++) fireEvent.keyDown(left, { key: 'ArrowDown' })
    expect((await within(says).findByRole('alert')).textContent).toBe('An arch lies outside the floor.')
    expect(within(says).getByRole<HTMLButtonElement>('button', { name: 'Keep it' }).disabled).toBe(true)
  }) // prettier-ignore
})

describe('on paper', () => {
  it('a divider by month with a place to write, an air box with its tapes and days, a crate in a car', async () => {
    const dog = aDog({ breed: 'Golden Retriever', sex: 'female', born: bornMonthsAgo(4), weightKg: 11.3 })
    renderStage(aTicket({ dog, items: [crate()], readings: [aReading('M42', 521)] }), 'divider', <DividerSheet />)
    const divider = await screen.findByRole('region', { name: 'Divider by month' })
    expect(within(divider).getAllByRole('row').length).toBeGreaterThan(4)
    expect(divider.textContent).toContain('no forecast of a breed')

    renderStage(aTicket({ dog: aDog({ breed: 'Pug', flatFace: true }), items: [crate({ family: 'K2' })], readings: TAPES.map(([id, mm]) => aReading(id, mm)), ticket: { neededOn: '2027-03-01' } }), 'air', <AirSheet />) // prettier-ignore
    const air = await screen.findByRole('region', { name: 'Air box' })
    expect(air.textContent).toContain('Carrier, states and vet decide')
    // A 782, B 286: A and half of B are 925 mm, a tenth more 1017.5, ordered in whole cm.
    expect(air.textContent).toContain('102 cm')
    expect(air.textContent).toContain('Before the')

    testShop().answers['GET /cars'] = () => Response.json([aVan()])
    renderStage(aTicket({ dog: aDog(), items: [crate()] }), 'car', <CarSheet />)
    const car = await screen.findByRole('region', { name: 'Crate in the car' })
    expect(car.textContent).toMatch(/Through the opening, level.*free each side/)
    expect(car.textContent).toContain('Never left in a parked car')
  })
})

describe('a pen', () => {
  it('asks a height by head and withers, more of a jumper, its floor by panels, and is chosen once', async () => {
    const { item } = open(crate({ family: 'K4' }))
    expect((await heading()).textContent).toMatch(/^A pen for/)
    const heights = await screen.findByRole('list', { name: 'Heights' })
    // Ears at 664 and 50 mm of room: 30 in are 762 mm.
    await waitFor(() => expect(within(heights).getByRole('button', { name: /^30 in/ }).textContent).toContain('Should hold'))
    expect(within(heights).getByRole('button', { name: /^24 in/ }).textContent).toContain('Likely misses')
    const pen = screen.getByRole('region', { name: 'Pen' })
    // Eight panels of 24 in: 8 x 0.6096² / (4 tan 22.5°) = 1.79 m² = 19.3 sq ft.
    expect(pen.textContent).toMatch(/Floor (19\.3 sq ft|1\.79 m²)/)
    fireEvent.click(within(pen).getByRole('button', { name: /jumps$/ }))
    // Twice the withers of 512 mm: 1024, so 42 in.
    expect(within(heights).getByRole('button', { name: /^30 in/ }).textContent).not.toContain('Should hold')
    fireEvent.click(within(pen).getByRole('button', { name: /^Choose pen/ }))
    await waitFor(() => expect(sent('/choices/')).toHaveLength(1))
    expect(sent('/choices/')[0]?.body).toMatchObject({ kind: 'series', family: 'K4', label: '42 high', itemId: item.id })
  })
})
