import { vi } from 'vitest'

/** What a real page has and this environment has not: an observer of sizes, scrolling, captured pointers. */
export function stubPage(): void {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      disconnect() {}
      unobserve() {}
    },
  )
  Element.prototype.scrollIntoView = () => undefined
  Element.prototype.hasPointerCapture = () => false
  Element.prototype.releasePointerCapture = () => undefined
}
