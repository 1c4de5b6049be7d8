import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddCarMutation } from '../api/queries'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { problemWords } from '../words/problems'
import { FIRST_CAR } from './first-car'

/** Takes a car in with usual places. */
export function NewCar({ onMade, known, ownerId = null }: { onMade: (id: string) => void; known: number; ownerId?: string | null }) {
  const [addCar] = useAddCarMutation()
  const [problem, setProblem] = useState<string | null>(null)
  const once = useOnce()
  const make = async (): Promise<boolean> => {
    const id = uuid()
    const { error } = await addCar({ id, body: { ...FIRST_CAR, ownerId, name: `Car ${known + 1}`, at: new Date().toISOString() } })
    if (error) setProblem(`Not saved. ${problemWords(error)}`)
    else onMade(id)
    return !error
  }
  return (
    <div>
      <Button onClick={() => void once(make)}>Take in a car</Button>
      {problem && (
        <p role="alert" className="font-semibold text-snag">
          {problem}
        </p>
      )}
    </div>
  )
}
