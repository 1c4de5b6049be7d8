import { frameOf, LONGEST_FRAME, type Frame } from './frame.ts'

/** What a reader remembers between two pieces of the stream. */
export interface FrameReader {
  rest: string
  /** The newest sequence number of each device, so that a frame sent again counts once. */
  seen: Readonly<Record<string, number>>
}

export const newReader = (): FrameReader => ({ rest: '', seen: {} })

/** So many devices are remembered; a stream of noise must not fill the memory. */
const DEVICES = 32

/**
 * Reads whatever arrived. Survives noise, cut and repeated frames and a change of unit from frame to frame: a line
 * counts only when it is whole, its checksum is right and its numbers are within bounds; everything else is passed over.
 * Never throws.
 *
 * @param bytes any piece of the stream, of any length
 * @returns the frames in order, how many lines were passed over, and the reader for the next piece
 */
export function readFrames(reader: FrameReader, bytes: Uint8Array): { reader: FrameReader; frames: Frame[]; dropped: number } {
  let { rest } = reader
  const seen = { ...reader.seen }
  const frames: Frame[] = []
  let dropped = 0
  for (const byte of bytes) {
    if (byte === 0x7e) {
      // A new frame begins, whatever came of the last one.
      if (rest !== '') dropped += 1
      rest = '~'
    } else if (byte === 0x0a || byte === 0x0d) {
      if (rest === '') continue
      const frame = frameOf(rest.slice(1))
      rest = ''
      if (!frame) dropped += 1
      else if (seen[frame.id] !== frame.seq) {
        if (seen[frame.id] === undefined && Object.keys(seen).length >= DEVICES) continue
        seen[frame.id] = frame.seq
        frames.push(frame)
      }
    } else if (rest !== '') {
      rest += String.fromCharCode(byte)
      if (rest.length > LONGEST_FRAME) {
        rest = ''
        dropped += 1
      }
    }
  }
  return { reader: { rest, seen }, frames, dropped }
}
