import type { ReactNode } from 'react'

/** A control whose own name is for readers alone, with that name over it for those who see. */
export function Named({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div>
      <span aria-hidden className="mb-1 block text-[13.5px] font-semibold text-mute">
        {label}
      </span>
      {children}
    </div>
  )
}
