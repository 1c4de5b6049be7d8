import { shapeOf } from './shape.ts'
import type { Form } from './form-type.ts'
import { STATION_NAMES } from './stations.ts'

/** A dog from above, straight, as a crate sees it: millimetres from the nose backwards. */
export interface PlanWidths {
  /** Nose to tail base. */
  lengthMm: number
  /** Where the throat, the breastbone's front, its end, and the hip lie. */
  throatMm: number
  breastMm: number
  sternumMm: number
  hipMm: number
  /** Half widths over the coat by their place, from the nose. */
  halves: [alongMm: number, halfMm: number][]
}

/** Half widths of a form's stations along its length; the head is as wide as its skull, the trunk as its ribs. */
export function planWidths(form: Pick<Form, 'parameters' | 'ears' | 'sex'>): PlanWidths {
  const shape = shapeOf(form.parameters, form)
  const { k, stations: s } = shape
  const nose = s.nose.tx
  const along = (x: number): number => Math.max(0, (nose - x) * k.back)
  // Withers and shoulder lean: seen from above they lie where their widest place is.
  const seen = STATION_NAMES.map((name) => {
    const { tx, ux, w } = s[name]
    return [along(tx + (ux - tx) * 0.42), (w + k.coat) * k.back] as [number, number]
  }).sort((a, b) => a[0] - b[0])
  const lengthMm = along(s.tail.tx)
  return {
    lengthMm,
    throatMm: along(s.throat.tx),
    breastMm: along(s.withers.ux),
    sternumMm: along(s.sternumEnd.ux),
    hipMm: along(s.hip.tx),
    halves: seen.filter(([at], i) => i === 0 || at > (seen[i - 1]?.[0] ?? 0)).map(([at, half]) => [Math.min(at, lengthMm), half]),
  }
}
