import { lengthAlong } from '../src/form/diagonal.ts'
import { type Form } from '../src/form/index.ts'
import { cutOf, trunkCuts } from '../src/form/skin.ts'
import { layUnder, shapeOf, underPoints } from '../src/form/tapes.ts'
import { densePath } from './dense-path.ts'

const UP = Math.PI / 2

/** How many times as many sections between the stations the reference has. */
const FINER = 6

/** The under-route of a form to that of the dynamic programme on six times as many sections. */
export function besideDense(form: Form): number {
  const shape = shapeOf(form.parameters, form)
  const lay = layUnder(shape)
  const dense = trunkCuts(shape.stations, FINER)
  const half = (shape.k.stance - shape.k.forearm * 0.9) * shape.k.depth * shape.k.width * 0.5
  const [shoulder, girth] = [cutOf('shoulder', FINER), cutOf('girth', FINER)]
  const coarse = shape.cuts.map((_, i) => lay.angles[i] ?? 0)
  const around = dense.map((_, i) => {
    const at = (i / (dense.length - 1)) * (coarse.length - 1)
    const k = Math.min(coarse.length - 2, Math.floor(at))
    return (coarse[k] ?? 0) + ((coarse[k + 1] ?? 0) - (coarse[k] ?? 0)) * (at - k)
  })
  const reference = densePath(dense, -UP, UP, around, 0.45, (i) => (i <= shoulder ? half : i === girth ? half * 1.25 : Infinity))
  return lengthAlong(underPoints(shape, lay)) / reference
}
