import { Switch } from 'radix-ui'
import { useId, type ReactNode } from 'react'

/** A 44 px high button with a label, a key cap and a square slide at its right. */
export function SwitchBox({
  label,
  checked,
  onChange,
  cap,
  className = '',
}: {
  label: string
  checked: boolean
  onChange: (on: boolean) => void
  cap?: ReactNode
  className?: string
}) {
  const id = useId()
  return (
    <label
      htmlFor={id}
      className={`inline-flex min-h-11 cursor-pointer items-center justify-between gap-3 rounded-[2px] border-2 border-ink bg-panel px-3 text-[15px] font-semibold ${className}`}
    >
      <span>{label}</span>
      <span className="inline-flex items-center gap-3">
        {cap}
        <Switch.Root
          id={id}
          checked={checked}
          onCheckedChange={onChange}
          className="relative h-[26px] w-11 rounded-[2px] border-[2.5px] border-ink bg-panel data-[state=checked]:bg-ink"
        >
          <Switch.Thumb className="block h-[17px] w-[17px] translate-x-[2px] bg-ink data-[state=checked]:translate-x-[20px] data-[state=checked]:bg-panel" />
        </Switch.Root>
      </span>
    </label>
  )
}
