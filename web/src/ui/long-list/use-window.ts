import { useVirtualizer } from '@tanstack/react-virtual'
import { useLayoutEffect, useState, type RefObject } from 'react'

/** One row of a long list that is drawn now: put `props` on its element. */
export interface DrawnRow {
  index: number
  props: { ref: (element: HTMLElement | null) => void; 'data-index': number }
}

export interface ListWindow {
  rows: readonly DrawnRow[]
  /** Room of the rows that are not drawn, px: keep it before and after those that are. */
  beforePx: number
  afterPx: number
  bringIntoSight: (index: number) => void
}

/** Rows drawn beyond either edge of what is seen. */
const BEYOND = 8

/**
 * What is drawn of a long list: the rows in sight and a few more, each measured as it is drawn.
 *
 * @param scroll what the list scrolls in
 * @param list the list's own element, where something stands above it in `scroll`
 * @param usualPx height of a row before it was drawn
 */
export function useWindow(of: {
  count: number
  keyOf: (index: number) => string
  usualPx: (index: number) => number
  scroll: RefObject<HTMLElement | null>
  list?: RefObject<HTMLElement | null>
}): ListWindow {
  'use no memo'
  const { count, keyOf, usualPx, scroll, list } = of
  const [above, setAbove] = useState(0)
  useLayoutEffect(() => {
    if (list?.current) setAbove(list.current.offsetTop - (scroll.current?.offsetTop ?? 0))
  }, [list, scroll, count])
  // The one that draws anew when something is scrolled or measured is this hook itself, so nothing here is kept between draws.
  // oxlint-disable-next-line react/incompatible-library
  const window = useVirtualizer({
    count,
    getItemKey: keyOf,
    estimateSize: usualPx,
    getScrollElement: () => scroll.current,
    scrollMargin: above,
    overscan: BEYOND,
    useFlushSync: false,
    // Where nothing is laid out yet, the usual height stands.
    measureElement: (element) => element.getBoundingClientRect().height || usualPx(Number((element as HTMLElement).dataset.index)),
  })
  const drawn = window.getVirtualItems()
  return {
    rows: drawn.map(({ index }) => ({ index, props: { ref: window.measureElement, 'data-index': index } })),
    beforePx: (drawn[0]?.start ?? above) - above,
    afterPx: Math.max(0, window.getTotalSize() - ((drawn.at(-1)?.end ?? above) - above)),
    bringIntoSight: (index) => window.scrollToIndex(index, { align: 'auto' }),
  }
}
