import { figure, type Place } from '@merry-tailor/core'
import { useMemo } from 'react'
import { PartPlateDrawing, ratioOf } from '../../ui/plates/PartPlates'
import { PLATE_TITLES, platesOf, type PlateName } from '../../ui/plates/plate-of'
import { SidePlate } from '../../ui/plates/SidePlate'
import { useBox } from '../../ui/use-width'
import { PLACES } from '../../words/measuring'
import { measureName } from '../../words/stages'
import { useOpenTicket } from '../TicketFrame'
import type { TapeRow } from './use-tapes'

interface PlateViewProps {
  rows: readonly TapeRow[]
  active: TapeRow
  doubled: boolean
  /** Which of the plates that show this tape is large. */
  turn: number
  phone?: boolean
}

const title = (plate: PlateName, place: Place | null): string => (plate === 'paw' && place ? `${PLACES[place]} paw, from below` : PLATE_TITLES[plate])

/** The mat: the plate that tells most about this tape large, its other plates small; F turns it. */
export function PlateView({ rows, active, doubled, turn, phone = false }: PlateViewProps) {
  const { body, sheet } = useOpenTicket()
  const [ref, { width, height }] = useBox<HTMLDivElement>(phone ? 390 : 548, phone ? 240 : 378)
  const form = useMemo(() => figure(body, sheet.dog), [body, sheet.dog])
  const { measure, place } = active.tape
  const plates = platesOf(measure, place)
  const main = plates[turn % plates.length] ?? 'side'
  const small = plates.filter((plate) => plate !== main && plate !== 'side').slice(0, 2)
  const others = rows
    .map((row, i) => ({ measure: row.tape.measure, row: i + 1, doubt: row.doubt, seen: row.agreed !== undefined && row.tape.place === null }))
    .filter((row) => row.seen)
    .slice(0, 12)
  const name = title(main, place)
  if (main !== 'side') {
    const ratio = ratioOf(main)
    const size = Math.min(width * (phone ? 0.9 : 0.82), (height - (phone ? 16 : 76)) * ratio)
    return (
      <div ref={ref} className="mat relative flex min-h-0 flex-1 items-center justify-center overflow-hidden">
        <div className={phone ? '' : 'pt-6'}>
          <PartPlateDrawing
            plate={main}
            measure={measure}
            place={place}
            doubled={doubled}
            ears={form.ears}
            width={Math.max(60, size)}
            label={`${name}. The tape for ${measureName(measure).toLowerCase()} is drawn on it.`}
          />
        </div>
        {!phone && <p className="absolute top-3.5 left-[18px] text-[14.5px] font-bold">{name.charAt(0).toUpperCase() + name.slice(1)}</p>}
      </div>
    )
  }
  /** On a low mat the dog itself needs the room. */
  const roomy = height >= 270
  const [upper, lower] = [small.find((plate) => plate === 'above' || plate === 'below'), small.find((plate) => plate !== 'above' && plate !== 'below')]
  return (
    <div ref={ref} className="mat relative min-h-0 flex-1 overflow-hidden">
      <SidePlate
        body={body}
        about={sheet.dog}
        active={measure}
        others={phone ? [] : others}
        width={width}
        height={height}
        top={phone ? 4 : roomy ? 62 : 12}
        stand={!phone}
        phone={phone}
      />
      {!phone && roomy && upper && (
        <div className="absolute top-3 left-[18px]">
          <p className="text-[14.5px] font-bold">{PLATE_TITLES[upper]}</p>
          <PartPlateDrawing plate={upper} measure={measure} doubled={doubled} width={width * 0.4} />
        </div>
      )}
      {!phone && lower && lower === 'front' && (
        <div className="absolute right-3 bottom-0 flex flex-col items-center">
          <PartPlateDrawing plate={lower} measure={measure} doubled={doubled} ears={form.ears} width={Math.max(20, height * 0.36 * ratioOf(lower))} />
          {/* Its name stands under the floor, clear of the landmarks' names. */}
          <p className="text-[14.5px] leading-[18px] font-bold">{PLATE_TITLES[lower]}</p>
        </div>
      )}
    </div>
  )
}
