import type { ButtonHTMLAttributes } from 'react'

type Tone = 'primary' | 'plain' | 'quiet' | 'snag'

const TONES: Readonly<Record<Tone, string>> = {
  primary: 'border-2 border-ink bg-tape text-tape-ink font-bold hover:brightness-95',
  plain: 'border-2 border-ink bg-panel text-ink font-bold hover:bg-bench',
  quiet: 'border border-edge bg-panel text-ink font-semibold hover:bg-bench',
  snag: 'border-2 border-snag bg-panel text-snag font-bold hover:bg-snag-bg',
}

/** Square, ink-edged, 44 px high. One primary to a screen. */
export function Button({ tone = 'plain', className = '', type = 'button', ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { tone?: Tone }) {
  return (
    <button
      type={type}
      className={`inline-flex min-h-11 items-center justify-center gap-2 rounded-[2px] px-4 text-[15px] leading-5 ${TONES[tone]} ${className}`}
      {...rest}
    />
  )
}
