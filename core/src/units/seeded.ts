import { mersenne } from 'pure-rand/generator/mersenne'

/** A source of chance, uniform from 0 to 1 (1 left out), the same for the same seed. */
export function seeded(seed: number): () => number {
  const source = mersenne(seed | 0)
  return () => (source.next() >>> 0) / 2 ** 32
}
