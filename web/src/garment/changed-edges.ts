import type { GarmentPlan, GarmentQuestion } from '@merry-tailor/core'

/** Edges each ease draws, by name; a length moves what ends the garment behind. */
const BY_EASE: Readonly<Record<keyof NonNullable<GarmentPlan['ease']>, readonly string[]>> = {
  neckMm: ['neck', 'throat'],
  headMm: ['crown', 'face', 'throat'],
  girthMm: ['band', 'side', 'front', 'leg', 'armhole', 'belly', 'hem'],
  lengthMm: ['tail', 'hem', 'band'],
}
const BY_FIELD: Readonly<Partial<Record<keyof GarmentPlan, readonly string[]>>> = { overlapMm: ['band', 'side'], hem: ['hem', 'tail'] }

/** Fields that cut nothing. */
const CUTS_NOTHING: ReadonlySet<string> = new Set(['moves', 'swatch', 'knitted', 'cords', 'clothWidthMm', 'oneWay', 'gapMm', 'ease'])

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/**
 * Which edges a change moves before the new pieces are there: names of edges, or `all` where a tape, the dog or the cut changed.
 *
 * @param was what the pieces shown were drafted for
 * @param now what is being drafted
 */
export function changedEdges(was: GarmentQuestion, now: GarmentQuestion): ReadonlySet<string> | 'all' {
  if (was.family !== now.family || was.form !== now.form || !same(was.body, now.body) || !same(was.about, now.about)) return 'all'
  const [before, after] = [was.plan, now.plan]
  const edges = new Set<string>()
  for (const zone of Object.keys(BY_EASE) as (keyof typeof BY_EASE)[])
    if (before.ease?.[zone] !== after.ease?.[zone]) for (const edge of BY_EASE[zone]) edges.add(edge)
  for (const field of new Set([...Object.keys(before), ...Object.keys(after)]) as Set<keyof GarmentPlan>) {
    if (CUTS_NOTHING.has(field) || same(before[field], after[field])) continue
    const moved = BY_FIELD[field]
    if (!moved) return 'all'
    for (const edge of moved) edges.add(edge)
  }
  return edges
}
