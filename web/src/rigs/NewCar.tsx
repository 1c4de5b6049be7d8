import { useAddCarMutation } from '../api/queries'
import { FIRST_CAR } from './first-car'
import { TakeIn } from './TakeIn'

/** Takes a car in with usual places. */
export function NewCar({ onMade, known, ownerId = null }: { onMade: (id: string) => void; known: number; ownerId?: string | null }) {
  const [addCar] = useAddCarMutation()
  return (
    <TakeIn onMade={onMade} onTake={(id) => addCar({ id, body: { ...FIRST_CAR, ownerId, name: `Car ${known + 1}`, at: new Date().toISOString() } })}>
      Add a car
    </TakeIn>
  )
}
