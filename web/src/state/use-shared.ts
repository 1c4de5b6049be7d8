import { copyWithStructuralSharing } from '@reduxjs/toolkit/query'
import { useMemo, useState } from 'react'

/** Gives each value back with what it shares with the one before as the very same objects. */
function sharer<T>(): (value: T) => T {
  let before: T | undefined
  return (value) => (before = copyWithStructuralSharing<T>(before, value))
}

/**
 * The same value with every part that says what it said before the very same object: what is drawn of it is drawn anew
 * only where it changed.
 *
 * @param value plain objects, arrays and scalars, made anew whenever anything changes
 */
export function useShared<T>(value: T): T {
  const [share] = useState(() => sharer<T>())
  return useMemo(() => share(value), [share, value])
}
