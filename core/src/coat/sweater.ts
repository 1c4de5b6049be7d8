import { lengthAlong } from '../form/index.ts'
import { edgeLength, edgeOf, smoothLine, type ClothPoint, type PatternPiece, type PatternPoint, type Seam } from '../pattern/index.ts'
import { clothOver, columnsThrough, evenCloth, fallsTo0, GIRTH, halfOf, NECK, TAIL, upTo, type ClothOver } from './cloth-over.ts'
import type { Draft, Drafting } from './draft-type.ts'
import { garmentCheck, reaches } from './garment-check.ts'
import { PULLS_ROOMY, SHEATH_MM, strip } from './garment-rules.ts'
import { edgesOn, layOut, strainedCells, type LaidOut } from './laid-out.ts'
import { ribStretch } from './rib-stretch.ts'
import { wornLeg, wornRing } from './worn-parts.ts'

/** The back goes this share of a half ring down the side, the rib belly the rest. Ours. */
const BACK_SHARE = 0.62
const ROWS = 7
const PER_UNIT = 3
/** Rib is knitted narrower than the ring it goes round (handbook 9.3: up to 5 in 100; team knowledge). */
const RIB_EASE = -0.04

/** A sweater with sleeves (handbook 9.3): back, rib belly, sleeves, collar. A first draft; none was sewn or knitted. */
export function sweater({ form, male, plan, coatMm, mm, sigma }: Drafting): Draft {
  const { ease } = plan
  const { seam, hem } = plan.allowancesMm
  const easeMm = ease.girthMm + RIB_EASE * mm('M07')
  const cloth = clothOver(form, { m20Mm: mm('M20'), m21Mm: mm('M21'), m31Mm: mm('M31'), coatMm, easeMm })
  const elbow = form.landmarks.L06?.[0] ?? cloth.section(GIRTH).ux
  const start = elbow + 0.02 * mm('M15')
  const end = fallsTo0((s) => cloth.section(s).ux - (start - mm('M24')), cloth.legBack + 0.6, TAIL - 1)
  const half = (s: number): ClothPoint[] => halfOf(s <= GIRTH ? cloth.roof(s) : cloth.section(s))
  const back = backOf(cloth, half, end, mm('M15') + ease.lengthMm, { seam, hem })
  const belly = bellyOf(cloth, half, end, { seam, hem })
  const armholeMm = edgeLength(back.piece, 'armhole') + edgeLength(belly.piece, 'armhole')
  const cuffMm = Math.max(mm('M36') * 0.95, 0.35 * armholeMm)
  const sleeve = sleevePiece('sleeve', 'Sleeve', armholeMm, cuffMm, mm('M28'), { seam, hem })
  const collarMm = mm('M02') * 0.95 + ease.neckMm
  const collar = strip({ id: 'collar', name: 'Rib collar' }, collarMm, Math.max(40, 0.16 * mm('M02')), seam, ['upper', 'neck'])
  const seams: Seam[] = [
    { id: 'shoulder', a: [['back', 'front']], b: [['belly', 'front']], easeMm: 0 },
    { id: 'side', a: [['back', 'side']], b: [['belly', 'side']], easeMm: 0 },
    { id: 'armhole', a: [['sleeve', 'cap']], b: [['back', 'armhole'], ['belly', 'armhole']], easeMm: 0 },
    { id: 'sleeve', a: [['sleeve', 'seam-front']], b: [['sleeve', 'seam-back']], easeMm: 0 },
  ] // prettier-ignore
  const around = (s: number): number => cloth.ring(s)
  const chest = ribStretch(around(GIRTH), mm('M07'))
  const waist = ribStretch(around(Math.min(end, 8)), mm('M22'))
  const neck = ribStretch(collarMm, mm('M04'))
  const hemBehind = mm('M24')
  const sheathMm = form.measures.M30 && form.measures.M06 ? form.measures.M30.mm + Math.max(0, start - (form.landmarks.L02?.[0] ?? start)) - hemBehind : 0
  const sheathSigma = Math.hypot(form.measures.M30?.sigmaMm ?? 0, sigma('M24'))
  return {
    pieces: [back.piece, belly.piece, sleeve, collar],
    seams,
    openings: [{ id: 'neck', mm: collarMm * 1.5, needsMm: mm('M04') }, { id: 'leg', mm: armholeMm, needsMm: mm('M31') }],
    checks: [
      garmentCheck('rib-at-chest', chest.state === 'holds' ? 'holds' : chest.state === 'hard' ? 'fails' : 'doubt', {
        mm: mm('M07'), needsMm: around(GIRTH), sigmaMm: sigma('M07'), symptom: chest.state === 'hard' ? 'S53' : 'S52', at: { piece: 'belly', edge: 'side' },
      }),
      garmentCheck('rib-at-waist', waist.state === 'holds' ? 'holds' : 'doubt', {
        mm: mm('M22'), needsMm: around(Math.min(end, 8)), sigmaMm: sigma('M22'), symptom: waist.state === 'hard' ? 'S53' : 'S52', at: { piece: 'belly', edge: 'hem' },
      }),
      garmentCheck('passes-head', neck.state === 'hard' ? 'fails' : reaches(collarMm * 1.5, mm('M04'), sigma('M04')), {
        mm: collarMm * 1.5, needsMm: mm('M04'), sigmaMm: sigma('M04'), symptom: 'S58', at: { piece: 'collar', edge: 'upper' },
      }),
      garmentCheck('sleeve-at-wrist', reaches(mm('M28') + 15, mm('M28'), sigma('M28')), {
        mm: mm('M28'), needsMm: mm('M28'), sigmaMm: sigma('M28'), symptom: 'S56', at: { piece: 'sleeve', edge: 'cuff' },
      }),
      garmentCheck('leg-opening', reaches(armholeMm * 1.25, mm('M31'), sigma('M31')), {
        mm: armholeMm, needsMm: mm('M31'), sigmaMm: sigma('M31'), symptom: 'S53', at: { piece: 'back', edge: 'armhole' },
      }),
      ...(male ? [garmentCheck('sheath', reaches(sheathMm, SHEATH_MM, sheathSigma), { mm: sheathMm, needsMm: SHEATH_MM, sigmaMm: sheathSigma, symptom: 'S55', at: { piece: 'belly', edge: 'hem' } })] : []),
    ],
    buttonholes: [],
    worn: [
      ...back.worn, ...belly.worn,
      ...wornLeg(form, 'front', { piece: 'sleeve', topMm: armholeMm, cuffMm, longMm: mm('M28') }),
      ...wornRing(form.sections.collar, 30, 'collar', ['neck', 'upper']),
    ],
    cuts: [],
    strained: [...strainedCells('back', back.laid, PULLS_ROOMY), ...strainedCells('belly', belly.laid, PULLS_ROOMY)],
  } // prettier-ignore
}

