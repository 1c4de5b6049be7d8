import { newReader, readFrames, type Frame } from '@merry-tailor/core'

/** Where bytes of a device come from. */
export interface DevicePort {
  name: string
  /** What it reads; a cable may have either. */
  reads: 'length' | 'weight'
  simulated: boolean
  /** Opens the line; the stream ends when the device or the line is gone. */
  open: (signal: AbortSignal) => Promise<ReadableStream<Uint8Array>>
}

interface SerialPortLike {
  open: (options: { baudRate: number }) => Promise<void>
  readable: ReadableStream<Uint8Array> | null
  close: () => Promise<void>
}
interface SerialLike {
  requestPort: () => Promise<SerialPortLike>
}

const serial = (): SerialLike | null => ('serial' in navigator ? (navigator as unknown as { serial: SerialLike }).serial : null)

/** Can this browser talk to a device on a cable? */
export const hasSerial = (): boolean => serial() !== null

/** A device on a serial cable (9600 baud, as docs/device-protocol.md says). The browser asks which. */
export const cablePort: DevicePort = {
  name: 'Cable',
  reads: 'length',
  simulated: false,
  open: async (signal) => {
    const port = await serial()?.requestPort()
    if (!port) throw new Error('this browser has no serial line')
    await port.open({ baudRate: 9600 })
    signal.addEventListener('abort', () => void port.close())
    if (!port.readable) throw new Error('the device sends nothing')
    return port.readable
  },
}

/** The simulated tape or scale that ships with the product, over the same bytes. */
export const standInPort = (device: 'tape' | 'scale'): DevicePort => ({
  name: device === 'tape' ? 'Simulated tape' : 'Simulated scale',
  reads: device === 'tape' ? 'length' : 'weight',
  simulated: true,
  open: async (signal) => {
    const answer = await fetch(`/api/stand-ins/${device}/stream`, { signal })
    if (!answer.ok || !answer.body) throw new Error('the simulated device does not answer')
    return answer.body
  },
})

/** Listens until the signal ends it; every good frame is told, noise is counted. */
export async function listen(port: DevicePort, signal: AbortSignal, onFrame: (frame: Frame) => void, onNoise: (dropped: number) => void): Promise<void> {
  const stream = await port.open(signal)
  const reader = stream.getReader()
  signal.addEventListener('abort', () => void reader.cancel().catch(() => undefined))
  let state = newReader()
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return
    const read = readFrames(state, value)
    state = read.reader
    if (read.dropped > 0) onNoise(read.dropped)
    for (const frame of read.frames) onFrame(frame)
  }
}
