import { edgeLength, edgeOf, rectangle, type PatternPoint, type PatternPiece, type Seam } from '../pattern/index.ts'
import { bandFor } from './band-for.ts'
import { clothOver } from './cloth-over.ts'
import type { Draft, Drafting } from './draft-type.ts'
import { garmentCheck, hemCheck, reaches } from './garment-check.ts'
import { PULLS, SHEATH_MM, strip } from './garment-rules.ts'
import { strainedCells } from './laid-out.ts'
import { HOLES, rugFronts } from './rug-fronts.ts'
import { backPiece } from './trunk-pieces.ts'
import { wornBand, wornFront } from './worn-parts.ts'

/** How far from the edge a grown dog's only hole lies, mm. */
const ONE_HOLE_MM = 15
/** Share of the collar's ring over the back where the neck's own split is not known. Ours. */
const NECK_SHARE = 0.3
const BAND_OVERLAP_MM = 60

/** A rug or a light layer: back, two fronts, band (handbook 9.1, 9.2). */
export function cutRug({ family, form, about, plan, numbers, coatMm, mm, sigma }: Drafting): Draft {
  const { ease } = plan
  const { seam, hem } = plan.allowancesMm
  const spanMm = mm('M19')
  const { eachMm, overlapMm, holeSpacingMm } = rugFronts(spanMm, plan.growing)
  const longMm = Math.max(20, mm('M15') + ease.lengthMm)
  const halfMm = Math.max(15, mm('M18') / 2 + ease.girthMm / 4)
  const cloth = clothOver(form, { m20Mm: mm('M20'), m21Mm: mm('M21'), m31Mm: mm('M31'), coatMm, easeMm: ease.girthMm })
  const shaped = backPiece(
    cloth,
    { backMm: longMm, halfDropMm: halfMm, frontMm: 0, halfFrontMm: spanMm / 2, halfBandMm: mm('M21') / 2 },
    { ...plan, darts: plan.darts && plan.cut === 'shaped' },
  )
  // The neck splits at the shoulder blades' front edges (L21): what of the harness neck's ring lies over the back.
  const over = (mm('M01') - spanMm) / 2
  const neckHalf = Math.min(0.7 * halfMm, (over > 0 ? over : NECK_SHARE * mm('M02')) + ease.neckMm / 4)
  const back = plan.cut === 'shaped' ? withShoulder(shaped.piece) : plainBack(longMm, halfMm, neckHalf, { seam, hem })
  const lines = family === 'C5' ? [...back.lines, ...reflective(longMm, halfMm)] : back.lines
  const shoulderMm = edgeLength(back, 'shoulder')
  const holes = holeSpacingMm === null ? [] : Array.from({ length: HOLES }, (_, i) => ({ atMm: holeSpacingMm * i }))
  const buttonholes = holes.length > 0 ? holes : plan.fastening === 'one-button' || plan.fastening === 'two-buttons' ? [{ atMm: ONE_HOLE_MM }] : []
  const front = (side: 'left' | 'right'): PatternPiece => {
    const piece = rectangle({ id: `front-${side}`, name: side === 'left' ? 'Left front' : 'Right front', count: 1, mirrored: false }, eachMm, shoulderMm, [
      { id: 'front', kind: 'hem', allowanceMm: hem }, { id: 'lower', kind: 'hem', allowanceMm: hem }, { id: 'shoulder', kind: 'seam', allowanceMm: seam }, { id: 'neck', kind: 'hem', allowanceMm: hem },
    ]) // prettier-ignore
    const rows = plan.fastening === 'two-buttons' ? [0.2, 0.75] : [0.15]
    const marks =
      side === 'left'
        ? rows.flatMap((row) => buttonholes.map(({ atMm }, i) => ({ id: `hole-${i + 1}`, at: [eachMm - atMm, shoulderMm * row] as PatternPoint })))
        : []
    return { ...piece, marks }
  }
  const shoulder = shaped.worn.find((each) => each.edge === 'front')?.points ?? []
  const girthMm = numbers.M07?.mm ?? mm('M21')
  const band = bandFor({
    sex: about?.sex ?? null,
    girthMm,
    restless: plan.fastening === 'strips-clips',
    ringMm: mm('M21') || girthMm,
    coveredMm: 2 * Math.min(halfMm, shaped.bandMm),
    sternumToSheathMm: form.measures.M30?.mm ?? null,
    clearMm: SHEATH_MM,
  })
  const strips = band.kind === 'strips'
  const bandPiece = strip(
    { id: 'band', name: strips ? 'Belly strip' : 'Belly band', count: strips ? 2 : 1 },
    strips ? Math.max(60, band.gapMm / 2 + BAND_OVERLAP_MM / 2) : band.gapMm + BAND_OVERLAP_MM,
    band.stripMm ?? Math.min(60, Math.max(25, girthMm * 0.1)),
    seam,
  )
  const seams: Seam[] = (['left', 'right'] as const).map((side) => ({
    id: `shoulder-${side}`,
    a: [[`front-${side}`, 'shoulder']],
    b: [['back', 'shoulder']],
    easeMm: 0,
  }))
  const openingMm = 2 * edgeLength(back, 'neck') + (plan.fastening === 'sewn-shut' ? spanMm : Math.max(spanMm, 2 * eachMm))
  const shut = plan.fastening === 'sewn-shut'
  const needsMm = shut ? mm('M04') : mm('M02') + 20
  return {
    pieces: [{ ...back, lines }, front('left'), front('right'), bandPiece],
    seams,
    openings: [{ id: 'neck', mm: openingMm, needsMm }],
    checks: [
      hemCheck(ease.lengthMm, sigma('M15')),
      garmentCheck('fronts-meet', plan.growing ? reaches(overlapMm, 0, sigma('M19')) : numbers.M19?.from === 'taken' ? 'holds' : 'doubt', {
        mm: overlapMm, needsMm: 0, sigmaMm: sigma('M19'), symptom: 'S57', at: { piece: 'front-left', edge: 'front' },
      }),
      garmentCheck('passes-head', reaches(openingMm, needsMm, shut ? sigma('M04') : sigma('M02')), {
        mm: openingMm, needsMm, sigmaMm: shut ? sigma('M04') : sigma('M02'), symptom: shut ? 'S58' : 'S57', at: { piece: 'back', edge: 'neck' },
      }),
    ],
    buttonholes,
    worn: [
      ...shaped.worn.map((each) => (each.edge === 'front' ? { ...each, edge: 'shoulder' } : each)),
      ...wornFront(shoulder, form, 'front-left', 1),
      ...wornFront(shoulder, form, 'front-right', -1),
      ...wornBand(cloth, cloth.band, band.stripMm ?? 30, 'band'),
    ],
    cuts: plan.cut === 'shaped' ? shaped.cuts : [],
    strained: plan.cut === 'shaped' ? strainedCells('back', shaped.laid, PULLS) : [],
  } // prettier-ignore
}

