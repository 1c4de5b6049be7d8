import { useSearchParams } from 'react-router'
import { useCarsQuery, useOwnersQuery } from '../api/queries'
import { CarDrawing, CarNumbers, NewCar } from '../rigs'
import { Segmented } from '../ui/controls/Segmented'
import { Empty } from '../ui/State'
import { useBox } from '../ui/use-width'
import { ListPane } from './ListPane'

/** Cars, seat by seat, to scale. */
export function CarsView() {
  const { data: cars = [] } = useCarsQuery(undefined)
  const { data: owners = [] } = useOwnersQuery(undefined)
  const [search, setSearch] = useSearchParams()
  const pick = (car: string, seat = 0): void => setSearch({ view: 'cars', car, seat: String(seat) }, { replace: true })
  const car = cars.find(({ id }) => id === search.get('car')) ?? cars[0]
  const at = Math.min(Number(search.get('seat') ?? 0) || 0, (car?.seats.length ?? 1) - 1)
  const seat = car?.seats[at]
  const [ref, box] = useBox<HTMLDivElement>(760, 460)
  const whose = (ownerId: string | null): string => owners.find(({ id }) => id === ownerId)?.name ?? 'the shop’s'
  return (
    <ListPane
      label="Cars"
      pickedLabel="Car"
      rows={cars.map((each) => ({
        id: each.id,
        title: each.name,
        note: `${whose(each.ownerId)}, ${each.seats.length === 1 ? 'one place' : `${each.seats.length} places`}`,
      }))}
      current={car?.id ?? null}
      onPick={(id) => pick(id)}
      foot={
        <div className="shrink-0 border-t-2 border-ink p-3">
          <NewCar known={cars.length} onMade={(id) => pick(id)} />
        </div>
      }
    >
      {car && seat ? (
        <div className="flex h-full min-h-0 flex-col">
          <div className="flex flex-wrap items-center justify-between gap-3 border-b-2 border-ink bg-panel px-4 py-2">
            <h2 className="text-[22px] leading-7">{car.name}</h2>
            <Segmented
              label="Place"
              value={String(at)}
              options={car.seats.map((each, i) => ({ value: String(i), label: each.name }))}
              onChange={(value) => pick(car.id, Number(value))}
            />
          </div>
          <div ref={ref} className="mat min-h-[380px] flex-1 overflow-hidden">
            <CarDrawing seat={seat} width={box.width} height={box.height} />
          </div>
          <div className="border-t-2 border-ink bg-panel px-4">
            {car.notes && <p className="py-1">{car.notes}</p>}
            <CarNumbers key={`${car.id} ${at}`} car={car} at={at} />
          </div>
        </div>
      ) : (
        <Empty>No car yet. Take one in with usual places, then lay a tape: outlet, buckle, and what stands ahead.</Empty>
      )}
    </ListPane>
  )
}
