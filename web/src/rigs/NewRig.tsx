import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddRigMutation } from '../api/queries'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { problemWords } from '../words/problems'
import { FIRST_CART } from './first-cart'

/** Takes a cart in with usual numbers. */
export function NewRig({ onMade, known }: { onMade: (id: string) => void; known: number }) {
  const [addRig] = useAddRigMutation()
  const [problem, setProblem] = useState<string | null>(null)
  const once = useOnce()
  const make = async (): Promise<boolean> => {
    const id = uuid()
    const { error } = await addRig({ id, body: { ...FIRST_CART, name: `Cart ${known + 1}`, at: new Date().toISOString() } })
    if (error) setProblem(`Not saved. ${problemWords(error)}`)
    else onMade(id)
    return !error
  }
  return (
    <div>
      <Button onClick={() => void once(make)}>Take in a cart</Button>
      {problem && (
        <p role="alert" className="font-semibold text-snag">
          {problem}
        </p>
      )}
    </div>
  )
}
