import { useLayoutEffect, useState, type RefObject } from 'react'

/** What a sheet holds between its margins of 10 mm, mm. */
const INSIDE_MM = { A4: 277, Letter: 259.4 } as const
const PX_PER_MM = 96 / 25.4

/** How many sheets of this paper the page inside `ref` takes when it is printed. */
export function usePageCount(ref: RefObject<HTMLElement | null>, paper: keyof typeof INSIDE_MM): number {
  const [pages, setPages] = useState(1)
  useLayoutEffect(() => {
    const page = ref.current?.firstElementChild
    if (!page || typeof ResizeObserver === 'undefined') return
    const count = (): void => {
      const style = getComputedStyle(page)
      const high = page.clientHeight - parseFloat(style.paddingTop || '0') - parseFloat(style.paddingBottom || '0')
      setPages(Math.max(1, Math.ceil(high / (INSIDE_MM[paper] * PX_PER_MM) - 0.005)))
    }
    count()
    const watch = new ResizeObserver(count)
    watch.observe(page)
    return () => watch.disconnect()
  }, [ref, paper])
  return pages
}
