import { useCallback, useRef } from 'react'

/** A second press right after the first is a slip of the finger, not a second wish. */
const REST_MS = 350

/**
 * Lets an act run once at a time: pressed again while it is under way, or right after, nothing happens.
 *
 * @returns wraps an act; one that gives `false` did nothing, and may be tried again at once
 */
export function useOnce(): (act: () => unknown) => Promise<void> {
  const busyUntil = useRef(0)
  return useCallback(async (act) => {
    if (Date.now() < busyUntil.current) return
    busyUntil.current = Number.POSITIVE_INFINITY
    let did: unknown = false
    try {
      did = await act()
    } finally {
      busyUntil.current = did === false ? 0 : Date.now() + REST_MS
    }
  }, [])
}
