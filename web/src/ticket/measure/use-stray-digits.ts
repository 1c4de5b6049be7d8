import { isWedge, type KeyStroke } from '@merry-tailor/core'
import { useEffect, useRef } from 'react'

/**
 * Digits typed while nothing is focused go into the entry; a device that acts as a keyboard (digits, then Enter, faster
 * than any hand) is told apart, whether the entry has the focus or not.
 */
export function useStrayDigits(onStray: (typed: string) => void, onEnter: (byDevice: boolean, stray: boolean) => void): void {
  const now = useRef({ onStray, onEnter })
  useEffect(() => {
    now.current = { onStray, onEnter }
  })
  useEffect(() => {
    let strokes: KeyStroke[] = []
    let stray = ''
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return
      const typing =
        event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [role="dialog"], [role="menu"], [role="listbox"]') !== null
      const atMs = event.timeStamp
      if (atMs - (strokes.at(-1)?.atMs ?? 0) > 400) {
        strokes = []
        stray = ''
      }
      if (/^[\d.,]$/.test(event.key)) {
        strokes.push({ key: event.key, atMs })
        if (!typing) {
          stray += event.key
          now.current.onStray(stray)
          event.preventDefault()
        }
      } else if (event.key === 'Enter') {
        const byDevice = isWedge([...strokes, { key: 'Enter', atMs }])
        if (stray !== '') {
          event.preventDefault()
          event.stopPropagation()
        }
        now.current.onEnter(byDevice, stray !== '')
        strokes = []
        stray = ''
      } else {
        strokes = []
        stray = ''
      }
    }
    window.addEventListener('keydown', onKey, true)
    return () => window.removeEventListener('keydown', onKey, true)
  }, [])
}
