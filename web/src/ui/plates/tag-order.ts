import type { PlateTag } from './tag-discs'

/**
 * Which tag stands where: what lies high and behind over the dog, from the rear on; what lies low and in front beside it,
 * from the top down; what has no place on the dog last.
 *
 * @param over how many stand over it
 * @returns indices of tags, one for each place
 */
export function tagOrder(count: number, over: number, tags: readonly PlateTag[]): number[] {
  const at = new Map(tags.map((tag) => [tag.n - 1, tag.at]))
  const all = Array.from({ length: count }, (_, i) => i)
  const [onDog, nowhere] = [all.filter((i) => at.has(i)), all.filter((i) => !at.has(i))]
  const of = (i: number, axis: 0 | 2): number => at.get(i)?.[axis] ?? 0
  const behind = [...onDog].sort((a, b) => of(b, 2) - of(b, 0) - (of(a, 2) - of(a, 0)) || a - b)
  const above = behind.slice(0, over).sort((a, b) => of(a, 0) - of(b, 0))
  const beside = behind.slice(over).sort((a, b) => of(b, 2) - of(a, 2))
  const spare = Math.max(0, over - above.length)
  return [...above, ...nowhere.slice(0, spare), ...beside, ...nowhere.slice(spare)]
}
