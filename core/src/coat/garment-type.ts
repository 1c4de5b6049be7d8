import type { About, Form } from '../form/index.ts'
import type { SymptomId } from '../gear/index.ts'
import type { Body } from '../measures/index.ts'
import type { CLOTHS, CUTS, EASE_ZONES, FASTENINGS, GARMENT_FAMILIES, GarmentPlan, Grade, HEMS } from '../model/index.ts'
import type { ClothPoint, PatternPiece, Seam } from '../pattern/index.ts'

export type GarmentFamily = (typeof GARMENT_FAMILIES)[number]
export type Cloth = (typeof CLOTHS)[number]

/** A plan with nothing left open. */
export interface FullPlan {
  ease: Record<(typeof EASE_ZONES)[number], number>
  overlapMm: number
  allowancesMm: { seam: number; hem: number }
  cloth: Cloth
  cut: (typeof CUTS)[number]
  growing: boolean
  darts: boolean
  hem: (typeof HEMS)[number]
  fastening: (typeof FASTENINGS)[number]
  moves: NonNullable<GarmentPlan['moves']>
}

export interface GarmentNumber {
  /** mm; M00 in kilograms. */
  mm: number
  from: 'taken' | 'expected'
  sigmaMm: number
}

export type GarmentCheckId =
  | 'hood-ring' | 'hood-over-ears' | 'over-shoulder' | 'leg-opening' | 'sheath' | 'hem-before-tail' | 'band-on-its-ring' | 'fronts-meet' | 'passes-head'
  | 'rib-at-chest' | 'rib-at-waist' | 'sleeve-at-wrist' | 'leg-off-toes' | 'outline' // prettier-ignore

/** What is foretold of a garment: the number, what it needs, and the symptom to expect where it does not hold. */
export interface GarmentCheck {
  id: GarmentCheckId
  grade: Grade
  basis: 'predicted'
  mm: number
  needsMm: number
  sigmaMm: number
  symptom: SymptomId | null
  /** Where on the flat pieces it is read, and on the worn ones. */
  at: { piece: string; edge: string } | null
}

export interface Garment {
  family: GarmentFamily
  plan: FullPlan
  pieces: PatternPiece[]
  seams: Seam[]
  openings: { id: 'hood' | 'leg' | 'neck' | 'leg-hind'; mm: number; needsMm: number }[]
  checks: GarmentCheck[]
  numbers: Record<string, GarmentNumber>
  /** Places of the holes from the front edge back, mm. */
  buttonholes: { atMm: number }[]
  /** Every edge as it is worn, left side, mm: x forward of the withers, z above the floor. */
  worn: { piece: string; edge: string; points: ClothPoint[] }[]
  /** Cloth in the pieces as cut, mm2. */
  clothMm2: number
  /** Where cloth would have to give, cells of the flat pieces with their strain as a share. */
  strained: { piece: string; at: readonly (readonly [number, number])[]; strain: number }[]
  /** Cuts that were tried: plus opens and is a dart where it is kept, minus laps and must be a seam, mm. */
  cuts: { id: string; mouthMm: number; kept: boolean }[]
  /** Never sewn: sew a trial first. */
  firstDraft: boolean
}

export interface GarmentQuestion {
  family: GarmentFamily
  form: Form
  body: Body
  about: About | null
  plan: GarmentPlan
}
