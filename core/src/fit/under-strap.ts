import type { Form } from '../form/index.ts'
import type { CheckId } from '../gear/index.ts'
import { outlineUnder, strapsOf } from '../lay/index.ts'
import type { FamilyId, FingerGauge } from '../model/index.ts'
import { CHECK_READS } from './check-reads.ts'
import { fingersIn, gaugeBlock, slackUnder, type FlatPoint } from './fingers.ts'

/** What fingers under a strap mean in strap, on this dog by this hand. */
export interface UnderStrap {
  /** Strap over the tight ring with so many fingers in flat, mm. */
  slackOf: (fingers: number) => number
  /** How many flat fingers so much strap lets in, by halves. */
  fingersOf: (mm: number) => number
}

const RINGS = { neckRoom: 'neck', girthRoom: 'girth', bellyRoom: 'belly' } as const

/**
 * Fingers as strap under the ring a check is made at, tried at its side; `null` where no ring is known.
 *
 * @param gauge whose fingers; `null`: anybody's
 */
export function underStrap(form: Form, family: FamilyId, check: CheckId, gauge: FingerGauge | null): UnderStrap | null {
  if (strapsOf(family).length === 0) return null
  const figure = CHECK_READS[check]?.figure
  const ring = check === 'under-every-strap' ? 'girth' : figure && figure in RINGS ? RINGS[figure as keyof typeof RINGS] : null
  if (ring === null) return null
  const outline = outlineUnder(form, family, ring)
  const side = Math.floor((outline.length + 2) / 4)
  const place = { at: outline[side] as FlatPoint, normal: [1, 0] as const }
  const one = gaugeBlock('one', gauge)
  return {
    slackOf: (fingers) => (fingers <= 0 ? 0 : slackUnder(outline, [{ ...place, widthMm: one.widthMm * fingers, thicknessMm: one.thicknessMm }])),
    fingersOf: (mm) => fingersIn(outline, place, Math.max(0, mm), gauge),
  }
}
