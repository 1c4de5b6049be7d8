import type { Owner } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { AT, aDog, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { AskStage } from './AskStage'

withTestShop()

const anOwner = (over: Partial<Owner> = {}): Owner => ({ id: nextId(), name: 'Runa', contact: '', notes: '', createdAt: AT, ...over })
const refuse = () => new Response(JSON.stringify({ code: 'bad-request', detail: 'No.' }), { status: 400 })
const fields = () =>
  testShop()
    .sent.filter((each) => each.method === 'PATCH')
    .flatMap((each) => (each.body as { changes: { field: string; from: unknown; to: unknown }[] }).changes)

describe('a ticket without a dog', () => {
  it('works without one, and is given a known one by the first letters', async () => {
    const known = aDog({ name: 'Harebell', breed: 'Whippet' })
    // X04: two of one name are told apart by whose they are.
    const runa = anOwner()
    testShop().owners.push(runa)
    const other = aDog({ name: 'Harebell', breed: 'Border Terrier', ownerId: runa.id })
    testShop().dogs.push(known, aDog({ name: 'Oakum' }), other)
    renderStage(aTicket({ dog: null }), 'ask', <AskStage />)
    const name = await screen.findByLabelText('Dog’s name')
    fireEvent.change(name, { target: { value: 'hare' } })
    const list = await screen.findByRole('list', { name: 'Known dogs' })
    expect(within(list).getAllByRole('button')).toHaveLength(2)
    await within(list).findByRole('button', { name: /Harebell, Runa\s*Border Terrier/ })
    fireEvent.click(within(list).getByRole('button', { name: /Harebell, owner not asked\s*Whippet/ }))
    await waitFor(() => expect(fields()).toEqual([{ field: 'dogId', from: null, to: known.id }]))
  })

  it('is given a new dog with its name alone', async () => {
    renderStage(aTicket({ dog: null }), 'ask', <AskStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'New dog' }))
    expect((await screen.findByRole('alert')).textContent).toBe('Type the dog’s name first.')
    fireEvent.change(screen.getByLabelText('Dog’s name'), { target: { value: 'Skua' } })
    fireEvent.click(screen.getByRole('button', { name: 'New dog' }))
    await waitFor(() => expect(testShop().sent[0]).toMatchObject({ method: 'PUT', body: { name: 'Skua' } }))
    await waitFor(() => expect(fields()[0]).toMatchObject({ field: 'dogId', from: null }))
    expect(testShop().sent[0]?.path).toBe(`/dogs/${String(fields()[0]?.to)}`)
  })

  it('keeps the name typed when the dog is not saved', async () => {
    testShop().answers['PUT /dogs'] = refuse
    renderStage(aTicket({ dog: null }), 'ask', <AskStage />)
    const name = await screen.findByLabelText<HTMLInputElement>('Dog’s name')
    fireEvent.change(name, { target: { value: 'Skua' } })
    fireEvent.click(screen.getByRole('button', { name: 'New dog' }))
    expect((await screen.findByRole('alert')).textContent).toContain('The name stays here')
    expect(name.value).toBe('Skua')
  })
})

describe('the owner', () => {
  it('is added by name, and given to the dog', async () => {
    const dog = aDog()
    renderStage(aTicket({ dog }), 'ask', <AskStage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Add' }))
    await screen.findByText('Type the owner’s name, or leave it for later.')
    fireEvent.change(screen.getByLabelText('Or a new owner’s name'), { target: { value: ' Runa ' } })
    fireEvent.click(screen.getByRole('button', { name: 'Add' }))
    await waitFor(() => expect(testShop().sent[0]).toMatchObject({ method: 'PUT', body: { name: 'Runa' } }))
    await waitFor(() => expect(fields()[0]).toMatchObject({ field: 'ownerId', from: null }))
  })

  it('X25 a name that is here in another case is offered with its dogs, and no second owner is made', async () => {
    const owner = anOwner({ name: 'Jane Petrie' })
    testShop().tickets.push(aTicket({ owner, dog: aDog({ name: 'Bracken', ownerId: owner.id }) }))
    const dog = aDog({ name: 'Heath' })
    renderStage(aTicket({ dog }), 'ask', <AskStage />)
    fireEvent.change(await screen.findByLabelText('Or a new owner’s name'), { target: { value: ' jane  petrie' } })
    const known = await screen.findByText(/There is Jane Petrie already, with Bracken/)
    expect(known).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'That is who it is' }))
    await waitFor(() => expect(fields()[0]).toMatchObject({ field: 'ownerId', to: owner.id }))
    expect(testShop().sent.some(({ path }) => path.startsWith('/owners/'))).toBe(false)
  })

  it('Enter twice makes one owner, and no name none', async () => {
    renderStage(aTicket(), 'ask', <AskStage />)
    const field = await screen.findByLabelText('Or a new owner’s name')
    fireEvent.submit(field)
    await screen.findByText('Type the owner’s name, or leave it for later.')
    fireEvent.change(field, { target: { value: 'Runa' } })
    fireEvent.submit(field)
    fireEvent.submit(field)
    await waitFor(() => expect(fields()[0]).toMatchObject({ field: 'ownerId' }))
    expect(testShop().sent.filter(({ path }) => path.startsWith('/owners/'))).toHaveLength(1)
  })

  it('says when it was not saved and keeps the name', async () => {
    testShop().answers['PUT /owners'] = refuse
    renderStage(aTicket(), 'ask', <AskStage />)
    fireEvent.change(await screen.findByLabelText('Or a new owner’s name'), { target: { value: 'Runa' } })
    fireEvent.click(screen.getByRole('button', { name: 'Add' }))
    await screen.findByText(/^Not saved\..*The name stays here\.$/)
    expect(screen.getByLabelText<HTMLInputElement>('Or a new owner’s name').value).toBe('Runa')
  })

  it('is edited in place, never nameless, and can be somebody else', async () => {
    const owner = anOwner()
    const dog = aDog({ ownerId: owner.id })
    renderStage(aTicket({ dog, owner }), 'ask', <AskStage />)
    const reach = await screen.findByLabelText('Where to reach them')
    fireEvent.change(reach, { target: { value: 'Yard above the church' } })
    fireEvent.blur(reach)
    await waitFor(() => expect(fields()).toContainEqual({ field: 'contact', from: '', to: 'Yard above the church' }))
    const name = screen.getByLabelText('Owner’s name')
    fireEvent.change(name, { target: { value: ' ' } })
    fireEvent.blur(name)
    await screen.findByText('An owner has a name. The old one is kept.')
    fireEvent.click(screen.getByRole('button', { name: 'Somebody else' }))
    await waitFor(() => expect(fields()).toContainEqual({ field: 'ownerId', from: owner.id, to: null }))
  })
})
