import { vi } from 'vitest'

/** What a real page has and this environment has not: an observer of sizes, a height, scrolling, captured pointers. */
export function stubPage(): void {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      disconnect() {}
      unobserve() {}
    },
  )
  // What scrolls has the size of a window and a long way to go; what is in it keeps its usual height.
  for (const [size, px] of Object.entries({ clientHeight: 800, clientWidth: 1000, scrollHeight: 100_000 }))
    Object.defineProperty(Element.prototype, size, {
      configurable: true,
      get(this: Element) {
        return this.classList.contains('quiet-scroll') ? px : 0
      },
    })
  Element.prototype.scrollTo = function (this: Element, to?: ScrollToOptions | number) {
    if (typeof to !== 'object') return
    this.scrollTop = to.top ?? 0
    this.dispatchEvent(new Event('scroll'))
  }
  Element.prototype.scrollIntoView = () => undefined
  Element.prototype.hasPointerCapture = () => false
  Element.prototype.releasePointerCapture = () => undefined
}
