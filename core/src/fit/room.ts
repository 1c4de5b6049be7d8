import type { Form } from '../form/index.ts'
import { outlineUnder, type AimRoom } from '../lay/index.ts'
import type { FamilyId, FingerGauge } from '../model/index.ts'
import { gaugeBlock, slackUnder, type FlatPoint, type GaugeName } from './fingers.ts'
import { fingersWide } from './judge-answer.ts'

/** More than so many fingers wider and the next one goes in: the gauge no longer fits, it wobbles. Ours. */
const NEXT_FINGER = 0.5
/** Fingers are tried on a ring this long and more; on a smaller one they stand for as much less (handbook 7.1). Ours. */
const WHOLE_FINGERS_MM = 420

/**
 * The strap room in which fingers go in flat and no more of them: at the side of a section they take the least, on top the
 * most; flesh gives, so half of that is the least.
 *
 * @param blocks how many lots of them, one on each side
 */
export function roomFor(outline: readonly FlatPoint[], name: GaugeName, gauge: FingerGauge | null, blocks: 1 | 2 = 1): { leastMm: number; mostMm: number } {
  const n = (outline.length + 2) / 2
  const side = Math.floor(n / 2)
  const size = gaugeBlock(name, gauge)
  const [flank, top, other] = [outline[side], outline[n - 1], outline[outline.length - side]] as [FlatPoint, FlatPoint, FlatPoint]
  const onSide = slackUnder(
    outline,
    blocks === 2
      ? [
          { at: flank, normal: [1, 0], ...size },
          { at: other, normal: [-1, 0], ...size },
        ]
      : [{ at: flank, normal: [1, 0], ...size }],
  )
  const onTop = slackUnder(outline, [{ at: top, normal: [0, 1], ...size, widthMm: size.widthMm + NEXT_FINGER * gaugeBlock('one', gauge).widthMm }]) * blocks
  const ringMm = outline.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = outline[(i + 1) % outline.length] as FlatPoint
    return sum + Math.hypot(nextX - x, nextY - y)
  }, 0)
  const by = Math.min(1, ringMm / WHOLE_FINGERS_MM)
  return { leastMm: by * 0.5 * Math.min(onSide, onTop), mostMm: by * Math.max(onSide, onTop) }
}

/** A neck on the roomy side of two fingers: on the lead it climbs. Ours. */
const NECK_SHARE = 0.7

/** Two fingers flat under each ring, two and a half wide behind the elbow (handbook 7.1, 7.2). */
export function usualRoom(form: Form, family: FamilyId, gauge: FingerGauge | null): AimRoom {
  const within = (ring: 'neck' | 'girth' | 'belly', share: number): number => {
    const { leastMm, mostMm } = roomFor(outlineUnder(form, family, ring), 'two', gauge)
    return leastMm + share * (mostMm - leastMm)
  }
  const girthMm = form.measures.M07?.mm ?? null
  const wide = fingersWide({ kind: 'wide', passFingers: [2, 3], passMm: [40, 60] }, { girthMm, fingerMm: gauge ? gauge.twoMm / 2 : null })
  return {
    neckMm: within('neck', NECK_SHARE),
    neckLeastMm: within('neck', 0.15),
    neckMostMm: within('neck', 0.98),
    girthMm: within('girth', 0.5),
    bellyMm: within('belly', 0.5),
    behindElbowMm: (wide.mm[0] + wide.mm[1]) / 2,
  }
}
