import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { settingsChanged } from '../../state/settings'
import { store } from '../../state/store'
import { AT, aDog, aReading, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { MeasureStage } from './MeasureStage'

withTestShop()

describe('at the dog', () => {
  it('has one prompt at a time in the order of the work, gone once done', async () => {
    renderStage(aTicket({ dog: aDog({ coat: 'smooth' }) }), 'measure', <MeasureStage />)
    const here = await screen.findByRole('region', { name: 'At the dog' })
    // The plate turns to each bone, with what it is taken for.
    for (const [says, done, plate] of [
      ['Collar, coat and harness off', 'Off', null],
      ['Feel the breastbone lump. Stroke the keel up', 'Felt', /^From the front\. Marked: breastbone lump\. Not the hollow above it/],
      ['Feel the last sternum bone', 'Felt', /^From below\. Marked: last sternum bone/],
      ['Feel the withers', 'Felt', /^From the side\. Marked: withers\. Not the point of shoulder/],
      ['Feel the last rib', 'Felt', /^From the side\. Marked: last rib/],
      ['walk one round, start over', 'Stands', null],
    ] as const) {
      expect(here.textContent).toContain(says)
      if (plate) expect(screen.getByRole('img', { name: plate })).toBeDefined()
      else expect(screen.queryByRole('img', { name: /Marked:/ })).toBeNull()
      fireEvent.click(within(here).getByRole('button', { name: done }))
    }
    expect(screen.queryByRole('region', { name: 'At the dog' })).toBeNull()
  })

  it('leaves the bones to whoever knows them', async () => {
    renderStage(aTicket({ dog: aDog({ coat: 'smooth' }) }), 'measure', <MeasureStage />)
    const here = await screen.findByRole('region', { name: 'At the dog' })
    fireEvent.click(within(here).getByRole('button', { name: 'Off' }))
    fireEvent.click(within(here).getByRole('button', { name: 'I know them' }))
    expect(here.textContent).toContain('Treat straight before the nose')
  })

  it('has no preparation left once a reading is there, and asks of a double coat at a ring', async () => {
    renderStage(aTicket({ readings: [aReading('M06', 290)] }), 'measure', <MeasureStage />)
    const here = await screen.findByRole('region', { name: 'At the dog' })
    expect(here.textContent).toContain('Double coat: let the tape sink to its base')
    fireEvent.click(within(here).getByRole('button', { name: 'It does not' }))
    const field = screen.getByRole<HTMLInputElement>('textbox', { name: /./ })
    fireEvent.change(field, { target: { value: '27,6' } })
    fireEvent.keyDown(field, { key: 'Enter' })
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ measure: 'M01', remark: 'Tape not sunk to the coat’s base' }))
  })

  it('X15 asks whose device it is where the first reading is pinned, and keeps the name with it', async () => {
    testShop().fitters = [{ id: nextId(), name: 'Orrin', gauge: null, left: false, createdAt: AT }]
    renderStage(aTicket(), 'measure', <MeasureStage />)
    await screen.findByRole('region', { name: 'At the dog' })
    store.dispatch(settingsChanged({ fitter: '' }))
    const who = await screen.findByRole('region', { name: 'Who reads the tape' })
    fireEvent.click(await within(who).findByRole('button', { name: 'Orrin' }))
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Who reads the tape' })).toBeNull())
    const field = screen.getByRole<HTMLInputElement>('textbox', { name: /./ })
    fireEvent.change(field, { target: { value: '27,6' } })
    fireEvent.keyDown(field, { key: 'Enter' })
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ measure: 'M01', by: 'Orrin' }))
  })

  it('X16 says what the tape read last time, when, and by whose hand', async () => {
    const dog = aDog()
    const before = aTicket({
      dog,
      ticket: { createdAt: '2026-08-01T09:00:00Z' },
      readings: [aReading('M01', 556, { takenAt: '2026-08-01T09:00:00Z', by: 'Orrin' })],
    })
    const now = aTicket({ dog })
    testShop().tickets = [before]
    testShop().dogSheets[dog.id] = {
      dog,
      owner: null,
      tickets: [before, now],
      notes: [],
      photos: [],
      weighings: [],
      outings: [],
      tracings: [],
      bootOutings: [],
      joins: [],
    }
    renderStage(now, 'measure', <MeasureStage />)
    expect(await screen.findByText(/Last time 55\.5 cm, 1 August 2026, Orrin/)).toBeDefined()
  })
  it('X16 offers the rest of last time’s tapes once one of them was checked, and keeps their own day and hand', async () => {
    const dog = aDog()
    const then = new Date(Date.now() - 20 * 86_400_000).toISOString()
    const twice = (measure: 'M01' | 'M06' | 'M07', mm: number) => [
      aReading(measure, mm, { takenAt: then, by: 'Orrin' }),
      aReading(measure, mm + 2, { takenAt: then, by: 'Orrin' }),
    ]
    const before = aTicket({ dog, ticket: { createdAt: then }, readings: [...twice('M01', 460), ...twice('M06', 290), ...twice('M07', 690)] })
    const now = aTicket({ dog, ticket: { createdAt: new Date().toISOString() } })
    testShop().tickets = [before]
    renderStage(now, 'measure', <MeasureStage />)
    const last = await screen.findByRole('region', { name: 'Tapes of last time' })
    expect(last.textContent).toMatch(/3 tapes of .*, Orrin are still in date\. Take any one again/)
    expect(within(last).queryByRole('button', { name: /^Take over/ })).toBeNull()
    const field = screen.getByRole<HTMLInputElement>('textbox', { name: /./ })
    fireEvent.change(field, { target: { value: '23,0' } })
    fireEvent.keyDown(field, { key: 'Enter' })
    fireEvent.click(await within(last).findByRole('button', { name: 'Take over 2 tapes' }))
    await waitFor(() => expect(testShop().sent.filter(({ path }) => path.includes('/readings/'))).toHaveLength(5))
    expect(testShop().sent.at(-1)?.body).toMatchObject({
      measure: 'M07',
      mm: 692,
      takenAt: then,
      by: 'Orrin',
      remark: expect.stringMatching(/^Taken over from /) as string,
    })
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Tapes of last time' })).toBeNull())
  })
})
