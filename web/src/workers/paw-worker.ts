import type { Picture, TraceFrame } from '@merry-tailor/core'
import { expose, transfer } from 'comlink'
import { tracedPhoto, type TracedPhoto } from './traced-photo'

/** Traces photographs beside the page. */
const work = {
  trace(picture: Picture, byHand: TraceFrame | null): TracedPhoto | null {
    const out = tracedPhoto(picture, byHand)
    return out && transfer(out, [out.flat.data.buffer as ArrayBuffer])
  },
}
export type PawWork = typeof work
expose(work)
