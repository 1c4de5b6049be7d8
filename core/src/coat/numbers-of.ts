import { parameterOf, type Form } from '../form/index.ts'
import type { Body } from '../measures/index.ts'
import type { GarmentFamily, GarmentNumber } from './garment-type.ts'

/** Measures each family is cut by, the order of the handbook (3.4, 9.1 to 9.5), then what is only checked. */
export const CUT_BY: Readonly<Record<GarmentFamily, readonly string[]>> = {
  C1: ['M15', 'M18', 'M19', 'M01', 'M02', 'M07', 'M20', 'M21', 'M31'],
  C2: ['M07', 'M24', 'M28', 'M15', 'M02', 'M04', 'M20', 'M21', 'M22', 'M31', 'M36'],
  C3: ['M04', 'M17', 'M16', 'M21', 'M00', 'M23', 'M20', 'M05', 'M03', 'M06', 'M30', 'M31'],
  C4: ['M14', 'M07', 'M02', 'M26', 'M20', 'M21', 'M22', 'M27', 'M31', 'M36', 'M30', 'M06'],
  C5: ['M15', 'M18', 'M19', 'M01', 'M02', 'M07', 'M20', 'M21', 'M31'],
}

/** A reading's own spread where nobody said one: a tape on a dog. From memory, unverified. */
const usualSigma = (mm: number): number => Math.max(3, 0.01 * mm)

/** Every measure a garment uses: as it was taken, else as the form expects it; held within what a dog can be. */
export function numbersOf(family: GarmentFamily, form: Form, body: Body): Record<string, GarmentNumber> {
  return Object.fromEntries(
    CUT_BY[family].flatMap((id): [string, GarmentNumber][] => {
      const most = id === 'M00' ? 150 : 3000
      const read = body[id]?.mm
      const expected = form.measures[id]
      if (read !== null && read !== undefined && read > 0 && Number.isFinite(read))
        return [[id, { mm: Math.min(most, read), from: 'taken', sigmaMm: body[id]?.sigmaMm ?? usualSigma(read) }]]
      if (!expected || !Number.isFinite(expected.mm)) return []
      return [[id, { mm: Math.min(most, expected.mm), from: 'expected', sigmaMm: expected.sigmaMm }]]
    }),
  )
}

/** How thick the coat stands, mm. */
export const coatOf = (form: Form): number => parameterOf(form, 'coat') * parameterOf(form, 'back')
