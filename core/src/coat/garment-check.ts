import { gradeOf } from '../measures/index.ts'
import type { Grade } from '../model/index.ts'
import type { GarmentCheck, GarmentCheckId } from './garment-type.ts'

/** Does a number with its spread reach what is needed? */
export const reaches = (mm: number, needsMm: number, sigmaMm: number): Grade => gradeOf(mm, sigmaMm, [needsMm, Infinity])

/** A check as a record; the symptom belongs to it only where it does not surely hold. */
export const garmentCheck = (
  id: GarmentCheckId,
  grade: Grade,
  { mm, needsMm, sigmaMm = 0, symptom = null, at = null }: Pick<GarmentCheck, 'mm' | 'needsMm'> & Partial<Pick<GarmentCheck, 'sigmaMm' | 'symptom' | 'at'>>,
): GarmentCheck => ({ id, grade, basis: 'predicted', mm, needsMm, sigmaMm, symptom: grade === 'holds' ? null : symptom, at })

/** The back was measured to where it ends: what is added lies over the tail (S51). */
export const hemCheck = (addedMm: number, sigmaMm: number): GarmentCheck =>
  garmentCheck('hem-before-tail', addedMm <= 5 ? 'holds' : addedMm <= 20 ? 'doubt' : 'fails', {
    mm: addedMm,
    needsMm: 0,
    sigmaMm,
    symptom: 'S51',
    at: { piece: 'back', edge: 'tail' },
  })
