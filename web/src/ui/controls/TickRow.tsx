/** One thing that is so or not: a box that is ticked, its words beside it. */
export function TickRow({ on, onChange, children, className = '' }: { on: boolean; onChange: (on: boolean) => void; children: string; className?: string }) {
  return (
    <button type="button" aria-pressed={on} onClick={() => onChange(!on)} className={`flex min-h-11 w-full items-center gap-2 text-left ${className}`}>
      <span className={`flex h-6 w-6 shrink-0 items-center justify-center border-[2.5px] border-ink ${on ? 'bg-ink text-panel' : ''}`}>{on ? '✓' : ''}</span>
      {children}
    </button>
  )
}
