import { useEffect, useState } from 'react'

/** A round that began longer ago is over, whoever left it open. */
const LONGEST_S = 2 * 3600
const TICK_MS = 5_000

/** Seconds since a round began, while it may still go on; else `null`. */
export function useElapsed(at: string | null): number | null {
  const [now, setNow] = useState(() => Date.now())
  const since = at === null ? null : Math.round((now - Date.parse(at)) / 1000)
  const goesOn = since !== null && since >= 0 && since < LONGEST_S
  useEffect(() => {
    if (!goesOn) return
    const timer = setInterval(() => setNow(Date.now()), TICK_MS)
    return () => clearInterval(timer)
  }, [goesOn])
  return goesOn ? Math.max(0, since) : null
}
