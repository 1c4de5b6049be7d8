export { seeded } from '../../core/src/index.ts'

/** Standard normal values by Box and Muller. */
export function normal(random: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}
