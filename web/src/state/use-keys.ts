import { useEffect, useLayoutEffect, useRef } from 'react'
import { useAppSelector } from './store'

type KeyMap = Readonly<Record<string, ((event: KeyboardEvent) => void) | undefined>>

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && !['button', 'checkbox', 'radio'].includes(target.type)))

/** Is a list or dialog open that the keys belong to? */
const isElsewhere = (): boolean => document.querySelector('[role="dialog"], [role="menu"][data-state="open"], [role="listbox"][data-state="open"]') !== null

const nameOf = (event: KeyboardEvent): string => {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
  const shift = event.shiftKey && (event.ctrlKey || event.metaKey) ? 'shift+' : ''
  return `${event.ctrlKey || event.metaKey ? 'ctrl+' : ''}${shift}${event.altKey ? 'alt+' : ''}${key}`
}

interface Layer {
  map: KeyMap
  letters: boolean
}

/** The key maps that are open now, general ones first: a screen's own key goes before one that works everywhere. */
const layers: { current: Layer }[] = []

/** Does one layer's key, if it has it and may. */
function tryLayer({ map, letters }: Layer, name: string, event: KeyboardEvent): boolean {
  const run = map[name]
  if (!run) return false
  const single = name.length === 1
  if (single && isTyping(event.target)) return false
  if (single && /[a-z]/.test(name) && !letters) return false
  if (
    name === 'Enter' &&
    event.target instanceof HTMLElement &&
    event.target.closest('button, a, input, textarea, [role="radio"], [role="switch"], [role="combobox"], [role="option"]')
  )
    return false
  event.preventDefault()
  run(event)
  return true
}

function onKey(event: KeyboardEvent): void {
  if (event.defaultPrevented || event.isComposing || isElsewhere()) return
  const name = nameOf(event)
  for (const layer of [...layers].reverse()) if (tryLayer(layer.current, name, event)) return
}

/**
 * Keys of the screen that is open. In text fields single characters are text; letter keys can be turned off in Shop.
 * The newest map is always used, without listening anew.
 *
 * @param everywhere keys of the frame around all screens: any screen's own go before them
 */
export function useKeys(map: KeyMap, everywhere = false): void {
  const letters = useAppSelector((state) => state.settings.letterKeys)
  const now = useRef({ map, letters })
  // Before it is painted: a key answers to what is on the screen.
  useLayoutEffect(() => {
    now.current = { map, letters }
  })
  useEffect(() => {
    if (layers.length === 0) window.addEventListener('keydown', onKey)
    if (everywhere) layers.unshift(now)
    else layers.push(now)
    return () => {
      layers.splice(layers.indexOf(now), 1)
      if (layers.length === 0) window.removeEventListener('keydown', onKey)
    }
  }, [everywhere])
}
