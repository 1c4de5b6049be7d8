import { boundsOf } from '../measures/index.ts'

/** Does a band touch where a dog can be? One that only reaches beyond is a maker's own way to say "and up". */
export function isWithin(measure: string, [from, to]: readonly [number, number]): boolean {
  const bounds = boundsOf(measure)
  return bounds === null || (from <= bounds[1] && to >= bounds[0] && to <= 2 * bounds[1] && from >= bounds[0] / 4)
}
