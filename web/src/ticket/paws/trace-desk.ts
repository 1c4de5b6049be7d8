import type { Picture, TraceFrame } from '@merry-tailor/core'
import { deskOf } from '../../workers/desk'
import type { PawWork } from '../../workers/paw-worker'
import type { TracedPhoto } from '../../workers/traced-photo'

const desk = deskOf<PawWork>(() => new Worker(new URL('../../workers/paw-worker.ts', import.meta.url), { type: 'module' }))

/** A photograph larger than this is made smaller before it is traced: more pixels tell no more. */
const MOST_PX = 4200

/** A photograph as pixels, turned as it was held. */
export async function pixelsOf(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const by = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height))
  const [width, height] = [Math.round(bitmap.width * by), Math.round(bitmap.height * by)]
  const canvas = Object.assign(document.createElement('canvas'), { width, height })
  const draw = canvas.getContext('2d')
  if (!draw) throw new Error('no canvas')
  draw.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  return { width, height, data: draw.getImageData(0, 0, width, height).data }
}

/** A picture as a small file. */
export function fileOf({ width, height, data }: Picture): Promise<Blob | null> {
  const canvas = Object.assign(document.createElement('canvas'), { width, height })
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0)
  return new Promise((done) => canvas.toBlob(done, 'image/webp', 0.85))
}

/** The sheet and its paws, traced beside the page; as a hand set it, where it did. */
export const traceBeside = (picture: Picture, byHand: TraceFrame | null): Promise<TracedPhoto | null> =>
  desk.beside(
    (work) => work.trace(picture, byHand),
    async () => (await import('../../workers/traced-photo')).tracedPhoto(picture, byHand),
  )
