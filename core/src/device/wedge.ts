/** A key and when it went down, milliseconds. */
export interface KeyStroke {
  key: string
  atMs: number
}

/** No hand types digits faster than this from one to the next; devices that act as a keyboard do. From memory, unverified. */
const DEVICE_GAP_MS = 28
const LEAST_KEYS = 3

/** Did a device type this (digits, then Enter), not a hand? */
export function isWedge(strokes: readonly KeyStroke[]): boolean {
  const run = strokes.filter((stroke) => stroke.key.length === 1)
  if (run.length < LEAST_KEYS || !run.every((stroke) => /[\d.,]/.test(stroke.key))) return false
  return strokes.slice(1).every((stroke, i) => stroke.atMs - (strokes[i]?.atMs ?? 0) <= DEVICE_GAP_MS)
}
