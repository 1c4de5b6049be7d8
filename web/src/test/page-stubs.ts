import { vi } from 'vitest'

const LABELABLE = 'button, input:not([type=hidden]), meter, output, progress, select, textarea'

/** The control a label names. Source: HTML, the label element. */
function controlOf(label: HTMLLabelElement): HTMLElement | null {
  const named = label.getAttribute('for')
  const control = named === null ? label.querySelector<HTMLElement>(LABELABLE) : label.ownerDocument.getElementById(named)
  return control?.matches(LABELABLE) ? control : null
}

/**
 * Labels and their controls, each looked up by id: the environment walks the whole page for every one,
 * which was a quarter of the time of all tests of screens.
 */
function quickLabels(): void {
  Object.defineProperty(HTMLLabelElement.prototype, 'control', {
    configurable: true,
    get(this: HTMLLabelElement) {
      return controlOf(this)
    },
  })
  const labels = {
    configurable: true,
    get(this: HTMLElement) {
      const around = this.closest('label')
      const pointing = this.id ? [...this.ownerDocument.getElementsByTagName('label')].filter(({ htmlFor }) => htmlFor === this.id) : []
      return [...new Set(around ? [around, ...pointing] : pointing)].filter((label) => controlOf(label) === this)
    },
  }
  for (const { prototype } of [
    HTMLButtonElement,
    HTMLInputElement,
    HTMLSelectElement,
    HTMLTextAreaElement,
    HTMLOutputElement,
    HTMLMeterElement,
    HTMLProgressElement,
  ])
    Object.defineProperty(prototype, 'labels', labels)
}

/** What a real page has and this environment has not: locks, an observer of sizes, a height, scrolling, captured pointers. */
export function stubPage(): void {
  quickLabels()
  Object.defineProperty(navigator, 'locks', { configurable: true, value: { request: (_name: string, work: () => Promise<void>) => work() } })
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
