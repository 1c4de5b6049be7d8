import { gaugeBlock, slackUnder, type FlatPoint } from '../fit/index.ts'
import type { Form } from '../form/index.ts'
import { askNumbers } from '../units/index.ts'
import { outlineUnder } from '../lay/index.ts'
import type { FingerGauge } from '../model/index.ts'

export interface CarFingers {
  /** Slack that eight fingers ask in front, and a hand behind, on a circle. */
  frontMm: number
  backMm: number
  /** In front on this dog’s own section, by where at its sides the fingers go. */
  frontRangeMm?: readonly [number, number]
}

const ROUND = 240

const circle = (ringMm: number): FlatPoint[] =>
  Array.from({ length: ROUND }, (_, i): FlatPoint => {
    const at = (2 * Math.PI * i) / ROUND
    return [(ringMm / (2 * Math.PI)) * Math.cos(at), (ringMm / (2 * Math.PI)) * Math.sin(at)]
  })

/**
 * What the car’s finger rules mean in strap: four and four at the sides in front, one hand behind (V41, V42, common
 * practice; handbook 7.2).
 *
 * @param frontMm ring in front, behind; mm
 * @param gauge whose fingers; `null`: anybody’s
 * @throws RangeError for a ring that is none
 */
export function carFingers({ frontMm, backMm, gauge, form }: { frontMm: number; backMm: number; gauge: FingerGauge | null; form?: Form }): CarFingers {
  askNumbers({ frontMm, backMm }, 50)
  const [four, hand] = [gaugeBlock('four', gauge), gaugeBlock('hand', gauge)]
  const [front, back] = [frontMm / (2 * Math.PI), backMm / (2 * Math.PI)]
  const sides = [
    { at: [front, 0] as const, normal: [1, 0] as const, ...four },
    { at: [-front, 0] as const, normal: [-1, 0] as const, ...four },
  ]
  return {
    frontMm: slackUnder(circle(frontMm), sides),
    backMm: slackUnder(circle(backMm), [{ at: [0, back], normal: [0, 1], ...hand }]),
    ...(form ? { frontRangeMm: onSection(outlineUnder(form, 'H24', 'neck'), four) } : {}),
  }
}

/** From the flanks to the corners of the lower chest: the least and the most that four and four ask. */
function onSection(outline: readonly FlatPoint[], four: { widthMm: number; thicknessMm: number }): readonly [number, number] {
  const half = (outline.length + 2) / 2
  const middle = outline.reduce((sum, [, y]) => sum + y, 0) / outline.length
  const asked = Array.from({ length: half }, (_, i) => i).flatMap((i) => {
    const [x, y] = outline[i] as FlatPoint
    // Where fingers go in at the side, not on the back or the keel.
    if (x < 1 || y > middle * 1.3) return []
    const normal: FlatPoint = [x, y - middle]
    return [
      slackUnder(outline, [
        { at: [x, y], normal, ...four },
        { at: [-x, y], normal: [-normal[0], normal[1]], ...four },
      ]),
    ]
  })
  return [Math.min(...asked), Math.max(...asked)]
}
