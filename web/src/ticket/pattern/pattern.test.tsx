import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Item } from '@merry-tailor/core'
import { aDog, anItem, aReading, aTicket, renderStage, testShop, withTestShop } from '../../test/shop'
import { CutSheet } from './CutSheet'
import { PatternRoom } from './PatternRoom'

withTestShop()
const coat = (over: Partial<Item> = {}): Item => anItem({ family: 'C3', way: 'made', ...over })
const NINE = [['M04', 402], ['M17', 621], ['M16', 588], ['M21', 571], ['M23', 489], ['M20', 166], ['M05', 187], ['M03', 447]] as const // prettier-ignore
const open = (item: Item, dog = aDog({ sex: 'male' })) => {
  const sheet = aTicket({
    dog,
    items: [item],
    readings: [...NINE.map(([id, mm]) => aReading(id, mm)), aReading('M15', 560), aReading('M00', 27, { unit: 'kg' })],
  })
  renderStage(sheet, 'pattern/:itemId', <PatternRoom />, `pattern/${item.id}`)
  return sheet
}
const edge = (name: string) => screen.findByRole('slider', { name })

describe('a garment’s pieces', () => {
  it('says what is foretold and from how many tapes; an edge moves by arrow keys, its partner follows, and undo takes it back', async () => {
    open(coat())
    expect(await screen.findByText(/^From your nine tapes/)).toBeDefined()
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Hooded winter coat on')
    const front = await edge('Back, front seam')
    fireEvent.focus(front)
    for (let i = 0; i < 4; i++) fireEvent.keyDown(front, { key: 'ArrowRight' })
    expect((await edge('Back, front seam')).getAttribute('aria-valuetext')).toMatch(/^moved out/)
    expect(await screen.findByText(/^Back gains .*, chest gives it: still meet, .* each\.$/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: /^Undo/ }))
    fireEvent.click(screen.getByRole('button', { name: /^As drafted/ }))
    await waitFor(() => expect(screen.getByText(/^As drafted: still meet/)).toBeDefined())
    // An edge of its own gap says so: the neck is sewn to two pieces.
    const neck = await edge('Hood, neck seam')
    fireEvent.focus(neck)
    for (let i = 0; i < 8; i++) fireEvent.keyDown(neck, { key: 'ArrowRight', shiftKey: true })
    expect(await screen.findByText(/short\.$/)).toBeDefined()
  })

  it('ease is drawn at its bracket; Enter keeps the plan once and opens the sheet', async () => {
    const item = coat()
    open(item)
    const ease = await screen.findByRole('slider', { name: 'Ease, neck' })
    const before = ease.getAttribute('aria-valuenow')
    fireEvent.keyDown(ease, { key: 'ArrowRight' })
    await waitFor(() => expect(screen.getByRole('slider', { name: 'Ease, neck' }).getAttribute('aria-valuenow')).not.toBe(before))
    const sheet = screen.getByRole('button', { name: /^Cut sheet/ })
    fireEvent.click(sheet)
    fireEvent.click(sheet)
    expect(await screen.findByText('another stage')).toBeDefined()
    const kept = testShop().sent.filter(({ method, path }) => method === 'PUT' && path.includes('/choices/'))
    expect(kept).toHaveLength(1)
    expect(kept[0]?.body).toMatchObject({ kind: 'pattern', family: 'C3', itemId: item.id, was: null })
  })

  it('a plan somebody else kept meanwhile is said, and this one stays', async () => {
    testShop().answers['PUT /tickets'] = () =>
      Response.json(
        {
          type: 'about:blank',
          title: 'Somebody changed the same field meanwhile.',
          status: 409,
          code: 'stale-edit',
          detail: 'Somebody kept another plan for this item meanwhile.',
          conflicts: [],
        },
        { status: 409 },
      )
    open(coat())
    fireEvent.keyDown(await screen.findByRole('slider', { name: 'Ease, neck' }), { key: 'ArrowRight' })
    fireEvent.click(screen.getByRole('button', { name: /^Cut sheet/ }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/^Not kept/)
    expect(screen.getByText('On this device; kept with the sheet')).toBeDefined()
  })

  it('a bitch’s belly edge is not asked about; no tape yet says that all is expected', async () => {
    const item = coat()
    renderStage(aTicket({ dog: aDog({ sex: 'female' }), items: [item] }), 'pattern/:itemId', <PatternRoom />, `pattern/${item.id}`)
    expect(await screen.findByText(/From no tape yet/)).toBeDefined()
    expect(within(screen.getByRole('list', { name: 'Checks' })).queryByText('Belly edge')).toBeNull()
  })

  it('knits: without a swatch it says what to do; a row knitted is counted; a swatch of nothing is said at its field', async () => {
    open(coat({ family: 'C1' }))
    expect(await screen.findByText(/No swatch yet/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Count with these for now' }))
    fireEvent.click(await screen.findByRole('button', { name: /^Row 1 knitted/ }))
    expect(await screen.findByRole('button', { name: /^Row 2 knitted/ })).toBeDefined()
    expect(screen.getByText(/^With a long tail/)).toBeDefined()
    fireEvent.change(screen.getByLabelText('Stitches'), { target: { value: '0' } })
    expect(await screen.findByText('From 1 to 400.')).toBeDefined()
    expect(screen.getByLabelText<HTMLInputElement>('Stitches').value).toBe('0')
  })

  it('a puppy’s rug: month by month, hole by hole, never as a forecast', async () => {
    open(coat({ family: 'C1' }), aDog({ sex: 'male' }))
    fireEvent.click(await screen.findByRole('radio', { name: 'Growth' }))
    expect(await screen.findByText(/no forecast of any breed/)).toBeDefined()
    fireEvent.change(screen.getByLabelText('Age now, weeks'), { target: { value: '9' } })
    fireEvent.click(screen.getByRole('button', { name: /grow along/ }))
    expect(await screen.findByText(/meeting|still meet/)).toBeDefined()
    expect(screen.getAllByRole('row').length).toBe(14)
  })

  it('a suit’s cords come in the order they are drawn in, and say that the draft was never sewn', async () => {
    open(coat({ family: 'C4' }))
    expect(await screen.findByText(/First draft, sew a trial/)).toBeDefined()
    fireEvent.click(screen.getByRole('radio', { name: 'Cords' }))
    const names = (await screen.findAllByRole('listitem')).map((each) => each.textContent)
    const order = ['Chest, in front', 'Belly', 'Left foreleg', 'Right foreleg', 'Left hind leg', 'Right hind leg', 'Collar, last']
    expect(order.map((name) => names.findIndex((text) => text.includes(name)))).toEqual(
      [...order.map((name) => names.findIndex((text) => text.includes(name)))].sort((a, b) => a - b),
    )
  })
})

describe('odd dogs', () => {
  it('a flat face gets no rigid hood; on three legs the opening without one is closed', async () => {
    const item = coat()
    const dog = aDog({ sex: 'male', breed: 'Pug', flatFace: true })
    const sheet = aTicket({ dog, items: [item] })
    sheet.ticket.traits = ['three-legs']
    renderStage(sheet, 'pattern/:itemId', <PatternRoom />, `pattern/${item.id}`)
    const mind = await screen.findByRole('list', { name: 'Mind' })
    expect(mind.textContent).toContain('no rigid hood')
    expect(mind.textContent).toContain('close the opening that has no leg')
    // Nothing is cut before weight and back length were taken.
    const button = screen.getByRole<HTMLButtonElement>('button', { name: /waits for/ })
    expect(button.disabled).toBe(true)
  })
})

describe('the cut sheet', () => {
  it('lists pieces and the order of sewing, and says of a printer that does not keep the scale: do not cut', async () => {
    const item = coat()
    const sheet = aTicket({ dog: aDog({ sex: 'male' }), items: [item], readings: NINE.map(([id, mm]) => aReading(id, mm)) })
    renderStage(sheet, 'cut-sheet/:itemId', <CutSheet />, `cut-sheet/${item.id}`)
    expect((await screen.findAllByText('cut 1 on fold')).length).toBeGreaterThan(1)
    expect(screen.getByText(/Set the hood/)).toBeDefined()
    fireEvent.change(screen.getByLabelText(/Side of the 50 mm square/), { target: { value: '49.2' } })
    expect((await screen.findByRole('alert')).textContent).toContain('Do not cut')
    fireEvent.change(screen.getByLabelText(/Side of the 50 mm square/), { target: { value: '50.2' } })
    expect(await screen.findByText('This printer keeps the scale.')).toBeDefined()
  })
})
