import type { LandmarkId } from '../measures/index.ts'
import type { Build } from '../reference/index.ts'
import type { Ears, TailCarriage } from './build-types.ts'
import type { Point3 } from './point-on.ts'
import type { Stations } from './stations.ts'

/** Landmarks of a form, mm: x forward of the withers, y to the left, z above the floor. Paired ones on the left side. */
export type Landmarks = Partial<Record<LandmarkId, Point3>>

/** A measure as the form has it. */
export interface FormMeasure {
  /** mm; M00 in kilograms. */
  mm: number
  /** Standard deviation of what a tape laid there would read. */
  sigmaMm: number
  /** Read on this dog, or only expected. */
  taken: boolean
  /** The agreed reading itself, where there is one. */
  readMm?: number
}

/** The body of one dog, solved from its tapes. Plain data. */
export interface Form {
  /** The parameters, logarithms where they live so, in the order of `parameterNames`; their covariance, row after row. */
  parameters: Float64Array
  covariance: Float64Array
  ears: Ears
  tail: TailCarriage
  flatFace: boolean
  sex: 'male' | 'female' | null
  /** Weights of the kinds of dog it may be, heaviest first. */
  kinds: { name: Build | 'cross' | 'any'; weight: number }[]
  /** Sections of the skin in millimetres, x forward of the withers, z above the floor. */
  sections: Stations
  landmarks: Landmarks
  measures: Record<string, FormMeasure>
  /** How well the readings agree with each other and with dogs of this kind. */
  chi2: number
  dof: number
}
