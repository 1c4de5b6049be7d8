import { lengthAlong, type Point3 } from '../form/index.ts'
import { edgeLength, edgeOf, smoothLine, type Dart, type PatternPiece, type PatternPoint } from '../pattern/index.ts'
import { backColumn, chestColumn, chestWide, columnsThrough, GIRTH, HIP, NECK, TAIL, type ClothOver } from './cloth-over.ts'
import type { FullPlan, Garment } from './garment-type.ts'
import { edgesOn, layOut, truedDart, type LaidOut } from './laid-out.ts'

/** Rows down a side of the back, up a side of the chest; columns to a stretch between two of the skin's sections. */
const BACK_ROWS = 8
const CHEST_ROWS = 5
const PER_UNIT = 3
/** Where a rump dart ends, and how little it may open to be one, mm. */
const DART_TIP = 3
const LEAST_DART_MM = 6
const DART_AT = 10

export interface TrunkLengths {
  /** Centre back, half of elbow over shoulders to elbow, centre front, half the chest's front, half the ring at the band. */
  backMm: number
  halfDropMm: number
  frontMm: number
  halfFrontMm: number
  halfBandMm: number
}

/** A laid-out piece with what it is worn as. */
export interface TrunkPiece {
  piece: PatternPiece
  laid: LaidOut
  worn: Garment['worn']
}

/** Height of the hem ahead of the girth. */
export function hemLevel(cloth: ClothOver, hem: FullPlan['hem']): number {
  const girth = cloth.section(GIRTH)
  if (hem === 'belly') return Math.min(cloth.elbowMm, girth.uz)
  if (hem === 'short') return cloth.elbowMm + 0.15 * (girth.tz - girth.uz)
  return cloth.elbowMm
}

/**
 * The back: on the fold, from neck seam to tail, over the shoulder to the front seam, then down to the hem. Its centre,
 * elbow line, neck and front seam keep the lengths asked.
 */
export function backPiece(cloth: ClothOver, lengths: TrunkLengths, plan: FullPlan): TrunkPiece & { bandMm: number; legHemMm: number; cuts: Garment['cuts'] } {
  const { legFront, legBack, band } = cloth
  const { at, index } = columnsThrough([NECK, legFront, GIRTH, legBack, band, ...(band < HIP ? [HIP] : []), DART_AT, TAIL], PER_UNIT)
  const levelMm = hemLevel(cloth, plan.hem)
  const grid = at.map((s) => backColumn(cloth, s, { frontMm: lengths.halfFrontMm, levelMm, rows: BACK_ROWS }))
  const place = (s: number): number => index.get(s) as number
  const [iFront, iGirth, iLeg, iBand, iDart, last, m] = [place(legFront), place(GIRTH), place(legBack), place(band), place(DART_AT), at.length - 1, BACK_ROWS]
  const drop = plan.hem === 'elbow' ? { mm: lengths.halfDropMm } : { mm: Math.max(10, lengths.halfDropMm + (cloth.elbowMm - levelMm)) }
  const hold = [
    { from: [0, 0], to: [last, 0], mm: lengths.backMm },
    { from: [iGirth, 0], to: [iGirth, m], ...drop },
    { from: [0, 0], to: [0, m] },
    { from: [0, m], to: [iFront, m] },
    { from: [iBand, 0], to: [iBand, m] },
  ] as const
  let laid = layOut(grid, { fold: true, hold, ...(plan.darts ? { cuts: [{ from: [iDart, m], to: [iDart, DART_TIP] }] } : {}) })
  let dart = truedDart('rump', laid, 0)
  const mouthMm = laid.flat.cuts[0]?.mouthMm
  if (plan.darts && (!dart || dart.mouthMm < LEAST_DART_MM)) {
    laid = layOut(grid, { fold: true, hold })
    dart = null
  }
  const { seam, hem: hemAllowance } = plan.allowancesMm
  const { edges, worn } = edgesOn(laid, 'back', [
    ['neck', 'seam', seam, 'column', 0, 0, m],
    ['front', 'seam', seam, 'row', m, 0, iFront],
    ['hem', 'hem', hemAllowance, 'row', m, iFront, last],
    ['tail', 'hem', hemAllowance, 'column', last, m, 0],
    ['centre-back', 'fold', 0, 'row', 0, last, 0],
  ])
  if (dart) edges[2] = edgeOf('hem', dartedHem(laid, dart, iFront, iDart, last), hemAllowance, 'hem')
  const long = lengths.backMm
  const piece: PatternPiece = {
    id: 'back', name: 'Back', count: 1, mirrored: false, fold: 'centre-back', edges, darts: dart ? [dart] : [],
    notches: [{ edge: 'front', share: 0.5, count: 1 }, { edge: 'neck', share: 0.5, count: 2 }],
    grain: [[long * 0.3, lengths.halfDropMm * 0.35], [long * 0.62, lengths.halfDropMm * 0.35]],
    lines: [{ id: 'elbow', points: smoothLine(laid.column(iGirth, 0, m)) }, { id: 'band', points: smoothLine(laid.column(iBand, 0, m)) }],
    marks: [],
  } // prettier-ignore
  return {
    piece,
    laid,
    cuts: mouthMm === undefined ? [] : [{ id: 'rump', mouthMm, kept: dart !== null }],
    bandMm: lengthAlong(laid.column(iBand, 0, m).map(([x, y]) => [x, y, 0])),
    legHemMm: lengthAlong(grid.slice(iFront, iLeg + 1).map((column) => column[m] as Point3)),
    worn,
  }
}

