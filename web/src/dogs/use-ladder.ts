import { ageInMonths, isGiant, nextRung, type Dog, type NextRung, type Outing } from '@merry-tailor/core'
import { useMemo } from 'react'
import { today } from '../state/today'

/** What the next outing should be; `null` while nobody knows what the dog weighs. */
export function useLadder(dog: Dog, outings: readonly Outing[]): NextRung | null {
  return useMemo(() => {
    const dogKg = dog.weightKg
    if (dogKg === null) return null
    return nextRung({
      // Newest last: of one day the later comes later.
      outings: [...outings].reverse().filter(({ removed }) => !removed),
      dogKg,
      months: ageInMonths(dog, today()),
      giant: isGiant(dog),
    })
  }, [dog, outings])
}
