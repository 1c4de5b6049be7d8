import { RadioGroup } from 'radix-ui'
import { Problem, useFieldProblem } from './Problem'

interface SegmentedProps<T extends string> {
  label: string
  value: T | null
  options: readonly { value: T; label: string }[]
  onChange: (value: T) => void
  /** What is wrong with the choice, said right under it. */
  problem?: string | undefined
  /** A light outline on the dark strip. */
  onCloth?: boolean
}

/** Joined segments, the chosen one inverted. */
export function Segmented<T extends string>({ label, value, options, onChange, problem, onCloth = false }: SegmentedProps<T>) {
  const frame = onCloth ? 'border border-cloth-mute' : 'border-2 border-ink'
  const on = onCloth
    ? 'data-[state=checked]:bg-cloth-ink data-[state=checked]:text-cloth text-cloth-ink'
    : 'data-[state=checked]:bg-ink data-[state=checked]:text-panel text-ink bg-panel'
  const { field, id } = useFieldProblem(problem)
  const group = (
    <RadioGroup.Root
      aria-label={label}
      {...field}
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
  if (!problem) return group
  return (
    <div>
      {group}
      <Problem id={id} className="mt-1 text-[13.5px] leading-[18px]">
        {problem}
      </Problem>
    </div>
  )
}
