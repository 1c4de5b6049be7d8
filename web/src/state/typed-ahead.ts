/** Nobody types ahead of a screen for longer, ms. */
const PATIENCE = 3_000

/** What a name or a number is made of; other keys are left alone. */
const NAME = /^[\p{L}\p{N} '’/.,"-]$/u

let typed = ''
let stop: (() => void) | null = null

/** From now on letters are kept for the first field of the screen that comes, and are no keys of the one that goes. */
export function typeAhead(): void {
  stop?.()
  typed = ''
  const onKey = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const field = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
    if (field || !(event.key === 'Backspace' || NAME.test(event.key))) return
    typed = event.key === 'Backspace' ? typed.slice(0, -1) : typed + event.key
    event.stopImmediatePropagation()
    event.preventDefault()
  }
  window.addEventListener('keydown', onKey, true)
  const timer = setTimeout(() => stop?.(), PATIENCE)
  stop = () => {
    clearTimeout(timer)
    window.removeEventListener('keydown', onKey, true)
    stop = null
  }
}

/** What was typed before the field was there. Reading it again says the same, until the next screen is opened. */
export const typedAhead = (): string => typed

/** The field is there and has the keyboard. */
export function caughtUp(): void {
  stop?.()
  typed = ''
}
