type Point3 = [x: number, y: number, z: number]

/**
 * A strap over a box between two anchors, taut in their upright plane: how long it is and where it runs. No strength is
 * promised by it.
 *
 * @param box its floor from and to, and its height, mm; @param anchors where it is hooked in
 * @returns `null` where it would not pass over the box
 * @throws RangeError for a box that is none
 */
export function strapOver(
  { x, y, heightMm }: { x: readonly [from: number, to: number]; y: readonly [from: number, to: number]; heightMm: number },
  anchors: readonly [readonly [number, number, number], readonly [number, number, number]],
): { lengthMm: number; points: Point3[] } | null {
  if (!(x[1] > x[0]) || !(y[1] > y[0]) || !(heightMm > 0) || ![...x, ...y, heightMm, ...anchors.flat()].every(Number.isFinite))
    throw new RangeError('a box goes from less to more and is higher than 0 mm')
  const [a, b] = anchors
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const long = Math.hypot(dx, dy)
  // Where the plane cuts the box, as shares of the way (Liang & Barsky 1984).
  let [from, to] = [0, 1]
  for (const [p, d, [low, high]] of [[a[0], dx, x], [a[1], dy, y]] as const) {
    if (Math.abs(d) < 1e-12) {
      if (p < low || p > high) return null
      continue
    }
    const [t0, t1] = [(low - p) / d, (high - p) / d]
    from = Math.max(from, Math.min(t0, t1))
    to = Math.min(to, Math.max(t0, t1))
  } // prettier-ignore
  if (long < 1e-9 || to - from < 1e-9) return null
  const at = (t: number, z: number): Point3 => [a[0] + dx * t, a[1] + dy * t, z]
  // Over both upper edges, unless an anchor lies so high that the strap stays off one.
  const row: { t: number; p: Point3 }[] = [{ t: 0, p: [...a] }, { t: from, p: at(from, heightMm) }, { t: to, p: at(to, heightMm) }, { t: 1, p: [...b] }] // prettier-ignore
  const hull: typeof row = []
  for (const each of row) {
    for (;;) {
      const [p, q] = [hull.at(-2), hull.at(-1)]
      if (!p || !q) break
      const turn = (q.t - p.t) * (each.p[2] - p.p[2]) - (q.p[2] - p.p[2]) * (each.t - p.t)
      if (turn < 0) break
      hull.pop()
    }
    hull.push(each)
  }
  if (hull.length < 3) return null
  const points = hull.map(({ p }) => p)
  const lengthMm = points.reduce(
    (sum, p, i) => sum + (i === 0 ? 0 : Math.hypot(p[0] - (points[i - 1]?.[0] ?? 0), p[1] - (points[i - 1]?.[1] ?? 0), p[2] - (points[i - 1]?.[2] ?? 0))),
    0,
  )
  return { lengthMm, points }
}
