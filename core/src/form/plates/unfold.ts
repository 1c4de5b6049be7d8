import type { Flat } from '../hull.ts'

/** Where two stretches cross, if they do. */
function crossing(a: Flat, b: Flat, c: Flat, d: Flat): Flat | null {
  if (Math.max(a[0], b[0]) < Math.min(c[0], d[0]) || Math.max(c[0], d[0]) < Math.min(a[0], b[0])) return null
  if (Math.max(a[1], b[1]) < Math.min(c[1], d[1]) || Math.max(c[1], d[1]) < Math.min(a[1], b[1])) return null
  const [ux, uz, vx, vz] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]]
  const across = ux * vz - uz * vx
  if (Math.abs(across) < 1e-15) return null
  const s = ((c[0] - a[0]) * vz - (c[1] - a[1]) * vx) / across
  const t = ((c[0] - a[0]) * uz - (c[1] - a[1]) * ux) / across
  return s > 0 && s < 1 && t > 0 && t < 1 ? [a[0] + s * ux, a[1] + s * uz] : null
}

/**
 * Takes the small loops out of a closed outline, so that no plate ever crosses itself: at each crossing the shorter way
 * round is cut off.
 */
export function unfolded(points: readonly Flat[]): Flat[] {
  let out = [...points]
  for (let cuts = 0; cuts < 40; cuts++) {
    const next = cutLoop(out)
    if (!next) return out
    out = next
  }
  return out
}

function cutLoop(points: readonly Flat[]): Flat[] | null {
  const n = points.length
  const at = (i: number): Flat => points[i % n] as Flat
  for (let i = 0; i < n - 2; i++) {
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue
      const meet = crossing(at(i), at(i + 1), at(j), at(j + 1))
      if (!meet) continue
      // The loop between is i+1 .. j; the rest goes round the other way.
      return j - i <= n / 2 ? [...points.slice(0, i + 1), meet, ...points.slice(j + 1)] : [meet, ...points.slice(i + 1, j + 1)]
    }
  }
  return null
}
