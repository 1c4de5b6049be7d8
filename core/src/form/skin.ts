import { between, type Station, type StationName, type Stations } from './stations.ts'

/** The trunk from the neck base to the tail, and how many cuts are set between two stations for paths over it. */
const trunk: readonly (readonly [StationName, number])[] = [
  ['withers', 1],
  ['shoulder', 0],
  ['girth', 1],
  ['sternumEnd', 1],
  ['lastRib', 1],
  ['waist', 1],
  ['hip', 0],
  ['rump', 0],
  ['tail', 0],
]

const keys = ['tx', 'tz', 'ux', 'uz', 'w'] as const

/**
 * A station between four in a row by Catmull-Rom, its tangents capped at 1.25 times the shorter chord; uncapped, the
 * skin kinks at the withers.
 */
export function blend(before: Station, a: Station, b: Station, after: Station, t: number): Station {
  const out = between(a, b, t)
  const [t2, t3] = [t * t, t * t * t]
  const [h10, h11] = [t3 - 2 * t2 + t, t3 - t2]
  const [h00, h01] = [2 * t3 - 3 * t2 + 1, -2 * t3 + 3 * t2]
  for (const key of keys) {
    const [p0, p1, p2, p3] = [before[key], a[key], b[key], after[key]]
    const chord = p2 - p1
    const lead = capped((p2 - p0) / 2, p1 - p0, chord)
    const trail = capped((p3 - p1) / 2, p3 - p2, chord)
    out[key] = h00 * p1 + h10 * lead + h01 * p2 + h11 * trail
  }
  return out
}

const CAP = 1.25
const capped = (tangent: number, left: number, right: number): number => {
  const most = CAP * Math.min(Math.abs(left), Math.abs(right))
  return Math.abs(tangent) > most ? Math.sign(tangent) * most : tangent
}

/**
 * The cuts a path over the trunk runs across, neck base first.
 *
 * @param finer how many times as many cuts between stations (for a dense reference)
 */
export function trunkCuts(stations: Stations, finer = 1): Station[] {
  const row = trunk.map(([name]) => stations[name])
  const at = (i: number): Station => row[Math.min(row.length - 1, Math.max(0, i))] as Station
  const out: Station[] = []
  for (let i = 0; i < row.length; i++) {
    out.push(at(i))
    const cuts = i + 1 < row.length ? ((trunk[i]?.[1] ?? 0) + 1) * finer - 1 : 0
    for (let j = 1; j <= cuts; j++) out.push(blend(at(i - 1), at(i), at(i + 1), at(i + 2), j / (cuts + 1)))
  }
  return out
}

/** Where in `trunkCuts(stations, finer)` a station of the trunk stands. */
export function cutOf(name: StationName, finer = 1): number {
  let at = 0
  for (const [station, cuts] of trunk) {
    if (station === name) return at
    at += (cuts + 1) * finer
  }
  return at
}
