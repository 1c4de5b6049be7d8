import { bodySheetToJson } from '@merry-tailor/core/formats'
import { readKennelList } from '@merry-tailor/core/formats'
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { type DogSheet, keysOf, type MeasureId } from '@merry-tailor/core'
import { AT, aDog, aReading, aTicket, nextId, renderPage, testShop, withTestShop } from '../test/shop'
import { outbox } from '../api/outbox'
import { useDogsQuery } from '../api/queries'
import { BringIn } from './BringIn'
import { DogPage } from './DogPage'
import { DogsPage } from './DogsPage'
import { USUAL_SHOP, visitsOf } from '@merry-tailor/core'

vi.mock('../workers/read-kennel', () => ({
  readKennel: (text: string, about: { unit: 'in' | 'cm'; at: string; by: string }) => Promise.resolve(readKennelList(text, about)),
}))
vi.mock('./WeightChart', () => ({ WeightChart: ({ points }: { points: unknown[] }) => <p>{points.length} weighings drawn</p> }))
withTestShop()

function grownDog(): DogSheet {
  const dog = aDog({ name: 'Petrel', notes: 'Leans.' })
  const on = (day: string, values: Partial<Record<MeasureId, number>>) =>
    aTicket({
      dog,
      readings: keysOf(values).map((measure, i) =>
        aReading(measure, values[measure] ?? 0, { takenAt: `${day}T09:0${i}:00Z`, unit: measure === 'M00' ? 'kg' : 'mm' }),
      ),
    })
  const sheet: DogSheet = {
    dog,
    owner: null,
    tickets: [on('2026-09-01', { M00: 21, M07: 690, M14: 520 }), on('2025-09-01', { M00: 18, M07: 640, M14: 500 }), on('2024-09-01', { M07: 520 })],
    notes: [{ id: nextId(), kind: 'stitches', text: 'fore pad', on: '2026-09-20', at: AT, by: 'Ylva', over: null }],
    weighings: [],
    photos: [{ id: nextId(), view: 'side', at: AT, by: 'Ylva', type: 'image/jpeg', bytes: 900 }],
  }
  testShop().dogs.push(dog)
  testShop().dogSheets[dog.id] = sheet
  return sheet
}

