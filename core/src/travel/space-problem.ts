import { convex } from './flat-limits.ts'
import type { LoadSpace } from './load-space.ts'

export type SpaceProblem = 'floor-crosses' | 'side-crosses' | 'arch-outside'

const isConvex = (points: readonly (readonly [number, number])[]): boolean => {
  try {
    convex(points, 'outline')
    return true
  } catch {
    return false
  }
}

/** What is wrong with a load space as it was measured, the first thing; `null` where nothing is. */
export function spaceProblem({ floor, side, arches }: LoadSpace): SpaceProblem | null {
  if (!isConvex(floor)) return 'floor-crosses'
  if (!isConvex(side)) return 'side-crosses'
  const [xs, ys] = [floor.map(([x]) => x), floor.map(([, y]) => y)]
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  // A tape is laid to the centimetre.
  const out = arches.some(({ xMm, yMm }) => xMm[0] < x0 - 10 || xMm[1] > x1 + 10 || yMm[0] < y0 - 10 || yMm[1] > y1 + 10)
  return out ? 'arch-outside' : null
}
