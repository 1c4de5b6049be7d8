import type { Grade } from '../model/index.ts'
import type { GarmentCheck, GarmentCheckId } from './garment-type.ts'

/** Nine in ten on one side: beyond it a foretold number is said without doubt. */
const SURE = 1.28

/** Does a number with its spread reach what is needed? */
export function reaches(mm: number, needsMm: number, sigmaMm: number): Grade {
  const z = (mm - needsMm) / Math.max(0.5, sigmaMm)
  return z >= SURE || (mm >= needsMm && sigmaMm <= 0.5) ? 'holds' : z <= -SURE ? 'fails' : 'doubt'
}

/** A check as a record; the symptom belongs to it only where it does not surely hold. */
export const garmentCheck = (
  id: GarmentCheckId,
  grade: Grade,
  { mm, needsMm, sigmaMm = 0, symptom = null, at = null }: Pick<GarmentCheck, 'mm' | 'needsMm'> & Partial<Pick<GarmentCheck, 'sigmaMm' | 'symptom' | 'at'>>,
): GarmentCheck => ({ id, grade, basis: 'predicted', mm, needsMm, sigmaMm, symptom: grade === 'holds' ? null : symptom, at })
