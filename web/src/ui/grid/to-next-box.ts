import type { KeyboardEvent } from 'react'

/**
 * Enter in a box goes on: to the next box of its form, from the last to the button that keeps all.
 *
 * @param across boxes in a row, where a grid is filled column by column, downwards; else it goes on as it is read
 */
export function toNextBox(event: KeyboardEvent<HTMLInputElement>, across?: number): void {
  if (event.key !== 'Enter') return
  event.preventDefault()
  const { form } = event.currentTarget
  const boxes = [...(form?.querySelectorAll<HTMLInputElement>('input[data-box]') ?? [])]
  const at = boxes.indexOf(event.currentTarget)
  const nextColumn = across && (at % across) + 1 < across ? boxes[(at % across) + 1] : undefined
  const next = boxes[at + (across ?? 1)] ?? nextColumn
  ;(next ?? form?.querySelector<HTMLButtonElement>('button[type="submit"]'))?.focus()
}
