import type { Car } from '../model/index.ts'

/** A car's load space as data, millimetres: x from sill to seat back, y to the left, z up. */
export const loadSpaceToJson = ({ name, space }: Pick<Car, 'name' | 'space'>): string =>
  `${JSON.stringify({ format: 'merry-tailor/load-space', version: 1, name, space }, null, 1)}\n`
