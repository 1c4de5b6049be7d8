import { MM_PER_UNIT } from '../units/index.ts'

export type HoodClass = 'small' | 'larger' | 'large' | 'giant'

export interface HoodSize {
  class: HoodClass
  additionMm: number
  /** Crown seam: neck length to the ears and the addition. */
  lengthMm: number
  /** The narrowest ring it may have. */
  openingMm: number
  by: 'head' | 'neck'
}

/** Additions by class: common practice (handbook 9.4); the weights they belong to are team knowledge. */
const CLASSES: readonly { class: HoodClass; to: (kg: number) => boolean; additionMm: number }[] = [
  { class: 'small', to: (kg) => kg < 10, additionMm: 2 * MM_PER_UNIT.in },
  { class: 'larger', to: (kg) => kg < 25, additionMm: 3 * MM_PER_UNIT.in },
  { class: 'large', to: (kg) => kg <= 45, additionMm: 4 * MM_PER_UNIT.in },
  { class: 'giant', to: () => true, additionMm: 5 * MM_PER_UNIT.in },
]

/**
 * How long and how wide a hood is: by the larger of neck and head (handbook 9.4, common practice; S60).
 *
 * @param dog neck base ring, head ring and neck length in mm, weight in kg, what is added to both rings
 * @throws RangeError for a length or weight that is none
 */
export function hoodOf(dog: { m03Mm: number; m04Mm: number; m05Mm: number; weightKg: number; neckEaseMm: number; headEaseMm: number }): HoodSize {
  const { m03Mm, m04Mm, m05Mm, weightKg, neckEaseMm, headEaseMm } = dog
  for (const [name, value] of Object.entries({ m03Mm, m04Mm, m05Mm, weightKg }))
    if (!(value > 0) || !Number.isFinite(value)) throw new RangeError(`${name} is over 0: ${value}`)
  if (!Number.isFinite(neckEaseMm) || !Number.isFinite(headEaseMm)) throw new RangeError('ease is a number')
  const own = CLASSES.find(({ to }) => to(weightKg)) as (typeof CLASSES)[number]
  const [neck, head] = [m03Mm + neckEaseMm, m04Mm + headEaseMm]
  return { class: own.class, additionMm: own.additionMm, lengthMm: m05Mm + own.additionMm, openingMm: Math.max(neck, head), by: neck >= head ? 'neck' : 'head' }
}