describe('a dog’s page', () => {
  it('compares two dates, draws the weight and lists every reading by date', async () => {
    const { dog } = grownDog()
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const compared = await screen.findByRole('region', { name: 'Two dates compared' })
    expect(within(compared).getByRole('row', { name: /Girth, largest/ }).textContent).toContain('+5')
    expect(within(compared).getByRole('row', { name: /Back length/ }).textContent).toContain('+2')
    expect(within(compared).getByRole('row', { name: /Weight/ }).textContent).toContain('+3 kg')
    expect(await screen.findByText('3 weighings drawn')).toBeDefined()
    // The earlier knob to the first date: only the girth is known on both.
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Compared with' }), { key: 'Home' })
    await waitFor(() => expect(within(screen.getByRole('region', { name: 'Two dates compared' })).getAllByRole('row')).toHaveLength(2))
    expect(screen.getByText('dashed: 1 Sep 2024')).toBeDefined()
  })

  it('keeps notes, closes them, and spares a dog with stitches', async () => {
    const { dog } = grownDog()
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const notes = await screen.findByRole('region', { name: 'Notes' })
    expect(notes.textContent).toContain('No measuring stress')
    fireEvent.click(within(notes).getByRole('button', { name: 'Over' }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', body: { changes: [{ field: 'over', from: null }] } }))
    fireEvent.change(within(notes).getByLabelText('Where, how'), { target: { value: 'left armpit' } })
    fireEvent.click(within(notes).getByRole('button', { name: 'Add note' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ kind: 'lump', text: 'left armpit', by: 'Ylva' }))
    fireEvent.change(within(notes).getByLabelText('Since'), { target: { value: '' } })
    fireEvent.click(within(notes).getByRole('button', { name: 'Add note' }))
    expect((await within(notes).findByRole('alert')).textContent).toBe('Since which day?')
  })

  it('shows photographs as a hint, takes them out, and says what is no picture', async () => {
    const { dog } = grownDog()
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const photos = await screen.findByRole('region', { name: 'Photographs' })
    expect(photos.textContent).toContain('only a hand on the dog says it holds')
    expect(within(photos).getByRole('img', { name: /Side, 5 October 2026/ })).toBeDefined()
    fireEvent.change(within(photos).getByLabelText('Front photograph'), { target: { files: [new File(['no picture'], 'x.jpg')] } })
    expect((await within(photos).findByRole('alert')).textContent).toContain('no picture that can be read')
    fireEvent.click(within(photos).getByRole('button', { name: 'Take out' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.method).toBe('DELETE'))
  })

  it('says when there is no such dog', async () => {
    renderPage(`/dogs/${nextId()}`, '/dogs/:dogId', <DogPage />)
    expect((await screen.findByRole('alert')).textContent).toContain('There is no dog under this id.')
  })
})

it('visits add up: what is known on a day is everything up to it', () => {
  const { tickets } = grownDog()
  const visits = visitsOf(tickets, USUAL_SHOP)
  expect(visits.map((visit) => visit.on)).toEqual(['2024-09-01', '2025-09-01', '2026-09-01'])
  expect(visits.map((visit) => [visit.known.M07?.mm, visit.known.M14?.mm, visit.read.M14?.mm])).toEqual([
    [520, undefined, undefined],
    [640, 500, 500],
    [690, 520, 520],
  ])
})

describe('bringing dogs in', () => {
  const choose = (name: string, text: string): void => {
    const file = new File([text], name)
    Object.assign(file, { text: () => Promise.resolve(text) })
    fireEvent.change(screen.getByLabelText('Kennel list or body sheet'), { target: { files: [file] } })
  }

  it('shows a list with its bad cells, lets nothing in before, and all of it after', async () => {
    renderPage('/dogs/bring-in', '/dogs/bring-in', <BringIn />)
    await screen.findByText('Choose a file')
    choose('yard.csv', 'name,sex,M07 cm\nFulmar,x,70\nGannet,f,wide\n')
    expect((await screen.findByRole('status')).textContent).toContain('2 dogs read, 0 good; 2 cells to put right')
    fireEvent.click(screen.getByRole('button', { name: 'Waits for the cells below' }))
    expect(testShop().sent).toEqual([])
    expect(screen.getByRole('row', { name: /Fulmar/ }).textContent).toContain('neither male nor female')
    choose('yard.csv', 'name,sex,owner,M07 cm\nFulmar,m,Runa,70\nGannet,f,,68\n')
    fireEvent.click(await screen.findByRole('button', { name: 'Take 2 dogs in' }))
    await screen.findByText('elsewhere')
    const [list] = testShop().sent
    expect(list).toMatchObject({
      method: 'POST',
      path: '/kennel-list',
      body: {
        dogs: [
          { dog: { name: 'Fulmar' }, owner: 'Runa' },
          { dog: { name: 'Gannet' }, ownerId: null },
        ],
      },
    })
  })

  it('says what the server refused and keeps the list', async () => {
    testShop().answers['POST /kennel-list'] = () => new Response('{"code":"bad-document","detail":"Row 1: the owner needs an id."}', { status: 422 })
    renderPage('/dogs/bring-in', '/dogs/bring-in', <BringIn />)
    await screen.findByText('Choose a file')
    choose('yard.csv', 'name\nFulmar\n')
    fireEvent.click(await screen.findByRole('button', { name: 'Take 1 dogs in' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Row 1: the owner needs an id.')
    expect(screen.getByRole('button', { name: 'Take 1 dogs in' })).toBeDefined()
  })

  it('takes a body sheet in, and names what is wrong with a broken one', async () => {
    renderPage('/dogs/bring-in', '/dogs/bring-in', <BringIn />)
    await screen.findByText('Choose a file')
    choose('tern.json', '{"format":"merry-tailor/body-sheet","version":7}')
    expect((await screen.findByRole('alert')).textContent).toContain('version')
    const dog = aDog({ name: 'Shearwater' })
    const plain = Object.fromEntries(Object.entries(dog).filter(([key]) => key !== 'ownerId')) as Omit<typeof dog, 'ownerId'>
    choose('tern.json', bodySheetToJson({ format: 'merry-tailor/body-sheet', version: 1, dog: plain, owner: null, visits: [], notes: [] }))
    fireEvent.click(await screen.findByRole('button', { name: 'Take it in' }))
    await screen.findByText('elsewhere')
    expect(testShop().sent[0]?.path).toContain(`/body-sheets/${dog.id}?ownerId=`)
  })
})

/** A screen that has asked for every dog, as the picker of a ticket does. */
function Known() {
  const { data } = useDogsQuery(undefined)
  return <p>{data ? `${data.length} known` : ''}</p>
}

describe('the list of dogs', () => {
  it('draws a page of a kennel’s hundreds and finds the rest by name', async () => {
    for (let i = 0; i < 130; i++) testShop().dogs.push(aDog({ name: i === 129 ? 'Ólaf the last' : `Yard dog ${i}` }))
    renderPage('/dogs', '/dogs', <DogsPage />)
    expect(await screen.findAllByRole('listitem')).toHaveLength(60)
    expect(
      screen
        .getAllByRole('link', { name: /Yard dog/ })
        .map((each) => /\d+/.exec(each.textContent)?.[0])
        .slice(0, 3),
    ).toEqual(['0', '1', '2'])
    fireEvent.click(screen.getByRole('button', { name: '70 more; show the next 60' }))
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(120))
    fireEvent.change(screen.getByLabelText('Find a dog'), { target: { value: 'last olaf' } })
    expect(await screen.findByRole('link', { name: /Ólaf the last/ })).not.toBeNull()
    expect(screen.getAllByRole('listitem')).toHaveLength(1)
    fireEvent.change(screen.getByLabelText('Find a dog'), { target: { value: 'nobody' } })
    expect(await screen.findByText('No dog by that name here.')).not.toBeNull()
  })

  it('with the server away, finds among the dogs this device knows', async () => {
    testShop().dogs.push(aDog({ name: 'Tern' }), aDog({ name: 'Shearwater' }))
    renderPage('/dogs', '/dogs', <Known />)
    expect(await screen.findByText('2 known')).not.toBeNull()
    cleanup()
    const there = globalThis.fetch
    vi.stubGlobal('fetch', () => Promise.reject(new Error('gone')))
    outbox.reached(false)
    renderPage('/dogs', '/dogs', <DogsPage />)
    expect(await screen.findByRole('link', { name: /Shearwater/ })).not.toBeNull()
    vi.stubGlobal('fetch', there)
  })
})
