import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { Fraction } from '../ui/length/Fraction'

/** There is one big entry on a screen. */
export const FIELD_ID = 'length-entry'

interface LengthFieldProps {
  label: string
  value: string
  onChange: (typed: string) => void
  onKey: (event: KeyboardEvent<HTMLInputElement>) => void
  unit: string
  /** On a phone the system keyboard stays shut. */
  ownPad?: boolean
  problem: string | null
  describedBy: string
  size: 64 | 44
}

const TOKENS = /^(\d*)(?:[\s-]+|(?<=\d)(?=\d+\/))?(?:(\d+)\/(\d+))\s*(in|cm|"|)$/

/**
 * The big entry: a true text field whose text is drawn over with hand-built fractions while the caret is at its end;
 * as soon as somebody edits inside the text, the plain text shows.
 */
export function LengthField({ label, value, onChange, onKey, unit, ownPad = false, problem, describedBy, size }: LengthFieldProps) {
  const own = useRef<HTMLInputElement>(null)
  const [atEnd, setAtEnd] = useState(true)
  const [focused, setFocused] = useState(false)
  const look = (): void => {
    const input = own.current
    if (input) setAtEnd(input.selectionStart === input.value.length && input.selectionEnd === input.value.length)
  }
  useEffect(look, [value])
  const fraction = TOKENS.exec(value.trim())
  const drawn = atEnd || !focused
  return (
    <div
      className={`relative flex min-w-0 items-center border-[3px] focus-within:shadow-[inset_0_0_0_3px_var(--tape)] bg-panel ${problem ? 'border-snag' : 'border-ink'}`}
      style={{ height: size === 64 ? 82 : 64 }}
    >
      <input
        id={FIELD_ID}
        ref={own}
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={describedBy}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={onKey}
        onKeyUp={look}
        onSelect={look}
        onFocus={() => setFocused(true)}
        onBlur={() => setFocused(false)}
        inputMode={ownPad ? 'none' : 'decimal'}
        autoComplete="off"
        autoCorrect="off"
        spellCheck={false}
        maxLength={24}
        className={`h-full min-w-0 flex-1 bg-transparent pl-4 font-bold shadow-none! outline-none! ${drawn ? 'text-transparent caret-transparent' : ''}`}
        style={{ fontSize: size === 64 ? (value.length > 7 ? 34 : 64) : value.length > 7 ? 26 : 44, lineHeight: 1 }}
      />
      {drawn && (
        <span
          aria-hidden
          className="pointer-events-none absolute inset-y-0 left-4 flex items-center overflow-hidden font-bold whitespace-nowrap"
          style={{ fontSize: size === 64 ? (!fraction && value.length > 7 ? 34 : 62) : !fraction && value.length > 7 ? 26 : 44, lineHeight: 1 }}
        >
          {fraction ? <Fraction whole={fraction[1] ?? ''} numerator={Number(fraction[2])} denominator={Number(fraction[3])} stacked /> : value}
          {focused && <span className="ml-1 inline-block w-[3px] bg-ink" style={{ height: size === 64 ? 52 : 36 }} />}
        </span>
      )}
      <span className="pr-3 pl-2 text-[22px] font-medium text-mute">{/[a-z"']/i.test(value) ? '' : unit}</span>
    </div>
  )
}
