import { planWidths, type Form } from '../form/index.ts'

/** A dog from above as links that bend against each other, from the nose; millimetres and radians. */
export interface DogPlan {
  /** `bendRad`: how far a link may turn against its neighbour towards the stiff one, all of them to one side. */
  links: { lengthMm: number; bendRad: number }[]
  /** Which link is the chest: it does not bend. */
  stiff: number
  /** Half widths by their place, from the nose. */
  halves: [alongMm: number, halfMm: number][]
}

/** The neck bends this far in all, the back from the breastbone's end to the hips this far, each in equal parts. Ours, unverified. */
const NECK_BEND = (150 / 180) * Math.PI
const BACK_BEND = (90 / 180) * Math.PI
const PARTS = 5
const LEAST_LINK = 1

/** The plan of a form: head, neck, the breastbone's length that stays stiff, back, hips. */
export function planOf(form: Pick<Form, 'parameters' | 'ears' | 'sex'>): DogPlan {
  const { lengthMm, throatMm, breastMm, sternumMm, hipMm, halves } = planWidths(form)
  let past = 0
  const to = (end: number): number => {
    const long = Math.max(LEAST_LINK, end - past)
    past += long
    return long
  }
  const parts = (long: number, bend: number): DogPlan['links'] => Array.from({ length: PARTS }, () => ({ lengthMm: long / PARTS, bendRad: bend / PARTS }))
  const head = { lengthMm: to(throatMm), bendRad: 0 }
  const neck = parts(to(breastMm), NECK_BEND)
  const chest = { lengthMm: to(sternumMm), bendRad: 0 }
  const back = parts(to(hipMm), BACK_BEND)
  const hips = { lengthMm: to(lengthMm), bendRad: 0 }
  return { links: [head, ...neck, chest, ...back, hips], stiff: 1 + PARTS, halves: halves.map(([at, half]) => [Math.min(at, past), half]) }
}

/** @throws RangeError for links, a stiff one or widths that make no dog */
export function askPlan({ links, stiff, halves }: DogPlan): void {
  if (links.length === 0 || links.some(({ lengthMm, bendRad }) => !(lengthMm > 0) || !Number.isFinite(lengthMm) || !Number.isFinite(bendRad)))
    throw new RangeError('a link is longer than 0 mm and bends by a number')
  if (!Number.isInteger(stiff) || !links[stiff]) throw new RangeError(`no link ${stiff} is the stiff one`)
  if (halves.some(([at, half]) => !Number.isFinite(at) || !(half >= 0) || !Number.isFinite(half))) throw new RangeError('a half width is 0 mm or more')
}
