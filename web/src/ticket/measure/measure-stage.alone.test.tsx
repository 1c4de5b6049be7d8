import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { aReading, anItem, aTicket, nextId, AT, renderStage, testShop, withTestShop, wideScreen } from '../../test/shop'
import { MeasureStage } from './MeasureStage'

/** How often rows with marks (the list of tapes, what the tapes say) and plates were drawn: the entry has neither. */
const drawn = vi.hoisted(() => ({ rows: 0, plates: 0 }))
vi.mock('../../ui/marks/Mark', async (real) => {
  const { Mark, ...rest } = await real<typeof import('../../ui/marks/Mark')>()
  return {
    ...rest,
    Mark: (props: Parameters<typeof Mark>[0]) => {
      drawn.rows += 1
      return Mark(props)
    },
  }
})
vi.mock('../../ui/plates/cut', async (real) => {
  const parts = await real<typeof import('../../ui/plates/cut')>()
  return {
    ...parts,
    cutOnce: (...args: Parameters<typeof parts.cutOnce>) => {
      drawn.plates += 1
      return parts.cutOnce(...args)
    },
  }
})

withTestShop()

const field = (): Promise<HTMLInputElement> => screen.findByRole<HTMLInputElement>('textbox', { name: /./ })
const pin = async (text: string): Promise<void> => {
  const input = await field()
  fireEvent.change(input, { target: { value: text } })
  fireEvent.keyDown(input, { key: 'Enter' })
}
const readings = () =>
  testShop()
    .sent.filter((each) => each.path.includes('/readings/'))
    .map((each) => each.body as Record<string, unknown>)
const marks = () =>
  testShop()
    .sent.filter((each) => each.path.includes('/marks/'))
    .map((each) => each.body as Record<string, unknown>)
const title = () => screen.getByRole('heading', { level: 1 }).textContent

