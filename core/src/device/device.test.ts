import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isWedge, newReader, readFrames, writeFrame, type Frame } from './index.ts'

const frame = (over: Partial<Frame> = {}): Frame => ({ id: 'TAPE7', seq: 1, event: 'squeeze', value: 298.6, unit: 'mm', battery: 87, ...over })
const bytes = (text: string): Uint8Array => Uint8Array.from(text, (sign) => sign.charCodeAt(0))
const all = (text: string) => readFrames(newReader(), bytes(text))

describe('the line protocol', () => {
  it('reads what it writes, in every unit, with the unit switched from frame to frame', () => {
    const frames = [
      frame(),
      frame({ seq: 2, unit: 'in', value: 11.75 }),
      frame({ seq: 3, unit: 'cm', value: 29.8, event: 'live' }),
      frame({ id: 'SCALE2', seq: 3, unit: 'kg', value: 21.35 }),
    ]
    expect(all(frames.map(writeFrame).join('')).frames).toEqual(frames)
  })

  it('counts a repeated frame once and the next one again', () => {
    const line = writeFrame(frame())
    expect(all(line + line + writeFrame(frame({ seq: 2 }))).frames.map((each) => each.seq)).toEqual([1, 2])
  })

  it('passes over noise, cut frames, wrong checksums and numbers out of bounds', () => {
    const good = writeFrame(frame({ seq: 9 }))
    const cut = writeFrame(frame()).slice(0, 14)
    const changed = writeFrame(frame()).replace('298.6', '289.6')
    const long = writeFrame(frame({ value: 9000 }))
    const read = all(`\u0000\u00ff#|${cut}${changed}${long}~~~\n${good}`)
    expect(read.frames).toEqual([frame({ seq: 9 })])
    expect(read.dropped).toBeGreaterThanOrEqual(3)
  })

  it('gives the same frames however the stream is cut', () => {
    const stream = Array.from({ length: 12 }, (_, i) => writeFrame(frame({ seq: i, value: 200 + i }))).join('noise')
    const whole = all(stream).frames
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 60 }), (cuts) => {
        let reader = newReader()
        const frames: Frame[] = []
        let at = 0
        for (const size of [...cuts, stream.length]) {
          const read = readFrames(reader, bytes(stream.slice(at, at + size)))
          reader = read.reader
          frames.push(...read.frames)
          at += size
        }
        expect(frames).toEqual(whole)
      }),
    )
  })

  it('never throws and keeps little, whatever comes', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 4000 }), (noise) => {
        const { reader } = readFrames(newReader(), noise)
        expect(reader.rest.length).toBeLessThanOrEqual(64)
      }),
    )
  })

  it('loses no byte changed anywhere in a frame to a wrong number', () => {
    const line = writeFrame(frame())
    fc.assert(
      fc.property(fc.integer({ min: 1, max: line.length - 2 }), fc.integer({ min: 32, max: 126 }), (at, code) => {
        const hurt = line.slice(0, at) + String.fromCharCode(code) + line.slice(at + 1)
        const [read] = all(hurt).frames
        // One changed byte is always found by the checksum; hex digits may change their case.
        if (read) expect(read).toEqual(frame())
      }),
    )
  })
})

describe('isWedge', () => {
  const typed = (text: string, gap: number) => [...Array.from(text), 'Enter'].map((key, i) => ({ key, atMs: i * gap }))

  it('tells a device that types from a hand that types', () => {
    expect(isWedge(typed('298.6', 4))).toBe(true)
    expect(isWedge(typed('298.6', 90))).toBe(false)
    expect(isWedge(typed('29', 4))).toBe(false)
    expect(isWedge(typed('abc', 4))).toBe(false)
  })
})
