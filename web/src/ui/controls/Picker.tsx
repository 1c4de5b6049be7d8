import { Select } from 'radix-ui'
import { Check, ChevronDown } from 'lucide-react'
import { Problem, useFieldProblem } from './Problem'

interface PickerProps<T extends string> {
  label: string
  value: T | ''
  placeholder?: string
  options: readonly { value: T; label: string; note?: string }[]
  onChange: (value: T) => void
  /** What is wrong with the choice, said right under it. */
  problem?: string | undefined
  className?: string
}

/** A select list whose rows are 48 px high and full width. */
export function Picker<T extends string>({ label, value, placeholder = 'Choose', options, onChange, problem, className = '' }: PickerProps<T>) {
  const { field, id } = useFieldProblem(problem)
  const picker = (
    <Select.Root value={value} onValueChange={(next) => onChange(next as T)}>
      <Select.Trigger
        aria-label={label}
        {...field}
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
  if (!problem) return picker
  return (
    <div>
      {picker}
      <Problem id={id} className="mt-1 text-[13.5px] leading-[18px]">
        {problem}
      </Problem>
    </div>
  )
}
