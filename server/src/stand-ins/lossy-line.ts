import type { Writable } from 'node:stream'

/** Bytes that may wait for a listener. */
const UNREAD = 64 * 1024

/** Whoever does not listen gets no more put up for them: a real line loses what nobody reads. */
export const lossyLine =
  (out: Writable) =>
  (bytes: Uint8Array): void => {
    if (out.writableLength < UNREAD) out.write(bytes)
  }
