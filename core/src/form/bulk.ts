import { ringArea } from './superellipse.ts'
import type { Proportions } from './parameters.ts'
import type { Station, Stations, StationName } from './stations.ts'

/** Kilograms per litre of a living dog, lungs and coat included. Source: from memory, unverified. */
const KG_PER_LITRE = 0.95

const rows: readonly (readonly StationName[])[] = [
  ['nose', 'muzzle', 'stop', 'skull', 'throat'],
  ['throat', 'collar', 'neckBase', 'withers', 'shoulder', 'girth', 'sternumEnd', 'lastRib', 'waist', 'hip', 'rump', 'tail'],
]

const area = (s: Station): number => {
  const height = Math.hypot(s.tx - s.ux, s.tz - s.uz)
  return ringArea(s.w, height * (1 - s.v), height * s.v, s.p)
}

const middle = (s: Station): [number, number] => [(s.tx + s.ux) / 2, (s.tz + s.uz) / 2]

/** Volume of a frustum between two sections, by Heron's mean of the areas and the distance of their middles. */
export function frustum(a: Station, b: Station): number {
  const [s, t] = [area(a), area(b)]
  const [m, n] = [middle(a), middle(b)]
  return ((s + Math.sqrt(s * t) + t) / 3) * Math.hypot(n[0] - m[0], n[1] - m[1])
}

/** Trunk, neck and head, in cubic back lengths. */
export function bodyVolume(stations: Stations): number {
  let sum = 0
  for (const row of rows) for (let i = 1; i < row.length; i++) sum += frustum(stations[row[i - 1] as StationName], stations[row[i] as StationName])
  return sum
}

/** Four legs with shoulders and thighs, as round columns, in cubic back lengths. */
export function limbVolume(k: Proportions): number {
  const W = k.depth * k.width
  const t = k.forearm * W
  const fore = (Math.PI / 4) * t * t * k.elbow * 0.8
  const arm = (Math.PI / 4) * (1.5 * t) ** 2 * 0.3 * k.depth
  const thigh = (Math.PI / 4) * 0.2 * (0.42 * k.hipWidth * W) * (0.3 * k.depth + 0.2 * k.elbow)
  const shin = (Math.PI / 4) * (0.85 * t) ** 2 * k.elbow * 0.85
  return 2 * (fore + arm + thigh + shin)
}

/** Kilograms of a dog whose back is `back` mm. */
export const kilograms = (k: Proportions, stations: Stations): number => (bodyVolume(stations) + limbVolume(k)) * (k.back / 100) ** 3 * KG_PER_LITRE * k.density
