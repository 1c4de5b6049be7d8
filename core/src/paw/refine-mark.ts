import type { OutlinePoint } from './paw-size.ts'
import { brightness, type Picture } from './picture.ts'

/** Places along a side where its edge is looked for. */
const PLACES = 24
/** How far from where it is thought, share of the side. */
const REACH = 0.22
const LEAST_PLACES = 10

interface Line {
  at: OutlinePoint
  along: OutlinePoint
}

/** A line by total least squares, what lies far off it left out. */
function lineThrough(points: readonly OutlinePoint[]): Line | null {
  let kept = points
  for (let turn = 0; turn < 3; turn++) {
    if (kept.length < LEAST_PLACES) return null
    const n = kept.length
    const [mx, my] = [kept.reduce((sum, [x]) => sum + x, 0) / n, kept.reduce((sum, [, y]) => sum + y, 0) / n]
    let [xx, xy, yy] = [0, 0, 0]
    for (const [x, y] of kept) {
      xx += (x - mx) ** 2
      xy += (x - mx) * (y - my)
      yy += (y - my) ** 2
    }
    const at = 0.5 * Math.atan2(2 * xy, xx - yy)
    const along: OutlinePoint = [Math.cos(at), Math.sin(at)]
    const off = (p: OutlinePoint): number => Math.abs((p[0] - mx) * along[1] - (p[1] - my) * along[0])
    const sorted = kept.map(off).sort((a, b) => a - b)
    const most = Math.max(0.25, 3 * (sorted[n >> 1] as number))
    const next = kept.filter((p) => off(p) <= most)
    if (next.length === n || turn === 2) return { at: [mx, my], along }
    kept = next
  }
  return null
}

function cross(a: Line, b: Line): OutlinePoint | null {
  const det = a.along[0] * b.along[1] - a.along[1] * b.along[0]
  if (Math.abs(det) < 0.05) return null
  const t = ((b.at[0] - a.at[0]) * b.along[1] - (b.at[1] - a.at[1]) * b.along[0]) / det
  return [a.at[0] + t * a.along[0], a.at[1] + t * a.along[1]]
}

/** The steepest way from dark to light along a short line, px from its middle; `null` where nothing rises. */
function edgeAt(picture: Picture, from: OutlinePoint, out: OutlinePoint, reach: number): number | null {
  const step = Math.max(0.4, reach / 14)
  const n = Math.ceil(reach / step)
  const row = Array.from({ length: 2 * n + 3 }, (_, i) => brightness(picture, from[0] + out[0] * (i - n - 1) * step, from[1] + out[1] * (i - n - 1) * step))
  let [best, most] = [-1, 0]
  const rise = (i: number): number => (row[i + 1] ?? 0) - (row[i - 1] ?? 0)
  for (let i = 1; i <= 2 * n + 1; i++) if (rise(i) > most) [best, most] = [i, rise(i)]
  const span = Math.max(...row) - Math.min(...row)
  if (best < 1 || span < 12) return null
  const [before, here, after] = [best > 1 ? rise(best - 1) : most, most, best < 2 * n + 1 ? rise(best + 1) : most]
  const bow = before - 2 * here + after
  return (best - n - 1 + (bow < -1e-9 ? (0.5 * (before - after)) / bow : 0)) * step
}

/**
 * A mark's corners to a fraction of a pixel: the steepest fall across each side, a line through it, lines crossed.
 *
 * @param corners where they are thought to be, in order round
 * @returns `null` where a side cannot be made out
 */
export function refineMark(picture: Picture, corners: readonly OutlinePoint[]): OutlinePoint[] | null {
  const middle: OutlinePoint = [corners.reduce((sum, [x]) => sum + x, 0) / 4, corners.reduce((sum, [, y]) => sum + y, 0) / 4]
  let now = corners
  for (let turn = 0; turn < 2; turn++) {
    const lines = now.map((a, i): Line | null => {
      const b = now[(i + 1) % 4] as OutlinePoint
      const long = Math.hypot(b[0] - a[0], b[1] - a[1])
      if (long < 4) return null
      const normal: OutlinePoint = [(b[1] - a[1]) / long, -(b[0] - a[0]) / long]
      const way = (a[0] - middle[0]) * normal[0] + (a[1] - middle[1]) * normal[1] > 0 ? 1 : -1
      const out: OutlinePoint = [way * normal[0], way * normal[1]]
      const found = Array.from({ length: PLACES }, (_, k): OutlinePoint | null => {
        const t = 0.1 + (0.8 * k) / (PLACES - 1)
        const from: OutlinePoint = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
        const off = edgeAt(picture, from, out, (turn === 0 ? REACH : REACH / 2) * long)
        return off === null ? null : [from[0] + off * out[0], from[1] + off * out[1]]
      }).filter((point) => point !== null)
      return lineThrough(found)
    })
    const next = lines.map((line, i) => {
      const before = lines[(i + 3) % 4]
      return line && before ? cross(before, line) : null
    })
    if (!next.every((point) => point !== null)) return null
    now = next
  }
  const most = Math.hypot((corners[1]?.[0] ?? 0) - (corners[0]?.[0] ?? 0), (corners[1]?.[1] ?? 0) - (corners[0]?.[1] ?? 0))
  return now.every((p, i) => Math.hypot(p[0] - (corners[i]?.[0] ?? 0), p[1] - (corners[i]?.[1] ?? 0)) < 0.45 * most) ? [...now] : null
}
