import { flattened, tracePaws, type Picture, type Traced } from '@merry-tailor/core'

/** A photograph traced, with the sheet laid flat. */
export interface TracedPhoto {
  traced: Traced
  flat: Picture | null
}

/** The sheet found in a photograph, its paws traced, the sheet laid flat. */
export function tracedPhoto(picture: Picture): TracedPhoto {
  const traced = tracePaws(picture)
  return { traced, flat: traced.ok ? flattened(picture, traced.frame.view) : null }
}
