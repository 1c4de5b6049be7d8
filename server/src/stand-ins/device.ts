import { seeded, writeFrame, type Frame } from '@merry-tailor/core'

/** How well the simulated device behaves. */
export interface Temper {
  /** Standard deviation of a live value, in its unit. */
  jitter: number
  /** Share of frames that are lost, and of bytes that are garbled. */
  dropOuts: number
  battery: number
}

type Listener = (bytes: Buffer) => void

/**
 * A simulated digital tape or scale: it speaks the real line protocol, byte for byte, with jitter, lost frames, noise
 * and a failing battery as they are set. It stands in for a device on a cable.
 */
export class StandIn {
  readonly id: string
  #unit: Frame['unit']
  #value = 0
  #seq = 0
  #temper: Temper = { jitter: 0, dropOuts: 0, battery: 90 }
  readonly #random: () => number
  readonly #listeners = new Set<Listener>()

  constructor(id: string, unit: Frame['unit'], seed = 7) {
    this.id = id
    this.#unit = unit
    this.#random = seeded(seed)
  }

  /** Hears every byte the device sends from now on. @returns stops listening */
  listen(listener: Listener): () => void {
    this.#listeners.add(listener)
    return () => void this.#listeners.delete(listener)
  }

  set(change: Partial<Temper> & { unit?: Frame['unit'] }): void {
    const { unit, ...temper } = change
    if (unit) this.#unit = unit
    this.#temper = { ...this.#temper, ...temper }
  }

  /** The tape is rolled to a length, the scale loaded: live frames. */
  roll(value: number): void {
    this.#value = value
    this.#send('live', Math.max(0, value + this.#jitter()))
  }

  /** The button: take this one. Sent twice, as the real ones do, for a line that loses frames. */
  squeeze(value = this.#value): void {
    this.#value = value
    const taken = Math.max(0, value + this.#jitter())
    const frame = this.#frame('squeeze', taken)
    this.#emit(writeFrame(frame))
    this.#emit(writeFrame(frame))
  }

  #jitter(): number {
    // Two uniforms make a triangle: near enough to a hand's tremble.
    return this.#temper.jitter * 2.45 * (this.#random() + this.#random() - 1)
  }

  #frame(event: Frame['event'], value: number): Frame {
    this.#seq = (this.#seq + 1) % 10_000
    return { id: this.id, seq: this.#seq, event, value, unit: this.#unit, battery: this.#temper.battery }
  }

  #send(event: Frame['event'], value: number): void {
    this.#emit(writeFrame(this.#frame(event, value)))
  }

  #emit(text: string): void {
    if (this.#random() < this.#temper.dropOuts) {
      // A lost frame leaves a piece of itself behind.
      text = text.slice(0, Math.floor(this.#random() * text.length))
    }
    const bytes = Buffer.from(text, 'latin1')
    for (const listener of this.#listeners) listener(bytes)
  }
}
