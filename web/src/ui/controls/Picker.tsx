import { Select } from 'radix-ui'
import { Check, ChevronDown } from 'lucide-react'
import type { ChoiceTie } from './Choice'

interface PickerProps<T extends string> {
  label: string
  value: T | ''
  placeholder?: string
  options: readonly { value: T; label: string; note?: string }[]
  onChange: (value: T) => void
  /** In a form: where `Choice` ties it. */
  tie?: ChoiceTie
  className?: string
}

/** A select list whose rows are 48 px high and full width. */
export function Picker<T extends string>({ label, value, placeholder = 'Choose', options, onChange, tie, className = '' }: PickerProps<T>) {
  return (
    <Select.Root value={value} onValueChange={(next) => onChange(next as T)}>
      <Select.Trigger
        aria-label={label}
        {...tie}
        className={`inline-flex min-h-11 items-center justify-between gap-2 rounded-[2px] border-2 border-ink bg-panel px-3 text-left text-[15px] font-semibold ${className}`}
      >
        <Select.Value placeholder={<span className="font-normal text-mute">{placeholder}</span>} />
        <Select.Icon>
          <ChevronDown size={18} aria-hidden />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={-2}
          className="z-50 max-h-[60vh] min-w-[var(--radix-select-trigger-width)] overflow-hidden border-2 border-ink bg-panel text-ink"
        >
          <Select.Viewport>
            {options.map((option) => (
              <Select.Item
                key={option.value}
                value={option.value}
                className="flex min-h-12 cursor-pointer items-center justify-between gap-4 border-b border-rule px-3 text-[15px] font-semibold outline-none data-[highlighted]:bg-ink data-[highlighted]:text-panel"
              >
                <span>
                  <Select.ItemText>{option.label}</Select.ItemText>
                  {option.note && <span className="ml-2 font-normal opacity-80">{option.note}</span>}
                </span>
                <Select.ItemIndicator>
                  <Check size={18} aria-hidden />
                </Select.ItemIndicator>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  )
}
