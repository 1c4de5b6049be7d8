import type { KennelAbout, KennelList } from '@merry-tailor/core/formats'
import { wrap } from 'comlink'
import type { KennelWork } from './kennel-worker'

/** Reads a list in a worker of its own; the worker ends with the reading. */
export async function readKennel(text: string, about: KennelAbout): Promise<KennelList> {
  const worker = new Worker(new URL('./kennel-worker.ts', import.meta.url), { type: 'module' })
  try {
    return await wrap<KennelWork>(worker).readKennelList(text, about)
  } finally {
    worker.terminate()
  }
}
