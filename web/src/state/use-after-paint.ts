import { startTransition, useEffect, useState } from 'react'

/** False while a screen is drawn for the first time, true once it stands: what is looked at second is drawn second. */
export function useAfterPaint(): boolean {
  const [after, setAfter] = useState(false)
  useEffect(() => {
    // An effect may run before its own frame is painted; the next frame is after it.
    const frame = requestAnimationFrame(() => startTransition(() => setAfter(true)))
    return () => cancelAnimationFrame(frame)
  }, [])
  return after
}
