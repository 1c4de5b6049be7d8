import type { Picture } from '@merry-tailor/core'
import { expose, transfer } from 'comlink'
import { tracedPhoto, type TracedPhoto } from './traced-photo'

/** Traces photographs beside the page. */
const work = {
  trace(picture: Picture): TracedPhoto {
    const out = tracedPhoto(picture)
    return out.flat ? transfer(out, [out.flat.data.buffer as ArrayBuffer]) : out
  },
}
export type PawWork = typeof work
expose(work)
