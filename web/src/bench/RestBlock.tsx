import { useEffect, useState } from 'react'
import { Button } from '../ui/controls/Button'
import { useOpenTicket } from './open-ticket'
import { useBench } from './use-bench'

/** The rest between two rounds: how long still, and straight on when the dog is ready. */
export function RestBlock() {
  const { name } = useOpenTicket()
  const [{ restUntil }, change] = useBench()
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (restUntil === null) return
    const timer = setInterval(() => setNow(Date.now()), 500)
    return () => clearInterval(timer)
  }, [restUntil])
  if (restUntil === null) return null
  const left = Math.max(0, Math.round((new Date(restUntil).getTime() - now) / 1000))
  return (
    <section aria-label="Rest" className="flex shrink-0 items-center gap-4 border-b-2 border-ink bg-chalk-bg px-5 py-2">
      <p className="text-[26px] leading-8 font-bold" role="timer">
        {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
      </p>
      <p className="flex-1">
        {left > 0 ? `A round is done. Walk ${name} a little; the second round runs backwards.` : `${name} has rested. The second round runs backwards.`}
      </p>
      <Button onClick={() => change({ restUntil: null })}>{left > 0 ? 'On now' : 'Second round'}</Button>
    </section>
  )
}
