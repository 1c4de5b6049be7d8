import type { Form, View } from '@merry-tailor/core'
import { cutOnce } from './cut'
import { lineThrough } from './geometry'
import { onFloorIn, type PlateScale } from './plate-scale'

/** A dog cut from its own form, standing on its floor. */
export function DogPlates({ form, view, scale: { by, floor, to }, width }: { form: Form; view: View; scale: PlateScale; width: number }) {
  const set = cutOnce(form, view)
  return (
    <>
      {onFloorIn(view) && <line x1={0} x2={width} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={1.8} />}
      <g stroke="var(--ink)" strokeWidth={1.6} strokeLinejoin="round">
        {set.plates.map((plate, i) => (
          <path key={`${plate.name}${i}`} d={lineThrough(plate.points.map(to), true)} fill={plate.far ? 'var(--plate-far)' : 'var(--plate)'} />
        ))}
      </g>
      {set.nose.length > 0 && <path d={lineThrough(set.nose.map(to), true)} fill="var(--ink)" />}
      {set.eyes.map((at, i) => (
        <circle key={i} cx={to(at).x} cy={to(at).y} r={Math.max(2, set.button * by)} fill="var(--ink)" />
      ))}
    </>
  )
}
