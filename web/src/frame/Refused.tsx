import { memo, Suspense } from 'react'
import { lazyPart } from '../state/lazy-part'
import { useAppSelector } from '../state/store'

const RefusedList = lazyPart(async () => (await import('./RefusedList')).RefusedList)

/** What was refused, on every screen; how it is said and decided comes once something is. */
export const Refused = memo(function Refused() {
  const { refused } = useAppSelector((state) => state.saving)
  return refused.length === 0 ? null : (
    <Suspense>
      <RefusedList />
    </Suspense>
  )
})