interface Knitted {
  piece: PatternPiece
  laid: LaidOut
  worn: Draft['worn']
}

type Half = (s: number) => ClothPoint[]

function backOf({ legFront, legBack }: ClothOver, half: Half, end: number, backMm: number, { seam, hem }: { seam: number; hem: number }): Knitted {
  const { at, index } = columnsThrough([NECK, legFront, GIRTH, legBack, end, TAIL], PER_UNIT)
  const [iA, iB, iC, last] = [index.get(legFront) as number, index.get(legBack) as number, index.get(end) as number, at.length - 1]
  const laid = layOut(
    at.map((s) => evenCloth(upTo(half(s), lengthAlong(half(s)) * BACK_SHARE), ROWS)),
    { fold: true, hold: [{ from: [0, 0], to: [last, 0], mm: Math.max(20, backMm) }, { from: [0, ROWS], to: [iC, ROWS] }] },
  ) // prettier-ignore
  const { edges, worn } = edgesOn(laid, 'back', [
    ['neck', 'seam', seam, 'column', 0, 0, ROWS],
    ['front', 'seam', seam, 'row', ROWS, 0, iA],
    ['armhole', 'seam', seam, 'row', ROWS, iA, iB],
    ['side', 'seam', seam, 'row', ROWS, iB, iC],
    ['hem', 'hem', hem, 'row', ROWS, iC, last],
    ['tail', 'hem', hem, 'column', last, ROWS, 0],
    ['centre-back', 'fold', 0, 'row', 0, last, 0],
  ])
  return {
    laid,
    worn,
    piece: {
      id: 'back', name: 'Back', count: 1, mirrored: false, fold: 'centre-back', darts: [], notches: [{ edge: 'side', share: 0.5, count: 1 }], edges,
      grain: [[backMm * 0.3, 20], [backMm * 0.6, 20]], lines: [{ id: 'elbow', points: smoothLine(laid.column(index.get(GIRTH) as number, 0, ROWS)) }], marks: [],
    },
  } // prettier-ignore
}

