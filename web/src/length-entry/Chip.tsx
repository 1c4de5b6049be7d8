import type { ReactNode } from 'react'

/** Chips that belong to one question. */
export function Group({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div role="group" aria-label={label}>
      <p className="mb-1 text-[13.5px] font-semibold text-mute">{label}</p>
      <div className="flex flex-wrap gap-1.5">{children}</div>
    </div>
  )
}

/** One answer of several, on or off. */
export function Chip({ on, onClick, children }: { on: boolean; onClick: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onClick}
      className="min-h-11 min-w-11 rounded-[2px] border-2 border-ink bg-panel px-3 text-[15px] font-semibold hover:bg-bench aria-pressed:bg-ink aria-pressed:text-panel"
    >
      {children}
    </button>
  )
}