describe('the bench', () => {
  it('takes a tape twice and goes on to the next, with who and how', async () => {
    renderStage(aTicket(), 'measure', <MeasureStage />)
    await pin('27,6')
    expect(title()).toBe('Harness neck')
    await pin('27,8')
    await waitFor(() => expect(title()).toBe('Sternum length'))
    await waitFor(() => expect(readings()).toHaveLength(2))
    expect(readings()[0]).toMatchObject({
      measure: 'M01',
      mm: 276,
      side: 'one',
      asTyped: '27,6',
      unit: 'cm',
      method: 'tape',
      by: 'Ylva',
      definition: 1,
      place: null,
      school: null,
    })
    expect(screen.getByRole('button', { name: /Harness neck/ }).textContent).toContain('55.5')
  })

  it('says of what is cut here alone that its pieces come from these tapes, and asks for no table', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'C1', way: 'made' })] }), 'measure', <MeasureStage />)
    await field()
    const rug = within(await screen.findByRole('region', { name: 'Rug' }))
    expect(rug.getByText(/Cut here from these tapes/)).toBeDefined()
    expect(rug.queryByText(/No size table|No tape yet/)).toBeNull()
  })

  it('draws the entry alone at a keystroke, and everything at a pin', async () => {
    renderStage(aTicket(), 'measure', <MeasureStage />)
    const input = await field()
    await waitFor(() => expect(screen.getAllByText(/No size table for it yet/)).not.toEqual([]))
    const before = { ...drawn }
    for (const typed of ['2', '27', '27,', '27,6']) fireEvent.change(input, { target: { value: typed } })
    expect(input.value).toBe('27,6')
    expect(drawn).toEqual(before)
    fireEvent.keyDown(input, { key: 'Enter' })
    await waitFor(() => expect(drawn.rows).toBeGreaterThan(before.rows))
    expect(before.rows).toBeGreaterThan(0)
    expect(before.plates).toBeGreaterThan(0)
  })

  it('says at the field what can’t be read and keeps it', async () => {
    renderStage(aTicket(), 'measure', <MeasureStage />)
    await pin('wide')
    const alert = await screen.findByRole('alert')
    expect(alert.textContent).toContain('Can’t read that as a length')
    expect((await field()).value).toBe('wide')
    expect(readings()).toEqual([])
  })

  it('brings a number the server refused back into the field, and sends the same reading again', async () => {
    testShop().answers['PUT /tickets'] = () => new Response(JSON.stringify({ code: 'ticket-closed', detail: 'Ticket 101 is closed.' }), { status: 409 })
    renderStage(aTicket(), 'measure', <MeasureStage />)
    await pin('27,6')
    await waitFor(async () => expect((await field()).value).toBe('27,6'))
    expect((await screen.findAllByText(/Ticket 101 is closed/)).length).toBeGreaterThan(0)
    testShop().answers = {}
    await pin('27,6')
    await waitFor(() => expect(testShop().sent).toHaveLength(2))
    expect(testShop().sent[0]?.path).toBe(testShop().sent[1]?.path)
  })

  it('strikes with a reason, puts back, and takes every act back', async () => {
    const sheet = aTicket({ readings: [aReading('M01', 276, { side: 'one' })] })
    renderStage(sheet, 'measure', <MeasureStage />)
    fireEvent.click(await screen.findByRole('button', { name: /strike it out/ }))
    fireEvent.click(await screen.findByRole('button', { name: 'Strike out' }))
    fireEvent.click(screen.getByRole('button', { name: 'Misread' }))
    await waitFor(() => expect(marks()).toMatchObject([{ kind: 'struck', why: 'Misread', by: 'Ylva' }]))
    fireEvent.click(await screen.findByRole('button', { name: 'Put back' }))
    await waitFor(() => expect(marks()).toMatchObject([{ kind: 'struck' }, { kind: 'restored' }]))
    fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' })
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(marks().at(-1)).toMatchObject({ kind: 'struck', why: 'Taken back' }))
    fireEvent.click(screen.getByRole('button', { name: 'Redo' }))
    await waitFor(() => expect(marks().at(-1)).toMatchObject({ kind: 'restored' }))
  })

  it('takes paws one by one, and a leg without a dewclaw', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'B1' })] }), 'measure', <MeasureStage />)
    await screen.findByText('Left front. First reading. Largest counts.', { exact: false })
    expect(screen.getByRole('img', { name: /left front paw, from below/i })).toBeDefined()
    await pin('6,1')
    await waitFor(() => expect(readings()[0]).toMatchObject({ measure: 'M32', place: 'front-left', method: 'tracing' }))
    fireEvent.click(screen.getAllByRole('button', { name: /Dewclaw height/ })[0]!)
    fireEvent.click(await screen.findByRole('button', { name: 'none here' }))
    await waitFor(() => expect(readings()[1]).toMatchObject({ measure: 'M37', mm: 0, dewclaw: 'none', place: 'front-left', asTyped: 'none' }))
  })

  it('weighs in kilograms and offers the record the weight', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'H24' })] }), 'measure', <MeasureStage />)
    fireEvent.click(await screen.findByRole('button', { name: /Weight/ }))
    await pin('23,9')
    await waitFor(() => expect(readings()[0]).toMatchObject({ measure: 'M00', mm: 23.9, unit: 'kg', method: 'scale' }))
    const block = await screen.findByRole('region', { name: 'Weight in the record' })
    expect(block.textContent).toContain('Tern’s record says 20.4 kg')
    fireEvent.click(within(block).getByRole('button', { name: 'Take it into the record' }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { kg: 23.9, unit: 'kg' } }))
  })

  it('shows what waits under other people’s letters and what follows by the chalk mark', async () => {
    const sheet = aTicket({
      items: [anItem({ family: 'H11', way: 'made' })],
      readings: [aReading('M10', 430, { chalkMark: true }), aReading('M12', 250, { chalkMark: true })],
      asWritten: [{ id: nextId(), letters: 'C–D', asWritten: '41', came: 'mail', wanted: null, remark: '', at: AT, by: '', became: null }],
    })
    renderStage(sheet, 'measure', <MeasureStage />)
    expect((await screen.findByRole('region', { name: 'Path unknown' })).textContent).toContain('“C–D” 41')
    expect(screen.getByRole('button', { name: /Overall pulling length/ }).textContent).toContain('derived, not to order by')
  })

  it('asks with the likely cause, and keeps a dog’s own way', async () => {
    renderStage(aTicket({ readings: [aReading('M01', 600, { side: 'one' }), aReading('M07', 700)] }), 'measure', <MeasureStage />)
    const asks = await screen.findByRole('region', { name: /Harness neck: longer than expected/ })
    expect(asks.textContent).toContain('Doubled twice?')
    fireEvent.click(within(asks).getByRole('button', { name: /Keep/ }))
    await waitFor(() => expect(screen.queryByRole('region', { name: /Harness neck: longer/ })).toBeNull())
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }))
    await screen.findByRole('region', { name: /Harness neck: longer than expected/ })
  })

  it('draws a station forward when the dog decides', async () => {
    renderStage(aTicket(), 'measure', <MeasureStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Trunk rings and sides first' }))
    await waitFor(() => expect(title()).toBe('Girth, largest'))
    expect(screen.getAllByRole('button', { name: /Girth|Harness neck|Sternum length/ })[0]?.textContent).toContain('Girth')
  })

  it('explains bones, other names and what is never converted', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'H11', way: 'made', school: 'B' })] }), 'measure', <MeasureStage />)
    fireEvent.click(await screen.findByRole('button', { name: /Last rib, over-route/ }))
    fireEvent.click(screen.getByRole('button', { name: 'Bones and names' }))
    const about = await screen.findByRole('dialog', { name: 'About Last rib, over-route' })
    expect(about.textContent).toContain('Not made from last rib, under-route')
    expect(about.textContent).toContain('School B only')
    expect(within(about).getByText('take this')).toBeDefined()
  })

  it('offers the whole body sheet when no item is chosen', async () => {
    const sheet = aTicket({ items: [] })
    renderStage(sheet, 'measure', <MeasureStage />)
    fireEvent.click(await screen.findByRole('button', { name: /All of it/ }))
    await screen.findByRole('button', { name: /Nose to tail base/ })
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toEqual({ changes: [{ field: 'wholeBody', from: false, to: true }] }))
  })

  it('fits one thumb on a phone', async () => {
    wideScreen(true)
    renderStage(aTicket({ readings: [aReading('M01', 276, { side: 'one' })] }), 'measure', <MeasureStage />)
    for (const key of ['2', '7']) fireEvent.click(await screen.findByRole('button', { name: key }))
    fireEvent.click(screen.getByRole('button', { name: 'point 8' }))
    expect((await field()).value).toBe('27.8')
    fireEvent.click(screen.getByRole('button', { name: 'Pin it' }))
    await waitFor(() => expect(readings()[0]).toMatchObject({ measure: 'M01', mm: 278 }))
    fireEvent.click(screen.getByRole('button', { name: 'Skip for now' }))
    expect(title()).toBe('Girth, largest')
  })
})
