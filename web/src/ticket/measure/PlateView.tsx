import { landmarks, type Landmark, type LandmarkId, type Place } from '@merry-tailor/core'
import { memo, type RefObject } from 'react'
import { FormPlate, ratioOfView } from '../../ui/plates/FormPlate'
import { PLATE_TITLES, platesOf, type PlateName } from '../../ui/plates/plate-of'
import { TapePlate } from '../../ui/plates/TapePlate'
import { useBox } from '../../ui/use-width'
import { PLACES } from '../../words/measuring'
import { measureName } from '../../words/stages'
import { useBenchForm, type TapeRow } from '../../bench'
import { lowerFirst, upperFirst } from '../../words/first-letter'

interface PlateViewProps {
  rows: readonly TapeRow[]
  active: TapeRow
  doubled: boolean
  /** Which of the plates that show this tape is large. */
  turn: number
  phone?: boolean
  /** A bone that is felt first: the plate turns to it. */
  bone?: LandmarkId | null
}

const title = (plate: PlateName, place: Place | null): string => (plate === 'paw' && place ? `${PLACES[place]} paw, from below` : PLATE_TITLES[plate])

/** The mat: the plate that tells most about this tape large, its other plates small; F turns it. All cut from this dog's form. */
export const PlateView = memo(function PlateView({ rows, active, doubled, turn, phone = false, bone = null }: PlateViewProps) {
  const [ref, { width, height }] = useBox<HTMLDivElement>(phone ? 390 : 548, phone ? 240 : 378)
  const { form, suspects } = useBenchForm()
  const { measure, place } = active.tape
  const names = platesOf(measure, place)
  const main = names[turn % names.length] ?? 'side'
  const small = names.filter((plate) => plate !== main && plate !== 'side').slice(0, 2)
  const others = rows
    .map((row, i) => {
      const suspect = suspects.find((each) => each.measure === row.tape.measure)
      return {
        measure: row.tape.measure,
        row: i + 1,
        doubt: row.doubt || suspect !== undefined,
        seen: row.agreed !== undefined && row.tape.place === null,
        ...(suspect ? { share: suspect.readMm / suspect.expectedMm } : {}),
      }
    })
    .filter((row) => row.seen)
    .slice(0, 12)
  if (bone) return <BoneView boxRef={ref} bone={bone} width={width} height={height} phone={phone} />
  const name = title(main, place)
  if (main !== 'side') {
    return (
      <div ref={ref} className="mat relative flex min-h-0 flex-1 items-center justify-center overflow-hidden">
        <TapePlate
          form={form}
          plate={main}
          measure={measure}
          place={place}
          doubled={doubled}
          width={width}
          height={height}
          top={phone ? 6 : 34}
          phone={phone}
          label={`${name}. The tape for ${measureName(measure).toLowerCase()} is drawn on it.`}
        />
        {!phone && <p className="absolute top-3.5 left-[18px] text-[14.5px] font-bold">{upperFirst(name)}</p>}
      </div>
    )
  }
  /** On a low mat the dog itself needs the room. */
  const roomy = height >= 270
  const [upper, lower] = [small.find((plate) => plate === 'above' || plate === 'below'), small.find((plate) => plate === 'front')]
  const upperWide = width * 0.4
  return (
    <div ref={ref} className="mat relative min-h-0 flex-1 overflow-hidden">
      <TapePlate
        form={form}
        plate="side"
        measure={measure}
        others={phone ? [] : others}
        width={width}
        height={height}
        top={phone ? 4 : roomy && (form.tail === 'curled' || form.tail === 'up' || suspects.length > 0) ? 58 : 10}
        stand={!phone}
        phone={phone}
      />
      {!phone && roomy && upper && (
        <div className="absolute top-3 left-[18px]">
          <p className="text-[14.5px] font-bold">{PLATE_TITLES[upper]}</p>
          <TapePlate
            form={form}
            plate={upper}
            measure={measure}
            doubled={doubled}
            width={upperWide}
            height={upperWide / ratioOfView(form, 'above') + 4}
            plain
          />
        </div>
      )}
      {!phone && lower && (
        <div className="absolute right-3 bottom-0 flex flex-col items-center">
          <TapePlate
            form={form}
            plate="front"
            measure={measure}
            doubled={doubled}
            width={Math.max(24, height * 0.36 * ratioOfView(form, 'front')) + 8}
            height={height * 0.36}
            plain
          />
          {/* Its name stands under the floor, clear of the landmarks' names. */}
          <p className="text-[14.5px] leading-[18px] font-bold">{PLATE_TITLES[lower]}</p>
        </div>
      )}
    </div>
  )
})

interface BoneViewProps {
  boxRef: RefObject<HTMLDivElement | null>
  bone: LandmarkId
  width: number
  height: number
  phone: boolean
}

/** This dog from the side a bone is best found on, the bone marked, and crossed out what it is taken for. */
function BoneView({ boxRef, bone, width, height, phone }: BoneViewProps) {
  const { form } = useBenchForm()
  const { name, seenFrom = 'side', not = '' }: Landmark = landmarks[bone]
  return (
    <div ref={boxRef} className="mat relative flex min-h-0 flex-1 items-center justify-center overflow-hidden">
      <FormPlate
        form={form}
        view={seenFrom}
        bone={bone}
        width={width}
        height={height}
        top={phone ? 2 : 30}
        phone={phone}
        label={`${PLATE_TITLES[seenFrom]}. Marked: ${lowerFirst(name)}. ${not}`}
      />
      {/* On a phone the line above it names the bone; the plate needs the room. */}
      {!phone && (
        <p className="absolute top-2 left-3 text-[15px] font-bold">
          {name}, {lowerFirst(PLATE_TITLES[seenFrom])}
        </p>
      )}
    </div>
  )
}
