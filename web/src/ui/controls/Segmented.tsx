import { RadioGroup } from 'radix-ui'
import type { ChoiceTie } from './Choice'

interface SegmentedProps<T extends string> {
  label: string
  value: T | null
  options: readonly { value: T; label: string }[]
  onChange: (value: T) => void
  /** In a form: where `Choice` ties it. */
  tie?: ChoiceTie
  /** A light outline on the dark strip. */
  onCloth?: boolean
}

/** Joined segments, the chosen one inverted. */
export function Segmented<T extends string>({ label, value, options, onChange, tie, onCloth = false }: SegmentedProps<T>) {
  const frame = onCloth ? 'border border-cloth-mute' : 'border-2 border-ink'
  const on = onCloth
    ? 'data-[state=checked]:bg-cloth-ink data-[state=checked]:text-cloth text-cloth-ink'
    : 'data-[state=checked]:bg-ink data-[state=checked]:text-panel text-ink bg-panel'
  return (
    <RadioGroup.Root
      aria-label={label}
      {...tie}
      value={value ?? ''}
      onValueChange={(next) => onChange(next as T)}
      className={`inline-flex rounded-[2px] ${frame}`}
      orientation="horizontal"
    >
      {options.map((option) => (
        <RadioGroup.Item key={option.value} value={option.value} className={`min-h-11 min-w-11 px-3 max-phone:px-2 text-[15px] font-bold ${on}`}>
          {option.label}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  )
}
