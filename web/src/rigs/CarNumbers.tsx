import { AIR_BAGS, type Car, type CarSeat, type Change } from '@merry-tailor/core'
import { useChangeCarMutation, useOwnersQuery } from '../api/queries'
import { SavedLength } from '../length-entry'
import { saveField } from '../state/save-field'
import { Button } from '../ui/controls/Button'
import { Named } from '../ui/controls/Named'
import { Picker } from '../ui/controls/Picker'
import { SavedField, type SaveResult } from '../ui/controls/SavedField'
import { Segmented } from '../ui/controls/Segmented'
import { FIRST_SEAT } from './first-car'

const SHOP = 'shop'
const BAG_NAMES: Readonly<Record<CarSeat['airBag'], string>> = { none: 'None ahead of it', off: 'Surely off', on: 'On', unknown: 'Not known' }

/** One place of a car as a tape finds it, each number kept when its field is left. */
export function CarNumbers({ car, at }: { car: Car; at: number }) {
  const [changeCar] = useChangeCarMutation()
  const { data: owners = [] } = useOwnersQuery(undefined)
  const seat = car.seats[at]
  if (!seat) return null
  const send = (changes: Change[]) => changeCar({ id: car.id, changes })
  const put = (over: Partial<CarSeat>): Promise<SaveResult> =>
    saveField(
      send,
      'seats',
      car.seats,
      car.seats.map((each, i) => (i === at ? { ...each, ...over } : each)),
    )
  const { outlet, buckle } = seat
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center font-bold">Its places, by tape</summary>
      <div className="space-y-2 pb-2">
        <SavedField
          label="Car"
          value={car.name}
          maxLength={60}
          onSave={(text) =>
            text.trim() === '' ? Promise.resolve({ kept: false, problem: 'What is it called?' }) : saveField(send, 'name', car.name, text.trim())
          }
        />
        <Named label="Whose it is">
          <Picker
            label="Whose it is"
            value={car.ownerId ?? SHOP}
            options={[{ value: SHOP, label: 'The shop’s' }, ...owners.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(to) => void saveField(send, 'ownerId', car.ownerId, to === SHOP ? null : to)}
            className="w-full"
          />
        </Named>
        <SavedField label="Notes" value={car.notes} maxLength={300} onSave={(text) => saveField(send, 'notes', car.notes, text.trim())} />
        <SavedField
          label="Place"
          value={seat.name}
          maxLength={40}
          onSave={(text) => (text.trim() === '' ? Promise.resolve({ kept: false, problem: 'Which place is it?' }) : put({ name: text.trim() }))}
        />
        <Named label="Row">
          <Segmented
            label="Row"
            value={seat.row}
            options={[
              { value: 'rear', label: 'Behind' },
              { value: 'front', label: 'In front' },
            ]}
            onChange={(row) => void put({ row, airBag: row === 'front' && seat.airBag === 'none' ? 'unknown' : seat.airBag })}
          />
        </Named>
        <Named label="Air bag ahead of it">
          <Picker
            label="Air bag ahead of it"
            value={seat.airBag}
            options={AIR_BAGS.map((value) => ({ value, label: BAG_NAMES[value] }))}
            onChange={(airBag) => void put({ airBag })}
            className="w-full"
          />
        </Named>
        <SavedLength label="Belt’s outlet above the cushion" mm={outlet.upMm} least={0} most={1500} onSave={(upMm) => put({ outlet: { ...outlet, upMm } })} />
        <SavedLength
          label="Ahead of the seat’s fold"
          mm={outlet.aheadMm}
          minus="behind the fold"
          onSave={(aheadMm) => put({ outlet: { ...outlet, aheadMm } })}
        />
        <SavedLength label="Left of the seat’s middle" mm={outlet.leftMm} minus="right of it" onSave={(leftMm) => put({ outlet: { ...outlet, leftMm } })} />
        <SavedLength label="Buckle above the cushion" mm={buckle.upMm} minus="under it" onSave={(upMm) => put({ buckle: { ...buckle, upMm } })} />
        <SavedLength label="Buckle ahead of the fold" mm={buckle.aheadMm} minus="behind it" onSave={(aheadMm) => put({ buckle: { ...buckle, aheadMm } })} />
        <SavedLength label="Buckle left of the middle" mm={buckle.leftMm} minus="right of it" onSave={(leftMm) => put({ buckle: { ...buckle, leftMm } })} />
        <SavedLength label="Fold to the seat or dash ahead" mm={seat.frontSeatMm} least={200} most={3000} onSave={(frontSeatMm) => put({ frontSeatMm })} />
        <SavedLength label="Cushion, fold to edge" mm={seat.cushionMm} least={200} most={1500} onSave={(cushionMm) => put({ cushionMm })} />
        <p className="flex flex-wrap gap-2">
          {car.seats.length < 12 && (
            <Button
              tone="quiet"
              onClick={() => void saveField(send, 'seats', car.seats, [...car.seats, { ...FIRST_SEAT, name: `Place ${car.seats.length + 1}` }])}
            >
              Another place
            </Button>
          )}
          {car.seats.length > 1 && (
            <Button
              tone="quiet"
              onClick={() =>
                void saveField(
                  send,
                  'seats',
                  car.seats,
                  car.seats.filter((_, i) => i !== at),
                )
              }
            >
              Take this place out
            </Button>
          )}
        </p>
      </div>
    </details>
  )
}
