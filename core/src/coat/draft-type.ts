import type { About, Form } from '../form/index.ts'
import type { FullPlan, Garment, GarmentFamily, GarmentNumber } from './garment-type.ts'

/** What every draft is made from. */
export interface Drafting {
  family: GarmentFamily
  form: Form
  about: About | null
  /** Known to be one, by what was said or by the form. */
  male: boolean
  plan: FullPlan
  numbers: Record<string, GarmentNumber>
  coatMm: number
  /** A measure the family is cut by, and its spread; one nobody knows is 0. */
  mm: (id: string) => number
  sigma: (id: string) => number
}

export type Draft = Pick<Garment, 'pieces' | 'seams' | 'openings' | 'checks' | 'buttonholes' | 'worn' | 'strained' | 'cuts'>
