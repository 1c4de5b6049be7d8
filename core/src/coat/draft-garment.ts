import { flatArea, opened, pieceCutLine, sewLine, type PatternPiece } from '../pattern/index.ts'
import { cutRug } from './cut-rug.ts'
import type { Draft, Drafting } from './draft-type.ts'
import type { Garment, GarmentFamily, GarmentQuestion } from './garment-type.ts'
import { garmentCheck } from './garment-check.ts'
import { hoodedCoat } from './hooded-coat.ts'
import { movedGarment } from './moved-garment.ts'
import { coatOf, numbersOf } from './numbers-of.ts'
import { fullPlanOf } from './plan-of.ts'
import { rainSuit } from './rain-suit.ts'
import { isSimple } from './simple-outline.ts'
import { sweater } from './sweater.ts'

const DRAFTS: Readonly<Record<GarmentFamily, (drafting: Drafting) => Draft>> = { C1: cutRug, C2: sweater, C3: hoodedCoat, C4: rainSuit, C5: cutRug }
/** Drafts nobody has tried. */
const NEVER_TRIED: readonly GarmentFamily[] = ['C2', 'C4']

/** Cloth in a piece as it is cut, all copies, mm2. */
export function clothOf(piece: PatternPiece): number {
  try {
    return Math.abs(flatArea(opened(piece, pieceCutLine(piece)))) * piece.count
  } catch {
    return 0
  }
}

/**
 * A garment from tapes and the solved form: flat pieces with their seams, what they are worn like, and what is foretold of
 * them. What was not taken is expected; tapes that contradict each other give a finite answer with a check that fails.
 * Never throws. Source: handbook 9.1 to 9.5 and docs/decisions/0022; no piece of it has been sewn.
 *
 * @param question the family, the form and agreed body (mm; M00 kg), what is known of the dog, and what the plan asks
 */
export function draftGarment({ family, form, body, about, plan }: GarmentQuestion): Garment {
  const full = fullPlanOf(family, plan)
  const numbers = numbersOf(family, form, body)
  const drafting: Drafting = {
    family,
    form,
    about,
    male: (about?.sex ?? form.sex) === 'male',
    plan: full,
    numbers,
    coatMm: coatOf(form),
    mm: (id) => numbers[id]?.mm ?? form.measures[id]?.mm ?? 0,
    sigma: (id) => numbers[id]?.sigmaMm ?? form.measures[id]?.sigmaMm ?? 0,
  }
  const common = { family, plan: full, numbers, firstDraft: NEVER_TRIED.includes(family) }
  try {
    const draft = DRAFTS[family](drafting)
    const garment = movedGarment({ ...draft, ...common, clothMm2: 0 }, full.moves)
    const { pieces } = garment
    const crossed = pieces.find((piece) => !isSimple(sewLine(piece)))
    const clothMm2 = pieces.reduce((sum, piece) => sum + clothOf(piece), 0)
    const outline = crossed ? [garmentCheck('outline', 'fails', { mm: 0, needsMm: 0, at: { piece: crossed.id, edge: crossed.edges[0]?.id ?? '' } })] : []
    return { ...garment, checks: [...garment.checks, ...outline], clothMm2 }
  } catch {
    // Numbers no cloth can follow: nothing half drawn is handed out.
    return {
      ...common, pieces: [], seams: [], openings: [], checks: [garmentCheck('outline', 'fails', { mm: 0, needsMm: 0 })], buttonholes: [], worn: [], clothMm2: 0, strained: [], cuts: [],
    } // prettier-ignore
  }
}
