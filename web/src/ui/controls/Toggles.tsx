import { useState, type KeyboardEvent } from 'react'

interface TogglesProps<T extends string> {
  label: string
  options: readonly { value: T; label: string }[]
  isOn: (value: T) => boolean
  onToggle: (value: T) => void
  className?: string
}

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/** Buttons in rows, each on or off: several of a set, or one of many where segments would not fit. One stop for the Tab key, arrows within. */
export function Toggles<T extends string>({ label, options, isOn, onToggle, className = '' }: TogglesProps<T>) {
  // Where the Tab key comes in again: the one that had the focus last.
  const [last, setLast] = useState<T | null>(null)
  const stop = options.find((option) => option.value === last)?.value ?? options.find((option) => isOn(option.value))?.value ?? options[0]?.value
  const move = (event: KeyboardEvent<HTMLDivElement>): void => {
    const buttons = [...event.currentTarget.querySelectorAll('button')]
    const at = buttons.indexOf(event.target as HTMLButtonElement)
    const to = event.key === 'Home' ? 0 : event.key === 'End' ? buttons.length - 1 : at + (STEPS[event.key] ?? 0)
    if (at < 0 || to === at) return
    event.preventDefault()
    // A list behind it would move as well.
    event.stopPropagation()
    buttons[(to + buttons.length) % buttons.length]?.focus()
  }
  return (
    <div className={`flex flex-wrap gap-1.5 ${className}`} role="group" aria-label={label} onKeyDown={move}>
      {options.map((option) => (
        <button
          key={option.value}
          type="button"
          tabIndex={option.value === stop ? 0 : -1}
          aria-pressed={isOn(option.value)}
          onFocus={() => setLast(option.value)}
          onClick={() => onToggle(option.value)}
          className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-2.5 text-[15px] font-semibold hover:bg-bench aria-pressed:bg-ink aria-pressed:text-panel"
        >
          {option.label}
        </button>
      ))}
    </div>
  )
}
