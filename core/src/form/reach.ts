import type { ParameterName } from './parameters.ts'

const HEAD = ['M00', 'M04', 'M05', 'M39', 'M40', 'M41', 'M42']
/** The neck bends the skin at the withers, which the diagonals cross. */
const NECK = ['M00', 'M02', 'M03', 'M04', 'M05', 'M10', 'M11', 'M12', 'M13', 'M15', 'M16', 'M39', 'M40', 'M41', 'M42']
/** The elbow a sitting dog tips about lies by the forearm's thickness. */
const LEG = ['M00', 'M17', 'M18', 'M20', 'M31', 'M32', 'M33', 'M34', 'M35', 'M36', 'M41']

/** Measures a parameter can move, where they are few; all others may move everything. The back length scales all. */
const REACH: Partial<Record<ParameterName, readonly string[]>> = {
  neckLength: NECK,
  neckAngle: NECK,
  collarDepth: NECK,
  collarWidth: NECK,
  head: HEAD,
  skullWidth: HEAD,
  skullDepth: HEAD,
  muzzle: HEAD,
  muzzleDepth: HEAD,
  stance: LEG,
  forearm: LEG,
  density: ['M00'],
  ear: ['M40'],
  tail: [],
  wrist: ['M26', 'M28', 'M37', 'M38'],
  shin: ['M27'],
  sit: ['M41'],
  paw: ['M32', 'M33', 'M34', 'M35'],
  pawHind: ['M34', 'M35'],
  pawLong: ['M33', 'M35'],
}

/** Those of the measures that a parameter can move. */
export function reachOf(name: ParameterName, ids: readonly string[]): readonly string[] {
  const reach = REACH[name]
  return reach ? ids.filter((id) => reach.includes(id)) : ids
}
