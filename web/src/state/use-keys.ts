import { useEffect, useLayoutEffect, useRef } from 'react'
import { matchKeybindingPress, parseKeybinding, type KeybindingPress } from 'tinykeys'
import { useAppSelector } from './store'

/** What a key does, by the key's name: `n`, `?`, `Enter`, `Space`, `Alt+3`, `$mod+z` (the platform's own command key). */
type KeyMap = Readonly<Record<string, ((event: KeyboardEvent) => void) | undefined>>

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && !['button', 'checkbox', 'radio'].includes(target.type)))

/** Is a list or dialog open that the keys belong to? */
const isElsewhere = (): boolean => document.querySelector('[role="dialog"], [role="menu"][data-state="open"], [role="listbox"][data-state="open"]') !== null

/** The presses that mean a name: a sign may need Shift or the third level of a keyboard, a letter is meant in either case. */
const presses = (name: string): KeybindingPress[] => {
  if (name === 'Space') return [name, String.raw`(\s)`].flatMap(parseKeybinding)
  return (name.length === 1 ? [`[Shift]+${name}`, `AltGraph+[Shift]+${name}`] : [name]).flatMap(parseKeybinding)
}
const known = new Map<string, KeybindingPress[]>()
const pressesOf = (name: string): KeybindingPress[] => known.get(name) ?? known.set(name, presses(name)).get(name) ?? []

interface Layer {
  map: KeyMap
  letters: boolean
}

/** The key maps that are open now, general ones first: a screen's own key goes before one that works everywhere. */
const layers: { current: Layer }[] = []

/** Does one layer's key, if it has it and may. */
function tryLayer({ map, letters }: Layer, event: KeyboardEvent): boolean {
  const [name, run] = Object.entries(map).find(([key]) => pressesOf(key).some((press) => matchKeybindingPress(event, press))) ?? []
  if (!name || !run) return false
  // A space is text in a field as a letter is.
  if ((name.length === 1 || name === 'Space') && isTyping(event.target)) return false
  if (/^[a-z]$/.test(name) && !letters) return false
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
  for (const layer of [...layers].reverse()) if (tryLayer(layer.current, event)) return
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
