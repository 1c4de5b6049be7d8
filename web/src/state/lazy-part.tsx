import { lazy, type ComponentType, type LazyExoticComponent } from 'react'

/** In the place of a part that could not be fetched: the rest of the screen goes on. */
function PartNotThere() {
  return (
    <p role="alert" className="px-3 py-2 text-[14px]">
      A part of this screen could not be fetched.{' '}
      <button type="button" className="min-h-11 font-bold underline" onClick={() => window.location.reload()}>
        Load it again
      </button>
    </p>
  )
}

/**
 * A part of a screen that comes after the first draw. Stand it under a `Suspense` whose fallback has its size.
 *
 * @param without what stands there when it can't be fetched; a mere ornament is left out by `() => null`
 */
export const lazyPart = <P extends object>(
  load: () => Promise<ComponentType<P>>,
  without: ComponentType<P> = PartNotThere,
): LazyExoticComponent<ComponentType<P>> =>
  lazy(async () => {
    try {
      return { default: await load() }
    } catch {
      return { default: without }
    }
  })
