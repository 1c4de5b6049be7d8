import type { Point } from './geometry'

/** From a tag to its disc. */
export function Leader({ from, to, colour = 'var(--ink)' }: { from: Point; to: Point; colour?: string }) {
  return <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} fill="none" stroke={colour} strokeWidth={1.6} />
}
