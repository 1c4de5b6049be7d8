import { dayIn } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { useShop } from './use-shop'

/** The shop's day now, `YYYY-MM-DD`; a page left open over midnight turns with it. */
export function useToday(): string {
  const { timeZone } = useShop()
  const [now, setNow] = useState(() => new Date())
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), 30_000)
    return () => clearInterval(timer)
  }, [])
  return dayIn(timeZone, now)
}
