import type { Corridor } from '../src/form/lay-string.ts'
import { pointOn, type Point3 } from '../src/form/point-on.ts'
import type { Station } from '../src/form/stations.ts'

/*
 * A reference of its own for shortest strings over a row of sections: a dynamic programme over a fine grid of angles on
 * many sections, where a stretch may also leave the skin and jump over sections it stays outside of.
 */
const STEPS = [1, 2, 3, 4, 6, 9, 13, 18, 24]
const ANGLES = 121

const distance = (a: Point3, b: Point3): number => Math.sqrt((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2)

/** Is the straight stretch outside the section where it meets its plane? */
function clears(a: Point3, b: Point3, cut: Station): boolean {
  const [ex, ez] = [cut.tx - cut.ux, cut.tz - cut.uz]
  const [from, to] = [-(a[0] - cut.ux) * ez + (a[2] - cut.uz) * ex, -(b[0] - cut.ux) * ez + (b[2] - cut.uz) * ex]
  if (from * to > 0) return true
  const t = from / (from - to || 1e-12)
  const [x, y, z] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]
  const up = ((x - cut.ux) * ex + (z - cut.uz) * ez) / (ex * ex + ez * ez) - cut.v
  const share = up >= 0 ? 1 - cut.v : cut.v
  return Math.abs(y / cut.w) ** cut.p + Math.abs(up / share) ** cut.p >= 0.998
}

/**
 * Length of the shortest string.
 *
 * @param around angle on each section to search about, and how far to either side
 */
export function densePath(cuts: readonly Station[], from: number, to: number, around: readonly number[], window: number, corridor: Corridor): number {
  const grid = cuts.map((cut, i) =>
    i === 0
      ? [pointOn(cut, from)]
      : i === cuts.length - 1
        ? [pointOn(cut, to)]
        : Array.from({ length: ANGLES }, (_, k) => Math.max(-Math.PI / 2, Math.min(Math.PI / 2, (around[i] ?? 0) + window * ((2 * k) / (ANGLES - 1) - 1))))
            .map((angle) => pointOn(cut, angle))
            .filter((point) => point[1] <= corridor(i)),
  )
  const best = grid.map((row) => new Float64Array(row.length).fill(Infinity))
  ;(best[0] as Float64Array)[0] = 0
  for (let i = 1; i < cuts.length; i++) {
    for (const step of STEPS) {
      const j = i - step
      if (j < 0) break
      const [here, there] = [grid[i] ?? [], grid[j] ?? []]
      for (let b = 0; b < here.length; b++) {
        for (let a = 0; a < there.length; a++) {
          const so = (best[j]?.[a] ?? Infinity) + distance(there[a] as Point3, here[b] as Point3)
          if (so >= (best[i]?.[b] ?? Infinity)) continue
          let free = true
          for (let k = j + 1; k < i && free; k += step > 8 ? 2 : 1) free = clears(there[a] as Point3, here[b] as Point3, cuts[k] as Station)
          if (free) (best[i] as Float64Array)[b] = so
        }
      }
    }
  }
  return best.at(-1)?.[0] ?? Number.NaN
}
