import { flattened, frameIn, pawsIn, type Picture, type TracedPaw, type TraceFrame } from '@merry-tailor/core'

/** A photograph traced: how the sheet is seen, the paws on it, none where no line closes, and the sheet laid flat. */
export interface TracedPhoto {
  frame: TraceFrame
  paws: TracedPaw[]
  flat: Picture
}

/** The sheet found in a photograph, or as a hand set it; its paws traced, the sheet laid flat. `null`: no sheet is to be seen. */
export function tracedPhoto(picture: Picture, byHand: TraceFrame | null = null): TracedPhoto | null {
  const frame = byHand ?? frameIn(picture)
  return frame && { frame, paws: pawsIn(picture, frame), flat: flattened(picture, frame.view) }
}
