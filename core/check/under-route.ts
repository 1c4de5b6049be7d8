import { type Form } from '../src/form/index.ts'
import { lengthAlong } from '../src/form/point-on.ts'
import { layUnder, underPoints } from '../src/form/routes.ts'
import { shapeOf } from '../src/form/shape.ts'
import { corridorAt, cutOf, LAST_CUT, sectionAt } from '../src/form/skin.ts'
import { densePath } from './dense-path.ts'

const UP = Math.PI / 2

/** Sections between two stations of the reference: six times as many as the string's. */
const FINER = 12

/** The under-route of a form to that of the dynamic programme on six times as many sections. */
export function besideDense(form: Form): number {
  const shape = shapeOf(form.parameters, form)
  const lay = layUnder(shape)
  const from = cutOf('withers')
  const at = Array.from({ length: (LAST_CUT - from) * FINER + 1 }, (_, i) => from + i / FINER)
  const dense = at.map((cut) => sectionAt(shape.skin, cut))
  const around = at.map((cut) => {
    const place = ((cut - from) / (LAST_CUT - from)) * (lay.angles.length - 1)
    const k = Math.min(lay.angles.length - 2, Math.floor(place))
    return (lay.angles[k] ?? 0) + ((lay.angles[k + 1] ?? 0) - (lay.angles[k] ?? 0)) * (place - k)
  })
  const reference = densePath(dense, -UP, UP, around, 0.45, (i) => corridorAt(shape.skin, at[i] as number))
  return lengthAlong(underPoints(shape, lay)) / reference
}
