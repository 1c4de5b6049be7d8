import { createContext, use } from 'react'

/** Do letter keys work? */
export const LetterKeys = createContext(true)

/** The key that works a control, shown inside it; letter keys vanish when they are turned off, all of them where a finger points. */
export function KeyCap({ children, tone = 'paper' }: { children: string; tone?: 'paper' | 'tape' }) {
  const letters = use(LetterKeys)
  if (!letters && /^[A-Z]$/.test(children)) return null
  return (
    <kbd
      aria-hidden
      className={`hidden min-w-5 shrink-0 whitespace-nowrap items-center justify-center rounded-[2px] border-[1.5px] px-1 font-text text-[13px] leading-[17px] font-bold phone:inline-flex pointer-coarse:hidden! ${tone === 'tape' ? 'border-tape-ink text-tape-ink' : 'border-edge text-current'}`}
    >
      {children}
    </kbd>
  )
}