/** The shaped back under a rug's names: its front seam is where the fronts are sewn on. */
const withShoulder = (piece: PatternPiece): PatternPiece => ({
  ...piece,
  edges: piece.edges.map((edge) => (edge.id === 'front' ? { ...edge, id: 'shoulder' } : edge)),
  notches: piece.notches.map((notch) => (notch.edge === 'front' ? { ...notch, edge: 'shoulder' } : notch)),
})

/** A straight back: half of it on the fold, the neck split where the shoulders begin. */
function plainBack(longMm: number, halfMm: number, neckMm: number, { seam, hem }: { seam: number; hem: number }): PatternPiece {
  const edges = [
    edgeOf('neck', [[longMm, 0], [longMm, neckMm]], hem, 'hem'),
    edgeOf('shoulder', [[longMm, neckMm], [longMm, halfMm]], seam, 'seam'),
    edgeOf('hem', [[longMm, halfMm], [0, halfMm]], hem, 'hem'),
    edgeOf('tail', [[0, halfMm], [0, 0]], hem, 'hem'),
    edgeOf('centre-back', [[0, 0], [longMm, 0]], 0, 'fold'),
  ] // prettier-ignore
  return {
    id: 'back', name: 'Back', count: 1, mirrored: false, fold: 'centre-back', edges, darts: [], notches: [{ edge: 'shoulder', share: 0.5, count: 1 }],
    grain: [[longMm * 0.25, halfMm * 0.5], [longMm * 0.75, halfMm * 0.5]], lines: [],
    marks: [{ id: 'lead-slot', at: [longMm * 0.86, 0] }],
  } // prettier-ignore
}

/** Bands where they stay in sight under a harness: round the shoulders and along both sides. */
const reflective = (longMm: number, halfMm: number): PatternPiece['lines'] => [
  { id: 'reflective-shoulder', points: [[longMm * 0.78, halfMm * 0.08], [longMm * 0.78, halfMm * 0.8]] },
  { id: 'reflective-side', points: [[longMm * 0.2, halfMm * 0.62], [longMm * 0.7, halfMm * 0.62]] },
] // prettier-ignore
