import { edgeOf, flatDistance, flatLength, type PatternPoint, type PatternPiece } from '../pattern/index.ts'

const STEPS = 24

/** A curve from a to b of a wanted length, bulging to its left; where the chord is longer already, straight. */
function bowed(a: PatternPoint, b: PatternPoint, sag: number): PatternPoint[] {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  return Array.from({ length: STEPS + 1 }, (_, i): PatternPoint => {
    const t = i / STEPS
    const off = 4 * sag * t * (1 - t)
    return [a[0] + dx * t - dy * off, a[1] + dy * t + dx * off]
  })
}

/** A curve with a share of bow, from a point in a direction, exactly so long. */
function ofLength(from: PatternPoint, [ux, uy]: PatternPoint, mm: number, sag: number): PatternPoint[] {
  const unit = flatLength(bowed([0, 0], [1, 0], sag))
  const chord = mm / unit
  return bowed(from, [from[0] + ux * chord, from[1] + uy * chord], sag)
}

export interface HoodShape {
  crownMm: number
  neckMm: number
  faceMm: number
  /** Between crown and neck seam, and between crown and face, at the top, radians. */
  neckRad: number
  faceRad: number
  seamMm: number
}

/**
 * Half a hood, drawn flat by its lengths: crown, neck seam and face are as long as asked; the throat joins what is left.
 * A hood laid out from rings lost 7 to 8 in 100 of them, so the rings are drawn, not flattened.
 *
 * @returns the piece, and half the narrowest ring inside it, mm
 */
export function hoodPiece({ crownMm, neckMm, faceMm, neckRad, faceRad, seamMm }: HoodShape): { piece: PatternPiece; narrowMm: number } {
  const top: PatternPoint = [0, 0]
  const crown = ofLength(top, [1, 0], crownMm, -0.03)
  const front = crown.at(-1) as PatternPoint
  const neck = ofLength(top, [Math.cos(neckRad), Math.sin(neckRad)], neckMm, 0.03)
  const face = ofLength(front, [Math.cos(faceRad), Math.sin(faceRad)], faceMm, -0.03)
  const [low, chin] = [neck.at(-1) as PatternPoint, face.at(-1) as PatternPoint]
  // The throat bows in only as far as every ring between still passes.
  const narrowest = (throat: readonly PatternPoint[]): number =>
    Math.min(...throat.map((p, i) => flatDistance(p, crown[crown.length - 1 - i] as PatternPoint)), flatDistance(front, chin), flatDistance(top, low))
  const narrow = Math.min(faceMm, neckMm)
  let throat = bowed(chin, low, 0)
  for (const sag of [0.06, 0.03, 0, -0.04, -0.08, -0.12]) {
    throat = bowed(chin, low, sag)
    if (narrowest(throat) >= narrow * 0.985) break
  }
  const edges = [
    edgeOf('crown', crown, seamMm, 'seam'),
    edgeOf('face', face, seamMm, 'hem'),
    edgeOf('throat', throat, seamMm, 'seam'),
    edgeOf('neck', [...neck].reverse(), seamMm, 'seam'),
  ]
  const inner = Math.min(...throat.slice(1, -1).map((p, i) => flatDistance(p, crown[crown.length - 2 - i] as PatternPoint)))
  return {
    narrowMm: Math.min(faceMm, neckMm, inner),
    piece: {
      id: 'hood', name: 'Hood', count: 2, mirrored: true, fold: null, edges, darts: [],
      notches: [{ edge: 'crown', share: 0.5, count: 1 }, { edge: 'neck', share: 0.5, count: 2 }],
      grain: [[crownMm * 0.25, faceMm * 0.45], [crownMm * 0.75, faceMm * 0.45]], lines: [], marks: [],
    }, // prettier-ignore
  }
}
