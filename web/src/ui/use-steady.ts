import { useCallback, useInsertionEffect, useRef } from 'react'

/**
 * The very same function at every render, doing what the newest one does: for parts that are drawn anew only when what
 * they show has changed.
 */
export function useSteady<A extends unknown[], R>(act: (...args: A) => R): (...args: A) => R {
  const newest = useRef(act)
  useInsertionEffect(() => {
    newest.current = act
  })
  return useCallback((...args: A) => newest.current(...args), [])
}