function bellyOf({ legFront, legBack }: ClothOver, half: Half, end: number, { seam, hem }: { seam: number; hem: number }): Knitted {
  const { at, index } = columnsThrough([NECK, legFront, GIRTH, legBack, end], PER_UNIT)
  const [iA, iB, last] = [index.get(legFront) as number, index.get(legBack) as number, at.length - 1]
  const laid = layOut(
    at.map((s) => evenCloth(upTo([...half(s)].reverse(), lengthAlong(half(s)) * (1 - BACK_SHARE)), ROWS)),
    { fold: true, hold: [{ from: [0, 0], to: [last, 0] }, { from: [0, ROWS], to: [last, ROWS] }] },
  ) // prettier-ignore
  const { edges, worn } = edgesOn(laid, 'belly', [
    ['neck', 'seam', seam, 'column', 0, 0, ROWS],
    ['front', 'seam', seam, 'row', ROWS, 0, iA],
    ['armhole', 'seam', seam, 'row', ROWS, iA, iB],
    ['side', 'seam', seam, 'row', ROWS, iB, last],
    ['hem', 'hem', hem, 'column', last, ROWS, 0],
    ['centre-front', 'fold', 0, 'row', 0, last, 0],
  ])
  return {
    laid,
    worn,
    piece: {
      id: 'belly', name: 'Rib belly', count: 1, mirrored: false, fold: 'centre-front', darts: [], notches: [{ edge: 'side', share: 0.5, count: 1 }], edges,
      grain: [[20, 12], [80, 12]], lines: [], marks: [],
    },
  } // prettier-ignore
}

/** A sleeve or leg, flat and open: wide at the top, narrow at its end. */
export function sleevePiece(
  id: string,
  name: string,
  capMm: number,
  cuffMm: number,
  longMm: number,
  { seam, hem }: { seam: number; hem: number },
): PatternPiece {
  const [long, cap, cuff] = [Math.max(10, longMm), Math.max(10, capMm), Math.max(10, cuffMm)]
  const lift = Math.max(0, (cap - cuff) / 2)
  const corners: PatternPoint[] = [[0, 0], [long, lift], [long, lift + cuff], [0, cap]] // prettier-ignore
  const [a, b, c, d] = corners as [PatternPoint, PatternPoint, PatternPoint, PatternPoint]
  return {
    id, name, count: 2, mirrored: true, fold: null, darts: [], notches: [{ edge: 'cap', share: 0.5, count: 1 }],
    edges: [edgeOf('seam-front', [a, b], seam, 'seam'), edgeOf('cuff', [b, c], hem, 'hem'), edgeOf('seam-back', [c, d], seam, 'seam'), edgeOf('cap', [d, a], seam, 'seam')],
    grain: [[long * 0.2, cap / 2], [long * 0.8, cap / 2]], lines: [], marks: [],
  } // prettier-ignore
}
