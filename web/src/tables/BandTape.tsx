import { shapeOfMeasure, type LengthStyle, type SizeTable, type MeasureId } from '@merry-tailor/core'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'
import { tapeRange, tapeScale } from '../ui/tape/scale'
import { Tape, type TapePin } from '../ui/tape/Tape'
import { useWidth } from '../ui/use-width'
import { measureName } from '../words/stages'

export interface DogPin {
  name: string
  mm: number
}

interface BandTapeProps {
  measure: MeasureId
  sizes: SizeTable['sizes']
  dogs: readonly DogPin[]
  look: LengthStyle & { unit: 'in' | 'cm' }
  stepMm: number
  onDrag: (label: string, end: 0 | 1, mm: number) => void
}

/** One measure of a table on a tape: every band's ends can be dragged, or moved by arrow keys; the shop's dogs stand as pins. */
export function BandTape({ measure, sizes, dogs, look, stepMm, onDrag }: BandTapeProps) {
  const [ref, width] = useWidth<HTMLDivElement>(640)
  const bands = sizes.flatMap((size) => {
    const band = size.bands[measure]
    return band ? [{ fromMm: band[0], toMm: band[1], label: size.label, hit: false }] : []
  })
  const ends = bands.flatMap((band) => [band.fromMm, band.toMm])
  const points = ends.length > 0 ? ends : [300, 600]
  // Dogs far outside every band do not stretch the tape.
  const [low, high] = [Math.min(...points), Math.max(...points)]
  const room = (high - low) * 0.12
  const range = tapeRange(look.unit, [...points, ...dogs.map((dog) => dog.mm).filter((mm) => mm > low - room && mm < high + room)])
  // A drag keeps the scale it began with.
  const [held, setHeld] = useState<readonly [number, number] | null>(null)
  // A tap on an end is no drag: it moves nothing.
  const moved = useRef(false)
  const [fromMm, toMm] = held ?? range
  const scale = tapeScale(look.unit, fromMm, toMm, width)
  const snap = (mm: number): number => Math.max(stepMm, Math.round(mm / stepMm) * stepMm)
  const { gaps, overlaps } = shapeOfMeasure(sizes, measure)

  const drag = (label: string, end: 0 | 1) => (event: PointerEvent<HTMLButtonElement>) => {
    if (!held || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    const left = ref.current?.getBoundingClientRect().left ?? 0
    onDrag(label, end, snap(fromMm + ((event.clientX - left) / width) * (toMm - fromMm)))
  }
  const keys = (label: string, end: 0 | 1, mm: number) => (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 4, PageDown: -4 }[event.key]
    if (by === undefined) return
    event.preventDefault()
    onDrag(label, end, snap(mm + by * stepMm))
  }
  const says = [
    ...gaps.map((gap) => `Gap of ${lengthText(gap.toMm - gap.fromMm, look, true)} between ${gap.sizes[0]} and ${gap.sizes[1]}.`),
    ...overlaps.map((lap) => `${lap.sizes[0]} and ${lap.sizes[1]} share ${lengthText(lap.toMm - lap.fromMm, look, true)}.`),
  ]
  return (
    <div>
      <div ref={ref} className="relative pb-11">
        <Tape
          look={look}
          fromMm={fromMm}
          toMm={toMm}
          height={26}
          usualWidth={640}
          bands={bands}
          pins={named(
            dogs.filter((dog) => dog.mm >= fromMm && dog.mm <= toMm),
            scale.x,
          )}
          title={`${measureName(measure)}: ${bands.map((band) => `${band.label} ${lengthText(band.fromMm, look)} to ${lengthText(band.toMm, look, true)}`).join('; ')}`}
        />
        {bands.flatMap((band) =>
          ([0, 1] as const).map((end) => {
            const mm = end === 0 ? band.fromMm : band.toMm
            const at = Math.min(width - 2, Math.max(2, scale.x(mm)))
            const wide = handleWidth(Math.abs(scale.x(band.toMm) - scale.x(band.fromMm)))
            return (
              <button
                key={`${band.label} ${end}`}
                type="button"
                role="slider"
                aria-label={`${band.label}, ${end === 0 ? 'smaller' : 'larger'} end`}
                aria-valuenow={Math.round(mm)}
                aria-valuemin={1}
                aria-valuemax={3000}
                aria-valuetext={lengthText(mm, look, true)}
                onPointerDown={(event) => {
                  setHeld(range)
                  event.currentTarget.setPointerCapture(event.pointerId)
                }}
                onPointerMove={(event) => {
                  if (event.currentTarget.hasPointerCapture(event.pointerId)) moved.current = true
                  drag(band.label, end)(event)
                }}
                onPointerUp={(event) => {
                  setHeld(null)
                  event.currentTarget.releasePointerCapture(event.pointerId)
                  // Touched without being dragged, the maker's own number stays.
                  if (moved.current) onDrag(band.label, end, snap(mm))
                  moved.current = false
                }}
                onKeyDown={keys(band.label, end, mm)}
                className="absolute bottom-0 h-11 cursor-ew-resize touch-none bg-transparent"
                style={{ left: end === 0 ? at : at - wide, width: wide }}
              >
                {/* A tab on its own side of the end, so that two sizes that meet keep one each. */}
                <span className={`absolute top-0 h-7 w-3 border-2 border-ink bg-panel ${end === 0 ? 'left-0' : 'right-0'}`} aria-hidden />
              </button>
            )
          }),
        )}
      </div>
      {dogs.length > 0 && (
        // Pins that stand close share a name on the tape; here everybody has their own.
        <p className="text-[14px] leading-[18px]">
          {[...dogs]
            .sort((a, b) => a.mm - b.mm)
            .map((dog, i) => (
              <span key={`${dog.name} ${dog.mm}`}>
                {i > 0 ? ', ' : ''}
                <span className="font-semibold">{dog.name}</span> <Worded text={lengthText(dog.mm, look)} />
              </span>
            ))}
        </p>
      )}
      <p className="min-h-5 text-[14px] leading-[18px] text-mute">
        <Worded text={says.length > 0 ? says.join(' ') : bands.length > 1 ? 'No gaps, no overlaps.' : ''} />
      </p>
    </div>
  )
}

/** A finger's width, less only where the two ends of a band would overlap, px. */
const handleWidth = (bandPx: number): number => Math.min(44, Math.max(26, bandPx / 2))

/** Room a name needs beside its pin, px. */
const NAME_WIDTH = 92

/** Pins of dogs; where they stand too close for their names the first speaks for all. */
function named(dogs: readonly DogPin[], x: (mm: number) => number): TapePin[] {
  const inOrder = [...dogs].sort((a, b) => a.mm - b.mm)
  const groups: DogPin[][] = []
  for (const dog of inOrder) {
    const last = groups.at(-1)
    const before = last?.at(-1)
    if (last && before && x(dog.mm) - x(before.mm) < NAME_WIDTH) last.push(dog)
    else groups.push([dog])
  }
  return groups.flatMap((group) =>
    group.map((dog, i): TapePin => {
      const isLast = i === group.length - 1
      return { mm: dog.mm, kind: 'ink', ...(isLast ? { label: group.length === 1 ? dog.name : `${group.length} dogs` } : {}) }
    }),
  )
}
