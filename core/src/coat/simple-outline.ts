import type { PatternPoint } from '../pattern/index.ts'

const side = (a: PatternPoint, b: PatternPoint, p: PatternPoint): number => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])

/** Does a closed outline nowhere cross itself? */
export function isSimple(outline: readonly PatternPoint[]): boolean {
  const n = outline.length
  if (n < 3 || outline.some((p) => !p.every(Number.isFinite))) return false
  for (let i = 0; i < n; i++) {
    const [a, b] = [outline[i] as PatternPoint, outline[(i + 1) % n] as PatternPoint]
    for (let k = i + 2; k < n; k++) {
      if (i === 0 && k === n - 1) continue
      const [c, d] = [outline[k] as PatternPoint, outline[(k + 1) % n] as PatternPoint]
      if (Math.max(a[0], b[0]) < Math.min(c[0], d[0]) || Math.max(c[0], d[0]) < Math.min(a[0], b[0])) continue
      if (side(a, b, c) * side(a, b, d) < -1e-9 && side(c, d, a) * side(c, d, b) < -1e-9) return false
    }
  }
  return true
}
