import { typicalForm, type Form, type Place } from '@merry-tailor/core'
import { platesOf } from './plate-of'
import { TapePlate } from './TapePlate'

interface PathDrawingProps {
  measure: string
  place?: Place | null
  /** The dog's own form; the middle dog where no dog is meant. */
  form?: Form | null
  width?: number
  height?: number
}

/** The path of one tape as a line drawing, small enough for a form. */
export function PathDrawing({ measure, place = null, form = null, width = 150, height = 86 }: PathDrawingProps) {
  const plate = platesOf(measure, place)[0] ?? 'side'
  return (
    <TapePlate
      form={form ?? typicalForm(null)}
      plate={plate}
      measure={measure}
      place={place}
      width={width}
      height={height}
      plain
      label={`Path of ${measure}`}
    />
  )
}
