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
    outings: [],
    tracings: [],
    bootOutings: [],
    joins: [],
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

  it('U21 says of a measure of the first date that was not taken on the second that it was not, never "as before"', async () => {
    const { dog } = grownDog()
    const sheet = testShop().dogSheets[dog.id]
    sheet?.tickets[1]?.readings.push(aReading('M01', 430, { takenAt: '2025-09-01T09:05:00Z', unit: 'mm' }))
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const neck = within(await screen.findByRole('region', { name: 'Two dates compared' })).getByRole('row', { name: /Harness neck/ })
    expect(neck.textContent).toContain('not taken')
    expect(neck.textContent).not.toContain('as before')
  })

  it('U20 is where the record is changed, and each weight a weighing of its own that says what changed', async () => {
    const { dog } = grownDog()
    const sheet = testShop().dogSheets[dog.id]
    sheet?.weighings.push({ id: nextId(), kg: 31.3, asTyped: '31.3', unit: 'kg', on: '2026-11-01', at: AT, by: 'Ylva' })
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const leave = (label: string, value: string): void => {
      const field = screen.getByLabelText(label, { selector: 'input' })
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
    }
    await screen.findByRole('region', { name: 'Form' })
    leave('Name', 'Storm petrel')
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', body: { changes: [{ field: 'name', from: 'Petrel', to: 'Storm petrel' }] } })) // prettier-ignore
    leave('Weight', '27.5')
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { kg: 27.5, asTyped: '27.5', unit: 'kg' } }))
    expect(testShop().sent.at(-1)?.path).toContain(`/dogs/${dog.id}/weighings/`)
    await screen.findByText(/12 % lighter than .* \(31\.3 kg\): neck and girth again first/)
    const kept = (await (await fetch(`/api/dogs/${dog.id}`)).json()) as DogSheet
    expect(kept.weighings.map((each) => each.kg)).toEqual([27.5, 31.3, 20.4])
  })

  it('keeps notes, closes them, and spares a dog with stitches', async () => {
    const { dog } = grownDog()
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const notes = await screen.findByRole('region', { name: 'Notes' })
    expect(notes.textContent).toContain('No measuring stress')
    fireEvent.click(within(notes).getByRole('button', { name: 'Over' }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', body: { changes: [{ field: 'over', from: null }] } }))
    fireEvent.change(within(notes).getByLabelText('Where, how'), { target: { value: 'left armpit' } })
    // X32: nothing is preset: a note nobody chose the kind of is asked for it.
    fireEvent.click(within(notes).getByRole('button', { name: 'Add note' }))
    expect((await within(notes).findByRole('alert')).textContent).toBe('What kind of note is it?')
    fireEvent.click(within(notes).getByRole('combobox', { name: 'Kind of note' }))
    if (dog.sex === 'male') expect(screen.queryByRole('option', { name: 'Whelped' })).toBeNull()
    fireEvent.click(await screen.findByRole('option', { name: 'Lump' }))
    fireEvent.click(within(notes).getByRole('button', { name: 'Add note' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.body).toMatchObject({ kind: 'lump', text: 'left armpit', by: 'Ylva' }))
    const since = within(notes).getByLabelText('Since', { selector: 'input' })
    fireEvent.change(since, { target: { value: '' } })
    fireEvent.blur(since)
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
    fireEvent.click(within(photos).getByRole('button', { name: 'Remove' }))
    await waitFor(() => expect(testShop().sent.at(-1)?.method).toBe('DELETE'))
  })

  it('X12 puts another record of the dog into this one after asking, and takes it out again', async () => {
    const { dog } = grownDog()
    const other = aDog({ name: 'Petrel', breed: 'Whippet' })
    testShop().dogs.push(other, aDog({ name: 'Skua' }))
    renderPage(`/dogs/${dog.id}`, '/dogs/:dogId', <DogPage />)
    const twice = within(await screen.findByRole('region', { name: 'The same dog twice' }))
    fireEvent.click(await twice.findByRole('button', { name: 'Petrel, owner not asked: the same dog' }))
    expect(twice.queryByRole('button', { name: /^Skua/ })).toBeNull()
    expect(testShop().sent).toEqual([])
    fireEvent.click(twice.getByRole('button', { name: 'Make them one' }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { otherId: other.id, by: 'Ylva' } }))
    const out = await twice.findByRole('button', { name: 'Take Petrel out again' })
    // A second press right after the first is taken for a slip: this one comes a moment later.
    await new Promise((done) => setTimeout(done, 400))
    fireEvent.click(out)
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PATCH', body: { changes: [{ field: 'undone', from: null }] } }))
    await twice.findByRole('button', { name: 'Petrel, owner not asked: the same dog' })
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

  it('X12 asks of each row whose name is in the book whether it is that dog, and adds to it unless told otherwise', async () => {
    const known = aDog({ name: 'Fulmar' })
    testShop().dogs.push(known)
    renderPage('/dogs/bring-in', '/dogs/bring-in', <BringIn />)
    await screen.findByText('Choose a file')
    choose('yard.csv', 'name,M07 cm\nFulmar,70\nGannet,68\n')
    const row = await screen.findByRole('row', { name: /Fulmar/ })
    expect(within(row).getByRole('radio', { name: 'Add to Fulmar' }).getAttribute('aria-checked')).toBe('true')
    expect(within(screen.getByRole('row', { name: /Gannet/ })).queryByRole('radio')).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'Take 2 dogs in' }))
    await screen.findByText('elsewhere')
    const sent = (testShop().sent[0]?.body as { dogs: { id: string }[] }).dogs
    expect(sent[0]?.id).toBe(known.id)
    expect(sent[1]?.id).not.toBe(known.id)
    expect((await (await fetch('/api/dogs')).json()) as unknown[]).toHaveLength(2)
  })

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

  it('U20 takes a new dog in by its name alone, and says when there is none', async () => {
    const router = renderPage('/dogs', '/dogs', <DogsPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Add' }))
    expect((await screen.findByRole('alert')).textContent).toBe('Type the dog’s name first.')
    fireEvent.change(screen.getByLabelText('A new dog’s name'), { target: { value: ' Skua ' } })
    fireEvent.click(screen.getByRole('button', { name: 'Add' }))
    await waitFor(() => expect(testShop().sent.at(-1)).toMatchObject({ method: 'PUT', body: { name: 'Skua' } }))
    await waitFor(() => expect(router.state.location.pathname).toMatch(/^\/dogs\/0/))
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
