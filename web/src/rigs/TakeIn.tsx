import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { problemWords } from '../words/problems'
import { Problem } from '../ui/controls/Problem'

/** Takes a thing in with usual numbers, once, and says why where it could not be kept. */
export function TakeIn({
  onTake,
  onMade,
  children,
}: {
  onTake: (id: string) => PromiseLike<{ error?: unknown }>
  onMade: (id: string) => void
  children: string
}) {
  const [problem, setProblem] = useState<string | null>(null)
  const once = useOnce()
  const make = async (): Promise<boolean> => {
    const id = uuid()
    const { error } = await onTake(id)
    setProblem(error ? `Not saved. ${problemWords(error)}` : null)
    if (!error) onMade(id)
    return !error
  }
  return (
    <div>
      <Button onClick={() => void once(make)}>{children}</Button>
      <Problem>{problem}</Problem>
    </div>
  )
}
