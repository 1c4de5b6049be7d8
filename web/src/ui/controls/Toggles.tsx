interface TogglesProps<T extends string> {
  label: string
  options: readonly { value: T; label: string }[]
  isOn: (value: T) => boolean
  onToggle: (value: T) => void
  className?: string
}

/** Buttons in rows, each on or off: several of a set, or one of many where segments would not fit. */
export function Toggles<T extends string>({ label, options, isOn, onToggle, className = '' }: TogglesProps<T>) {
  return (
    <div className={`flex flex-wrap gap-1.5 ${className}`} role="group" aria-label={label}>
      {options.map((option) => (
        <button
          key={option.value}
          type="button"
          aria-pressed={isOn(option.value)}
          onClick={() => onToggle(option.value)}
          className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-2.5 text-[15px] font-semibold hover:bg-bench aria-pressed:bg-ink aria-pressed:text-panel"
        >
          {option.label}
        </button>
      ))}
    </div>
  )
}
