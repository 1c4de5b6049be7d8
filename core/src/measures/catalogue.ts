import type { LandmarkId } from './landmarks.ts'

/** 1 scale and walls, 2 neck and head, 3 underside, 4 trunk rings and sides, 5 back, legs and paws (handbook 4.6). */
export type Station = 1 | 2 | 3 | 4 | 5

export interface HowTo {
  stand: string
  howTight: string
  usualSlip: string
}

export interface Measure {
  id: string
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
  howTo?: HowTo
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

type Row = [
  name: string,
  path: string,
  landmarks: readonly LandmarkId[],
  station: Station,
  order: number,
  technicalError: { fixedMm: number; share: number },
  more?: Partial<Pick<Measure, 'doubling' | 'rule' | 'howTo'>>,
]

/** Source: handbook 3.1 and 3.2; common practice, M27, M30 to M49 from memory, unverified. */
const rows: Record<string, Row> = {
  M00: ['Weight', 'Scale, or with and without dog', [], 1, 1, scale],
  M01: [
    'Harness neck',
    'Breastbone to withers and back',
    ['L01', 'L03'],
    2,
    1,
    onBone,
    {
      doubling: true,
      howTo: {
        stand: 'Square on four feet, head up, facing ahead.',
        howTight: 'No dent, no gap; slides when tugged.',
        usualSlip: 'Starts below the lump, or runs up at the collar.',
      },
    },
  ],
  M02: ['Collar neck', 'Ring where a collar lies', ['L18'], 2, 2, ring],
  M03: ['Neck base ring', 'Thickest ring of the neck', ['L19'], 2, 3, ring],
  M04: ['Head circumference', 'Largest ring of the head', ['L25'], 2, 4, ring, { rule: 'largest' }],
  M05: ['Neck length to ears', 'Neck base to ear base', ['L19', 'L20'], 2, 5, onBone],
  M06: [
    'Sternum length',
    'Breastbone lump to last sternum bone',
    ['L01', 'L02'],
    3,
    1,
    onBone,
    {
      howTo: {
        stand: 'Square, head held up.',
        howTight: 'Follows the keel, taut, not pressing.',
        usualSlip: 'Runs on to the belly, or stops ahead of the legs.',
      },
    },
  ],
  M07: [
    'Girth, largest',
    'Biggest ring behind the forelegs; largest counts',
    ['L07'],
    4,
    1,
    ring,
    {
      rule: 'largest',
      howTo: {
        stand: 'Square on four feet, head normal.',
        howTight: 'On the coat, no dent; slides when tugged.',
        usualSlip: 'Too far forward in the armpit; the biggest place missed.',
      },
    },
  ],
  M08: ['Girth at sternum end', 'Ring through the last sternum bone', ['L02'], 4, 2, ring],
  M09: ['Ring between legs to withers', 'Between forelegs to withers and back', ['L03'], 4, 3, byJudgement],
  M10: [
    'Last rib, under-route',
    'Breastbone, between forelegs, up to last rib',
    ['L01', 'L12'],
    3,
    2,
    byJudgement,
    {
      howTo: {
        stand: 'Square, body straight, head normal.',
        howTight: 'One straight line toward the tail base.',
        usualSlip: 'Stops at an earlier rib, or the tape sags.',
      },
    },
  ],
  M11: [
    'Last rib, over-route',
    'Withers down the side to last rib',
    ['L03', 'L12'],
    4,
    6,
    byJudgement,
    {
      howTo: {
        stand: 'Square, body straight, head normal.',
        howTight: 'One straight diagonal to mid side.',
        usualSlip: 'Drifts behind the rib into the soft flank.',
      },
    },
  ],
  M12: [
    'Rib to tail',
    'Same line on: last rib to tail base',
    ['L12', 'L14'],
    3,
    3,
    byJudgement,
    {
      rule: 'shortest',
      howTo: {
        stand: 'Square, tail hanging, no sitting back.',
        howTight: 'Straight; rather short than long.',
        usualSlip: 'Begins in the soft flank, or ends on the croup.',
      },
    },
  ],
  M13: [
    'Overall pulling length',
    'Breastbone, under, over the ribs, to tail base',
    ['L01', 'L12', 'L14'],
    3,
    4,
    byJudgement,
    {
      rule: 'shortest',
      howTo: {
        stand: 'Square, body straight, tail hanging.',
        howTight: 'Straight in one go; do not press in.',
        usualSlip: 'Cuts the corner under the chest, or ends on the tail.',
      },
    },
  ],
  M14: [
    'Back length',
    'Withers to tail base, along the spine',
    ['L03', 'L14'],
    5,
    1,
    onBone,
    {
      howTo: {
        stand: 'Square, back level, head normal.',
        howTight: 'Lies on the spine, no bridge over hollows.',
        usualSlip: 'Starts at the collar, or ends on tail fur.',
      },
    },
  ],
  M15: ['Back length from collar line', 'Under the collar to the hem', ['L18', 'L14'], 5, 2, onBone],
  M16: ['Back length from neck base', 'Neck base to tail base', ['L19', 'L14'], 5, 3, onBone],
  M17: ['Elbow over shoulder to elbow', 'Elbow, over shoulders, other elbow', ['L06'], 4, 7, onBone],
  M18: ['Half drop of rug', 'Centre back down to edge', ['L06'], 4, 8, onBone, { doubling: true }],
  M19: ['Front shoulder to shoulder', 'Across the chest front', ['L21'], 4, 9, onBone],
  M20: ['Chest width straight', 'Leg bone to leg bone, straight', ['L22'], 4, 10, rigid],
  M21: ['Waist at band', 'Ring where the band ends', ['L16', 'L17'], 4, 5, ring],
  M22: ['Narrowest waist', 'Narrowest ring behind the ribs', ['L16'], 4, 11, ring],
  M23: ['Underbelly length', 'Neck base, under, to waist ring', ['L19', 'L16'], 3, 5, byJudgement],
  M24: ['Belly length by sex', 'Foreleg openings to the hem', ['L07', 'L17'], 3, 6, byJudgement],
  M25: ['Foreleg to floor', 'Elbow to floor, front', ['L06'], 5, 4, rigid],
  M26: ['Foreleg to wrist', 'Elbow to front wrist', ['L06', 'L08'], 5, 5, rigid],
  M27: ['Hind leg', 'Stifle crease to hock', ['L23'], 5, 6, onBone],
  M28: ['Sleeve length', 'Elbow to the wished end', ['L06', 'L08'], 5, 7, onBone],
  M29: ['Ring at last rib', 'Ring just behind the ribs', ['L12'], 4, 4, ring],
  M30: ['Sternum end to sheath', 'Last sternum bone to sheath', ['L02', 'L17'], 3, 7, onBone],
  M31: ['Upper foreleg ring', 'Ring at armhole height', ['L07'], 5, 8, ring],
  M32: ['Front paw width', 'Widest toes, weight on it', ['L11'], 5, 9, rigid, { rule: 'largest' }],
  M33: ['Front paw length', 'Big pad to longest nail', ['L11'], 5, 10, rigid, { rule: 'largest' }],
  M34: ['Rear paw width', 'Widest toes, weight on it', ['L11'], 5, 11, rigid, { rule: 'largest' }],
  M35: ['Rear paw length', 'Big pad to longest nail', ['L11'], 5, 12, rigid, { rule: 'largest' }],
  M36: ['Pastern ring', 'Thinnest ring above the paw', ['L09'], 5, 13, rigid],
  M37: ['Dewclaw height', 'Floor to dewclaw', ['L10'], 5, 14, rigid],
  M38: ['Cuff room', 'Floor to front wrist', ['L08'], 5, 15, rigid],
  M39: ['Standing height, head', 'Floor to top of skull', ['L25'], 1, 2, onBone],
  M40: ['Ear-tip height', 'Floor to erect ear tip', ['L25'], 1, 3, onBone],
  M41: ['Sitting height', 'Floor to highest point, sitting', ['L25'], 1, 4, onBone],
  M42: ['Nose to tail base', 'Nose tip to tail base, straight', ['L25', 'L14'], 1, 5, onBone],
  M43: ['Elbow height', 'Floor to elbow', ['L06'], 1, 6, rigid],
  M44: ['Body width', 'Widest place between two boards', [], 1, 7, rigid],
  M45: ['Withers height', 'Floor to withers, with a square', ['L03'], 1, 8, rigid],
  M46: ['Point-of-shoulder height', 'Floor to point of shoulder', ['L05'], 1, 9, rigid],
  M47: ['Trace length', 'Side ring to spreader bar', [], 5, 16, onBone],
  M48: ['Hitch height and line length', 'Floor to hitch; snap to hitch', [], 1, 10, onBone],
  M49: ['Finger gauge of the fitter', 'Own fingers, flat and on edge', [], 1, 11, rigid],
}

/** The catalogue of measures, keyed by handbook ID, M00 to M49. */
export const measures: Readonly<Record<string, Measure>> = Object.fromEntries(
  Object.entries(rows).map(([id, [name, path, marks, station, order, technicalError, more]]) => [
    id,
    { id, name, path, landmarks: marks, station, order, technicalError, doubling: false, rule: 'middle', ...more },
  ]),
)

export const measureIds: readonly string[] = Object.keys(measures)

/** Compares two measure IDs by the tape's round: station first, then place in the station (handbook 4.6). */
export function stationOrder(a: string, b: string): number {
  const [left, right] = [measures[a], measures[b]]
  if (!left || !right) return a.localeCompare(b)
  return left.station - right.station || left.order - right.order
}
