import { type MeasureId, type Place, type School, keysOf } from '../model/index.ts'
import { alternates, type Alternate } from './alternates.ts'
import { howTo, type HowTo } from './how-to.ts'
import type { LandmarkId } from './landmarks.ts'
import { MEASURE_NAMES } from './measure-names.ts'

/** 1 scale and walls, 2 neck and head, 3 underside, 4 trunk rings and sides, 5 back, legs and paws (handbook 4.6). */
export type Station = 1 | 2 | 3 | 4 | 5

export interface Measure {
  id: MeasureId
  name: string
  /** The path in about five words. */
  path: string
  landmarks: readonly LandmarkId[]
  station: Station
  /** Place in the tape's round inside the station. */
  order: number
  /** May one side be taken and doubled? */
  doubling: boolean
  /** Which of several good readings counts. */
  rule: 'middle' | 'largest' | 'shortest'
  /** Prior technical error of one reading as taken: `fixedMm` for finding the marks and `share` of the reading. */
  technicalError: { fixedMm: number; share: number }
  /** `mass`: M00 alone, in kilograms; all others are lengths. */
  quantity: 'length' | 'mass'
  /** S square stand, W weight on the paw, Si sitting; `any` where it does not matter. */
  posture: 'S' | 'W' | 'Si' | 'any'
  /** 2: a helper at the head is recommended; alone the reading is unreliable. */
  hold: 1 | 2
  /** The several things this measure exists of, each read on its own; empty where it is one. */
  places: readonly Place[]
  /** Exists left and right: the side may be named, and the two may differ by a centimetre. */
  sided: boolean
  /** The school it belongs to, where only one has it. */
  school: School | null
  /** Version of this definition; a reading keeps the version it was taken by. */
  definition: number
  howTo: HowTo
  alternates: readonly Alternate[]
}

/**
 * Prior technical errors. Share 1 %: a skilled measurer against himself (Ulijaszek & Kerr 1999, Br J Nutr 82:165-177,
 * value from memory, human bodies). The fixed part, for finding a bone by hand, is from memory, unverified.
 */
const onBone = { fixedMm: 3, share: 0.01 }
const ring = { fixedMm: 4, share: 0.01 }
const byJudgement = { fixedMm: 6, share: 0.01 }
const rigid = { fixedMm: 2, share: 0.005 }
const scale = { fixedMm: 0, share: 0.005 }

/** The order in which paws are taken: left front, right front, left hind, right hind. */
export const paws = ['front-left', 'front-right', 'rear-left', 'rear-right'] as const satisfies readonly Place[]
const fronts = ['front-left', 'front-right'] as const
const rears = ['rear-left', 'rear-right'] as const

type Row = [
  path: string,
  landmarks: readonly LandmarkId[],
  station: Station,
  order: number,
  technicalError: { fixedMm: number; share: number },
  hold: 1 | 2,
  more?: Partial<Pick<Measure, 'doubling' | 'rule' | 'quantity' | 'posture' | 'places' | 'sided' | 'school'>>,
]

