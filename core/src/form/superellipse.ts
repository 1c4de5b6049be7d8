/** Arcs per quarter; the finer polygon and half as fine a one are extrapolated together (Richardson). */
const ARCS = 16

interface Unit {
  cos: Float64Array
  sin: Float64Array
  /** Area of the unit quarter. */
  area: number
}

/** Points of the unit quarter |x|^p + |y|^p = 1, evenly spread by polar angle. */
function unitQuarter(p: number): Unit {
  const cos = new Float64Array(ARCS + 1)
  const sin = new Float64Array(ARCS + 1)
  for (let i = 0; i <= ARCS; i++) {
    const angle = (i / ARCS) * (Math.PI / 2)
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    const r = i === 0 || i === ARCS ? 1 : (c ** p + s ** p) ** (-1 / p)
    cos[i] = i === ARCS ? 0 : r * c
    sin[i] = r * s
  }
  // Simpson over half r squared.
  let sum = 0
  for (let i = 0; i <= ARCS; i++) sum += ((cos[i] ?? 0) ** 2 + (sin[i] ?? 0) ** 2) * (i === 0 || i === ARCS ? 1 : i % 2 === 1 ? 4 : 2)
  return { cos, sin, area: (sum * (Math.PI / 2 / ARCS)) / 6 }
}

const known = new Map<number, Unit>()

/** Only the exponent decides the unit quarter; the few in use at a time are kept. */
function unit(p: number): Unit {
  let found = known.get(p)
  if (!found) {
    found = unitQuarter(p)
    if (known.size > 24) known.clear()
    known.set(p, found)
  }
  return found
}

function chords({ cos, sin }: Unit, a: number, b: number, step: number): number {
  let sum = 0
  for (let i = step; i <= ARCS; i += step) {
    const dx = a * ((cos[i] ?? 0) - (cos[i - step] ?? 0))
    const dy = b * ((sin[i] ?? 0) - (sin[i - step] ?? 0))
    sum += Math.sqrt(dx * dx + dy * dy)
  }
  return sum
}

/**
 * Length of a quarter of the superellipse |x/a|^p + |y/b|^p = 1.
 *
 * @param a half axis across, any unit; @param b half axis up, same unit; @param p exponent, 1 or more (2: an ellipse)
 * @returns same unit; within 0.01 % of the complete elliptic integral for p = 2 and half axes within 1 : 3
 */
export function quarterArc(a: number, b: number, p: number): number {
  const points = unit(p)
  const fine = chords(points, a, b, 1)
  return fine + (fine - chords(points, a, b, 2)) / 3
}

/** Whole ring of a section with half width `a` whose widest place divides its height into `up` and `down`. */
export const ring = (a: number, up: number, down: number, p: number): number => 2 * (quarterArc(a, up, p) + quarterArc(a, down, p))

/** Area inside that ring. */
export const ringArea = (a: number, up: number, down: number, p: number): number => 2 * unit(p).area * a * (up + down)
