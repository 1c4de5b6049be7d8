import { edgeLength, type ClothPoint, type Seam } from '../pattern/index.ts'
import { bandFor } from './band-for.ts'
import { clothOver } from './cloth-over.ts'
import type { Draft, Drafting } from './draft-type.ts'
import { garmentCheck, hemCheck, reaches } from './garment-check.ts'
import { PULLS, SHEATH_MM, strip } from './garment-rules.ts'
import { hoodOf } from './hood-of.ts'
import { hoodPiece } from './hood-piece.ts'
import { strainedCells } from './laid-out.ts'
import { backCovers, backPiece, chestPiece, type TrunkLengths } from './trunk-pieces.ts'
import { wornHood } from './worn-hood.ts'
import { wornAgain, wornBand } from './worn-parts.ts'

/** A leg passes a ring this much wider than it is, mm. */
const LEG_EASE_MM = 40
const CASING_MM = 40
const HOOD_ANGLE = { least: 1.45, most: 2.1 }

/** The hooded winter coat with its belly warmer (handbook 9.4). */
export function hoodedCoat({ form, about, male, plan, numbers, coatMm, mm, sigma }: Drafting): Draft {
  const { ease } = plan
  const cloth = clothOver(form, { m20Mm: mm('M20'), m21Mm: mm('M21'), m31Mm: mm('M31'), coatMm, easeMm: ease.girthMm })
  const lengths: TrunkLengths = {
    backMm: mm('M16') + ease.lengthMm,
    halfDropMm: Math.max(10, mm('M17') / 2 + ease.girthMm / 4),
    frontMm: mm('M23'),
    halfFrontMm: mm('M20') / 2,
    halfBandMm: Math.max(20, (mm('M21') + ease.girthMm) / 2),
  }
  const back = backPiece(cloth, lengths, plan)
  const bandMm = Math.max(10, lengths.halfBandMm - back.bandMm + plan.overlapMm)
  const chest = chestPiece(cloth, lengths, plan, { bandMm, backAt: backCovers(cloth, lengths, plan) })

  const sized = hoodOf({ m03Mm: mm('M03'), m04Mm: mm('M04'), m05Mm: mm('M05'), weightKg: mm('M00'), neckEaseMm: ease.neckMm, headEaseMm: ease.headMm })
  const neckMm = edgeLength(back.piece, 'neck') + edgeLength(chest.piece, 'neck')
  const { neckBase, throat, withers } = form.sections
  // Between nape and neck seam on the dog itself.
  const nape = Math.atan2(throat.tz - neckBase.tz, throat.tx - neckBase.tx)
  const seamDown = Math.atan2(neckBase.tz - withers.uz, withers.ux - neckBase.tx)
  const shape = {
    crownMm: sized.lengthMm,
    neckMm,
    neckRad: Math.min(HOOD_ANGLE.most, Math.max(HOOD_ANGLE.least, nape + seamDown)),
    faceRad: 1.75,
    seamMm: plan.allowancesMm.seam,
  }
  let faceMm = sized.openingMm / 2
  let hood = hoodPiece({ ...shape, faceMm })
  // Rings inside the hood count too: it is widened until the narrowest passes.
  for (let turn = 0; turn < 3 && hood.narrowMm < sized.openingMm / 2 - 0.05 && neckMm >= sized.openingMm / 2; turn++) {
    faceMm += sized.openingMm / 2 - hood.narrowMm
    hood = hoodPiece({ ...shape, faceMm })
  }

  const girthMm = numbers.M07?.mm ?? form.measures.M07?.mm ?? mm('M21')
  const band = bandFor({
    sex: about?.sex ?? null,
    girthMm,
    restless: plan.fastening === 'strips-clips' && girthMm >= 450,
    ringMm: lengths.halfBandMm * 2,
    coveredMm: 2 * (back.bandMm + bandMm),
    sternumToSheathMm: numbers.M30?.mm ?? null,
    clearMm: SHEATH_MM,
  })
  const seam = plan.allowancesMm.seam
  const strips = band.kind === 'strips'
  const bandPiece = strip(
    { id: 'band', name: strips ? 'Belly strip' : 'Belly band', count: strips ? 2 : 1 },
    strips ? plan.overlapMm + 60 : lengths.halfBandMm,
    2 * (band.stripMm ?? 30),
    seam,
  )
  const casing = strip({ id: 'casing', name: 'Cord casing' }, 2 * faceMm, CASING_MM, seam, ['outer', 'face'])
  const lining = { ...chest.piece, id: 'lining', name: 'Chest lining' }
  const seams: Seam[] = [
    { id: 'front', a: [['back', 'front']], b: [['chest', 'front']], easeMm: 0 },
    { id: 'neck', a: [['hood', 'neck']], b: [['back', 'neck'], ['chest', 'neck']], easeMm: 0 },
    { id: 'crown', a: [['hood', 'crown']], b: [['hood', 'crown']], easeMm: 0 },
    { id: 'throat', a: [['hood', 'throat']], b: [['hood', 'throat']], easeMm: 0 },
  ] // prettier-ignore

  const body = [...back.worn, ...chest.worn, ...wornHood(form, sized.lengthMm, [...(back.worn[0]?.points ?? [])], [...(chest.worn[0]?.points ?? [])])]
  const hoodMm = 2 * hood.narrowMm
  const legMm = chest.legMm + back.legHemMm
  const legNeeds = mm('M31') + LEG_EASE_MM
  const strained = [...strainedCells('back', back.laid, PULLS), ...strainedCells('chest', chest.laid, PULLS)]
  const worst = Math.max(back.laid.flat.strain.p95, chest.laid.flat.strain.p95)
  const gives = plan.cloth === 'woven' ? 0.06 : 0.14
  const aheadMm = mm('M06') + mm('M30') - mm('M23')
  return {
    pieces: [back.piece, chest.piece, hood.piece, lining, bandPiece, casing],
    seams,
    openings: [
      { id: 'hood', mm: hoodMm, needsMm: sized.openingMm },
      { id: 'leg', mm: legMm, needsMm: legNeeds },
    ],
    checks: [
      // The opening is drawn to its ring; in doubt is the ring itself, where it was only expected, and its ease.
      garmentCheck('hood-ring', reaches(hoodMm + 0.1, Math.max(mm('M03'), mm('M04')), Math.max(sigma('M03'), sigma('M04'))), {
        mm: hoodMm, needsMm: sized.openingMm, sigmaMm: Math.max(sigma('M03'), sigma('M04')), symptom: 'S60', at: { piece: 'hood', edge: 'face' },
      }),
      garmentCheck('hood-over-ears', reaches(sized.lengthMm, mm('M05') + 0.5 * sized.additionMm, sigma('M05')), {
        mm: sized.lengthMm, needsMm: mm('M05'), sigmaMm: sigma('M05'), symptom: 'S59', at: { piece: 'hood', edge: 'crown' },
      }),
      garmentCheck('over-shoulder', worst <= gives * 0.8 ? 'holds' : worst <= gives * 1.4 ? 'doubt' : 'fails', {
        mm: worst * lengths.halfDropMm, needsMm: gives * lengths.halfDropMm, symptom: 'S53', at: { piece: 'back', edge: 'front' },
      }),
      garmentCheck('leg-opening', reaches(legMm, legNeeds, sigma('M31')), {
        mm: legMm, needsMm: legNeeds, sigmaMm: sigma('M31'), symptom: 'S53', at: { piece: 'chest', edge: 'leg' },
      }),
      hemCheck(ease.lengthMm, sigma('M16')),
      garmentCheck('band-on-its-ring', plan.overlapMm >= 20 ? 'holds' : 'doubt', {
        mm: plan.overlapMm, needsMm: 20, sigmaMm: sigma('M21'), symptom: 'S52', at: { piece: 'chest', edge: 'band' },
      }),
      ...(male
        ? [garmentCheck('sheath', reaches(aheadMm, SHEATH_MM, Math.hypot(sigma('M30'), sigma('M23'), sigma('M06'))), {
            mm: aheadMm, needsMm: SHEATH_MM, sigmaMm: Math.hypot(sigma('M30'), sigma('M23'), sigma('M06')), symptom: 'S55', at: { piece: 'chest', edge: 'band' },
          })]
        : []),
    ], // prettier-ignore
    buttonholes: [],
    worn: [
      ...body,
      ...wornAgain(body, 'chest', ['neck', 'front', 'leg', 'side', 'band', 'centre-front'], 'lining'),
      ...wornBand(cloth, cloth.band, 2 * (band.stripMm ?? 30), 'band'),
      ...body.filter(({ piece, edge: id }) => piece === 'hood' && id === 'face').flatMap(({ points }) => wornCasing(points)),
    ],
    cuts: back.cuts,
    strained,
  }
}

/** The cord's casing along the face: its edges lie on it and a little behind. */
function wornCasing(face: readonly ClothPoint[]): Draft['worn'] {
  const behind = face.map(([x, y, z]): ClothPoint => [x - CASING_MM, y, z])
  const across = (i: number): ClothPoint[] => [face.at(i) as ClothPoint, behind.at(i) as ClothPoint]
  return [
    { piece: 'casing', edge: 'face', points: [...face] },
    { piece: 'casing', edge: 'outer', points: behind },
    { piece: 'casing', edge: 'start', points: across(0) },
    { piece: 'casing', edge: 'end', points: across(-1) },
  ]
}
