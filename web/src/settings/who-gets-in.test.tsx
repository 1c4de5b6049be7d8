import { fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import jsQR from 'jsqr'
import { Provider } from 'react-redux'
import { describe, expect, it, vi } from 'vitest'
import { access } from '../api/access'
import { post } from '../api/post'
import { SignIn } from '../frame/SignIn'
import { testShop, withTestShop } from '../test/shop'
import { store } from '../state/store'
import { Drawer } from './Drawer'
import { QrCode } from './QrCode'
import { WhoGetsIn } from './WhoGetsIn'

withTestShop()
const PASS = 'nine brown dogs'
const type = (label: string | RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })

describe('who gets in, under Shop', () => {
  it('a passphrase is set twice alike and long enough, each slip said at its field; then devices are listed', async () => {
    render(<WhoGetsIn />)
    fireEvent.click(await screen.findByRole('button', { name: 'Give the shop a passphrase' }))
    type('New passphrase', 'short')
    type('Once more', 'other')
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }))
    expect(await screen.findByText('Not the same twice.')).toBeDefined()
    type('Once more', 'short')
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }))
    expect(await screen.findByText('A passphrase has 10 characters or more.')).toBeDefined()
    expect(screen.getByLabelText<HTMLInputElement>('New passphrase').value).toBe('short')
    type('New passphrase', PASS)
    type('Once more', PASS)
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }))
    expect(await screen.findByText('The shop has a passphrase.')).toBeDefined()
    expect(await screen.findByText('No other device is in yet.')).toBeDefined()
    expect(screen.getByText(/start the server with MERRY_HOST/)).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: /^Ask on the server/ }))
    type('Passphrase', 'not it at all')
    fireEvent.click(screen.getByRole('button', { name: 'Ask from now on' }))
    expect(await screen.findByText('This is not the passphrase.')).toBeDefined()
  })

  it('a device is locked out by one press', async () => {
    await access.setPassphrase(null, PASS)
    await access.signIn(PASS, 'Yard phone')
    render(<WhoGetsIn />)
    const devices = await screen.findByRole('list', { name: 'Devices' })
    fireEvent.click(within(devices).getByRole('button', { name: 'Lock out: Yard phone' }))
    expect(await within(devices).findByRole('button', { name: 'Let in again: Yard phone' })).toBeDefined()
  })

  it('with the server open to others a code is made: both addresses as codes a camera reads', async () => {
    const lan = { addresses: [{ url: 'https://192.168.4.2:4788', secure: true }], trustAt: 'http://192.168.4.2:4789/', fingerprint: 'AB:CD' }
    await access.setPassphrase(null, PASS)
    testShop().answers['GET /access/devices'] = () => Response.json([])
    testShop().answers['GET /access'] = () => Response.json({ set: true, everywhere: false, in: true, own: true, device: null, standIns: false, lan })
    render(<WhoGetsIn />)
    fireEvent.click(await screen.findByRole('button', { name: 'Let a device in' }))
    expect(await screen.findByRole('img', { name: /certificate: http:\/\/192\.168\.4\.2:4789/ })).toBeDefined()
    expect(screen.getByRole('img', { name: /192\.168\.4\.2:4788\/pair$/ })).toBeDefined()
    expect(screen.getByText(/Fingerprint AB:CD/)).toBeDefined()
  })

  it('a code drawn is read back by another reader as it was written', () => {
    const text = 'https://192.168.4.2:4788/pair#ABCDEFGH2345'
    const { container } = render(<QrCode text={text} label="x" />)
    const side = Number(container.querySelector('svg')?.getAttribute('viewBox')?.split(' ')[2])
    const scale = 6
    const data = new Uint8ClampedArray(4 * (side * scale) ** 2).fill(255)
    for (const [, x, y] of (container.querySelector('path')?.getAttribute('d') ?? '').matchAll(/M(\d+) (\d+)h1/g))
      for (let j = 0; j < scale; j++)
        for (let i = 0; i < scale; i++) data.set([0, 0, 0, 255], 4 * ((Number(y) * scale + j) * side * scale + Number(x) * scale + i))
    expect(jsQR(data, side * scale, side * scale)?.data).toBe(text)
  })
})

describe('bringing a copy back', () => {
  it('asks for the passphrase once more where there is one, and says at the field when it is not right', async () => {
    await access.setPassphrase(null, PASS)
    const at = '2026-10-04T02:10:00Z'
    testShop().answers['GET /copies/'] = () => Response.json({ name: 'book-2026-10-04.sqlite', at, newer: {} })
    testShop().answers['GET /copies'] = () => Response.json({ folder: 'copies', copies: [{ name: 'book-2026-10-04.sqlite', at, records: 40, bytes: 1 }], failure: null, damage: null, canCopy: true }) // prettier-ignore
    let asked = 0
    testShop().answers['PUT /copies/'] = () => {
      asked += 1
      return asked === 1 ? Response.json({ code: 'wrong-passphrase', detail: 'This is not the passphrase.' }, { status: 403 }) : Response.json({ ok: true })
    }
    const onBack = vi.fn()
    render(
      <Provider store={store}>
        <Drawer onBack={onBack} />
      </Provider>,
    )
    fireEvent.click(await screen.findByRole('button', { name: 'Bring back' }))
    const field = await screen.findByLabelText<HTMLInputElement>('The shop’s passphrase, once more')
    fireEvent.change(field, { target: { value: 'nine white dogs' } })
    fireEvent.click(screen.getByRole('button', { name: 'Bring it back' }))
    expect(await screen.findByText('This is not the passphrase.')).toBeDefined()
    expect(field.value).toBe('nine white dogs')
    expect(onBack).not.toHaveBeenCalled()
    fireEvent.click(screen.getByRole('button', { name: 'Bring it back' }))
    await waitFor(() => expect(onBack).toHaveBeenCalledOnce())
  })
})

describe('the door', () => {
  it('says at the field what is wrong and keeps what was typed; the right one lets this device in under its name', async () => {
    await access.setPassphrase(null, PASS)
    const onIn = vi.fn()
    render(<SignIn onIn={onIn} />)
    fireEvent.click(screen.getByRole('button', { name: 'Let me in' }))
    expect(await screen.findByText('Type the passphrase.')).toBeDefined()
    type('Passphrase', 'nine white dogs')
    type('What this device is called', 'Van tablet')
    fireEvent.click(screen.getByRole('button', { name: 'Let me in' }))
    expect(await screen.findByText('This is not the passphrase.')).toBeDefined()
    expect(screen.getByLabelText<HTMLInputElement>('Passphrase').value).toBe('nine white dogs')
    type('Passphrase', PASS)
    fireEvent.click(screen.getByRole('button', { name: 'Let me in' }))
    await waitFor(() => expect(onIn).toHaveBeenCalledOnce())
    expect(await access.devices()).toMatchObject({ ok: true, data: [{ name: 'Van tablet', lockedAt: null }] })
  })

  it('a write that meets the closed door waits here; it is no refusal', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(Response.json({ code: 'who-are-you' }, { status: 401 })))
    const sent = await post({ id: 'x', request: { url: '/dogs/1', method: 'PUT', body: {} } }, null)
    expect(sent).toEqual({ kind: 'away', why: 'The shop asks for its passphrase.' })
  })
})
