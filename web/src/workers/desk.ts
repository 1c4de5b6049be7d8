import { wrap, type Remote } from 'comlink'

/** A worker beside the page, made when it is first asked. */
export interface Desk<W> {
  /** Makes the worker; `false` where there are none. */
  prepare: () => boolean
  /** Asks the worker; where there is none, or it fails, `here` makes the answer in place. */
  beside: <T>(there: (work: Remote<W>) => Promise<T>, here: () => T | Promise<T>) => Promise<T>
}

/**
 * A desk for one kind of work.
 *
 * @param make the worker; @param begun what it is told first
 */
export function deskOf<W>(make: () => Worker, begun?: (work: Remote<W>) => unknown): Desk<W> {
  /** `broken` refuses when the worker does not load or dies: what waits for it is then answered in place. */
  let at: { remote: Remote<W>; broken: Promise<never> } | null | undefined
  const open = (): typeof at => {
    if (at !== undefined) return at
    if (typeof Worker === 'undefined') return (at = null)
    const worker = make()
    const broken = new Promise<never>((_, refuse) => worker.addEventListener('error', () => refuse(new Error('The worker is gone.')), { once: true }))
    broken.catch(() => (at = null))
    at = { remote: wrap<W>(worker), broken }
    begun?.(at.remote)
    return at
  }
  return {
    prepare: () => open() !== null,
    async beside(there, here) {
      const desk = open()
      if (!desk) return here()
      try {
        return await Promise.race([there(desk.remote), desk.broken])
      } catch {
        at = null
        return here()
      }
    },
  }
}
