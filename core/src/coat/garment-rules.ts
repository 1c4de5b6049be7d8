import { rectangle, type PatternPiece } from '../pattern/index.ts'

/** A hem under the belly stays this far ahead of the sheath (handbook V38: 2 in). */
export const SHEATH_MM = 50.8
/** Strain from which cloth would pull: cut on the fold to tapes, and in what gives or is roomy. Ours, of a trial. */
export const PULLS = 0.085
export const PULLS_ROOMY = 0.12

/** A straight strip: band, collar, casing, tunnel. Its edges are `end`, `start` and its long ones. */
export function strip(
  { id, name, count = 1 }: { id: string; name: string; count?: number },
  longMm: number,
  wideMm: number,
  allowanceMm: number,
  [upper, lower]: readonly [string, string] = ['long-a', 'long-b'],
): PatternPiece {
  const edge = (name: string) => ({ id: name, kind: 'seam' as const, allowanceMm })
  return rectangle({ id, name, count, mirrored: false }, longMm, wideMm, [edge('end'), edge(upper), edge('start'), edge(lower)])
}
