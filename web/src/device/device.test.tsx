import { writeFrame, type Frame } from '@merry-tailor/core'
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { Provider } from 'react-redux'
import { describe, expect, it, vi } from 'vitest'
import { store } from '../state/store'
import { testShop, withTestShop } from '../test/shop'
import { DevicePanel } from './DevicePanel'
import { listen, type DevicePort } from './port'
import { useDevice, valueOf, type DeviceValue } from './use-device'

withTestShop()
const frame = (over: Partial<Frame> = {}): Frame => ({ id: 'TAPE7', seq: 1, event: 'squeeze', value: 298.6, unit: 'mm', battery: 87, ...over })
const bytes = (text: string): Uint8Array => Uint8Array.from(text, (sign) => sign.charCodeAt(0))

/** A port whose bytes the test sends. */
function wire(): { port: DevicePort; send: (text: string) => void; end: () => void } {
  let control: ReadableStreamDefaultController<Uint8Array> | null = null
  const stream = new ReadableStream<Uint8Array>({
    start: (controller) => {
      control = controller
    },
  })
  return {
    port: { name: 'Simulated tape', reads: 'length', simulated: true, open: () => Promise.resolve(stream) },
    send: (text) => control?.enqueue(bytes(text)),
    end: () => control?.close(),
  }
}

describe('the device port', () => {
  it('tells good frames and counts noise until the line ends', async () => {
    const { port, send, end } = wire()
    const frames: Frame[] = []
    const noise = vi.fn()
    const done = listen(port, new AbortController().signal, (each) => frames.push(each), noise)
    send('garbage~half')
    send(writeFrame(frame()))
    send(writeFrame(frame({ seq: 2, unit: 'in', value: 11.75 })))
    end()
    await done
    expect(frames.map((each) => [each.seq, each.unit])).toEqual([
      [1, 'mm'],
      [2, 'in'],
    ])
    expect(noise).toHaveBeenCalledWith(1)
  })

  it('turns every unit into ours', () => {
    expect(valueOf(frame({ value: 11.75, unit: 'in' }))).toMatchObject({ value: 298.45, mass: false, asSent: '11.75 in' })
    expect(valueOf(frame({ value: 50, unit: 'lb' })).value).toBeCloseTo(22.68, 2)
    expect(valueOf(frame({ value: 22.5, unit: 'kg' })).mass).toBe(true)
  })
})

function Bench({ onSqueeze, port }: { onSqueeze: (value: DeviceValue) => void; port: DevicePort }) {
  const device = useDevice(onSqueeze)
  return (
    <Provider store={store}>
      <button type="button" onClick={() => device.connect(port)}>
        connect
      </button>
      <DevicePanel device={device} waitsFor="Harness neck" />
    </Provider>
  )
}

describe('the device panel', () => {
  it('shows the live value and the battery, and pins a squeeze once', async () => {
    const { port, send } = wire()
    const squeezed = vi.fn()
    render(<Bench onSqueeze={squeezed} port={port} />)
    fireEvent.click(screen.getByText('connect'))
    await screen.findByText(/A squeeze of its button pins into harness neck/)
    act(() => send(writeFrame(frame({ event: 'live', value: 301.2, battery: 12 }))))
    await screen.findByText('30.1 cm')
    expect(screen.getByText(/battery 12 of 100: change it soon/)).toBeDefined()
    const line = writeFrame(frame({ seq: 2 }))
    act(() => send(line + line))
    await waitFor(() => expect(squeezed).toHaveBeenCalledTimes(1))
    expect(squeezed).toHaveBeenCalledWith({ value: 298.6, mass: false, unit: 'mm', asSent: '298.6 mm' })
  })

  it('rolls and squeezes the simulated one, and says what it needs', async () => {
    const { port } = wire()
    render(<Bench onSqueeze={() => undefined} port={port} />)
    fireEvent.click(screen.getByText('connect'))
    fireEvent.click(await screen.findByRole('button', { name: 'Squeeze' }))
    expect((await screen.findByRole('alert')).textContent).toContain('A length to roll to')
    fireEvent.change(screen.getByLabelText('Roll it to'), { target: { value: '29,8' } })
    fireEvent.change(screen.getByLabelText('Lost of 100'), { target: { value: '25' } })
    fireEvent.click(screen.getByRole('button', { name: 'Roll' }))
    await waitFor(() =>
      expect(testShop().sent.at(-1)).toEqual({
        method: 'POST',
        path: '/stand-ins/tape',
        body: { act: 'roll', value: 298, jitter: 0, dropOuts: 0.25, battery: 90 },
      }),
    )
  })

  it('says when the line goes silent', async () => {
    const { port, end } = wire()
    render(<Bench onSqueeze={() => undefined} port={port} />)
    fireEvent.click(screen.getByText('connect'))
    await screen.findByText('nothing yet')
    act(() => end())
    expect((await screen.findByRole('alert')).textContent).toContain('what was pinned is kept')
    expect(screen.getByRole('button', { name: 'Simulated tape' })).toBeDefined()
  })
})
