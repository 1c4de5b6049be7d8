import { useLayoutEffect, useRef, useState, type RefObject } from 'react'

/** Width of an element in px, kept up to date; `usual` until it is known. */
export function useWidth<T extends Element>(usual: number): [RefObject<T | null>, number] {
  const [ref, { width }] = useBox<T>(usual, 0)
  return [ref, width]
}

/** Width and height of an element in px, kept up to date. */
export function useBox<T extends Element>(usualWidth: number, usualHeight: number): [RefObject<T | null>, { width: number; height: number }] {
  const ref = useRef<T>(null)
  const [box, setBox] = useState({ width: usualWidth, height: usualHeight })
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    const measure = (): void => {
      const { width, height } = element.getBoundingClientRect()
      const [w, h] = [Math.round(width), Math.round(height)]
      if (w > 0) setBox((now) => (now.width === w && now.height === h ? now : { width: w, height: h }))
    }
    measure()
    const observer = new ResizeObserver(measure)
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return [ref, box]
}
