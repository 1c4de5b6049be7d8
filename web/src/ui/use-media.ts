import { useSyncExternalStore } from 'react'

/** Does the screen match a media query now? */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (changed) => {
      const list = window.matchMedia(query)
      list.addEventListener('change', changed)
      return () => list.removeEventListener('change', changed)
    },
    () => window.matchMedia(query).matches,
  )
}

export const PHONE = '(max-width: 639px)'
export const BENCH = '(min-width: 1180px)'
