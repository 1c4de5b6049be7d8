import { bentPlaces, postureOutline, rimOf, type DogPlan, type Flat, type Form, type Posture } from '@merry-tailor/core'
import { cutOnce } from '../../ui/plates/cut'

export interface BentPlate {
  name: string
  points: [x: number, y: number][]
}

/** The dog from above in a posture, plate by plate, its box's middle at the origin, mm; x along the crate. */
export function bentDog(form: Form, plan: DogPlan, posture: Posture): BentPlate[] {
  const nose = form.sections.nose.tx
  const rim = bentPlaces(plan, posture, rimOf(plan))
  const middle = (k: 0 | 1): number => (Math.min(...rim.map((p) => p[k])) + Math.max(...rim.map((p) => p[k]))) / 2
  const [mx, my] = [middle(0), middle(1)]
  // A plate's left lies at the page's foot.
  const place = ([x, y]: Flat): readonly [number, number] => [nose - x, -y]
  return cutOnce(form, 'above').plates.map(({ name, points }) => ({
    name,
    points: bentPlaces(plan, posture, points.map(place)).map(([x, y]): [number, number] => [x - mx, y - my]),
  }))
}

/** Outlines swept while it turns, a dozen of them and the ends. */
export function sweptOutlines(plan: DogPlan, path: readonly Posture[]): [number, number][][] {
  const step = Math.max(1, Math.floor(path.length / 24))
  return path.filter((_, i) => i % step === 0 || i === path.length - 1).map((posture) => postureOutline(plan, posture))
}