/** The hem across a dart's mouth: up to one leg, over to the other, on; what was trued moves the mouth's corners alone. */
function dartedHem(laid: LaidOut, dart: Dart, from: number, at: number, last: number): PatternPoint[] {
  const before = laid.row(BACK_ROWS, from, at)
  const after = laid.row(BACK_ROWS, at, last)
  before[before.length - 1] = dart.left[0] as PatternPoint
  after[0] = dart.right[0] as PatternPoint
  return [...smoothLine(before), ...smoothLine(after)]
}

/**
 * The chest and belly piece: on the fold, its front half the chest's width, narrow between the forelegs, then out to lap over
 * the back; its centre, front seam and band keep the lengths asked.
 *
 * @param bandMm half its width at the band
 */
export function chestPiece(
  cloth: ClothOver,
  lengths: TrunkLengths,
  plan: FullPlan,
  { bandMm, backAt }: { bandMm: number; backAt: (s: number) => number },
): TrunkPiece & { legMm: number } {
  const { legFront, legBack, band } = cloth
  const { at, index } = columnsThrough([NECK, legFront, GIRTH, legBack, band], PER_UNIT)
  const place = (s: number): number => index.get(s) as number
  const [iFront, iLeg, last, m] = [place(legFront), place(legBack), at.length - 1, CHEST_ROWS]
  const sideMm = (s: number): number => {
    const half = cloth.ring(s) / 2
    const own = Math.max(0.08 * half, half - backAt(s) + plan.overlapMm)
    // The last stretch runs out to what the band asks for.
    const t = Math.min(1, Math.max(0, (s - legBack) / Math.max(0.1, band - legBack)))
    return own + (bandMm - Math.max(0.08 * half, cloth.ring(band) / 2 - backAt(band) + plan.overlapMm)) * t * t
  }
  const grid = at.map((s) => chestColumn(cloth, s, s === band ? bandMm : chestWide(cloth, s, { frontMm: lengths.halfFrontMm, sideMm }), m))
  const laid = layOut(grid, {
    fold: true,
    hold: [
      { from: [0, 0], to: [last, 0], mm: lengths.frontMm },
      { from: [0, m], to: [iFront, m] },
      { from: [0, 0], to: [0, m], mm: lengths.halfFrontMm },
      { from: [last, 0], to: [last, m], mm: bandMm },
    ],
  })
  const { seam, hem } = plan.allowancesMm
  const long = lengths.frontMm
  const { edges, worn } = edgesOn(laid, 'chest', [
    ['neck', 'seam', seam, 'column', 0, 0, m],
    ['front', 'seam', seam, 'row', m, 0, iFront],
    ['leg', 'bound', 0, 'row', m, iFront, iLeg],
    ['side', 'hem', hem, 'row', m, iLeg, last],
    ['band', 'hem', hem, 'column', last, m, 0],
    ['centre-front', 'fold', 0, 'row', 0, last, 0],
  ])
  const piece: PatternPiece = {
    id: 'chest', name: 'Chest', count: 1, mirrored: false, fold: 'centre-front',
    edges,
    darts: [], notches: [{ edge: 'front', share: 0.5, count: 1 }, { edge: 'neck', share: 0.5, count: 2 }],
    grain: [[long * 0.1, lengths.halfFrontMm * 0.4], [long * 0.4, lengths.halfFrontMm * 0.4]], lines: [], marks: [],
  } // prettier-ignore
  return {
    piece,
    laid,
    legMm: edgeLength(piece, 'leg'),
    worn,
  }
}

/** How much of a half ring the back covers at a place, mm. */
export const backCovers = (cloth: ClothOver, lengths: TrunkLengths, plan: FullPlan) => {
  const levelMm = hemLevel(cloth, plan.hem)
  return (s: number): number => lengthAlong(backColumn(cloth, s, { frontMm: lengths.halfFrontMm, levelMm, rows: BACK_ROWS }))
}
