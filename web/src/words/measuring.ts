import { formatWeight, measures, type CoatState, type Dewclaw, type Method, type Place, type Reading, type Station } from '@merry-tailor/core'
import { upperFirst } from './first-letter'

export const PLACES: Readonly<Record<Place, string>> = {
  left: 'left',
  right: 'right',
  'front-left': 'left front',
  'front-right': 'right front',
  'rear-left': 'left hind',
  'rear-right': 'right hind',
  height: 'hitch height',
  line: 'line length',
  index: 'index finger, flat',
  two: 'two fingers wide',
  four: 'four fingers wide',
  hand: 'flat hand',
}

export const METHODS: Readonly<Record<Method, string>> = {
  tape: 'Soft tape',
  string: 'String and ruler',
  loop: 'One-person loop',
  garment: 'By a garment that fits',
  digital: 'Digital tape',
  square: 'Wall and square',
  tracing: 'Tracing',
  scale: 'Scale',
}

/** How to take a tape with a tool that is none (handbook 4.5, common practice). */
export const METHOD_HOW: Readonly<Record<Method, string>> = {
  tape: 'Flat on the coat; slides when tugged, leaves no dent.',
  string: 'Pinch where it meets, mark it with a felt pen, straighten it along a rule. Lay it back on the dog once to confirm.',
  loop: 'A loop larger than needed over the head, down to the neck base; both strands in one hand, feed with the thumb; read at the crossing.',
  garment: 'Measure a piece known to fit, laid flat. The record says “by garment”: it stands for the piece, not for bones.',
  digital: 'Along the same path; squeeze the button to pin.',
  square: 'Wall, book or square; a rule from the floor.',
  tracing: 'On paper, pencil upright, the paw loaded; measure the drawing.',
  scale: 'On the plate; or you with the dog, minus you.',
}

export const COATS: Readonly<Record<CoatState, string>> = { dry: 'dry', wet: 'wet', clipped: 'clipped', winter: 'winter coat', matted: 'matted' }
export const DEWCLAWS: Readonly<Record<Dewclaw, string>> = { none: 'none here', single: 'one', double: 'double' }

export const STATIONS: Readonly<Record<Station, string>> = {
  1: 'Scale and walls',
  2: 'Neck and head',
  3: 'Underside',
  4: 'Trunk rings and sides',
  5: 'Back, legs, paws',
}

/** `Left front` for a paw alone. */
export const pawName = (place: Place): string => upperFirst(PLACES[place])

/** `Front paw width, left front`. */
export const tapeName = (measure: string, place: Place | null): string => `${measures[measure]?.name ?? measure}${place ? `, ${PLACES[place]}` : ''}`

/** A weight as its reading was taken: pounds stay pounds. */
export const weightText = (kg: number, unit: 'in' | 'cm'): string => formatWeight(kg, unit === 'in' ? 'lb' : 'kg')

/** What a reading says of its circumstances, beyond the usual. */
export function circumstances(reading: Reading): string {
  return [
    reading.place && (measures[reading.measure]?.places.length ?? 0) === 0 ? PLACES[reading.place] : '',
    reading.method === 'tape' ? '' : METHODS[reading.method].toLowerCase(),
    reading.coat && reading.coat !== 'dry' ? COATS[reading.coat] : '',
    reading.chalkMark ? 'through the chalk mark' : '',
    reading.postureDoubt,
    reading.dewclaw ? `dewclaw ${DEWCLAWS[reading.dewclaw]}` : '',
    reading.remark,
    reading.heldBy ? `held by ${reading.heldBy}` : '',
  ]
    .filter(Boolean)
    .join(', ')
}
