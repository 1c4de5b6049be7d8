import { figure, type Body, type Place } from '@merry-tailor/core'
import { PartPlateDrawing, ratioOf } from './PartPlates'
import { platesOf } from './plate-of'
import { SidePlate } from './SidePlate'

const NOBODY: Body = {}

/** The path of one tape as a line drawing, small enough for a form. */
export function PathDrawing({ measure, place = null, width = 150, height = 86 }: { measure: string; place?: Place | null; width?: number; height?: number }) {
  const plate = platesOf(measure, place)[0] ?? 'side'
  if (plate === 'side') {
    return <SidePlate body={NOBODY} about={null} active={measure} others={[]} width={width} height={height} stand={false} phone plain />
  }
  const size = Math.min(width, height * ratioOf(plate))
  return (
    <div className="flex items-center justify-center" style={{ width, height }}>
      <PartPlateDrawing
        plate={plate}
        measure={measure}
        place={place}
        doubled={measure === 'M01'}
        ears={figure(NOBODY, null).ears}
        width={size}
        label={`Path of ${measure}`}
      />
    </div>
  )
}