/** Source: handbook 3.1 and 3.2; common practice, M27, M30 to M49 from memory, unverified. */
const rows: Readonly<Record<MeasureId, Row>> = {
  M00: ['Scale, or with and without dog', [], 1, 1, scale, 1, { quantity: 'mass', posture: 'any' }],
  M01: ['Breastbone to withers and back', ['L01', 'L03'], 2, 1, onBone, 2, { doubling: true }],
  M02: ['Ring where a collar lies', ['L18'], 2, 2, ring, 1],
  M03: ['Thickest ring of the neck', ['L19'], 2, 3, ring, 1],
  M04: ['Largest ring of the head', ['L25'], 2, 4, ring, 1, { rule: 'largest', posture: 'any' }],
  M05: ['Neck base to ear base', ['L19', 'L20'], 2, 5, onBone, 2, { sided: true }],
  M06: ['Breastbone lump to last sternum bone', ['L01', 'L02'], 3, 1, onBone, 2],
  M07: ['Biggest ring behind the forelegs; largest counts', ['L07'], 4, 1, ring, 2, { rule: 'largest' }],
  M08: ['Ring through the last sternum bone', ['L02'], 4, 2, ring, 2],
  M09: ['Between forelegs to withers and back', ['L03'], 4, 3, byJudgement, 2],
  M10: ['Breastbone, between forelegs, up to last rib', ['L01', 'L12'], 3, 2, byJudgement, 2, { sided: true, school: 'A' }],
  M11: ['Withers down the side to last rib', ['L03', 'L12'], 4, 6, byJudgement, 2, { sided: true, school: 'B' }],
  M12: ['Same line on: last rib to tail base', ['L12', 'L14'], 3, 3, byJudgement, 2, { rule: 'shortest', sided: true, school: 'A' }],
  M13: ['Breastbone, under, over the ribs, to tail base', ['L01', 'L12', 'L14'], 3, 4, byJudgement, 2, { rule: 'shortest', sided: true, school: 'B' }],
  M14: ['Withers to tail base, along the spine', ['L03', 'L14'], 5, 1, onBone, 2],
  M15: ['Under the collar to the hem', ['L18', 'L14'], 5, 2, onBone, 1],
  M16: ['Neck base to tail base', ['L19', 'L14'], 5, 3, onBone, 1],
  M17: ['Elbow, over shoulders, other elbow', ['L06'], 4, 7, onBone, 2],
  M18: ['Centre back down to edge', ['L06'], 4, 8, onBone, 2, { doubling: true, sided: true }],
  M19: ['Across the chest front', ['L21'], 4, 9, onBone, 2],
  M20: ['Leg bone to leg bone, straight', ['L22'], 4, 10, rigid, 2],
  M21: ['Ring where the band ends', ['L16', 'L17'], 4, 5, ring, 2],
  M22: ['Narrowest ring behind the ribs', ['L16'], 4, 11, ring, 1],
  M23: ['Breastbone, under, to waist ring', ['L01', 'L16'], 3, 5, byJudgement, 2],
  M24: ['Foreleg openings to the hem', ['L07', 'L17'], 3, 6, byJudgement, 2],
  M25: ['Elbow to floor, front', ['L06'], 5, 4, rigid, 1, { sided: true }],
  M26: ['Elbow to front wrist', ['L06', 'L08'], 5, 5, rigid, 1, { sided: true }],
  M27: ['Stifle crease to hock', ['L23'], 5, 6, onBone, 1, { sided: true }],
  M28: ['Elbow to the wished end', ['L06', 'L08'], 5, 7, onBone, 1, { sided: true }],
  M29: ['Ring just behind the ribs', ['L12'], 4, 4, ring, 1],
  M30: ['Last sternum bone to sheath', ['L02', 'L17'], 3, 7, onBone, 2],
  M31: ['Ring at armhole height', ['L07'], 5, 8, ring, 1, { sided: true }],
  M32: ['Widest toes, weight on it', ['L11'], 5, 9, rigid, 2, { rule: 'largest', posture: 'W', places: fronts }],
  M33: ['Big pad to longest nail', ['L11'], 5, 10, rigid, 2, { rule: 'largest', posture: 'W', places: fronts }],
  M34: ['Widest toes, weight on it', ['L11'], 5, 11, rigid, 2, { rule: 'largest', posture: 'W', places: rears }],
  M35: ['Big pad to longest nail', ['L11'], 5, 12, rigid, 2, { rule: 'largest', posture: 'W', places: rears }],
  M36: ['Thinnest ring above the paw', ['L09'], 5, 13, rigid, 1, { posture: 'W', places: paws }],
  M37: ['Floor to dewclaw', ['L10'], 5, 14, rigid, 1, { posture: 'W', places: paws }],
  M38: ['Floor to front wrist', ['L08'], 5, 15, rigid, 1, { posture: 'W', places: fronts }],
  M39: ['Floor to top of skull', ['L25'], 1, 2, onBone, 2],
  M40: ['Floor to erect ear tip', ['L25'], 1, 3, onBone, 2],
  M41: ['Floor to highest point, sitting', ['L25'], 1, 4, onBone, 2, { posture: 'Si' }],
  M42: ['Nose tip to tail base, straight', ['L25', 'L14'], 1, 5, onBone, 2],
  M43: ['Floor to elbow', ['L06'], 1, 6, rigid, 1, { sided: true }],
  M44: ['Widest place between two boards', [], 1, 7, rigid, 2],
  M45: ['Floor to withers, with a square', ['L03'], 1, 8, rigid, 1],
  M46: ['Floor to point of shoulder', ['L05'], 1, 9, rigid, 1, { sided: true }],
  M47: ['Side ring to spreader bar', [], 5, 16, onBone, 2, { sided: true }],
  M48: ['Floor to hitch; snap to hitch', [], 1, 10, onBone, 1, { posture: 'any', places: ['height', 'line'] }],
  M49: ['Own fingers, flat and on edge', [], 1, 11, rigid, 1, { posture: 'any', places: ['index', 'two', 'four', 'hand'] }],
}

const NO_HOW_TO: HowTo = { stand: '', howTight: '', usualSlip: '' }

/** The catalogue of measures, keyed by handbook ID, M00 to M49. */
export const measures: Readonly<Record<string, Measure>> = Object.fromEntries(
  keysOf(rows).map((id): [string, Measure] => {
    const [path, marks, station, order, technicalError, hold, more] = rows[id]
    return [
      id,
      {
        id,
        name: MEASURE_NAMES[id],
        path,
        landmarks: marks,
        station,
        order,
        technicalError,
        hold,
        doubling: false,
        rule: 'middle',
        quantity: 'length',
        posture: 'S',
        places: [],
        sided: false,
        school: null,
        definition: 1,
        howTo: howTo[id] ?? NO_HOW_TO,
        alternates: alternates[id] ?? [],
        ...more,
      },
    ]
  }),
)

export const measureIds: readonly MeasureId[] = keysOf(rows)

/** Is it the ID of a measure? */
export const isMeasureId = (id: string): id is MeasureId => measures[id] !== undefined

/** Compares two measure IDs by the tape's round: station first, then place in the station (handbook 4.6). */
export function stationOrder(a: string, b: string): number {
  const [left, right] = [measures[a], measures[b]]
  if (!left || !right) return a.localeCompare(b)
  return left.station - right.station || left.order - right.order
}

/** Values that belong to one paw or one gauge are kept under measure and place: `M32/front-left`. */
export const tapeKey = (measure: string, place: Place | null): string => (place === null ? measure : `${measure}/${place}`)
