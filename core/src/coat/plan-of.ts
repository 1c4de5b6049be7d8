import type { GarmentPlan } from '../model/index.ts'
import type { Cloth, FullPlan, GarmentFamily } from './garment-type.ts'

/** What each cloth is usually given, mm. From memory, unverified. */
const EASE: Readonly<Record<Cloth, FullPlan['ease']>> = {
  woven: { girthMm: 40, neckMm: 20, headMm: 20, lengthMm: 0 },
  fleece: { girthMm: 25, neckMm: 15, headMm: 20, lengthMm: 0 },
  knit: { girthMm: 0, neckMm: 0, headMm: 10, lengthMm: 0 },
}
const ALLOWANCES: Readonly<Record<Cloth, FullPlan['allowancesMm']>> = {
  woven: { seam: 10, hem: 25 },
  fleece: { seam: 10, hem: 20 },
  knit: { seam: 0, hem: 0 },
}
/** What each family is usually made of and how. From memory, unverified; a suit is cut roomy and drawn in by its cords. */
const FAMILIES: Readonly<
  Record<GarmentFamily, { cloth: Cloth; cut: FullPlan['cut']; fastening: FullPlan['fastening']; overlapMm: number; ease?: Partial<FullPlan['ease']> }>
> = {
  C1: { cloth: 'knit', cut: 'plain', fastening: 'one-button', overlapMm: 0 },
  C2: { cloth: 'knit', cut: 'shaped', fastening: 'sewn-shut', overlapMm: 0 },
  C3: { cloth: 'fleece', cut: 'shaped', fastening: 'strips-clips', overlapMm: 60 },
  C4: { cloth: 'woven', cut: 'shaped', fastening: 'two-buttons', overlapMm: 0, ease: { girthMm: 100, neckMm: 60, headMm: 40, lengthMm: 20 } },
  C5: { cloth: 'woven', cut: 'shaped', fastening: 'band-buckle', overlapMm: 0 },
}

/** The families this room drafts, each with the cloth it is usually of. */
export const usualCloth = (family: GarmentFamily): Cloth => FAMILIES[family].cloth

const held = (value: number | undefined, usual: number, low: number, high: number): number =>
  value === undefined || !Number.isFinite(value) ? usual : Math.min(high, Math.max(low, value))

/** A plan with the family's and the cloth's own filled in; wild numbers are held within what can be cut. */
export function fullPlanOf(family: GarmentFamily, plan: GarmentPlan): FullPlan {
  const own = FAMILIES[family]
  const cloth = plan.cloth ?? own.cloth
  const usual = { ...EASE[cloth], ...own.ease }
  const ease = (zone: keyof FullPlan['ease']): number => held(plan.ease?.[zone], usual[zone], -300, 600)
  return {
    ease: { girthMm: ease('girthMm'), neckMm: ease('neckMm'), headMm: ease('headMm'), lengthMm: ease('lengthMm') },
    overlapMm: held(plan.overlapMm, own.overlapMm, 0, 400),
    allowancesMm: { seam: held(plan.allowancesMm?.seam, ALLOWANCES[cloth].seam, 0, 100), hem: held(plan.allowancesMm?.hem, ALLOWANCES[cloth].hem, 0, 100) },
    cloth,
    cut: plan.cut ?? own.cut,
    growing: plan.growing ?? false,
    // Woven cloth does not give over the rump.
    darts: plan.darts ?? cloth === 'woven',
    hem: plan.hem ?? 'elbow',
    fastening: plan.fastening ?? own.fastening,
    moves: (plan.moves ?? []).filter(({ mm }) => Number.isFinite(mm)),
  }
}
