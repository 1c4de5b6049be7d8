/** Measuring devices: the line protocol, its reader, and the fast typist that is a device too. */
export { crc8, writeFrame, type Frame, type FrameEvent } from './frame.ts'
export { newReader, readFrames, type FrameReader } from './read-frames.ts'
export { isWedge, type KeyStroke } from './wedge.ts'
